import { afterAll, describe, expect, test } from '@jest/globals';
import { execFileSync, spawn, spawnSync } from 'node:child_process';
import { existsSync, lstatSync, mkdirSync, readdirSync, readFileSync, rmSync, symlinkSync, truncateSync, writeFileSync } from 'node:fs'; // prettier-ignore
import path from 'node:path';
import { decode } from 'fast-png';
import { juggle, temporaryFolder } from '../helpers.ts';

const folder = temporaryFolder({
  'gull.ts': `import { defineSketch } from 'frame-juggler';
export default defineSketch({ canvas: { width: 60, height: 40 }, frameRate: 20, duration: 1,
  paint(canvas, { frame }) { canvas.circle({ at: [frame, 20], radius: 5 }); } });
`,
});
afterAll(folder.remove);
const at = (name: string): string => path.join(folder.path, name);
const render = (output: string, ...more: string[]): ReturnType<typeof juggle> =>
  juggle(folder.path, 'render', 'gull.ts', '-o', output, '-q', ...more);
const isPicture = (bytes: Uint8Array): boolean => decode(bytes).width === 60;

describe('what is no file', () => {
  test('is written through and stays what it is', async () => {
    expect(await render('/dev/null', '--format', 'gif')).toMatchObject({ code: 0, err: '' });
    expect(lstatSync('/dev/null').isCharacterDevice()).toBe(true);
    execFileSync('mkfifo', [at('pipe.png')]);
    const reader = spawn('cat', [at('pipe.png')]);
    const read: Buffer[] = [];
    reader.stdout.on('data', (data: Buffer) => read.push(data));
    const closed = new Promise((resolve) => reader.on('close', resolve));
    expect((await render('pipe.png')).code).toBe(0);
    await closed;
    expect(isPicture(Buffer.concat(read))).toBe(true);
    expect(lstatSync(at('pipe.png')).isFIFO()).toBe(true);
  });

  test('that is full is said', async () => {
    expect(await render('/dev/full', '--format', 'png')).toMatchObject({ code: 2, err: 'juggle: /dev/full could not be written: the disk is full\n' }); // prettier-ignore
  });

  const proc = existsSync('/proc/self') ? test : test.skip;
  proc('a place that takes no folders is said', async () => {
    expect((await render('/proc/gulls/deep/%d.png')).err).toBe('juggle: the folder /proc/gulls could not be made: /proc takes none\n'); // prettier-ignore
  });

  /** A render on a small disk of its own, where the machine lets us mount one. */
  const onDisk = (options: string, output: string): { status: number | null; stderr: string } => {
    mkdirSync(at('disk'), { recursive: true });
    const script = 'mount -t tmpfs -o "$1" tmpfs disk && shift && exec "$@"';
    const command = [process.execPath, path.resolve('packages/cli/dist/juggle.js')];
    const args = ['render', 'gull.ts', '-o', `disk/${output}`, '-q', '--density', '30'];
    return spawnSync('unshare', ['-rm', 'sh', '-c', script, 'sh', options, ...command, ...args], {
      cwd: folder.path,
      encoding: 'utf8',
    });
  };
  const mounts = spawnSync('unshare', ['-rm', 'mount', '-t', 'tmpfs', 'tmpfs', '/mnt']).status === 0;
  const mounted = mounts ? test : test.skip;
  // Videos are made by an encoder that is installed, or is not.
  const videos = spawnSync('ffmpeg', ['-version']).status === 0 ? ['all.mp4', 'all.webm'] : [];
  mounted.each([...videos, 'all.gif', 'all.y4m'])('a disk that is full before %s is whole', (output) => {
    expect(onDisk('size=4k', output)).toMatchObject({
      status: 2,
      stderr: `juggle: disk/${output} could not be written: the disk is full. Nothing was written to disk/${output}\n`,
    });
  });

  mounted('a disk that can only be read', () => {
    expect(onDisk('ro', 'all.gif').stderr).toBe('juggle: disk/all.gif could not be written: disk can only be read\n');
    expect(onDisk('ro', 'f/g/%d.png').stderr).toBe('juggle: the folder disk/f could not be made: disk can only be read\n'); // prettier-ignore
  });

  test('a link is followed', async () => {
    mkdirSync(at('shelf'));
    writeFileSync(at('shelf/old.png'), 'old');
    symlinkSync('shelf/old.png', at('linked.png'));
    symlinkSync('shelf/new.png', at('dangling.png'));
    for (const name of ['linked.png', 'dangling.png']) expect((await render(name)).code).toBe(0);
    for (const name of ['old.png', 'new.png']) expect(isPicture(readFileSync(at(`shelf/${name}`)))).toBe(true);
    expect(lstatSync(at('linked.png')).isSymbolicLink()).toBe(true);
    expect(readdirSync(at('shelf'))).toEqual(['new.png', 'old.png']);
  });
});

