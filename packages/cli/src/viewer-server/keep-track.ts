import { existsSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { writeAtomically } from 'frame-juggler/node';

/**
 * Keeps an input track beside a sketch, and gives the name of its file. An older one is never written over; one that is
 * the same already is not written again.
 */
export async function keepTrack(sketch: string, track: string): Promise<string> {
  const { dir, name } = path.parse(sketch);
  for (let nth = 1; ; nth++) {
    const file = `${name}${nth === 1 ? '' : `-${nth}`}.input.json`;
    const place = path.join(dir, file);
    if (!existsSync(place)) {
      await writeAtomically(place, Buffer.from(track));
      return file;
    }
    // What cannot be read is another's, and left alone.
    if ((await readFile(place, 'utf8').catch(() => undefined)) === track) return file;
  }
}
