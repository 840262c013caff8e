import { Worker } from 'node:worker_threads';

/* This file loads nothing else, so that a command can wake its thread before all other things. */

let woken: Worker | undefined;

/** Starts the thread that will do a command's work. It does not keep the process alive if there turns out to be no work. */
export function wakeJobThread(): void {
  woken = new Worker(new URL('./job-thread.js', import.meta.url));
  woken.unref();
}

/**
 * A thread for one job: the one that was woken, or a new one.
 * @param silent whether what the sketch prints is dropped
 */
export function jobThread(silent = false): Worker {
  if (silent) return new Worker(new URL('./job-thread.js', import.meta.url), { stdout: true, stderr: true });
  if (woken === undefined) wakeJobThread();
  const worker = woken!;
  woken = undefined;
  worker.ref();
  return worker;
}
