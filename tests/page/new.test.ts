import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { execFileSync, spawn, spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Browser } from 'playwright-core';
import { launch, serve, until } from './browser.ts';

const folder = mkdtempSync(path.join(tmpdir(), 'juggle-new-'));
const juggle = path.resolve('packages/cli/dist/juggle.js');
const tsc = path.resolve('node_modules/typescript/bin/tsc');
const vite = path.resolve('node_modules/vite/bin/vite.js');

interface Ended {
  readonly status: number | null;
  readonly text: string;
}
function run(command: string, args: readonly string[], cwd = folder): Ended {
  const { status, stdout, stderr } = spawnSync(command, args, { cwd, encoding: 'utf8', env: { ...process.env, NO_COLOR: '1' } }); // prettier-ignore
  return { status, text: stdout + stderr };
}
const tool = (...args: string[]): Ended => run(process.execPath, [juggle, ...args]);
const npm = (project: string, ...args: string[]): Ended => run('npm', [...args], path.join(folder, project));

let browser: Browser;
beforeAll(async () => {
  browser = await launch();
});
afterAll(async () => {
  await browser.close();
  rmSync(folder, { recursive: true });
});

/** Waits for a page's picture; whether it moves or rests, and what went wrong. */
async function shows(url: string, canvas: string): Promise<{ moves: boolean; said: string[] }> {
  const page = await browser.newPage();
  const said: string[] = [];
  page.on('pageerror', (error) => said.push(error.message));
  await page.goto(url);
  const look = (): Promise<string> => page.$eval(canvas, (element) => (element as HTMLCanvasElement).toDataURL());
  await page.locator(canvas).waitFor();
  await until(async () => (await look()).length > 4000, true);
  const first = await look();
  await page.waitForTimeout(400);
  const moves = (await look()) !== first;
  await page.close();
  return { moves, said };
}

describe.each([
  ['animated', [], true],
  ['still', ['--still'], false],
  ['page', ['--page'], true],
] as const)('a new project, %s', (name, options, moves) => {
  test('is made, installs without a network, knows its types, passes its test and becomes a page', async () => {
    const made = tool('new', name, ...options);
    expect(made).toEqual({ status: 0, text: `Made ${name}. Now:\n  cd ${name}\n  npm install\n  npm start\n` });
    expect(npm(name, 'install', '--offline', '--no-audit', '--no-fund').status).toBe(0);
    expect(run(process.execPath, [tsc, '-p', name])).toEqual({ status: 0, text: '' });
    for (const script of ['test', 'run picture', 'run check']) expect([script, npm(name, ...script.split(' ')).status]).toEqual([script, 0]); // prettier-ignore
    expect(npm(name, 'run', 'build').status).toBe(0);
    const site = await serve(vite, 'preview', path.join(folder, name), '--outDir', 'public', '--host', '127.0.0.1', '--port', '0'); // prettier-ignore
    expect(await shows(site.url, 'canvas')).toEqual({ moves, said: [] });
    site.process.kill();
    // A picture that has become another is noticed.
    const sketch = path.join(folder, name, 'sketch.ts');
    writeFileSync(sketch, readFileSync(sketch, 'utf8').replaceAll("'#d5603f'", "'#3a8391'"));
    expect(npm(name, 'test').status).toBe(1);
  });
});

test('npm start opens the viewer on it', async () => {
  const started = spawn('npm', ['start', '--', '--no-open', '--port', '0'], { cwd: path.join(folder, 'animated'), detached: true }); // prettier-ignore
  const url = await new Promise<string>((resolve) => {
    let said = '';
    started.stdout.on('data', (data: Buffer) => {
      const [found] = /http:\S+/.exec((said += data.toString())) ?? [];
      if (found !== undefined) resolve(found);
    });
  });
  const page = await browser.newPage();
  await page.goto(url);
  await page.locator('#canvas').waitFor();
  await until(() => page.title().then((title) => title.includes('Buoy at dusk')), true);
  await page.close();
  process.kill(-started.pid!, 'SIGTERM');
});

test('it writes into no folder that holds something, and names what is wrong', () => {
  mkdirSync(path.join(folder, 'mine'));
  writeFileSync(path.join(folder, 'mine/notes.txt'), 'mine');
  expect(tool('new', 'mine')).toEqual({ status: 2, text: 'juggle: mine is not empty: it holds notes.txt; expected a new folder, or an empty one\n' }); // prettier-ignore
  expect(tool('new', 'mine/notes.txt').text).toContain('mine/notes.txt cannot be written');
  expect(tool('new', 'x', '--still', '--page').status).toBe(2);
  expect(readdirSync(path.join(folder, 'mine'))).toEqual(['notes.txt']);
  mkdirSync(path.join(folder, 'My Sketches: 3'));
  expect(execFileSync(process.execPath, [juggle, 'new', '.'], { cwd: path.join(folder, 'My Sketches: 3'), encoding: 'utf8' })).toBe('Made the project here. Now:\n  npm install\n  npm start\n'); // prettier-ignore
  expect(JSON.parse(readFileSync(path.join(folder, 'My Sketches: 3/package.json'), 'utf8'))).toMatchObject({ name: 'my-sketches-3' }); // prettier-ignore
});

const unannotated = `
import { defineSketch } from 'frame-juggler';
const far = (a, b) => Math.hypot(a.x - b.x, a.y - b.y);
export default defineSketch({
  start: () => ({ boats: [], held: null }),
  step(state, { pointer, random }) {
    state.boats.push({ ...random.point([640, 360]), radius: 8 });
    state.held = state.boats.find((boat) => far(boat, pointer) < boat.radius);
  },
  paint(canvas, { width, height }, { boats, held }) {
    const middle = [width / 2, height / 2];
    const size = [80, 50];
    const course = [];
    for (const boat of boats) course.push([boat.x, boat.y]);
    canvas.rect({ at: middle, size, rotate: 20 });
    canvas.polyline({ points: course });
    canvas.path({ build: (path) => path.moveTo(middle).lineTo(course[0]) });
    if (held) canvas.circle({ at: held, radius: held.radius });
  },
});
`;

test('a lone folder of sketches gets types', () => {
  mkdirSync(path.join(folder, 'lone'));
  writeFileSync(path.join(folder, 'lone/a.ts'), `import { defineSketch } from 'frame-juggler';\nexport default defineSketch({ paint: (canvas) => canvas.circle({ at: [1, 2], radius: '3' }) });\n`); // prettier-ignore
  expect(tool('types', 'lone').status).toBe(0);
  expect(run(process.execPath, [tsc, '-p', 'lone']).text).toMatch(/a\.ts\(2,\d+\): error TS2322: Type 'string' is not assignable/); // prettier-ignore
  // A sketch in the plain way asks for no types of one's own.
  writeFileSync(path.join(folder, 'lone/a.ts'), unannotated);
  expect(run(process.execPath, [tsc, '-p', 'lone'])).toEqual({ status: 0, text: '' });
  expect(tool('types', 'lone').text).toContain('lone/tsconfig.json is there already');
  expect(tool('types', 'nowhere').text).toContain('nowhere/tsconfig.json cannot be written');
});
