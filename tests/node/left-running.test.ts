import { expect, test } from '@jest/globals';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

/*
 * Threads draw the frames of sequences and films. A script that renders ends by itself once it is done, whatever became of
 * its renders: a thread left behind would keep it alive.
 */
const folder = mkdtempSync(path.join(tmpdir(), 'juggle-left-'));
const script = path.join(folder, 'quay.mjs');
const library = path.resolve('packages/frame-juggler/dist');
writeFileSync(
  script,
  `import { defineSketch } from ${JSON.stringify(path.join(library, 'packed/index.js'))};
import { ChunkJoiner, render } from ${JSON.stringify(path.join(library, 'packed/node.js'))};
const failsAt = (bad) => defineSketch({
  canvas: { width: 800, height: 600 }, frameRate: 10, duration: 2,
  paint(canvas, { frame }) { look(); canvas.circle({ at: [400, 300], radius: frame === bad ? NaN : 180 }); },
});
const threads = () => process.getActiveResourcesInfo().filter((name) => /worker|messageport/i.test(name)).length;
// Seen where a frame is painted: those before it are drawn meanwhile.
let most = 0;
const look = () => (most = Math.max(most, threads()));
const run = async (job) => {
  most = 0;
  const outcome = await job().then(() => 'done', (error) => error.reason);
  await new Promise((resolve) => setTimeout(resolve, 50));
  console.log(JSON.stringify([outcome, most > 0, threads()]));
};
const folder = ${JSON.stringify(folder)};
const film = (bad, name, rest = {}) => render(failsAt(bad), { to: folder + '/' + name, frames: [0, 19], threads: 2, ...rest });
await run(() => film(-1, '%02d.png'));
await run(() => film(-1, '%02d.png', { seed: 2 }));
await run(() => film(7, 'a.gif'));
const end = new AbortController();
await run(() => film(-1, 'b.gif', { signal: end.signal, onProgress: (done) => done > 2 && end.abort() }));
await run(async () => (await ChunkJoiner.open(failsAt(-1), folder + '/c.gif', { frames: [0, 19], threads: 2 })).abandon());
`,
);

test('nothing of a render is left running: done, refused, failed, stopped, or never begun', () => {
  const { stdout, stderr, signal } = spawnSync(process.execPath, [script], { encoding: 'utf8', timeout: 60_000 });
  expect([stderr, signal]).toEqual(['', null]);
  const outcomes = stdout
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as [outcome: string, drawn: boolean, left: number]);
  expect(outcomes).toEqual([
    ['done', true, 0],
    [expect.stringMatching(/another run/), false, 0],
    [expect.stringMatching(/radius NaN is not finite/), true, 0],
    [expect.stringMatching(/stopped/), true, 0],
    ['done', false, 0],
  ]);
});
