/*
 * A label as wide as its words
 *
 * Measure first, then draw the box, then the words on top.
 */
import { defineSketch, measureText } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#e4efe8' },
  paint(canvas) {
    for (const [i, name] of ['Gull', 'Old Margit', 'North Star of Pellan'].entries()) {
      const y = 50 + i * 50;
      const { width } = measureText(name, { size: 20 });
      canvas.rect({ from: [30, y - 17], to: [62 + width, y + 17], corners: 17, fill: '#24506a' });
      canvas.text(name, { at: [46, y], anchor: 'left', size: 20, fill: '#f6efdf' });
    }
  },
});
