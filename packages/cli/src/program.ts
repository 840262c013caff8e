import { createRequire } from 'node:module';
import { Command, CommanderError } from 'commander';
import { tellError } from './tell-error.ts';

const { version } = createRequire(import.meta.url)('@frame-juggler/cli/package.json') as { version: string };

/** The exit code of a command that was asked for what is not there. */
const couldNot = 2;

/** The commands, in the order in which help lists them. Only the one that is run is loaded. */
const commands = {
  new: async () => (await import('./new.ts')).newCommand(),
  play: async () => (await import('./play.ts')).playCommand(),
  render: async () => (await import('./render.ts')).renderCommand(),
  strip: async () => (await import('./strip.ts')).stripCommand(),
  explain: async () => (await import('./explain.ts')).explainCommand(),
  check: async () => (await import('./check.ts')).checkCommand(),
  compare: async () => (await import('./compare.ts')).compareCommand(),
  pack: async () => (await import('./pack.ts')).packCommand(),
  types: async () => (await import('./types.ts')).typesCommand(),
  work: async () => (await import('./work.ts')).workCommand(),
  demo: async () => (await import('./demo.ts')).demoCommand(),
};
const isCommand = (word: string | undefined): word is keyof typeof commands => Object.hasOwn(commands, word ?? '');

async function program(word: string | undefined): Promise<Command> {
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
  juggle.exitOverride().configureOutput({ outputError: (text, write) => write(`juggle: ${asOurs(text, word)}`) });
  const wanted = isCommand(word) ? [commands[word]] : Object.values(commands);
  for (const load of wanted) juggle.addCommand((await load()).copyInheritedSettings(juggle));
  return juggle;
}

/** What the reader of arguments says of a mistake, as the command says others: what is missing, and what would be right. */
function asOurs(text: string, word: string | undefined): string {
  const help = `juggle ${word} --help tells more`;
  return text
    .replace(/^error: /, '')
    .replace(/^missing required argument '(\w+)'/, `$1 is missing; expected juggle ${word} <$1>; ${help}`)
    .replace(/^required option '(-\w), --\w+ (<\w+>)' not specified/, `$1 is missing; expected $1 $2; ${help}`)
    .replace(/^option '(?:-\w, )?(--[\w-]+) (<[^>]+>)' argument missing/, `$1 has no value; expected $1 $2; ${help}`);
}

// Standard output may be closed early, as by `head`.
process.stdout.on('error', () => process.exit(couldNot));

try {
  await (await program(process.argv[2])).parseAsync();
} catch (thrown) {
  if (thrown instanceof CommanderError) process.exitCode = thrown.exitCode === 0 ? 0 : couldNot;
  else await tellError(thrown);
}
