import { createHash } from 'node:crypto';
import { pngChunks } from './png-chunks.ts';
import { kindOf } from '../schema/kind.ts';
import { givenBytes } from './given.ts';

/** What a file says about its origin, so that it can be made again: keyword and text, in order. */
export type Provenance = Readonly<Record<string, string>>;

/** Where a picture comes from. */
export interface Origin {
  /** The sketch's title. */
  readonly title: string;
  /** The seed of the run. */
  readonly seed: number;
  /** The frame, or the first and the last of several. */
  readonly frame: number | readonly [number, number];
  /** A fingerprint of the run: different for another seed, size or dial of the same sketch. */
  readonly run?: string | undefined;
}

const given = kindOf<Origin>(
  'where a picture comes from: { title, seed, frame }',
  (value) => typeof value === 'object' && value !== null && 'title' in value && 'seed' in value && 'frame' in value,
  'is not that',
);

/** The texts that go into a file. */
export function provenance(origin: Origin): Provenance {
  const { title, seed, frame, run } = given.read('provenance', 'origin', origin);
  return {
    Title: title,
    Software: 'Frame Juggler',
    ...(typeof frame === 'number' ? { Frame: String(frame) } : { Frames: `${frame[0]}..${frame[1]}` }),
    Seed: String(seed),
    ...(run === undefined ? {} : { Run: run }),
  };
}

/** The texts as one, a line each, for formats that only have a comment. */
export function provenanceLines(texts: Provenance): string {
  return Object.entries(texts)
    .map(([keyword, text]) => `${keyword}: ${text.replace(/\s+/g, ' ')}`)
    .join('\n');
}

/** A short fingerprint of everything that a run's frames follow from. */
export function fingerprint(...parts: readonly (string | Uint8Array)[]): string {
  const hash = createHash('sha256');
  for (const part of parts) hash.update(`${part.length}:`).update(part);
  return hash.digest('hex').slice(0, 16);
}

/** The provenance in a PNG, APNG, SVG or GIF file of ours; empty if there is none. */
export function readProvenance(bytes: Uint8Array): Provenance {
  givenBytes.read('readProvenance', 'bytes', bytes);
  const buffer = Buffer.from(bytes.buffer, bytes.byteOffset, bytes.length);
  if (buffer.subarray(1, 4).toString('latin1') === 'PNG') return pngTexts(buffer);
  if (buffer.subarray(0, 4).toString('latin1') === 'GIF8') {
    const start = buffer.indexOf(Uint8Array.of(0x21, 0xfe));
    const parts: Buffer[] = [];
    for (let at = start + 2; start >= 0 && buffer[at] > 0; at += buffer[at] + 1)
      parts.push(buffer.subarray(at + 1, at + 1 + buffer[at]));
    return lines(Buffer.concat(parts).toString());
  }
  const comment = /<metadata[^>]*>([^<]*)<\/metadata>/.exec(buffer.toString());
  return comment === null ? {} : lines(unescape(comment[1]));
}

function lines(text: string): Provenance {
  return Object.fromEntries([...text.matchAll(/^\s*(\w+): (.*)$/gm)].map(([, keyword, value]) => [keyword, value]));
}

function unescape(text: string): string {
  return text.replaceAll('&lt;', '<').replaceAll('&gt;', '>').replaceAll('&quot;', '"').replaceAll('&amp;', '&');
}

function pngTexts(png: Buffer): Provenance {
  const texts: Record<string, string> = {};
  for (const { type, data } of pngChunks(png)) {
    if (type !== 'iTXt') continue;
    const [keyword] = data.toString('utf8').split('\0');
    texts[keyword] = data.toString('utf8', keyword.length + 5);
  }
  return texts;
}
