import { afterAll, describe, expect, test } from '@jest/globals';
import { execFile } from 'node:child_process';
import { promisify } from 'node:util';
import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { decode } from 'fast-png';
import { juggle, temporaryFolder } from '../helpers.ts';

const sketch = (paint: string, rest = ''): string => `import { defineSketch } from 'frame-juggler';

export default defineSketch({
  title: 'Buoy',
  canvas: { width: 60, height: 40, background: 'navy' },
  frameRate: 10,
  ${rest}
  paint(canvas, { seconds, random }) {
    ${paint}
  },
});
`;

const folder = temporaryFolder({
  'buoy.ts': sketch("const x: number = 10 * seconds;\n    canvas.rect({ from: [x, 0], to: [x + random.between(4, 9), 40], fill: 'white' });"),
  'plain.js': sketch("canvas.circle({ at: [30, 20], radius: 9 });"),
  'module.mjs': sketch("canvas.circle({ at: [30, 20], radius: 9 });"),
  'prints.ts': sketch("console.log('paint', seconds);\n    canvas.circle({ at: [30, 20], radius: 9 });", "duration: 1, start: () => console.log('start'), step: () => console.log('step'),"),
  'printed.js': sketch('canvas.translate([9, 4]);\n    console.log(canvas);'),
  'parted.ts': "import { paint } from './parts.js';\nimport { defineSketch } from 'frame-juggler';\nexport default defineSketch({ paint });\n",
  'parts.ts': "import type { Canvas } from 'frame-juggler';\nenum Size { Small = 4 }\nexport const paint = (canvas: Canvas): void => canvas.circle({ at: [1, 1], radius: Size.Small });\n",
  'throws.ts': sketch("if (seconds > 0.4) throw new Error('squall');", 'duration: 2,'),
  'typo.ts': sketch("canvas.circle({ at: [1, 2], raduis: 3 } as never);"),
  'nan.ts': sketch("canvas.circle({ at: [1, Math.sqrt(-1)], radius: 3 });"),
  'broken.ts': sketch("canvas.circle({ at: [1, 2, radius: 3 });"),
  'broken.mjs': 'export default {{;\n',
  'lonely.ts': "import './nowhere.ts';\n",
  'other.ts': 'export default { paint() {} };\n',
  'empty.ts': 'export const x = 1;\n',
  'named.ts': "import { defineSketch } from 'frame-juggler';\nexport const quay = defineSketch({ paint() {} });\n",
  'misnamed.ts': "interface Gull { x: number }\nimport {\n  defineSketch,\n  swin,\n} from 'frame-juggler';\nexport default defineSketch({ paint: () => void swin });\n",
  'misspelt.ts': "import { defineSketch } from 'frame-jugler';\nexport default defineSketch({ paint() {} });\n",
  'tides.ts': "import tides, { level, class as kind } from './tides.json';\nimport again from './tides2.json' with { type: 'json' };\nimport { defineSketch } from 'frame-juggler';\nexport default defineSketch({ canvas: { width: 60, height: 40 }, paint: (canvas) => canvas.text(`${level} ${kind} ${tides['low tide']} ${again.level}`, { at: [30, 20] }) });\n",
  'tides.json': '{ "level": 7, "class": "spring", "low tide": [1, 2], "default": 3 }',
  'tides2.json': '{ "level": 8 }',
  'torn.ts': "import tides from './torn.json';\nexport default tides;\n",
  'torn.json': '{ "level": 7, }',
  'drawn.ts': "import boat from './boat.dark.png';\nexport default boat;\n",
  'read.ts': "import './harbor.css';\nexport default 1;\n",
  'fetched.ts': "export default await fetch('./log/tides.csv');\n",
  'boat.dark.png': '',
  'harbor.css': '',
  'notes.txt': '',
}); // prettier-ignore
afterAll(folder.remove);
const run = (...args: string[]): ReturnType<typeof juggle> => juggle(folder.path, ...args);
const written = (name: string): Buffer => readFileSync(path.join(folder.path, name));

