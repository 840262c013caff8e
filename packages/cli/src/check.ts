import { Command } from 'commander';
import { checkupLines } from 'frame-juggler';
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
import { Progress } from './progress.ts';
import { terminalWidth } from './terminal.ts';

interface CheckArguments extends RunArguments, ReportArguments {
  frames?: [number, number];
}

/** What the exit code says of findings. */
const foundSome = 1;

export function checkCommand(): Command {
  const command = new Command('check')
    .description('Finds likely mistakes in a sketch, each with its line and a fix.')
    .argument('<sketch>', 'the sketch file: .ts, .mts, .js or .mjs')
    .addOption(framesOption('the first and last frame (default: the first 120, fewer where each has many items)'));
  return addRunOptions(command)
    .addOption(quietOption())
    .addOption(jsonOption())
    .addHelpText(
      'after',
      `
To accept what is intended, say so in the sketch: defineSketch({ accept: { covered: 'the moon sets' }, … }).

Exit codes: 0 nothing found, 1 something found, 2 the check could not run.

Examples:
  juggle check harbor.ts
  juggle check harbor.ts --frames 0..29 --json`,
    )
    .action(async (file: string, options: CheckArguments) => {
      const progress = new Progress('frames', options.quiet === true);
      try {
        const chosen = handedOn(options, ['frames']);
        const found = await runJob({ name: 'check', file, output: undefined, run: options, options: chosen }, progress);
        progress.end();
        if (options.json === true) process.stdout.write(`${JSON.stringify(found)}\n`);
        else if (options.quiet !== true) process.stdout.write(`${checkupLines(found, terminalWidth()).join('\n')}\n`);
        if (found.findings.some(({ accepted }) => accepted === undefined)) process.exitCode = foundSome;
      } finally {
        progress.end();
      }
    });
}
