// Draws the pictures of the reference: of every example, and of every option.
import { mkdirSync } from 'node:fs';
import { pathToFileURL } from 'node:url';
import { build } from 'esbuild';
import { anchorOf } from './write-page.mjs';

const background = '#e4efe8';
const [ink, line] = ['#3a8391', '#24506a'];

/** @param folder where the pictures go */
export async function drawExamples(folder) {
  const { defineSketch, isSketch } = await import('frame-juggler');
  const { render } = await import('frame-juggler/node');
  const load = async (name) => {
    const outfile = `out/reference-${name}.mjs`;
    await build({ entryPoints: [`examples/reference/${name}.ts`], outfile, bundle: true, format: 'esm', packages: 'external', tsconfigRaw: {} }); // prettier-ignore
    return import(pathToFileURL(outfile).href);
  };
  mkdirSync(folder, { recursive: true });
  const draw = (name, sketch, setting) => render(sketch, { to: `${folder}/${anchorOf(name)}.png`, density: 2, ...setting }); // prettier-ignore

  const { examples } = await load('examples');
  for (const [name, paint] of Object.entries(examples))
    await draw(name, defineSketch({ canvas: { width: 320, height: 120, background }, still: true, paint }));

  const { optionExamples } = await load('options');
  for (const [name, options] of Object.entries(optionExamples))
    for (const [option, example] of Object.entries(options)) {
      const given = example.length === 0 ? example() : undefined;
      if (isSketch(given)) await draw(`${name}.${option}`, given, { frame: 30, density: given.canvas.density * 2 });
      else await draw(`${name}.${option}`, defineSketch({ canvas: { width: 160, height: 90, background }, still: true, paint: paintOf(name, example, given) })); // prettier-ignore
    }
}

/** How an example is shown: what it draws over a grid, a paint that it gives, or a function of time as a curve. */
function paintOf(name, example, given) {
  if (given === undefined)
    return (canvas, moment) => {
      if (name !== 'canvas.grid') canvas.grid({ spacing: 20, numbers: false });
      canvas.style({ fill: ink });
      example(canvas, moment);
    };
  if (typeof given !== 'function') return (canvas) => canvas.rect({ at: [80, 45], size: [140, 74], fill: given });
  return (canvas) => {
    for (const y of [20, 70]) canvas.line({ from: [0, y], to: [160, y], stroke: { color: line, width: 0.5, dash: [3, 3] } }); // prettier-ignore
    for (let s = 0; s <= 4; s += 0.01) {
      const value = given(s);
      if (value !== undefined) canvas.dot({ at: [s * 40, 70 - 50 * value], size: 3, fill: line });
    }
  };
}