describe('juggle render', () => {
  test('writes one frame of a sketch that lies anywhere, without a package.json', async () => {
    const { code, out, err } = await run('render', 'buoy.ts', '-o', 'buoy.png', '--seconds', '2');
    expect([code, err]).toEqual([0, '']);
    expect(out).toBe('Wrote buoy.png: Buoy, frame 20, 60 × 40 pixels, seed 1, 1 kB\n');
    const { width, height, channels, data, text } = decode(written('buoy.png'));
    expect([width, height, channels]).toEqual([60, 40, 3]);
    expect([...data.slice(0, 3), ...data.slice(21 * 3, 22 * 3)]).toEqual([0, 0, 128, 255, 255, 255]);
    expect(written('buoy.png').includes('Seed')).toBe(true);
    expect(text).toBeDefined();
  });

  test('takes .js and .mjs, files in parts, and TypeScript that is more than types', async () => {
    for (const file of ['plain.js', 'module.mjs', 'parted.ts']) {
      const { code, err } = await run('render', file, '-o', `${file}.png`);
      expect([code, err]).toEqual([0, '']);
    }
  });

  test('takes JSON as bundlers give it, whole and by its names', async () => {
    const { code, out, err } = await run('explain', 'tides.ts', '--words');
    expect([code, err]).toEqual([0, '']);
    expect(out).toContain('7 spring 1,2 8');
  });

  test('gives the same bytes in two processes, other bytes for another seed, and - is standard output', async () => {
    const [one, two, other] = await Promise.all(
      ['3', '3', '4'].map((seed) => run('render', 'buoy.ts', '-o', '-', '--seed', seed, '--density', '2')),
    );
    expect(one.bytes.equals(two.bytes)).toBe(true);
    expect(decode(one.bytes)).toMatchObject({ width: 120, height: 80 });
    expect(decode(one.bytes).data).not.toEqual(decode(other.bytes).data);
    expect(one.err).toMatch('seed 3');
  });

  test("draws in threads where the engine's own flags are given too", async () => {
    const [tool, to] = [path.resolve('packages/cli/dist/juggle.js'), path.join(folder.path, 'flagged')];
    const ask = [
      'render',
      path.join(folder.path, 'buoy.ts'),
      '-o',
      `${to}/%03d.png`,
      '--frames',
      '0..11',
      '--threads',
      '2',
    ];
    await promisify(execFile)(process.execPath, ['--max-old-space-size=600', tool, ...ask]);
    expect(readdirSync(to)).toHaveLength(12);
  });

  test.each([
    ['render prints.ts -o prints.png --frame 1', 'start step paint0.1'],
    ['render prints.ts -o prints.gif --frames 0..2', 'start paint0 step paint0.1 step paint0.2'],
    ['explain prints.ts --frame 1', 'start step paint0.1'],
    ['check prints.ts --frames 0..1', 'start paint0 step paint0.1'],
    ['check prints.ts', 'start paint0 step paint0.1 step paint0.2 step paint0.3 step paint0.4 step paint0.5 step paint0.6 step paint0.7 step paint0.8 step paint0.9'],
  ])('%s: what the sketch prints comes once, however often it is looked at', async (words, printed) => {
    const { out } = await juggle(folder.path, ...words.split(' '));
    const lines = out.split('\n').filter((line) => /^(start|step|paint)\b/.test(line));
    expect(lines.map((line) => line.replace(' ', '')).join(' ')).toBe(printed);
  }); // prettier-ignore

  test('a canvas is printed as what can be asked of it', async () => {
    const { out } = await run('render', 'printed.js', '-o', 'printed.png', '--quiet');
    expect(out).toBe('Canvas { width: 60, height: 40, matrix: [ 1, 0, 0, 1, 9, 4 ] }\n');
  });

  test('takes another size', async () => {
    await run('render', 'plain.js', '-o', 'sized.png', '--size', '30x90', '--quiet');
    expect(decode(written('sized.png'))).toMatchObject({ width: 30, height: 90 });
  });

  const failures: [string[], string][] = [
    [['missing.ts', '-o', 'x.png'], 'juggle: missing.ts is not there; expected the path of a sketch file\n'],
    [['buoy.ts/x.ts', '-o', 'x.png'], 'juggle: buoy.ts/x.ts could not be read: buoy.ts is not a folder\n'],
    [['notes.txt', '-o', 'x.png'], 'juggle: notes.txt is not a sketch file; expected one of .ts, .mts, .js, .mjs\n'],
    [['buoi.ts', '-o', 'x.png'], 'juggle: buoi.ts is not there; did you mean buoy.ts?\n'],
    [['buoy', '-o', 'x.png'], 'juggle: buoy is not there; did you mean buoy.ts?\n'],
    [['other.ts', '-o', 'x.png'], 'juggle: other.ts does not export a sketch as its default; expected export default defineSketch({ … })\n'],
    [['empty.ts', '-o', 'x.png'], 'juggle: empty.ts has no default export; expected export default defineSketch({ … })\n'],
    [['broken.ts', '-o', 'x.png'], 'juggle: broken.ts cannot be read: Expected `,` or `]` but found `:` (broken.ts:9:38)\n'],
    [['broken.mjs', '-o', 'x.png'], "juggle: broken.mjs cannot be read: Unexpected token (broken.mjs:1:17)\n"],
    [['named.ts', '-o', 'x.png'], 'juggle: named.ts exports a sketch as quay, not as its default; expected export default quay\n'],
    [['misnamed.ts', '-o', 'x.png'], 'juggle: frame-juggler exports no swin; did you mean "swing"? (misnamed.ts:4:3)\n'],
    [['misspelt.ts', '-o', 'x.png'], 'juggle: misspelt.ts imports frame-jugler, which is not there; did you mean frame-juggler?\n'],
    [['lonely.ts', '-o', 'x.png'], 'juggle: lonely.ts imports nowhere.ts, which is not there\n'],
    [['torn.ts', '-o', 'x.png'], 'juggle: torn.ts cannot be read: Expected double-quoted property name in JSON at position 14 (torn.json)\n'],
    [['drawn.ts', '-o', 'x.png'], "juggle: boat.dark.png is imported, which is no code; load it as an asset: { assets: { picture: asset.picture(new URL('./boat.dark.png', import.meta.url)) } }\n"],
    [['read.ts', '-o', 'x.png'], 'juggle: harbor.css is imported, which is no code; files are assets: asset.picture, asset.font, asset.json or asset.table\n'],
    [['fetched.ts', '-o', 'x.png'], "juggle: TypeError: Failed to parse URL from ./log/tides.csv; load it as an asset: { assets: { tides: asset.table(new URL('./log/tides.csv', import.meta.url)) } } (fetched.ts:1:16)\n"],
    [['typo.ts', '-o', 'x.png'], 'juggle: circle: there is no option "raduis"; did you mean "radius"? (typo.ts:9:12, frame 0)\n'],
    [['nan.ts', '-o', 'x.png'], 'juggle: circle: at [1,NaN] is not a point; expected [x, y] or { x, y } with finite numbers; is a name misspelt? (nan.ts:9:12, frame 0)\n'],
    [['throws.ts', '-o', 'x.png', '--frame', '7'], 'juggle: Error: squall (throws.ts:9:30, frame 7)\n'],
    [['buoy.ts', '-o', 'x.bmp'], 'juggle: x.bmp is not a kind of file that can be written; expected one of png, svg, gif, apng, y4m, mp4, webm\n'],
    [['buoy.ts', '-o', 'nowhere/x.png'], 'juggle: nowhere/x.png could not be written: nowhere is not there\n'],
    [['buoy.ts', '-o', 'taken.png'], 'juggle: taken.png could not be written: it is a folder\n'],
    [['buoy.ts'], 'juggle: -o is missing; expected -o <file>; juggle render --help tells more\n'],
    [['buoy.ts', '-o'], 'juggle: --output has no value; expected --output <file>; juggle render --help tells more\n'],
    [['-o', 'x.png'], 'juggle: sketch is missing; expected juggle render <sketch>; juggle render --help tells more\n'],
    [['buoy.ts', '-o', 'x.png', '--frame', '-1'], "juggle: option '--frame <n>' argument '-1' is invalid. Expected a whole number, 0 or more.\n"],
    [['buoy.ts', '-o', 'x.png', '--sead', '1'], "juggle: unknown option '--sead'\n(Did you mean --seed?)\n"],
    [['buoy.ts', '-o', 'x.png', '--frame', '1', '--seconds', '1'], "juggle: option '--frame <n>' cannot be used with option '--seconds <s>'\n"],
  ]; // prettier-ignore
  mkdirSync(path.join(folder.path, 'taken.png'));

  test.each(failures)('%j: one clear message, exit 2, no file', async (args, message) => {
    const before = readdirSync(folder.path).sort();
    const { code, out, err } = await run('render', ...args);
    expect({ code, out, err }).toEqual({ code: 2, out: '', err: message });
    expect(readdirSync(folder.path).sort()).toEqual(before);
  });

  test('a picture that was there stays whole when the next one fails', async () => {
    await run('render', 'plain.js', '-o', 'kept.png');
    const kept = written('kept.png');
    writeFileSync(path.join(folder.path, 'plain.js'), 'throw new Error("fog");\n');
    expect((await run('render', 'plain.js', '-o', 'kept.png')).err).toMatch(/^juggle: Error: fog \(plain\.js:1:7\)/);
    expect(written('kept.png').equals(kept)).toBe(true);
  });
});

describe('juggle', () => {
  test('tells what it can do, and each command what it takes', async () => {
    const help = await run('--help');
    expect(help.code).toBe(0);
    for (const command of ['play', 'render', 'demo']) {
      expect(help.out).toMatch(new RegExp(`^  ${command} `, 'm'));
      expect((await run(command, '--help')).out).toMatch(`Usage: juggle ${command}`);
    }
    expect((await run('rendr')).err).toBe("juggle: unknown command 'rendr'\n(Did you mean render?)\n");
  });

  test('demo writes its picture and says where', async () => {
    const { code, out } = await run('demo');
    expect(code).toBe(0);
    expect(out).toMatch(/^Wrote out\/pellan-quay\.png: A day at Pellan Quay/);
    expect(decode(written('out/pellan-quay.png'))).toMatchObject({ width: 960, height: 540 });
  });
});
