import { once } from 'node:events';
import { register } from 'node:module';
import { MessageChannel, type MessagePort } from 'node:worker_threads';
import type { Sketch } from 'frame-juggler';
import { loadSketch } from 'frame-juggler/node';
import './errors.ts';
import { entryPoints } from './library.ts';
import type { HookData } from './sketch-hooks.ts';

/** The query parameter by which a sketch's own files are known; its value is new at each loading, so they are read anew. */
const mark = 'sketch';

let hooks: MessagePort | undefined;
let loadings = 0;

/** Prepares Node for sketch files, once: TypeScript, and the library wherever they are. */
export function readyToLoad(): void {
  if (hooks !== undefined) return;
  const { port1, port2 } = new MessageChannel();
  const data: HookData = { entryPoints, mark, port: port2 };
  register('./sketch-hooks.js', { parentURL: import.meta.url, data, transferList: [port2] });
  // Errors then point at the lines that were written, not at those that were run.
  process.setSourceMapsEnabled(true);
  hooks = port1;
  port1.unref();
}

/** The files that sketches were read from so far, and those by which they import packages. */
export async function filesRead(): Promise<string[]> {
  const answer = once(hooks!, 'message') as Promise<[string[]]>;
  hooks!.postMessage('files');
  return (await answer)[0];
}

/** The folder of the installed package that a file is of; undefined for a file of one's own. */
export function packageOf(file: string): string | undefined {
  return /^.*[\\/]node_modules[\\/](?:@[^\\/]+[\\/])?[^\\/]+/.exec(file)?.[0];
}

/** Loads a sketch file, TypeScript too, with the running tool's own library. Each call reads the file anew. */
export function load(file: string): Promise<Sketch> {
  readyToLoad();
  return loadSketch(file, (url) => {
    const marked = new URL(url);
    marked.searchParams.set(mark, String(++loadings));
    return import(marked.href);
  });
}
