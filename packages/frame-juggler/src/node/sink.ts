import { open, readdir, rename, rm, type FileHandle } from 'node:fs/promises';
import path from 'node:path';
import { SketchError } from '../error.ts';
import { describe } from './describe.ts';

/** Where a file's bytes go. The file is there whole once it is committed, and not at all before. */
export interface Sink {
  write(bytes: Uint8Array): Promise<void>;
  /** Writes over what was written before, from a place on. */
  patch(at: number, bytes: Uint8Array): Promise<void>;
  commit(): Promise<void>;
  /** Leaves no file behind. */
  abandon(): Promise<void>;
}

/** The name for standard output. */
export const standardOutput = '-';

export function openSink(output: string): Promise<Sink> {
  return output === standardOutput ? Promise.resolve(new StandardOutput()) : FileSink.open(output);
}

/** A file is written beside its place and then moved there. */
export function besideName(file: string): string {
  return path.join(path.dirname(file), `.${path.basename(file)}.${process.pid}.part`);
}

class FileSink implements Sink {
  private length = 0;

  private constructor(
    private readonly file: string,
    private readonly beside: string,
    private readonly handle: FileHandle,
  ) {}

  static async open(file: string): Promise<FileSink> {
    const beside = besideName(file);
    await removeLeftovers(path.dirname(file));
    return guard(file, async () => new FileSink(file, beside, await open(beside, 'w')));
  }

  write(bytes: Uint8Array): Promise<void> {
    const at = this.length;
    this.length += bytes.length;
    return this.patch(at, bytes);
  }

  patch(at: number, bytes: Uint8Array): Promise<void> {
    return guard(this.file, async () => {
      // A call may write less than it was given.
      for (let done = 0; done < bytes.length;) {
        const { bytesWritten } = await this.handle.write(bytes, done, bytes.length - done, at + done);
        done += bytesWritten;
      }
    });
  }

  async commit(): Promise<void> {
    try {
      await guard(this.file, async () => {
        await this.handle.close();
        await rename(this.beside, this.file);
      });
    } catch (error) {
      await this.abandon();
      throw error;
    }
  }

  async abandon(): Promise<void> {
    await this.handle.close().catch(() => undefined);
    await rm(this.beside, { force: true }).catch(() => undefined);
  }
}

/** Standard output cannot be written over: all is kept until it is whole. */
class StandardOutput implements Sink {
  private parts: Buffer[] = [];

  write(bytes: Uint8Array): Promise<void> {
    this.parts.push(Buffer.from(bytes));
    return Promise.resolve();
  }

  patch(at: number, bytes: Uint8Array): Promise<void> {
    const whole = Buffer.concat(this.parts);
    whole.set(bytes, at);
    this.parts = [whole];
    return Promise.resolve();
  }

  commit(): Promise<void> {
    return new Promise((resolve, reject) => {
      process.stdout.write(Buffer.concat(this.parts), (error) => {
        if (error) reject(new SketchError({ problem: `standard output could not be written: ${error.message}` }));
        else resolve();
      });
    });
  }

  abandon(): Promise<void> {
    this.parts = [];
    return Promise.resolve();
  }
}

async function guard<T>(file: string, work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    throw new SketchError({ problem: `${file} could not be written: ${describe(error, path.dirname(file))}` });
  }
}

const cleanedFolders = new Set<string>();

/** Takes away what a run that was killed left of its unfinished files; once for each folder. */
async function removeLeftovers(folder: string): Promise<void> {
  if (cleanedFolders.has(folder)) return;
  cleanedFolders.add(folder);
  const entries = await readdir(folder).catch(() => []);
  for (const entry of entries) {
    const pid = Number(/^\..+\.(\d+)\.part$/.exec(entry)?.[1] ?? NaN);
    if (!Number.isNaN(pid) && !runs(pid)) await rm(path.join(folder, entry), { force: true }).catch(() => undefined);
  }
}

function runs(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM';
  }
}
