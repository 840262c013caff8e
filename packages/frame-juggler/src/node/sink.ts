import { constants, fstatSync, lstatSync, statSync, write as writeAt, type Stats } from 'node:fs';
import { open, readlink, realpath, rename, type FileHandle } from 'node:fs/promises';
import path from 'node:path';
import { promisify } from 'node:util';
import { SketchError } from '../error.ts';
import { guardWriting } from './describe.ts';
import { claim, removeUnfinished, withinClaim, type Claim } from './unfinished.ts';

/** Where a file's bytes go. The file is there whole once it is committed, and not at all before. */
export interface Sink {
  write(bytes: Uint8Array): Promise<void>;
  /** Overwrites earlier bytes, from a position on. */
  patch(at: number, bytes: Uint8Array): Promise<void>;
  /** Returns what was written so far and empties the file. Only if `patches` was set. */
  takeBack(): Promise<Uint8Array>;
  commit(): Promise<void>;
  /** Leaves no file behind. */
  abandon(): Promise<void>;
}

export interface SinkOptions {
  /** Whether earlier bytes are rewritten later; if the output cannot do that, they are kept until complete. */
  readonly patches?: boolean;
  /** Whether the place is to be claimed; it need not be where it is part of a sequence that is. */
  readonly claims?: boolean;
}

/** The name for standard output. */
export const standardOutput = '-';

/** Where bytes go: a file by its name, `-` for standard output, or whoever takes them in order. */
export type Destination = string | ((bytes: Uint8Array) => Promise<void>);

/** A destination as messages call it. */
export function destinationName(to: Destination): string {
  if (typeof to !== 'string') return 'what is rendered';
  return to === standardOutput ? 'standard output' : to;
}

/**
 * Opens a sink for an output: a file is written beside its place and then moved there; what is no file (standard
 * output, a device, a pipe) is written through.
 * @throws SketchError where nothing can be written there, or another render makes it at the moment
 */
export async function openSink(
  output: Destination,
  { patches = false, claims = true }: SinkOptions = {},
): Promise<Sink> {
  if (typeof output !== 'string') return new ThroughSink(output, undefined, patches);
  if (output === standardOutput) {
    const handle = await openOwnPipe();
    return new ThroughSink(writerTo('standard output', handle?.fd ?? 1), handle, patches);
  }
  const place = await placeOf(output);
  if (place === undefined) {
    const handle = await guardWriting(output, () => openThrough(output));
    return new ThroughSink(writerTo(output, handle.fd), handle, patches);
  }
  const claimed = claims ? await claim(place) : withinClaim(place);
  try {
    return new FileSink(place, claimed, await guardWriting(output, () => open(claimed.unfinished, 'w+')));
  } catch (error) {
    await claimed.release();
    throw error;
  }
}

