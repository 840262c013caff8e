import { once } from 'node:events';
import { mkdir, mkdtemp, rm } from 'node:fs/promises';
import { hostname, tmpdir } from 'node:os';
import path from 'node:path';
import { Worker as Thread } from 'node:worker_threads';
import { randomUUID } from 'node:crypto';
import type { Store } from 'frame-juggler/node';
import { SketchError } from '../errors.ts';
import type { ChunkThreadData, ChunkThreadMessage } from './chunk-thread.ts';
import { keys, keysLike, lease, openLink, queueName, unwanted, version, type Link } from './link.ts';
import { names, readJson, type ChunkFacts, type ChunkOrder, type FilmOrder } from './order.ts';
import { unpackParcel } from './parcel.ts';
import { openStore } from './store.ts';

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
        let told = 0;
        const facts = await films.render(job.data, (done) => {
          if (performance.now() - told < 300) return;
          told = performance.now();
          job.updateProgress(done).catch(() => undefined);
        });
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
    // While one chunk is stored, the next is rendered.
    {
      connection: link.connect(),
      concurrency: 2,
      lockDuration: 10_000,
      stalledInterval: 5000,
      maxStalledCount: 10_000,
    },
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

/** A chunk that is being rendered. */
interface Rendering {
  readonly done: (facts: ChunkFacts) => void;
  readonly failed: (error: Error) => void;
  readonly onProgress: (done: number) => void;
}

/** A thread for the film at hand: its sketch stays loaded from chunk to chunk, and its run goes on. */
class FilmThread {
  private film: string | undefined;
  private thread: Promise<Thread> | undefined;
  /** By their first frames. */
  private readonly renderings = new Map<number, Rendering>();
  private onFree = (): void => undefined;

  constructor(private readonly means: Means) {}

  async render(chunk: ChunkOrder, onProgress: (done: number) => void): Promise<ChunkFacts> {
    const { film, frames } = chunk;
    if (!(await this.isWanted(film))) throw new Failed(unwanted);
    // Another film's chunks come first.
    while (this.film !== film && this.renderings.size > 0)
      await new Promise<void>((resolve) => (this.onFree = resolve));
    const watch = setInterval(() => {
      this.isWanted(film).then((wanted) => (wanted ? undefined : void this.fail(new Failed(unwanted))), () => undefined); // prettier-ignore
    }, 1000);
    try {
      return await new Promise<ChunkFacts>((done, failed) => {
        this.renderings.set(frames[0], { done, failed, onProgress });
        this.threadOf(film).then((thread) => thread.postMessage(chunk), failed);
      });
    } finally {
      clearInterval(watch);
      this.renderings.delete(frames[0]);
      if (this.renderings.size === 0) this.onFree();
    }
  }

  /** Ends the thread, and with it what it renders. */
  async stop(): Promise<void> {
    await this.fail(new Error('the worker was stopped'));
  }

  private async isWanted(film: string): Promise<boolean> {
    const { redis } = this.means.link;
    // Whether anybody waits is not known while the server is away.
    return redis.status !== 'ready' || (await redis.exists(keys.film(film))) === 1;
  }

  /** All that is being rendered fails; what the sketch was about is not known any more. */
  private fail(error: Error): Promise<void> {
    for (const { failed } of this.renderings.values()) failed(error);
    return this.close();
  }

  private async close(): Promise<void> {
    const { thread } = this;
    this.thread = this.film = undefined;
    await thread?.then((each) => each.terminate()).catch(() => undefined);
  }

  private threadOf(film: string): Promise<Thread> {
    if (this.thread === undefined || this.film !== film) {
      const before = this.close();
      this.film = film;
      this.thread = before.then(() => this.open(film));
    }
    return this.thread;
  }

  private async open(film: string): Promise<Thread> {
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
    return new Promise((resolve, reject) => {
      const end = (error: Error): void => {
        reject(error);
        if (this.film === film) void this.fail(error);
      };
      // The sketch may end it by itself.
      thread.once('error', (error) => end(new Failed(error.message)));
      thread.once('exit', () => end(new Failed('the sketch ended the work by itself')));
      thread.on('message', (message: ChunkThreadMessage) => {
        if (message.type === 'ready') return resolve(thread);
        const failure = message.type === 'failed' ? new (message.ofSketch ? Failed : Error)(message.reason) : undefined;
        if (message.first === undefined) return end(failure!);
        const rendering = this.renderings.get(message.first);
        if (message.type === 'done') rendering?.done(message.facts);
        else if (message.type === 'progress') rendering?.onProgress(message.done);
        else rendering?.failed(failure!);
      });
    });
  }
}
