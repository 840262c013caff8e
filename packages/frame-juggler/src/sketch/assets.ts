import { SketchError, show } from '../error.ts';
import { Kind, kindOf, mapOf } from '../schema/kind.ts';
import type { Picture } from '../paint/picture.ts';
import type { Font } from '../text/font.ts';
import { fontReader } from '../text/lettering.ts';
import type { TableRow } from './table.ts';

/** A file that a sketch needs, loaded before `start`. */
export interface Asset<Value> {
  /** The file's address. */
  readonly url: URL;
  /** The largest file of its kind, in bytes. */
  readonly maxBytes: number;
  /** Makes the value of the file's bytes; throws a plain Error that says what is wrong with them. */
  readonly decode: (bytes: Uint8Array, host: AssetHost) => Value | Promise<Value>;
  /** The value once more, for another run: what one run changes of it is no business of the next. */
  copy(value: Value): Value;
}

/** The assets of a sketch, by name. */
export type AssetMap = Readonly<Record<string, Asset<unknown>>>;

/** What `paint` finds under `assets`. */
export type AssetValues<Assets extends AssetMap> = {
  readonly [Name in keyof Assets]: Assets[Name] extends Asset<infer Value> ? Value : never;
};

/** What the core asks of its host: a file's bytes, and pictures of kinds that the library itself does not decode. */
export interface AssetHost {
  /**
   * Reads a file.
   * @param maxBytes a host that can tell a larger file before it is read need not read it: {@link checkFileSize}
   */
  read(url: URL, maxBytes: number): Promise<Uint8Array>;
  /** Reads a picture file by the host's own means; the library reads PNG and JPEG itself. */
  decodePicture?(bytes: Uint8Array): Promise<Picture>;
}

/** The largest files: what they hold takes several times as much memory. */
const maxBytes = { json: 128e6, picture: 512e6, font: 64e6, table: 128e6 };

/** Refuses a file that is larger than it may be. Throws an Error that says so. */
export function checkFileSize(bytes: number, max: number): void {
  if (bytes > max) throw new Error(`it is ${Math.ceil(bytes / 1e6)} MB: expected at most ${max / 1e6} MB`);
}

const same = <Value>(value: Value): Value => value;

/** Files to load before `start`, each given `new URL('./file', import.meta.url)`. */
export const asset = {
  /** A JSON file: whatever it holds. */
  json<Value = unknown>(url: URL): Asset<Value> {
    fileUrl.read('asset.json', 'url', url);
    return {
      url,
      maxBytes: maxBytes.json,
      decode: (bytes) => JSON.parse(text(bytes)) as Value,
      copy: (value) => structuredClone(value),
    };
  },
  /** A picture: PNG or JPEG, and in a page whatever the browser decodes. */
  picture(url: URL): Asset<Picture> {
    fileUrl.read('asset.picture', 'url', url);
    return {
      url,
      maxBytes: maxBytes.picture,
      decode: async (bytes, host) => {
        const { decodePicture } = await import('./decode-picture.ts');
        const picture = (await decodePicture(bytes)) ?? (await host.decodePicture?.(bytes));
        if (picture === undefined) throw new Error('it is not a picture that can be read: expected PNG or JPEG');
        return picture;
      },
      copy: (picture) => picture.copy(),
    };
  },
  /** A font: TTF, OTF, WOFF or WOFF2. */
  font(url: URL): Asset<Font> {
    const name = fileOf(fileUrl.read('asset.font', 'url', url));
    return {
      url,
      maxBytes: maxBytes.font,
      decode: async (bytes) => (await fontReader(bytes))(name, bytes),
      copy: same,
    };
  },
  /**
   * A CSV file with a line of column names: a list of rows, `{ column: value }`, parted by commas, tabs,
   * or semicolons, which go with a decimal comma. The types of its columns can be given:
   * `asset.table<{ time: string; level: number }>(…)`.
   */
  table<Row extends object = TableRow>(url: URL): Asset<readonly Row[]> {
    fileUrl.read('asset.table', 'url', url);
    return {
      url,
      maxBytes: maxBytes.table,
      decode: async (bytes) =>
        (await import('./table.ts')).parseTable(text(bytes)) as readonly object[] as readonly Row[],
      copy: (rows) => structuredClone(rows),
    };
  },
};

const isAsset = (value: unknown): boolean => typeof (value as { decode?: unknown } | undefined)?.decode === 'function';

/** The assets of a sketch: by name, each made with `asset`. */
export const assetMap: Kind<AssetMap> = mapOf(
  kindOf("asset.picture(new URL('./file', import.meta.url)), or another asset", isAsset, 'is not an asset'),
  "assets by name: { boat: asset.picture(new URL('./boat.png', import.meta.url)) }",
);

/** Called as files load, with how many are there, of how many, and the name of the last one. */
export type LoadListener = (done: number, total: number, name: string) => void;

const loaded = new WeakMap<AssetMap, WeakMap<AssetHost, Promise<Record<string, unknown>>>>();

/**
 * The values of a sketch's assets, for one run: files are read and decoded once a sketch. A file that is missing or
 * broken is a SketchError that names it; the next run tries again.
 */
export async function loadAssets(
  assets: AssetMap,
  host: AssetHost,
  onLoad?: LoadListener,
): Promise<Record<string, unknown>> {
  let byHost = loaded.get(assets);
  if (byHost === undefined) loaded.set(assets, (byHost = new WeakMap()));
  let loading = byHost.get(host);
  if (loading === undefined) {
    byHost.set(host, (loading = readAssets(assets, host, onLoad)));
    loading.catch(() => byHost.delete(host));
  }
  const values = await loading;
  return Object.fromEntries(Object.entries(assets).map(([name, { copy }]) => [name, copy(values[name])]));
}

async function readAssets(
  assets: AssetMap,
  host: AssetHost,
  onLoad: LoadListener | undefined,
): Promise<Record<string, unknown>> {
  let done = 0;
  const entries = Object.entries(assets).map(
    async ([name, { url, maxBytes, decode }], _, { length }): Promise<[string, unknown]> => {
      try {
        const bytes = await host.read(url, maxBytes);
        checkFileSize(bytes.length, maxBytes);
        const value = await decode(bytes, host);
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

const fileUrl = kindOf<URL>(
  "new URL('./file', import.meta.url)",
  (value) => typeof value === 'object' && value !== null && 'href' in value,
  'is not a URL',
);

function fileOf(url: URL): string {
  return decodeURIComponent(url.pathname.slice(url.pathname.lastIndexOf('/') + 1));
}

/** UTF-8, with the mark that some programs put at a file's start left out. */
function text(bytes: Uint8Array): string {
  return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
}
