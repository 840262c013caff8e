/*
 * The middle
 *
 * `at` is where the middle of a shape lies, whatever the shape: a disc exchanged for a square stays where it was. The middle
 * of the canvas is half of its `width` and half of its `height`. A box can be given by two corners instead, `from` and `to`:
 * here the sea reaches from the left edge to the right and from the middle to the bottom.
 */
import { defineSketch } from 'frame-juggler';

export default defineSketch({
  paint(canvas, { width, height }) {
    canvas.circle({ at: [480, 120], radius: 50 });
    canvas.rect({ from: [0, height / 2], to: [width, height] });
    canvas.rect({ at: [width / 2, height / 2], size: [120, 40] });
  },
});
