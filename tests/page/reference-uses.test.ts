import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import type { Server } from 'node:http';
import path from 'node:path';
import { build, type BuildOptions, type Plugin } from 'esbuild';
import type { Browser, Page } from 'playwright-core';
import { launch, serveFolder } from './browser.ts';

/* What the reference shows for pages is done, each by itself, in Chromium. */

const main = `import harbor from '../../tests/fixtures/harbor.js';
import { uses } from '../../examples/reference/uses.ts';
import { optionUses } from '../../examples/reference/option-uses.ts';
globalThis.harbor = harbor;
const ofMount = Object.entries(optionUses.mount).map(([option, use]) => ['mount.' + option, use]);
globalThis.uses = Object.fromEntries([...Object.entries(uses), ...ofMount]);
`;
const inPages = ['LiveClock', 'mount', 'mountWorker', 'Player', 'Canvas2dSurface', 'ExactSurface', 'PageInput', 'SketchElement', 'pageHost']; // prettier-ignore

/** What only Node and tests have is not there in a page. */
const withoutNode: Plugin = {
  name: 'without-node',
  setup({ onResolve, onLoad }) {
    onResolve({ filter: /^(node:.*|frame-juggler\/(node|testing)|@jest\/globals)$/ }, ({ path: name }) => ({
      path: name,
      namespace: 'absent',
    }));
    onLoad({ filter: /.*/, namespace: 'absent' }, () => ({ contents: 'module.exports = {}' }));
  },
};

let browser: Browser;
let page: Page;
let server: Server;
let folder: string;
beforeAll(async () => {
  mkdirSync('out', { recursive: true });
  folder = mkdtempSync('out/page-uses-');
  writeFileSync(`${folder}/main.js`, main);
  writeFileSync(`${folder}/worker.js`, "import { perform } from 'frame-juggler/worker';\nimport harbor from '../../tests/fixtures/harbor.js';\nperform(harbor);\n"); // prettier-ignore
  writeFileSync(`${folder}/index.html`, '<!doctype html><title>Uses</title><main></main><script type="module" src="./built.js"></script>'); // prettier-ignore
  const common: BuildOptions = {
    bundle: true,
    logLevel: 'error',
    format: 'esm',
    tsconfigRaw: {},
    plugins: [withoutNode],
  };
  await build({ ...common, entryPoints: [`${folder}/main.js`], outfile: `${folder}/built.js` });
  await build({ ...common, entryPoints: [`${folder}/worker.js`], outfile: `${folder}/harbor.worker.js` });
  browser = await launch();
  page = await browser.newPage();
  const served = await serveFolder(path.resolve(folder));
  ({ server } = served);
  await page.goto(`${served.address}/index.html`);
  await page.waitForFunction(() => 'uses' in globalThis);
});
afterAll(async () => {
  await browser.close();
  server.close();
  rmSync(folder, { recursive: true });
});

interface Here {
  readonly uses: Readonly<Record<string, () => unknown>>;
}
const ofMount = (): Promise<string[]> =>
  page.evaluate(() => Object.keys((globalThis as unknown as Here).uses).filter((name) => name.startsWith('mount.')));

test('what the reference shows for pages can be done as it stands there', async () => {
  const names = [...inPages, ...(await ofMount())];
  expect(names.length).toBeGreaterThan(20);
  const failed = await page.evaluate(async (all) => {
    const said: string[] = [];
    for (const name of all) {
      document.querySelector('main')!.innerHTML =
        '<div id="stage"></div><canvas></canvas><juggle-sketch></juggle-sketch>';
      const noted = (event: ErrorEvent | PromiseRejectionEvent): void =>
        void said.push(`${name}: ${'reason' in event ? String(event.reason) : event.message}`);
      addEventListener('error', noted);
      addEventListener('unhandledrejection', noted);
      try {
        await (globalThis as unknown as Here).uses[name]();
      } catch (error) {
        said.push(`${name}: ${String(error)}`);
      }
      await new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve)));
      removeEventListener('error', noted);
      removeEventListener('unhandledrejection', noted);
    }
    return said;
  }, names);
  expect(failed).toEqual([]);
});
