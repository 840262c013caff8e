import { openSink, type Destination, type SinkOptions } from './sink.ts';

/** Writes a file whole or not at all. `-` is standard output. */
export async function writeAtomically(file: Destination, bytes: Uint8Array, options: SinkOptions = {}): Promise<void> {
  const sink = await openSink(file, options);
  try {
    await sink.write(bytes);
  } catch (error) {
    await sink.abandon();
    throw error;
  }
  await sink.commit();
}
