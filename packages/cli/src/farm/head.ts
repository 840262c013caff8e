import { stat } from 'node:fs/promises';
import { hostname } from 'node:os';
import path from 'node:path';
import { framesLeftBy, type RunCall, type Sketch } from 'frame-juggler';
import { asSketchError, SketchError } from '../errors.ts';
import {
  ChunkJoiner,
  keepCheckpoints,
  Stopped,
  type ChunkOptions,
  type JoinOptions,
  type Rendered,
  type Store,
} from 'frame-juggler/node';
import { handedOn } from '../handed-on.ts';
import { hidden, keys, keysLike, lease, openLink, queueName, unwanted, version, type Link } from './link.ts';
import { names, readJson, spoiled, toJson, type ChunkFacts, type ChunkOrder, type FilmOrder } from './order.ts';
import { fingerprintOf, gather, sendParcel } from './parcel.ts';
import { Planner } from './planner.ts';
import { folderOf, openStore } from './store.ts';

/** Where a film is rendered. */
export interface Farm {
  readonly queue: string;
  readonly store: string;
  /** Whether the run is kept on its way, so that no worker need step from the first frame. */
  readonly checkpoints: boolean;
}

export interface FarmJob {
  readonly file: string;
  readonly sketch: Sketch;
  /** The files that the sketch was read from. */
  readonly code: readonly string[];
  readonly to: string;
  readonly farm: Farm;
  readonly options: Omit<ChunkOptions, 'source' | 'checkpoints'> &
    Pick<JoinOptions, 'overwrite' | 'onNote' | 'onProcess'> & { readonly source: string };
  readonly patience: number;
  readonly signal: AbortSignal;
  readonly onProgress: (done: number, total: number) => void;
  /** Called where the sketch's own functions are called here. */
  readonly onCall: (call: RunCall | undefined) => void;
  /** Told where no worker is there yet. */
  readonly onAlone: (text: string) => void;
}

/**
 * Milliseconds: how often the store is looked at, and the queue whether it still has what was put into it; how long a
 * chunk may take to be whole, and workers to leave a film off.
 */
const times = { look: 400, check: 3000, lonely: 4000, whole: 10_000, leave: 3000 };

/**
 * Renders a film on a farm: puts it into the store and its chunks into the queue, and puts together what comes back.
 * What is there of an earlier start is taken as it is.
 */
export async function renderOnFarm(job: FarmJob): Promise<Rendered> {
  const { to, farm, options, signal } = job;
  if (to === '-') throw new SketchError({ problem: 'a farm renders to a file, or to files' });
  const store = await openStore(farm.store);
  const link = await openLink(farm.queue);
  try {
    const joiner = await ChunkJoiner.open(job.sketch, to, options);
    try {
      if (!joiner.many)
        throw new SketchError({ problem: `${to} holds one frame, which no farm makes sooner`, expected: 'expected it without --queue' }); // prettier-ignore
      const film = await sendFilm(job, store, joiner);
      const means: Means = { link, store, film, joiner, job };
      const chunks = new Chunks(means);
      if (farm.checkpoints) await renderWithCheckpoints(means, chunks);
      else await chunks.renderAll();
      if (signal.aborted)
        throw new Stopped(`What is rendered waits in ${farm.store}: the same command goes on with it`);
      await joiner.finish();
      await store.remove(`${film}/`);
    } catch (error) {
      await joiner.abandon();
      throw error;
    }
    const { frames, title, width, height, frameRate, seed } = joiner;
    const bytes = (await stat(to).catch(() => undefined))?.size;
    return { output: to, title, frames, count: frames[1] - frames[0] + 1, width, height, frameRate, seed, bytes };
  } finally {
    await link.close();
  }
}

