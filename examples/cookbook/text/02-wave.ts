/*
 * A wave of text: letter by letter
 *
 * `measureText` gives the width of everything before a letter. Each letter swings a little later than the one before it.
 */
import { defineSketch, measureText, swing } from 'frame-juggler';

const words = 'high water';
const style = { size: 48, weight: 'bold' } as const;

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#3a8391' },
  duration: 2,
  paint(canvas, { seconds }) {
    const left = 160 - measureText(words, style).width / 2;
    [...words].forEach((letter, i) => {
      const x = left + measureText(words.slice(0, i), style).width;
      const y = 116 + swing(seconds - i * 0.12, 2, -16, 16);
      if (letter !== ' ') canvas.text(letter, { at: [x, y], anchor: 'baseline-left', ...style, fill: '#f6efdf' });
    });
  },
});
