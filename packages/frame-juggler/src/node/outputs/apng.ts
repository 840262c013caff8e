import { promisify } from 'node:util';
import { deflate } from 'node:zlib';
import { changedRect, wordsOf, type PixelRect } from '../../formats/changes.ts';
import { rational } from '../../formats/y4m.ts';
import { packing, pngChunk, pngEnd, pngHead, pngRows, wholeOf } from '../png.ts';
import { provenance } from '../provenance.ts';
import { openSink, type Destination } from '../sink.ts';
import type { Output, OutputSetting } from './output.ts';

const pack = promisify(deflate);

interface Shown {
  readonly words: Uint32Array;
  readonly rect: PixelRect;
  readonly packed: Promise<Uint8Array>;
  /** For how many frames it stays. */
  length: number;
}

/**
 * An animated PNG (PNG, third edition): each frame is the rectangle that changed, put over what is there. Pictures that
 * stay the same are one frame that lasts longer.
 */
export async function openApng(file: Destination, setting: OutputSetting): Promise<Output> {
  const { width, height, frameRate, repeat } = setting;
  const head = Buffer.concat(pngHead(setting, false, provenance({ ...setting, frame: setting.frames })));
  const [rate, per] = rational(frameRate);
  const sink = await openSink(file, { patches: true });
  let pictures = 0;
  let chunks = 0;
  let shown: Shown | undefined;
  const control = (): Uint8Array => pngChunk('acTL', u32(pictures, repeat ? 0 : 1));

  const write = async ({ rect, packed, length }: Shown): Promise<void> => {
    const place = u32(chunks++, rect.width, rect.height, rect.x, rect.y);
    // The last two bytes: nothing is cleared away afterwards, and pixels replace those that are there.
    await sink.write(
      pngChunk('fcTL', Buffer.concat([place, u16(...seconds(length * per, rate)), Uint8Array.of(0, 0)])),
    );
    const data = await packed;
    const first = pictures++ === 0;
    await sink.write(first ? pngChunk('IDAT', data) : pngChunk('fdAT', Buffer.concat([u32(chunks++), data])));
  };

  await sink.write(head);
  await sink.write(control());
  return {
    async add(_, bytes) {
      const words = wordsOf(bytes);
      const rect = shown === undefined ? wholeOf(setting) : changedRect(shown.words, words, width);
      if (rect === undefined) {
        shown!.length++;
        return;
      }
      const rows = pngRows({ width, height, data: bytes }, rect, false);
      const next = { words, rect, packed: pack(rows, packing), length: 1 };
      if (shown !== undefined) await write(shown);
      shown = next;
    },
    async finish() {
      if (shown !== undefined) await write(shown);
      await sink.write(pngEnd());
      // Only now it is known how many pictures there are.
      await sink.patch(head.length, control());
      await sink.commit();
    },
    abandon: () => sink.abandon(),
  };
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
