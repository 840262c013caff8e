/*
 * Type into the picture
 *
 * `keys.typed` is what was typed since the last frame, as it is written; Backspace is a key like any other. Each letter
 * begins large and settles.
 */
import { defineSketch, easing, measureText, mix } from 'frame-juggler';

const style = { size: 64, weight: 'bold' } as const;
const widthOf = (text: string): number => measureText(text, style).width;
const settle = easing('ease-out');

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#24506a' },
  duration: 10,
  start: () => ({ letters: [...'type'].map((letter) => ({ letter, since: -1 })) }),
  step(state, { keys, seconds }) {
    for (const letter of keys.typed) state.letters.push({ letter, since: seconds });
    if (keys.justPressed('Backspace')) state.letters.pop();
  },
  paint(canvas, { seconds }, { letters }) {
    const word = letters.map(({ letter }) => letter).join('');
    const left = 160 - widthOf(word) / 2;
    let before = '';
    for (const { letter, since } of letters) {
      const size = style.size * mix(1.5, 1, settle(Math.min(1, (seconds - since) * 4)));
      canvas.text(letter, {
        at: [left + widthOf(before), 120],
        anchor: 'baseline-left',
        ...style,
        size,
        fill: '#f1b64e',
      });
      before += letter;
    }
    canvas.rect({ at: [left + widthOf(word) + 6, 98], size: [3, 56], fill: '#86bdb6' });
  },
});
