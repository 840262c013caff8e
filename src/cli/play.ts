import { Command } from 'commander';
import { portOption } from './arguments.ts';

export function playCommand(): Command {
  return new Command('play')
    .description('Plays a sketch in a page that follows every save of its file.')
    .argument('<sketch>', 'the sketch file: .ts, .mts, .js or .mjs')
    .addOption(portOption())
    .addHelpText(
      'after',
      `
The page listens on this machine only. Space plays and pauses, the right arrow goes one frame on, Home restarts.
Ctrl-C ends it.

Examples:
  juggle play harbour.ts
  juggle play harbour.ts --port 4646`,
    )
    .action(async (file: string, options: { port?: number }) => {
      // Loaded only here: no other command should wait for it.
      const { serveViewer } = await import('../node/viewer-server.ts');
      const viewer = await serveViewer(file, options.port ?? 0);
      process.stdout.write(`Playing ${file} at ${viewer.url} (Ctrl-C ends it)\n`);
      for (const signal of ['SIGINT', 'SIGTERM'] as const)
        process.once(signal, () => void viewer.close().finally(() => process.exit(0)));
    });
}
