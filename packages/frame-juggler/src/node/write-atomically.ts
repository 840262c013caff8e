import { openSink } from './sink.ts';

/** Writes a file whole or not at all. `-` is standard output. */
export async function writeAtomically(file: string, bytes: Uint8Array): Promise<void> {
  const sink = await openSink(file);
  try {
    await sink.write(bytes);
  } catch (error) {
    await sink.abandon();
    throw error;
  }
  await sink.commit();
}
