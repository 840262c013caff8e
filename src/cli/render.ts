import { stat } from 'node:fs/promises';
import { availableParallelism } from 'node:os';
import { Command, Option } from 'commander';
import { pictureSize } from '../canvas/frame.ts';
import type { Chroma } from '../encode/y4m.ts';
import { SketchError } from '../error.ts';
import { DrawPool } from '../node/draw-pool.ts';
import { formats, openOutput, readTarget, type Format, type Target } from '../node/outputs/index.ts';
import type { OutputSetting } from '../node/outputs/output.ts';
import { frameFile } from '../node/outputs/sequence.ts';
import { renderFrames } from '../node/render-frames.ts';
import { standardOutput } from '../node/sink.ts';
import {
  addRunOptions,
  atOption,
  countOption,
  frameOption,
  framesOption,
  jsonOption,
  quietOption,
  type FrameArguments,
  type ReportArguments,
  type RunArguments,
} from './arguments.ts';
import { openRun, rangeOf } from './open-run.ts';
import { Progress } from './progress.ts';

/** What `render` was told. */
export interface RenderArguments extends RunArguments, FrameArguments, ReportArguments {
  frames?: [number, number];
  format?: Format;
  chroma?: Chroma;
  workers?: number;
  resume?: boolean;
  overwrite?: boolean;
}

/** So few frames are drawn before threads of their own would have started. */
const fewFrames = 6;

export function renderCommand(): Command {
  const command = new Command('render')
    .description('Renders a frame of a sketch, or all of them, to files.')
    .argument('<sketch>', 'the sketch file: .ts, .mts, .js or .mjs')
    .requiredOption('-o, --output <file>', 'where to: see below; - is standard output')
    .addOption(frameOption())
    .addOption(atOption())
    .addOption(framesOption().conflicts(['frame', 'at']));
  return addRunOptions(command)
    .addOption(new Option('--format <kind>', 'the kind of file, for standard output').choices(formats))
    .addOption(new Option('--chroma <kind>', 'how finely video keeps colour').choices(['420', '444']).default('420'))
    .addOption(new Option('--resume', 'makes only the frames of a sequence that are not there yet'))
    .addOption(new Option('--overwrite', "replaces another run's frames").conflicts('resume'))
    .addOption(countOption('--workers <n>', 'threads that draw; as many as there are cores if left out'))
    .addOption(quietOption())
    .addOption(jsonOption())
    .addHelpText(
      'after',
      `
The output's name says what is made:
  .png .svg                     one frame
  .gif .apng .y4m .mp4 .webm    the whole run, or --frames of it (.mp4 and .webm by an installed encoder)
  frames/%04d.png               a file a frame, also .svg

Examples:
  juggle render harbour.ts -o harbour.png
  juggle render harbour.ts -o late.svg --at 4.5
  juggle render harbour.ts -o harbour.gif --size 480x270
  juggle render harbour.ts -o frames/%04d.png --frames 0..299 --resume
  juggle render harbour.ts -o other.png --seed 7 --dial swell=20`,
    )
    .action(async (file: string, { output, ...options }: RenderArguments & { output: string }) => {
      const done = await render(file, output, options);
      const say = output === standardOutput ? process.stderr : process.stdout;
      if (options.json === true) say.write(`${JSON.stringify(done.facts)}\n`);
      else if (options.quiet !== true) say.write(`${done.said}\n`);
    });
}

/** What a render made, in words and as data. */
export interface Rendered {
  readonly said: string;
  readonly facts: Readonly<Record<string, unknown>>;
}

