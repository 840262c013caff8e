var e=`/*
 * Currents off the mole, as drops of dye would show them: each drop goes where a field of noise points, and leaves a trail,
 * as the picture before stays under the next.
 */
import { defineSketch, dial, maths, ramp } from 'frame-juggler';
import { palette } from '../palette.ts';

const dye = ramp([palette.foam, palette.shoal, palette.lamp, palette.buoy]);

export default defineSketch({
  title: 'Currents off the mole',
  canvas: { width: 960, height: 540, background: '#10242f' },
  frameRate: 30,
  duration: 12,
  carry: 0.985,
  dials: {
    turns: dial.number(1.6, { min: 0.2, max: 5, label: 'Turns' }),
    scale: dial.number(260, { min: 60, max: 700, step: 10, label: 'How wide an eddy is' }),
  },
  start: ({ random }) => ({ drops: random.times(700, () => drop(random.point([960, 540]), random.between(0, 1))) }),
  step({ drops }, { noise, random, dials, seconds, delta }) {
    for (const each of drops) {
      const turn = 2 * Math.PI * dials.turns * noise(each.x / dials.scale, each.y / dials.scale, seconds / 30);
      [each.fromX, each.fromY] = [each.x, each.y];
      each.x += 70 * delta * maths.cos(turn);
      each.y += 70 * delta * maths.sin(turn);
      each.age += delta;
      const isOut = each.x < -20 || each.x > 980 || each.y < -20 || each.y > 560;
      if (isOut || random.likely(each.age / 200)) Object.assign(each, drop(random.point([960, 540]), each.tint));
    }
  },
  paint(canvas, _moment, { drops }) {
    for (const { fromX, fromY, x, y, tint } of drops)
      canvas.line({ from: [fromX, fromY], to: [x, y], stroke: { color: dye(tint), width: 1.4, cap: 'round' }, opacity: 0.6, label: 'dye' }); // prettier-ignore
  },
});

/** A drop of dye, and where it was a frame ago. */
function drop({ x, y }: { x: number; y: number }, tint: number) {
  return { x, y, fromX: x, fromY: y, tint, age: 0 };
}
`;export{e as default};