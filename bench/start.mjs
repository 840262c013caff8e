// Starting: small sketches from nothing to a picture file or an answer, as whole processes.
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
const many = path.join(folder, 'nets.ts');
writeFileSync(
  many,
  `import { defineSketch } from 'frame-juggler';
export default defineSketch({
  canvas: { width: 960, height: 600 },
  paint(canvas, { random }) {
    for (let i = 0; i < 10_000; i++)
      canvas.circle({
        at: [random.between(0, 960), random.between(0, 600)],
        radius: random.between(2, 20),
        fill: random.pick(['crimson', 'navy', 'teal', 'gold']),
      });
  },
});
`,
);
const juggle = (...words) =>
  execFileSync(process.execPath, ['packages/cli/dist/juggle.js', ...words, '-q'], { maxBuffer: 2 ** 26 });
const time = (...words) => ms(median(() => juggle(...words), { warm: 1, runs: 7 }));
console.log('Whole processes');
row('  node, doing nothing', ms(median(() => execFileSync(process.execPath, ['-e', '0']), { warm: 1, runs: 7 })));
row(
  '  juggle render buoy.ts -o buoy.png',
  time('render', sketch, '-o', path.join(folder, 'buoy.png')),
  'under 1000 ms',
);
row('  juggle explain buoy.ts', time('explain', sketch));
row('  juggle explain nets.ts (10,000 items)', time('explain', many), 'under 1000 ms');
rmSync(folder, { recursive: true });
