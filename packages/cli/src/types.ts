import { existsSync } from 'node:fs';
import { writeFile } from 'node:fs/promises';
import path from 'node:path';
import { Command } from 'commander';
import { SketchError } from './errors.ts';
import { describe } from 'frame-juggler/node';
import { compilerOptions, libraryPaths } from './editor-types.ts';

export function typesCommand(): Command {
  return new Command('types')
    .description('Gives a folder of sketches types for your editor, from this version of the tool.')
    .argument('[folder]', 'the folder', '.')
    .addHelpText(
      'after',
      '\nIt writes tsconfig.json, unless there is one. Projects made by `juggle new` have these types already.',
    )
    .action(async (folder: string) => {
      const file = path.join(folder, 'tsconfig.json');
      const settings = {
        compilerOptions: { ...compilerOptions, paths: libraryPaths() },
        include: ['**/*.ts', '**/*.js'],
      };
      if (existsSync(file))
        throw new SketchError({
          problem: `${file} is there already`,
          expected: `these lines among its compilerOptions do it:\n${JSON.stringify({ paths: libraryPaths() }, undefined, 2).slice(2, -2)}`,
        });
      try {
        await writeFile(file, `${JSON.stringify(settings, undefined, 2)}\n`);
      } catch (error) {
        throw new SketchError({
          problem: `${file} cannot be written: ${describe(error, 'it')}`,
          expected: 'expected a folder',
        });
      }
      process.stdout.write(`Wrote ${file}: an editor now knows frame-juggler in there\n`);
    });
}
