import { Command, InvalidArgumentError, Option } from 'commander';
import {
  addRunOptions,
  countOption,
  frameOption,
  jsonOption,
  quietOption,
  secondsOption,
  type FrameArguments,
  type ReportArguments,
  type RunArguments,
} from './arguments.ts';
import { handedOn } from './handed-on.ts';
import { runJob } from './job/run-job.ts';
import { Progress } from './progress.ts';
import { terminalWidth } from './terminal.ts';

interface ExplainArguments extends RunArguments, FrameArguments, ReportArguments {
  output?: string;
  pixel?: [number, number];
  item?: number;
  line?: number;
  words?: boolean;
  all?: boolean;
}

export function explainCommand(): Command {
  const command = new Command('explain')
    .description(
      'Lists what a frame of a sketch drew, in order: what, where, how, from which line, and how much of it is visible.',
    )
    .argument('<sketch>', 'the sketch file: .ts, .mts, .js or .mjs')
    .addOption(frameOption())
    .addOption(secondsOption())
    .addOption(new Option('--pixel <x,y>', 'what is at a pixel of the canvas, from top to bottom').argParser(pixel))
    .addOption(countOption('--item <n>', 'one item in full, by its number').conflicts(['pixel', 'line']))
    .addOption(countOption('--line <n>', 'everything this line of the sketch drew').conflicts(['pixel']))
    .option('--all', 'one row per item, even for the many items of a loop')
    .option('--words', 'one sentence that describes the picture')
    .option('-o, --output <file>', 'a .png file to write, which highlights what you asked for');
  return addRunOptions(command)
    .addOption(quietOption())
    .addOption(jsonOption().conflicts('words'))
    .addHelpText(
      'after',
      `
Examples:
  juggle explain harbor.ts
  juggle explain harbor.ts --seconds 2 --pixel 480,200
  juggle explain harbor.ts --line 24 -o line-24.png
  juggle explain harbor.ts --words`,
    )
    .action(async (file: string, options: ExplainArguments) => {
      const progress = new Progress('frames', options.quiet === true);
      try {
        const request = {
          name: 'explain',
          file,
          output: options.output,
          run: options,
          options: {
            ...handedOn(options, chosen),
            as: options.json === true ? 'json' : options.words === true ? 'words' : 'table',
            width: terminalWidth(),
            whole: options.all === true || options.line !== undefined,
          },
        } as const;
        const text = await runJob(request, progress);
        progress.end();
        process.stdout.write(`${text}\n`);
      } finally {
        progress.end();
      }
    });
}

/** What is handed on as it was given. */
const chosen = ['frame', 'seconds', 'pixel', 'item', 'line'] as const;

function pixel(text: string): [number, number] {
  const found = /^(\d+),(\d+)$/.exec(text);
  if (found) return [Number(found[1]), Number(found[2])];
  throw new InvalidArgumentError('Expected X,Y in whole pixels from the top left, for example 480,200.');
}
