/*
 * A shape, by number
 *
 * A sketch is a file whose default export is made by `defineSketch`. Its `paint` is called for every picture and draws
 * on a canvas. The canvas is 640 pixels wide and 360 high unless you say otherwise; (0, 0) is its top left corner, x
 * goes right and y goes _down_. Here a disc sits 480 pixels from the left and 120 from the top. Save the file as
 * `harbor.ts`, run `juggle play harbor.ts`, change a number, save, look.
 *
 * Try it: make the radius 120. Then move the disc into the top left corner, and half out of the canvas.
 */
import { defineSketch } from 'frame-juggler';

export default defineSketch({
  paint(canvas) {
    canvas.circle({ at: [480, 120], radius: 50 });
  },
});
