import { wordsOf } from '../../formats/changes.ts';
import { gifEnd, GifEncoder, type GifFrame } from '../../formats/gif.ts';
import type { DrawPool } from '../draw-pool.ts';
import { provenance, provenanceLines } from '../provenance.ts';
import { openSink, type Destination } from '../sink.ts';
import type { Output, OutputOptions, OutputSetting } from './output.ts';

/** An animated GIF. Its frames are put together here, in order; packing them is spread over the pool. */
export async function openGif(
  file: Destination,
  setting: OutputSetting,
  { dither }: Pick<OutputOptions, 'dither'>,
  pool: DrawPool,
): Promise<Output> {
  const comment = provenanceLines(provenance({ ...setting, frame: setting.frames }));
  const encoder = new GifEncoder({ ...setting, comment, dither });
  const sink = await openSink(file, { patches: true });
  await sink.write(encoder.head());
  /** Resolves once everything handed over so far is written. */
  let written = Promise.resolve();
  const write = (frame: GifFrame | undefined): void => {
    if (frame === undefined) return;
    const packed = pool.draw({ indices: frame.indices });
    written = Promise.all([packed, written]).then(async ([bytes]) => {
      await sink.write(frame.head);
      await sink.write(bytes);
    });
    // Awaited later; this avoids an unhandled rejection until then.
    written.catch(() => undefined);
  };
  return {
    async add(_, bytes) {
      const before = written;
      write(encoder.add(wordsOf(bytes)));
      // One frame is packed while the next is put together.
      await before;
    },
    async finish() {
      for (const frame of encoder.end()) write(frame);
      await written;
      await sink.write(gifEnd);
      // The shared color table is complete only now.
      await sink.patch(0, encoder.head());
      await sink.commit();
    },
    abandon: () => sink.abandon(),
  };
}
