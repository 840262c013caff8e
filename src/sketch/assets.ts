import { fail, SketchError, show } from '../error.ts';
import { optionsObject } from '../options.ts';
import type { Picture } from '../paint/picture.ts';
import type { Font } from '../text/font.ts';
import type { TableRow } from './table.ts';

/** A file that a sketch needs, loaded before `start`. */
export interface Asset<Value> {
  readonly url: URL;
  /** Makes the value of the file's bytes; throws a plain Error that says what is wrong with them. */
  readonly decode: (bytes: Uint8Array, host: AssetHost) => Value | Promise<Value>;
}

/** The assets of a sketch, by name. */
export type AssetMap = Readonly<Record<string, Asset<unknown>>>;

/** What `paint` finds under `assets`. */
export type AssetValues<Assets extends AssetMap> = {
  readonly [Name in keyof Assets]: Assets[Name] extends Asset<infer Value> ? Value : never;
};

/** What the core asks of its host: a file's bytes, and pictures of kinds that the library itself does not decode. */
export interface AssetHost {
  read(url: URL): Promise<Uint8Array>;
  decodePicture?(bytes: Uint8Array): Promise<Picture>;
}

/** Files to load before `start`, each given `new URL('./file', import.meta.url)`. */
export const asset = {
  /** A JSON file: whatever it holds. */
  json<Value = unknown>(url: URL): Asset<Value> {
    return { url: readUrl('asset.json', url), decode: (bytes) => JSON.parse(text(bytes)) as Value };
  },
  /** A picture: PNG or JPEG, and in a page whatever the browser decodes. */
  image(url: URL): Asset<Picture> {
    return {
      url: readUrl('asset.image', url),
      decode: async (bytes, host) => {
        const { decodePicture } = await import('./decode-picture.ts');
        const picture = decodePicture(bytes) ?? (await host.decodePicture?.(bytes));
        if (picture === undefined) throw new Error('it is not a picture that can be read: expected PNG or JPEG');
        return picture;
      },
    };
  },
  /** A font: TTF, OTF, WOFF or WOFF2. */
  font(url: URL): Asset<Font> {
    const name = fileOf(readUrl('asset.font', url));
    return { url, decode: async (bytes) => (await import('../text/read-font.ts')).readFont(name, bytes) };
  },
  /** A CSV file with a line of column names: a list of rows, `{ column: value }`. */
  table(url: URL): Asset<readonly TableRow[]> {
    return {
      url: readUrl('asset.table', url),
      decode: async (bytes) => (await import('./table.ts')).parseTable(text(bytes)),
    };
  },
};

/** Checks a sketch's assets: each is one that `asset` made. */
export function readAssets(call: string, assets: unknown): AssetMap {
  if (assets === undefined) return {};
  for (const [name, value] of Object.entries(
    optionsObject(call, assets as object, "{ boat: asset.image(new URL('./boat.png', import.meta.url)) }"),
  ))
    if (typeof value?.decode !== 'function')
      fail({
        call,
        option: `assets.${name}`,
        value,
        problem: 'is not an asset',
        expected: "expected asset.image(new URL('./file', import.meta.url)), or asset.font, asset.json, asset.table",
      });
  return assets as AssetMap;
}

/** Told as files are loaded: how many of how many are there, and the name of the last. */
export type LoadListener = (done: number, total: number, name: string) => void;

/** Loads all of a sketch's assets. A file that is missing or broken is a SketchError that names it. */
export async function loadAssets(
  assets: AssetMap,
  host: AssetHost,
  onLoad?: LoadListener,
): Promise<Record<string, unknown>> {
  let done = 0;
  const entries = Object.entries(assets).map(
    async ([name, { url, decode }], _, { length }): Promise<[string, unknown]> => {
      try {
        const value = await decode(await host.read(url), host);
        onLoad?.(++done, length, name);
        return [name, value];
      } catch (cause) {
        const why = cause instanceof Error ? cause.message : show(cause);
        throw new SketchError({
          call: 'assets',
          option: name,
          problem: `(${fileOf(url)}) could not be loaded`,
          expected: why,
        });
      }
    },
  );
  return Object.fromEntries(await Promise.all(entries));
}

function readUrl(call: string, url: unknown): URL {
  if (typeof url === 'object' && url !== null && 'href' in url) return url as URL;
  return fail({
    call,
    option: 'url',
    value: url,
    problem: 'is not a URL',
    expected: "expected new URL('./file', import.meta.url)",
  });
}

function fileOf(url: URL): string {
  return decodeURIComponent(url.pathname.slice(url.pathname.lastIndexOf('/') + 1));
}

/** UTF-8, with the mark that some programs put at a file's start left out. */
function text(bytes: Uint8Array): string {
  return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
}
