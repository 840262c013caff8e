import { existsSync, statSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import type { InitializeHook, LoadHook, ResolveHook } from 'node:module';
import path from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { transformSync, type OxcError } from 'oxc-transform';

/*
 * Module hooks that let Node import a sketch: TypeScript, as ES modules whatever package.json says or does not say,
 * with `frame-juggler` leading to the running tool. Node runs this file in a thread of its own.
 */

/** Where each of the library's entry points is. */
export type EntryPoints = Readonly<Record<string, string>>;

let entryPoints: EntryPoints = {};
const loaders: Record<string, 'ts' | 'tsx' | 'js'> = {
  '.ts': 'ts',
  '.mts': 'ts',
  '.tsx': 'tsx',
  '.js': 'js',
  '.mjs': 'js',
};
const tried = ['.ts', '.mts', '.js', '.mjs', '/index.ts', '/index.js'];

export const initialize: InitializeHook<EntryPoints> = (given) => {
  entryPoints = given;
};

export const resolve: ResolveHook = async (specifier, context, next) => {
  const own = entryPoints[specifier];
  if (own !== undefined) return { url: own, shortCircuit: true };
  if (/^\.{0,2}\//.test(specifier) && context.parentURL !== undefined && isSketchCode(context.parentURL)) {
    const url = new URL(specifier, context.parentURL);
    const found = [url.href, url.href.replace(/\.([mc]?)js$/, '.$1ts'), ...tried.map((end) => url.href + end)].find(
      isFile,
    );
    // Files of one sketch are read anew together: they share its version.
    if (found !== undefined) return { url: found + new URL(context.parentURL).search, shortCircuit: true };
  }
  return next(specifier, context);
};

export const load: LoadHook = async (url, context, next) => {
  const loader = isSketchCode(url) ? loaders[extension(url)] : undefined;
  if (loader === undefined) return next(url, context);
  const file = fileURLToPath(new URL(url));
  const source = await readFile(file, 'utf8');
  if (loader === 'js') return { format: 'module', source, shortCircuit: true };
  const { code, map, errors } = transformSync(file, source, { lang: loader, sourcemap: true });
  if (errors.length > 0) throw new SyntaxError(describeSyntax(file, source, errors[0]));
  const inline = Buffer.from(JSON.stringify({ ...map, sources: [pathToFileURL(file).href] })).toString('base64');
  return {
    format: 'module',
    source: `${code}\n//# sourceMappingURL=data:application/json;base64,${inline}`,
    shortCircuit: true,
  };
};

function describeSyntax(file: string, source: string, { message, labels }: OxcError): string {
  const start = labels[0]?.start;
  if (start === undefined) return `${message} (${path.basename(file)})`;
  const before = Buffer.from(source).subarray(0, start).toString().split('\n');
  return `${message} (${path.basename(file)}:${before.length}:${before[before.length - 1].length + 1})`;
}

function isSketchCode(url: string): boolean {
  return (
    url.startsWith('file:') &&
    !url.includes('/node_modules/') &&
    !Object.values(entryPoints).includes(url) &&
    !isLibrary(url)
  );
}

const libraryRoot = new URL('..', import.meta.url).href;
function isLibrary(url: string): boolean {
  return url.startsWith(libraryRoot);
}

function extension(url: string): string {
  return /\.\w+$/.exec(new URL(url).pathname)?.[0] ?? '';
}

function isFile(url: string): boolean {
  const file = fileURLToPath(new URL(url));
  return existsSync(file) && statSync(file).isFile();
}
