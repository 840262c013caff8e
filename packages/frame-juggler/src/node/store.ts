import { randomUUID } from 'node:crypto';
import { mkdir, readdir, readFile, rename, rm, stat, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { SketchError } from '../error.ts';
import { describe } from './describe.ts';
import { givenPath } from './given.ts';

/** Keeps bytes by name, such as `film/12.state`: what is put there is there whole, or not at all. */
export interface Store {
  /** Keeps bytes under a name, in place of what had that name. */
  put(name: string, bytes: Uint8Array): Promise<void>;
  /** Undefined where nothing has that name. */
  get(name: string): Promise<Uint8Array | undefined>;
  /** The names in a folder, which ends with a slash. */
  list(folder: string): Promise<string[]>;
  /** Takes away a name, or a folder with all that is in it. */
  remove(name: string): Promise<void>;
}

/** A folder as a store. @throws SketchError where it is not there */
export async function openFolder(folder: string): Promise<Store> {
  const root = path.resolve(givenPath.read('openFolder', 'folder', folder));
  const guarded = async <T>(work: () => Promise<T>): Promise<T> => {
    try {
      return await work();
    } catch (error) {
      throw new SketchError({ problem: `the store ${folder} cannot be used: ${describe(error, folder)}` });
    }
  };
  if (!(await stat(root).then((found) => found.isDirectory(), () => false))) // prettier-ignore
    throw new SketchError({ problem: `the store ${folder} is not a folder that is there`, expected: 'expected one that all who use it share' }); // prettier-ignore
  const fileOf = (name: string): string => path.join(root, name);
  const isMissing = (error: unknown): boolean => (error as NodeJS.ErrnoException).code === 'ENOENT';
  return {
    put: (name, bytes) =>
      guarded(async () => {
        const file = fileOf(name);
        const unfinished = `${file}.${randomUUID()}.unfinished`;
        await mkdir(path.dirname(file), { recursive: true });
        try {
          await writeFile(unfinished, bytes);
          await rename(unfinished, file);
        } catch (error) {
          await rm(unfinished, { force: true });
          throw error;
        }
      }),
    get: (name) =>
      guarded(() => readFile(fileOf(name)).catch((error) => (isMissing(error) ? undefined : Promise.reject(error)))),
    list: (inside) =>
      guarded(async () => {
        const entries = await readdir(fileOf(inside)).catch((error) => (isMissing(error) ? [] : Promise.reject(error)));
        return entries.filter((entry) => !entry.endsWith('.unfinished')).map((entry) => inside + entry);
      }),
    remove: (name) => guarded(() => rm(fileOf(name), { recursive: true, force: true })),
  };
}
