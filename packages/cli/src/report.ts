import type { ReportArguments } from './arguments.ts';

/** What stands for standard output; a constant of the library, which takes as long to load as Node itself. */
const standardOutput: typeof import('frame-juggler/node').standardOutput = '-';

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
