import { afterAll, describe, expect, test } from '@jest/globals';
import { execFileSync, spawn, spawnSync } from 'node:child_process';
import { chmodSync, existsSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { juggle, temporaryFolder } from '../helpers.ts';

/** A sketch file: what it does as it is loaded, and what its definition holds beside its paint. */
const sketch = (first: string, rest = ''): string => `import { defineSketch } from 'frame-juggler';
${first}
export default defineSketch({ canvas: { width: 60, height: 40 }, frameRate: 20, duration: 600, ${rest}
  paint(canvas, { frame }) { canvas.circle({ at: [frame % 60, 20], radius: 5 }); } });
`;
/** What a sketch does to tell that it is being loaded: by then the command hears signals. */
const tells = "import fs from 'node:fs';\nfs.writeFileSync('begun', '');";
const folder = temporaryFolder({
  'loop.ts': sketch('while (true);'),
  'await.ts': sketch('await new Promise(() => {});'),
  // In small pieces: where one single piece is too large, Node ends the whole process by itself, in its own words.
  'full.ts': sketch('let all: object | null = null;', 'step(_, { frame }) { while (frame > 2) all = { all }; },'),
  'getter.ts': sketch('', 'get title(): string { while (true); },'),
  'microtasks.ts': sketch('', 'async start() { while (true) await null; },'),
  'endless.ts': sketch(tells, 'async start() { while (true) await null; },'),
  'open.ts': sketch("import http from 'node:http';\nsetInterval(() => {}, 1000); http.createServer().listen(0);"),
  'late.ts': sketch("setTimeout(() => { throw new Error('late squall'); }, 200);"),
  'unheard.ts': sketch('', "start() { void Promise.reject(new Error('unheard')); },"),
  'drawn-late.ts': sketch('let kept: any;\nsetInterval(() => kept?.dot({ at: [1, 1] }), 50);').replace(
    'canvas.circle',
    '(kept = canvas).circle',
  ),
  'exits.ts': sketch('', 'start() { process.exit(0); },'),
  'squall.ts': sketch('', "step(_, { frame }) { if (frame === 9) throw new Error('squall'); },"),
  'far.ts': sketch(tells, 'duration: 1e9, step(state) { return state; },'),
});
afterAll(folder.remove);
const unfinished = (): string[] => readdirSync(folder.path).filter((name) => name.endsWith('.part'));
const isBegun = (): boolean => existsSync(path.join(folder.path, 'begun'));
const wait = (milliseconds: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, milliseconds));

/** Waits until a sketch is loaded, and some time more. */
async function begun(milliseconds = 0): Promise<void> {
  while (!isBegun()) await wait(20);
  rmSync(path.join(folder.path, 'begun'));
  await wait(milliseconds);
}

describe('a sketch that does not come back', () => {
  test.each([
    ['loop.ts', ' (loop.ts:2:1)'],
    ['await.ts', ''],
    ['getter.ts', ' (getter.ts:3:118)'],
  ])('%s is ended by --patience; a loop, with its line', async (file, place) => {
    const { code, err } = await juggle(folder.path, 'render', file, '-o', 'never.png', '--patience', '0.4');
    expect([code, err]).toEqual([2, `juggle: ${file} was never loaded: it was stopped after 3.4 s; look for a loop that never ends, an await that never comes or a damaged file, or give it longer with --patience${place}\n`]);
    expect(unfinished()).toEqual([]);
  }); // prettier-ignore

  test('a loop of awaits that come at once has its line, too', async () => {
    const { code, err } = await juggle(folder.path, 'render', 'microtasks.ts', '-o', 'never.png', '--patience', '0.4');
    expect([code, err.replace(/:\d+\)/, ':C)')]).toEqual([2, 'juggle: Microtasks: frame 0 never finished: start was stopped after 0.4 s; look for a loop that never ends, or give it longer with --patience (microtasks.ts:3:C)\n']);
  }); // prettier-ignore

  test('one that uses up all memory is told where', async () => {
    const program = [path.resolve('packages/cli/dist/juggle.js'), 'render', 'full.ts', '-o', 'never.png', '--frame', '9', '--patience', '0'];
    const { stderr, status } = spawnSync(process.execPath, ['--max-old-space-size=200', ...program], { cwd: folder.path });
    expect([status, stderr.toString().split('\n').at(-2)]).toEqual([2, 'juggle: Full used up all memory in step of frame 3; look for a loop that never ends, or a list that grows from frame to frame']);
    expect(unfinished()).toEqual([]);
  }); // prettier-ignore

  test('a timer and a server that it leaves open keep nobody waiting', async () => {
    expect((await juggle(folder.path, 'render', 'open.ts', '-o', 'open.png')).code).toBe(0);
  });

  test.each([
    ['late.ts', /^juggle: Error: late squall \(late\.ts:2:\d+\)/],
    ['unheard.ts', /^juggle: Error: unheard \(unheard\.ts:3:\d+\)/],
    [
      'drawn-late.ts',
      /^juggle: dot: comes too late: its frame is painted; draw while paint is running, on the canvas that it is given \(drawn-late\.ts:3:\d+\)/,
    ],
    ['exits.ts', /^juggle: exits\.ts ended the work by itself, with exit code 0; leave process\.exit out of a sketch/],
  ])('%s: what it does beside its frames is one message', async (file, message) => {
    const { code, err } = await juggle(folder.path, 'render', file, '-o', 'all.gif', '--frames', '0..9000', '-q');
    expect([code, err.trim().split('\n').length]).toEqual([2, 1]);
    expect(err).toMatch(message);
    expect(unfinished()).toEqual([]);
  });
});