/** The file that an output is to be, where links lead; undefined where it is there and no file. */
export async function placeOf(output: string): Promise<string | undefined> {
  // Standard output and its like are files behind links that must not be followed: whoever holds them would not notice.
  if (/^\/(dev|proc)\//.test(path.resolve(output))) return undefined;
  const found = lookAt(statSync, output);
  if (found?.isDirectory() === true)
    throw new SketchError({ problem: `${output} could not be written: it is a folder` });
  if (found !== undefined) return found.isFile() ? (isLink(output) ? realpath(output) : output) : undefined;
  if (!isLink(output)) return output;
  return path.resolve(path.dirname(output), await readlink(output));
}

/** Whether what is written there cannot be taken back: standard output, a device, a pipe, or whoever takes the bytes. */
export async function isWrittenThrough(output: Destination): Promise<boolean> {
  if (typeof output !== 'string' || output === standardOutput) return true;
  // Of a folder it is said elsewhere that nothing can be written there.
  const place = await placeOf(output).catch(() => output);
  return place === undefined;
}

function isLink(output: string): boolean {
  return lookAt(lstatSync, output)?.isSymbolicLink() === true;
}

/** What is at a place. To be told at once takes microseconds; a promise that fails, as most do here, half a millisecond. */
function lookAt(look: typeof statSync, place: string): Stats | undefined {
  try {
    return look(place, { throwIfNoEntry: false });
  } catch {
    return undefined;
  }
}

/** Takes away what this process has left unfinished of an output, where whatever wrote it was ended from outside. */
export async function discardUnfinished(output: string): Promise<void> {
  if (output === standardOutput) return;
  const place = await placeOf(output).catch(() => undefined);
  if (place !== undefined) await removeUnfinished(path.dirname(place), process.pid);
}

class FileSink implements Sink {
  private length = 0;

  constructor(
    private readonly file: string,
    private readonly claimed: Claim,
    private readonly handle: FileHandle,
  ) {}

  write(bytes: Uint8Array): Promise<void> {
    const at = this.length;
    this.length += bytes.length;
    return this.patch(at, bytes);
  }

  patch(at: number, bytes: Uint8Array): Promise<void> {
    return guardWriting(this.file, () => writeAll(this.handle.fd, bytes, at));
  }

  takeBack(): Promise<Uint8Array> {
    return guardWriting(this.file, async () => {
      const bytes = Buffer.alloc(this.length);
      await this.handle.read(bytes, 0, bytes.length, 0);
      await this.handle.truncate(0);
      this.length = 0;
      return bytes;
    });
  }

  async commit(): Promise<void> {
    try {
      await guardWriting(this.file, async () => {
        await this.handle.close();
        await rename(this.claimed.unfinished, this.file);
      });
    } catch (error) {
      await this.claimed.release();
      throw error;
    }
    this.claimed.moved();
  }

  async abandon(): Promise<void> {
    await this.handle.close().catch(() => undefined);
    await this.claimed.release();
  }
}

function writerTo(name: string, fd: number): (bytes: Uint8Array) => Promise<void> {
  return (bytes) => guardWriting(name, () => writeAll(fd, bytes));
}

/** What cannot be written over is written as it comes, or, where that must be, kept until it is whole. */
class ThroughSink implements Sink {
  private kept: Buffer[] = [];

  constructor(
    private readonly put: (bytes: Uint8Array) => Promise<void>,
    private readonly handle: FileHandle | undefined,
    private readonly patches: boolean,
  ) {}

  write(bytes: Uint8Array): Promise<void> {
    if (!this.patches) return this.put(bytes);
    this.kept.push(Buffer.from(bytes));
    return Promise.resolve();
  }

  patch(at: number, bytes: Uint8Array): Promise<void> {
    const whole = Buffer.concat(this.kept);
    whole.set(bytes, at);
    this.kept = [whole];
    return Promise.resolve();
  }

  takeBack(): Promise<Uint8Array> {
    const whole = Buffer.concat(this.kept);
    this.kept = [];
    return Promise.resolve(whole);
  }

  async commit(): Promise<void> {
    try {
      for (const part of this.kept) await this.put(part);
    } finally {
      await this.abandon();
    }
  }

  async abandon(): Promise<void> {
    this.kept = [];
    await this.handle?.close().catch(() => undefined);
  }
}

const writeSome = promisify(writeAt);
/** How long to wait for a pipe that is full, or that nobody reads yet, in milliseconds. */
const pipeWait = 5;
const waitForPipe = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, pipeWait));

/** Opens what is no file. A pipe is waited for, never in a call that blocks: nothing could end that. */
async function openThrough(output: string): Promise<FileHandle> {
  for (;;)
    try {
      return await open(output, constants.O_WRONLY | constants.O_NONBLOCK);
    } catch (error) {
      if ((error as NodeJS.ErrnoException).code !== 'ENXIO') throw error;
      await waitForPipe();
    }
}

/**
 * Standard output where that is a pipe, opened once more so as to wait without blocking; what others hold of it stays as
 * it is. Undefined where it is something else, or the system does not let us.
 */
async function openOwnPipe(): Promise<FileHandle | undefined> {
  if (!fstatSync(1).isFIFO()) return undefined;
  return open('/dev/stdout', constants.O_WRONLY | constants.O_NONBLOCK).catch(() => undefined);
}

/** Writes all of it: a call may write less than it was given, and a pipe may be full. */
async function writeAll(fd: number, bytes: Uint8Array, at?: number): Promise<void> {
  for (let done = 0; done < bytes.length;) {
    const position = at === undefined ? null : at + done;
    try {
      done += (await writeSome(fd, bytes, done, bytes.length - done, position)).bytesWritten;
    } catch (error) {
      if ((error as NodeJS.ErrnoException).code !== 'EAGAIN') throw error;
      await waitForPipe();
    }
  }
}
