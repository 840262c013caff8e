import { y4mHead, type Chroma } from '../../formats/y4m.ts';
import { openSink, type Destination } from '../sink.ts';
import type { Output, OutputSetting } from './output.ts';

/** Video as plain pictures, YUV4MPEG2. */
export async function openY4m(file: Destination, setting: OutputSetting, chroma: Chroma): Promise<Output> {
  const sink = await openSink(file);
  await sink.write(y4mHead(setting.width, setting.height, setting.frameRate, chroma));
  return {
    // Whoever else takes the bytes may keep them.
    letsGo: typeof file === 'string',
    add: (_, bytes) => sink.write(bytes),
    async finish() {
      await sink.commit();
    },
    abandon: () => sink.abandon(),
  };
}
