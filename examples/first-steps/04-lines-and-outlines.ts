/*
 * Lines and outlines
 *
 * `stroke` is the line around a shape, or the line itself: a color, or an object with a `color`, a `width`, a `dash` and
 * more. A shape without an inside, such as a `line`, is never filled. `canvas.style` sets fill and stroke for everything
 * that follows in this picture; the next picture starts fresh, so nothing leaks.
 *
 * Try it: give the mast a `width` of 12, and the sail a `dash` of `[10, 6]`. Then move the line with `canvas.style` up
 * to the beginning of `paint`: now the sun and the sea get an outline too.
 */
import { defineSketch } from 'frame-juggler';

export default defineSketch({
  canvas: { background: '#f1b64e' },
  paint(canvas, { width, height }) {
    canvas.circle({ at: [480, 170], radius: 50, fill: '#f6efdf' });
    canvas.rect({ from: [0, height / 2], to: [width, height], fill: '#3a8391' });

    canvas.style({ stroke: { color: '#1b2f3a', width: 5, join: 'round' } });
    canvas.line({ from: [320, 190], to: [320, 80] });
    canvas.polygon({
      points: [
        [326, 84],
        [326, 160],
        [380, 160],
      ],
      fill: '#f6efdf',
    });
    canvas.polygon({
      points: [
        [250, 190],
        [390, 190],
        [360, 226],
        [280, 226],
      ],
      fill: '#a8433a',
    });
  },
});
