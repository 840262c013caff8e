import { afterAll, describe, expect, test } from '@jest/globals';
import { execFileSync } from 'node:child_process';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { juggle, temporaryFolder } from '../helpers.ts';

/* What a long job says: on a terminal (one that `script` makes), into a file, to a program, and to nobody. */
const folder = temporaryFolder({
  'slow.ts': `import { defineSketch } from 'frame-juggler';
export default defineSketch({ title: 'Slow boat', canvas: { width: 40, height: 30 }, duration: 4, frameRate: 10,
  paint(canvas, { frame }) {
    for (const end = Date.now() + 70; Date.now() < end; );
    canvas.circle({ at: [frame, 15], radius: 5 });
  } });
`,
  'log.ts': `import { asset, defineSketch } from 'frame-juggler';
export default defineSketch({ title: 'Log', canvas: { width: 40, height: 30 }, assets: { log: asset.json(new URL('./log.json', import.meta.url)) },
  paint(canvas, { assets }) { canvas.circle({ at: [20, 15], radius: assets.log.radius }); } });
`,
}); // prettier-ignore
afterAll(folder.remove);
const at = (name: string): string => path.join(folder.path, name);
const run = (...args: string[]): ReturnType<typeof juggle> => juggle(folder.path, ...args);

describe('a long job', () => {
  test('shows a bar on a terminal, with its rate and the time left, and gives the cursor back', () => {
    const command = `${process.execPath} ${path.resolve('packages/cli/dist/juggle.js')} render slow.ts -o bar/%02d.png`;
    execFileSync('script', ['-qec', `stty cols 100; ${command}`, at('terminal')], { cwd: folder.path, stdio: 'ignore' });
    const shown = readFileSync(at('terminal'), 'utf8');
    const bars = [...shown.matchAll(/[█░]{30} (\d+)\/40 frames · [\d.]+ frames\/s · \d+ s left/g)].map(([, done]) => Number(done));
    expect(bars.length).toBeGreaterThan(3);
    expect(bars).toEqual([...bars].sort((a, b) => a - b));
    expect(bars.at(-1)).toBe(40);
    // Hidden while the bar moves, shown again after it.
    expect(shown.lastIndexOf('\u001b[?25h')).toBeGreaterThan(shown.lastIndexOf('\u001b[?25l'));
    expect(shown).toContain('Wrote bar/%02d.png: Slow boat, frames 0 to 39, 40 × 30 pixels, 10 frames a second, seed 1');
    expect(existsSync(at('bar/39.png'))).toBe(true);
  }); // prettier-ignore

  test('prints plain lines elsewhere, and what it made on standard output alone', async () => {
    const { out, err } = await run('render', 'slow.ts', '-o', 'lines.gif');
    expect(err).toMatch(/^(\d+ of 40 frames, [\d.]+ frames\/s, \d+ s left\n)+$/);
    expect(out).toMatch(/^Wrote lines\.gif: Slow boat, frames 0 to 39, .*, \d+ kB\n$/);
  });

  test('says nothing when told to be quiet, and facts to a program', async () => {
    expect(await run('render', 'slow.ts', '-o', 'quiet/%02d.png', '--frames', '0..12', '-q')).toMatchObject({ out: '', err: '' });
    const { out } = await run('render', 'slow.ts', '-o', 'facts.png', '--seconds', '1.5', '--seed', '9', '--json');
    const bytes = readFileSync(at('facts.png')).length;
    expect(JSON.parse(out)).toEqual({ output: 'facts.png', title: 'Slow boat', frames: [15, 15], count: 1, width: 40, height: 30, frameRate: 10, seed: 9, bytes });
  }); // prettier-ignore

  test('tells of the files it waits for', async () => {
    // Who reads a pipe waits until someone has written it.
    execFileSync('mkfifo', [at('log.json')]);
    const rendered = run('render', 'log.ts', '-o', 'log.png');
    await new Promise((resolve) => setTimeout(resolve, 2500));
    writeFileSync(at('log.json'), '{ "radius": 9 }');
    expect(await rendered).toMatchObject({ code: 0, err: 'Loaded 1 of 1 files: log\n' });
  });
});
