import { describe, expect, test } from '@jest/globals';
import { defineSketch, frameAtRest, Run, titledAfter, type Sketch } from '../../packages/frame-juggler/src/index.ts';
import { pack } from '../../packages/frame-juggler/src/paint/color.ts';
import { errorOf } from '../helpers.ts';

/* What a sketch is once it is defined: its defaults, its limits, its name. */

const plain = (parts: Partial<Parameters<typeof defineSketch>[0]> = {}): Sketch => defineSketch({ paint() {}, ...parts } as Parameters<typeof defineSketch>[0]); // prettier-ignore

describe('a sketch', () => {
  test('is 640 × 360 on white, at 60 frames a second, for ever and without trails, unless it says otherwise', () => {
    expect(plain()).toMatchObject({
      canvas: { width: 640, height: 360, density: 1, background: pack(255, 255, 255, 255) },
      frameRate: 60,
      frames: Infinity,
      carry: 0,
    });
    expect(new Run(plain()).seed).toBe(1);
  });

  test('may have no background, one pixel, one frame and the seed 0', () => {
    const { canvas, frames } = plain({ canvas: { width: 1, height: 1, background: 'none' }, duration: 1 / 60 });
    expect([canvas.background, frames]).toEqual([0, 1]);
    expect(new Run(plain({ seed: 0 } as never)).seed).toBe(0);
  });

  test.each([
    [{ canvas: { width: 0 } }, 'canvas: width 0'],
    [{ canvas: { height: 12.5 } }, 'canvas: height 12.5'],
    [{ canvas: { density: 0 } }, 'density 0 is not above 0'],
    [{ canvas: { width: 20_000, density: 2 } }, 'width 20000 makes a picture of 40000 pixels; expected at most 16384 a side'],
    [{ duration: 1 / 200 }, 'duration 0.005 is shorter than one frame'],
  ])('cannot be defined with %j', (parts, message) => expect(errorOf(() => plain(parts))).toMatch(message)); // prettier-ignore

  test('is seen best in the middle of its duration, or after two seconds', () => {
    expect(frameAtRest(plain({ duration: 3, frameRate: 15 }))).toBe(22);
    expect(frameAtRest(plain({ frameRate: 24 }))).toBe(48);
    expect(frameAtRest(plain({ still: true }))).toBe(0);
  });

  test('without a title is called after its file, and stays the same sketch', () => {
    const sketch = plain();
    const named = titledAfter(sketch, '/quay/mooringBuoy_2.ts?v=3#x');
    expect(named.title).toBe('Mooring buoy 2');
    expect(titledAfter(sketch, '/quay/mooringBuoy_2.ts')).toBe(named);
    const titled = plain({ title: 'Rain' });
    expect(titledAfter(titled, 'gulls.ts')).toBe(titled);
    expect(errorOf(() => titledAfter({} as Sketch, 'gulls.ts'))).toMatch('is not a sketch');
  });
});
