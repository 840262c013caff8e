import { beforeAll, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  close,
  commandLength,
  cubic,
  line,
  move,
  quad,
  type Path,
} from '../../packages/frame-juggler/src/geometry/path.ts';
import { parsePathData } from '../../packages/frame-juggler/src/geometry/path-data.ts';
import { unitedPath } from '../../packages/frame-juggler/src/geometry/united.ts';
import { defineSketch, loadFonts, Run, textOutline, type Canvas } from '../../packages/frame-juggler/src/index.ts';
import { glyphShape } from '../../packages/frame-juggler/src/text/winding.ts';

type Chord = readonly [x0: number, y0: number, x1: number, y1: number];

/** A path as short chords, by Bernstein's polynomials. */
function chordsOf(path: Path): Chord[] {
  const chords: Chord[] = [];
  let [x, y, startX, startY] = [0, 0, 0, 0];
  const to = (nextX: number, nextY: number): void => {
    chords.push([x, y, nextX, nextY]);
    [x, y] = [nextX, nextY];
  };
  for (let i = 0; i < path.length; i += commandLength[path[i]]) {
    const command = path[i];
    if (command === move || command === close) to(startX, startY);
    if (command === close) continue;
    const [px, py] = [x, y];
    const given = Array.from(path).slice(i + 1, i + commandLength[command]);
    if (command === move) [startX, startY, x, y] = [given[0], given[1], given[0], given[1]];
    else
      for (let step = 1; step <= 24; step++) {
        const [t, u] = [step / 24, 1 - step / 24];
        const weights = { [line]: [u, t], [quad]: [u * u, 2 * u * t, t * t], [cubic]: [u ** 3, 3 * u * u * t, 3 * u * t * t, t ** 3] }[command]!; // prettier-ignore
        const along = (first: number, axis: number): number =>
          weights.reduce((sum, weight, k) => sum + weight * (k === 0 ? first : given[2 * k - 2 + axis]), 0);
        to(along(px, 0), along(py, 1));
      }
  }
  to(startX, startY);
  return chords;
}

/** How often chords go around a point; undefined where they pass so near that chords in place of curves could matter. */
function around(chords: readonly Chord[], x: number, y: number): number | undefined {
  let turns = 0;
  for (const [x0, y0, x1, y1] of chords) {
    const dx = x1 - x0;
    const dy = y1 - y0;
    const part = ((x - x0) * dx + (y - y0) * dy) / (dx * dx + dy * dy || 1);
    const t = part < 0 ? 0 : part > 1 ? 1 : part;
    if ((x0 + t * dx - x) ** 2 + (y0 + t * dy - y) ** 2 < 0.0004) return undefined;
    if (y0 > y !== y1 > y && x0 + ((y - y0) / dy) * dx < x) turns += y1 > y0 ? 1 : -1;
  }
  return turns;
} // prettier-ignore

const places = Array.from({ length: 100 }, (_, i) => [(i % 10) + 0.437, Math.floor(i / 10) + 0.561] as const);

/** A path of up to three parts; of whole coordinates, many of their lines lie upon each other. */
const pathFrom = (coordinate: fc.Arbitrary<number>): fc.Arbitrary<number[]> => {
  const command = fc.constantFrom<0 | 1 | 2 | 3>(line, line, quad, cubic);
  const step = command.chain((kind) => fc.array(coordinate, { minLength: commandLength[kind] - 1, maxLength: commandLength[kind] - 1 }).map((at) => [kind, ...at])); // prettier-ignore
  const part = fc.tuple(coordinate, coordinate, fc.array(step, { minLength: 2, maxLength: 4 })).map(([x, y, steps]) => [move, x, y, ...steps.flat(), close]); // prettier-ignore
  return fc.array(part, { minLength: 1, maxLength: 3 }).map((parts) => parts.flat());
};

describe('the outline of all that a path covers', () => {
  test.each([
    ['whole coordinates', fc.integer({ min: 0, max: 10 }), 0.9],
    ['any coordinates', fc.integer({ min: 0, max: 10_000 }).map((thousandth) => thousandth / 1000), 0.95],
  ])('covers the same, once, and keeps nothing inside: %s', (_, coordinate, share) => {
    let [all, told] = [0, 0];
    fc.assert(
      fc.property(pathFrom(coordinate), (path) => {
        const united = unitedPath(path);
        const [before, after] = [chordsOf(path), chordsOf(united)];
        const wound = new Set<number>();
        const otherwise: unknown[] = [];
        for (const [x, y] of places) {
          const [was, is] = [around(before, x, y), around(after, x, y)];
          if (was === undefined || is === undefined) continue;
          if ((is === 0) !== (was === 0)) otherwise.push([x, y, was, is]);
          if (is !== 0) wound.add(is);
        }
        expect(otherwise).toEqual([]);
        all++;
        if (united === path) return;
        told++;
        expect([[], [1], [-1]]).toContainEqual([...wound]);
      }),
      { numRuns: 100 },
    );
    // Of the others, curves run along each other.
    expect(told / all).toBeGreaterThan(share);
  });

  test('is one of corners where squares overlap, and of curves where curves do', () => {
    const square = (x: number): number[] => [move, x, x, line, x + 4, x, line, x + 4, x + 4, line, x, x + 4, close];
    const corners = [[0, 0], [4, 0], [4, 2], [6, 2], [6, 6], [2, 6], [2, 4], [0, 4]].flat(); // prettier-ignore
    const found = Array.from(unitedPath([...square(0), ...square(2)]));
    expect([found.length, found.filter((_, i) => i % 3 > 0)]).toEqual([28, [...corners, 0, 0]]);
    const dome = (x: number): number[] => [move, x, 4, quad, x + 3, -4, x + 6, 4, close];
    const domes = Array.from(unitedPath([...dome(0), ...dome(3)]));
    expect(domes.filter((_, i) => i === 3 || i === 8)).toEqual([quad, quad]);
  });

  test('is the path itself where its parts run along each other', () => {
    const arch = (up: number): number[] => [move, 0, 4, cubic, 1, up, 5, up, 6, 4, close];
    const path = [...arch(0), ...arch(2e-4)];
    expect(unitedPath(path)).toBe(path);
  });
});

describe('letters', () => {
  beforeAll(() => loadFonts());
  const drawn = async (paint: (canvas: Canvas) => void): Promise<number[]> => {
    const run = new Run(defineSketch({ paint }));
    await run.goTo(0);
    return Array.from((await run.paint()).path);
  };

  test('that are outlined are one each, though parts of theirs overlap', async () => {
    for (const weight of ['regular', 'bold'] as const)
      for (const letter of 'ABQRSfgt4$#&@éøŁ') {
        const { winding } = glyphShape(parsePathData('path', textOutline(letter, { at: [0, 0], size: 100, weight })));
        expect([letter, weight, winding]).toEqual([letter, weight, 1]);
      }
  }); // prettier-ignore

  test('are left as they are where they are filled alone', async () => {
    const [filled, outlined] = [
      await drawn((canvas) => canvas.text('A', { at: [0, 0] })),
      await drawn((canvas) => canvas.text('A', { at: [0, 0], stroke: 'red' })),
    ];
    expect([filled, outlined].map((path) => glyphShape(path).winding)).toEqual([0, 1]);
  });
});
