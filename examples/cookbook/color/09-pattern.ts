/*
 * A pattern for print: one tile, laid without end
 *
 * A picture of one tile becomes a paint. For a seamless tile, whatever leaves on one side comes in on the opposite side.
 */
import { defineSketch, pattern, picture } from 'frame-juggler';

const tile = picture(80, 80, (canvas) => {
  canvas.rect({ from: [0, 0], to: [80, 80], fill: '#f6efdf' });
  canvas.style({ fill: 'none', stroke: { color: '#3a8391', width: 5 } });
  for (const at of [
    [0, 40],
    [80, 40],
    [40, 80],
    [40, 0],
  ] as const)
    for (const radius of [10, 22, 34]) canvas.arc({ at, radius, start: 180, end: 360 });
});

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#f6efdf' },
  paint(canvas) {
    canvas.rect({ from: [0, 0], to: [320, 200], fill: pattern(tile, { size: 40 }) });
  },
});
