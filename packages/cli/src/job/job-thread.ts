import { once } from 'node:events';
import { parentPort } from 'node:worker_threads';
import type { JobData, JobOrder } from './messages.ts';
import { threadsAhead } from './threads-ahead.ts';

/*
 * The thread in which a command's work is done, the sketch's own code among it. Where many frames are to be drawn, the
 * threads that draw are started before what does the work is loaded: they get ready meanwhile.
 */

const port = parentPort!;
const stop = new AbortController();
port.on('message', (order: JobOrder) => {
  if (order === 'stop') stop.abort();
});
const [data] = (await once(port, 'message')) as [JobData];
const threads = await threadsAhead(data.request);
const { doJob } = await import('./jobs.ts');
await doJob(data, { tell: (message) => port.postMessage(message), signal: stop.signal, threads });
// Nothing keeps the thread any more but what the sketch has left open.
port.close();
