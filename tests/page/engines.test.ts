import { expect, test } from '@jest/globals';
import { build } from 'esbuild';
import { execFileSync } from 'node:child_process';
import type * as Digests from '../fixtures/engine-digests.ts';
import { launch } from './browser.ts';

/** One script for both engines, which leaves all digests as text in `globalThis.digests`. */
async function script(): Promise<string> {
  const { outputFiles } = await build({
    stdin: {
      contents: `import * as it from './engine-digests.ts';
        globalThis.digests = (async () => JSON.stringify({
          helpers: it.helperDigests(100_000), text: await it.textDigest(), sketches: await it.sketchDigests() }))();`,
      resolveDir: 'tests/fixtures',
      loader: 'ts',
    },
    bundle: true,
    write: false,
    format: 'iife',
    define: { 'import.meta.url': '"https://pellan.quay/"', global: 'globalThis' },
  });
  return outputFiles[0].text;
}

interface All {
  readonly helpers: ReturnType<typeof Digests.helperDigests>;
  readonly text: string;
  readonly sketches: readonly string[];
}

test('100,000 values of every helper, text, and 300 random sketches have the same bits in Node and in Chromium', async () => {
  const code = await script();
  const browser = await launch();
  const page = await browser.newPage();
  await page.addScriptTag({ content: code });
  const inPage = await page.evaluate('globalThis.digests');
  await browser.close();
  const inNode = execFileSync(process.execPath, ['--input-type=module', '-'], {
    input: `${code};console.log(await digests)`,
    maxBuffer: 2 ** 26,
  });
  const [node, chromium] = [inNode, inPage].map((text) => JSON.parse(String(text)) as All);
  expect(chromium).toEqual(node);
  expect(Object.keys(node.helpers).length).toBeGreaterThan(35);
  expect(new Set(node.sketches).size).toBe(300);
}, 600_000);