/** Renders a sketch file's frames to where an output's name says. */
export async function render(file: string, output: string, options: RenderArguments): Promise<Rendered> {
  const target = readTarget(output, options.format);
  checkTogether(target, options);
  const quiet = options.quiet === true;
  const loading = new Progress(0, 'files', quiet);
  const { run, sign } = await openRun(file, options, loading.loading);
  const { sketch } = run;
  const single = options.at === undefined ? (options.frame ?? 0) : run.frameAtSeconds(options.at);
  const frames = target.many ? rangeOf(run, options.frames) : ([single, single] as const);
  const number = frames[1] - frames[0] + 1;
  const setting: OutputSetting = {
    ...pictureSize(run),
    frameRate: sketch.frameRate,
    repeat: sketch.repeat,
    frames: target.many ? frames : [run.frameAfterRounds(single), run.frameAfterRounds(single)],
    title: sketch.title,
    seed: run.seed,
    sign,
  };
  const { resume = false, overwrite = false, chroma = '420' } = options;
  const pool = new DrawPool(number < fewFrames ? 0 : (options.workers ?? availableParallelism()));
  const opened = await openOutput(target, setting, { resume, overwrite, chroma }, pool);
  const progress = new Progress(number, 'frames', quiet);
  const stop = new AbortController();
  const onSignal = (): void => stop.abort();
  process.once('SIGINT', onSignal).once('SIGTERM', onSignal);
  try {
    await renderFrames(run, opened, { frames, pool, signal: stop.signal, onFrame: (done) => progress.at(done) });
    progress.end();
    if (stop.signal.aborted) throw new Stopped(target, frames, progress.count);
    await opened.finish();
  } catch (error) {
    progress.end();
    await opened.abandon();
    if (error instanceof SketchError && target.many && !(error instanceof Stopped))
      error.message += `. ${whatIsThere(target, frames, progress.count)}`;
    throw error;
  } finally {
    process.off('SIGINT', onSignal).off('SIGTERM', onSignal);
    await pool.close();
  }
  return report(target, setting, number, await sizeOf(target));
}

/** Options that say two things at once. */
function checkTogether({ many, output }: Target, options: RenderArguments): void {
  if (!many && options.frames !== undefined)
    throw new SketchError({
      problem: `${output} holds one frame, but --frames asks for several`,
      expected: 'expected a name like frames/%04d.png, or .gif, .apng, .y4m, .mp4, .webm',
    });
  if (many && (options.frame !== undefined || options.at !== undefined))
    throw new SketchError({
      problem: `${output} holds many frames, but one was asked for`,
      expected: 'expected --frames A..B, or a .png or .svg',
    });
  if (options.resume === true && !/%(0\d+)?d/.test(output))
    throw new SketchError({
      problem: '--resume goes on with a sequence',
      expected: 'expected -o like frames/%04d.png',
    });
}

/** Someone stopped the job. */
export class Stopped extends SketchError {
  constructor(target: Target, frames: readonly [number, number], done: number) {
    super({ problem: `stopped. ${whatIsThere(target, frames, done)}` });
  }
}

function whatIsThere({ output, format }: Target, [first]: readonly [number, number], done: number): string {
  if (format !== 'png' && format !== 'svg') return `Nothing was written to ${output}`;
  if (done === 0) return 'No frame is there yet';
  const last = frameFile(output, first + done - 1);
  return `${done === 1 ? frameFile(output, first) : `${frameFile(output, first)} to ${last}`} ${done === 1 ? 'is' : 'are'} there: --resume goes on`;
}

async function sizeOf({ output }: Target): Promise<number | undefined> {
  return (await stat(output).catch(() => undefined))?.size;
}

function report(target: Target, setting: OutputSetting, number: number, bytes: number | undefined): Rendered {
  const { output } = target;
  const { title, frames, width, height, seed, frameRate } = setting;
  const which = target.many ? `frames ${frames[0]} to ${frames[1]}` : `frame ${frames[0]}`;
  const rate = target.many ? `, ${frameRate} frames a second` : '';
  const large =
    bytes === undefined ? '' : `, ${bytes < 1e6 ? `${Math.ceil(bytes / 1000)} kB` : `${(bytes / 1e6).toFixed(1)} MB`}`;
  return {
    said: `Wrote ${output === standardOutput ? 'standard output' : output}: ${title}, ${which}, ${width} × ${height} pixels${rate}, seed ${seed}${large}`,
    facts: { output, title, frames, count: number, width, height, frameRate, seed, bytes },
  };
}
