import path from 'node:path';
import { describe, expect, test } from '@jest/globals';
import { build } from 'esbuild';

const root = path.resolve('.');

/*
 * What a page's script loads at once, by the strictest of bundlers: esbuild gives it every file that its imports lead to
 * and that anything loaded later needs as well, used or not.
 */
async function loadedAtOnce(code: string): Promise<string[]> {
  const { metafile } = await build({
    stdin: { contents: code, resolveDir: root },
    bundle: true,
    splitting: true,
    format: 'esm',
    tsconfigRaw: {},
    outdir: path.join(root, 'unused'),
    write: false,
    metafile: true,
    logLevel: 'silent',
  });
  const chunks = metafile.outputs;
  const atOnce = new Set(Object.keys(chunks).filter((file) => chunks[file].entryPoint === '<stdin>'));
  for (const file of atOnce)
    for (const { kind, path: to } of chunks[file].imports) if (kind === 'import-statement') atOnce.add(to);
  return [...atOnce].flatMap((file) => Object.entries(chunks[file].inputs).filter(([, { bytesInOutput }]) => bytesInOutput > 0).map(([input]) => input)); // prettier-ignore
}

const heavy = /engine|\/generated\/(regular|bold)|-package|fontkit|layout\.js|decode-picture|table\.js/;

describe('What a page loads at once', () => {
  test('is neither engine nor fonts, nor what reads files, where a sketch is mounted', async () => {
    const files = await loadedAtOnce(`
      import { defineSketch } from 'frame-juggler';
      import { mount } from 'frame-juggler/browser';
      mount(defineSketch({ paint: (canvas) => canvas.circle({ at: [320, 180], radius: 80 }) }), '#stage');`);
    expect(files.some((file) => file.endsWith('canvas/canvas.js'))).toBe(true);
    expect(files.filter((file) => heavy.test(file))).toEqual([]);
  });

  test('has the engine where it is called and cannot be waited for', async () => {
    const files = await loadedAtOnce(`import { rasterize } from 'frame-juggler'; console.log(rasterize);`);
    expect(files.some((file) => file.endsWith('generated/engine.js'))).toBe(true);
  });

  test('has nothing of the canvas where one call of motion is all that is used', async () => {
    const files = await loadedAtOnce(`import { swing } from 'frame-juggler'; console.log(swing(1, 2, 3, 4));`);
    expect(files.filter((file) => heavy.test(file) || /\/(canvas|browser|shapes|sketch)\//.test(file))).toEqual([]);
  });
});
