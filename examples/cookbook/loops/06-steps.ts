/*
 * From small to large: a share of the way
 *
 * `i / (count - 1)` goes from 0 to 1. `mix` turns that into any range: sizes, places, colors.
 */
import { colorMix, defineSketch, mix } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#e4efe8' },
  paint(canvas) {
    const count = 9;
    for (let i = 0; i < count; i++) {
      const share = i / (count - 1);
      canvas.rect({
        at: [mix(28, 292, share), 170],
        anchor: 'bottom',
        size: [24, mix(16, 140, share)],
        corners: 12,
        fill: colorMix('#86bdb6', '#24506a', share),
      });
    }
  },
});
