import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { Ajv } from 'ajv';
import { existsSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { juggle, temporaryFolder, type Outcome } from '../helpers.ts';

/* `juggle explain`, `check` and `compare` as processes: what they print, their JSON, their exit codes. */

const sketch = (x: number, more = ''): string => `import { defineSketch } from 'frame-juggler';
export default defineSketch({
  title: 'Crates', canvas: { width: 200, height: 100, background: '#e4efe8' }, duration: 1, frameRate: 10, ${more}
  paint(canvas, { seconds }) {
    canvas.rect({ from: [0, 70], to: [200, 100], fill: '#24506a', label: 'sea' });
    for (let i = 0; i < 3; i++)
      canvas.rect({ at: [${x} + i * 30 + 5 * seconds, 60], size: 20, fill: '#6f4c38', label: 'crate' });
    canvas.circle({ at: [400, 50], radius: 10, fill: '#d5603f', label: 'buoy' });
  },
});
`;
const folder = temporaryFolder({
  'crates.ts': sketch(40),
  'moved.ts': sketch(50),
  'meant.ts': sketch(40, "accept: { 'off-canvas': 'the buoy drifts in later' },"),
  'misnamed.ts': sketch(40, "accept: { 'off-canvass': 'oops' },"),
});
afterAll(() => folder.remove());
const run = (...args: string[]): Promise<Outcome> => juggle(folder.path, ...args);
const inFolder = (name: string): string => path.join(folder.path, name);

/** What does not fit its schema. */
function misfits(schema: string, json: string): unknown {
  const validate = new Ajv().compile(JSON.parse(readFileSync(`docs/schemas/${schema}.schema.json`, 'utf8')) as object);
  return validate(JSON.parse(json)) ? [] : validate.errors;
}

describe('juggle explain', () => {
  let json = '';
  beforeAll(async () => {
    json = (await run('explain', 'crates.ts', '--json')).out;
  });
  test('tells what was drawn, in order, with lines and what can be seen', async () => {
    const { out, code } = await run('explain', 'crates.ts');
    expect(code).toBe(0);
    expect(out).toMatch(/Crates, frame 0, seed 1: 5 items/);
    expect(out).toMatch(/1 +rect sea +0, 70 to 200, 100 +#24506a +100 % +5\n/);
    expect(out).toMatch(/5 +circle buoy .* off the canvas +8\n/);
    // Nothing but letters, whoever reads.
    expect(/\p{Cc}/u.test(out.replaceAll('\n', ''))).toBe(false);
    expect(Math.max(...out.split('\n').map((line) => line.length))).toBeLessThanOrEqual(100);
  });
  test('picks a pixel, an item and a line, and shows them set off', async () => {
    expect((await run('explain', 'crates.ts', '--pixel', '40,65')).out).toMatch(
      /Pixel 40, 65 is #6f4c38[\s\S]*rect crate/,
    );
    const { out } = await run('explain', 'crates.ts', '--item', '2', '-o', 'item.png');
    expect(out).toMatch(/Line +crates\.ts:7:\d+\n/);
    expect(readFileSync(inFolder('item.png')).subarray(1, 4).toString()).toBe('PNG');
    expect((await run('explain', 'crates.ts', '--line', '7')).out).toMatch(/3 of 5 items/);
    expect((await run('explain', 'crates.ts', '--words')).out).toBe('Sea below, 3 crates on the left; 5 things\n');
  });
  test('gives JSON that fits its schema', () => expect(misfits('explanation', json)).toEqual([]));
  test('says what is not there', async () => {
    const { code, err } = await run('explain', 'crates.ts', '--item', '9');
    expect([code, err]).toEqual([2, 'juggle: frame 0 has no item 9; they are numbered from 1 to 5\n']);
  });
});

describe('juggle check', () => {
  test('tells a finding with its line and a fix, and says so by its exit code', async () => {
    const { out, code } = await run('check', 'crates.ts');
    expect(code).toBe(1);
    expect(out).toMatch(
      /^Crates, frames 0 to 9: 1 finding\n\ncrates\.ts:8 {2}off-canvas\n {2}the circle “buoy” is entirely off the canvas/,
    );
    expect(out).toMatch(/Fix: /);
    expect(misfits('checkup', (await run('check', 'crates.ts', '--json')).out)).toEqual([]);
  });
  test('what a sketch accepts is shown with its reason, and is no finding', async () => {
    const { out, code } = await run('check', 'meant.ts');
    expect([code, out]).toEqual([
      0,
      'Crates, frames 0 to 9: nothing found, 1 accepted\n\naccepted: off-canvas, meant.ts:8: the buoy drifts in later\n',
    ]);
    const misnamed = await run('check', 'misnamed.ts');
    expect(misnamed.code).toBe(2);
    expect(misnamed.err).toMatch(/is the name of no finding.*off-canvas/);
  });
  test('several are checked in turn, whatever fails among them', async () => {
    const { out, err, code } = await run('check', 'crates.ts', 'misnamed.ts', 'meant.ts');
    expect(out.match(/^.*Crates, .*$/gm)).toEqual(['crates.ts: Crates, frames 0 to 9: 1 finding', 'meant.ts: Crates, frames 0 to 9: nothing found, 1 accepted']); // prettier-ignore
    expect([code, err.split('\n').length]).toEqual([2, 2]);
    const both = await run('check', 'crates.ts', 'meant.ts', '--json');
    expect([
      both.code,
      both.out
        .trim()
        .split('\n')
        .map((line) => misfits('checkup', line)),
    ]).toEqual([1, [[], []]]);
  });

  test('of a folder all sketches are checked, and nothing else that lies there', async () => {
    const lessons = temporaryFolder({
      'b.ts': "import { defineSketch } from 'frame-juggler';\nexport default defineSketch({ paint() {} });\n",
      'a.mjs': "import { defineSketch } from 'frame-juggler';\nexport default defineSketch({ paint() {} });\n",
      'notes.md': 'export default defineSketch',
      'helper.ts': 'export const two = 2;\n',
    });
    const { out } = await juggle(lessons.path, 'check', '.');
    expect(out.match(/^\S+\.\w+: /gm)).toEqual(['a.mjs: ', 'b.ts: ']);
    rmSync(path.join(lessons.path, 'a.mjs'));
    rmSync(path.join(lessons.path, 'b.ts'));
    const { err, code } = await juggle(lessons.path, 'check', '.');
    expect([code, err]).toEqual([2, 'juggle: . is a folder; expected the path of a sketch file\n']);
    lessons.remove();
  });
});

describe('juggle compare', () => {
  test('tells which pixels and which items differ, and shows them side by side', async () => {
    const { out, code } = await run('compare', 'crates.ts', 'moved.ts', '-o', 'difference.png');
    expect(code).toBe(1);
    expect(out).toMatch(/\d+ pixels differ \(\d+\.\d\d %\), between 30, 50 and 120, 70/);
    expect(out).toMatch(/3 items changed:\n {2}2 rect crate, line 7: moved by 10, 0\n/);
    expect(readFileSync(inFolder('difference.png')).subarray(1, 4).toString()).toBe('PNG');
    expect(misfits('comparison', (await run('compare', 'crates.ts', 'moved.ts', '--json')).out)).toEqual([]);
  });
  test('compares frames, and a sketch with a kept picture, within a tolerance', async () => {
    expect((await run('compare', 'crates.ts', '--other-frame', '9', '-q')).code).toBe(1);
    expect((await run('compare', 'crates.ts', '--other-frame', '9', '--tolerance', '5', '-q')).code).toBe(0);
    const moments = await run('compare', 'crates.ts', '--seconds', '0.01', '--other-seconds', '0.95');
    expect(moments.out).toMatch(/^Crates, frame 0, seed 1\nCrates, frame 9, seed 1\n/);
    await run('render', 'crates.ts', '-o', 'kept.png');
    const { out, code } = await run('compare', 'crates.ts', 'kept.png');
    expect([code, out]).toEqual([0, 'Crates, frame 0, seed 1\nkept.png\n\nNo pixel differs.\n']);
  });
  test('says what cannot be compared', async () => {
    expect((await run('compare', 'crates.ts')).err).toMatch(/would be compared with itself; name another file/);
    expect((await run('compare', 'crates.ts', 'none.png')).err).toMatch(/none\.png could not be read/);
    expect((await run('compare', 'crates.ts', 'kept.png', '--density', '2')).err).toMatch(
      /400 × 200 and 200 × 100 pixels/,
    );
    expect(existsSync(inFolder('none.png'))).toBe(false);
  });
});

test('render says what is likely not meant, and --quiet nothing', async () => {
  const blank = temporaryFolder({
    'blank.ts':
      "import { defineSketch } from 'frame-juggler';\nexport default defineSketch({ paint(canvas) { canvas.circle({ at: [-90, 0], radius: 9 }); } });\n",
  });
  const { err, code } = await juggle(blank.path, 'render', 'blank.ts', '-o', 'blank.png');
  expect([code, err]).toEqual([0, 'Note: nothing that frame 0 drew can be seen: 1 off the canvas\n']);
  expect((await juggle(blank.path, 'render', 'blank.ts', '-o', 'blank.png', '-q')).err).toBe('');
  blank.remove();
});
