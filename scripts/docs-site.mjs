// Puts beside the documentation what its pages run sketches with: the viewer, its worker and the library.
// With --serve it then serves the pages while one writes, otherwise it builds them.
import { execFileSync } from 'node:child_process';
import { cpSync, mkdirSync, rmSync } from 'node:fs';
import path from 'node:path';
import { build } from 'esbuild';

const viewer = 'packages/cli/dist/viewer';
const target = 'docs/public/viewer';

rmSync('docs/public', { recursive: true, force: true });
mkdirSync(target, { recursive: true });
for (const part of ['library', 'worker.js', 'viewer.css']) cpSync(`${viewer}/${part}`, `${target}/${part}`, { recursive: true }); // prettier-ignore
cpSync('docs/.vitepress/playground/frame.html', `${target}/index.html`);
await build({
  entryPoints: ['docs/.vitepress/playground/frame.tsx'],
  outdir: target,
  bundle: true,
  format: 'esm',
  platform: 'browser',
  target: 'es2022',
  minify: true,
  jsx: 'automatic',
  jsxImportSource: 'preact',
  nodePaths: ['packages/cli/node_modules'],
  logLevel: 'warning',
  plugins: [
    {
      name: 'share-the-library',
      setup({ onResolve }) {
        onResolve({ filter: /^frame-juggler(\/browser)?$/ }, ({ path }) => ({
          path: path === 'frame-juggler' ? './library/index.js' : './library/browser.js',
          external: true,
        }));
      },
    },
  ],
});

// What pages link to that is no page.
cpSync('docs/schemas', 'docs/public/schemas', { recursive: true });
// The gallery stands beside the pages.
execFileSync(process.execPath, ['node_modules/vite/bin/vite.js', 'build', 'examples/gallery', '--base', './', '--outDir', path.resolve('docs/public/gallery'), '--logLevel', 'warn'], { stdio: 'inherit' }); // prettier-ignore

const rest = process.argv.slice(2).filter((word) => word !== '--serve');
const vitepress = (command) => execFileSync(process.execPath, ['node_modules/vitepress/bin/vitepress.js', command, 'docs', ...rest], { stdio: 'inherit' }); // prettier-ignore
if (process.argv.includes('--serve')) vitepress('dev');
else vitepress('build');
