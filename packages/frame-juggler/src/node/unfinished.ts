import { createHash } from 'node:crypto';
import { open, readdir, rm } from 'node:fs/promises';
import path from 'node:path';
import { SketchError } from '../error.ts';
import { guardWriting } from './describe.ts';

/*
 * A file is first written next to its final place, under a name that holds the process id and a digest of the final
 * name. By that name the leftovers of a killed run are found and removed, and two runs cannot write the same file at
 * once. No other file has such a name, so nothing else is ever removed.
 */

const namePattern = /^\.juggle-(\d+)-([0-9a-f]{12})\.part$/;

/** An unfinished file, and the right to make the place that it is for. */
export interface Claim {
  readonly unfinished: string;
  /** Takes the unfinished file away, where it is still there. */
  release(): Promise<void>;
  /** Says that the file has moved to its place. */
  moved(): void;
}

/** The unfinished files of this process. */
const claimed = new Set<string>();

// A digest, because a long name with anything added to it might be too long for the file system.
const digestOf = (place: string): string =>
  createHash('sha256').update(path.basename(place)).digest('hex').slice(0, 12);

/** An unfinished file for a place that this process has claimed already, as part of another. */
export function withinClaim(place: string): Claim {
  const unfinished = path.join(path.dirname(place), `.juggle-${process.pid}-${digestOf(place)}.part`);
  return { unfinished, release: () => rm(unfinished, { force: true }).catch(() => undefined), moved: () => undefined };
}

/**
 * Claims a place, a file or a sequence, for this process.
 * @throws SketchError that names who else makes it at the moment
 */
export async function claim(place: string): Promise<Claim> {
  const folder = path.dirname(place);
  const digest = digestOf(place);
  const { unfinished, release: remove } = withinClaim(place);
  await removeLeftovers(folder);
  if (claimed.has(unfinished)) throw busy(place, process.pid);
  claimed.add(unfinished);
  const release = (): Promise<void> => {
    claimed.delete(unfinished);
    return remove();
  };
  try {
    await guardWriting(place, async () => (await open(unfinished, 'w')).close());
    // Checked only after our own file exists: of two runs that start together, at least one then sees the other.
    const other = (await unfinishedIn(folder)).find(
      (each) => each.digest === digest && each.pid !== process.pid && isRunning(each.pid),
    );
    if (other !== undefined) throw busy(place, other.pid);
  } catch (error) {
    await release();
    throw error;
  }
  return { unfinished, release, moved: () => void claimed.delete(unfinished) };
}

function busy(place: string, pid: number): SketchError {
  return new SketchError({
    problem: `${place} is being made by another render, process ${pid}`,
    expected: 'expected another place, or the end of that one',
  });
}

/** Takes away what a process that ended before its time left unfinished in a folder. */
export async function removeUnfinished(folder: string, pid: number): Promise<void> {
  for (const { name } of (await unfinishedIn(folder)).filter((each) => each.pid === pid))
    await rm(path.join(folder, name), { force: true }).catch(() => undefined);
}

const cleanedFolders = new Set<string>();

/** Takes away what processes that are no longer there left unfinished; once for each folder. */
async function removeLeftovers(folder: string): Promise<void> {
  const full = path.resolve(folder);
  if (cleanedFolders.has(full)) return;
  cleanedFolders.add(full);
  for (const { name, pid } of await unfinishedIn(folder))
    if (!isRunning(pid)) await rm(path.join(folder, name), { force: true }).catch(() => undefined);
}

async function unfinishedIn(folder: string): Promise<{ name: string; pid: number; digest: string }[]> {
  const names = await readdir(folder).catch(() => []);
  return names.flatMap((name) => {
    const [, pid, digest] = namePattern.exec(name) ?? [];
    return pid === undefined ? [] : [{ name, pid: Number(pid), digest }];
  });
}

function isRunning(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM';
  }
}