/** While the chunks are rendered, steps the sketch through to the film's end, and leaves checkpoints for the workers. */
async function renderWithCheckpoints({ job, store, film, joiner }: Means, chunks: Chunks): Promise<void> {
  const { sketch, options, signal, onCall } = job;
  const over = new AbortController();
  const kept = keepCheckpoints(sketch, {
    ...handedOn(options, ['width', 'height', 'dials', 'input', 'onNote']),
    source: options.source,
    seed: joiner.seed,
    frames: joiner.frames,
    checkpoints: folderOf(store, names.checkpoints(film)),
    signal: AbortSignal.any([signal, over.signal]),
    onCall,
  }).catch((error: unknown) => {
    if (!signal.aborted && !over.signal.aborted) chunks.fail(asSketchError(error));
  });
  try {
    await chunks.renderAll();
  } finally {
    over.abort();
    await kept;
  }
}

/** Puts a film into the store; gives the name that all of it has there. */
async function sendFilm(job: FarmJob, store: Store, joiner: ChunkJoiner): Promise<string> {
  const { parcel, read } = await gather(job.file, job.sketch, job.code);
  // How it is told of, and which frames they are, is known here; the rest makes the pixels.
  const chosen = handedOn(job.options, ['width', 'height', 'density', 'dials', 'input', 'format', 'chroma', 'bits']);
  const order: FilmOrder = {
    version,
    title: joiner.title,
    parcel,
    to: path.basename(job.to),
    options: { ...chosen, seed: joiner.seed, frames: joiner.frames },
    source: job.options.source,
    patience: job.patience,
  };
  const bytes = toJson(order);
  const film = fingerprintOf(bytes).slice(0, 24);
  if ((await store.get(names.film(film))) === undefined) {
    await sendParcel(store, film, parcel, read);
    await store.put(names.film(film), bytes);
  }
  return film;
}

interface Means {
  readonly link: Link;
  readonly store: Store;
  readonly film: string;
  readonly joiner: ChunkJoiner;
  readonly job: FarmJob;
}

/** A chunk that was put into the queue. */
interface Pending {
  readonly order: ChunkOrder;
  readonly id: string;
  /** How many of its frames are said to be done. */
  done: number;
  /** Since when a part of it is there. */
  came?: number;
}

/** The chunks of a film on their way through the queue. */
class Chunks {
  private readonly queue: InstanceType<Link['bull']['Queue']>;
  private readonly pending: Pending[] = [];
  private failure: SketchError | undefined;
  private wake = (): void => undefined;
  private readonly planner: Planner;
  private seen = 0;
  private saidAlone = false;

  constructor(private readonly means: Means) {
    const { link, joiner } = means;
    this.queue = new link.bull.Queue(queueName, { connection: link.connect() });
    this.queue.on('error', () => undefined);
    this.planner = new Planner(joiner.frames, framesLeftBy(joiner.carry, means.job.options.bits));
  }

  /** Ends the work with an error from elsewhere. */
  fail(error: SketchError): void {
    this.failure ??= error;
    this.wake();
  }

