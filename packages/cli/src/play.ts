import { Command, Option } from 'commander';
import { addInputOptions, patienceOption, portOption, type RunArguments } from './arguments.ts';
import { chooseSeed, readInput } from './open-sketch.ts';

interface PlayArguments extends Pick<RunArguments, 'seed' | 'dial' | 'input'> {
  patience: number;
  port?: number;
  open: boolean;
}

/** Seconds that one call of a sketch's code may take in the viewer, where somebody waits for it. */
const patience = 2.5;

export function playCommand(): Command {
  const command = new Command('play')
    .description('Plays a sketch in a page that reloads whenever you save.')
    .argument('<sketch>', 'the sketch file: .ts, .mts, .js or .mjs')
    .addOption(portOption())
    .addOption(new Option('--no-open', 'print the address and open no browser'))
    .addOption(patienceOption(patience));
  return addInputOptions(command)
    .addHelpText(
      'after',
      `
The page can be reached from this machine only. In it, ? lists the keys: Space plays and pauses, the arrows step one frame.
Dials you keep are saved beside the sketch as harbor.dials.json, and what pointer and keys
did as harbor.input.json, the next time as harbor-2.input.json.
What the sketch prints appears here and in the page. Ctrl-C ends it.

Examples:
  juggle play harbor.ts
  juggle play harbor.ts --port 4646 --no-open
  juggle play harbor.ts --seed 12 --dial swell=20`,
    )
    .action(async (file: string, options: PlayArguments) => {
      const print = (line: string): void => void process.stdout.write(`${line}\n`);
      // Loaded only here: no other command should wait for it.
      const { serveViewer } = await import('./viewer-server/serve.ts');
      const setup = {
        seed: chooseSeed(options.seed),
        patience: options.patience,
        dialTexts: options.dial ?? [],
        track: (await readInput(options.input))?.track,
      };
      const viewer = await serveViewer(file, options.port, setup, print);
      print(`Playing ${file} at ${viewer.url} (Ctrl-C ends it)`);
      for (const signal of ['SIGINT', 'SIGTERM'] as const)
        process.once(signal, () => void viewer.close().finally(() => process.exit(0)));
      if (options.open) await openBrowser(viewer.url, print);
    });
}

async function openBrowser(url: string, print: (line: string) => void): Promise<void> {
  try {
    const { default: open } = await import('open');
    const browser = await open(url);
    browser.once('error', () => print(`No browser could be opened: visit ${url}`));
  } catch {
    print(`No browser could be opened: visit ${url}`);
  }
}
