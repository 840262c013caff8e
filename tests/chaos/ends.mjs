// Renders that are killed or stopped at any moment.
import { execFileSync, spawn, spawnSync } from 'node:child_process';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { decode, decodeApng } from 'fast-png';
import { GifReader } from 'omggif';

export const command = path.resolve('packages/cli/dist/juggle.js');
/** Videos are made by an encoder that is installed, or is not. */
const videos = spawnSync('ffmpeg', ['-version']).status === 0 ? ['all.mp4', 'all.webm'] : [];
if (videos.length === 0) console.log('No encoder is installed: no video is attacked.');
export const outputs = ['f/%03d.png', 'f/%03d.svg', 'all.gif', 'all.apng', 'all.y4m', ...videos];
/** Milliseconds: how long a signal may take, and an encoder that nobody needs any more. */
const most = { signal: 5000, orphan: 1000 };

export const sketch = (carry) => `import { defineSketch } from 'frame-juggler';
export default defineSketch({ canvas: { width: 320, height: 180 }, frameRate: 20, duration: 3000, carry: ${carry},
  paint(canvas, { frame }) { canvas.rect({ at: [frame % 320, 90], size: 40, rotate: frame, fill: 'teal' }); } });
`;
const pause = (time) => new Promise((resolve) => setTimeout(resolve, time));

/** What is in a file must be all of it. */
export function checkWhole(file) {
  const bytes = readFileSync(file);
  if (file.endsWith('.png')) decode(bytes);
  else if (file.endsWith('.apng')) decodeApng(bytes);
  else if (file.endsWith('.gif')) new GifReader(bytes);
  else if (file.endsWith('.svg') && !/<\/svg>\s*$/.test(bytes.toString())) throw new Error(`${file} is cut`);
}

/** Encoders of a folder that still run. */
function encodersOf(folder) {
  const { stdout } = spawnSync('ps', ['-eo', 'stat,args'], { encoding: 'utf8' });
  return stdout
    .split('\n')
    .filter((line) => line.includes(folder) && line.includes('yuv4mpegpipe') && !line.startsWith('Z'));
}

export const ends = {
  async stop({ random, folder }) {
    writeFileSync(path.join(folder, 'sketch.ts'), sketch(random.pick([0, 0.9])));
    const output = random.pick(outputs);
    const signal = random.pick(['SIGKILL', 'SIGINT', 'SIGTERM']);
    const place = path.join(folder, output);
    const args = [
      'render',
      path.join(folder, 'sketch.ts'),
      '-o',
      place,
      '-q',
      '--density',
      String(random.pick([1, 3])),
    ];
    const child = spawn(process.execPath, [command, ...args], { stdio: ['ignore', 'ignore', 'pipe'] });
    let said = '';
    child.stderr.on('data', (data) => (said += data));
    const closed = new Promise((resolve) => child.on('close', (code, by) => resolve(by ?? code)));
    await pause(random.between(0, 4000));
    child.kill(signal);
    const how = await Promise.race([closed, pause(most.signal)]);
    if (how === undefined) {
      child.kill('SIGKILL');
      throw new Error(`${output} hung after ${signal}`);
    }
    // Before it listens, a signal ends it as it ends any process.
    if (![130, signal].includes(how)) throw new Error(`${output} ended by ${how} after ${signal}: ${said}`);
    await pause(most.orphan);
    if (encodersOf(folder).length > 0) throw new Error(`${output} left its encoder running after ${signal}`);
    for (const name of readdirSync(folder, { recursive: true }))
      if (/\.(png|apng|gif|svg)$/.test(name) && !path.basename(name).startsWith('.'))
        checkWhole(path.join(folder, name));
    execFileSync(process.execPath, [
      command,
      'render',
      path.join(folder, 'sketch.ts'),
      '-o',
      path.join(path.dirname(place), 'next-%d.png'),
      '--frames',
      '0..0',
      '-q',
    ]);
    const left = readdirSync(folder, { recursive: true }).filter((name) => name.endsWith('.part'));
    if (left.length > 0) throw new Error(`${output} left ${left.join(' ')} after ${signal} and another render`);
  },
};
