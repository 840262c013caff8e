import path from 'node:path';
import { Command } from 'commander';
import { encodePng } from '../node/png.ts';
import { SketchError } from '../error.ts';
import { fileHost, writeWhole } from '../node/files.ts';
import { loadSketch } from '../node/load-sketch.ts';
import { pictureOf } from '../sketch/picture-of.ts';
import { Run } from '../sketch/run.ts';
import {
  atOption,
  densityOption,
  frameOption,
  quietOption,
  seedOption,
  sizeOption,
  type RunArguments,
} from './arguments.ts';

export function renderCommand(): Command {
  return new Command('render')
    .description('Renders one frame of a sketch to a picture file.')
    .argument('<sketch>', 'the sketch file: .ts, .mts, .js or .mjs')
    .requiredOption('-o, --output <file>', 'the picture to write: a .png file, or - for standard output')
    .addOption(frameOption())
    .addOption(atOption())
    .addOption(sizeOption())
    .addOption(densityOption())
    .addOption(seedOption())
    .addOption(quietOption())
    .addHelpText(
      'after',
      `
Examples:
  juggle render harbour.ts -o harbour.png
  juggle render harbour.ts -o late.png --at 4.5 --density 2
  juggle render harbour.ts -o other.png --seed 7 --size 1280x720`,
    )
    .action(async (file: string, options: RunArguments & { output: string }) => {
      const { output } = options;
      if (output !== '-' && path.extname(output).toLowerCase() !== '.png')
        throw new SketchError({
          problem: `${output} is not a kind of picture that can be written`,
          expected: 'expected a .png file, or -',
        });
      const said = await renderFile(file, output, options);
      if (options.quiet !== true) (output === '-' ? process.stderr : process.stdout).write(`${said}\n`);
    });
}

/** Renders a frame of a sketch file to a PNG file and says what it wrote. */
export async function renderFile(file: string, output: string, options: RunArguments): Promise<string> {
  const sketch = await loadSketch(file);
  const run = new Run(sketch, {
    seed: options.seed,
    width: options.size?.width,
    height: options.size?.height,
    density: options.density,
    host: fileHost,
  });
  const frame = options.at === undefined ? (options.frame ?? 0) : run.frameAtSeconds(options.at);
  const picture = await pictureOf(run, frame);
  const png = encodePng(picture, { title: sketch.title, frame: run.frame, seed: run.seed });
  if (output === '-') process.stdout.write(png);
  else await writeWhole(output, png);
  return `Wrote ${output === '-' ? 'standard output' : output}: ${sketch.title}, frame ${run.frame}, ${picture.width} × ${picture.height} pixels, seed ${run.seed}`;
}
