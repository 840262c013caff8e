// Memory over a long render: what the process holds after 500 frames, and at the end of 5,000.
import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { mb, row } from './report.mjs';

const folder = mkdtempSync(path.join(tmpdir(), 'juggle-bench-'));
const sketch = path.join(folder, 'long.ts');
writeFileSync(
  sketch,
  `import { defineSketch } from 'frame-juggler';
export default defineSketch({
  canvas: { width: 320, height: 180, background: '#123' }, frameRate: 30, duration: 200,
  start: ({ random }) => random.times(30, () => random.point([320, 180])),
  step(gulls) { for (const gull of gulls) gull.x = (gull.x + 1.3) % 320; },
  paint(canvas, { seconds }, gulls) {
    canvas.text(seconds.toFixed(2), { at: [160, 90], size: 20, fill: 'white' });
    for (const at of gulls) canvas.arc({ at, radius: 8, start: 200, end: 340, stroke: { color: 'white', width: 2 } });
  },
});
`,
);
console.log('Memory while 5,000 frames are rendered (resident, all threads)');
for (const output of ['%05d.png', 'all.gif']) {
  const child = spawn(process.execPath, ['packages/cli/dist/juggle.js', 'render', sketch, '-o', path.join(folder, output), '--frames', '0..4999'], { stdio: ['ignore', 'ignore', 'pipe'] }); // prettier-ignore
  let done = 0;
  child.stderr.on('data', (data) => (done = Number(/(\d+) of/.exec(data)?.[1] ?? done)));
  const readings = [];
  const timer = setInterval(() => {
    const found = /VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${child.pid}/status`, 'utf8'));
    if (found && done >= 500) readings.push(Number(found[1]) * 1024);
  }, 200);
  await new Promise((resolve) => child.on('exit', resolve));
  clearInterval(timer);
  const early = Math.max(...readings.slice(0, 5));
  const late = Math.max(...readings.slice(-10));
  row(`  ${output}: after 500 frames, and at the end`, `${mb(early)}, ${mb(late)}`);
  row('    grown by', mb(late - early), 'under 50 MB');
}
rmSync(folder, { recursive: true });
