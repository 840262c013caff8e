/*
 * Pixels by number: a picture worked out
 *
 * `setColorAt` sets the pixels of a picture one by one; here each depends on how far it is from two stones in the water.
 */
import { colorMix, defineSketch, maths, picture } from 'frame-juggler';

const water = picture(160, 100);
for (let y = 0; y < 100; y++)
  for (let x = 0; x < 160; x++) {
    const wave = maths.sin(maths.hypot(x - 50, y - 40) / 3) + maths.sin(maths.hypot(x - 115, y - 65) / 3);
    water.setColorAt(x, y, colorMix('#24506a', '#86bdb6', (wave + 2) / 4));
  }

export default defineSketch({
  canvas: { width: 320, height: 200 },
  still: true,
  paint: (canvas) => canvas.picture(water, { from: [0, 0], to: [320, 200] }),
});
