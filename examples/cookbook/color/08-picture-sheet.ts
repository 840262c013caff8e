/*
 * Signal flags: cut pieces out of a sheet of pictures
 *
 * `crop` picks a part of a picture. `smooth: false` keeps its pixels crisp when it is enlarged.
 */
import { defineSketch, picture } from 'frame-juggler';

const sheet = picture(32, 16, (flags) => {
  flags.rect({ from: [0, 0], to: [16, 16], fill: '#24506a' });
  flags.rect({ from: [4, 4], to: [12, 12], fill: '#f6efdf' });
  flags.rect({ from: [16, 0], to: [32, 16], fill: '#f1b64e' });
  flags.circle({ at: [24, 8], radius: 5, fill: '#1b2f3a' });
});

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#e4efe8' },
  paint(canvas) {
    for (let i = 0; i < 5; i++) {
      const crop = { from: [(i % 2) * 16, 0], to: [(i % 2) * 16 + 16, 16] } as const;
      canvas.picture(sheet, { at: [40 + i * 60, 100], size: 56, crop, smooth: false });
    }
  },
});
