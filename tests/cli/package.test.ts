import { afterAll, expect, test } from '@jest/globals';
import { execFileSync } from 'node:child_process';
import { existsSync, readdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { temporaryFolder } from '../helpers.ts';

const folder = temporaryFolder({
  'package.json': '{ "name": "somewhere", "private": true, "type": "module" }',
  'tsconfig.json': JSON.stringify({
    compilerOptions: {
      strict: true,
      module: 'nodenext',
      target: 'es2022',
      lib: ['es2022', 'dom'],
      types: [],
      noEmit: true,
    },
    files: ['buoy.ts'],
  }),
  'buoy.ts': `import { defineSketch } from 'frame-juggler';
import { mount } from 'frame-juggler/browser';
import { loadSketch } from 'frame-juggler/node';

export const others = [mount, loadSketch];
export default defineSketch({
  start: ({ random }) => ({ x: random.between(10, 90) }),
  step: (state, { delta }) => void (state.x += delta),
  paint(canvas, { width }, state) {
    canvas.circle({ at: [state.x, width / 2], radius: 20, fill: 'crimson' });
    // @ts-expect-error a misspelt option is seen while typing
    if (width < 0) canvas.circle({ at: [0, 0], raduis: 3 });
  },
});
`,
});
afterAll(folder.remove);
const inFolder = (command: string, ...args: string[]): string =>
  execFileSync(command, args, { cwd: folder.path, encoding: 'utf8', stdio: ['ignore', 'pipe', 'pipe'] });

test('the package works where it is installed: its bin, its entry points and its types', () => {
  execFileSync('npm', ['pack', '--ignore-scripts', '--pack-destination', folder.path], { stdio: 'ignore' });
  const [tarball] = readdirSync(folder.path).filter((name) => name.endsWith('.tgz'));
  inFolder('npm', 'install', '--no-audit', '--no-fund', '--prefer-offline', `./${tarball}`);
  expect(inFolder('npx', '--no-install', 'juggle', 'render', 'buoy.ts', '-o', 'buoy.png')).toMatch(/^Wrote buoy\.png/);
  expect(existsSync(path.join(folder.path, 'buoy.png'))).toBe(true);
  expect(inFolder('npx', '--no-install', 'juggle', 'demo')).toMatch(/^Wrote out\/pellan-quay\.png/);
  // The declarations are whole: nothing of them is skipped.
  inFolder(process.execPath, path.resolve('node_modules/typescript/bin/tsc'), '-p', '.');
  writeFileSync(
    path.join(folder.path, 'use.mjs'),
    "import * as all from 'frame-juggler';\nconsole.log(typeof all.rasterize);\n",
  );
  expect(inFolder(process.execPath, 'use.mjs')).toBe('function\n');
}, 120_000);
