import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { spawn, type ChildProcess } from 'node:child_process';
import { mkdirSync, readdirSync, symlinkSync, writeFileSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import { request } from 'node:http';
import path from 'node:path';
import { juggle, temporaryFolder } from '../helpers.ts';
import { serve } from '../page/browser.ts';

/* `juggle play` as a program: what it serves, to whom, and how it begins and ends. */

const sketch = `import { defineSketch, asset } from 'frame-juggler';
import { radius } from '../shared/size';
export default defineSketch({
  assets: { log: asset.json(new URL('../shared/log.json', import.meta.url)) },
  paint: (canvas) => canvas.circle({ at: [320, 180], radius }),
});
`;
const folder = temporaryFolder();
const inFolder = (name: string): string => path.join(folder.path, name);
const program = path.resolve('packages/cli/dist/juggle.js');
let viewer: Awaited<ReturnType<typeof serve>>;
let token = '';

beforeAll(async () => {
  mkdirSync(inFolder('harbor'));
  mkdirSync(inFolder('shared'));
  writeFileSync(inFolder('harbor/lamp.ts'), sketch);
  writeFileSync(inFolder('shared/size.ts'), 'export const radius = 30;\n');
  writeFileSync(inFolder('shared/log.json'), '{}\n');
  writeFileSync(inFolder('shared/secret.txt'), 'the key of the lamp room');
  // Links that go round.
  symlinkSync('..', inFolder('harbor/round'));
  symlinkSync('b', inFolder('harbor/a'));
  symlinkSync('a', inFolder('harbor/b'));
  viewer = await serve(program, 'play', inFolder('harbor/lamp.ts'), '--no-open');
  token = /juggle-token" content="([^"]+)"/.exec((await ask('/')).text)?.[1] ?? '';
});
afterAll(() => {
  viewer.process.kill('SIGKILL');
  folder.remove();
});

/** A request as another program could send it, whatever headers a browser would set by itself. */
function ask(
  address: string,
  {
    method = 'GET',
    headers = {},
    body = '',
  }: { method?: string; headers?: Record<string, string>; body?: string } = {},
): Promise<{ status: number; text: string; headers: NodeJS.Dict<string | string[]> }> {
  return new Promise((resolve, reject) => {
    const { hostname, port } = new URL(viewer.url);
    const sent = request({ hostname, port, path: address, method, headers }, (response) => {
      let text = '';
      response.on('data', (data: Buffer) => (text += data.toString()));
      response.on('end', () => resolve({ status: response.statusCode ?? 0, text, headers: response.headers }));
    });
    sent.on('error', reject);
    sent.end(body);
  });
}
const at = (name: string): string => `/@fs${inFolder(name)}`;
const other = 'http://127.0.0.1:9';

describe('what is served', () => {
  test('is the page, the sketch, and what the sketch names', async () => {
    expect(token).not.toBe('');
    // As the page does: the sketch is asked for, then what it imports and loads.
    expect((await ask('/@juggle/sketch.js?t=1&why')).text).toBe('');
    expect((await ask('/@juggle/sketch.js?t=1')).text).toMatch(/lamp\.ts\?t=1/);
    for (const name of ['harbor/lamp.ts', 'shared/size.ts', 'shared/log.json'])
      expect([name, (await ask(at(name))).status]).toEqual([name, 200]);
    expect((await ask(at('harbor/nothing.csv'))).status).toBe(404);
  });

  test.each([
    ['a file outside the folder of the sketch', at('shared/secret.txt'), {}],
    ['the same by a way round', `/@fs${inFolder('harbor')}/../shared/secret.txt`, {}],
    ['the same, written otherwise', `/@fs${inFolder('harbor')}/%2e%2e/shared/secret.txt`, {}],
    ['a file of this machine', '/@fs/etc/hostname', {}],
    ['the clone that the tool lies in', `/@fs${path.resolve('package.json')}`, {}],
    ['a page of another site', '/', { host: 'harbor.example:4646' }],
    ['a script of another page', '/main.js', { origin: other }],
    ['a script of another page, by its fetch', '/main.js', { 'sec-fetch-site': 'same-site', 'sec-fetch-mode': 'no-cors' }],
    ['the development server’s own way to an editor', `/__open-in-editor?file=${at('harbor/lamp.ts')}`, {}],
    ['the setup without the page’s token', '/@juggle/setup', {}],
  ])('is not %s', async (_, address, headers) => {
    const { status, text, headers: given } = await ask(address, { headers });
    expect([status, given['access-control-allow-origin']]).toEqual([403, undefined]);
    expect(text).not.toMatch(/lamp room/);
  }); // prettier-ignore

  test('writes and opens nothing for anybody but the page', async () => {
    const before = readdirSync(inFolder('harbor'));
    const body = JSON.stringify({ file: inFolder('harbor/lamp.ts'), line: 1 });
    for (const address of ['/@juggle/dials', '/@juggle/track', '/@juggle/edit', '/@juggle/print'])
      for (const headers of [{}, { origin: other }, { 'x-juggle-token': 'guessed' }, { origin: other, 'x-juggle-token': token }])
        expect([address, (await ask(address, { method: 'POST', headers: headers as Record<string, string>, body })).status]).toEqual([address, 403]);
    // Nor does the page open what is no part of the sketch.
    const foreign = JSON.stringify({ file: inFolder('shared/secret.txt'), line: 1 });
    const answer = await ask('/@juggle/edit', { method: 'POST', headers: { 'x-juggle-token': token }, body: foreign });
    expect([answer.status, answer.text]).toEqual([500, 'this file is no part of the sketch']);
    expect(readdirSync(inFolder('harbor'))).toEqual(before);
  }); // prettier-ignore

  test('listens on loopback only, and rests while nothing happens', async () => {
    expect(new URL(viewer.url).hostname).toBe('127.0.0.1');
    const busy = async (): Promise<number> => {
      const { stdout } = await import('node:child_process').then(({ spawnSync }) => spawnSync('ps', ['-o', 'cputimes=', '-p', String(viewer.process.pid)], { encoding: 'utf8' })); // prettier-ignore
      return Number(stdout);
    };
    const before = await busy();
    await new Promise((resolve) => setTimeout(resolve, 3000));
    // Links that go round cost whole seconds once they are followed.
    expect((await busy()) - before).toBeLessThanOrEqual(1);
  });
});

describe('as a program', () => {
  const running: ChildProcess[] = [];
  const taken: Server[] = [];
  afterAll(() => {
    for (const child of running) child.kill('SIGKILL');
    for (const server of taken) server.close();
  });

  test('takes the next port where the usual one is taken, and says so of one that was asked for', async () => {
    const second = await serve(program, 'play', inFolder('harbor/lamp.ts'), '--no-open');
    running.push(second.process);
    expect(second.url).not.toBe(viewer.url);
    const server = createServer().listen(0, '127.0.0.1');
    taken.push(server);
    await new Promise((resolve) => server.once('listening', resolve));
    const { port } = server.address() as { port: number };
    const { code, err } = await juggle(inFolder('harbor'), 'play', 'lamp.ts', '--no-open', '--port', String(port));
    expect([code, err]).toEqual([2, `juggle: port ${port} is taken; leave --port out for one that is free\n`]);
  });

  test.each(['berth #2', 'full 100%', 'why?'])('says what no address can hold, of a folder such as “%s”', async (name) => {
    mkdirSync(inFolder(name));
    writeFileSync(inFolder(`${name}/lamp.ts`), 'export default 1;');
    for (const order of [['play', `${name}/lamp.ts`, '--no-open'], ['new', `${name}/fresh`]]) {
      const { code, err } = await juggle(folder.path, ...order);
      expect(code).toBe(2);
      expect(err).toMatch(/^juggle: .+ has “[#%?]” in its path.*without #, \? and %\n$/);
    }
  }); // prettier-ignore

  test.each(['SIGINT', 'SIGTERM'] as const)('ends on %s, with pages open', async (signal) => {
    const { url, process: child } = await serve(program, 'play', inFolder('harbor/lamp.ts'), '--no-open');
    running.push(child);
    // A page keeps a channel open, on which it is told of saves.
    const channel = await fetch(`${url}@juggle/changes`);
    const ended = new Promise<number | null>((resolve) => child.once('exit', resolve));
    const begun = Date.now();
    child.kill(signal);
    expect(await ended).toBe(0);
    expect(Date.now() - begun).toBeLessThan(5000);
    await channel.body?.cancel().catch(() => undefined);
  });

  test('a browser that cannot be opened is no error', async () => {
    const child = spawn(process.execPath, [program, 'play', inFolder('harbor/lamp.ts')], { env: { PATH: '' } });
    running.push(child);
    let said = '';
    child.stdout.on('data', (data: Buffer) => (said += data.toString()));
    for (let i = 0; i < 600 && !/Playing .*lamp\.ts at http/.test(said); i++) await new Promise((resolve) => setTimeout(resolve, 50));
    await new Promise((resolve) => setTimeout(resolve, 700));
    expect(said).toMatch(/^Playing .*lamp\.ts at http/);
    expect(child.exitCode).toBe(null);
  }); // prettier-ignore
});
