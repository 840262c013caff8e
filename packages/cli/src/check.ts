import { stat } from 'node:fs/promises';
import { Command } from 'commander';
import {
  addRunOptions,
  framesOption,
  jsonOption,
  quietOption,
  type ReportArguments,
  type RunArguments,
} from './arguments.ts';
import { handedOn } from './handed-on.ts';
import { runJob } from './job/run-job.ts';
import { loadLibrary } from './load-library.ts';
import { Progress } from './progress.ts';
import { tellError } from './tell-error.ts';
import { terminalWidth } from './terminal.ts';

interface CheckArguments extends RunArguments, ReportArguments {
  frames?: [number, number];
}

/** What the exit code says of findings. */
const foundSome = 1;

export function checkCommand(): Command {
  const command = new Command('check')
    .description('Finds likely mistakes in sketches, each with its line and a fix.')
    .argument('<sketch...>', 'the sketch files: .ts, .mts, .js or .mjs; of a folder, all that are in it')
    .addOption(framesOption('the first and last frame (default: the first 120, fewer where each has many items)'));
  return addRunOptions(command)
    .addOption(quietOption())
    .addOption(jsonOption())
    .addHelpText(
      'after',
      `
To accept what is intended, say so in the sketch: defineSketch({ accept: { covered: 'the moon sets' }, … }).

Exit codes: 0 nothing found, 1 something found, 2 a check could not run.

Examples:
  juggle check harbor.ts
  juggle check harbor.ts --frames 0..29 --json
  juggle check harbor.ts gulls.ts
  juggle check .`,
    )
    .action(async (given: string[], options: CheckArguments) => {
      const files = (await Promise.all(given.map(sketchesOf))).flat();
      for (const [place, file] of files.entries()) {
        try {
          await check(file, options, files.length > 1, place === files.length - 1);
        } catch (thrown) {
          // Of several sketches the others are checked all the same, unless it was stopped by hand.
          if (files.length === 1 || thrown instanceof (await loadLibrary()).Stopped) throw thrown;
          await tellError(thrown);
        }
      }
    });
}

/** The files that an argument stands for. A folder without sketches stands for itself, to be told so. */
async function sketchesOf(given: string): Promise<string[]> {
  const isFolder = await stat(given).then((found) => found.isDirectory(), () => false); // prettier-ignore
  if (!isFolder) return [given];
  const { sketchesIn } = await loadLibrary();
  const sketches = sketchesIn(given);
  return sketches.length === 0 ? [given] : sketches;
}

async function check(file: string, options: CheckArguments, isNamed: boolean, isLast: boolean): Promise<void> {
  const progress = new Progress('frames', options.quiet === true);
  try {
    const chosen = { ...handedOn(options, ['frames']), width: terminalWidth() };
    const { found, lines } = await runJob({ name: 'check', file, output: undefined, run: options, options: chosen }, progress); // prettier-ignore
    progress.end();
    if (options.json === true) process.stdout.write(`${JSON.stringify(found)}\n`);
    else if (options.quiet !== true) {
      const name = isNamed ? `${file}: ` : '';
      const gap = !isLast && lines.length > 1 ? '\n' : '';
      process.stdout.write(`${name}${lines.join('\n')}\n${gap}`);
    }
    // That another one could not be checked says more.
    if (found.findings.some(({ accepted }) => accepted === undefined)) process.exitCode ??= foundSome;
  } finally {
    progress.end();
  }
}
