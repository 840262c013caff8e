import { beforeAll, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { linearGradient, loadFonts, rasterize } from '../../packages/frame-juggler/src/index.ts';
import { countedFrom } from '../../packages/frame-juggler/src/frame/near-zero.ts';
import { multiply, translation } from '../../packages/frame-juggler/src/geometry/matrix.ts';
import { EngineSurface } from '../../packages/frame-juggler/src/surfaces/raster/engine-surface.ts';
import { loadForm } from '../../packages/frame-juggler/src/surfaces/raster/forms.ts';
import { RasterSurface } from '../../packages/frame-juggler/src/surfaces/raster/surface.ts';
import { record } from '../helpers.ts';
import { ordinarySketches, randomSketches, recorded } from '../fixtures/random-sketch.ts';

/*
 * No random sketch may crash, hang, leave the stack unbalanced or draw what is not a color. FUZZ=10000 runs many;
 * fast-check prints the seed of a failure.
 */
const runs = Number(process.env.FUZZ ?? 300);

beforeAll(() => loadFonts(['regular']));

test('ordinary random sketches have something to see: in nine of ten at least three items leave a mark', () => {
  const samples = fc.sample(ordinarySketches, { numRuns: 150, seed: 4 });
  const bare = rasterize(recorded([])).data;
  const seen = samples.map((sketch) => {
    const frame = recorded(sketch);
    // Each item by itself, within its groups.
    const alone = [...frame.order].map((item) => rasterize({ ...frame, order: Uint32Array.of(item) }));
    return alone.filter(({ data }) => data.some((byte, at) => byte !== bare[at])).length;
  });
  expect(seen.filter((count) => count >= 3).length / samples.length).toBeGreaterThan(0.9);
});

test('a frame that is drawn in bands of rows has the pixels of the whole', () => {
  const whole = new RasterSurface();
  const band = new RasterSurface();
  fc.assert(
    fc.property(ordinarySketches, fc.uniqueArray(fc.integer({ min: 1, max: 99 }), { maxLength: 3 }), (sketch, cuts) => {
      const frame = recorded(sketch);
      whole.draw(frame);
      const { height } = whole.drawn;
      const edges = [0, ...cuts.map((cut) => Math.ceil((cut * height) / 100)).sort((a, b) => a - b), height];
      const bands = edges.slice(1).map((end, i) => {
        band.reset();
        band.draw(frame, [edges[i], end]);
        return band.premultiplied.slice();
      });
      expect(Buffer.compare(Buffer.concat(bands), whole.premultiplied)).toBe(0);
    }),
    { numRuns: Math.min(runs, 1000) },
  );
}, 600_000);

test.each([8, 16] as const)(
  'nothing of a frame is left in the next but what its carry tells, %i bits',
  async (bits) => {
    const form = await loadForm(bits);
    const kept = new EngineSurface(form);
    // Where the surface only makes even again what was drawn on, and where that was too much or is not known.
    const frames = fc.record({
      sketch: ordinarySketches,
      items: fc.nat(2),
      background: fc.constantFrom(-1, -1, 0, 0x80402010 | 0),
      carry: fc.constantFrom(0, 0, 0.5, 1),
      puts: fc.nat(6),
    });
    fc.assert(
      fc.property(fc.array(frames, { minLength: 2, maxLength: 6 }), (list) => {
        for (const { sketch, items, background, carry, puts } of list) {
          const made = recorded(sketch);
          const frame = { ...made, background, carry, order: items === 0 ? made.order : made.order.slice(0, items) };
          // Another picture in its place, as where a run goes on from a checkpoint.
          if (puts === 0 && kept.size.width > 0) kept.put({ ...kept.copy(), pixels: kept.copy().pixels.fill(7) });
          const fresh = new EngineSurface(form);
          if (kept.size.width > 0) fresh.put(kept.copy());
          kept.draw(frame);
          fresh.draw(frame);
          expect(Buffer.compare(kept.premultiplied, fresh.premultiplied)).toBe(0);
        }
      }),
      { numRuns: Math.min(Math.ceil(runs / 2), 1000) },
    );
  },
  600_000,
);

test('what lies below something that hides it may be left out: items at once have the pixels of one after the other', () => {
  // Wide enough that bands of 54 rows are painted one after the other; what hides one may end within its last row.
  const [width, height] = [1200, 160];
  const near = fc.constantFrom(-9, 0, 0.4, 53.5, 54, 107.6, 108, 108.3, 159.5, 160);
  const edge = fc.oneof(near, near, fc.double({ min: -20, max: 180, noNaN: true }));
  const little = fc.constantFrom(0, 1 / 2048, 1 / 300, 0.5, -3);
  const side = fc.oneof(little, little, fc.integer({ min: 0, max: 300 }));
  const item = fc.record({ top: edge, bottom: edge, left: side, right: side, fill: fc.nat(4), blend: fc.nat(9) });
  const fills = [
    'black',
    'oklch(0.7 0.1 30)',
    'rgb(200 90 20 / 0.5)',
    linearGradient({ from: [0, 0], to: [width, height], stops: ['white', 'navy'] }),
    linearGradient({ from: [0, 0], to: [width, 0], stops: ['white', 'transparent'] }),
  ];
  const atOnce = new RasterSurface();
  const inTurn = new RasterSurface();
  fc.assert(
    fc.property(fc.array(item, { maxLength: 12 }), (items) => {
      const frame = record(
        (canvas) => {
          for (const { top, bottom, left, right, fill, blend } of items)
            canvas.rect({
              from: [left, top],
              to: [width - right, bottom],
              fill: fills[fill],
              blend: blend === 0 ? 'multiply' : 'normal',
            });
        },
        { width, height },
      );
      atOnce.draw(frame);
      inTurn.reset();
      inTurn.draw({ ...frame, order: new Uint32Array(0) });
      for (const place of frame.order) inTurn.draw({ ...frame, order: Uint32Array.of(place), carry: 1 });
      expect(Buffer.compare(atOnce.premultiplied, inTurn.premultiplied)).toBe(0);
    }),
    { numRuns: 300 },
  );
});

test('a frame in coordinates counted from elsewhere is the same picture', () => {
  const place = fc.integer({ min: -300, max: 300 });
  fc.assert(
    fc.property(ordinarySketches, place, place, (sketch, x, y) => {
      const made = recorded(sketch);
      // Off the pixels' grid: what ends exactly between two pixels, or changes color there, may fall to either side.
      const frame = { ...made, view: multiply(translation(0.0137, 0.0071), made.view) };
      const [there, here] = [rasterize(countedFrom(frame, [x, y])).data, rasterize(frame).data];
      const apart = here.reduce((count, byte, at) => count + Number(Math.abs(byte - there[at]) > 2), 0);
      expect(apart / here.length).toBeLessThan(0.001);
    }),
    { numRuns: Math.min(runs, 1000) },
  );
}, 600_000);

test(`${runs} random sketches`, () => {
  fc.assert(
    fc.property(randomSketches, (sketch) => {
      const frame = recorded(sketch);
      expect(frame.openSaves).toBe(0);
      const { data } = rasterize(frame);
      for (let at = 3; at < data.length; at += 4)
        if (data[at] !== 255) throw new Error(`pixel ${at >> 2} is not opaque`);
    }),
    { numRuns: runs, interruptAfterTimeLimit: runs > 1000 ? undefined : 60_000 },
  );
}, 3_600_000);
