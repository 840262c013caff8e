import { setTimeout as delay } from 'node:timers/promises';
import type { SketchError, SourceLine } from 'frame-juggler';
import type { RenderOptions } from 'frame-juggler/node';
import { loadLibrary, type Library } from '../load-library.ts';
import type { Progress } from '../progress.ts';
import { Calls, type SketchCall } from '../calls.ts';
import { jobThread } from './thread.ts';
import { stackOf } from './thread-stack.ts';
import type { JobMessage, JobName, JobOrder, JobRequest, Jobs } from './messages.ts';

/** What ends a job before its time, as an error once the library is there. */
type Fault = (library: Library) => Error;

/** Milliseconds: how often the thread is checked, how long it has to stop by itself, and to exit once it is done. */
const times = { look: 50, toStop: 700, toEnd: 200 };

/** Loading a sketch is given so much longer than one of its frames, in seconds: it is compiled, and reads files. */
const toLoad = 3;

/** How a job is looked after that is none of a command's own. */
export interface JobWatch {
  /** Whether what the sketch prints is dropped. */
  readonly silent?: boolean;
  /** Ends the job at once. */
  readonly signal?: AbortSignal;
  /** Told of a call that takes longer than `--patience`, and the line that it was at, where that can be told. */
  readonly onStuck?: (call: SketchCall, source: SourceLine | undefined) => void;
}

/**
 * Does a command's work in a thread, and can end it whatever the sketch does: on Ctrl-C, or when a function of the sketch
 * takes longer than `--patience`. No unfinished file is left behind.
 * @throws SketchError that says what went wrong
 */