  /** Has all chunks rendered and put together, in order; returns early once the job is stopped. */
  async renderAll(): Promise<void> {
    const { link, job, joiner, film, store } = this.means;
    const { signal } = job;
    const key = keys.film(film);
    const claim = JSON.stringify({ title: joiner.title, version, host: hostname() });
    const hold = (): void => void (link.redis.status === 'ready' && link.redis.set(key, claim, 'EX', lease.lasts).catch(() => undefined)); // prettier-ignore
    await link.redis.set(key, claim, 'EX', lease.lasts);
    const timer = setInterval(hold, lease.renewed * 1000);
    const events = new link.bull.QueueEvents(queueName, { connection: link.connect() });
    events.on('error', () => undefined);
    events.on('progress', ({ jobId, data }) => {
      const found = this.pending.find(({ id }) => id === jobId);
      if (found === undefined) return;
      this.seen = performance.now();
      found.done = Number(data);
      this.tell();
    });
    events.on('completed', () => this.wake());
    events.on('failed', ({ jobId, failedReason }) => {
      // What its server forgot is put in again.
      const isOurs = this.pending.some(({ id }) => id === jobId);
      if (isOurs && !failedReason.startsWith(unwanted)) this.failure = new SketchError({ problem: failedReason });
      this.wake();
    });
    const onAbort = (): void => this.wake();
    signal.addEventListener('abort', onAbort);
    const began = performance.now();
    this.planner.know(await this.rendered());
    let checked = began;
    let lookedForWorkers = began;
    try {
      while (!signal.aborted && this.failure === undefined && !(await this.takeWhatIsThere())) {
        await this.fill();
        const now = performance.now();
        if (now - checked > times.check) {
          checked = now;
          await this.putBackWhatIsLost();
        }
        if (this.seen === 0 && now - lookedForWorkers > times.lonely) {
          lookedForWorkers = now;
          await this.lookForWorkers();
        }
        await Promise.race([new Promise<void>((resolve) => (this.wake = resolve)), new Promise((resolve) => setTimeout(resolve, times.look))]); // prettier-ignore
      }
      if (this.failure?.message.startsWith(spoiled) === true) await store.remove(names.chunks(film));
      if (this.failure !== undefined) throw this.failure;
    } finally {
      clearInterval(timer);
      signal.removeEventListener('abort', onAbort);
      // Workers leave off what nobody holds.
      if (link.redis.status === 'ready') {
        await link.redis.del(key);
        await Promise.allSettled(this.pending.map(({ id }) => this.queue.remove(id)));
        if (!signal.aborted && this.failure === undefined) await this.untilLeft().catch(() => undefined);
      }
      void events.close().catch(() => undefined);
      void this.queue.close().catch(() => undefined);
    }
  }

  /**
   * Waits for workers that still render something of the film, as a chunk of another that died when it had stored it:
   * what they stored later would stay in the store for ever.
   */
  private async untilLeft(): Promise<void> {
    for (const began = performance.now(); performance.now() - began < times.leave;) {
      const active = await this.queue.getActive();
      if (!active.some((job) => (job.data as ChunkOrder).film === this.means.film)) return;
      await new Promise((resolve) => setTimeout(resolve, times.look / 4));
    }
  }

  /** What an earlier start has left in the store. */
  private async rendered(): Promise<ChunkFacts[]> {
    const { store, film } = this.means;
    const found = (await store.list(names.chunks(film))).filter((name) => name.endsWith('.json'));
    const facts = await Promise.all(found.map(async (name) => factsOf(await store.get(name))));
    return facts.filter((each) => each !== undefined);
  }

  /**
   * A chunk as the store has it; undefined where it is not there, or only a part of it: not every storage waits until
   * it has all of a file before it shows it.
   */
  private async read(pending: Pending): Promise<{ facts: ChunkFacts; bytes: Uint8Array } | undefined> {
    const { store, film } = this.means;
    const { frames } = pending.order;
    const found = await store.get(names.facts(film, frames));
    if (found === undefined) return undefined;
    const facts = factsOf(found);
    const bytes = await store.get(names.bytes(film, frames));
    if (facts !== undefined && bytes?.length === facts.size) return { facts, bytes };
    pending.came ??= performance.now();
    if (performance.now() - pending.came < times.whole) return undefined;
    await store.remove(names.facts(film, frames));
    throw new SketchError({ problem: `frames ${frames[0]} to ${frames[1]} are not whole in the store`, expected: 'the same command makes them anew' }); // prettier-ignore
  }

