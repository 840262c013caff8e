import { once } from 'node:events';
import { mkdir, mkdtemp, rm } from 'node:fs/promises';
import { hostname, tmpdir } from 'node:os';
import path from 'node:path';
import { Worker as Thread } from 'node:worker_threads';
import { randomUUID } from 'node:crypto';
import { SketchError } from 'frame-juggler';
import type { ChunkThreadData, ChunkThreadMessage } from './chunk-thread.ts';
import { keys, keysLike, lease, openLink, queueName, unwanted, version, type Link } from './link.ts';
import { names, readJson, type ChunkFacts, type ChunkOrder, type FilmOrder } from './order.ts';
import { unpackParcel } from './parcel.ts';
import { openStore, type Store } from './store.ts';

export interface WorkOptions {
  readonly queue: string;
  readonly store: string;
  readonly threads?: number;
  /** Ends the work, once the chunk at hand is given back. */
  readonly signal: AbortSignal;
  readonly say: (line: string) => void;
}

/** What the queue is told of a chunk that failed for good. */
class Failed extends Error {}

/** Takes chunks from a queue and renders them, until it is told to stop. */
export async function work({ queue, store: place, threads, signal, say }: WorkOptions): Promise<void> {
  const store = await openStore(place);
  const link = await openLink(queue);
  const folder = await mkdtemp(path.join(tmpdir(), 'frame-juggler-work-'));
  const films = new FilmThread({ link, store, place, folder, threads });
  const { Worker, UnrecoverableError, WaitingError } = link.bull;
  const worker = new Worker<ChunkOrder, ChunkFacts>(
    queueName,
    async (job, token) => {
      const { film, frames } = job.data;
      try {
        const facts = await films.render(job.data, (done) => void job.updateProgress(done).catch(() => undefined));
        say(`${film.slice(0, 8)}: frames ${frames[0]} to ${frames[1]}, ${(facts.took / 1000).toFixed(1)} s`);
        return facts;
      } catch (error) {
        if (signal.aborted) {
          await job.moveToWait(token);
          throw new WaitingError();
        }
        const reason = `${(error as Error).message} (on ${hostname()})`;
        say(`${film.slice(0, 8)}: frames ${frames[0]} to ${frames[1]}: ${(error as Error).message}`);
        if (error instanceof Failed) throw new UnrecoverableError(reason);
        throw new Error(reason, { cause: error });
      }
    },
    // A machine that dies loses its hold of a chunk after ten seconds: another takes it.
    { connection: link.connect(), lockDuration: 10_000, stalledInterval: 5000, maxStalledCount: 10_000 },
  );
  worker.on('error', () => undefined);
  const presence = setInterval(() => void present(link, say), lease.renewed * 1000);
  await present(link, say);
  say(`Waiting for chunks of ${queueName}`);
  try {
    if (!signal.aborted) await once(signal, 'abort');
    say('Stopping: the chunk at hand goes back to the queue');
  } finally {
    clearInterval(presence);
    await films.stop();
    await Promise.race([worker.close(), new Promise((resolve) => setTimeout(resolve, 3000))]);
    await link.redis.del(keys.worker(workerId)).catch(() => undefined);
    await link.close();
    await rm(folder, { recursive: true, force: true });
  }
}

const workerId = randomUUID();
const refused = new Set<string>();

/** Tells that this worker is there, and says which films it leaves alone, as they are of another version. */
async function present({ redis }: Link, say: (line: string) => void): Promise<void> {
  // Where the server is away for a while, so are we.
  if (redis.status !== 'ready') return;
  await redis.set(keys.worker(workerId), JSON.stringify({ host: hostname(), version }), 'EX', lease.lasts);
  for (const key of await keysLike(redis, keys.film('*'))) {
    const found = await redis.get(key);
    if (found === null || refused.has(key)) continue;
    const { title, version: theirs } = JSON.parse(found) as { title: string; version: string };
    if (theirs === version) continue;
    refused.add(key);
    say(
      `Not taken: ${title} is of version ${theirs}, and this is ${version}: the same one is to be installed everywhere`,
    );
  }
}

interface Means {
  readonly link: Link;
  readonly store: Store;
  readonly place: string;
  /** Where sketches are laid out. */
  readonly folder: string;
  readonly threads: number | undefined;
}

/** A thread for the film at hand: its sketch stays loaded from chunk to chunk, and its run goes on. */
class FilmThread {
  private thread: Thread | undefined;
  private film: string | undefined;
  private failed: ((error: Error) => void) | undefined;

  constructor(private readonly means: Means) {}

  async render(chunk: ChunkOrder, onProgress: (done: number) => void): Promise<ChunkFacts> {
    const { redis } = this.means.link;
    const isWanted = async (): Promise<boolean> =>
      redis.status !== 'ready' || (await redis.exists(keys.film(chunk.film))) === 1;
    if (!(await isWanted())) throw new Failed(unwanted);
    const watch = setInterval(() => {
      isWanted().then((wanted) => (wanted ? undefined : this.give(new Failed(unwanted))), () => undefined); // prettier-ignore
    }, 1000);
    let told = 0;
    try {
      const thread = await this.threadOf(chunk.film);
      return await new Promise<ChunkFacts>((resolve, reject) => {
        this.failed = reject;
        thread.removeAllListeners('message');
        thread.on('message', (message: ChunkThreadMessage) => {
          if (message.type === 'done') resolve(message.facts);
          else if (message.type === 'failed')
            reject(message.ofSketch ? new Failed(message.reason) : new Error(message.reason)); // prettier-ignore
          else if (message.type === 'progress' && performance.now() - told > 300) {
            told = performance.now();
            onProgress(message.done);
          }
        });
        thread.postMessage(chunk);
      });
    } catch (error) {
      // What it was about is not known any more.
      await this.stop();
      throw error;
    } finally {
      clearInterval(watch);
      this.failed = undefined;
    }
  }

  async stop(): Promise<void> {
    this.give(new Error('the worker was stopped'));
    const { thread } = this;
    this.thread = this.film = undefined;
    await thread?.terminate();
  }

  private give(error: Error): void {
    this.failed?.(error);
  }

  private async threadOf(film: string): Promise<Thread> {
    if (this.thread !== undefined && this.film === film) return this.thread;
    await this.stop();
    const { store, place, folder, threads } = this.means;
    const found = await store.get(names.film(film));
    if (found === undefined)
      throw new SketchError({ problem: `the store ${place} holds nothing of this film`, expected: 'expected the same --store as where it is rendered from' }); // prettier-ignore
    const order = readJson<FilmOrder>(found);
    const own = path.join(folder, film);
    await mkdir(own, { recursive: true });
    const file = await unpackParcel(store, film, order.parcel, own);
    const data: ChunkThreadData = { file, film, order, store: place, threads };
    const thread = new Thread(new URL('./chunk-thread.js', import.meta.url), { workerData: data });
    const ready = new Promise<void>((resolve, reject) => {
      this.failed = reject;
      thread.once('message', (message: ChunkThreadMessage) =>
        message.type === 'failed' ? reject(new Failed(message.reason)) : resolve(),
      );
    });
    // Whatever ends it: the sketch may, by itself.
    thread.once('error', (error) => this.give(new Failed(error.message)));
    thread.once('exit', () => this.give(new Failed('the sketch ended the work by itself')));
    [this.thread, this.film] = [thread, film];
    await ready;
    return thread;
  }
}
