import { createHash } from 'node:crypto';
import { mkdir } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { promisify } from 'node:util';
import { gunzip, gzip } from 'node:zlib';
import { asSketchError, SketchError } from '../../error.ts';
import type { Frame } from '../../frame/frame.ts';
import { comparedParts } from '../../review/same-frame.ts';
import type { Run } from '../../sketch/run.ts';
import { describe } from '../describe.ts';
import { fingerprint } from '../provenance.ts';
import { openFolder, type Store } from '../store.ts';
import { CheckpointMismatch } from './mismatch.ts';
import { CheckpointWriter, readCheckpoint } from './checkpoint-text.ts';

/*
 * Checkpoints of a run, so that a far frame does not need all steps from the first one on. They are kept more and more
 * rarely: the way from one to the next is a tenth of the way so far, so that an hour of steps has about eighty.
 *
 * A sketch can remember something outside of its state, in a variable of its file, and no checkpoint holds that. So they
 * are put to the test before they are trusted: a run that goes on from the last but one must arrive at the last one,
 * with the same state, the same chance and the same items painted. So must every run at each later one that it passes.
 */

const pack = promisify(gzip);
const unpack = promisify(gunzip);
const { version } = createRequire(import.meta.url)('frame-juggler/package.json') as { version: string };

/** How far checkpoints are apart. */
export interface Spacing {
  /** Milliseconds of steps at least. */
  readonly least: number;
  /** At least this share of all steps so far. */
  readonly share: number;
  /** Keeping them takes no more than this share of the time. */
  readonly cost: number;
}
const usual: Spacing = { least: 1000, share: 0.1, cost: 0.05 };
/** Letters of a checkpoint: more than that is no plain state, rather a film. */
const maxLength = 256e6;

/** Where checkpoints are kept, and how. */
export interface CheckpointOptions {
  /** A folder, which is made where it is not there; or any store. */
  readonly at: string | Store;
  /** What the sketch was made from: checkpoints of another version of it are left alone. */
  readonly source: string | Uint8Array;
  readonly onNote?: ((text: string) => void) | undefined;
  /** Whether only those of others are used. */
  readonly readOnly?: boolean;
  readonly spacing?: Spacing;
}

/** What is kept of a frame. */
interface Kept {
  readonly text: string;
  /** A fingerprint of what is painted there; not of all frames, where painting takes long. */
  readonly painted?: string;
  /** Milliseconds of steps up to there. */
  readonly took: number;
}

/** How often something is done that takes time. */
class Pace {
  private cost = 0;
  /** When it was done last. */
  private ended = performance.now();

  /** Whether it is long enough ago: so many milliseconds, and so many that it takes no more than a share of the time. */
  isDue(least: number, share: number): boolean {
    return performance.now() - this.ended >= Math.max(least, this.cost / share);
  }

  done(began: number): void {
    this.ended = performance.now();
    this.cost = this.ended - began;
  }
}

/** The checkpoints of one run. */
export class Checkpoints {
  /** Those that this run has come by as they were kept. */
  private readonly met = new Set<number>();
  private known: ReadonlySet<number> = new Set();
  /** Whether a run that goes on from one arrives at the next. */
  private trusted = false;
  /** Whether the run stands on a checkpoint, and not on all steps from the first. */
  private resumed = false;
  private writer: { readonly files: unknown; readonly writer: CheckpointWriter } | undefined;
  /** Milliseconds of steps, up to a moment. */
  private clock = { took: 0, since: performance.now() };
  private keeping = new Pace();
  private painting = new Pace();
  /** Milliseconds that `start` and loading took. */
  private startCost = 0;

  private constructor(
    private readonly run: Run,
    private readonly store: Store,
    private readonly key: string,
    private readonly options: CheckpointOptions,
    private isOff: boolean,
  ) {}

  /**
   * Opens the checkpoints of a run; gives none where there is nothing to gain.
   * @throws SketchError where the folder cannot be used
   */
  static async open(run: Run, options: CheckpointOptions): Promise<Checkpoints | undefined> {
    const { at, source, onNote } = options;
    if (run.sketch.step === undefined) return undefined;
    if (run.hasInput) {
      onNote?.('no checkpoints: recorded input is played from the first frame on');
      return undefined;
    }
    const store = typeof at === 'string' ? await openMadeFolder(at) : at;
    const { seed, width, height, dials } = run;
    // Engines differ in the last digits of what a sketch may call by itself, such as Math.sin.
    const key = fingerprint(version, process.versions.v8, source, JSON.stringify({ seed, width, height, dials }));
    const unfit = await store.get(`${key}/${unfitName}`);
    if (unfit !== undefined) onNote?.(`no checkpoints: ${Buffer.from(unfit).toString()}`);
    return new Checkpoints(run, store, key, options, unfit !== undefined);
  }

