/*
 * A clock
 *
 * Each hand turns at its own rate: 6° per second, 6° per minute, 30° per hour. The clock starts at ten past ten.
 */
import { defineSketch } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#86bdb6' },
  paint(canvas, { seconds }) {
    const now = 10 * 3600 + 10 * 60 + seconds;
    canvas.translate([160, 100]);
    canvas.circle({ at: [0, 0], radius: 88, fill: '#f6efdf', stroke: { color: '#24506a', width: 6 } });
    for (let i = 0; i < 12; i++)
      canvas.group({ rotate: i * 30 }, () => canvas.line({ from: [0, -80], to: [0, -70], stroke: '#1b2f3a' }));
    const hand = (turns: number, length: number, width: number, color: string): void =>
      canvas.group({ rotate: turns * 360 }, () => {
        canvas.line({ from: [0, 12], to: [0, -length], stroke: { color, width, cap: 'round' } });
      });
    hand(now / 43200, 44, 7, '#1b2f3a');
    hand(now / 3600, 64, 5, '#1b2f3a');
    hand(Math.floor(now) / 60, 70, 2, '#d5603f');
  },
});
