import { Canvas } from '../canvas/canvas.ts';
import { gray, rgb } from '../paint/color.ts';
import type { Picture } from '../paint/picture.ts';
import { rasterize } from '../surfaces/raster/rasterize.ts';
import { loadLettering } from '../text/lettering.ts';
import { measureText } from '../text/measure.ts';

/** One picture of a strip. */
export interface StripTile {
  readonly picture: Picture;
  /** The caption under it. */
  readonly text: string;
}

const margin = 16;
/** Captions are so large, and no smaller than that where one is wider than its picture. */
const textSize = 15;
const smallest = 9;
const colors = { sheet: rgb(246, 245, 241), edge: gray(0, 0.25), text: gray(60) };

/** The layout of a number of tiles on a sheet, and the size of the sheet. */
export function layOfStrip(
  tile: { readonly width: number; readonly height: number },
  count: number,
  columns: number,
): { across: number; cell: { width: number; height: number }; width: number; height: number } {
  const across = Math.min(columns, count);
  const cell = { width: tile.width + margin, height: tile.height + textSize + 2 * margin };
  const rows = Math.ceil(count / across);
  return { across, cell, width: across * cell.width + margin, height: rows * cell.height + margin };
}

/** Draws pictures of one size in rows, each with its caption, as one picture. */
export async function layOutStrip(tiles: readonly StripTile[], columns: number): Promise<Picture> {
  await loadLettering(['regular']);
  const { width, height } = tiles[0].picture;
  const { across, cell, ...sheet } = layOfStrip(tiles[0].picture, tiles.length, columns);
  const canvas = new Canvas({
    width: sheet.width,
    height: sheet.height,
    density: 1,
    background: colors.sheet.packed,
    carry: 0,
  });
  // A caption that is wider than its picture would run into the next one.
  const widest = Math.max(...tiles.map(({ text }) => measureText(text, { size: textSize }).width));
  const size = Math.max(smallest, Math.min(textSize, (textSize * width) / widest));
  tiles.forEach(({ picture, text }, index) => {
    const left = margin + (index % across) * cell.width;
    const top = margin + Math.floor(index / across) * cell.height;
    canvas.picture(picture, { from: [left, top], to: [left + width, top + height], smooth: false });
    // The frame is drawn around the picture, not over it.
    const [right, bottom] = [left + width, top + height];
    canvas.rect({ from: [left - 0.5, top - 0.5], to: [right + 0.5, bottom + 0.5], fill: 'none', stroke: colors.edge });
    canvas.text(text, { at: [left + width / 2, top + height + 10], anchor: 'top', size, fill: colors.text });
  });
  return rasterize(canvas.finish());
}