  /** Brings the run to a frame, from a checkpoint on where one is nearer than the run is. Keeps some on its way. */
  async bring(frame: number): Promise<void> {
    const { run } = this;
    const target = run.frameAfterRounds(frame);
    const isNear = run.frame >= 0 && (target === run.frame || target === run.frame + 1);
    if (this.isOff || isNear) return;
    await this.goOn(target);
    if (run.frame < 0 || run.frame > target) await this.begin();
    while (run.frame < target) {
      await run.goTo(run.frame + 1);
      await this.passed();
    }
    // Whoever comes back here finds it at once.
    if (!this.isOff && this.keeping.isDue(this.spacing.least / 4, 1)) await this.keep();
  }

  /** To be called where the run stands at a frame: compares it with what was kept, or keeps it if it is time to. */
  async passed(): Promise<void> {
    if (this.isOff) return;
    const { frame } = this.run;
    if (this.known.has(frame)) return this.compare(frame);
    const { least, share, cost } = this.spacing;
    if (this.keeping.isDue(Math.max(least, share * this.took()), cost)) await this.keep();
  }

  private get spacing(): Spacing {
    return this.options.spacing ?? usual;
  }

  private took(): number {
    return this.clock.took + performance.now() - this.clock.since;
  }

  private async begin(): Promise<void> {
    const began = performance.now();
    await this.run.goTo(0);
    this.startCost = performance.now() - began;
    this.resumed = false;
    this.restartClock(0);
    this.checkState();
  }

  private restartClock(took: number): void {
    this.clock = { took, since: performance.now() };
    this.keeping = new Pace();
  }

  /** Goes on from the last checkpoint before a frame, if that saves steps and proves sound. */
  private async goOn(target: number): Promise<void> {
    const { run } = this;
    const kept = await this.framesKept();
    this.known = new Set(kept);
    const from = run.frame > target ? -1 : run.frame;
    const ahead = kept.filter((frame) => frame > from && frame <= target);
    // Another run may have found out meanwhile.
    this.trusted ||= ahead.length > 0 && (await this.isMarked(soundName));
    if (this.trusted) {
      for (const frame of ahead.reverse()) if (await this.resume(frame, from)) return;
    } else {
      // The last two between which it can be tested whether the picture is the same, too.
      let end = ahead.length - 1;
      while (end > 0 && (await this.read(ahead[end]))?.painted === undefined) end--;
      if (end < 1 || !(await this.resume(ahead[end - 1], from))) return;
      await run.goTo(ahead[end]);
      await this.compare(ahead[end]);
      const further = ahead.at(-1)!;
      if (further > ahead[end]) await this.resume(further, ahead[end]);
    }
  }

  private async resume(frame: number, from: number): Promise<boolean> {
    const kept = await this.read(frame);
    if (kept === undefined) return false;
    // The sketch has to start for it: where that takes longer than the steps, these are done instead.
    const saved = from < 0 ? Infinity : kept.took * (1 - from / frame);
    if (saved < this.startCost) return false;
    const began = performance.now();
    await this.run.resume(() => readCheckpoint(kept.text, this.run.loaded));
    this.startCost = performance.now() - began;
    this.resumed = true;
    this.met.add(frame);
    this.restartClock(kept.took);
    return true;
  }

  /** Compares where the run stands with what was kept there. */
  private async compare(frame: number): Promise<void> {
    if (this.met.has(frame)) return;
    this.met.add(frame);
    const kept = await this.read(frame);
    if (kept === undefined) return;
    const isLookedAt = !this.trusted && kept.painted !== undefined;
    const isSame = this.text() === kept.text && (!isLookedAt || (await this.painted()) === kept.painted);
    if (isSame) {
      if (this.resumed && !this.trusted) await this.put(soundName, Buffer.from(`${frame}`));
      this.trusted ||= this.resumed;
      return;
    }
    const isTested = this.trusted || (await this.isMarked(soundName));
    await this.leaveOff(
      `frame ${frame} comes out differently from a checkpoint: the sketch remembers something outside of its state`,
    );
    if (this.resumed) throw new CheckpointMismatch(frame, isTested);
  }

