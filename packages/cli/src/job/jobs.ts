import { checkupLines, explanationLines } from 'frame-juggler';
import {
  check,
  CheckpointMismatch,
  compare,
  comparisonLines,
  explain,
  isPictureFile,
  isWrittenThrough,
  render,
  Stopped,
  strip,
  type Compared,
} from 'frame-juggler/node';
import type { DrawingThreads } from 'frame-juggler/threads';
import { asSketchError, SketchError } from '../errors.ts';
import type { RunArguments } from '../arguments.ts';
import { handedOn } from '../handed-on.ts';
import { filesRead } from '../load.ts';
import { openSketch, type OpenSketch } from '../open-sketch.ts';
import { valuesToVary } from '../vary.ts';
import { Calls } from '../calls.ts';
import type { FrameChoice, JobData, JobMessage, JobName, JobRequest, Jobs } from './messages.ts';

/* What the thread of a command does. */

/** What a job is done with. */
interface Means {
  readonly tell: (message: JobMessage) => void;
  /** Stops it. */
  readonly signal: AbortSignal;
  /** Those that draw, where they are there already. */
  readonly threads: DrawingThreads | undefined;
}

/** Does what a command asks for, and tells it how that ended. */
export async function doJob({ request, calls: memory }: JobData, means: Means): Promise<void> {
  const { tell } = means;
  const calls = new Calls(memory);
  try {
    const facts = await (jobsOf(calls, means)[request.name] as Job<JobName>)(request);
    tell({ type: 'done', facts });
  } catch (thrown) {
    // Any other error is a bug of ours, and its stack trace helps to fix it.
    const trace = thrown instanceof SketchError || !(thrown instanceof Error) ? undefined : thrown.stack;
    if (thrown instanceof Stopped) tell({ type: 'stopped', whatIsThere: thrown.whatIsThere });
    else tell({ type: 'failed', reason: asSketchError(thrown).message, trace });
  } finally {
    calls.end();
  }
}

type Job<Name extends JobName> = (request: JobRequest<Name>) => Promise<Jobs[Name]['facts']>;

function jobsOf(calls: Calls, { tell, signal, threads }: Means): { readonly [Name in JobName]: Job<Name> } {
  /** How every job reports progress and is stopped. */
  const watched = {
    signal,
    onProgress: (done: number, total: number) => tell({ type: 'progress', done, total }),
    onCall: (call?: { name: 'load' | 'start' | 'step' | 'paint'; frame: number }) =>
      call === undefined ? calls.end() : calls.begin(call.name, call.frame),
  };
  const open = async (file: string, run: RunArguments): Promise<OpenSketch> => {
    calls.begin('load');
    const opened = await openSketch(file, run, (done, total, name) => tell({ type: 'loading', done, total, name }));
    calls.end();
    tell({ type: 'loaded', title: opened.sketch.title, notes: opened.notes });
    return opened;
  };
  return {
    async render({ file, run, output, options }) {
      const { sketch, settings, source } = await open(file, run);
      const onProcess = (pid: number): void => tell({ type: 'process', pid });
      const onNote = (text: string): void => tell({ type: 'note', text });
      const { farm, ...rest } = options;
      const drawn = threads === undefined ? {} : { threads };
      const all = { ...settings, ...rest, ...drawn, source: await source(), onProcess, onNote };
      if (farm === undefined) {
        try {
          return await render(sketch, { to: output!, ...all, ...watched });
        } catch (error) {
          if (!(error instanceof CheckpointMismatch) || (error.spoils && (await isWrittenThrough(output!))))
            throw error;
          // What the sketch remembers by itself is wrong now: loaded anew, it begins from the first frame.
          const fresh = await openSketch(file, run, () => undefined);
          const { checkpoints: _, resume: __, ...rest } = all;
          return render(fresh.sketch, { to: output!, ...rest, ...watched });
        }
      }
      const { renderOnFarm } = await import('../farm/head.ts');
      const patience = run.patience ?? 10;
      const onAlone = (text: string): void => tell({ type: 'waiting', text });
      return renderOnFarm({ ...watched, file, sketch, code: await filesRead(), to: output!, farm, options: all, patience, onAlone }); // prettier-ignore
    },
    async strip({ file, run, output, options: { vary, ...options } }) {
      const { sketch, settings } = await open(file, run);
      // A table of pairs has fewer of each.
      const isTable = (vary?.length ?? 0) + (options.seeds === undefined ? 0 : 1) > 1;
      const values = vary && valuesToVary(sketch.dials, vary, options.count ?? (isTable ? 4 : 8));
      return strip(sketch, { to: output!, ...settings, ...options, ...(values && { vary: values }), ...watched });
    },
    async pack({ file, run, output, options }) {
      const { sketch, settings } = await open(file, run);
      const { packPage } = await import('../pack/pack-page.ts');
      return packPage(
        file,
        sketch,
        output!,
        handedOn(settings, ['seed', 'width', 'height', 'dials']),
        options,
        watched,
      );
    },
    async explain({ file, run, output, options: { as, width, whole, ...options } }) {
      const { sketch, settings } = await open(file, run);
      const found = await explain(sketch, {
        ...settings,
        ...options,
        ...watched,
        ...(output !== undefined && { to: output }),
      });
      if (as === 'json') return JSON.stringify(found);
      return as === 'words' ? found.words : explanationLines(found, width, whole).join('\n');
    },
    async check({ file, run, options: { width, ...options } }) {
      const { sketch, settings } = await open(file, run);
      const found = await check(sketch, { ...settings, ...options, ...watched });
      return { found, lines: checkupLines(found, width) };
    },
    async compare({ file, run, output, options: { other = file, at, otherAt = at, otherSeed, width, ...options } }) {
      if ([file, other].every(isPictureFile) && (otherAt ?? otherSeed) !== undefined)
        throw new SketchError({
          problem: 'pictures have neither frames nor seeds',
          expected: 'leave those options out',
        });
      const sideOf = async (name: string, settled: RunArguments, at: FrameChoice | undefined): Promise<Compared> => {
        if (isPictureFile(name)) return name;
        const { sketch, settings } = await open(name, settled);
        return { sketch, ...settings, ...at, ...watched };
      };
      const one = await sideOf(file, run, at);
      const two = await sideOf(other, otherSeed === undefined ? run : { ...run, seed: otherSeed }, otherAt);
      const found = await compare(one, two, { ...options, ...(output !== undefined && { to: output }) });
      return { found, lines: comparisonLines(found, width) };
    },
  };
}
