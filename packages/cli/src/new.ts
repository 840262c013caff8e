import path from 'node:path';
import { Command, Option } from 'commander';
import { runJob } from './job/run-job.ts';
import { keptFile, keptFrame, sketchFile, writeProject, type ProjectKind } from './new-project.ts';
import { Progress } from './progress.ts';

interface NewArguments {
  animated?: boolean;
  still?: boolean;
  page?: boolean;
}

export function newCommand(): Command {
  return new Command('new')
    .description('Makes a new sketch project that runs at once.')
    .argument('<folder>', 'a new folder, or an empty one')
    .addOption(new Option('--animated', 'a loop with dials (this is the default)'))
    .addOption(new Option('--still', 'one picture that varies with the seed').conflicts(['animated', 'page']))
    .addOption(new Option('--page', 'a loop in a web page, built with Vite').conflicts(['animated']))
    .addHelpText(
      'after',
      `
The project contains a sketch, types for your editor, scripts for pictures, loops, checks and a page to publish, and a test
that compares the sketch with a kept picture. It never writes into a folder that is not empty.

Examples:
  juggle new harbor
  juggle new tiles --still`,
    )
    .action(async (folder: string, { still, page }: NewArguments) => {
      const kind: ProjectKind = still === true ? 'still' : page === true ? 'page' : 'animated';
      await writeProject(folder, kind);
      const sketch = path.join(folder, sketchFile);
      const output = path.join(folder, keptFile);
      const progress = new Progress('frames', true);
      await runJob({ name: 'render', file: sketch, output, run: {}, options: { frame: keptFrame[kind] } }, progress);
      const there = path.relative(process.cwd(), path.resolve(folder));
      const steps = [...(there === '' ? [] : [`cd ${/\s/.test(there) ? JSON.stringify(there) : there}`]), 'npm install', 'npm start']; // prettier-ignore
      process.stdout.write(
        `Made ${there === '' ? 'the project here' : folder}. Now:\n${steps.map((step) => `  ${step}\n`).join('')}`,
      );
    });
}
