// Compiles src/ to dist/, file by file; packs what comes from big packages; copies what a compiler leaves alone.
import { execFileSync } from 'node:child_process';
import { chmodSync, cpSync, existsSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { build } from 'esbuild';

/** The files that speak to packages of many files, or of another module system: each is packed together with its own. */
const packed = [
  'paint/culori.js',
  'paint/culori-mix.js',
  'text/read-font.js',
  'sketch/decode-picture.js',
  'encode/quantize.js',
  'svg/picture-data.js',
];

rmSync('dist', { recursive: true, force: true });
await import('./fonts.mjs');
execFileSync(process.execPath, ['node_modules/typescript/bin/tsc', '-p', 'tsconfig.build.json'], { stdio: 'inherit' });
rmSync('dist/core-env.d.ts', { force: true });

const packages = new Set();
for (const file of packed) {
  const entry = path.resolve('dist', file);
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
        },
      },
    ],
  });
  for (const input of Object.keys(metafile.inputs)) {
    const found = /^(node_modules\/(?:@[^/]+\/)?[^/]+)/.exec(input);
    if (found) packages.add(found[1]);
  }
}
const licences = [...packages].sort().map((folder) => {
  const { name, version, license } = JSON.parse(readFileSync(`${folder}/package.json`, 'utf8'));
  const file = readdirSync(folder).find((entry) => /^licen[cs]e/i.test(entry));
  return `${name} ${version} (${license})\n\n${file ? readFileSync(`${folder}/${file}`, 'utf8').trim() : ''}\n`;
});
writeFileSync('dist/THIRD-PARTY-LICENCES.txt', licences.join(`\n${'-'.repeat(80)}\n\n`));

for (const file of ['viewer/index.html', 'viewer/viewer.css', 'text/generated/OFL.txt'])
  if (existsSync(`src/${file}`)) cpSync(`src/${file}`, `dist/${file}`);
chmodSync('dist/cli/juggle.js', 0o755);
writeFileSync('dist/.built', '');
