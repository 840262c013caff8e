import { Command } from 'commander';
import { addInputOptions, portOption, type RunArguments } from './arguments.ts';
import { chooseSeed, readInput } from './open-sketch.ts';

export function playCommand(): Command {
  const command = new Command('play')
    .description('Plays a sketch in a page that follows every save of its file.')
    .argument('<sketch>', 'the sketch file: .ts, .mts, .js or .mjs')
    .addOption(portOption());
  return addInputOptions(command)
    .addHelpText(
      'after',
      `
The page listens on this machine only. Space plays and pauses, the right arrow goes one frame on, Home restarts.
Dials that are kept there lie beside the sketch, as harbor.dials.json, and recorded input as harbor.input.json.
Ctrl-C ends it.

Examples:
  juggle play harbor.ts
  juggle play harbor.ts --port 4646
  juggle play harbor.ts --seed 12 --dial swell=20`,
    )
    .action(async (file: string, options: Pick<RunArguments, 'seed' | 'dial' | 'input'> & { port?: number }) => {
      // Loaded only here: no other command should wait for it.
      const { serveViewer } = await import('./viewer-server.ts');
      const viewer = await serveViewer(file, options.port ?? 0, {
        seed: chooseSeed(options.seed),
        dialTexts: options.dial ?? [],
        track: (await readInput(options.input))?.track,
      });
      process.stdout.write(`Playing ${file} at ${viewer.url} (Ctrl-C ends it)\n`);
      for (const signal of ['SIGINT', 'SIGTERM'] as const)
        process.once(signal, () => void viewer.close().finally(() => process.exit(0)));
    });
}