export async function runJob<Name extends JobName>(
  request: JobRequest<Name>,
  progress: Progress,
  { silent = false, signal, onStuck }: JobWatch = {},
): Promise<Jobs[Name]['facts']> {
  const calls = new Calls();
  const worker = jobThread(silent);
  const ended = new Promise<void>((resolve) => worker.once('exit', () => resolve()));
  const processes: number[] = [];
  let done = 0;
  let title = '';
  let graceful = false;
  /** Printed after the progress bar is gone. */
  const notes: string[] = [];
  const timers: NodeJS.Timeout[] = [];
  // Of the frame that is shown at a moment only the thread knows the number.
  const { frames, frame = Infinity } = request.options as RenderOptions;
  const first = frames?.[0] ?? (request.name === 'render' ? frame : 0);
  const { output } = request;
  const there = ({ whatIsThere }: Library): string =>
    output === undefined ? 'Nothing was done' : whatIsThere(output, first, done);
  const stopped: Fault = (library) => new library.Stopped(there(library));
  let onSignal = (): void => undefined;

  type Ending = { readonly facts: Jobs[Name]['facts'] } | { readonly fault: Fault };
  const ending = await new Promise<Ending>((resolve) => {
    const fail = (fault: Fault): void => resolve({ fault });
    worker.on('message', (message: JobMessage) => {
      switch (message.type) {
        case 'loading':
          return progress.loading(message.done, message.total, message.name);
        case 'progress':
          done = message.done;
          return progress.at(message.done, message.total);
        case 'waiting':
          return progress.waiting(message.text);
        case 'note':
          return void notes.push(message.text);
        case 'process':
          return void processes.push(message.pid);
        case 'loaded':
          title = message.title;
          for (const note of message.notes) progress.note(note);
          return;
        case 'done':
          graceful = true;
          progress.end();
          for (const note of notes) progress.note(note);
          return resolve({ facts: message.facts as Jobs[Name]['facts'] });
        case 'stopped':
          graceful = true;
          return fail(({ Stopped }) => new Stopped(message.whatIsThere));
        case 'failed':
          graceful = true;
          if (message.trace !== undefined && process.env.JUGGLE_TRACE !== undefined) console.error(message.trace);
          return fail(({ SketchError }) => new SketchError({ problem: message.reason }));
      }
    });
    worker.once('error', (error) => {
      const isFull = 'code' in error && error.code === 'ERR_WORKER_OUT_OF_MEMORY';
      fail(isFull ? outOfMemory(title || request.file, calls.current) : uncaught(error));
    });
    worker.once('exit', (code) => fail(endedItself(request.file, code)));

    worker.postMessage({ request, calls: calls.memory } satisfies JobOrder);

    onSignal = () => {
      if (timers.length > 1) return fail(stopped);
      worker.postMessage('stop' satisfies JobOrder);
      timers.push(setTimeout(() => fail(stopped), times.toStop));
    };
    process.on('SIGINT', onSignal).on('SIGTERM', onSignal);
    signal?.addEventListener('abort', () => fail(stopped), { once: true });

    const patience = request.run.patience ?? 10;
    const tookTooLong =
      (call: SketchCall, stack: string | undefined): Fault =>
      (library) => {
        const { source, caller } = library.asSketchError(Object.assign(new Error('It was held here'), { stack }));
        onStuck?.(call, source);
        const { kind, frame } = call;
        if (kind === 'load') return neverLoaded(library, request.file, patience + toLoad).at(source, caller);
        const error = new library.TookTooLong(title, frame, kind, patience).at(source, caller);
        if (done > 0) error.message += `. ${there(library)}`;
        return error;
      };
    let isStuck = false;
    let seen = { number: -1, since: 0 };
    timers.push(
      setInterval(() => {
        if (done === 0 && calls.frame < first) progress.onTheWay(calls.frame);
        const { current } = calls;
        const now = performance.now();
        if (current === undefined) seen = { number: -1, since: now };
        else if (current.number !== seen.number) seen = { number: current.number, since: now };
        else if (
          patience > 0 &&
          !isStuck &&
          now - seen.since > (patience + (current.kind === 'load' ? toLoad : 0)) * 1000
        ) {
          isStuck = true;
          void stackOf(worker).then((stack) => fail(tookTooLong(current, stack)));
        }
      }, times.look),
    );
  });
  for (const timer of timers) clearInterval(timer);
  // Output of the sketch is still on its way. The timer is unreferenced, so that the process need not wait for it.
  if (graceful) await Promise.race([ended, delay(times.toEnd, undefined, { ref: false })]);
  await worker.terminate();
  // What ended by itself has seen to its encoder, whose number may be another's by now.
  if (!graceful) for (const pid of processes) kill(pid);
  try {
    if ('facts' in ending) return ending.facts;
    const library = await loadLibrary();
    if (output !== undefined) await library.discardUnfinished(output);
    throw ending.fault(library);
  } finally {
    process.off('SIGINT', onSignal).off('SIGTERM', onSignal);
  }
}

function neverLoaded({ SketchError }: Library, file: string, seconds: number): SketchError {
  return new SketchError({
    problem: `${file} was never loaded: it was stopped after ${seconds} s`,
    expected:
      'look for a loop that never ends, an await that never comes or a damaged file, or give it longer with --patience',
  });
}

function outOfMemory(what: string, call: SketchCall | undefined): Fault {
  const where = call === undefined || call.kind === 'load' ? '' : ` in ${call.kind} of frame ${call.frame}`;
  return ({ SketchError }) =>
    new SketchError({
      problem: `${what} used up all memory${where}`,
      expected: 'look for a loop that never ends, or a list that grows from frame to frame',
    });
}

/** What a sketch threw when none of its calls was running, as in a timer. One of ours lost its kind between threads. */
function uncaught(error: Error): Fault {
  return ({ asSketchError, SketchError }) =>
    error.name === 'SketchError' ? new SketchError({ problem: error.message }) : asSketchError(error);
}

function endedItself(file: string, code: number): Fault {
  return ({ SketchError }) =>
    new SketchError({
      problem: `${file} ended the work by itself, with exit code ${code}`,
      expected: 'leave process.exit out of a sketch',
    });
}

function kill(pid: number): void {
  try {
    process.kill(pid, 'SIGKILL');
  } catch {
    // It has ended already.
  }
}
