import { Command, InvalidArgumentError, Option } from 'commander';
import {
  addRunOptions,
  frameOption,
  jsonOption,
  quietOption,
  secondsOption,
  wholeNumberOption,
  type ReportArguments,
  type RunArguments,
} from './arguments.ts';
import { handedOn } from './handed-on.ts';
import { runJob } from './job/run-job.ts';
import { Progress } from './progress.ts';
import { refuse } from './refuse.ts';
import { terminalWidth } from './terminal.ts';

interface CompareArguments extends RunArguments, ReportArguments {
  output?: string;
  frame?: number;
  seconds?: number;
  otherFrame?: number;
  otherSeconds?: number;
  otherSeed?: number;
  tolerance?: number;
  threshold?: number;
}

/** What the exit code says of differences. */
const differs = 1;

export function compareCommand(): Command {
  const command = new Command('compare')
    .description('Shows how two sketches, frames, seeds or pictures differ, in pixels and in items.')
    .argument('<one>', 'a sketch file, or a picture: .png, .jpg')
    .argument('[other]', 'what to compare it with (default: the same sketch)')
    .option('-o, --output <file>', 'a .png file to write: both side by side, with the differences marked')
    .addOption(frameOption())
    .addOption(secondsOption())
    .addOption(
      wholeNumberOption('--other-frame <n>', 'the frame of the other (default: the same)').conflicts('otherSeconds'),
    )
    .addOption(secondsOption('--other-seconds <s>', 'the frame of the other, shown at that moment'))
    .addOption(wholeNumberOption('--other-seed <n>', 'the seed of the other (default: the same)'))
    .addOption(new Option('--tolerance <percent>', 'the share of pixels that may differ').argParser(upTo(100)))
    .addOption(
      new Option('--threshold <part>', 'how different colors may be, 0 to 1, and still count as equal').argParser(
        upTo(1),
      ),
    );
  return addRunOptions(command)
    .addOption(quietOption())
    .addOption(jsonOption())
    .addHelpText(
      'after',
      `
Exit codes: 0 within the tolerance, 1 beyond it, 2 the comparison failed.

Examples:
  juggle compare harbor.ts before/harbor.ts -o difference.png
  juggle compare harbor.ts --frame 0 --other-frame 30
  juggle compare harbor.ts --seconds 1 --other-seconds 2.5 -o moments.png
  juggle compare harbor.ts --seed 1 --other-seed 2 -o seeds.png
  juggle compare harbor.ts kept.png --tolerance 0.1`,
    )
    .action(async (one: string, other: string | undefined, options: CompareArguments) => {
      const { otherFrame, otherSeconds, otherSeed } = options;
      const at = handedOn(options, ['frame', 'seconds']);
      const otherAt = {
        ...(otherFrame !== undefined && { frame: otherFrame }),
        ...(otherSeconds !== undefined && { seconds: otherSeconds }),
      };
      const isOther = Object.keys(otherAt).length > 0;
      if (other === undefined && !isOther && otherSeed === undefined)
        return refuse(
          `${one} would be compared with itself`,
          'name another file, or give --other-frame, --other-seconds or --other-seed',
        );
      const progress = new Progress('frames', options.quiet === true);
      try {
        const chosen = handedOn({ ...options, other }, ['other', 'otherSeed', 'tolerance', 'threshold']);
        const width = terminalWidth();
        const sides = { ...(Object.keys(at).length > 0 && { at }), ...(isOther && { otherAt }), ...chosen, width };
        const request = { name: 'compare', file: one, output: options.output, run: options, options: sides } as const;
        const { found, lines } = await runJob(request, progress);
        progress.end();
        if (options.json === true) process.stdout.write(`${JSON.stringify(found)}\n`);
        else if (options.quiet !== true) process.stdout.write(`${lines.join('\n')}\n`);
        if (!found.alike) process.exitCode = differs;
      } finally {
        progress.end();
      }
    });
}

function upTo(most: number): (text: string) => number {
  return (text) => {
    const value = Number(text);
    if (text.trim() !== '' && value >= 0 && value <= most) return value;
    throw new InvalidArgumentError(`Expected a number from 0 to ${most}.`);
  };
}
