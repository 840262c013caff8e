import { Command, InvalidArgumentError, Option } from 'commander';
import type { Format, Rendered } from 'frame-juggler/node';
import type { Farm } from './farm/head.ts';
import {
  addRunOptions,
  countOption,
  frameOption,
  framesOption,
  jsonOption,
  quietOption,
  shardOption,
  stretchOption,
  type ReportArguments,
  type RunArguments,
} from './arguments.ts';
import { handedOn } from './handed-on.ts';
import { runJob } from './job/run-job.ts';
import { Progress } from './progress.ts';
import { refuse } from './refuse.ts';
import { outputName, report } from './report.ts';
import { farmOption, queueVariable, storeOption } from './work.ts';

/** The options of `render`. */
interface RenderArguments extends RunArguments, ReportArguments {
  frame?: number;
  seconds?: number | [number, number];
  frames?: [number, number];
  format?: Format;
  chroma?: '420' | '444';
  bits?: 8 | 16;
  dither?: boolean;
  threads?: number;
  shard?: [number, number];
  resume?: boolean;
  overwrite?: boolean;
  checkpoints?: string | true;
  queue?: string | true;
  store?: string;
}

/** The kinds of file, of which one that is missing does not compile: help is shown without the library. */
const formats = Object.keys({ png: 1, svg: 1, gif: 1, apng: 1, y4m: 1, mp4: 1, webm: 1 } satisfies Record<Format, 1>);

export function renderCommand(): Command {
  const command = new Command('render')
    .description('Renders one frame of a sketch, or all of them, to files.')
    .argument('<sketch>', 'the sketch file: .ts, .mts, .js or .mjs')
    .requiredOption('-o, --output <file>', 'where to write, see below; - is standard output')
    .addOption(frameOption())
    .addOption(stretchOption())
    .addOption(framesOption().conflicts(['frame', 'seconds']));
  return addRunOptions(command)
    .addOption(new Option('--format <kind>', 'the kind of file, for standard output').choices(formats))
    .addOption(
      new Option('--chroma <kind>', 'how much color detail video keeps').choices(['420', '444']).default('420'),
    )
    .addOption(
      new Option('--bits <n>', 'bits per channel of a PNG, 8 or 16: with 16, gradients have no bands').argParser(bits).default(8), // prettier-ignore
    )
    .addOption(new Option('--dither', 'imitates colors missing from a GIF by mixing neighboring pixels'))
    .addOption(new Option('--resume', 'makes only the missing frames of a sequence'))
    .addOption(new Option('--overwrite', 'replaces frames of another run').conflicts('resume'))
    .addOption(countOption('--threads <n>', 'threads that draw (default: one per core)'))
    .addOption(
      new Option('--checkpoints [folder]', 'keeps the state now and then: far frames need no steps from frame 0'),
    )
    .addOption(shardOption())
    .addOption(farmOption().conflicts(['shard', 'resume']))
    .addOption(storeOption())
    .addOption(quietOption())
    .addOption(jsonOption())
    .addHelpText(
      'after',
      `
The name of the output decides what is made:
  .png .svg                     one frame
  .gif .apng .y4m .mp4 .webm    the whole run, or --frames of it (.mp4 and .webm need ffmpeg)
  frames/%04d.png               one file per frame, also .svg; --resume continues

Examples:
  juggle render harbor.ts -o harbor.png
  juggle render harbor.ts -o late.svg --seconds 4.5
  juggle render harbor.ts -o harbor.gif --size 480x270 --seconds 2..4.5
  juggle render harbor.ts -o frames/%04d.png --frames 0..299 --resume
  juggle render harbor.ts -o other.png --seed new --dial swell=20`,
    )
    .action(async (file: string, { output, ...options }: RenderArguments & { output: string }) => {
      const done = await renderFile(file, output, options);
      report(output, options, done, inWords(done));
    });
}

/** Renders a sketch file, and says how far it is. */
export async function renderFile(file: string, output: string, options: RenderArguments): Promise<Rendered> {
  const progress = new Progress('frames', options.quiet === true);
  try {
    const farm = await farmOf(options);
    const checkpoints = farm === undefined ? await folderFor(options) : undefined;
    const handed = { ...handedOn(options, chosen), ...handedOn({ farm, checkpoints }, ['farm', 'checkpoints']) };
    return await runJob({ name: 'render', file, output, run: options, options: handed }, progress);
  } finally {
    progress.end();
  }
}

/** What is handed on as it was given. */
const chosen = [
  'frame',
  'seconds',
  'frames',
  'shard',
  'format',
  'chroma',
  'bits',
  'dither',
  'resume',
  'overwrite',
  'threads',
] as const;

function bits(text: string): 8 | 16 {
  if (text === '8' || text === '16') return Number(text) as 8 | 16;
  throw new InvalidArgumentError('Expected 8 or 16.');
}

async function folderFor({ checkpoints }: RenderArguments): Promise<string | undefined> {
  if (checkpoints !== true) return checkpoints;
  return refuse(
    '--checkpoints has no folder to keep them in',
    'expected --checkpoints FOLDER; only with --queue they are kept in its store',
  );
}

async function farmOf({ queue, store, checkpoints }: RenderArguments): Promise<Farm | undefined> {
  if (queue === undefined) return undefined;
  const address = queue === true ? process.env[queueVariable] : queue;
  if (address === undefined) return refuse(`--queue has no address, nor has ${queueVariable}`, 'expected redis://HOST');
  if (typeof checkpoints === 'string')
    return refuse('with --queue, checkpoints are kept in its store', 'expected --checkpoints without a folder');
  if (store !== undefined) return { queue: address, store, checkpoints: checkpoints === true };
  return refuse(
    '--queue needs a place where machines hand over what they made',
    'expected --store FOLDER, or --store s3://BUCKET/PREFIX',
  );
}

export function inWords({ output, title, frames, count, width, height, frameRate, seed, bytes }: Rendered): string {
  const [first, last] = frames;
  const many = count > 1 || first !== last;
  const which = many ? `frames ${first} to ${last}` : `frame ${first}`;
  const rate = many ? `, ${frameRate} frames a second` : '';
  const kilobytes = bytes === undefined ? 0 : Math.ceil(bytes / 1000);
  const size = bytes === undefined ? '' : `, ${bytes < 1e6 ? `${kilobytes} kB` : `${(bytes / 1e6).toFixed(1)} MB`}`;
  return `Wrote ${outputName(output!)}: ${title}, ${which}, ${width} × ${height} pixels${rate}, seed ${seed}${size}`;
}
