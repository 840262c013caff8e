import { buffer } from 'node:stream/consumers';
import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { connect, createServer } from 'node:net';
import path from 'node:path';
import { afterAll, afterEach, beforeAll, describe, expect, test } from '@jest/globals';
import { Queue } from 'bullmq';
import { Redis } from 'ioredis';
import S3Server from 's3rver';
import { temporaryFolder } from '../helpers.ts';

const tool = path.resolve('packages/cli/dist/juggle.js');
/** Boats with wakes; each frame keeps a machine busy for a while. One of them is drawn by a package, from a file. */
const sketch = (options: string, paint = ''): string => `
  import { defineSketch, asset } from 'frame-juggler';
  import { busy } from './busy.js';
  import { hull } from 'hulls';
  export default defineSketch({
    title: 'Ferries', canvas: { width: 120, height: 68, background: '#12303f' }, frameRate: 30, duration: 5, ${options}
    assets: { log: asset.json(new URL('./log.json', import.meta.url)) },
    start: () => ({ x: 0 }),
    step(state) { state.x = (state.x + 1.7) % 120; },
    paint(canvas, { frame, random, assets }, { x }) {
      busy(12);
      ${paint}
      canvas.circle({ at: [x, random.stream(frame).between(10, 60)], radius: assets.log.radius, fill: 'white' });
      canvas.polygon({ points: hull(x), fill: 'tomato' });
    },
  });`;
const folder = temporaryFolder({
  'film.ts': sketch(''),
  'wakes.ts': sketch('carry: 0.7,'),
  'fails.ts': sketch('', "if (frame === 57) throw new Error('a squall came up');"),
  // Each step leaves a mark, to be counted.
  'slow.ts': sketch('').replace('step(state) {', "step(state) { busy(30); process.stderr.write('*');"),
  'busy.ts': 'export function busy(ms: number) { const end = Date.now() + ms; while (Date.now() < end); }',
  'log.json': '{"radius": 6}',
});
const at = (...parts: string[]): string => path.join(folder.path, ...parts);
const url = (port: number): string => `redis://127.0.0.1:${port}`;
let port: number;
let redis: ChildProcess;
const workers: ChildProcess[] = [];

async function freePort(): Promise<number> {
  const server = createServer().listen(0, '127.0.0.1');
  await once(server, 'listening');
  const { port: found } = server.address() as { port: number };
  server.close();
  return found;
}

async function startRedis(at_: number, ...more: string[]): Promise<ChildProcess> {
  const process_ = spawn('redis-server', ['--port', String(at_), '--bind', '127.0.0.1', '--save', '', ...more]);
  for (;;) {
    const socket = connect(at_, '127.0.0.1');
    const open = await Promise.race([once(socket, 'connect').then(() => true), once(socket, 'error').then(() => false)]).catch(() => false); // prettier-ignore
    socket.destroy();
    if (open) return process_;
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
}

interface Running {
  readonly child: ChildProcess;
  said: string;
  readonly ended: Promise<number>;
}

function run(args: readonly string[], env: Record<string, string> = {}): Running {
  const child = spawn(process.execPath, [tool, ...args], { cwd: folder.path, env: { ...process.env, ...env } });
  const running = { child, said: '', ended: once(child, 'exit').then(([code]) => Number(code)) };
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (data: Buffer) => (running.said += data));
  return running;
}

const farm = (store = 'store'): string[] => ['--queue', url(port), '--store', at(store)];
function startWorker(store?: string): Running {
  const worker = run(['work', ...farm(store), '--threads', '1']);
  workers.push(worker.child);
  return worker;
}

const said = async (running: Running, text: string): Promise<void> => {
  while (!running.said.includes(text)) await new Promise((resolve) => setTimeout(resolve, 20));
};
const filesOf = (name: string): string[] =>
  readdirSync(at(name)).sort().map((file) => `${file} ${readFileSync(at(name, file)).toString('base64')}`); // prettier-ignore

/** What one render makes of a sketch: made once. */
const whole = new Map<string, Promise<string[]>>();
function rendered(file: string): Promise<string[]> {
  const made = whole.get(file) ?? run(['render', file, '-o', `${file}.one/%03d.png`]).ended.then(() => filesOf(`${file}.one`)); // prettier-ignore
  whole.set(file, made);
  return made;
}

beforeAll(async () => {
  mkdirSync(at('node_modules', 'hulls'), { recursive: true });
  writeFileSync(at('node_modules', 'hulls', 'package.json'), '{"name":"hulls","main":"index.js","type":"commonjs"}');
  writeFileSync(at('node_modules', 'hulls', 'index.js'), "exports.hull = require('./shape.js').shape;");
  writeFileSync(at('node_modules', 'hulls', 'shape.js'), 'exports.shape = (x) => [[x, 40], [x + 20, 40], [x + 10, 50]];'); // prettier-ignore
  mkdirSync(at('store'));
  port = await freePort();
  redis = await startRedis(port);
});
afterEach(() => {
  for (const worker of workers.splice(0)) worker.kill('SIGKILL');
});
afterAll(() => {
  redis.kill('SIGKILL');
  folder.remove();
});

