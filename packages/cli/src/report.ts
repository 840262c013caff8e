import { standardOutput } from 'frame-juggler/node';
import type { ReportArguments } from './arguments.ts';

/** Says what was made: in words, as JSON, or not at all. Where standard output is taken, on standard error. */
export function report(output: string, { json, quiet }: ReportArguments, facts: object, words: string): void {
  const stream = output === standardOutput ? process.stderr : process.stdout;
  if (json === true) stream.write(`${JSON.stringify(facts)}\n`);
  else if (quiet !== true) stream.write(`${words}\n`);
}

/** An output as people read it. */
export function outputName(output: string): string {
  return output === standardOutput ? 'standard output' : output;
}
