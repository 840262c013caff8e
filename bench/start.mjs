// Starting: one small sketch from nothing to a picture file, as a whole process.
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { median, ms, row } from './report.mjs';

const folder = mkdtempSync(path.join(tmpdir(), 'juggle-bench-'));
const sketch = path.join(folder, 'buoy.ts');
writeFileSync(
  sketch,
  `import { defineSketch } from 'frame-juggler';
export default defineSketch({
  paint(canvas) {
    canvas.circle({ at: [320, 180], radius: 80, fill: 'crimson', stroke: { color: 'navy', width: 6 } });
  },
});
`,
);
const render = () =>
  execFileSync(process.execPath, [
    'packages/cli/dist/juggle.js',
    'render',
    sketch,
    '-o',
    path.join(folder, 'buoy.png'),
    '-q',
  ]);
console.log('Rendering a small sketch, whole process');
row('  juggle render buoy.ts -o buoy.png', ms(median(render, { warm: 1, runs: 7 })), 'under 1000 ms');
rmSync(folder, { recursive: true });
