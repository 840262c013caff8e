import type { Frame } from '../frame/frame.ts';
import { RasterSurface } from '../surfaces/raster/surface.ts';

/** How wide and high, in pixels, frames are looked at for this: enough to tell a hundredth of most shapes. */
const lookedAt = 360;

/** What can be seen of an item. */
export interface SeenShare {
  /** Of what it paints on the canvas, the part that later items leave to be seen, 0 to 1. */
  readonly seen: number;
  /** Whether it paints anything on the canvas at all. */
  readonly painted: boolean;
}

/**
 * What can be seen of each item, in painter's order. Each is drawn by itself, with its groups and their clips, and its
 * alpha counted as far as the alphas of those above it let it through, from the topmost down: the weights of
 * source-over compositing. Blend modes are counted as plain ones.
 */
export function seenShares(frame: Frame): SeenShare[] {
  const { width, height, order } = frame;
  const surface = new RasterSurface();
  const density = Math.min(1, lookedAt / Math.max(width, height));
  const shares: SeenShare[] = Array.from(order, () => ({ seen: 0, painted: false }));
  let through: Float32Array | undefined;
  for (let i = order.length - 1; i >= 0; i--) {
    surface.draw({ ...frame, density, background: 0, carry: 0, order: order.subarray(i, i + 1) });
    const { data } = surface.drawn;
    through ??= new Float32Array(data.length / 4).fill(1);
    let all = 0;
    let seen = 0;
    for (let at = 3, pixel = 0; at < data.length; at += 4, pixel++) {
      const alpha = data[at];
      if (alpha === 0) continue;
      all += alpha;
      seen += alpha * through[pixel];
      through[pixel] *= 1 - alpha / 255;
    }
    // Edges of what lies exactly above leave a little of every pixel that they cut.
    const share = all === 0 ? 0 : seen / all;
    shares[i] = { seen: share < 0.002 ? 0 : Math.min(1, share), painted: all > 0 };
  }
  return shares;
}
