import { readFile } from 'node:fs/promises';
import { fileURLToPath } from 'node:url';
import type { AssetHost } from '../sketch/assets.ts';
import { describe } from './describe.ts';

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
