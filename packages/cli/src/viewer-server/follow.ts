import { readdir, stat } from 'node:fs/promises';
import path from 'node:path';

/** Milliseconds between two looks at the files. */
const lookEvery = 100;
/** An empty file is likely one that is just being written: it is given so many looks. */
const looksForEmpty = 3;

/** A fingerprint of a file: it changes when the file is written, replaced, removed or restored, not with mode or owner. */
async function lookAt(file: string): Promise<{ sign: string; size: number }> {
  try {
    const { mtimeMs, size, ino } = await stat(file);
    return { sign: `${mtimeMs} ${size} ${ino}`, size };
  } catch {
    return { sign: 'gone', size: -1 };
  }
}

async function entriesOf(folder: string): Promise<readonly string[]> {
  return readdir(folder).catch(() => []);
}

/**
 * Watches files by checking them ten times a second. Only the given files are checked, so large folders and circular links
 * cost nothing, and a file or folder may disappear and come back. A new file in one of their folders is reported too,
 * because it may be one that was missing.
 */
export class Follower {
  private readonly files = new Map<string, { sign: string; empty: number }>();
  private readonly folders = new Map<string, { sign: string; entries: ReadonlySet<string> }>();
  private timer: NodeJS.Timeout | undefined;
  private ended = false;

  /** @param onChange called with the files that have changed, and with those that are new */
  constructor(private readonly onChange: (changed: readonly string[], added: readonly string[]) => void) {
    this.lookLater();
  }

  /** Looks after a file from now on; as often as one likes. */
  add(file: string): void {
    if (this.files.has(file)) return;
    const entry = { sign: '', empty: 0 };
    this.files.set(file, entry);
    void lookAt(file).then(({ sign }) => (entry.sign ||= sign));
    const folder = path.dirname(file);
    if (this.folders.has(folder)) return;
    const about = { sign: '', entries: new Set<string>() };
    this.folders.set(folder, about);
    void Promise.all([lookAt(folder), entriesOf(folder)]).then(([{ sign }, entries]) => {
      about.sign ||= sign;
      about.entries = new Set(entries);
    });
  }

  /** Marks a file's current content as known, because whoever wrote it has already reported it. */
  async know(file: string): Promise<void> {
    const entry = this.files.get(file);
    if (entry !== undefined) entry.sign = (await lookAt(file)).sign;
  }

  close(): void {
    this.ended = true;
    clearTimeout(this.timer);
  }

  private lookLater(): void {
    if (this.ended) return;
    this.timer = setTimeout(() => void this.look().finally(() => this.lookLater()), lookEvery);
  }

  private async look(): Promise<void> {
    const changed: string[] = [];
    const added: string[] = [];
    await Promise.all([
      ...[...this.files].map(async ([file, entry]) => {
        const { sign, size } = await lookAt(file);
        if (sign === entry.sign || entry.sign === '') return;
        if (size === 0 && entry.empty++ < looksForEmpty) return;
        entry.empty = 0;
        entry.sign = sign;
        changed.push(file);
      }),
      ...[...this.folders].map(async ([folder, entry]) => {
        const { sign } = await lookAt(folder);
        if (sign === entry.sign || entry.sign === '') return;
        entry.sign = sign;
        const entries = await entriesOf(folder);
        added.push(...entries.filter((name) => !entry.entries.has(name)).map((name) => path.join(folder, name)));
        entry.entries = new Set(entries);
      }),
    ]);
    if (!this.ended && changed.length + added.length > 0) this.onChange(changed, added);
  }
}
