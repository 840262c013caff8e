import { beforeAll, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { loadFonts, pattern, picture, rasterize, type Frame } from '../../src/index.ts';
import { fromWire, toWire } from '../../src/node/wire.ts';
import { randomSketches, recorded } from '../fixtures/random-sketch.ts';
import { record } from '../helpers.ts';

/** As it arrives in another thread. */
const sent = (frame: Frame): Frame => fromWire(structuredClone(toWire(frame)));

beforeAll(() => loadFonts(['regular']));

describe('a frame sent to another thread', () => {
  test('arrives as it was, whatever it holds', () => {
    fc.assert(
      fc.property(randomSketches, (sketch) => {
        const frame = recorded(sketch);
        expect(sent(frame)).toEqual(frame);
      }),
      { numRuns: 100, interruptAfterTimeLimit: 30_000 },
    );
  }, 60_000);

  test('keeps groups that items share as one, and layers, labels and texts with their items', () => {
    const frame = record((canvas) =>
      canvas.group({ label: 'pier', opacity: 0.5 }, () => {
        canvas.group({ clip: (region) => region.circle({ at: [5, 5], radius: 9 }) }, () => canvas.point({ at: [1, 1] }));
        canvas.circle({ at: [3, 3], radius: 2, layer: 4, label: 'bollard' });
        canvas.text('7', { at: [9, 9], layer: -1 });
      }),
    );
    const { items } = sent(frame);
    expect(items).toEqual(frame.items);
    const pier = items.map(({ group }) => (group?.label === 'pier' ? group : group?.parent));
    expect(new Set(pier).size).toBe(1);
    expect(rasterize(sent(frame)).data).toEqual(rasterize(frame).data);
  }); // prettier-ignore

  test('brings its pictures: the same one again where it is the same, another where it was painted over', () => {
    const sail = picture(4, 4, (canvas) => canvas.clear('teal'));
    const of = (): Frame =>
      record((canvas) => {
        canvas.image(sail, { at: [10, 10], size: 8 });
        canvas.rect({ from: [20, 20], to: [90, 90], fill: pattern(sail), stroke: { color: pattern(sail), width: 3 } });
      });
    const [first, second] = [sent(of()), sent(of())];
    const pictures = (frame: Frame): unknown[] =>
      frame.items.flatMap(({ fill, stroke }) => [fill, stroke?.paint].map((paint) => (typeof paint === 'object' && 'picture' in paint ? paint.picture : undefined)));
    expect(new Set([...pictures(first), ...pictures(second)].filter((each) => each !== undefined)).size).toBe(1);
    expect(rasterize(first).data).toEqual(rasterize(of()).data);
    sail.set(1, 1, 'crimson');
    expect(rasterize(sent(of())).data).toEqual(rasterize(of()).data);
    expect(rasterize(sent(of())).data).not.toEqual(rasterize(first).data);
  }); // prettier-ignore
});
