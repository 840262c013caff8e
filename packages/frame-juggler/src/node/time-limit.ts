import vm from 'node:vm';
import { SketchError } from '../error.ts';
import type { RunCall } from '../sketch/run.ts';

/*
 * A sketch with an endless loop would block its host for ever. Node can stop code that runs too long if it is called
 * through `vm`.
 */

const called = Symbol.for('frame-juggler.called');
const script = new vm.Script(`globalThis[Symbol.for('frame-juggler.called')]()`, { filename: 'node:time-limit' });

/** Calls a sketch's functions and stops each that takes longer than the limit, in seconds. */
export function timeLimit(seconds: number): <T>(call: () => T, what: RunCall) => T {
  return <T>(call: () => T, what: RunCall): T => {
    const host = globalThis as unknown as Record<symbol, unknown>;
    const outer = host[called];
    host[called] = call;
    let result: T;
    try {
      result = script.runInThisContext({ timeout: Math.max(1, Math.round(seconds * 1000)) }) as T;
    } catch (error) {
      const code = error instanceof Error && 'code' in error ? error.code : undefined;
      if (code === 'ERR_SCRIPT_EXECUTION_TIMEOUT') throw tookTooLong(what, seconds);
      throw error;
    } finally {
      host[called] = outer;
    }
    return result instanceof Promise ? (within(result, seconds, what) as T) : result;
  };
}

async function within<T>(promise: Promise<T>, seconds: number, what: RunCall): Promise<T> {
  let timer: NodeJS.Timeout | undefined;
  const late = new Promise<never>((_, reject) => {
    timer = setTimeout(() => reject(tookTooLong(what, seconds)), seconds * 1000);
  });
  try {
    return await Promise.race([promise, late]);
  } finally {
    clearTimeout(timer);
  }
}

function tookTooLong({ sketch, frame, name }: RunCall, seconds: number): TookTooLong {
  return new TookTooLong(sketch.title, frame, name, seconds);
}

/** One of the sketch's functions took too long. */
export class TookTooLong extends SketchError {
  constructor(title: string, frame: number, name: RunCall['name'], seconds: number) {
    super({
      problem: `${title}: frame ${frame} never finished: ${name} was stopped after ${seconds} s`,
      expected: 'look for a loop that never ends, or give it longer with --patience',
    });
  }

  /** The message names the frame already. */
  override inFrame(): this {
    return this;
  }
}
