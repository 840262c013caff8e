import { parentPort, workerData } from 'node:worker_threads';
import { hostname } from 'node:os';
import { addHostCode, asSketchError } from 'frame-juggler';
import { ChunkRenderer, TookTooLong } from 'frame-juggler/node';
import { load, readyToLoad } from '../load.ts';
import { names, toJson, type ChunkFacts, type ChunkOrder, type FilmOrder } from './order.ts';
import { openStore } from './store.ts';

/* The thread of a worker in which one film's sketch runs: chunk after chunk, as they are handed to it. */

/** What the thread is given to begin. */
export interface ChunkThreadData {
  readonly file: string;
  readonly film: string;
  readonly order: FilmOrder;
  readonly store: string;
  readonly threads: number | undefined;
}

export type ChunkThreadMessage =
  | { readonly type: 'ready' }
  | { readonly type: 'progress'; readonly done: number }
  | { readonly type: 'done'; readonly facts: ChunkFacts }
  | { readonly type: 'failed'; readonly reason: string; readonly ofSketch: boolean };

addHostCode(new URL('..', import.meta.url).href);
const port = parentPort!;
const tell = (message: ChunkThreadMessage): void => port.postMessage(message);
const { file, film, order, store: place, threads } = workerData as ChunkThreadData;

async function open(): Promise<(chunk: ChunkOrder) => Promise<ChunkFacts>> {
  readyToLoad();
  const sketch = await load(file);
  const store = await openStore(place);
  const renderer = new ChunkRenderer(sketch, order.to, {
    ...order.options,
    ...(threads !== undefined && { threads }),
    source: Buffer.from(order.source, 'base64'),
    timeLimit: order.patience,
  });
  return async ({ frames, upon }) => {
    const began = performance.now();
    const under = upon ? await store.get(names.picture(film, frames[0] - 1)) : undefined;
    const onFrame = (done: number): void => tell({ type: 'progress', done });
    const { bytes, picture, before, after } = await renderer.render(frames, {
      onFrame,
      ...(under !== undefined && { under }),
    });
    await store.put(names.bytes(film, frames), bytes);
    if (picture !== undefined) await store.put(names.picture(film, frames[1]), picture);
    const facts: ChunkFacts = {
      frames,
      ...(before !== undefined && { before }),
      ...(after !== undefined && { after }),
      took: Math.round(performance.now() - began),
      host: hostname(),
    };
    // Written last: where it is, all is.
    await store.put(names.facts(film, frames), toJson(facts));
    return facts;
  };
}

const failed = (thrown: unknown): void => {
  const error = asSketchError(thrown);
  tell({ type: 'failed', reason: error.message, ofSketch: error.frame !== undefined || error instanceof TookTooLong });
};

try {
  const render = await open();
  port.on('message', (chunk: ChunkOrder) => {
    render(chunk).then((facts) => tell({ type: 'done', facts }), failed);
  });
  tell({ type: 'ready' });
} catch (thrown) {
  failed(thrown);
}
