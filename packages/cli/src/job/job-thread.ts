import { parentPort, workerData } from 'node:worker_threads';
import { asSketchError, SketchError, type Sketch } from 'frame-juggler';
import { render, Stopped, strip, type RenderOptions, type StripOptions } from 'frame-juggler/node';
import { openSketch } from '../open-sketch.ts';
import { Calls } from '../calls.ts';
import type { JobData, JobMessage, JobName, JobOrder, Jobs } from './messages.ts';

/* The thread in which a command's work is done, the sketch's own code among it. */

type Job = (sketch: Sketch, output: string, options: RenderOptions & StripOptions) => Promise<Jobs[JobName]['facts']>;

const jobs: Readonly<Record<JobName, Job>> = {
  render,
  // What a strip was made from is not kept, and no other process makes it.
  strip: (sketch, output, { source: _source, onProcess: _onProcess, ...options }) => strip(sketch, output, options),
};

const port = parentPort!;
const { request, calls: memory } = workerData as JobData;
const calls = new Calls(memory);
const tell = (message: JobMessage): void => port.postMessage(message);
const stop = new AbortController();
port.on('message', (order: JobOrder) => {
  if (order === 'stop') stop.abort();
});

try {
  const { name, file, output, run, options } = request;
  calls.begin('load');
  const { sketch, settings, notes } = await openSketch(file, run, (done, total, name) =>
    tell({ type: 'loading', done, total, name }),
  );
  calls.end();
  tell({ type: 'loaded', title: sketch.title, notes });
  const facts = await jobs[name](sketch, output, {
    ...settings,
    ...options,
    signal: stop.signal,
    onProgress: (done, total) => tell({ type: 'progress', done, total }),
    onCall: (call) => (call === undefined ? calls.end() : calls.begin(call.name, call.frame)),
    onProcess: (pid) => tell({ type: 'process', pid }),
  });
  tell({ type: 'done', facts });
} catch (thrown) {
  // A fault that is none of the sketch's is ours: its trace helps to mend it.
  const trace = thrown instanceof SketchError || !(thrown instanceof Error) ? undefined : thrown.stack;
  if (thrown instanceof Stopped) tell({ type: 'stopped', whatIsThere: thrown.whatIsThere });
  else tell({ type: 'failed', reason: asSketchError(thrown).message, trace });
} finally {
  calls.end();
  // Nothing keeps the thread any more but what the sketch has left open.
  port.close();
}
