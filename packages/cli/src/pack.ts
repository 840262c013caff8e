import { Command, InvalidArgumentError, Option } from 'commander';
import {
  dialOption,
  frameOption,
  jsonOption,
  patienceOption,
  quietOption,
  seedOption,
  sizeOption,
  type ReportArguments,
  type RunArguments,
} from './arguments.ts';
import { handedOn } from './handed-on.ts';
import { runJob } from './job/run-job.ts';
import type { Packed } from './pack/pack-page.ts';
import { Progress } from './progress.ts';
import { report } from './report.ts';

interface PackArguments extends RunArguments, ReportArguments {
  output: string;
  frame?: number;
  single?: boolean;
  embed?: boolean;
  controls?: boolean;
  surface?: 'canvas2d' | 'raster';
  address?: string;
}

export function packCommand(): Command {
  return new Command('pack')
    .description('Packs a sketch as a web page of static files.')
    .argument('<sketch>', 'the sketch file: .ts, .mts, .js or .mjs')
    .requiredOption('-o, --output <folder>', 'the folder to write, or with --single the .html file')
    .addOption(new Option('--single', 'one HTML file with everything in it, which opens from disk'))
    .addOption(new Option('--controls', 'play, time, full screen and dials below the picture'))
    .addOption(
      new Option('--surface <kind>', "what draws: the browser's canvas, or the same pixels as render").choices([
        'canvas2d',
        'raster',
      ]),
    ) // prettier-ignore
    .addOption(
      new Option('--address <url>', "the page's future address, for previews of links to it").argParser(webAddress),
    ) // prettier-ignore
    .addOption(new Option('--embed', 'prints the lines that embed it in another page'))
    .addOption(frameOption())
    .addOption(seedOption())
    .addOption(dialOption())
    .addOption(sizeOption())
    .addOption(patienceOption(10))
    .addOption(quietOption())
    .addOption(jsonOption())
    .addHelpText(
      'after',
      `
--frame is the frame of the preview (default: one from the middle). The preview shows until the sketch plays, when scripts
are off, and where links are shown. --size is the size of the preview; the page shows the sketch as large as fits.

Examples:
  juggle pack harbor.ts -o harbor
  juggle pack harbor.ts -o harbor.html --single --controls
  juggle pack harbor.ts -o public/harbor --address https://quay.example/harbor/ --embed`,
    )
    .action(async (file: string, options: PackArguments) => {
      const progress = new Progress('steps', options.quiet === true);
      const { output, embed } = options;
      try {
        const done = await runJob({ name: 'pack', file, output, run: options, options: handedOn(options, chosen) }, progress); // prettier-ignore
        progress.end();
        report(output, options, done, inWords(done));
        if (embed === true && options.json !== true) process.stdout.write(`${done.embed}\n`);
      } finally {
        progress.end();
      }
    });
}

/** What is handed on as it was given. */
const chosen = ['frame', 'single', 'controls', 'surface', 'address'] as const;

function inWords({ output, title, files, bytes, bytesAtOnce }: Packed): string {
  const size = (count: number): string => `${(count / 1000).toFixed(count < 1e5 ? 1 : 0)} kB`;
  const what = files === 1 ? '1 file' : `${files} files`;
  return `Wrote ${output}: ${title}, ${what}, ${size(bytes)}; a page loads ${size(bytesAtOnce)} at once, compressed`;
}

function webAddress(text: string): string {
  if (/^https?:\/\/[^\s"<>]+$/.test(text)) return text;
  throw new InvalidArgumentError('Expected an address, for example https://quay.example/harbor/.');
}
