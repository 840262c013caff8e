import { Command, InvalidArgumentError, Option } from 'commander';
import {
  dialOption,
  frameOption,
  handedOn,
  jsonOption,
  patienceOption,
  quietOption,
  seedOption,
  sizeOption,
  type ReportArguments,
  type RunArguments,
} from './arguments.ts';
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
    .requiredOption('-o, --output <folder>', 'the folder to write; with --single a .html file')
    .addOption(new Option('--single', 'one HTML file with everything in it, which opens from disk'))
    .addOption(new Option('--controls', 'play, time, full screen and the dials below the picture'))
    .addOption(
      new Option('--surface <kind>', 'what draws: the browser, or pixel for pixel as render does').choices([
        'canvas2d',
        'raster',
      ]),
    ) // prettier-ignore
    .addOption(
      new Option('--address <url>', 'where the page will be found, for those who show links to it').argParser(
        webAddress,
      ),
    ) // prettier-ignore
    .addOption(new Option('--embed', "prints the lines that show it in somebody else's page"))
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
--frame is the frame of the preview, which is seen until the sketch plays, where there are no scripts, and where links
are shown; one from its middle if left out. The size is that of the preview; the page shows it as large as it fits.

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
