/*
 * The middle
 *
 * `at` is where the middle of a shape goes, whatever the shape: replace a disc by a square and it stays in the same
 * place. The middle of the canvas is at half its `width` and half its `height`. A box can also be given by two corners,
 * `from` and `to`: here the sea reaches from the left edge to the right, and from the middle to the bottom.
 *
 * Try it: put the small box exactly into the middle of the left half. Then replace it by a `circle` with a `radius` of
 * 30 at the same place.
 */
import { defineSketch } from 'frame-juggler';

export default defineSketch({
  paint(canvas, { width, height }) {
    canvas.circle({ at: [480, 120], radius: 50 });
    canvas.rect({ from: [0, height / 2], to: [width, height] });
    canvas.rect({ at: [width / 2, height / 2], size: [120, 40] });
  },
});
