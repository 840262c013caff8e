import type { Session } from 'node:inspector';
import { setTimeout as delay } from 'node:timers/promises';
import type { Worker } from 'node:worker_threads';

/**
 * How long a busy thread is given to be held: so many looks, so many milliseconds apart. They are counted, as this process
 * may stand still itself, and has given the thread no time then.
 */
const looks = { count: 50, apart: 100 };

/** The calls that a thread is in, as an error's stack says them, by the source map: to be evaluated in the thread. */
const stackHere = `(() => {
  const { stackTraceLimit } = Error;
  Error.stackTraceLimit = 100;
  try { return new Error().stack; } finally { Error.stackTraceLimit = stackTraceLimit; }
})()`;

/**
 * Where a thread is that does not answer: the stack of the calls it is in. It is held for a moment by the debugger's
 * protocol, the only thing that reaches a thread in an endless loop.
 * @returns undefined where it cannot be told, or the thread only waits, as for a file or another thread
 */
export async function stackOf(thread: Worker): Promise<string | undefined> {
  if (!(await isBusy(thread))) return undefined;
  const attached: string[] = [];
  let session: Session | undefined;
  try {
    // Loaded only now: there are Nodes without it, and most jobs are never stuck.
    const inspector = await import('node:inspector');
    session = new inspector.Session();
    session.connect();
    const stack = heldStack(session, thread.threadId, (id) => attached.push(id));
    return await Promise.race([stack, lookedLong()]);
  } catch {
    // Without its debugger, Node cannot tell.
    return undefined;
  } finally {
    // A thread that is held cannot be ended.
    for (const sessionId of attached)
      await new Promise<void>((resolve) => session!.post('NodeWorker.detach', { sessionId }, () => resolve()));
    session?.disconnect();
  }
}

async function isBusy({ performance }: Worker): Promise<boolean> {
  const before = performance.eventLoopUtilization();
  await delay(looks.apart);
  return performance.eventLoopUtilization(before).utilization > 0.5;
}

async function lookedLong(): Promise<undefined> {
  for (let look = 0; look < looks.count; look++) await delay(looks.apart, undefined, { ref: false });
}

/** What the debugger of a thread answers to a question, or tells by itself. */
interface Said {
  readonly id?: number;
  readonly method?: string;
  readonly params?: { readonly callFrames: readonly { readonly callFrameId: string }[] };
  readonly result?: { readonly result?: { readonly value?: unknown } };
}

const questions = { enable: 1, hold: 2, stack: 3 } as const;

function heldStack(session: Session, thread: number, onAttached: (id: string) => void): Promise<string | undefined> {
  return new Promise((resolve, reject) => {
    const post = (sessionId: string, id: number, method: string, params = {}): void =>
      session.post('NodeWorker.sendMessageToWorker', { sessionId, message: JSON.stringify({ id, method, params }) }, (error) => error && reject(error)); // prettier-ignore
    session.on('NodeWorker.attachedToWorker', ({ params: { sessionId, workerInfo } }) => {
      // There are others, such as the one for the hooks of imports. An identifier of theirs is not that of the thread.
      if (!workerInfo.title.startsWith(`[worker ${thread}]`)) return;
      onAttached(sessionId);
      post(sessionId, questions.enable, 'Debugger.enable');
      post(sessionId, questions.hold, 'Debugger.pause');
    });
    session.on('NodeWorker.receivedMessageFromWorker', ({ params: { sessionId, message } }) => {
      const { id, method, params, result } = JSON.parse(message) as Said;
      if (method === 'Debugger.paused') {
        const { callFrameId } = params!.callFrames[0];
        post(sessionId, questions.stack, 'Debugger.evaluateOnCallFrame', { callFrameId, expression: stackHere });
      }
      if (id !== questions.stack) return;
      const stack = result?.result?.value;
      // What is evaluated is a call by itself, of which Node tells another line.
      resolve(typeof stack === 'string' ? stack.replaceAll(/^.*\beval at .*\n/gm, '') : undefined);
    });
    session.post('NodeWorker.enable', { waitForDebuggerOnStart: false }, (error) => error && reject(error));
  });
}
