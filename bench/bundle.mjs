// What a sketch without text costs a page, built by four bundlers as a user's own project would be: all that the page
// loads at once, minified and gzipped. Then what else there is, by Vite's chunks, and what single calls cost alone.
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { gzipSync } from 'node:zlib';
import { nodeResolve } from '@rollup/plugin-node-resolve';
import * as esbuild from 'esbuild';
import { rollup } from 'rollup';
import { build as vite } from 'vite';
import webpack from 'webpack';
import { row } from './report.mjs';

const kb = (bytes) => `${(bytes / 1000).toFixed(2)} kB`;
const folder = mkdtempSync(path.join(tmpdir(), 'juggle-bench-'));
const dist = path.resolve('packages/frame-juggler/dist');
const alias = { 'frame-juggler/browser': `${dist}/browser/index.js`, 'frame-juggler': `${dist}/index.js` };

/** The chunks that are loaded at once: the entry, and all that these import outright. */
function atOnce(chunks) {
  const first = new Set(chunks.filter(({ isEntry }) => isEntry));
  for (const { imports } of first) for (const chunk of chunks) if (imports.includes(chunk.fileName)) first.add(chunk);
  return first;
}

const minify = (code) => esbuild.transformSync(code, { minify: true, loader: 'js', format: 'esm' }).code;

/** How each bundler builds a script: its chunks, `{ fileName, name, isEntry, imports, code }`. */
const bundlers = {
  async vite(entry) {
    writeFileSync(path.join(folder, 'index.html'), `<div id="stage"></div><script type="module" src="./${path.basename(entry)}"></script>`); // prettier-ignore
    const { output } = await vite({ root: folder, configFile: false, logLevel: 'error', build: { write: false }, resolve: { alias } }); // prettier-ignore
    return output.filter(({ type }) => type === 'chunk');
  },
  async rollup(entry) {
    const replace = { name: 'alias', resolveId: (source) => alias[source] };
    const bundle = await rollup({ input: entry, plugins: [replace, nodeResolve({ browser: true })], onwarn() {} });
    const { output } = await bundle.generate({ format: 'es' });
    return output.map((chunk) => ({ ...chunk, code: minify(chunk.code) }));
  },
  async esbuild(entry) {
    const { metafile, outputFiles } = await esbuild.build({ entryPoints: [entry], alias, bundle: true, splitting: true, minify: true, format: 'esm', platform: 'browser', metafile: true, write: false, outdir: folder, logLevel: 'error' }); // prettier-ignore
    return Object.entries(metafile.outputs).map(([file, { entryPoint, imports }], i) => ({
      fileName: path.basename(file),
      isEntry: entryPoint !== undefined && path.resolve(entryPoint) === entry,
      imports: imports.filter(({ kind }) => kind === 'import-statement').map((found) => path.basename(found.path)),
      code: outputFiles[i].text,
    }));
  },
  async webpack(entry) {
    const out = path.join(folder, 'webpack');
    rmSync(out, { recursive: true, force: true });
    const compiler = webpack({ mode: 'production', entry, output: { path: out }, resolve: { alias: Object.fromEntries(Object.entries(alias).map(([name, file]) => [`${name}$`, file])) }, performance: false }); // prettier-ignore
    const stats = await new Promise((resolve, reject) => compiler.run((error, result) => (error ? reject(error) : resolve(result)))); // prettier-ignore
    if (stats.hasErrors()) throw new Error(stats.toString({ all: false, errors: true }));
    return readdirSync(out)
      .filter((file) => file.endsWith('.js'))
      .map((fileName) => ({ fileName, isEntry: fileName === 'main.js', imports: [], code: readFileSync(path.join(out, fileName), 'utf8') })); // prettier-ignore
  },
};

const size = (chunks) => [...chunks].reduce((sum, { code }) => sum + gzipSync(code).length, 0);
const page = path.join(folder, 'main.js');
writeFileSync(
  page,
  `import { defineSketch } from 'frame-juggler';
import { mount } from 'frame-juggler/browser';
mount(defineSketch({ paint: (canvas) => canvas.circle({ at: [320, 180], radius: 80, fill: 'crimson' }) }), '#stage');
`,
);
console.log('A page with one sketch, minified and gzipped: what it loads at once');
let chunks;
for (const [name, build] of Object.entries(bundlers)) {
  const built = await build(page);
  if (name === 'vite') chunks = built;
  row(`  ${name}`, kb(size(atOnce(built))), 'under 30 kB');
}
console.log('What it loads where that is used (Vite)');
for (const chunk of chunks) if (!atOnce(chunks).has(chunk)) row(`  ${chunk.name}`, kb(size([chunk])));
console.log('The first text of a page');
const named = (names) => size(chunks.filter(({ name }) => names.includes(name)));
row('  Latin letters, regular', kb(named(['font-package', 'read-font', 'layout', 'regular-latin'])), 'under 200 kB');
console.log('Single calls, alone');
for (const [name, limit] of [['swing', 'under 2 kB'], ['easing'], ['keyframes'], ['seededRandom'], ['colorMix']]) {
  const file = path.join(folder, `${name}.js`);
  writeFileSync(file, `import { ${name} } from 'frame-juggler'; console.log(${name});`);
  const sizes = [];
  for (const each of ['rollup', 'esbuild', 'webpack']) sizes.push(`${each} ${kb(size(atOnce(await bundlers[each](file))))}`); // prettier-ignore
  row(`  ${name}`, sizes.join(', '), limit ?? '');
}
rmSync(folder, { recursive: true });
