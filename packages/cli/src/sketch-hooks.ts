import { existsSync, statSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import type { InitializeHook, LoadHook, ResolveHook } from 'node:module';
import { fileURLToPath, pathToFileURL } from 'node:url';
import type { MessagePort } from 'node:worker_threads';
import { canCompile, compile, jsonModule } from './compile.ts';

/*
 * Module hooks that let Node import a sketch: TypeScript and JSON, as ES modules whatever package.json says or does not
 * say, with `frame-juggler` leading to the running tool. Node runs this file in a thread of its own.
 */

/** Where each of the library's entry points is. */
export type EntryPoints = Readonly<Record<string, string>>;

/** What the hooks are given: the library, and a port at which they tell which files sketches were read from. */
export interface HookData {
  readonly entryPoints: EntryPoints;
  /** The query parameter by which a sketch's own files are known. */
  readonly mark: string;
  readonly port: MessagePort;
}

let entryPoints: EntryPoints = {};
let mark = '';
/** The files of sketches' own code, and those by which packages are imported. */
const read = new Set<string>();
const tried = ['.ts', '.mts', '.js', '.mjs', '/index.ts', '/index.js'];

export const initialize: InitializeHook<HookData> = ({ port, ...given }) => {
  ({ entryPoints, mark } = given);
  port.on('message', () => port.postMessage([...read]));
  port.unref();
};

export const resolve: ResolveHook = async (specifier, context, next) => {
  const own = entryPoints[specifier];
  if (own !== undefined) return { url: own, shortCircuit: true };
  if (/^\.{0,2}\//.test(specifier) && context.parentURL !== undefined && isSketchCode(context.parentURL)) {
    const url = new URL(specifier, context.parentURL);
    const found = [url.href, url.href.replace(/\.([mc]?)js$/, '.$1ts'), ...tried.map((end) => url.href + end)].find(
      isFile,
    );
    if (found !== undefined) return { url: found + new URL(context.parentURL).search, shortCircuit: true };
  }
  const resolved = await next(specifier, context);
  if (context.parentURL !== undefined && isSketchCode(context.parentURL) && resolved.url.startsWith('file:'))
    read.add(fileURLToPath(new URL(resolved.url)));
  return resolved;
};

export const load: LoadHook = async (url, context, next) => {
  const file = isSketchCode(url) ? fileURLToPath(new URL(url)) : undefined;
  const isJson = file?.endsWith('.json') === true;
  if (file === undefined || !(canCompile(file) || isJson)) return next(url, context);
  read.add(file);
  if (isJson) {
    // Where it is imported as what it is, Node reads it.
    if (context.importAttributes.type === 'json') return next(url, context);
    return { format: 'module', source: jsonModule(file, await readFile(file, 'utf8')), shortCircuit: true };
  }
  const { code, map } = compile(file, await readFile(file, 'utf8'));
  const inline = Buffer.from(JSON.stringify({ ...map, sources: [pathToFileURL(file).href] })).toString('base64');
  return {
    format: 'module',
    source: `${code}\n//# sourceMappingURL=data:application/json;base64,${inline}`,
    shortCircuit: true,
  };
};

/** A sketch's own files carry a mark in their address, which `loadSketch` begins and relative imports hand on. */
function isSketchCode(url: string): boolean {
  return url.startsWith('file:') && new URL(url).searchParams.has(mark);
}

function isFile(url: string): boolean {
  const file = fileURLToPath(new URL(url));
  return existsSync(file) && statSync(file).isFile();
}
