import { afterAll, describe, expect, test } from '@jest/globals';
import { spawn } from 'node:child_process';
import { chmodSync, existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { inflateSync } from 'node:zlib';
import { decode, decodeApng } from 'fast-png';
import { GifReader } from 'omggif';
import { readProvenance } from 'frame-juggler/node';
import { juggle, temporaryFolder } from '../helpers.ts';

const sketch = (
  body: string,
  rest = '',
): string => `import { defineSketch, dial, linearGradient, pattern, picture } from 'frame-juggler';
export default defineSketch({
  title: 'Wakes & "trails"', canvas: { width: 60, height: 40, background: '#0b2545' }, frameRate: 10, duration: 6, ${rest}
  start: ({ random }) => ({ x: random.between(0, 5), tile: picture(4, 4, (c) => c.circle({ at: [2, 2], radius: 2, fill: 'gold' })) }),
  step(state, { frame }) { state.x += 0.7; ${body} },
  paint(canvas, { random, dials }, { x, tile }) {
    canvas.rect({ at: [30, 30], size: [60, 8], fill: pattern(tile) });
    canvas.group({ clip: (r) => r.circle({ at: [x, 20], radius: 9, fill: pattern(tile) }), opacity: 0.9 }, () =>
      canvas.rect({ at: [x, 20], size: 20, fill: linearGradient({ from: [0, 0], to: [60, 40], stops: ['white', 'teal'] }), stroke: 'red' }));
    canvas.circle({ at: [x, random.between(4, 8)], radius: dials.size, fill: 'white', label: 'boat' });
  },
  dials: { size: dial.number(3, { min: 1, max: 9 }) },
});
`;
const folder = temporaryFolder({
  'wakes.ts': sketch(''),
  'trails.ts': sketch('', 'carry: 0.8,'),
  // Nine milliseconds a step; the second remembers beside its state how often it was called.
  'slow.ts': sketch('for (const end = performance.now() + 9; performance.now() < end; );', 'repeat: false,').replace('duration: 6', 'duration: 60'),
  'remembers.ts': `let calls = 0;${sketch('for (const end = performance.now() + 9; performance.now() < end; ); state.x = (state.x + calls++) % 50', 'repeat: false,').replace('duration: 6', 'duration: 60')}`,
  'throws.ts': sketch("if (frame === 57) throw new Error('squall');"),
  'stuck.ts': sketch('if (frame === 3) for (;;);'),
  'tuned.ts': `import { defineSketch, dial } from 'frame-juggler';
export default defineSketch({
  canvas: { width: 40, height: 40 }, still: true,
  dials: { size: dial.number(8, { min: 0, max: 20, step: 3 }), fill: dial.color('navy'), calm: dial.toggle(true), sea: dial.choice(['flat', 'rough']), at: dial.point([20, 20]), free: dial.number(3), turn: dial.number(0, { min: -Math.PI, max: Math.E }) },
  paint: (canvas, { dials }) => canvas.rect({ at: dials.at, size: dials.size, fill: dials.fill }),
});`,
  'waits.ts': "import { defineSketch } from 'frame-juggler';\nexport default defineSketch({ start: () => new Promise(() => {}), paint() {} });\n",
  'endless.ts': "import { defineSketch } from 'frame-juggler';\nexport default defineSketch({ paint(canvas, { pointer }) { canvas.circle({ at: [pointer.x, pointer.y], radius: 5 }); } });\n",
}); // prettier-ignore
afterAll(folder.remove);
const run = (...args: string[]): ReturnType<typeof juggle> => juggle(folder.path, ...args);
const at = (name: string): string => path.join(folder.path, name);
const bytes = (name: string): Buffer => readFileSync(at(name));
const frames = (name: string): string[] => readdirSync(at(name)).sort();

/** The pictures of an animated PNG whose frames are put over one another, by its chunks; each as large as the file. */
function framesOfApng(png: Buffer): Buffer[] {
  const pictures: Buffer[] = [];
  let [width, channels] = [0, 0];
  let place: Buffer = Buffer.alloc(0);
  for (let at = 8; at < png.length; at += png.readUInt32BE(at) + 12) {
    const data = png.subarray(at + 8, at + 8 + png.readUInt32BE(at));
    const type = png.toString('latin1', at + 4, at + 8);
    if (type === 'IHDR') [width, channels] = [data.readUInt32BE(0), data[9] === 2 ? 3 : 4];
    if (type === 'fcTL') place = data;
    if (type !== 'IDAT' && type !== 'fdAT') continue;
    const rows = inflateSync(type === 'IDAT' ? data : data.subarray(4));
    const [w, h, x, y] = [4, 8, 12, 16].map((byte) => place.readUInt32BE(byte));
    const picture = Buffer.from(pictures.at(-1) ?? Buffer.alloc(w * h * channels));
    for (let row = 0; row < h; row++) rows.copy(picture, ((y + row) * width + x) * channels, row * (w * channels + 1) + 1, (row + 1) * (w * channels + 1)); // prettier-ignore
    pictures.push(picture);
  }
  return pictures;
}

describe('many frames', () => {
  test.each(['wakes.ts', 'trails.ts'])('%s: alone, in a run, by one thread or three, again: the same bytes', async (file) => {
    for (const [name, threads] of [['one', '1'], ['three', '3'], ['again', '3']])
      expect((await run('render', file, '-o', `${file}-${name}/%03d.png`, '--threads', threads, '-q')).code).toBe(0);
    await run('render', file, '-o', `${file}-part/%03d.svg`, '--frames', '20..22', '-q');
    expect(frames(`${file}-one`)).toHaveLength(60);
    for (const frame of frames(`${file}-one`))
      for (const name of ['three', 'again']) expect(bytes(`${file}-${name}/${frame}`).equals(bytes(`${file}-one/${frame}`))).toBe(true);
    for (const number of [0, 21, 59]) {
      const { bytes: alone } = await run('render', file, '-o', '-', '--frame', String(number));
      expect(alone.equals(bytes(`${file}-one/${String(number).padStart(3, '0')}.png`))).toBe(true);
    }
    const { bytes: svg } = await run('render', file, '-o', '-', '--format', 'svg', '--frame', '21');
    expect(svg.equals(bytes(`${file}-part/021.svg`))).toBe(true);
    expect(readProvenance(svg)).toMatchObject({ Frame: '21' });
    expect(svg.toString()).toMatch(/<desc>.*; \d+ things/);
  }); // prettier-ignore

  test('a large picture that threads share has the bytes that one makes', async () => {
    for (const threads of ['1', '3'])
      expect((await run('render', 'trails.ts', '-o', `large-${threads}.png`, '--frame', '4', '--size', '6000x3000', '--threads', threads, '-q')).code).toBe(0);
    expect(bytes('large-3.png').equals(bytes('large-1.png'))).toBe(true);
  }); // prettier-ignore

  test.each(['gif', 'apng', 'y4m'])('%s: one thread or two, again, and by itself: the same bytes', async (kind) => {
    const made = async (name: string, ...more: string[]): Promise<Buffer> => {
      expect((await run('render', 'trails.ts', '-o', `${name}.${kind}`, '-q', ...more)).code).toBe(0);
      return bytes(`${name}.${kind}`);
    };
    const two = await made('by-two', '--threads', '2');
    expect((await made('by-one', '--threads', '1')).equals(two)).toBe(true);
    expect((await made('by-two-again', '--threads', '2')).equals(two)).toBe(true);
    // So few that they are drawn without threads of their own.
    const few = await made('few', '--frames', '0..3');
    expect((await run('render', 'trails.ts', '-o', '-', '--format', kind, '--frames', '0..3')).bytes.equals(few)).toBe(true);
  }); // prettier-ignore

  test('a PNG has sixteen bits per channel if asked', async () => {
    expect((await run('render', 'trails.ts', '-o', 'deep.png', '--frame', '5', '--bits', '16')).code).toBe(0);
    await run('render', 'trails.ts', '-o', 'plain.png', '--frame', '5');
    const [deep, plain] = [decode(bytes('deep.png')), decode(bytes('plain.png'))];
    expect([deep.depth, plain.depth]).toEqual([16, 8]);
    const apart = plain.data.map((byte, i) => Math.abs(byte - deep.data[i] / 257));
    expect(apart.filter((each) => each > 2).length / apart.length).toBeLessThan(0.01);
    expect((await run('render', 'wakes.ts', '-o', 'deep.gif', '--bits', '16')).err).toMatch('only a PNG can have 16');
    expect((await run('render', 'wakes.ts', '-o', 'x.png', '--bits', '12')).err).toMatch('Expected 8 or 16');
  });

  test('APNG and GIF show the frames that a sequence holds, and tell where they come from', async () => {
    for (const output of ['plain/%d.png', 'all.apng', 'all.gif'])
      expect((await run('render', 'wakes.ts', '-o', output, '--frames', '0..9', '--seed', '5', '-q')).err).toBe('');
    const shown = framesOfApng(bytes('all.apng'));
    const reader = new GifReader(bytes('all.gif'));
    expect([shown.length, reader.numFrames(), reader.frameInfo(3).delay]).toEqual([10, 10, 10]);
    const canvas = new Uint8Array(60 * 40 * 4);
    for (let frame = 0; frame < 10; frame++) {
      const { data } = decode(bytes(`plain/${frame}.png`));
      reader.decodeAndBlitFrameRGBA(frame, canvas);
      let far = 0; // channels that are off by more than anyone sees
      for (let i = 0; i < 60 * 40; i++)
        for (let c = 0; c < 3; c++) {
          expect(shown[frame][i * 3 + c]).toBe(data[i * 3 + c]);
          if (Math.abs(canvas[i * 4 + c] - data[i * 3 + c]) > 12) far++;
        }
      expect(far / (60 * 40 * 3)).toBeLessThan(0.01);
    }
    expect(readProvenance(bytes('plain/3.png'))).toMatchObject({ Title: 'Wakes & "trails"', Frame: '3', Seed: '5' });
    for (const file of ['all.gif', 'all.apng']) expect(readProvenance(bytes(file))).toMatchObject({ Frames: '0..9', Seed: '5' });
    await run('render', 'wakes.ts', '-o', 'one.svg', '--frame', '4', '-q');
    expect(readProvenance(bytes('one.svg'))).toMatchObject({ Title: 'Wakes & "trails"', Frame: '4', Seed: '1' });
  }); // prettier-ignore

  test('an APNG has alpha where a picture comes that is not opaque, all before it too', async () => {
    const clearing = (from: number): string => `import { defineSketch } from 'frame-juggler';
      export default defineSketch({ canvas: { width: 12, height: 8, background: 'navy' }, frameRate: 10, duration: 0.6,
        paint(canvas, { frame }) {
          if (frame >= ${from}) canvas.clear('transparent');
          canvas.circle({ at: [2 * frame, 4], radius: 3, fill: 'white' });
        } });`;
    for (const from of [0, 4, 9]) {
      writeFileSync(at('clearing.ts'), clearing(from));
      for (const to of ['clearing.apng', 'clearing/%d.png']) expect((await run('render', 'clearing.ts', '-o', to, '-q', ...(to.includes('%') ? ['--overwrite'] : []))).code).toBe(0);
      const pictures = framesOfApng(bytes('clearing.apng'));
      expect(bytes('clearing.apng').length).toBeGreaterThan(100);
      expect(decodeApng(bytes('clearing.apng')).channels).toBe(from === 9 ? 3 : 4);
      for (let frame = 0; frame < 6; frame++) {
        const { data, channels } = decode(bytes(`clearing/${frame}.png`));
        const pixel = (list: Uint8Array, of: number, i: number): number[] => [...list.slice(i * of, i * of + 3), of === 4 ? list[i * 4 + 3] : 255];
        for (let i = 0; i < 12 * 8; i++) expect(pixel(pictures[frame], from === 9 ? 3 : 4, i)).toEqual(pixel(data as Uint8Array, channels, i));
      }
    }
  }); // prettier-ignore

  test('Y4M holds them all, and an encoder is handed the same', async () => {
    await run('render', 'wakes.ts', '-o', 'all.y4m', '--frames', '0..7', '--chroma', '444', '-q');
    expect(bytes('all.y4m').length - bytes('all.y4m').indexOf('\n') - 1).toBe(8 * (6 + 60 * 40 * 3));
    writeFileSync(at('encoder'), '#!/usr/bin/env node\nprocess.stdin.pipe(require("fs").createWriteStream(process.argv.at(-1)));\n');
    chmodSync(at('encoder'), 0o755);
    const env = { ...process.env, JUGGLE_ENCODER: at('encoder') };
    const child = spawn(process.execPath, [path.resolve('packages/cli/dist/juggle.js'), 'render', 'wakes.ts', '-o', 'all.mp4', '--frames', '0..7', '--chroma', '444'], { cwd: folder.path, env });
    expect(await new Promise((resolve) => child.on('close', resolve))).toBe(0);
    expect(bytes('all.mp4').equals(bytes('all.y4m'))).toBe(true);
  }); // prettier-ignore

  test('a video of odd sides is made even, and says so', async () => {
    const child = spawn(process.execPath, [path.resolve('packages/cli/dist/juggle.js'), 'render', 'wakes.ts', '-o', 'odd.mp4', '--frames', '0..1', '--size', '61x41'], { cwd: folder.path, env: { ...process.env, JUGGLE_ENCODER: at('encoder') } });
    let said = '';
    child.stderr.on('data', (data: Buffer) => (said += data.toString()));
    expect(await new Promise((resolve) => child.on('close', resolve))).toBe(0);
    expect(said).toContain('odd.mp4 has 62 × 42 pixels, not 61 × 41');
    expect(bytes('odd.mp4').toString('latin1')).toMatch(/^YUV4MPEG2 W62 H42 /);
    expect(bytes('odd.mp4').length - bytes('odd.mp4').indexOf('\n') - 1).toBe(2 * (6 + 62 * 42 * 1.5));
  }); // prettier-ignore

  test('a stretch of seconds is the frames that are shown in it', async () => {
    for (const [stretch, first, last] of [['1..2.5', 10, 24], ['0..6', 0, 59], ['0.55..0.75', 5, 7], ['0.31..0.32', 3, 3]] as const) {
      const { out } = await run('render', 'wakes.ts', '-o', 'stretch.apng', '--seconds', stretch, '--json', '-q');
      expect((JSON.parse(out) as { frames: number[] }).frames).toEqual([first, last]);
    }
    expect((await run('render', 'wakes.ts', '-o', 'one.png', '--seconds', '1..2')).err).toContain('one.png holds one frame, but several were asked for');
    expect((await run('render', 'wakes.ts', '-o', 'all.gif', '--seconds', '2..1')).err).toContain('Expected a moment, for example 4.5, or FROM..TO');
    expect((await run('render', 'wakes.ts', '-o', 'all.gif', '--seconds', '2')).err).toContain('holds many frames, but one was asked for');
  }); // prettier-ignore

  test('a sequence goes on where it stopped, and is never mixed with another', async () => {
    await run('render', 'wakes.ts', '-o', 'go/%02d.png', '--frames', '0..20', '-q');
    rmSync(at('go/07.png'));
    expect((await run('render', 'wakes.ts', '-o', 'go/%02d.png', '--resume', '-q')).code).toBe(0);
    expect(frames('go')).toHaveLength(60);
    expect(bytes('go/07.png').equals(bytes('wakes.ts-one/007.png'))).toBe(true);
    for (const length of [0, 5, 40]) {
      writeFileSync(at('go/11.png'), bytes('go/12.png').subarray(0, length));
      expect((await run('render', 'wakes.ts', '-o', 'go/%02d.png')).err).toContain('go/11.png is cut short; expected --resume to make what is missing');
      expect((await run('render', 'wakes.ts', '-o', 'go/%02d.png', '--resume', '-q')).code).toBe(0);
      expect(bytes('go/11.png').equals(bytes('wakes.ts-one/011.png'))).toBe(true);
    }
    writeFileSync(at('go/11.png'), 'a letter');
    expect((await run('render', 'wakes.ts', '-o', 'go/%02d.png', '--resume')).err).toContain('go/11.png is of another run');
    writeFileSync(at('go/11.png'), bytes('wakes.ts-one/011.png'));
    const other = await run('render', 'wakes.ts', '-o', 'go/%02d.png', '--seed', '9', '--resume');
    expect(other).toMatchObject({ code: 2, out: '' });
    expect(other.err).toBe('juggle: go/00.png and 59 more are of another run (Wakes & "trails", seed 1); expected another folder, or --overwrite to replace what is there\n');
    expect((await run('render', 'wakes.ts', '-o', 'go/%02d.png', '--seed', '9', '--frames', '0..2', '--overwrite', '-q')).code).toBe(0);
    expect(frames('go')).toEqual(['00.png', '01.png', '02.png']);
  }); // prettier-ignore
});

describe('when it cannot be done', () => {
  test('a step that throws: one message with its line, and the frames before it', async () => {
    const { code, err } = await run('render', 'throws.ts', '-o', 'bad/%02d.png', '-q');
    expect([code, err]).toEqual([2, 'juggle: Error: squall (throws.ts:5:68, frame 57). bad/00.png to bad/56.png are there: --resume continues\n']);
    expect(frames('bad')).toHaveLength(57);
    const gif = await run('render', 'throws.ts', '-o', 'bad.gif');
    expect(gif.err).toContain('Nothing was written to bad.gif');
    expect(readdirSync(folder.path).filter((name) => /bad\.gif|\.part$/.test(name))).toEqual([]);
  }); // prettier-ignore

  test.each([
    [['stuck.ts', '-o', 'x.png', '--frame', '5', '--patience', '0.3'], 'Wakes & "trails": frame 3 never finished: step was stopped after 0.3 s; look for a loop that never ends, or give it longer with --patience (stuck.ts:5:61)'],
    [['waits.ts', '-o', 'x.png', '--patience', '0.3'], 'Waits: frame 0 never finished: start was stopped after 0.3 s; look for a loop that never ends, or give it longer with --patience'],
    [['endless.ts', '-o', 'x.gif'], 'Endless has no duration, so it has no end; expected --frames A..B, for example --frames 0..119, or a duration in the sketch'],
    [['wakes.ts', '-o', 'x.gif', '--frame', '3'], 'x.gif holds many frames, but one was asked for; expected a range of frames, or a .png or .svg'],
    [['wakes.ts', '-o', 'x.png', '--frames', '1..3'], 'x.png holds one frame, but several were asked for; expected a name like frames/%04d.png, or .gif, .apng, .y4m, .mp4, .webm'],
    [['wakes.ts', '-o', 'x.gfi'], 'x.gfi is not a kind of file that can be written; did you mean "gif"?'],
    [['wakes.ts', '-o', 'frames/'], 'frames/ is not a kind of file that can be written; expected .png, .svg, .gif, .apng, .y4m, .mp4, .webm, or frames/%04d.png for one file per frame'],
    [['wakes.ts', '-o', 'nowhere/x.gif'], 'nowhere/x.gif could not be written: nowhere is not there'],
    [['wakes.ts', '-o', 'x.png', '--dial', 'szie=4'], 'dials: there is no dial "szie"; did you mean "size"?'],
    [['wakes.ts', '-o', 'x.png', '--dial', 'size=44'], 'dials: size 44 is out of range; expected 1 or more, 9 or less'],
    [['endless.ts', '-o', 'x.png', '--input', 'wakes.ts'], /^juggle: input track: wakes\.ts is not JSON/],
    [['wakes.ts', '-o', 'x.png', '--frames', '5..3'], /Expected FIRST\.\.LAST/],
    [['wakes.ts', '-o', 'x.png', '--frame', '99999999999999999999'], /Expected a whole number up to 9007199254740991\./],
  ])('%j', async (args, message) => {
    const { code, out, err } = await run('render', ...args);
    expect([code, out]).toEqual([2, '']);
    if (typeof message === 'string') expect(err).toBe(`juggle: ${message}\n`);
    else expect(err).toMatch(message);
    expect(existsSync(at(args[2]))).toBe(false);
  }); // prettier-ignore

  test('killed at any moment: what is there is whole', async () => {
    for (const [output, after] of [['killed/%02d.png', 700], ['killed/all.gif', 800], ['killed/all.apng', 900]] as const) {
      mkdirSync(at('killed'), { recursive: true });
      const child = spawn(process.execPath, [path.resolve('packages/cli/dist/juggle.js'), 'render', 'wakes.ts', '-o', output, '--density', '24', '-q'], { cwd: folder.path });
      const closed = new Promise((resolve) => child.on('close', resolve));
      await new Promise((resolve) => setTimeout(resolve, after));
      expect(child.kill('SIGKILL')).toBe(true);
      await closed;
      for (const name of frames('killed').filter((each) => !each.startsWith('.')))
        expect(() => (name.endsWith('.gif') ? new GifReader(bytes(`killed/${name}`)) : decode(bytes(`killed/${name}`)))).not.toThrow();
    }
    // The next run takes away what was left unfinished.
    expect((await run('render', 'wakes.ts', '-o', 'killed/last.png', '-q')).code).toBe(0);
    expect(frames('killed').filter((name) => name.endsWith('.part'))).toEqual([]);
  }); // prettier-ignore

  test.each([
    ['slow.ts', 0],
    ['remembers.ts', 1],
  ])('%s: far frames from checkpoints are the same, whatever the sketch remembers', async (file, noted) => {
    const far = ['--frames', '258..260', '--format', 'y4m', '-o', '-'];
    const plain = run('render', file, ...far);
    const kept = ['--checkpoints', at(`kept-${file}`)];
    await run('render', file, ...far, ...kept);
    const again = await run('render', file, ...far, ...kept);
    expect(again.bytes.equals((await plain).bytes)).toBe(true);
    const notes = again.err.split('\n').filter((line) => line.includes('remembers something outside of its state'));
    expect(notes.length).toBe(noted);
  });

  test('Ctrl-C stops it cleanly and says what is there', async () => {
    const child = spawn(process.execPath, [path.resolve('packages/cli/dist/juggle.js'), 'render', 'wakes.ts', '-o', 'stopped/%02d.png', '--density', '12', '--threads', '1'], { cwd: folder.path });
    let err = '';
    child.stderr.on('data', (data: Buffer) => (err += data.toString()));
    for (let i = 0; i < 1000 && !existsSync(at('stopped/02.png')); i++) await new Promise((resolve) => setTimeout(resolve, 20));
    child.kill('SIGINT');
    expect(await new Promise((resolve) => child.on('close', resolve))).toBe(130);
    expect(err).toMatch(/juggle: stopped\. stopped\/00\.png to stopped\/\d\d\.png are there: --resume continues\n$/);
    expect(err).toContain(`stopped/${frames('stopped').at(-1)!} `);
  }); // prettier-ignore
});

describe('what a person chooses', () => {
  test('dials, on the command line or kept beside the sketch', async () => {
    const facts = async (...args: string[]): Promise<Buffer> => Buffer.from(decode((await run('render', 'wakes.ts', '-o', '-', '-q', ...args)).bytes).data);
    const plain = await facts();
    expect((await facts('--dial', 'size=6')).equals(plain)).toBe(false);
    writeFileSync(at('wakes.dials.json'), '{ "size": 6 }');
    expect((await facts()).equals(await facts('--dial', 'size=6'))).toBe(true);
    expect((await facts('--dial', 'size=3')).equals(plain)).toBe(true);
    rmSync(at('wakes.dials.json'));
  }); // prettier-ignore

  test('a strip of frames, evenly spread or picked', async () => {
    const { out } = await run('strip', 'wakes.ts', '-o', 'strip.png', '--count', '4', '--tile', '120', '--columns', '4');
    expect(out).toBe('Wrote strip.png: Wakes & "trails", 4 frames (0, 20, 39, 59), seed 1, 560 × 143 pixels\n');
    const { width, height, data } = decode(bytes('strip.png'));
    expect([width, height]).toEqual([560, 143]);
    // The first tile is the first frame at that size, its corner a margin away from the sheet's.
    const tile = decode((await run('render', 'wakes.ts', '-o', '-', '--density', '2')).bytes);
    for (let y = 0; y < tile.height; y++)
      expect([...data.subarray(((y + 16) * width + 16) * 3, ((y + 16) * width + 16 + 120) * 3)]).toEqual([...tile.data.subarray(y * 360, y * 360 + 360)]);
    expect((await run('strip', 'wakes.ts', '-o', 'wide.png', '--tile', '20000')).err).toBe('juggle: strip: tile 20000 is out of range; expected a whole number from 1 to 4096\n');
    const picked = await run('strip', 'trails.ts', '-o', 'picked.png', '--pick', '7,3', '--json');
    expect(JSON.parse(picked.out)).toMatchObject({ frames: [7, 3], seeds: [1] });
  }); // prettier-ignore

  test('a strip of moments: of those within a stretch of time, or of one with each seed', async () => {
    const frames = async (...options: string[]): Promise<unknown> => {
      const { out, err } = await run('strip', 'wakes.ts', '-o', 'moments.png', '--tile', '40', '--json', ...options);
      return err === '' ? (JSON.parse(out) as { frames: unknown }).frames : err.trim();
    };
    expect(await frames('--seconds', '1..2', '--count', '2')).toEqual([10, 19]);
    expect(await frames('--seeds', '3..4', '--seconds', '0.55')).toEqual([5]);
    expect(await frames('--seconds', '1')).toBe('juggle: a strip cannot be of one frame alone; expected several frames, or several seeds or values of a dial');
    expect(await frames('--seconds', '1..2', '--seeds', '3..4')).toBe('juggle: a strip of several seeds cannot have several frames, too; expected frame, the number of one');
  }); // prettier-ignore

  test('a strip stands in rows that fill a screen, the last as full as can be', async () => {
    const columns = async (count: number): Promise<number> => {
      const picked = Array.from({ length: count }, (_, i) => i).join();
      const { out } = await run('strip', 'wakes.ts', '-o', 'rows.png', '--pick', picked, '--tile', '120', '--json');
      return ((JSON.parse(out) as { width: number }).width - 16) / 136;
    };
    expect([await columns(2), await columns(3), await columns(4), await columns(5), await columns(7), await columns(10)]).toEqual([2, 3, 2, 3, 4, 5]);
  }); // prettier-ignore

  test('a strip of the values of one dial or two, as each was given or as the dial has them', async () => {
    const vary = async (...options: string[]): Promise<unknown> => {
      const { out, err } = await run('strip', 'tuned.ts', '-o', 'vary.png', '--tile', '40', '--json', ...options);
      return err === '' ? (JSON.parse(out) as { varied: unknown }).varied : err.replace('juggle: ', '').trim();
    };
    expect(await vary('--vary', 'size=0..20', '--count', '3', '--vary', 'fill=teal,rgb(1, 2, 3)')).toEqual({ size: [0, 9, 20], fill: ['teal', 'rgb(1, 2, 3)'] });
    const { data, width } = decode(bytes('vary.png'));
    // Three across, two down; each tile has a square of its size and color in its middle.
    const middles = [0, 1].map((row) => [0, 1, 2].map((column) => [...data.subarray(((36 + row * 87) * width + 36 + column * 56) * 3).subarray(0, 3)]));
    expect(middles).toEqual([[[255, 255, 255], [0, 128, 128], [0, 128, 128]], [[255, 255, 255], [1, 2, 3], [1, 2, 3]]]);
    const table = await run('strip', 'tuned.ts', '-o', 'vary.png', '--tile', '40', '--json', '--vary', 'size=6,9,12', '--seeds', '4..5');
    expect(JSON.parse(table.out)).toMatchObject({ seeds: [4, 5], varied: { size: [6, 9, 12] }, width: 184, height: 190 });
    expect(await vary('--vary', 'size')).toEqual({ size: [0, 3, 6, 9, 12, 15, 18, 20] });
    expect(await vary('--vary', 'sea', '--vary', 'calm')).toEqual({ sea: ['flat', 'rough'], calm: [false, true] });
    expect(await vary('--vary', 'at=1,2;30,4')).toEqual({ at: [{ x: 1, y: 2 }, { x: 30, y: 4 }] });
    expect(await vary('--vary', 'free=2..1', '--count', '4')).toEqual({ free: [2, 1.67, 1.33, 1] });
    expect(await vary('--vary', 'turn', '--count', '3')).toEqual({ turn: [-Math.PI, -0.2, Math.E] });
    expect(await vary('--vary', 'free')).toBe('--vary free does not say with which values; expected --vary free=A..B');
    expect(await vary('--vary', 'siez')).toMatch(/^dials: there is no dial "siez"; did you mean "size"/);
    expect(await vary('--vary', 'size=1..90')).toMatch(/is out of range; expected 0 or more, 20 or less$/);
    expect(await vary('--vary', 'sea', '--vary', 'calm', '--vary', 'size')).toBe('a strip cannot vary 3 things; expected one dial or two, or a dial and seeds');
    expect(await vary('--vary', 'size=1', '--vary', 'size=2')).toBe('--vary size was given twice; expected all its values in one: --vary size=A,B,C');
  }); // prettier-ignore

  test('a strip of seeds, and a seed that is new each time', async () => {
    const { out } = await run('strip', 'trails.ts', '-o', 'seeds.png', '--seeds', '3..5', '--frame', '4', '--json');
    expect(JSON.parse(out)).toMatchObject({ frames: [4], seeds: [3, 4, 5] });
    const seed = async (): Promise<number> =>
      (
        JSON.parse((await run('render', 'trails.ts', '-o', 'new.png', '--seed', 'new', '--json')).out) as {
          seed: number;
        }
      ).seed;
    expect(await seed()).not.toBe(await seed());
  });
});
