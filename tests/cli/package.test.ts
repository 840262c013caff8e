import { afterAll, expect, test } from '@jest/globals';
import { execFileSync } from 'node:child_process';
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { temporaryFolder } from '../helpers.ts';

const buoy = `import { defineSketch } from 'frame-juggler';
import { mount } from 'frame-juggler/browser';
import { loadSketch } from 'frame-juggler/node';

export const others = [mount, loadSketch];
export default defineSketch({
  start: ({ random }) => ({ x: random.between(10, 90) }),
  step: (state, { delta }) => void (state.x += delta),
  paint(canvas, { width }, state) {
    canvas.circle({ at: [state.x, width / 2], radius: 20, fill: 'crimson' });
    // @ts-expect-error a misspelled option is seen while typing
    if (width < 0) canvas.circle({ at: [0, 0], raduis: 3 });
    // @ts-expect-error a radius and a diameter exclude each other
    if (width < 0) canvas.circle({ at: [0, 0], radius: 3, diameter: 6 });
    // @ts-expect-error a box is told one way
    if (width < 0) canvas.rect({ at: [0, 0], from: [0, 0], to: [9, 9] });
  },
});
`;
const folder = temporaryFolder({
  'package.json': '{ "name": "somewhere", "private": true, "type": "module" }',
  'buoy.ts': buoy,
});
afterAll(folder.remove);
const inFolder = (command: string, ...args: string[]): string =>
  execFileSync(command, args, { cwd: folder.path, encoding: 'utf8', stdio: ['ignore', 'pipe', 'pipe'] });
/** Packs a package of the workspace into the folder. */
const pack = (name: string): string => {
  execFileSync('npm', ['pack', '--ignore-scripts', '--pack-destination', folder.path], { cwd: `packages/${name}`, stdio: 'ignore' }); // prettier-ignore
  return readdirSync(folder.path).find((file) => file.endsWith('.tgz') && file.includes('cli') === (name === 'cli'))!;
};
const install = (...what: string[]): string =>
  inFolder('npm', 'install', '--no-audit', '--no-fund', '--prefer-offline', ...what);
const folderSize = (name: string): number =>
  Number(/^\d+/.exec(execFileSync('du', ['-sb', path.join(folder.path, name)], { encoding: 'utf8' }))![0]);

test('the library works where it is installed alone: its size, its entry points, its types, and required', () => {
  install(`./${pack('frame-juggler')}`);
  expect(folderSize('node_modules')).toBeLessThan(12e6);
  writeFileSync(path.join(folder.path, 'use.mjs'), "import * as all from 'frame-juggler';\nconsole.log(typeof all.rasterize);\n"); // prettier-ignore
  writeFileSync(path.join(folder.path, 'use.cjs'), "console.log(typeof require('frame-juggler').rasterize);\n");
  expect(inFolder(process.execPath, 'use.mjs')).toBe('function\n');
  expect(inFolder(process.execPath, '--no-warnings', 'use.cjs')).toBe('function\n');
  const compiler = path.resolve('node_modules/typescript/bin/tsc');
  for (const [module, moduleResolution] of [
    ['nodenext', 'nodenext'],
    ['node16', 'node16'],
    ['esnext', 'bundler'],
  ]) {
    // prettier-ignore
    const compilerOptions = { strict: true, module, moduleResolution, target: 'es2022', lib: ['es2022', 'dom'], types: [], noEmit: true }; // prettier-ignore
    writeFileSync(path.join(folder.path, 'tsconfig.json'), JSON.stringify({ compilerOptions, files: ['buoy.ts'] }));
    // The declarations are whole: nothing of them is skipped.
    inFolder(process.execPath, compiler, '-p', '.');
  }
  const map = JSON.parse(readFileSync(path.join(folder.path, 'node_modules/frame-juggler/dist/index.d.ts.map'), 'utf8')) as { sources: string[] }; // prettier-ignore
  expect(existsSync(path.join(folder.path, 'node_modules/frame-juggler/dist', map.sources[0]))).toBe(true);
});

test('the command works where it is installed: it renders, and has its demo', () => {
  install(`./${pack('cli')}`);
  expect(inFolder('npx', '--no-install', 'juggle', 'render', 'buoy.ts', '-o', 'buoy.png')).toMatch(/^Wrote buoy\.png/);
  expect(existsSync(path.join(folder.path, 'buoy.png'))).toBe(true);
  expect(inFolder('npx', '--no-install', 'juggle', 'demo')).toMatch(/^Wrote out\/pellan-quay\.png/);
  // What was installed is named by its version.
  expect(inFolder('npx', '--no-install', 'juggle', 'new', 'quay', '--page')).toMatch(/^Made quay/);
  const { dependencies, devDependencies } = JSON.parse(readFileSync(path.join(folder.path, 'quay/package.json'), 'utf8')) as Record<string, Record<string, string>>; // prettier-ignore
  for (const version of Object.values({ ...dependencies, ...devDependencies }))
    expect(version).toMatch(/^\d+\.\d+\.\d+$/);
});
