import { wordsOf } from '../../encode/changes.ts';
import { GifEncoder } from '../../encode/gif.ts';
import { provenance, provenanceLines } from '../provenance.ts';
import { openSink } from '../sink.ts';
import type { Output, OutputSetting } from './output.ts';

/** An animated GIF. */
export async function openGif(file: string, setting: OutputSetting): Promise<Output> {
  const comment = provenanceLines(provenance({ ...setting, frame: setting.frames }));
  const encoder = new GifEncoder({ ...setting, comment });
  const sink = await openSink(file);
  await sink.write(encoder.head());
  return {
    product: () => ({ type: 'pixels' }),
    async add(_, bytes) {
      const ready = encoder.add(wordsOf(bytes));
      if (ready !== undefined) await sink.write(ready);
    },
    async finish() {
      await sink.write(encoder.end());
      // Only now the shared table is complete.
      await sink.patch(0, encoder.head());
      await sink.commit();
    },
    abandon: () => sink.abandon(),
  };
}
