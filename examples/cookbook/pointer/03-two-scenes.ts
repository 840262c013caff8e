/*
 * Two scenes by the pointer: day where you point
 *
 * Draw one scene, then the other one cut to a region. Without a pointer the border is in the middle.
 */
import { defineSketch, type Canvas } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200 },
  paint(canvas, { pointer, width, height }) {
    const split = pointer.inside ? pointer.x : width / 2;
    quay(canvas, '#4d4672', '#1b2f3a', '#f1b64e');
    canvas.group({ clip: (region) => region.rect({ from: [0, 0], to: [split, height] }) }, () =>
      quay(canvas, '#86bdb6', '#3a8391', '#f6efdf'),
    );
    canvas.line({ from: [split, 0], to: [split, height], stroke: { color: '#f6efdf', width: 3 } });
  },
});

function quay(canvas: Canvas, sky: string, sea: string, light: string): void {
  canvas.rect({ from: [0, 0], to: [320, 140], fill: sky });
  canvas.rect({ from: [0, 140], to: [320, 200], fill: sea });
  canvas.circle({ at: [160, 70], radius: 34, fill: light });
  canvas.polygon({ at: [70, 120], radius: 44, sides: 3, fill: '#a8433a' });
  canvas.polygon({ at: [250, 120], radius: 44, sides: 3, fill: '#a8433a' });
}
