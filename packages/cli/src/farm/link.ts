import { createRequire } from 'node:module';
import type * as BullMQ from 'bullmq';
import type { Redis } from 'ioredis';
import { SketchError } from '../errors.ts';
import { optionalPackage } from './optional.ts';

const { version } = createRequire(import.meta.url)('@frame-juggler/cli/package.json') as { version: string };
export { version };

/** Chunks of one version wait by themselves: another might draw other pixels. */
export const queueName = `frame-juggler-${version}`;

/** Keys of ours beside the queue's. Each goes away by itself where nobody renews it. */
export const keys = {
  /** There as long as the film is wanted; tells who wants it, and of which version that is. */
  film: (film: string) => `frame-juggler:film:${film}`,
  /** There as long as a worker is; tells its machine and its version. */
  worker: (worker: string) => `frame-juggler:worker:${worker}`,
};
/** Seconds until a key goes away, and how often it is renewed. */
export const lease = { lasts: 20, renewed: 4 };
/** What a worker says of a chunk that nobody waits for. Whoever does wait hears it after their server was away. */
export const unwanted = 'nobody waits for it any more';

/** The keys that look so, without keeping the server from its work. */
export async function keysLike(redis: Redis, pattern: string): Promise<string[]> {
  const found = new Set<string>();
  for await (const page of redis.scanStream({ match: pattern, count: 200 }))
    for (const key of page as string[]) found.add(key);
  return [...found];
}

/** The queue's server, and what speaks to it. */
export interface Link {
  readonly bull: typeof BullMQ;
  readonly redis: Redis;
  /** Another connection, for what waits on one. */
  connect(): Redis;
  close(): Promise<void>;
}

/** Connects to the server of a queue. @throws SketchError where it cannot be reached, or lets nobody in */
export async function openLink(url: string): Promise<Link> {
  if (!/^rediss?:\/\/./.test(url))
    throw new SketchError({ problem: `--queue ${hidden(url)} is no address of a queue`, expected: 'expected redis://HOST, or rediss://HOST for TLS' }); // prettier-ignore
  const what = '--queue';
  const [bull, { Redis: Client }] = await optionalPackage(
    () => Promise.all([import('bullmq'), import('ioredis')]),
    'bullmq ioredis',
    what,
  );
  await tryOnce(new Client(url, { lazyConnect: true, retryStrategy: () => null, connectTimeout: 5000 }), url);
  const open: Redis[] = [];
  const connect = (): Redis => {
    // It waits for a server that is away for a while.
    const client = new Client(url, {
      maxRetriesPerRequest: null,
      retryStrategy: (times) => Math.min(times * 200, 2000),
    });
    client.on('error', () => undefined);
    open.push(client);
    return client;
  };
  return {
    bull,
    redis: connect(),
    connect,
    async close() {
      for (const client of open) client.disconnect();
      return Promise.resolve();
    },
  };
}

async function tryOnce(client: Redis, url: string): Promise<void> {
  let reason: Error | undefined;
  client.on('error', (error: Error) => (reason = error));
  try {
    await client.connect();
    await client.ping();
  } catch (error) {
    const { message, code } = (reason ?? error) as Error & { code?: string };
    const why = /NOAUTH|WRONGPASS|NOPERM|invalid password/i.test(message)
      ? 'it does not take this name and password'
      : code === 'ECONNREFUSED'
        ? 'nothing answers there'
        : code === 'ENOTFOUND'
          ? 'there is no such host'
          : message;
    throw new SketchError({ problem: `the queue ${hidden(url)} cannot be reached: ${why}` });
  } finally {
    client.disconnect();
  }
}

/** An address without its password. */
export function hidden(url: string): string {
  return url.replace(/(\/\/[^:@/]*):[^@/]*@/, '$1:***@');
}
