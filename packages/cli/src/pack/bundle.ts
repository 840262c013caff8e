import { isBuiltin } from 'node:module';
import path from 'node:path';
import { stripVTControlCharacters } from 'node:util';
import { SketchError } from '../errors.ts';
import { build, type Plugin } from 'vite';
import { bundledFiles } from '../library.ts';
import { refuseNoCode } from '../no-code.ts';

/** One file of a page. */
export interface PageFile {
  readonly name: string;
  readonly content: string | Uint8Array;
}

export interface Bundle {
  /** The script that the page begins with. */
  readonly entry: string;
  /** What the page loads at once: the entry and all that it imports outright. */
  readonly atOnce: readonly string[];
  readonly files: readonly PageFile[];
}

/** What the page's script is made from. */
export interface BundleSetting {
  /** The sketch file. */
  readonly file: string;
  /** What `mount` is given. */
  readonly options: Readonly<Record<string, unknown>>;
  /** Everything in one script, files and fonts too. */
  readonly single: boolean;
}

/** Builds the script of a page that shows a sketch, with all that it imports, its files and the library. */
export async function bundle(setting: BundleSetting): Promise<Bundle> {
  const { file } = setting;
  const used = new Set<Extra>();
  try {
    const least = await buildPage(setting, used, new Set());
    return used.size > 0 ? await buildPage(setting, used, used) : least;
  } catch (thrown) {
    throw new SketchError({
      problem: `${path.basename(file)} could not be packed: ${inOneLine(thrown)}`,
      expected: 'expected imports of what runs in a browser; a page has no Node',
    });
  }
}

/**
 * @param used what the sketch's own code turns out to use
 * @param packed what of it is packed
 */
async function buildPage(setting: BundleSetting, used: Set<Extra>, packed: ReadonlySet<Extra>): Promise<Bundle> {
  const { file, options, single } = setting;
  const sketch = path.resolve(file);
  const result = await build({
    root: path.dirname(sketch),
    configFile: false,
    envFile: false,
    publicDir: false,
    logLevel: 'silent',
    base: './',
    resolve: {
      alias: Object.entries(bundledFiles).map(([name, bundled]) => ({
        find: new RegExp(`^${name}$`),
        replacement: bundled,
      })),
    },
    plugins: [entryOf(sketch, options), without(packed, options.surface === 'raster', single), noteUsed(used)],
    build: {
      write: false,
      assetsDir: 'files',
      assetsInlineLimit: single ? Infinity : 0,
      modulePreload: false,
      reportCompressedSize: false,
      chunkSizeWarningLimit: Infinity,
      rolldownOptions: {
        input: entryName,
        output: { entryFileNames: 'files/page-[hash].js', ...(single && { codeSplitting: false }) },
      },
    },
  });
  return readBundle(result as { output: readonly Output[] });
}

interface Output {
  readonly type: 'chunk' | 'asset';
  readonly fileName: string;
  readonly isEntry?: boolean;
  readonly imports?: readonly string[];
  readonly code?: string;
  readonly source?: string | Uint8Array;
}

function readBundle({ output }: { readonly output: readonly Output[] }): Bundle {
  const entry = output.find(({ isEntry }) => isEntry === true)!;
  const atOnce = new Set([entry.fileName]);
  for (const name of atOnce)
    for (const imported of output.find(({ fileName }) => fileName === name)?.imports ?? []) atOnce.add(imported);
  return {
    entry: entry.fileName,
    atOnce: [...atOnce],
    files: output.map(({ fileName, code, source }) => ({ name: fileName, content: code ?? source! })),
  };
}

const entryName = 'page';

/** The script that is the page's own: it shows the sketch in place of its picture. */
function entryOf(sketch: string, options: Readonly<Record<string, unknown>>): Plugin {
  const id = '\0page.js';
  const code = `import { titledAfter } from 'frame-juggler';
import { mount } from 'frame-juggler/browser';
import sketch from ${JSON.stringify(sketch)};
const stage = document.getElementById('stage');
const still = stage.firstElementChild;
const player = mount(titledAfter(sketch, ${JSON.stringify(path.basename(sketch))}), stage, ${JSON.stringify({ fit: 'contain', ...options })});
void player.ready.then((isShown) => isShown && still.remove());
`;
  return {
    name: 'juggle-entry',
    enforce: 'pre',
    resolveId(source, importer) {
      if (source === entryName) return id;
      refuseNoCode(source, importer);
      // A bundler would put nothing in its place, which fails in the page alone.
      if (isBuiltin(source))
        throw new Error(`${importer === undefined ? 'it' : path.basename(importer)} imports ${source}`);
      return undefined;
    },
    load: (asked) => (asked === id ? code : undefined),
  };
}

