import { openSink, type Destination, type SinkOptions } from './sink.ts';
import { kindOf } from '../schema/kind.ts';
import { givenBytes, givenPath } from './given.ts';

const givenDestination = kindOf<Destination>(
  'the path of a file, or a function that takes its bytes',
  (value) => typeof value === 'function' || givenPath.allows(value),
  'is neither',
);

/** Writes a file whole or not at all. `-` is standard output. */
export async function writeAtomically(file: Destination, bytes: Uint8Array, options: SinkOptions = {}): Promise<void> {
  givenDestination.read('writeAtomically', 'file', file);
  givenBytes.read('writeAtomically', 'bytes', bytes);
  const sink = await openSink(file, options);
  try {
    await sink.write(bytes);
  } catch (error) {
    await sink.abandon();
    throw error;
  }
  await sink.commit();
}
