/*
 * Smoke: each picture drawn again into the next, larger and paler
 *
 * The state holds a picture; `step` paints the next one from it. Here it climbs and spreads by a little each time.
 */
import { defineSketch, picture } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#e8a33d' },
  start: ({ width, height }) => ({ smoke: picture(width, height) }),
  step(state, { width, height, random }) {
    const before = state.smoke;
    state.smoke = picture(width, height, (canvas) => {
      canvas.group({ translate: [1.8, -1.1], scale: 1.012, about: [110, 112], opacity: 0.96 }, () =>
        canvas.picture(before, { at: [width / 2, height / 2] }),
      );
      const at: [number, number] = [110 + random.between(-3, 3), 112 + random.between(-2, 2)];
      canvas.circle({ at, radius: random.between(4, 8), fill: random.pick(['#4b5a63', '#5d6d75', '#3c4a54']) });
    });
  },
  paint(canvas, { width, height }, state) {
    canvas.picture(state.smoke, { at: [width / 2, height / 2] });
    canvas.rect({ from: [98, 112], to: [122, 160], fill: '#a8433a' });
    canvas.polygon({ points: [[36, 150], [236, 150], [206, 184], [60, 184]], fill: '#1b2f3a' }); // prettier-ignore
    canvas.rect({ from: [0, 174], to: [width, height], fill: '#3a8391' });
  },
});
