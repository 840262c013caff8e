/*
 * The pictures of all recipes, as `juggle render` made them, on one sheet: `npm run cookbook` makes it.
 */
import { asset, defineSketch } from 'frame-juggler';
import { palette } from '../palette.ts';
import { recipes } from './recipes.ts';

const columns = 4;
const [width, height] = [320, 236];
const names = Object.keys(recipes);

export default defineSketch({
  title: 'The cookbook',
  canvas: { width: columns * width, height: Math.ceil(names.length / columns) * height, background: palette.foam },
  still: true,
  assets: Object.fromEntries(
    names.map((_, i) => [`recipe${i}`, asset.picture(new URL(`./out/${i}.png`, import.meta.url))]),
  ),
  paint(canvas, { assets }) {
    names.forEach((name, index) => {
      const at = [(index % columns) * width, Math.floor(index / columns) * height] as const;
      canvas.group({ translate: at }, () => {
        canvas.text(`${index + 1}. ${name}`, {
          at: [10, 19],
          anchor: 'left',
          size: 14,
          maxWidth: width - 20,
          lineHeight: 1,
          fill: palette.ink,
        });
        canvas.picture(assets[`recipe${index}`], { from: [10, 38], to: [310, 225.5] });
      });
    });
  },
});
