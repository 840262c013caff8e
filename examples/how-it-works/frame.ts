/*
 * A frame's way from the sketch to the screen, for docs/how-it-works.md.
 */
import { defineSketch, type Canvas } from 'frame-juggler';
import { palette } from '../palette.ts';

const { ink, deep, sea, shoal, foam, sail, lamp, buoy, slate } = palette;

/** A station: what it is called, what it does, and how it looks there. */
const stations: readonly (readonly [name: string, words: string, look: (canvas: Canvas) => void])[] = [
  ['sketch', 'what you write', code],
  ['run', 'start, then step\nfor every frame', ticks],
  ['canvas', 'paint: each call is\nchecked and noted', calls],
  ['frame', 'items in columns,\nplain numbers', columns],
  ['surface', 'page, pixels, SVG', picture],
];
const width = 176;
const gap = 40;

export default defineSketch({
  title: 'The way of a frame',
  canvas: { width: 5 * width + 4 * gap + 60, height: 260, background: sail },
  still: true,
  paint(canvas) {
    stations.forEach(([name, words, look], i) => {
      const left = 30 + i * (width + gap);
      canvas.group({ translate: [left, 30], label: name }, () => {
        canvas.rect({ from: [0, 0], to: [width, 118], corners: 10, fill: foam, stroke: { color: shoal, width: 2 } });
        canvas.group({}, () => look(canvas));
        canvas.text(name, { at: [width / 2, 146], size: 21, weight: 'bold', fill: deep });
        canvas.text(words, { at: [width / 2, 166], anchor: 'top', size: 16, fill: ink });
      });
      if (i > 0) arrow(canvas, left - gap + 6, left - 6, 89);
    });
  },
});

function arrow(canvas: Canvas, from: number, to: number, y: number): void {
  canvas.line({ from: [from, y], to: [to - 8, y], stroke: { color: buoy, width: 4 } });
  canvas.path({ data: `M${to - 12} ${y - 9} L${to} ${y} L${to - 12} ${y + 9} Z`, fill: buoy });
}

function code(canvas: Canvas): void {
  for (const [row, length] of [60, 104, 88, 116, 40].entries())
    canvas.rect({
      from: [20 + (row % 4 === 0 ? 0 : 14), 20 + row * 17],
      to: [20 + length, 28 + row * 17],
      corners: 4,
      fill: row === 2 ? buoy : slate,
    });
}

function ticks(canvas: Canvas): void {
  canvas.line({ from: [18, 60], to: [158, 60], stroke: { color: slate, width: 3 } });
  for (let i = 0; i < 6; i++) {
    canvas.dot({ at: [22 + i * 26, 60], size: i === 4 ? 20 : 11, fill: i === 4 ? lamp : sea });
    canvas.text(i, { at: [22 + i * 26, 86], size: 13, fill: ink });
  }
}

function calls(canvas: Canvas): void {
  for (const [row, name] of ['rect', 'circle', 'line'].entries()) {
    canvas.rect({ from: [20, 16 + row * 31], to: [156, 41 + row * 31], corners: 6, fill: shoal });
    canvas.text(`canvas.${name}`, { at: [32, 28.5 + row * 31], anchor: 'left', size: 14, fill: ink });
  }
}

function columns(canvas: Canvas): void {
  for (let column = 0; column < 5; column++)
    for (let row = 0; row < 4; row++)
      canvas.rect({
        from: [20 + column * 28, 16 + row * 23],
        to: [44 + column * 28, 35 + row * 23],
        fill: row === 1 ? lamp : sea,
        opacity: 0.45 + 0.13 * column,
      });
}

function picture(canvas: Canvas): void {
  canvas.group({ clip: (region) => region.rect({ from: [16, 14], to: [160, 104], corners: 6 }) }, () => {
    canvas.rect({ from: [16, 14], to: [160, 104], fill: lamp });
    canvas.circle({ at: [112, 52], radius: 22, fill: sail });
    canvas.rect({ from: [16, 72], to: [160, 104], fill: sea });
    canvas.path({ data: 'M40 70 h56 l-10 14 h-36 z M66 64 v-36 l22 36 z', fill: buoy });
  });
}
