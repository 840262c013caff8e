import { loadLibrary } from './load-library.ts';

/** What the exit code says: something could not be done. */
const couldNot = 2;
/** As shells have it: 128 and the number of the signal that Ctrl-C sends. */
const interrupted = 130;

/** Prints what went wrong, and gives the command the exit code that says so. */
export async function tellError(thrown: unknown): Promise<void> {
  const { asSketchError, SketchError, Stopped } = await loadLibrary();
  const error = asSketchError(thrown);
  process.stderr.write(`juggle: ${error.message}\n`);
  // Any other error is a bug of ours, and its stack trace helps to fix it.
  if (!(thrown instanceof SketchError) && process.env.JUGGLE_TRACE !== undefined) console.error(thrown);
  process.exitCode = thrown instanceof Stopped ? interrupted : couldNot;
}
