import { readFile } from 'node:fs/promises';
import { fileURLToPath } from 'node:url';
import type { AssetHost } from '../sketch/assets.ts';
import { openSink } from './sink.ts';

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

/** Writes a file whole or not at all. `-` is standard output. */
export async function writeWhole(file: string, bytes: Uint8Array): Promise<void> {
  const sink = await openSink(file);
  try {
    await sink.write(bytes);
  } catch (error) {
    await sink.abandon();
    throw error;
  }
  await sink.commit();
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