test('a reader that has stopped reading keeps no render from being stopped', async () => {
  const pipe = path.join(folder.path, 'stalled');
  execFileSync('mkfifo', [pipe]);
  const reader = spawn('sh', ['-c', 'exec sleep 60 < stalled'], { cwd: folder.path });
  const command = `exec "${process.execPath}" "${path.resolve('packages/cli/dist/juggle.js')}" render far.ts -o - --format y4m --density 20 > stalled`;
  const child = spawn('sh', ['-c', command], { cwd: folder.path });
  let said = '';
  child.stderr.on('data', (data: Buffer) => (said += data.toString()));
  const closed = new Promise((resolve) => child.on('close', resolve));
  // By then the pipe is long full.
  await begun(3000);
  child.kill('SIGINT');
  expect(await Promise.race([closed, wait(10_000)])).toBe(130);
  reader.kill();
  expect(said).toContain('juggle: stopped');
});

describe('a signal', () => {
  // An encoder that waits for ever, whatever it is told gently.
  const encoder = path.join(folder.path, 'encoder');
  writeFileSync(encoder, "#!/usr/bin/env node\nprocess.on('SIGTERM', () => {}).on('SIGINT', () => {});\nrequire('fs').writeFileSync(process.argv.at(-1), String(process.pid)); process.stdin.resume(); setInterval(() => {}, 1e6);\n"); // prettier-ignore
  chmodSync(encoder, 0o755);

  /** Runs a command until it has begun its work, sends a signal, and tells how it ended. */
  async function interrupted(
    signal: NodeJS.Signals,
    start: () => Promise<void>,
    ...args: string[]
  ): Promise<{ code: number | null; err: string }> {
    // prettier-ignore
    const command = [path.resolve('packages/cli/dist/juggle.js'), 'render', ...args];
    const child = spawn(process.execPath, command, {
      cwd: folder.path,
      env: { ...process.env, JUGGLE_ENCODER: encoder },
    });
    let err = '';
    child.stderr.on('data', (data: Buffer) => (err += data.toString()));
    const closed = new Promise<number | null>((resolve) => child.on('close', resolve));
    await start();
    child.kill(signal);
    return { code: await closed, err };
  }

  const film = async (): Promise<void> => {
    while (unfinished().length === 0) await wait(20);
  };

  test.each(['SIGINT', 'SIGTERM'] as const)('%s stops a film, and its encoder with it', async (signal) => {
    const { code, err } = await interrupted(signal, film, 'squall.ts', '-o', 'film.mp4', '--frames', '0..8', '-q');
    expect([code, err]).toEqual([130, 'juggle: stopped. Nothing was written to film.mp4\n']);
    expect(unfinished()).toEqual([]);
  });

  test.each(['SIGINT', 'SIGTERM'] as const)('%s stops a run on its way to a late frame', async (signal) => {
    const args = ['far.ts', '-o', 'far.gif', '--frames', '1000000000..1000000001', '-q'];
    expect(await interrupted(signal, () => begun(500), ...args)).toEqual({ code: 130, err: 'juggle: stopped. Nothing was written to far.gif\n' }); // prettier-ignore
  });

  test('stops a render into a pipe that nobody reads', async () => {
    execFileSync('mkfifo', [path.join(folder.path, 'unread.png')]);
    const args = ['far.ts', '-o', 'unread.png', '-q'];
    expect((await interrupted('SIGTERM', () => begun(1000), ...args)).code).toBe(130);
  });

  test('stops a sketch that never comes back', async () => {
    const args = ['endless.ts', '-o', 'never.png', '--patience', '0', '-q'];
    expect(await interrupted('SIGINT', () => begun(500), ...args)).toEqual({ code: 130, err: 'juggle: stopped. Nothing was written to never.png\n' }); // prettier-ignore
  });

  test('a sketch that throws ends its film and the encoder', async () => {
    const { code, err } = await interrupted('SIGWINCH', () => wait(0), 'squall.ts', '-o', 'film.webm', '-q');
    expect([code, err]).toEqual([2, 'juggle: Error: squall (squall.ts:3:140, frame 9). Nothing was written to film.webm\n']); // prettier-ignore
    expect(unfinished()).toEqual([]);
  });
});