  /** Puts together what has come, as far as nothing is missing between; whether that is all. */
  private async takeWhatIsThere(): Promise<boolean> {
    const { store, film, joiner } = this.means;
    for (;;) {
      if (this.planner.done && this.pending.length === 0) return true;
      const next = this.pending[0];
      if (next === undefined) return false;
      const { frames } = next.order;
      const found = await this.read(next);
      if (found === undefined) return false;
      const { facts, bytes } = found;
      if (!joiner.fits(facts)) {
        if (next.order.upon)
          throw new SketchError({
            problem: `frames ${frames[0]} to ${frames[1]} do not stand on those before: the sketch paints other pictures each time`,
            expected: 'expected chance from random, and a paint that changes nothing: juggle check finds what does',
          });
        // It began too late to come to what the chunk before ends with: once more, upon that.
        await store.remove(names.facts(film, frames));
        this.pending[0] = await this.put({ film, frames, upon: true });
        return false;
      }
      try {
        await joiner.add({ ...facts, bytes });
      } catch (error) {
        // What is damaged is made anew by the next start.
        await store.remove(names.facts(film, frames));
        throw error;
      }
      this.planner.measure(facts);
      this.pending.shift();
      this.tell();
    }
  }

  /** Puts as many chunks into the queue as keep all workers busy. */
  private async fill(): Promise<void> {
    const { film, link, joiner } = this.means;
    if (link.redis.status !== 'ready') return;
    const workers = Math.max(1, await this.queue.getWorkersCount());
    // Where all is left, each chunk stands on the one before.
    const most = joiner.carry >= 1 ? 1 : workers * 3 + 1;
    while (this.pending.length < most && !this.planner.done) {
      const { frames, there } = this.planner.next(workers);
      const order = { film, frames, upon: joiner.carry >= 1 && frames[0] > joiner.frames[0] };
      this.pending.push(there ? { order, id: '', done: 0 } : await this.put(order));
    }
  }

  private async put(order: ChunkOrder): Promise<Pending> {
    const [first, last] = order.frames;
    const id = `${order.film}.${first}-${last}${order.upon ? '.upon' : ''}`;
    await this.queue.add('chunk', order, {
      jobId: id,
      attempts: 4,
      backoff: { type: 'fixed', delay: 500 },
      removeOnComplete: true,
      removeOnFail: true,
    });
    return { order, id, done: 0 };
  }

  /** A queue whose server was started anew may have lost what was in it. */
  private async putBackWhatIsLost(): Promise<void> {
    const { link, store, film } = this.means;
    for (const { id, order } of this.pending) {
      if (link.redis.status !== 'ready') return;
      if (id === '' || (await this.queue.getJobState(id)) !== 'unknown') continue;
      if ((await store.get(names.facts(film, order.frames))) === undefined) await this.put(order);
    }
  }

  /** Says it where there are no workers, or none that could take these chunks. */
  private async lookForWorkers(): Promise<void> {
    const { link, job } = this.means;
    const { redis } = link;
    if (redis.status !== 'ready') return;
    const found = await Promise.all((await keysLike(redis, keys.worker('*'))).map((key) => redis.get(key)));
    const workers = found.filter((each) => each !== null).map((each) => JSON.parse(each) as { version: string });
    if (workers.some((worker) => worker.version === version)) return;
    if (workers.length > 0) {
      const versions = [...new Set(workers.map((worker) => worker.version))].join(', ');
      throw new SketchError({
        problem: `the workers of ${hidden(job.farm.queue)} are of version ${versions}, and this is ${version}`,
        expected: 'expected the same version everywhere, so that all draw the same pixels',
      });
    }
    if (!this.saidAlone) job.onAlone(`No worker is there yet: juggle work --queue ${hidden(job.farm.queue)} --store …`);
    this.saidAlone = true;
  }

  private tell(): void {
    const { joiner, job } = this.means;
    const [first, last] = joiner.frames;
    const joined = this.planner.joined;
    job.onProgress(joined + this.pending.reduce((sum, { done }) => sum + done, 0), last - first + 1);
  }
}

/** What is told of a chunk, once all of that is there. */
function factsOf(bytes: Uint8Array | undefined): ChunkFacts | undefined {
  try {
    return bytes && readJson<ChunkFacts>(bytes);
  } catch {
    return undefined;
  }
}
