// What a sketch without text costs a page: a user's Vite build of the core, canvas2d and mount.
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { gzipSync } from 'node:zlib';
import { build } from 'vite';
import { row } from './report.mjs';

const folder = mkdtempSync(path.join(tmpdir(), 'juggle-bench-'));
writeFileSync(path.join(folder, 'index.html'), '<div id="stage"></div><script type="module" src="./main.js"></script>');
writeFileSync(
  path.join(folder, 'main.js'),
  `import { defineSketch } from 'frame-juggler';
import { mount } from 'frame-juggler/browser';
mount(defineSketch({ paint: (canvas) => canvas.circle({ at: [320, 180], radius: 80, fill: 'crimson' }) }), '#stage');
`,
);
const dist = path.resolve('packages/frame-juggler/dist');
const { output } = await build({
  root: folder,
  configFile: false,
  logLevel: 'error',
  build: { write: false },
  resolve: { alias: { 'frame-juggler/browser': `${dist}/browser/index.js`, 'frame-juggler': `${dist}/index.js` } },
});
console.log('A page with one sketch, built with Vite, minified and gzipped');
const chunks = output.filter(({ type }) => type === 'chunk');
const size = (chunk) => gzipSync(chunk.code).length;
const kb = (bytes) => `${(bytes / 1000).toFixed(2)} kB`;
// What the page loads at once: its entry, and all that this imports outright.
const first = new Set(chunks.filter(({ isEntry }) => isEntry));
for (const chunk of first)
  for (const { fileName } of chunks.filter(({ fileName }) => chunk.imports.includes(fileName)))
    first.add(chunks.find((other) => other.fileName === fileName));
row('  the page', kb([...first].reduce((sum, chunk) => sum + size(chunk), 0)), 'under 30 kB');
for (const chunk of chunks) if (!first.has(chunk)) row(`  where it is used: ${chunk.name}`, kb(size(chunk)));
rmSync(folder, { recursive: true });
