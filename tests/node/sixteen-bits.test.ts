import { mkdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { decode } from 'fast-png';
import {
  conicGradient,
  defineSketch,
  linearGradient,
  radialGradient,
  type Canvas,
  type Gradient,
  type Sketch,
} from 'frame-juggler';
import { render } from 'frame-juggler/node';
import { loadFonts } from '../../packages/frame-juggler/src/index.ts';
import { loadForm } from '../../packages/frame-juggler/src/surfaces/raster/forms.ts';
import { EngineSurface } from '../../packages/frame-juggler/src/surfaces/raster/engine-surface.ts';
import { blended, modes, type Rgb } from '../fixtures/blend-formulas.ts';
import { ordinarySketches, recorded } from '../fixtures/random-sketch.ts';
import { record, temporaryFolder } from '../helpers.ts';

const folder = temporaryFolder();
afterAll(folder.remove);
beforeAll(() => loadFonts(['regular']));

const [width, height] = [320, 3];
const painted = (paint: (canvas: Canvas) => void, background = 'black'): Sketch =>
  defineSketch({ canvas: { width, height, background }, paint });

/** The pixels of the middle row of what a sketch paints, as another program reads them from its file. */
async function middleRow(sketch: Sketch): Promise<number[][]> {
  const { data, depth, channels } = decode(await render(sketch, { format: 'png', bits: 16 }));
  expect(depth).toBe(16);
  const at = (x: number): number => (width + x) * channels;
  return Array.from({ length: width }, (_, x) => [...data.slice(at(x), at(x) + channels)]);
}

/** The farthest that a row is from what each of its pixels ought to be, in parts of 65535. */
const farthest = (row: number[][], want: (x: number) => readonly number[]): number =>
  Math.max(...row.flatMap((pixel, i) => pixel.map((part, c) => Math.abs(part - want(i + 0.5)[c]))));

const [dark, light] = [[32, 48, 64], [36, 54, 72]]; // prettier-ignore
const stops = ['rgb(32 48 64)', 'rgb(36 54 72)'];
const between = (t: number): number[] => dark.map((from, c) => (from + (light[c] - from) * t) * 257);
const middle = [width / 2, height / 2] as const;
const turn = (x: number): number => (x < middle[0] ? 0.5 : 0);

describe('sixteen bits a channel', () => {
  test.each<[string, Gradient, (x: number) => number]>([
    ['linear', linearGradient({ from: [0, 0], to: [width, 0], stops }), (x) => x / width],
    ['radial', radialGradient({ at: [0, height / 2], radius: width, stops }), (x) => x / width],
    ['conic', conicGradient({ at: middle, stops }), turn],
  ])('a %s gradient has every step that they can tell', async (_, fill, along) => {
    const row = await middleRow(painted((canvas) => canvas.rect({ from: [0, 0], to: [width, height], fill })));
    expect(farthest(row, (x) => between(along(x)))).toBeLessThan(1);
  });

  test('a veil that thins out leaves no bands on what is under it', async () => {
    const fill = linearGradient({ from: [0, 0], to: [width, 0], stops: ['rgb(0 0 0 / 0.1)', 'rgb(0 0 0 / 0)'] });
    const sketch = painted((canvas) => canvas.rect({ from: [0, 0], to: [width, height], fill }), 'rgb(200 200 200)');
    // CSS's 0.1 is kept as 26 of 255.
    const want = (x: number): number => 200 * 257 * (1 - (26 / 255) * (1 - x / width));
    expect(farthest(await middleRow(sketch), (x) => [want(x), want(x), want(x)])).toBeLessThan(1);
  });

  test('a canvas without background keeps its alpha, and color that is not multiplied by it', async () => {
    const fill = linearGradient({ from: [0, 0], to: [width, 0], stops: ['rgb(255 128 0 / 0.2)', 'rgb(255 128 0)'] });
    const row = await middleRow(painted((canvas) => canvas.rect({ from: [0, 0], to: [width, height], fill }), 'none'));
    expect(farthest(row, (x) => [65535, 128 * 257, 0, 65535 * (0.2 + (0.8 * x) / width)])).toBeLessThan(1);
  });

  test('pictures are those of eight bits, but for roundings', async () => {
    const [bytes, floats] = [new EngineSurface(await loadForm(8)), new EngineSurface(await loadForm(16))];
    let [parts, apart] = [0, 0];
    fc.assert(
      fc.property(ordinarySketches, (sketch) => {
        const frame = recorded(sketch);
        const [one, two] = [bytes, floats].map((surface) => {
          surface.reset();
          surface.draw(frame);
          return surface.drawn.data;
        });
        parts += one.length;
        for (let at = 0; at < one.length; at++) if (Math.abs(one[at] - two[at]) > 2) apart++;
      }),
      { numRuns: 200 },
    );
    // Blended with what is nearly transparent, a byte can be far off.
    expect(apart / parts).toBeLessThan(0.0005);
  });

  test.each(modes)('blend as the formula has it: %s', async (blend) => {
    const floats = new EngineSurface(await loadForm(16));
    const byte = fc.integer({ min: 0, max: 255 });
    const color = fc.tuple(byte, byte, byte, fc.constantFrom(0.4, 0.6, 1));
    const css = ([r, g, b, a]: readonly number[]): string => `rgb(${r} ${g} ${b} / ${a})`;
    const units = (color: readonly number[]): Rgb => color.slice(0, 3).map((part) => part / 255) as Rgb;
    fc.assert(
      fc.property(color, color, (below, above) => {
        const frame = record((canvas) => {
          canvas.rect({ from: [0, 0], to: [4, 4], fill: css(below) });
          canvas.rect({ from: [0, 0], to: [4, 4], fill: css(above), blend });
        });
        floats.reset();
        floats.draw({ ...frame, background: 0 });
        const [rows] = floats.packed.rows;
        const found = Array.from({ length: 4 }, (_, i) => (rows[1 + 2 * i] * 256 + rows[2 + 2 * i]) / 65535);
        blended(blend, units(above), above[3], units(below), below[3]).forEach((part, i) =>
          expect(Math.abs(part - found[i])).toBeLessThan(1e-4),
        );
      }),
      { numRuns: 100 },
    );
  });

  test('a trail fades until nothing is left of it', async () => {
    const film = defineSketch({
      canvas: { width, height, background: 'rgb(32 48 64)' },
      carry: 0.7,
      paint: (canvas, { frame }) => void (frame === 0 && canvas.clear('white')),
    });
    const after = async (frame: number): Promise<number> =>
      decode(await render(film, { format: 'png', bits: 16, frame })).data[0];
    const start = 32 * 257;
    const left = 65535 - start;
    expect(Math.abs((await after(10)) - (start + left * 0.7 ** 10))).toBeLessThan(1);
    expect(await after(60)).toBe(start);
  });

  test.each([0, 0.8])(
    'frames are the same alone, in a sequence and by several threads, with carry %d',
    async (carry) => {
      const film = defineSketch({
        canvas: { width: 120, height: 80, background: 'navy' },
        ...(carry > 0 && { carry }),
        paint(canvas, { frame }) {
          const fill = radialGradient({ at: [60, 40], radius: 40, stops: ['rgb(255 255 255 / 0.5)', 'transparent'] });
          canvas.circle({ at: [frame * 9, 40], radius: 30, fill });
        },
      });
      const files: Buffer[][] = [];
      for (const threads of [1, 2]) {
        const to = path.join(folder.path, `${carry}-${threads}`, '%d.png');
        await render(film, { to, frames: [0, 7], threads, bits: 16 });
        files.push(Array.from({ length: 8 }, (_, frame) => readFileSync(to.replace('%d', `${frame}`))));
      }
      const alone = Buffer.from(await render(film, { format: 'png', frame: 7, bits: 16 }));
      expect(files[0]).toEqual(files[1]);
      expect(files[0][7].equals(alone)).toBe(true);
    },
  );

  test('are for PNG alone, and never mixed with eight', async () => {
    const sketch = painted((canvas) => canvas.circle({ at: middle, radius: 1 }));
    await expect(render(sketch, { format: 'svg', bits: 16 })).rejects.toThrow(
      'only a PNG can have 16 bits per channel',
    );
    await expect(render(sketch, { bits: 10 as 16 })).rejects.toThrow('bits 10 is neither 8 nor 16');
    mkdirSync(path.join(folder.path, 'mixed'));
    const to = path.join(folder.path, 'mixed', '%d.png');
    await render(sketch, { to, frames: [0, 1] });
    await expect(render(sketch, { to, frames: [0, 3], bits: 16, resume: true })).rejects.toThrow('of another run');
  });
});
