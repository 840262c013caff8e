import { parentPort, workerData } from 'node:worker_threads';
import { hostname } from 'node:os';
import { asSketchError } from '../errors.ts';
import { CheckpointMismatch, ChunkRenderer, TookTooLong } from 'frame-juggler/node';
import { load, readyToLoad } from '../load.ts';
import { names, spoiled, toJson, type ChunkFacts, type ChunkOrder, type FilmOrder } from './order.ts';
import { folderOf, openStore } from './store.ts';

/* The thread of a worker in which one film's sketch runs: chunk after chunk, as they are handed to it. */

/** What the thread is given to begin. */
export interface ChunkThreadData {
  readonly file: string;
  readonly film: string;
  readonly order: FilmOrder;
  readonly store: string;
  readonly threads: number | undefined;
}

/** What the thread tells: of the chunk whose first frame that is, or, where there is none, of all. */
export type ChunkThreadMessage = { readonly first?: number } & (
  | { readonly type: 'ready' }
  | { readonly type: 'progress'; readonly done: number }
  | { readonly type: 'done'; readonly facts: ChunkFacts }
  | { readonly type: 'failed'; readonly reason: string; readonly ofSketch: boolean }
);

const port = parentPort!;
const tell = (message: ChunkThreadMessage): void => port.postMessage(message);
const { file, film, order, store: place, threads } = workerData as ChunkThreadData;

async function open(): Promise<(chunk: ChunkOrder) => Promise<ChunkFacts>> {
  readyToLoad();
  const store = await openStore(place);
  const openRenderer = async (): Promise<ChunkRenderer> =>
    new ChunkRenderer(await load(file), order.to, {
      ...order.options,
      ...(threads !== undefined && { threads }),
      source: order.source,
      checkpoints: folderOf(store, names.checkpoints(film)),
      timeLimit: order.patience,
    });
  let renderer = await openRenderer();
  // One is rendered after the other; the next need not wait until the one before is stored.
  let turn: Promise<unknown> = Promise.resolve();
  return async ({ frames, upon }) => {
    const [first, last] = frames;
    const under = upon ? await store.get(names.picture(film, first - 1)) : undefined;
    const onFrame = (done: number): void => tell({ first, type: 'progress', done });
    let began = 0;
    const rendered = turn.then(async () => {
      began = performance.now();
      const options = { onFrame, ...(under !== undefined && { under }) };
      try {
        return await renderer.render(frames, options);
      } catch (error) {
        if (!(error instanceof CheckpointMismatch) || error.spoils) throw error;
        // What the sketch remembers by itself is wrong now: loaded anew, it begins from the first frame.
        await renderer.close();
        renderer = await openRenderer();
        return renderer.render(frames, options);
      }
    });
    turn = rendered.catch(() => undefined);
    const { bytes, picture, before, after } = await rendered;
    const took = Math.round(performance.now() - began);
    await store.put(names.bytes(film, frames), bytes);
    if (picture !== undefined) await store.put(names.picture(film, last), picture);
    const facts: ChunkFacts = {
      frames,
      ...(before !== undefined && { before }),
      ...(after !== undefined && { after }),
      size: bytes.length,
      took,
      host: hostname(),
    };
    // Written last: where it is, all is.
    await store.put(names.facts(film, frames), toJson(facts));
    return facts;
  };
}

function tellFailure(thrown: unknown, first?: number): void {
  const error = asSketchError(thrown);
  const ofSketch = error.frame !== undefined || error instanceof TookTooLong || error instanceof CheckpointMismatch;
  const reason = thrown instanceof CheckpointMismatch ? `${spoiled}: ${error.message}` : error.message;
  tell({ ...(first !== undefined && { first }), type: 'failed', reason, ofSketch });
}

try {
  const render = await open();
  port.on('message', (chunk: ChunkOrder) => {
    const [first] = chunk.frames;
    render(chunk).then((facts) => tell({ first, type: 'done', facts }), (thrown: unknown) => tellFailure(thrown, first)); // prettier-ignore
  });
  tell({ type: 'ready' });
} catch (thrown) {
  tellFailure(thrown);
}