  private async keep(): Promise<void> {
    if (this.options.readOnly === true || !this.checkState()) return;
    // Whoever continued from one may have found out that they are of no use.
    const unfit = await this.store.get(`${this.key}/${unfitName}`);
    if (unfit !== undefined) return this.turnOff(Buffer.from(unfit).toString());
    const painted = this.painting.isDue(0, this.spacing.cost) ? await this.painted() : undefined;
    const began = performance.now();
    const { frame } = this.run;
    const text = this.text();
    if (text.length > maxLength) return this.turnOff(`its state is ${Math.round(text.length / 1e6)} MB long`);
    const kept: Kept = { text, took: this.took(), ...(painted !== undefined && { painted }) };
    await this.put(nameOf(frame), await packed(kept));
    this.met.add(frame);
    this.keeping.done(began);
  }

  /** Whether the state can be kept; otherwise there are no checkpoints. */
  private checkState(): boolean {
    const unkept = this.writerHere.unkept(this.run.checkpoint);
    if (unkept === undefined) return true;
    this.turnOff(`${unkept.path} is ${unkept.what}, and only plain data can be kept`);
    return false;
  }

  /** As no others of this sketch will do either, that is noted beside them. */
  private async leaveOff(reason: string): Promise<void> {
    this.turnOff(reason);
    await this.store.remove(`${this.key}/`);
    await this.put(unfitName, Buffer.from(reason));
  }

  private turnOff(reason: string): void {
    this.isOff = true;
    this.options.onNote?.(`no checkpoints: ${reason}`);
  }

  private text(): string {
    return this.writerHere.write(this.run.checkpoint);
  }

  private get writerHere(): CheckpointWriter {
    const files = this.run.loaded;
    if (this.writer?.files !== files) this.writer = { files, writer: new CheckpointWriter(files) };
    return this.writer.writer;
  }

  private async painted(): Promise<string> {
    const began = performance.now();
    this.run.quiet = true;
    try {
      return digestOf(await this.run.paint());
    } catch (error) {
      // Nobody has asked for this frame: one that cannot be painted is left to whoever does.
      return asSketchError(error).reason;
    } finally {
      this.run.quiet = false;
      this.painting.done(began);
    }
  }

  private async framesKept(): Promise<number[]> {
    const names = await this.store.list(`${this.key}/`);
    const frames = names.map((name) => /(\d+)\.state$/.exec(name)?.[1]).filter((digits) => digits !== undefined);
    return frames.map(Number).sort((one, other) => one - other);
  }

  /** What was kept of a frame; undefined where it is damaged. */
  private async read(frame: number): Promise<Kept | undefined> {
    const bytes = await this.store.get(`${this.key}/${nameOf(frame)}`);
    return bytes && unpacked(bytes);
  }

  private async isMarked(name: string): Promise<boolean> {
    return (await this.store.get(`${this.key}/${name}`)) !== undefined;
  }

  private async put(name: string, bytes: Uint8Array): Promise<void> {
    try {
      await this.store.put(`${this.key}/${name}`, bytes);
    } catch (error) {
      // The frames come out all the same.
      if (!this.isOff) this.turnOff((error as Error).message);
    }
  }
}

const soundName = 'sound';
const unfitName = 'unfit';
const nameOf = (frame: number): string => `${String(frame).padStart(8, '0')}.state`;

async function openMadeFolder(folder: string): Promise<Store> {
  await mkdir(folder, { recursive: true }).catch((error: unknown) => {
    throw new SketchError({ problem: `no checkpoints can be kept in ${folder}: ${describe(error, folder)}` });
  });
  return openFolder(folder);
}

async function packed(kept: Kept): Promise<Buffer> {
  const body = JSON.stringify(kept);
  return pack(`${fingerprint(body)}${body}`, { level: 1 });
}

async function unpacked(bytes: Uint8Array): Promise<Kept | undefined> {
  try {
    const text = (await unpack(bytes)).toString();
    const body = text.slice(16);
    return text.startsWith(fingerprint(body)) ? (JSON.parse(body) as Kept) : undefined;
  } catch {
    return undefined;
  }
}

/** A fingerprint of all items of a frame. */
function digestOf(frame: Frame): string {
  const [plain, lists] = comparedParts(frame);
  const hash = createHash('sha256').update(JSON.stringify(plain));
  for (const list of lists) {
    const bytes = ArrayBuffer.isView(list) ? list : Float64Array.from(list);
    hash.update(`${list.length}:`).update(new Uint8Array(bytes.buffer, bytes.byteOffset, bytes.byteLength));
  }
  return hash.digest('hex');
}
