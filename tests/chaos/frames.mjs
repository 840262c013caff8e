// The same sketch must give the same frames: alone and in a run, whichever comes first, in one thread and in several, here and in a page.
import { spawnSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { build } from 'esbuild';
import { loadFonts } from 'frame-juggler';
import { chromium } from 'playwright-core';
import { driftDigests, driftFile } from './drift.mjs';

const command = path.resolve('packages/cli/dist/juggle.js');
const drift = path.resolve('tests/chaos/drift.mjs');
let browser;
let page;

/** A page with the same code, opened once. */
async function openPage() {
  const contents = `import { loadFonts } from 'frame-juggler';
    import { driftDigests } from ${JSON.stringify(drift)};
    globalThis.driftDigests = async (...what) => (await loadFonts(), driftDigests(...what));`;
  const { outputFiles } = await build({
    stdin: { contents, resolveDir: '.' },
    bundle: true,
    write: false,
    format: 'iife',
    define: { 'import.meta.url': '"https://pellan.quay/"' },
  });
  browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
  const opened = await browser.newPage();
  await opened.addScriptTag({ content: outputFiles[0].text });
  return opened;
}

export async function closePage() {
  await browser?.close();
}

function same(what, expected, found) {
  for (const [frame, digest] of Object.entries(expected))
    if (found[frame] !== digest) throw new Error(`frame ${frame} differs ${what}`);
}

export const frames = {
  async seeks({ random }) {
    await loadFonts();
    const seed = random.int(0, 1e6);
    const wanted = random.times(6, () => random.int(0, 120));
    const expected = await driftDigests(
      seed,
      [...wanted].sort((a, b) => a - b),
    );
    same('out of order', expected, await driftDigests(seed, random.shuffle(wanted)));
    for (const frame of wanted.slice(0, 2)) same('alone', await driftDigests(seed, [frame]), expected);
  },
  async engines({ random }) {
    await loadFonts();
    page ??= await openPage();
    const seed = random.int(0, 1e6);
    const wanted = [0, 1, random.int(2, 60), random.int(60, 200)];
    const here = await driftDigests(seed, wanted);
    same(
      'in a page',
      here,
      await page.evaluate(([seed, wanted]) => globalThis.driftDigests(seed, wanted), [seed, wanted]),
    );
  },
  threads({ random, folder }) {
    writeFileSync(path.join(folder, 'sketch.mjs'), driftFile(random.int(0, 1e6), drift));
    const first = random.int(0, 40);
    const output = random.pick(['a.gif', 'a.apng', 'a.y4m']);
    const render = (name, workers) => {
      const args = [
        command,
        'render',
        'sketch.mjs',
        '-o',
        name,
        '--frames',
        `${first}..${first + 12}`,
        '--threads',
        workers,
        '-q',
      ];
      const { status, stderr } = spawnSync(process.execPath, args, { cwd: folder, encoding: 'utf8' });
      if (status !== 0) throw new Error(`${args.join(' ')}: ${stderr}`);
      return readFileSync(path.join(folder, name));
    };
    if (!render(`one-${output}`, '1').equals(render(`two-${output}`, String(random.int(2, 4)))))
      throw new Error(`${output} differs by the number of threads`);
  },
};
