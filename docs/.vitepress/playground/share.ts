import type { Begin } from './messages.ts';

/*
 * A sketch in an address: its source, packed, behind the number sign, where no server sees it; its seed and dials beside
 * it.
 */

export interface Shared {
  readonly source: string;
  readonly begin: Begin;
}

async function through(bytes: Uint8Array, stream: CompressionStream | DecompressionStream): Promise<Uint8Array> {
  const packed = new Blob([bytes as BlobPart]).stream().pipeThrough(stream);
  return new Uint8Array(await new Response(packed).arrayBuffer());
}

/** What stands behind the number sign of an address. */
export async function writeShared({ source, begin }: Shared): Promise<string> {
  const bytes = await through(new TextEncoder().encode(source), new CompressionStream('deflate-raw'));
  const sketch = btoa(String.fromCharCode(...bytes))
    .replaceAll('+', '-')
    .replaceAll('/', '_')
    .replaceAll('=', '');
  const fields = new URLSearchParams({ sketch });
  if (begin.seed !== undefined) fields.set('seed', String(begin.seed));
  for (const [name, value] of Object.entries(begin.dials)) fields.set(`dial-${name}`, JSON.stringify(value));
  return fields.toString();
}

/** The sketch in an address; undefined where there is none, or what there is cannot be read. */
export async function readShared(hash: string): Promise<Shared | undefined> {
  const fields = new URLSearchParams(hash.replace(/^#/, ''));
  const sketch = fields.get('sketch');
  if (sketch === null) return undefined;
  try {
    const text = atob(sketch.replaceAll('-', '+').replaceAll('_', '/'));
    const bytes = Uint8Array.from(text, (letter) => letter.charCodeAt(0));
    const source = new TextDecoder().decode(await through(bytes, new DecompressionStream('deflate-raw')));
    const dials = [...fields].filter(([name]) => name.startsWith('dial-')).map(([name, value]) => [name.slice(5), JSON.parse(value) as unknown]); // prettier-ignore
    const seed = fields.get('seed');
    return { source, begin: { dials: Object.fromEntries(dials), ...(seed !== null && { seed: Number(seed) }) } };
  } catch {
    return undefined;
  }
}
