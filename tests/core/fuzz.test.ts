import { beforeAll, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { Canvas, linearGradient, loadFonts, rasterize, SketchError } from '../../src/index.ts';

/*
 * Random sketches of nested groups, extreme transforms, huge and tiny coordinates and degenerate shapes: none may
 * crash, hang, leave the stack unbalanced or draw what is not a colour. FUZZ=10000 runs many; fast-check prints the
 * seed of a failure.
 */
const runs = Number(process.env.FUZZ ?? 300);

const extreme = fc.oneof(
  fc.integer({ min: -200, max: 200 }),
  fc.double({ min: -300, max: 300, noNaN: true }),
  fc.constantFrom(0, -0, 1e-300, 1e-9, -1e9, 1e15, 1e150, -1e300, Number.MAX_VALUE),
);
const size = extreme.map(Math.abs);
const point = fc.tuple(extreme, extreme);
const points = fc.array(point, { minLength: 3, maxLength: 6 });
const color = fc.constantFrom('none', 'teal', '#ff000080', 'transparent', 'oklch(70% 0.2 30)');
const gradient = fc
  .tuple(
    point,
    point,
    fc.constantFrom<'box' | 'user'>('box', 'user'),
    fc.constantFrom<'pad' | 'repeat' | 'reflect'>('pad', 'repeat', 'reflect'),
  )
  .map(([from, to, units, spread]) => linearGradient({ from, to, units, spread, stops: ['red', 'blue'] }));
const style = fc.record(
  {
    fill: fc.oneof(color, gradient),
    opacity: fc.constantFrom(0, 0.3, 1),
    blend: fc.constantFrom<'multiply' | 'hue' | 'normal'>('multiply', 'hue', 'normal'),
    rotate: extreme,
    scale: fc.oneof(extreme, fc.tuple(extreme, extreme)),
    stroke: fc.record(
      {
        color,
        width: size,
        cap: fc.constantFrom<'butt' | 'round' | 'square'>('butt', 'round', 'square'),
        join: fc.constantFrom<'miter' | 'round' | 'bevel'>('miter', 'round', 'bevel'),
        dash: fc.array(size, { maxLength: 3 }),
        dashOffset: extreme,
      },
      { requiredKeys: [] },
    ),
  },
  { requiredKeys: [] },
);

type Step = (canvas: Canvas) => void;
const shape: fc.Arbitrary<Step> = fc.oneof(
  fc.tuple(point, size, style).map(([at, radius, look]): Step => (c) => c.circle({ at, radius, ...look })),
  fc.tuple(point, point, size, style).map(([from, to, corners, look]): Step => (c) => c.rect({ from, to, corners, ...look })),
  fc.tuple(points, style).map(([through, look]): Step => (c) => c.curve({ points: through, closed: true, ...look })),
  fc.tuple(points, style).map(([corners, look]): Step => (c) => c.polyline({ points: corners, ...look })),
  fc.tuple(point, fc.tuple(size, size), extreme, extreme, style).map(([at, radii, start, end, look]): Step => (c) => c.arc({ at, radii, start, end, close: 'center', ...look })),
  fc.tuple(point, size, style).map(([at, em, look]): Step => (c) => c.text('Ay', { at, size: em, ...look })),
); // prettier-ignore
const { steps } = fc.letrec<{ steps: Step[]; step: Step }>((tie) => ({
  steps: fc.array(tie('step'), { maxLength: 5 }),
  step: fc.oneof(
    { maxDepth: 3 },
    shape,
    fc.tuple(point, extreme).map(([by, degrees]): Step => (c) => (c.translate(by), c.rotate(degrees))),
    fc.tuple(extreme, extreme).map(([x, y]): Step => (c) => (c.save(), c.scale([x, y]), c.restore())),
    fc.tuple(tie('steps'), point, extreme, fc.constantFrom(0.5, 1)).map(
      ([inner, translate, scale, opacity]): Step => (c) => c.group({ translate, scale, opacity }, () => inner.forEach((step) => step(c))),
    ),
    fc.tuple(tie('steps'), size).map(
      ([inner, radius]): Step => (c) => c.group({ clip: (region) => region.circle({ at: [40, 30], radius }) }, () => inner.forEach((step) => step(c))),
    ),
  ),
})); // prettier-ignore

beforeAll(() => loadFonts(['regular']));

test(`${runs} random sketches`, () => {
  fc.assert(
    fc.property(steps, (sketch) => {
      const canvas = new Canvas({ width: 80, height: 60, density: 1, background: -1, carry: 0 });
      try {
        for (const step of sketch) step(canvas);
      } catch (error) {
        // A number may grow beyond what is finite on the way; then it is said, as any other mistake.
        expect(error).toBeInstanceOf(SketchError);
      }
      const frame = canvas.finish();
      expect(frame.openSaves).toBe(0);
      const { data } = rasterize(frame);
      for (let at = 3; at < data.length; at += 4)
        if (data[at] !== 255) throw new Error(`pixel ${at >> 2} is not opaque`);
    }),
    { numRuns: runs, interruptAfterTimeLimit: runs > 1000 ? undefined : 60_000 },
  );
}, 3_600_000);
