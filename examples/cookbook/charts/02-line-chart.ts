/*
 * A line through measurements, with the highest one marked
 *
 * `remap` converts a value to a place on the canvas. The list of points is made once and drawn twice: as an area and as
 * a line.
 */
import { defineSketch, remap } from 'frame-juggler';

const levels = [2.1, 2.4, 3.0, 3.6, 3.9, 3.7, 3.1, 2.3, 1.6, 1.1, 1.0, 1.4];
const points = levels.map((level, i) => [remap(i, [0, 11], [30, 290]), remap(level, [0, 4], [180, 30])] as const);

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#e4efe8' },
  paint(canvas) {
    canvas.polygon({ points: [...points, [290, 180], [30, 180]], fill: '#86bdb6' });
    canvas.polyline({ points, stroke: { color: '#24506a', width: 4, join: 'round' } });
    const highest = Math.max(...levels);
    const [x, y] = points[levels.indexOf(highest)];
    canvas.dot({ at: [x, y], size: 14, fill: '#d5603f' });
    canvas.text(`${highest} m`, { at: [x, y - 10], anchor: 'bottom', size: 16, weight: 'bold', fill: '#1b2f3a' });
  },
});
