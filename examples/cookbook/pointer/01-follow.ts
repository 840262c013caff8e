/*
 * Follow the pointer, a little behind
 *
 * Each step covers a part of the remaining distance. The power makes that part the same at any frame rate.
 */
import { clamp, defineSketch, maths, mix } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#3a8391' },
  start: () => ({ x: 160, y: 100 }),
  step(gull, { pointer, delta }) {
    if (!pointer.inside) return;
    const part = clamp(1 - maths.pow(0.02, delta), 0, 1);
    gull.x = mix(gull.x, pointer.x, part);
    gull.y = mix(gull.y, pointer.y, part);
  },
  paint(canvas, _, { x, y }) {
    canvas.style({ fill: 'none', stroke: { color: '#f6efdf', width: 7, cap: 'round' } });
    canvas.arc({ at: [x - 22, y], radius: 22, start: 200, end: 350 });
    canvas.arc({ at: [x + 22, y], radius: 22, start: 190, end: 340 });
  },
});
