/*
 * A slideshow of scenes, with cross-fades
 *
 * Each scene has its own time. With `fade` the next scene appears over the end of the one before, so each paints its own
 * background.
 */
import { defineSketch, scenes, type Canvas, type SceneMoment } from 'frame-juggler';

const slide =
  (word: string, fill: string) =>
  (canvas: Canvas, { progress }: SceneMoment) => {
    canvas.rect({ from: [0, 0], to: [320, 200], fill });
    canvas.text(word, { at: [160, 100], size: 48 + 12 * progress, weight: 'bold', fill: '#f6efdf' });
  };
const day = scenes([
  { duration: 2, paint: slide('ebb', '#d5603f') },
  { duration: 3, fade: 1, paint: slide('slack', '#8a5f83') },
  { duration: 3, fade: 1, paint: slide('flood', '#24506a') },
]);

export default defineSketch({
  canvas: { width: 320, height: 200 },
  duration: day.duration,
  paint: day.paint,
});
