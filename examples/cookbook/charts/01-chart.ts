/*
 * A chart with axes
 *
 * `yAxis: 'up'` and a `viewBox` give the sketch the units of the data: a bar of 3.4 m is 3.4 high. Text stays upright.
 */
import { defineSketch } from 'frame-juggler';

const tides = [1.2, 2.6, 3.4, 2.9, 1.7, 0.8];

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#f6efdf', viewBox: [-1, -0.6, 7.5, 4.6], yAxis: 'up' },
  paint(canvas) {
    canvas.style({ stroke: { color: '#64737a', width: 0.02 }, text: { size: 0.3 } });
    for (let meters = 0; meters <= 3; meters++) {
      canvas.line({ from: [0, meters], to: [6.2, meters] });
      canvas.text(`${meters} m`, { at: [-0.15, meters], anchor: 'right', fill: '#1b2f3a', stroke: 'none' });
    }
    tides.forEach((height, hour) => {
      canvas.rect({ from: [hour + 0.2, 0], to: [hour + 0.9, height], fill: '#3a8391', stroke: 'none' });
      canvas.text(`${hour} h`, { at: [hour + 0.55, -0.3], fill: '#1b2f3a', stroke: 'none' });
    });
  },
});
