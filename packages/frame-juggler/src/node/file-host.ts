import { readFile, stat } from 'node:fs/promises';
import { fileURLToPath } from 'node:url';
import { checkFileSize, type AssetHost } from '../sketch/assets.ts';
import { describe } from './describe.ts';

/** Reads a sketch's files from disk. */
export const fileHost: AssetHost = {
  async read(url, maxBytes) {
    if (url.protocol !== 'file:') throw new Error(`only files on this machine are read, not ${url.protocol}`);
    const file = fileURLToPath(url);
    const explain = (error: unknown): never => {
      throw new Error(describe(error, file), { cause: error });
    };
    checkFileSize((await stat(file).catch(explain)).size, maxBytes);
    return readFile(file).catch(explain);
  },
};
