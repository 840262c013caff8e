import { promisify } from 'node:util';
import { inflate } from 'node:zlib';
import { changedRect, wordsOf, type PixelRect } from '../../formats/changes.ts';
import { rational } from '../../formats/y4m.ts';
import type { DrawPool } from '../draw-pool.ts';
import { isOpaque, pngEnd, pngHead, pngRows, rowForm, wholeOf } from '../png.ts';
import { pngChunk, pngChunks } from '../png-chunks.ts';
import { provenance } from '../provenance.ts';
import { openSink, type Destination } from '../sink.ts';
import type { Output, OutputSetting } from './output.ts';

const unpack = promisify(inflate);

interface Shown {
  readonly words: Uint32Array;
  readonly rect: PixelRect;
  readonly packed: Promise<Uint8Array>;
  /** For how many frames it stays. */
  length: number;
}

/**
 * An animated PNG (PNG, third edition): each frame is the rectangle that changed, put over what is there. Pictures that
 * stay the same are one frame that lasts longer. It has no alpha channel, unless a picture comes that is not opaque.
 * Frames are put together here, in order; packing them is spread over the pool.
 */
export async function openApng(file: Destination, setting: OutputSetting, pool: DrawPool): Promise<Output> {
  const { width, height, frameRate, repeat } = setting;
  const [rate, per] = rational(frameRate);
  const sink = await openSink(file, { patches: true });
  let opaque = true;
  let pictures = 0;
  let chunks = 0;
  let shown: Shown | undefined;
  const head = (): Uint8Array => Buffer.concat(pngHead({ ...setting, bits: 8, opaque }, provenance({ ...setting, frame: setting.frames }))); // prettier-ignore
  const control = (): Uint8Array => pngChunk('acTL', u32(pictures, repeat ? 0 : 1));
  const pack = (rows: Uint8Array, wide: number): Promise<Uint8Array> => {
    const packed = pool.draw({ unpacked: rows, form: rowForm({ width: wide, bits: 8, opaque }) });
    // Awaited later; this avoids an unhandled rejection until then.
    packed.catch(() => undefined);
    return packed;
  };
  const packed = (words: Uint32Array, rect: PixelRect): Promise<Uint8Array> =>
    pack(pngRows({ width, height, data: bytesOf(words) }, rect, opaque), rect.width);

  const put = async (place: Uint8Array, data: Uint8Array): Promise<void> => {
    if (pictures === 0) {
      await sink.write(head());
      await sink.write(control());
    }
    await sink.write(pngChunk('fcTL', Buffer.concat([u32(chunks++), place])));
    const first = pictures++ === 0;
    await sink.write(first ? pngChunk('IDAT', data) : pngChunk('fdAT', Buffer.concat([u32(chunks++), data])));
  };
  const write = async ({ rect, packed, length }: Shown): Promise<void> => {
    const place = u32(rect.width, rect.height, rect.x, rect.y);
    // The last two bytes, dispose and blend: the frame stays, and its pixels replace those below.
    await put(Buffer.concat([place, u16(...seconds(length * per, rate)), Uint8Array.of(0, 0)]), await packed);
  };
  /** Writes everything so far again, with an alpha channel. */
  const giveAlpha = async (): Promise<void> => {
    opaque = false;
    const before = pictures === 0 ? undefined : await sink.takeBack();
    [pictures, chunks] = [0, 0];
    let place: Buffer | undefined;
    for (const { type, data } of before === undefined ? [] : pngChunks(before)) {
      if (type === 'fcTL') place = data.subarray(4);
      if (type !== 'IDAT' && type !== 'fdAT') continue;
      const rows = withAlpha(await unpack(type === 'IDAT' ? data : data.subarray(4)), place!.readUInt32BE(0));
      await put(place!, await pack(rows, place!.readUInt32BE(0)));
    }
    if (shown !== undefined) shown = { ...shown, packed: packed(shown.words, shown.rect) };
  };

  return {
    async add(_, bytes) {
      const words = wordsOf(bytes);
      if (opaque && !isOpaque(bytes)) await giveAlpha();
      const rect = shown === undefined ? wholeOf(setting) : changedRect(shown.words, words, width);
      if (rect === undefined) {
        shown!.length++;
        return;
      }
      const next = { words, rect, packed: packed(words, rect), length: 1 };
      if (shown !== undefined) await write(shown);
      shown = next;
    },
    async finish() {
      if (shown !== undefined) await write(shown);
      await sink.write(pngEnd());
      // The number of pictures is known only now.
      await sink.patch(head().length, control());
      await sink.commit();
    },
    abandon: () => sink.abandon(),
  };
}

const bytesOf = (words: Uint32Array): Uint8Array => new Uint8Array(words.buffer, words.byteOffset, words.length * 4);

/** Rows of opaque pixels as PNG packs them, with the alpha that they were packed without. */
function withAlpha(rows: Uint8Array, width: number): Uint8Array {
  const [from, to] = [width * 3 + 1, width * 4 + 1];
  const result = new Uint8Array((rows.length / from) * to);
  for (let row = 0; row * from < rows.length; row++)
    for (let x = 0; x < width; x++) {
      const [source, target] = [row * from + 1 + x * 3, row * to + 1 + x * 4];
      result.set(rows.subarray(source, source + 3), target);
      result[target + 3] = 255;
    }
  return result;
}

/** A length in seconds as a fraction of two 16-bit numbers. */
function seconds(over: number, under: number): [number, number] {
  const shrink = Math.max(1, over / 65535, under / 65535);
  return [Math.round(over / shrink), Math.max(1, Math.round(under / shrink))];
}

function u32(...values: number[]): Buffer {
  const result = Buffer.alloc(values.length * 4);
  values.forEach((value, index) => result.writeUInt32BE(value, index * 4));
  return result;
}

function u16(...values: number[]): Buffer {
  const result = Buffer.alloc(values.length * 2);
  values.forEach((value, index) => result.writeUInt16BE(value, index * 2));
  return result;
}
