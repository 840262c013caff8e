import { randomBytes } from 'node:crypto';
import { readFile, rename, rm, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { SketchError } from '../error.ts';
import type { AssetHost } from '../sketch/assets.ts';

/** Reads a sketch's files from disk. */
export const fileHost: AssetHost = {
  async read(url) {
    if (url.protocol !== 'file:') throw new Error(`only files on this machine are read, not ${url.protocol}`);
    const file = fileURLToPath(url);
    try {
      return await readFile(file);
    } catch (error) {
      throw new Error(describe(error, file), { cause: error });
    }
  },
};

/** Writes a file whole or not at all: beside its place first, then moved there. */
export async function writeWhole(file: string, bytes: Uint8Array): Promise<void> {
  const beside = path.join(path.dirname(file), `.${path.basename(file)}.${randomBytes(4).toString('hex')}.part`);
  try {
    await writeFile(beside, bytes);
    await rename(beside, file);
  } catch (error) {
    await rm(beside, { force: true }).catch(() => undefined);
    throw new SketchError({ problem: `${file} could not be written: ${describe(error, path.dirname(file))}` });
  }
}

/** A file system error in words. */
export function describe(error: unknown, place: string): string {
  const code = error instanceof Error && 'code' in error ? error.code : undefined;
  switch (code) {
    case 'ENOENT':
      return `${place} is not there`;
    case 'ENOTDIR':
      return `${place} is not a folder`;
    case 'EISDIR':
      return 'it is a folder';
    case 'EACCES':
    case 'EPERM':
    case 'EROFS':
      return `${place} may not be used so (${String(code)})`;
    case 'ENOSPC':
      return 'the disk is full';
    default:
      return error instanceof Error ? error.message : String(error);
  }
}
