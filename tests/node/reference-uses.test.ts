import { beforeAll, describe, expect, test } from '@jest/globals';
import { execFileSync } from 'node:child_process';
import { cpSync, mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { build } from 'esbuild';

/*
 * What the reference shows of calls that draw nothing by themselves is done, each by itself, in a folder of its own, by
 * Node and the built library: what needs a page aside.
 */

describe('the uses that the reference shows', () => {
  let found: { readonly done: string[]; readonly failed: string[] };
  beforeAll(async () => {
    mkdirSync('out', { recursive: true });
    // Inside of the project, so that the sketch finds the library.
    const folder = mkdtempSync('out/uses-');
    for (const name of ['uses', 'option-uses'])
      await build({
        entryPoints: [`examples/reference/${name}.ts`],
        outfile: `${folder}/${name}.mjs`,
        format: 'esm',
        bundle: true,
        external: ['node:*', 'frame-juggler', 'frame-juggler/*', 'expect'],
        // Jest's own is only there in its tests.
        alias: { '@jest/globals': 'expect' },
        tsconfigRaw: {},
      });
    for (const file of ['harbor.js', 'do-uses.mjs']) cpSync(`tests/fixtures/${file}`, `${folder}/${file}`);
    execFileSync(process.execPath, ['do-uses.mjs'], { cwd: folder, stdio: 'ignore' });
    found = JSON.parse(readFileSync(`${folder}/found.json`, 'utf8')) as typeof found;
    rmSync(folder, { recursive: true });
  });

  test('can be done as they stand there', () => {
    // Not every machine has an encoder.
    expect(found.failed.filter((one) => !one.includes('needs an encoder'))).toEqual([]);
    expect(found.done.length).toBeGreaterThan(120);
  });
});