describe('files of others', () => {
  test('are left alone, and our own leftovers are taken away', async () => {
    const others = ['.notes.2024.part', '.x.png.999999.part', '.juggle-notes.part'];
    for (const name of [...others, '.juggle-999999-0123456789ab.part']) writeFileSync(at(name), '');
    expect((await render('alone.png')).code).toBe(0);
    expect(readdirSync(at('.')).filter((name) => name.endsWith('.part'))).toEqual(others.sort());
  });

  test('a place that another render makes is refused', async () => {
    const made = spawn(process.execPath, [path.resolve('packages/cli/dist/juggle.js'), 'render', 'gull.ts', '-o', 'claimed.gif', '--frames', '0..100000', '-q'], { cwd: folder.path }); // prettier-ignore
    while (!readdirSync(at('.')).some((name) => name.startsWith(`.juggle-${made.pid}-`))) await new Promise((resolve) => setTimeout(resolve, 20)); // prettier-ignore
    const second = await render('claimed.gif');
    made.kill('SIGKILL');
    expect([second.code, second.err]).toEqual([2, `juggle: claimed.gif is being made by another render, process ${made.pid}; expected another place, or the end of that one\n`]); // prettier-ignore
    await new Promise((resolve) => made.on('close', resolve));
    expect((await render('claimed.gif')).code).toBe(0);
  });
});

describe('names and damage', () => {
  test('a name as long as names can be', async () => {
    const name = `${'q'.repeat(246)}.png`;
    expect((await render(name)).code).toBe(0);
    expect(existsSync(at(name))).toBe(true);
    rmSync(at(name));
    expect((await render(`${'q'.repeat(300)}.png`)).err).toMatch(/could not be written: its name is too long\n$/);
  });

  test('a number that a sequence cannot have', async () => {
    expect((await render('frames/%5d.png')).err).toBe('juggle: frames/%5d.png has a number that cannot be read; expected %d, or %04d for at least four digits\n'); // prettier-ignore
    expect((await render('gull.ts/%d.png')).err).toBe(
      'juggle: the folder gull.ts could not be made: gull.ts is not a folder\n',
    );
  });

  test.each(['png', 'svg'])('a %s frame that is cut or damaged is made again', async (kind) => {
    const name = (frame: number): string => at(`${kind}s/${frame}.${kind}`);
    await render(`${kind}s/%d.${kind}`);
    const whole = [4, 7].map((frame) => readFileSync(name(frame)));
    truncateSync(name(4), kind === 'png' ? 330 : whole[0].length - 9);
    if (kind === 'png')
      writeFileSync(
        name(7),
        whole[1].map((byte, i) => (i === whole[1].length - 30 ? byte ^ 1 : byte)),
      );
    expect(await render(`${kind}s/%d.${kind}`, '--resume')).toMatchObject({ code: 0, err: '' });
    [4, 7].forEach((frame, i) => expect(readFileSync(name(frame)).equals(whole[i])).toBe(true));
  });
});
