import { createRequire } from 'node:module';
import { Command, CommanderError } from 'commander';
import { asSketchError, SketchError } from 'frame-juggler';
import { Stopped } from 'frame-juggler/node';
import { checkCommand } from './check.ts';
import { compareCommand } from './compare.ts';
import { demoCommand } from './demo.ts';
import { explainCommand } from './explain.ts';
import { newCommand } from './new.ts';
import { packCommand } from './pack.ts';
import { playCommand } from './play.ts';
import { renderCommand } from './render.ts';
import { stripCommand } from './strip.ts';
import { typesCommand } from './types.ts';
import { workCommand } from './work.ts';

const { version } = createRequire(import.meta.url)('@frame-juggler/cli/package.json') as { version: string };

/** Exit codes: 0 fine, 1 findings or differences, 2 an error. */
const couldNot = 2;
/** As shells have it: 128 and the number of the signal that Ctrl-C sends. */
const interrupted = 130;

function program(): Command {
  const juggle = new Command('juggle')
    .description('Plays, renders, explains, checks, compares and packs frame-based sketches.')
    .version(version, '-V, --version', 'print the version')
    .helpOption('-h, --help', 'print this help')
    .helpCommand('help [command]', 'print the help of a command')
    .configureHelp({ showGlobalOptions: false })
    .addHelpText(
      'after',
      `
A sketch is a .ts, .mts, .js or .mjs file that exports defineSketch({ … }) as its default.

Exit codes: 0 fine, 1 findings or differences, 2 an error.`,
    );
  // Subcommands take these over as they are added.
  juggle.exitOverride().configureOutput({ outputError: (text, write) => write(text.replace(/^error: /, 'juggle: ')) });
  const commands = [
    newCommand(),
    playCommand(),
    renderCommand(),
    stripCommand(),
    explainCommand(),
    checkCommand(),
    compareCommand(),
    packCommand(),
    typesCommand(),
    workCommand(),
    demoCommand(),
  ];
  for (const command of commands) juggle.addCommand(command.copyInheritedSettings(juggle));
  return juggle;
}

// Whoever reads our output may have enough of it.
process.stdout.on('error', () => process.exit(couldNot));

try {
  await program().parseAsync();
} catch (thrown) {
  if (thrown instanceof CommanderError) process.exitCode = thrown.exitCode === 0 ? 0 : couldNot;
  else {
    const error = asSketchError(thrown);
    process.stderr.write(`juggle: ${error.message}\n`);
    // A fault that is none of the sketch's is ours: its trace helps to mend it.
    if (!(thrown instanceof SketchError) && process.env.JUGGLE_TRACE !== undefined) console.error(thrown);
    process.exitCode = thrown instanceof Stopped ? interrupted : couldNot;
  }
}
