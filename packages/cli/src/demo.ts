import { mkdir } from 'node:fs/promises';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { Command } from 'commander';
import { inWords, renderFile } from './render.ts';

const demoSketch = fileURLToPath(new URL('../examples/pellan-quay/quay.ts', import.meta.url));
const folder = 'out';

export function demoCommand(): Command {
  return new Command('demo')
    .description('Renders the full example, a day at Pellan Quay, to out/pellan-quay.png.')
    .addHelpText('after', '\nThe sketch and its data are part of the package, in examples/pellan-quay/.')
    .action(async () => {
      await mkdir(folder, { recursive: true });
      const output = path.join(folder, 'pellan-quay.png');
      const done = await renderFile(demoSketch, output, { seconds: 6.5 });
      process.stdout.write(
        `${inWords(done)}\nSee it move: npx juggle play ${path.relative(process.cwd(), demoSketch)}\n`,
      );
    });
}
