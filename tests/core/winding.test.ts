import { beforeAll, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { close, line, move, quad, type Path } from '../../packages/frame-juggler/src/geometry/path.ts';
import { defineSketch, loadFonts, Run } from '../../packages/frame-juggler/src/index.ts';
import { RasterSurface } from '../../packages/frame-juggler/src/surfaces/raster/surface.ts';
import { glyphShape, lineWinding } from '../../packages/frame-juggler/src/text/winding.ts';

const square = (x: number, y: number, size: number): number[] =>
  [move, x, y, line, x + size, y, line, x + size, y + size, line, x, y + size, close]; // prettier-ignore
const turned = (x: number, y: number, size: number): number[] =>
  [move, x, y, line, x, y + size, line, x + size, y + size, line, x + size, y, close]; // prettier-ignore
const winding = (...subpaths: Path[]): number => glyphShape(subpaths.flatMap((path) => Array.from(path))).winding;

describe('how a glyph winds', () => {
  test('is told where it covers nothing twice', () => {
    expect([winding(square(0, 0, 4)), winding(turned(0, 0, 4))]).toEqual([1, -1]);
    expect(winding(square(0, 0, 9), turned(3, 3, 3))).toBe(1);
    expect(winding(square(0, 0, 4), square(5, 0, 4))).toBe(1);
    expect(winding([move, 0, 0, quad, 9, 0, 9, 9, line, 0, 9, close])).toBe(1);
  });

  test('is not where it does, winds both ways, or touches itself', () => {
    expect(winding(square(0, 0, 4), square(2, 2, 4))).toBe(0);
    expect(winding(square(0, 0, 9), square(3, 3, 3))).toBe(0);
    expect(winding(square(0, 0, 4), turned(5, 0, 4))).toBe(0);
    expect(winding([move, 0, 0, line, 4, 4, line, 4, 0, line, 0, 4, close])).toBe(0);
    expect(winding(square(0, 0, 4), square(4, 4, 4))).toBe(0);
  });
});

describe('how a line winds', () => {
  const box = glyphShape(square(0, 0, 4));
  const ring = glyphShape([...square(-4, -4, 12), ...turned(-1, -1, 6)]);

  test('is told where its letters lie apart, even within one another', () => {
    expect(lineWinding([{ shape: box, x: 0, y: 0 }, { shape: box, x: 5, y: 0 }])).toBe(1); // prettier-ignore
    expect(lineWinding([{ shape: ring, x: 0, y: 0 }, { shape: box, x: 0, y: 0 }])).toBe(1); // prettier-ignore
    expect(lineWinding([])).toBe(1);
  });

  test('is not where some lie over others', () => {
    expect(lineWinding([{ shape: box, x: 0, y: 0 }, { shape: box, x: 3, y: 1 }])).toBe(0); // prettier-ignore
    expect(lineWinding([{ shape: ring, x: 0, y: 0 }, { shape: box, x: 1.5, y: 0 }])).toBe(0); // prettier-ignore
    expect(lineWinding([{ shape: glyphShape(square(0, 0, 9)), x: 0, y: 0 }, { shape: box, x: 2, y: 2 }])).toBe(0); // prettier-ignore
  });
});

describe('text whose letters are known to lie apart', () => {
  beforeAll(() => loadFonts());

  test('has the pixels that it has where that is looked for', async () => {
    const letters = fc.string({
      unit: fc.constantFrom(...'HIMNOTUVWYbdhilnoruvwz ÖÉ12357'),
      minLength: 1,
      maxLength: 9,
    });
    const size = fc.double({ min: 4, max: 40, noNaN: true });
    await fc.assert(
      fc.asyncProperty(letters, size, fc.integer({ min: -90, max: 90 }), async (string, size, rotate) => {
        const run = new Run(
          defineSketch({ paint: (canvas) => canvas.text(string, { at: [160, 90], size, rotate }), canvas: { width: 320, height: 180 } }), // prettier-ignore
        );
        await run.restart();
        const frame = await run.paint();
        const drawn = (simple: Uint8Array<ArrayBuffer>): Uint8Array => {
          const surface = new RasterSurface();
          surface.draw({ ...frame, columns: { ...frame.columns, simple } });
          return surface.picture().data;
        };
        expect(Buffer.compare(drawn(frame.columns.simple), drawn(new Uint8Array(0)))).toBe(0);
      }),
      { numRuns: 60 },
    );
  });
});
