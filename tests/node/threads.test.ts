import { beforeAll, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  loadFonts,
  pattern,
  picture as paintPicture,
  rasterize,
  type Frame,
} from '../../packages/frame-juggler/src/index.ts';
import { ReceivedPictures, withSharedPictures } from '../../packages/frame-juggler/src/node/picture-memory.ts';
import { randomSketches, recorded } from '../fixtures/random-sketch.ts';
import { plainItems, record } from '../helpers.ts';

beforeAll(() => loadFonts());

/** A frame as it comes to another thread. */
const sent = (frame: Frame, thread = new ReceivedPictures()): Frame =>
  thread.restore(structuredClone(withSharedPictures(frame)));

test('a frame that went to another thread draws the same, and has all that its items had', () => {
  fc.assert(
    fc.property(randomSketches, (sketch) => {
      const frame = recorded(sketch);
      const there = sent(frame);
      expect(rasterize(there).data).toEqual(rasterize(frame).data);
      expect(plainItems(there)).toEqual(plainItems(frame));
    }),
    { numRuns: 100 },
  );
});

test('names are told apart, whatever is in them', () => {
  const frame = record((canvas) => {
    canvas.circle({ at: [0, 0], radius: 1, label: 'pier/north' });
    canvas.group({ label: 'pier' }, () => canvas.circle({ at: [0, 0], radius: 1, label: 'north/3' }));
  });
  expect(plainItems(sent(frame)).map(({ label, group }) => [group?.label, label])).toEqual([
    [undefined, 'pier/north'],
    ['pier', 'north/3'],
  ]);
});

test('a picture goes over once for each version, and is forgotten once no frame has it', () => {
  const tile = paintPicture(4, 4, (canvas) => canvas.clear('teal'));
  const thread = new ReceivedPictures();
  const frame = (): Frame => record((canvas) => canvas.rect({ at: [50, 50], size: 60, fill: pattern(tile) }));
  const first = sent(frame(), thread).pictures[0];
  expect(sent(frame(), thread).pictures[0]).toBe(first);
  tile.setColorAt(0, 0, 'crimson');
  const second = sent(frame(), thread).pictures[0];
  expect(second).not.toBe(first);
  expect([...second.data.subarray(0, 3)]).toEqual([220, 20, 60]);
  const empty = record(() => undefined);
  for (let i = 0; i < 10; i++) sent(empty, thread);
  expect(thread['kept'].size).toBe(0);
});