describe('a farm', () => {
  test.each(['film.ts', 'wakes.ts'])(
    'makes what one render makes, though two of three workers die on the way: %s',
    async (file) => {
      const three = [startWorker(), startWorker(), startWorker()];
      const to = `${file}.farm`;
      const job = run(['render', file, '-o', `${to}/%03d.png`, ...farm()]);
      for (const dies of three.slice(1)) {
        await said(three[0], 'frames');
        await new Promise((resolve) => setTimeout(resolve, 300 * Math.random()));
        dies.child.kill('SIGKILL');
      }
      expect([await job.ended, job.said]).toEqual([0, expect.stringContaining('Ferries, frames 0 to 149')]);
      expect(filesOf(to)).toEqual(await rendered(file));
      // What is done is taken away.
      expect(readdirSync(at('store'))).toEqual([]);
    },
    120_000,
  );

  test('takes away also what its workers store once more', async () => {
    startWorker();
    startWorker();
    const job = run(['render', 'film.ts', '-o', 'twice/%03d.png', ...farm()]);
    await said(job, 'frames/s');
    const [film] = readdirSync(at('store'));
    // Chunks that are rendered whenever no others wait: like those of workers that died when they had stored them.
    const { version } = JSON.parse(readFileSync('packages/cli/package.json', 'utf8')) as { version: string };
    const queue = new Queue(`frame-juggler-${version}`, { connection: { port } });
    const again = { name: 'chunk', data: { film, frames: [0, 9], upon: false } };
    await queue.addBulk(Array.from({ length: 200 }, () => ({ ...again, opts: { priority: 1, removeOnFail: true, removeOnComplete: true } }))); // prettier-ignore
    expect([await job.ended, job.said]).toEqual([0, expect.stringContaining('Ferries')]);
    await new Promise((resolve) => setTimeout(resolve, 1500));
    expect(readdirSync(at('store'))).toEqual([]);
    expect(filesOf('twice')).toEqual(await rendered('film.ts'));
    await queue.close();
  });

  test('goes on where it was after it was stopped, and after its queue has lost everything', async () => {
    startWorker();
    const to = 'again/film.y4m';
    mkdirSync(at('again'));
    const how = ['--density', '1.5', '--seed', '9', '--seconds', '0.5..4.5'];
    const first = run(['render', 'film.ts', '-o', to, ...how, ...farm()]);
    await said(first, 'frames/s');
    const [film] = readdirSync(at('store'));
    const chunks = at('store', film, 'chunks');
    // Frames are told of before the first chunk of them is whole.
    while (!existsSync(chunks) || readdirSync(chunks).length === 0) await new Promise((resolve) => setTimeout(resolve, 20)); // prettier-ignore
    first.child.kill('SIGINT');
    expect(await first.ended).toBe(130);
    expect(first.said).toContain('the same command goes on with it');
    expect(readdirSync(at('again'))).toEqual([]);
    const before = readdirSync(chunks);
    expect(before.length).toBeGreaterThan(0);
    const second = run(['render', 'film.ts', '-o', to, ...how, ...farm()]);
    const client = new Redis(port);
    while ((await client.keys('frame-juggler:film:*')).length === 0) await new Promise((resolve) => setTimeout(resolve, 20)); // prettier-ignore
    client.disconnect();
    redis.kill('SIGKILL');
    await new Promise((resolve) => setTimeout(resolve, 3000));
    redis = await startRedis(port);
    expect([await second.ended, second.said]).toEqual([0, expect.stringContaining('Ferries')]);
    await run(['render', 'film.ts', '-o', 'one.y4m', ...how]).ended;
    expect(readFileSync(at(to)).equals(readFileSync(at('one.y4m')))).toBe(true);
  });

  test('goes ahead and leaves checkpoints, so that no worker steps from the first frame', async () => {
    const how = ['--frames', '110..149'];
    const job = run(['render', 'slow.ts', '-o', 'slow.farm/%03d.png', ...how, ...farm(), '--checkpoints']);
    const kept = (): number[] =>
      readdirSync(at('store'), { recursive: true }).map((name) => Number(/(\d+)\.state$/.exec(String(name))?.[1] ?? 0));
    while (kept().filter((frame) => frame > 60).length < 2) await new Promise((resolve) => setTimeout(resolve, 50));
    const worker = startWorker();
    expect([await job.ended, job.said]).toEqual([0, expect.stringContaining('Ferries, frames 110 to 149')]);
    await run(['render', 'slow.ts', '-o', 'slow.one/%03d.png', ...how]).ended;
    expect(filesOf('slow.farm')).toEqual(filesOf('slow.one'));
    expect(worker.said.split('*').length).toBeLessThan(110);
    expect(readdirSync(at('store'))).toEqual([]);
  });

  test('hands over through object storage, and works in a queue with a password', async () => {
    const s3Port = await freePort();
    const s3 = new S3Server({ port: s3Port, directory: at('s3'), silent: true, configureBuckets: [{ name: 'farm', configs: [] }] }); // prettier-ignore
    await s3.run();
    // Half of an object can be read before all of it: not every server waits until it has the whole.
    const { store } = s3 as unknown as { store: { putObject: (object: { content: unknown }) => Promise<unknown> } };
    const put = store.putObject.bind(store);
    store.putObject = async (object) => {
      const content = await buffer(object.content as NodeJS.ReadableStream);
      await put(Object.assign(object, { content: content.subarray(0, content.length / 2) }));
      await new Promise((resolve) => setTimeout(resolve, 500));
      return put(Object.assign(object, { content }));
    };
    const locked = await freePort();
    const guarded = await startRedis(locked, '--requirepass', 'low-water');
    const env = { AWS_ENDPOINT_URL: `http://127.0.0.1:${s3Port}`, AWS_REGION: 'us-east-1', AWS_ACCESS_KEY_ID: 'S3RVER', AWS_SECRET_ACCESS_KEY: 'S3RVER' }; // prettier-ignore
    const through = ['--queue', `redis://:low-water@127.0.0.1:${locked}`, '--store', 's3://farm/films'];
    try {
      workers.push(run(['work', ...through], env).child);
      const job = run(['render', 'wakes.ts', '-o', 's3-frames/%03d.png', ...through], env);
      expect([await job.ended, job.said]).toEqual([0, expect.stringContaining('Ferries')]);
      expect(filesOf('s3-frames')).toEqual(await rendered('wakes.ts'));
      const wrong = run(['render', 'film.ts', '-o', 'x/%d.png', '--queue', `redis://:ebb@127.0.0.1:${locked}`, '--store', 's3://farm'], env); // prettier-ignore
      expect([await wrong.ended, wrong.said]).toEqual([2, `juggle: the queue redis://:***@127.0.0.1:${locked} cannot be reached: it does not take this name and password\n`]); // prettier-ignore
      const nowhere = run(['render', 'film.ts', '-o', 'x/%d.png', '--queue', url(port), '--store', 's3://nobodys'], env); // prettier-ignore
      expect([await nowhere.ended, nowhere.said]).toEqual([2, expect.stringMatching(/^juggle: the store s3:\/\/nobodys cannot be used: .+\n$/)]); // prettier-ignore
    } finally {
      guarded.kill('SIGKILL');
      await s3.close();
    }
  });

  test('says in one message, where the person is, what went wrong, and leaves nothing half done', async () => {
    const worker = startWorker();
    await said(worker, 'Waiting');
    const fails = run(['render', 'fails.ts', '-o', 'fails.y4m', ...farm()]);
    expect(await fails.ended).toBe(2);
    expect(fails.said.trim().split('\n').at(-1)).toMatch(/^juggle: .*a squall came up.*fails\.ts:\d+.*frame 57\) \(on .+\)$/); // prettier-ignore
    expect(existsSync(at('fails.y4m'))).toBe(false);
    const free = await freePort();
    const gone = run(['work', '--queue', url(free), '--store', at('store')]);
    expect([await gone.ended, gone.said]).toEqual([2, `juggle: the queue ${url(free)} cannot be reached: nothing answers there\n`]); // prettier-ignore
    const storeless = run(['render', 'film.ts', '-o', 'x.y4m', '--queue', url(port), '--store', at('none')]);
    expect([await storeless.ended, storeless.said]).toEqual([2, expect.stringContaining('is not a folder that is there')]); // prettier-ignore
    const noStore = run(['render', 'film.ts', '-o', 'x.y4m', '--queue', url(port)]);
    expect([await noStore.ended, noStore.said]).toEqual([2, expect.stringContaining('expected --store FOLDER')]);
    const single = run(['render', 'film.ts', '-o', 'x.png', '--frame', '3', ...farm()]);
    expect([await single.ended, single.said]).toEqual([2, expect.stringContaining('expected it without --queue')]);
    for (const file of ['x.y4m', 'x.png']) expect(existsSync(at(file))).toBe(false);
  });

  test('whose workers are of another version is told so, and they leave its film alone', async () => {
    const client = new Redis(port);
    await client.flushall();
    await client.set('frame-juggler:worker:other', JSON.stringify({ host: 'crane', version: '0.0.9' }));
    const job = run(['render', 'film.ts', '-o', 'x.y4m', ...farm()]);
    expect(await job.ended).toBe(2);
    expect(job.said).toContain('are of version 0.0.9, and this is');
    await client.flushall();
    const lonely = run(['render', 'film.ts', '-o', 'x.y4m', ...farm()]);
    await said(lonely, 'No worker is there yet: juggle work --queue redis://');
    lonely.child.kill('SIGTERM');
    await lonely.ended;
    await client.set('frame-juggler:film:old', JSON.stringify({ title: 'Ferries', version: '0.0.9' }));
    const worker = startWorker();
    await said(worker, 'Not taken: Ferries is of version 0.0.9');
    await client.flushall();
    client.disconnect();
    // What a worker cannot do is said where the person is.
    worker.child.kill('SIGKILL');
    mkdirSync(at('other'));
    startWorker('other');
    const lost = run(['render', 'film.ts', '-o', 'x.y4m', ...farm()]);
    expect(await lost.ended).toBe(2);
    expect(lost.said).toContain('holds nothing of this film; expected the same --store');
  });
});
