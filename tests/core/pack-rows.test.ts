import { deflateSync, inflateSync } from 'node:zlib';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { packRows, type RowForm } from '../../packages/frame-juggler/src/formats/pack-rows.ts';
import { record } from '../helpers.ts';
import { RasterSurface } from '../../packages/frame-juggler/src/surfaces/raster/surface.ts';

/** What zlib reads, which also holds the sum at the end against the bytes. */
const packed = (rows: Uint8Array, form: RowForm): Uint8Array => packRows([rows], form);
const isSame = (rows: Uint8Array, form: RowForm): boolean => inflateSync(packed(rows, form)).equals(Buffer.from(rows));

/** Numbers that look like chance, the same each time. */
function chance(seed: number): () => number {
  let state = seed;
  return () => (state = (Math.imul(state, 1664525) + 1013904223) >>> 0) / 2 ** 32;
}

/** How a byte of a picture comes about, from the pixel before it and the row above it. */
const kinds: Record<string, (next: () => number, before: number, above: number) => number> = {
  noise: (next) => next() * 256,
  flat: () => 7,
  runs: (next, before) => (next() < 0.02 ? next() * 256 : before),
  columns: (next, _, above) => (next() < 0.002 ? next() * 256 : above),
  'few values': (next) => next() * 4,
  'rare values': (next) => next() ** 9 * 256,
  mixed: (next, before, above) => (next() < 0.1 ? next() * 256 : next() < 0.5 ? before : above),
};

function rowsOf(kind: string, { perPixel, perRow }: RowForm, count: number, seed: number): Uint8Array {
  const next = chance(seed);
  const rows = new Uint8Array(perRow * count);
  rows.forEach((_, at) => (rows[at] = kinds[kind](next, rows[at - perPixel] ?? 0, rows[at - perRow] ?? 0)));
  return rows;
}

describe('rows packed as zlib data', () => {
  test('are unpacked as they were, whatever they hold', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...Object.keys(kinds)),
        fc.constantFrom(3, 4, 6, 8),
        fc.integer({ min: 1, max: 90 }),
        fc.integer({ min: 1, max: 60 }),
        fc.nat(),
        (kind, perPixel, width, count, seed) => {
          const form = { perPixel, perRow: 1 + perPixel * width };
          return isSame(rowsOf(kind, form, count, seed), form);
        },
      ),
    );
  });

  test.each(Object.keys(kinds))('%s: over many parts, with rows longer than a repeat can reach back', (kind) => {
    for (const width of [400, 10921, 10923, 40000]) {
      const form = { perPixel: 3, perRow: 1 + 3 * width };
      expect(isSame(rowsOf(kind, form, Math.ceil(7e5 / form.perRow), width), form)).toBe(true);
    }
  });

  test('a repeat reaches as far as it may, and no further', () => {
    for (const apart of [32767, 32768, 32769]) {
      const rows = rowsOf('noise', { perPixel: 4, perRow: 2 * apart }, 1, 3);
      rows.copyWithin(apart, 0, apart);
      expect(isSame(rows, { perPixel: 4, perRow: apart })).toBe(true);
      expect(packed(rows, { perPixel: 4, perRow: apart }).length > 1.5 * apart).toBe(apart > 32768);
    }
  });

  test('a few bytes take hardly more than they are, and noise a hundredth more', () => {
    expect(packed(Uint8Array.of(0, 1, 2, 3), { perPixel: 3, perRow: 4 }).length).toBeLessThan(14);
    const noise = rowsOf('noise', { perPixel: 4, perRow: 4001 }, 100, 1);
    expect(packed(noise, { perPixel: 4, perRow: 4001 }).length).toBeLessThan(1.01 * noise.length);
  });

  test('take less room than zlib at the level that is as quick', () => {
    const frame = record((canvas) => {
      for (let i = 0; i < 60; i++) {
        canvas.circle({ at: [(i * 97) % 640, (i * 61) % 360], radius: 12 + (i % 7) * 9, fill: `oklch(0.7 0.1 ${i * 6})` });
        canvas.line({ from: [0, i * 6], to: [640, (i * 29) % 360], stroke: { color: 'white', width: 1.5 } });
      }
    }, { width: 640, height: 360 }); // prettier-ignore
    const surface = new RasterSurface();
    surface.draw(frame);
    const { rows: some, width } = surface.packed;
    const rows = Buffer.concat(Array.from(some, (each) => each.slice()));
    const form = { perPixel: 3, perRow: 1 + 3 * width };
    expect(isSame(rows, form)).toBe(true);
    expect(packed(rows, form).length).toBeLessThan(deflateSync(rows, { level: 3, memLevel: 9 }).length);
  });
});
