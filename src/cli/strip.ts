import { Command } from 'commander';
import { layOutStrip, type StripTile } from '../encode/strip.ts';
import { SketchError } from '../error.ts';
import { writeWhole } from '../node/files.ts';
import { encodePng } from '../node/png.ts';
import { provenance } from '../node/provenance.ts';
import { standardOutput } from '../node/sink.ts';
import { RasterSurface } from '../raster/surface.ts';
import {
  addRunOptions,
  countOption,
  framesOption,
  jsonOption,
  pickOption,
  quietOption,
  type ReportArguments,
  type RunArguments,
} from './arguments.ts';
import { openRun, rangeOf } from './open-run.ts';
import { Progress } from './progress.ts';

interface StripArguments extends RunArguments, ReportArguments {
  output: string;
  frames?: [number, number];
  pick?: number[];
  count: number;
  columns?: number;
  tile: number;
}

export function stripCommand(): Command {
  const command = new Command('strip')
    .description('Shows several frames of a sketch in one picture, side by side and numbered.')
    .argument('<sketch>', 'the sketch file: .ts, .mts, .js or .mjs')
    .requiredOption('-o, --output <file>', 'the picture to write: a .png file, or - for standard output')
    .addOption(framesOption())
    .addOption(pickOption())
    .addOption(countOption('--count <n>', 'how many frames, spread evenly').default(8))
    .addOption(countOption('--columns <n>', 'how many stand side by side; a round number that suits if left out'))
    .addOption(countOption('--tile <n>', 'how many pixels wide each frame is').default(300));
  return addRunOptions(command)
    .addOption(quietOption())
    .addOption(jsonOption())
    .addHelpText(
      'after',
      `
Examples:
  juggle strip harbour.ts -o harbour.png
  juggle strip harbour.ts -o start.png --frames 0..29 --count 6 --columns 3
  juggle strip harbour.ts -o turns.png --pick 0,45,90,135`,
    )
    .action(async (file: string, options: StripArguments) => {
      const { output } = options;
      if (output !== standardOutput && !/\.png$/i.test(output))
        throw new SketchError({
          problem: `a strip cannot be written to ${output}`,
          expected: 'expected a .png file, or -',
        });
      const loading = new Progress(0, 'files', options.quiet === true);
      const { run } = await openRun(file, options, loading.loading);
      // Drawn as large as the tiles are, so that nothing has to be made smaller afterwards.
      run.density = options.tile / run.width;
      const chosen = options.pick ?? spread(rangeOf(run, options.frames), options.count);
      const frames = chosen.map((frame) => run.frameAfterRounds(frame));
      const progress = new Progress(Math.max(...frames) + 1, 'frames', options.quiet === true);
      const surface = new RasterSurface();
      const wanted = new Set(frames);
      const byFrame = new Map<number, StripTile>();
      for (let frame = 0; byFrame.size < wanted.size; frame++) {
        await run.goTo(frame);
        // Under a carry every frame leaves its trail.
        if (wanted.has(frame) || run.sketch.carry > 0) surface.draw(await run.paint());
        const text = `${frame} · ${(frame / run.sketch.frameRate).toFixed(2)} s`;
        if (wanted.has(frame)) byFrame.set(frame, { picture: surface.picture(), text });
        progress.at(frame + 1);
      }
      progress.end();
      const tiles = frames.map((frame) => byFrame.get(frame)!);
      const picture = await layOutStrip(tiles, options.columns ?? suitingColumns(tiles));
      const { title } = run.sketch;
      const texts = provenance({ title, seed: run.seed, frame: [Math.min(...frames), Math.max(...frames)] });
      await writeWhole(output, encodePng(picture, texts));
      const say = output === standardOutput ? process.stderr : process.stdout;
      const { width, height } = picture;
      if (options.json === true)
        say.write(`${JSON.stringify({ output, title, frames, width, height, seed: run.seed })}\n`);
      else if (options.quiet !== true)
        say.write(
          `Wrote ${output === standardOutput ? 'standard output' : output}: ${title}, ${inWords(frames)}, ${width} × ${height} pixels, seed ${run.seed}\n`,
        );
    });
}

/** Which frames are there; of many only how many, and which is the first and the last. */
function inWords(frames: readonly number[]): string {
  if (frames.length === 1) return `frame ${frames[0]}`;
  const which = frames.length > 16 ? `${frames[0]} to ${frames.at(-1)}` : frames.join(', ');
  return `${frames.length} frames (${which})`;
}

/** Frames spread evenly from the first to the last, both of them among them. */
function spread([first, last]: readonly [number, number], count: number): number[] {
  const number = Math.min(count, last - first + 1);
  if (number === 1) return [first];
  return Array.from({ length: number }, (_, index) => first + Math.round((index * (last - first)) / (number - 1)));
}

/** So many columns that the whole is about as wide as a screen is. */
function suitingColumns(tiles: readonly StripTile[]): number {
  const { width, height } = tiles[0].picture;
  const best = Math.round(Math.sqrt((tiles.length * (height + 40) * 1.6) / width));
  const limit = Math.max(1, Math.min(tiles.length, best));
  // Full rows, where that is not far off.
  return [limit, limit + 1, limit - 1].find((columns) => columns > 0 && tiles.length % columns === 0) ?? limit;
}
