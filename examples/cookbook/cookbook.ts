/*
 * A recipe a frame; docs/cookbook.md shows them all on one sheet.
 */
import { defineSketch } from 'frame-juggler';
import { palette } from '../palette.ts';
import { recipes } from './recipes.ts';

const list = Object.values(recipes);

export default defineSketch({
  title: 'The cookbook',
  canvas: { width: 320, height: 200, background: palette.sail },
  frameRate: 1,
  duration: list.length,
  paint: (canvas, { frame }) => list[frame](canvas),
});
