// Makes docs/cookbook and docs/cookbook.md, with all pictures, from the recipes in examples/cookbook.
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { pathToFileURL } from 'node:url';
import { asset, defineSketch } from 'frame-juggler';
import { render } from 'frame-juggler/node';
import { describedSketches, onPage, renderSketch } from './described-sketches.mjs';

const chapters = {
  places: ['Shapes and places', 'Where things are, and what they are made of.'],
  loops: ['Loops instead of copies', 'Many things in a few lines: rows, rings, spirals.'],
  turning: ['Turning, moving, mirroring', 'Transforms, and how to keep them from affecting what follows.'],
  color: ['Color and pictures', 'Paints, order, transparency, dashes, parts of pictures.'],
  text: ['Text', 'Lines that break, letters that move, labels that fit.'],
  time: ['Time', 'Speed, easing, trails, seamless loops, scenes.'],
  chance: ['Chance', 'Scattering, particles, noise, a series by seed.'],
  pointer: ['Pointer and keys', 'Follow, drag, press, steer, draw.'],
  charts: ['Charts and pixels', 'Charts, and pictures computed pixel by pixel.'],
};
const name = (chapter) => `docs/cookbook/${chapter}.md`;
const anchor = (title) =>
  title.toLowerCase().replaceAll(/[^\p{Letter}\p{Number}]+/gu, '-').replaceAll(/^-|-$/g, ''); // prettier-ignore

rmSync('docs/cookbook', { recursive: true, force: true });
mkdirSync('docs/cookbook');
const index = [];
const pictures = [];
for (const [chapter, [title, words]] of Object.entries(chapters)) {
  const recipes = describedSketches(`examples/cookbook/${chapter}`);
  const blocks = [];
  for (const recipe of recipes) {
    const picture = `${chapter}/${recipe.name}.png`;
    await renderSketch(recipe.file, `docs/cookbook/${picture}`, { density: 2 });
    pictures.push(`docs/cookbook/${picture}`);
    blocks.push(onPage(recipe, picture));
  }
  writeFileSync(name(chapter), `# ${title}\n\n${words}\n\n${blocks.join('\n')}`);
  index.push(
    `## [${title}](cookbook/${chapter}.md)\n\n${recipes.map((one) => `- [${one.title}](cookbook/${chapter}.md#${anchor(one.title)})`).join('\n')}\n`,
  );
}
writeFileSync(
  'docs/cookbook.md',
  `# The cookbook

What people want to do most often, each as a complete sketch of ten to twenty lines with its picture. The canvas is 320 × 200; the colors are those of Pellan Quay, but any CSS color works.
\`npm run cookbook\` makes these pages from the sketches in [examples/cookbook](../examples/cookbook).

![All recipes on one sheet](screenshots/cookbook.png)

${index.join('\n')}`,
);

const columns = 8;
const [width, height] = [160, 100];
const sheet = defineSketch({
  title: 'The cookbook',
  canvas: { width: columns * width, height: Math.ceil(pictures.length / columns) * height, background: '#f6efdf' },
  still: true,
  assets: Object.fromEntries(pictures.map((file, i) => [i, asset.picture(pathToFileURL(file))])),
  paint(canvas, { assets }) {
    pictures.forEach((_, i) => {
      const at = [((i % columns) + 0.5) * width, (Math.floor(i / columns) + 0.5) * height];
      canvas.picture(assets[i], { at, size: [width - 8, height - 8] });
    });
  },
});
await render(sheet, { to: 'docs/screenshots/cookbook.png' });
