/*
 * A figure by parts: the keeper with the lamp
 *
 * Build the figure around its own (0, 0), between its feet. One function draws it, and a group puts it anywhere, at any
 * size.
 */
import { defineSketch, type Canvas } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#4d4672' },
  paint(canvas) {
    canvas.rect({ from: [0, 180], to: [320, 200], fill: '#1b2f3a' });
    canvas.group({ translate: [110, 180], scale: 1.6 }, () => keeper(canvas));
    canvas.group({ translate: [220, 180], scale: [-0.9, 0.9] }, () => keeper(canvas));
  },
});

function keeper(canvas: Canvas): void {
  canvas.style({ stroke: { color: '#e4efe8', width: 6, cap: 'round' } });
  canvas.line({ from: [-8, 0], to: [-5, -32] });
  canvas.line({ from: [8, 0], to: [5, -32] });
  canvas.line({ from: [8, -56], to: [28, -48] });
  canvas.rect({ from: [-13, -66], to: [13, -28], corners: 8, fill: '#d5603f', stroke: 'none' });
  canvas.circle({ at: [0, -78], radius: 11, fill: '#dcc697', stroke: 'none' });
  canvas.circle({ at: [28, -36], radius: 8, fill: '#f1b64e', stroke: { color: '#1b2f3a', width: 2 } });
}
