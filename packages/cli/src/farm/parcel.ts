import { createHash } from 'node:crypto';
import { existsSync } from 'node:fs';
import { mkdir, readdir, readFile, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import type { Sketch } from 'frame-juggler';
import type { Store } from 'frame-juggler/node';
import { SketchError } from '../errors.ts';
import { packageOf } from '../load.ts';

/** A sketch with all that it is made of, as it goes to other machines: names of files, and fingerprints of what they hold. */
export interface Parcel {
  /** The sketch's file. */
  readonly sketch: string;
  readonly files: Readonly<Record<string, string>>;
}

/** More than this is no sketch: someone's home folder, rather. */
const maxBytes = 2e9;

/**
 * Gathers what a sketch is made of: its own code, what that imports, packages among it, and its assets.
 * @param code the files that were read as it was loaded
 */
export async function gather(
  file: string,
  sketch: Sketch,
  code: readonly string[],
): Promise<{ parcel: Parcel; read: (name: string) => Promise<Buffer> }> {
  const found = new Set<string>([path.resolve(file)]);
  const packages = new Set<string>();
  for (const each of code) {
    const folder = packageOf(each);
    if (folder === undefined) found.add(each);
    else await addPackage(folder, packages);
  }
  for (const { url } of Object.values(sketch.assets)) if (url.protocol === 'file:') found.add(fileURLToPath(url));
  for (const folder of packages) for (const each of await filesIn(folder)) found.add(each);
  const all = [...found].sort();
  const root = commonFolder(all);
  const nameOf = (each: string): string => path.relative(root, each).split(path.sep).join('/');
  const files: Record<string, string> = {};
  let bytes = 0;
  for (const each of all) {
    const content = await readFile(each);
    if ((bytes += content.length) > maxBytes)
      throw new SketchError({ problem: `${path.basename(file)} is made of more than ${maxBytes / 1e9} GB of files` });
    files[nameOf(each)] = fingerprintOf(content);
  }
  return { parcel: { sketch: nameOf(path.resolve(file)), files }, read: (name) => readFile(path.join(root, name)) };
}

/** Puts a parcel's files into a store, those that are not there yet. */
export async function sendParcel(
  store: Store,
  film: string,
  { files }: Parcel,
  read: (name: string) => Promise<Buffer>,
): Promise<void> {
  const prefix = `${film}/files/`;
  const there = new Set(await store.list(prefix));
  for (const [name, fingerprint] of Object.entries(files)) {
    if (there.has(prefix + fingerprint)) continue;
    there.add(prefix + fingerprint);
    await store.put(prefix + fingerprint, await read(name));
  }
}

/** Lays a parcel's files out in a folder, as they lay where they came from; gives the sketch's file. */
export async function unpackParcel(
  store: Store,
  film: string,
  { files, sketch }: Parcel,
  folder: string,
): Promise<string> {
  for (const [name, fingerprint] of Object.entries(files)) {
    const file = path.join(folder, name);
    if (path.relative(folder, file).startsWith('..'))
      throw new SketchError({ problem: `${name} is no place for a file of a sketch` });
    if (existsSync(file) && fingerprintOf(await readFile(file)) === fingerprint) continue;
    const content = await store.get(`${film}/files/${fingerprint}`);
    if (content === undefined || fingerprintOf(content) !== fingerprint)
      throw new SketchError({ problem: `${name} is not in the store as it was sent` });
    await mkdir(path.dirname(file), { recursive: true });
    await writeFile(file, content);
  }
  return path.join(folder, sketch);
}

export function fingerprintOf(bytes: Uint8Array | string): string {
  return createHash('sha256').update(bytes).digest('hex');
}

/** Adds a package, and those that it depends on, as far as they are installed. */
async function addPackage(folder: string, packages: Set<string>): Promise<void> {
  if (packages.has(folder)) return;
  packages.add(folder);
  const about = JSON.parse(await readFile(path.join(folder, 'package.json'), 'utf8')) as { dependencies?: object };
  for (const name of Object.keys(about.dependencies ?? {})) {
    let above = folder;
    while (path.dirname(above) !== above) {
      const candidate = path.join(above, 'node_modules', name);
      if (existsSync(path.join(candidate, 'package.json'))) {
        await addPackage(candidate, packages);
        break;
      }
      above = path.dirname(above);
    }
  }
}

async function filesIn(folder: string): Promise<string[]> {
  const entries = await readdir(folder, { withFileTypes: true });
  const lists = entries.map((entry) => {
    const name = path.join(folder, entry.name);
    if (entry.isDirectory()) return entry.name === 'node_modules' ? [] : filesIn(name);
    return entry.isFile() ? [name] : [];
  });
  return (await Promise.all(lists)).flat();
}

function commonFolder(files: readonly string[]): string {
  let folder = path.dirname(files[0]);
  while (files.some((file) => !file.startsWith(folder + path.sep) && path.dirname(file) !== folder))
    folder = path.dirname(folder);
  return folder;
}
