/*
 * A hatch that opens: turn about a corner
 *
 * A shape turns about the point that sits on `at`, and `anchor` says which point that is: placed by a corner, it turns
 * about the corner.
 */
import { defineSketch } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#dcc697' },
  paint(canvas) {
    const corner = [100, 160] as const;
    for (const [i, fill] of ['#64737a', '#3a8391', '#24506a'].entries())
      canvas.rect({ at: corner, anchor: 'bottom-left', size: [140, 90], rotate: -i * 24, fill, opacity: 0.85 });
    canvas.dot({ at: corner, size: 12, fill: '#d5603f' });
  },
});