const library = path.dirname(bundledFiles['frame-juggler']) + path.sep;
/** What may measure text loads the fonts of all weights beforehand; so does the library's `picture`, whatever is drawn in it. */
const measures =
  /\b(?:measureText|textOutline|boundsOf|loadFonts)\b|\b(?:import|export)\b[^;]*(?:\*|\bpicture\b)[^;]*\bfrom\s*['"]frame-juggler['"]/;

/** What some sketches use and others do without: code that uses it has its words, and only it needs these parts. */
const extras = {
  text: {
    words: [/\b(?:text|grid|font)\b/, measures],
    parts: [
      'text/generated/regular.js',
      'text/generated/regular-latin.js',
      'text/font-package.js',
      'text/read-font.js',
      'text/layout.js',
      'text/bidi-package.js',
      'text/line-break-package.js',
    ],
  },
  bold: {
    words: [/\b(?:bold|weight)\b/, measures],
    parts: ['text/generated/bold.js', 'text/generated/bold-latin.js'],
  },
  brotli: { words: [/\bfont\b/], parts: ['text/brotli-package.js'] },
  hits: { words: [/\.over\b|\bover\s*[(:,}]/], parts: ['review/hit.js'] },
};
type Extra = keyof typeof extras;

/** What stands in the place of an export that a page calls whatever its sketch uses. */
const standIns: Readonly<Record<string, string>> = { loadHitTester: 'async () => undefined' };

/** What stands in a part's place where all comes at once: the few letters that could come first are in the whole font. */
const inOneFile: Readonly<Record<string, string>> = {
  'text/generated/regular-latin.js': "export { packed } from './regular.js';",
  'text/generated/bold-latin.js': "export { packed } from './bold.js';",
};

/** Leaves out of the page what its sketch does not ask for, which would lie there for nothing. */
function without(packed: ReadonlySet<Extra>, hasRaster: boolean, single: boolean): Plugin {
  const leftOut = new Set(hasRaster ? [] : ['browser/exact-surface.js', 'browser/pixel-surface.js']);
  for (const [name, { parts }] of Object.entries(extras))
    if (!packed.has(name as Extra)) for (const part of parts) leftOut.add(part);
  return {
    name: 'juggle-without',
    transform(code, id) {
      const part = id.slice(library.length).split(path.sep).join('/');
      if (!id.startsWith(library)) return undefined;
      if (!leftOut.has(part)) return single ? inOneFile[part] : undefined;
      const names = [...code.matchAll(/export (?:const|class|(?:async )?function) (\w+)/g)].map(([, name]) => name!);
      const exports = names.map((name) => `export const ${name} = ${standIns[name] ?? 'undefined'};`);
      if (!names.some((name) => name in standIns))
        exports.push(`throw new Error('This page was packed without ${part}: the sketch did not seem to use it.');`);
      return exports.join('\n');
    },
  };
}

/** Notes what code that is not the library's uses. */
function noteUsed(used: Set<Extra>): Plugin {
  return {
    name: 'juggle-words',
    transform(code, id) {
      if (id.startsWith(library)) return;
      for (const [name, { words }] of Object.entries(extras))
        if (words.some((word) => word.test(code))) used.add(name as Extra);
    },
  };
}

/** A bundler's error message; its first line says what is wrong. */
function inOneLine(thrown: unknown): string {
  const text = stripVTControlCharacters(thrown instanceof Error ? thrown.message : String(thrown));
  const lines = text.split('\n').map((line) => line.replace(/^(?:\[[^\]]*\]|Error:|\s)*/, ''));
  return lines.find((line) => line !== '' && !line.startsWith('Build failed')) ?? 'the bundler failed';
}
