/*
 * A picture in dots: read its colors
 *
 * `colorAt` gives the color of a picture at a place. The darker it is there, the larger the dot. For a photo, load it as
 * an asset: `asset.picture(new URL('./photo.jpg', import.meta.url))`.
 */
import { defineSketch, linearGradient, mix, picture } from 'frame-juggler';

const boat = picture(320, 200, (canvas) => {
  const sky = linearGradient({ from: [0, 0], to: [0, 150], stops: ['#f6efdf', '#86bdb6'] });
  canvas.rect({ from: [0, 0], to: [320, 150], fill: sky });
  canvas.rect({ from: [0, 150], to: [320, 200], fill: '#3a8391' });
  canvas.triangle({
    points: [
      [150, 30],
      [150, 130],
      [80, 130],
    ],
    fill: '#24506a',
  });
  canvas.triangle({
    points: [
      [160, 45],
      [160, 130],
      [225, 130],
    ],
    fill: '#4d4672',
  });
  canvas.polygon({
    points: [
      [70, 138],
      [240, 138],
      [215, 168],
      [95, 168],
    ],
    fill: '#0f2a3d',
  });
});

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#f6efdf' },
  still: true,
  paint(canvas, { width, height }) {
    for (let y = 4; y < height; y += 8)
      for (let x = 4; x < width; x += 8) {
        const color = boat.colorAt(x, y);
        const light = (color.red + color.green + color.blue) / (3 * 255);
        canvas.circle({ at: [x, y], radius: mix(4.4, 1, light), fill: color });
      }
  },
});
