// Draws the pictures of the reference: of every example, and of every option as the playground opens it.
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { pathToFileURL } from 'node:url';
import { build } from 'esbuild';
import { readOptionExamples } from './read-examples.mjs';
import { anchorOf } from './write-page.mjs';

/** @param folder where the pictures go */
export async function drawExamples(folder) {
  const library = await import('frame-juggler');
  const { render } = await import('frame-juggler/node');
  const load = async (file, name) => {
    const outfile = `out/reference-${name}.mjs`;
    await build({ entryPoints: [file], outfile, bundle: true, format: 'esm', packages: 'external', tsconfigRaw: {} });
    return import(pathToFileURL(outfile).href);
  };
  mkdirSync(folder, { recursive: true });
  const draw = (name, sketch, setting) => render(sketch, { to: `${folder}/${anchorOf(name)}.png`, density: 2, ...setting }); // prettier-ignore

  const { examples } = await load('examples/reference/examples.ts', 'examples');
  const canvas = { width: 320, height: 120, background: '#e4efe8' };
  for (const [name, paint] of Object.entries(examples))
    await draw(name, library.defineSketch({ canvas, still: true, paint }));

  const { madeForOptions, sketchOfOption } = await load('docs/.vitepress/playground/whole-sketch.ts', 'whole-sketch');
  const made = madeForOptions(readFileSync('examples/reference/options.ts', 'utf8'));
  for (const [name, options] of readOptionExamples())
    for (const [option, { lines, isDrawn }] of options) {
      if (!isDrawn) continue;
      const file = `out/reference-option-${anchorOf(`${name}.${option}`)}.mjs`;
      writeFileSync(file, sketchOfOption(lines.join('\n'), made, Object.keys(library)));
      const { default: sketch } = await import(pathToFileURL(file).href);
      await draw(`${name}.${option}`, sketch, { frame: 30, density: sketch.canvas.density * 2 });
    }
}
