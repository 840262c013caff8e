import { describe, expect, test } from '@jest/globals';
import {
  FrameReader,
  isSameFrame,
  pattern,
  picture,
  pictureSize,
  type Canvas,
  type Frame,
} from '../../packages/frame-juggler/src/index.ts';
import { FrameWriter } from '../../packages/frame-juggler/src/frame/writer.ts';
import { identity } from '../../packages/frame-juggler/src/geometry/matrix.ts';
import { record } from '../helpers.ts';

/** What a walk through a frame meets: groups as they begin and end, and labels of items. */
function met(paint: (canvas: Canvas) => void, all = false): string {
  const frame = record(paint);
  const said: string[] = [];
  const visitor = {
    enter: (group: { label: string | undefined }) => void said.push(`<${group.label ?? ''}`),
    leave: (group: { label: string | undefined }) => void said.push(`${group.label ?? ''}>`),
    item: (item: { label: string | undefined }) => void said.push(item.label ?? 'item'),
  };
  new FrameReader(frame).walk(frame.order, visitor, all ? () => true : undefined);
  return said.join(' ');
}

const mark = (canvas: Canvas, label: string, layer = 0): void => canvas.dot({ at: [5, 5], label, layer });

describe('a frame', () => {
  test('is walked through by a visitor only', () => {
    const frame = record((canvas) => mark(canvas, 'a'));
    const walk = (order: unknown, visitor?: unknown) => () => new FrameReader(frame).walk(order as never, visitor as never); // prettier-ignore
    expect(walk(frame.order, { item: () => undefined })).toThrow('is not a visitor');
    expect(walk(3)).toThrow('reader.walk: order 3 is not a list of items');
  });

  test('is walked through with its groups, each begun and ended once', () => {
    const nested = (canvas: Canvas): void => {
      mark(canvas, 'a');
      canvas.group({ label: 'outer', opacity: 0.5 }, () => {
        mark(canvas, 'b');
        canvas.group({ label: 'inner', opacity: 0.5 }, () => mark(canvas, 'c'));
        mark(canvas, 'd');
        canvas.group({ label: 'plain' }, () => mark(canvas, 'e'));
      });
      canvas.group({ label: 'other', opacity: 0.5 }, () => {
        canvas.group({ label: 'deep', opacity: 0.5 }, () => mark(canvas, 'f'));
      });
      mark(canvas, 'g');
    };
    expect(met(nested)).toBe('a <outer b <inner c inner> d e outer> <other <deep f deep> other> g');
    expect(met(nested, true)).toBe('a <outer b <inner c inner> d <plain e plain> outer> <other <deep f deep> other> g');
  });

  test('keeps pictures as they were when they were drawn, however they change later', () => {
    const tile = picture(2, 1, (canvas) => canvas.clear('white'));
    const draw = (canvas: Canvas): void => canvas.picture(tile, { at: [1, 0.5] });
    const [white, again] = [record(draw), record(draw)];
    expect(again.pictures[0]).toBe(white.pictures[0]);

    const changing = record((canvas) => {
      tile.setColorAt(0, 0, 'black');
      draw(canvas);
      tile.setColorAt(0, 0, 'red');
      draw(canvas);
    });
    tile.data.set([0, 0, 255], 0);
    tile.changed();
    const blue = record(draw);
    tile.data.set([0, 255, 0], 0);

    const first = (frame: Frame): number[][] => frame.pictures.map(({ data }) => [...data.subarray(0, 3)]);
    expect([white, changing, blue].map(first)).toEqual([[[255, 255, 255]], [[0, 0, 0], [255, 0, 0]], [[0, 0, 255]]]);
    const plain = ({ items: _, ...frame }: ReturnType<typeof record>): Frame => frame;
    expect(isSameFrame(plain(white), plain(blue))).toBe(false);
    // As many changes elsewhere lead to the same picture: what counts is how it looks.
    tile.setColorAt(0, 0, 'white');
    expect(isSameFrame(plain(white), plain(record(draw)))).toBe(true);
  }); // prettier-ignore

  test('keeps a pattern as its picture was at each use', () => {
    const tile = picture(1, 1, (canvas) => canvas.clear('white'));
    const fill = pattern(tile);
    const frame = record((canvas) => {
      for (const color of ['black', 'red'] as const) {
        tile.setColorAt(0, 0, color);
        for (const radius of [1, 2]) canvas.circle({ at: [0, 0], radius, fill });
      }
    });
    expect(frame.pictures.map(({ data }) => [...data.subarray(0, 3)])).toEqual([[0, 0, 0], [255, 0, 0]]); // prettier-ignore
    expect([...frame.columns.fill]).toEqual([1, 1, 2, 2]);
  });

  test('ends with the groups that are open', () => {
    const open = (canvas: Canvas): void =>
      canvas.group({ label: 'out', opacity: 0.5 }, () => canvas.group({ label: 'in', opacity: 0.5 }, () => mark(canvas, 'a'))); // prettier-ignore
    expect(met(open)).toBe('<out <in a in> out>');
  });

  test('lifts an isolated group as a whole, and layers within it only within it', () => {
    const lifted = (canvas: Canvas): void => {
      canvas.group({ label: 'up', opacity: 0.5, layer: 1 }, () => {
        mark(canvas, 'b', 3);
        mark(canvas, 'a');
      });
      mark(canvas, 'c');
      mark(canvas, 'z', 2);
    };
    expect(met(lifted)).toBe('c <up a b up> z');
    // With no other layer than the group's.
    expect(met((canvas) => (canvas.group({ opacity: 0.5, layer: 1 }, () => mark(canvas, 'a')), mark(canvas, 'b')))).toBe('b < a >'); // prettier-ignore
    expect(met((canvas) => (canvas.group({ layer: 1 }, () => mark(canvas, 'a', 1)), mark(canvas, 'b')))).toBe('b a');
  });

  test('holds any number of items, with all that each has and nothing that it has not', () => {
    const count = 700;
    const { items } = record((canvas) => {
      for (let i = 0; i < count; i++) {
        canvas.circle({
          at: [i, 1],
          radius: i,
          fill: i % 3 === 0 ? 'none' : 'red',
          ...(i % 5 === 0 && { stroke: { color: 'blue', width: i } }),
          ...(i % 7 === 0 && { label: `buoy ${i}` }),
          ...(i % 11 === 0 && { blend: 'multiply' as const, opacity: 0.5 }),
        });
      }
    });
    expect(items).toHaveLength(count);
    items.forEach((item, i) => {
      expect(item.path.slice(0, 4)).toEqual([4, i, 1, i]);
      expect(item.fill === undefined).toBe(i % 3 === 0);
      // With no fill an outline is drawn all the same.
      expect(item.stroke?.width).toBe(i % 5 === 0 ? i : i % 3 === 0 ? 1 : undefined);
      expect(item.label).toBe(i % 7 === 0 ? `buoy ${i}` : undefined);
      expect([item.blend, item.opacity]).toEqual(i % 11 === 0 ? ['multiply', 0.5] : ['normal', 1]);
    });
  });

  test('keeps each transform, name and picture once', () => {
    const frame = record((canvas) => {
      for (let turn = 0; turn < 3; turn++)
        canvas.group({ rotate: turn * 10 }, () => {
          mark(canvas, 'left');
          mark(canvas, 'right');
        });
    });
    expect(frame.matrices).toHaveLength(3 * 6);
    expect(frame.names).toEqual(['dot', 'left', 'right']);
    expect(frame.items.map(({ transform }) => transform[1] !== 0)).toEqual([false, false, true, true, true, true]);
  });

  test('tells how many pixels it makes', () => {
    expect(pictureSize(record(() => undefined, { width: 30, height: 20, density: 1.5 }))).toEqual({ width: 45, height: 30 }); // prettier-ignore
    expect(pictureSize(record(() => undefined, { width: 1, height: 1, density: 0.1 }))).toEqual({
      width: 1,
      height: 1,
    });
  });
});

test('a frame that would never be full ends where no sketch means to go', () => {
  const writer = new FrameWriter();
  const draw = (): void => {
    for (;;) writer.add('circle', 0, identity);
  };
  expect(draw).toThrow('circle: this frame has 8 million items already; look for a loop that never ends');
  expect(writer.size).toBe(8_000_000);
});
