import { Command, Option } from 'commander';
import { countOption, quietOption } from './arguments.ts';

/** The variable that holds the address of a queue, so that its password need not stand in a command. */
export const queueVariable = 'JUGGLE_QUEUE';
const address = 'redis://HOST, or rediss://HOST for TLS';
export const storeOption = (): Option =>
  new Option('--store <place>', 'where its machines exchange files: a shared folder, or s3://BUCKET/PREFIX').env('JUGGLE_STORE'); // prettier-ignore

/** Of a render: the variable tells the address, but does not ask for the farm. */
export const farmOption = (): Option =>
  new Option('--queue [url]', `renders on a farm through its queue, ${address} (default: ${queueVariable})`);

/** The options of `work`. */
interface WorkArguments {
  queue: string;
  store: string;
  threads?: number;
  quiet?: boolean;
}

export function workCommand(): Command {
  return new Command('work')
    .description('Renders chunks of films from a queue until you stop it.')
    .addOption(new Option('--queue <url>', `the queue of a farm: ${address}`).env(queueVariable).makeOptionMandatory())
    .addOption(storeOption().makeOptionMandatory())
    .addOption(countOption('--threads <n>', 'threads that draw (default: one per core)'))
    .addOption(quietOption())
    .addHelpText(
      'after',
      `
A job runs the code of its sketch. Give access to the queue and the store only to people who may use this machine.

Examples:
  juggle work --queue redis://10.0.0.5 --store /mnt/farm
  juggle render film.ts -o film.mp4 --queue redis://10.0.0.5 --store /mnt/farm`,
    )
    .action(async ({ queue, store, threads, quiet }: WorkArguments) => {
      const stop = new AbortController();
      const onSignal = (): void => stop.abort();
      process.once('SIGINT', onSignal).once('SIGTERM', onSignal);
      const say = (line: string): void => void (quiet === true || process.stderr.write(`${line}\n`));
      // Loaded only here: no other command should wait for it.
      const { work } = await import('./farm/worker.ts');
      await work({ queue, store, ...(threads !== undefined && { threads }), signal: stop.signal, say });
    });
}
