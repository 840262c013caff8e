// Compiles both packages, file by file; packs what comes from big packages; copies what a compiler leaves alone.
import { execFileSync } from 'node:child_process';
import { copyFileSync, cpSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { build } from 'esbuild';

process.chdir(path.resolve(import.meta.dirname, '..'));
const library = 'packages/frame-juggler';
const cli = 'packages/cli';
/** The files that speak to packages of many files, or of another module system: each is packed together with its own. */
const packed = [
  'text/font-package.js',
  'text/brotli-package.js',
  'text/bidi-package.js',
  'text/line-break-package.js',
  'sketch/decode-picture.js',
  'sketch/table.js',
  'formats/quantize.js',
  'surfaces/svg/picture-data.js',
  'review/compare-pictures.js',
];

await import('./fonts.mjs');
await import('./wasm.mjs');
for (const folder of [library, cli]) {
  rmSync(`${folder}/dist`, { recursive: true, force: true });
  // The command is compiled against the library's own declarations, as it is used.
  execFileSync(process.execPath, ['node_modules/typescript/bin/tsc', '-p', `${folder}/tsconfig.build.json`], { stdio: 'inherit' }); // prettier-ignore
}
const packages = new Set();
for (const file of packed) {
  const entry = path.resolve(library, 'dist', file);
  const { metafile } = await build({
    entryPoints: [entry],
    outfile: entry,
    allowOverwrite: true,
    bundle: true,
    format: 'esm',
    platform: 'browser',
    metafile: true,
    define: { global: 'globalThis' },
    logLevel: 'warning',
    plugins: [
      {
        name: 'leave-our-own-files',
        setup({ onResolve }) {
          onResolve({ filter: /^\./ }, ({ path: to, importer }) =>
            importer === entry ? { path: to, external: true } : undefined,
          );
          // The font package takes what it is given: see brotli.ts.
          if (file === 'text/font-package.js')
            onResolve({ filter: /^brotli\/decompress\.js$/ }, () => ({ path: './brotli.js', external: true }));
        },
      },
    ],
  });
  for (const input of Object.keys(metafile.inputs)) {
    const found = /^(node_modules\/(?:@[^/]+\/)?[^/]+)/.exec(input);
    if (found) packages.add(found[1]);
  }
}
// Node sets text at the moment it is asked for, so it needs these packages in the form that loads at once.
for (const name of ['fontkit', 'linebreak', 'bidi-js'])
  await build({
    stdin: { contents: `module.exports = require('${name}');`, resolveDir: library },
    outfile: `${library}/dist/text/${name}.cjs`,
    bundle: true,
    format: 'cjs',
    platform: 'browser',
    mainFields: name === 'fontkit' ? undefined : ['main'],
    define: { global: 'globalThis' },
    logLevel: 'warning',
  });
// Node opens file after file, and the library has some two hundred: there it loads the same code in a few.
const forNode = {
  index: 'index',
  browser: 'browser/index',
  element: 'browser/element',
  worker: 'browser/perform',
  node: 'node/index',
  threads: 'node/threads',
  testing: 'testing/index',
  'draw-worker': 'node/draw-worker',
};
await build({
  entryPoints: Object.entries(forNode).map(([out, file]) => ({ out, in: `${library}/dist/${file}.js` })),
  outdir: `${library}/dist/packed`,
  bundle: true,
  splitting: true,
  ignoreAnnotations: true,
  format: 'esm',
  platform: 'node',
  target: 'node20.19',
  packages: 'external',
  logLevel: 'error',
  plugins: [
    {
      name: 'share-the-fonts',
      setup({ onResolve }) {
        onResolve({ filter: /\/generated\// }, ({ path: to, resolveDir }) => ({
          path: path.relative(path.resolve(library, 'dist/packed'), path.resolve(resolveDir, to)),
          external: true,
        }));
      },
    },
  ],
});
const licenses = [...packages].sort().map((folder) => {
  const { name, version, license } = JSON.parse(readFileSync(`${folder}/package.json`, 'utf8'));
  const file = readdirSync(folder).find((entry) => /^licen[cs]e/i.test(entry));
  return `${name} ${version} (${license})\n\n${file ? readFileSync(`${folder}/${file}`, 'utf8').trim() : ''}\n`;
});
writeFileSync(`${library}/dist/THIRD-PARTY-LICENSES.txt`, licenses.join(`\n${'-'.repeat(80)}\n\n`));
for (const license of ['text/generated/OFL.txt', 'maths/FDLIBM-LICENSE.txt'])
  cpSync(`${library}/src/${license}`, `${library}/dist/${license}`);
// The viewer: its page, the worker in which it runs a sketch, and the library that these and the sketch share.
const forPages = { bundle: true, format: 'esm', platform: 'browser', target: 'es2022', legalComments: 'inline' };
await build({
  ...forPages,
  entryPoints: { index: `${library}/dist/index.js`, browser: `${library}/dist/browser/index.js` },
  outdir: `${cli}/dist/viewer/library`,
  splitting: true,
  chunkNames: '[name]-[hash]',
  logLevel: 'error',
});
await build({
  ...forPages,
  entryPoints: { main: `${cli}/src/viewer/page/main.tsx`, worker: `${cli}/src/viewer/worker/worker.ts` },
  outdir: `${cli}/dist/viewer`,
  jsx: 'automatic',
  jsxImportSource: 'preact',
  logLevel: 'warning',
  plugins: [
    {
      name: 'share-the-library',
      setup({ onResolve }) {
        onResolve({ filter: /^frame-juggler(\/browser)?$/ }, ({ path: name }) => ({
          path: name === 'frame-juggler' ? './library/index.js' : './library/browser.js',
          external: true,
        }));
      },
    },
  ],
});
for (const file of ['index.html', 'viewer.css']) cpSync(`${cli}/src/viewer/${file}`, `${cli}/dist/viewer/${file}`);
rmSync(`${cli}/examples`, { recursive: true, force: true });
cpSync('examples', `${cli}/examples`, { recursive: true, filter: (file) => !/\/(dist|out)$/.test(file) });
for (const folder of [library, cli]) copyFileSync('LICENSE', `${folder}/LICENSE`);
writeFileSync(`${library}/dist/.built`, '');
