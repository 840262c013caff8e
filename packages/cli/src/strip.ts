import { Command } from 'commander';
import type { Strip } from 'frame-juggler/node';
import {
  addRunOptions,
  countOption,
  frameOption,
  framesOption,
  jsonOption,
  pickOption,
  quietOption,
  seedsOption,
  stretchOption,
  varyOption,
  type ReportArguments,
  type RunArguments,
  type Varied,
} from './arguments.ts';
import { handedOn } from './handed-on.ts';
import { runJob } from './job/run-job.ts';
import { Progress } from './progress.ts';
import { outputName, report } from './report.ts';

interface StripArguments extends RunArguments, ReportArguments {
  output: string;
  frames?: [number, number];
  pick?: number[];
  seeds?: [number, number];
  vary?: readonly Varied[];
  frame?: number;
  seconds?: number | [number, number];
  count?: number;
  columns?: number;
  tile?: number;
}

export function stripCommand(): Command {
  const command = new Command('strip')
    .description('Shows several frames of a sketch in one picture, side by side and numbered.')
    .argument('<sketch>', 'the sketch file: .ts, .mts, .js or .mjs')
    .requiredOption('-o, --output <file>', 'the picture to write: a .png file, or - for standard output')
    .addOption(framesOption())
    .addOption(pickOption())
    .addOption(seedsOption().conflicts(['frames', 'pick', 'seed']))
    .addOption(varyOption().conflicts(['frames', 'pick']))
    .addOption(frameOption().conflicts(['frames', 'pick']))
    .addOption(
      stretchOption('the frame at that moment, or A..B for frames of that time').conflicts(['frames', 'pick', 'frame']),
    )
    .addOption(countOption('--count <n>', 'how many frames or values, evenly spaced (default: 8)'))
    .addOption(countOption('--columns <n>', 'how many frames per row (default: chosen to fit)'))
    .addOption(countOption('--tile <n>', 'the width of each frame in pixels (default: 300)'));
  return addRunOptions(command)
    .addOption(quietOption())
    .addOption(jsonOption())
    .addHelpText(
      'after',
      `
Examples:
  juggle strip harbor.ts -o harbor.png
  juggle strip harbor.ts -o start.png --frames 0..29 --count 6 --columns 3
  juggle strip harbor.ts -o turns.png --pick 0,45,90,135
  juggle strip harbor.ts -o second.png --seconds 2..3 --count 12
  juggle strip harbor.ts -o seeds.png --seeds 1..12 --frame 30
  juggle strip harbor.ts -o swell.png --vary swell=0..60 --frame 30
  juggle strip harbor.ts -o sheet.png --vary swell=0,20,40 --vary lamp=gold,white
  juggle strip harbor.ts -o table.png --vary swell=0..60 --seeds 1..4`,
    )
    .action(async (file: string, options: StripArguments) => {
      const progress = new Progress('frames', options.quiet === true);
      const { output } = options;
      try {
        const result = await runJob(
          { name: 'strip', file, output, run: options, options: handedOn(options, chosen) },
          progress,
        );
        progress.end();
        report(options.output, options, result, inWords(result));
      } finally {
        progress.end();
      }
    });
}

/** What is handed on as it was given. */
const chosen = ['frames', 'pick', 'seeds', 'vary', 'frame', 'seconds', 'count', 'columns', 'tile'] as const;

function inWords({ output, title, frames, seeds, varied, width, height }: Strip): string {
  const last = seeds.at(-1)!;
  const ofSeeds = last === seeds[0] ? `seed ${last}` : `seeds ${seeds[0]} to ${last}`;
  const ofDials = Object.entries(varied).map(([name, { length }]) => `${length} ${length === 1 ? 'value' : 'values'} of ${name}`); // prettier-ignore
  const shown = [framesInWords(frames), ofSeeds, ...ofDials].join(', ');
  return `Wrote ${outputName(output!)}: ${title}, ${shown}, ${width} × ${height} pixels`;
}

/** Which frames are there; of many only how many, and which is the first and the last. */
function framesInWords(frames: readonly number[]): string {
  if (frames.length === 1) return `frame ${frames[0]}`;
  const which = frames.length > 16 ? `${frames[0]} to ${frames.at(-1)}` : frames.join(', ');
  return `${frames.length} frames (${which})`;
}
