import { execFileSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll, describe, expect, test } from '@jest/globals';
// As a test of someone's own has it.
import { defineSketch, titledAfter } from 'frame-juggler';
import { loadSketch } from 'frame-juggler/node';

const folder = mkdtempSync(path.join(tmpdir(), 'juggle-load-'));
afterAll(() => rmSync(folder, { recursive: true }));

describe('loadSketch', () => {
  test('loads a sketch in Jest, once, and leaves the process as it was', async () => {
    const state = (): unknown[] => [process.eventNames(), process.execArgv, Error.prepareStackTrace];
    const before = state();
    const sketch = await loadSketch('examples/rain/rain.ts');
    expect(sketch.title).toBe('Rain and gulls');
    expect(await loadSketch('examples/rain/rain.ts')).toBe(sketch);
    expect(state()).toEqual(before);
  });

  // In a Node of its own, as Jest reads no file twice.
  test('reads a file again once it has changed, and not before', () => {
    const code = `
      import { utimesSync, writeFileSync } from 'node:fs';
      import { loadSketch } from 'frame-juggler/node';
      const file = process.argv[1];
      const load = async (title, changed) => {
        writeFileSync(file, \`import { defineSketch } from \${JSON.stringify(import.meta.resolve('frame-juggler'))};
          export default defineSketch({ title: '\${title}', paint() {} });\`);
        utimesSync(file, changed, changed);
        return loadSketch(file);
      };
      const [first, same] = [await load('dawn', 1000), await loadSketch(file)];
      const [second, again] = [await load('dusk', 2000), await loadSketch(file)];
      console.log(first.title, first === same, second.title, second === again);`;
    const file = path.join(folder, 'pier.mjs');
    const out = execFileSync(process.execPath, ['--input-type=module', '-e', code, file], { encoding: 'utf8' });
    expect(out).toBe('dawn true dusk true\n');
  });

  test('calls a sketch without a title after its file, and it stays the same sketch', async () => {
    const sketch = await loadSketch('examples/cookbook/loops/05-bunting.ts');
    expect(sketch.title).toBe('05 bunting');
    expect(await loadSketch('examples/cookbook/loops/05-bunting.ts')).toBe(sketch);
    const buoy = defineSketch({ paint() {} });
    const titles = ['https://quay.example/a.b/mooringBuoy_2.js?v=3#x', './?', 'C:\\quay\\.ts'].map((file) => titledAfter(buoy, file).title);
    expect(titles).toEqual(['Mooring buoy 2', 'Untitled sketch', 'Untitled sketch']);
    expect(titledAfter(defineSketch({ title: 'Rain', paint() {} }), 'gulls.ts').title).toBe('Rain');
  }); // prettier-ignore

  test('says what is wrong with a file', async () => {
    await expect(loadSketch(path.join(folder, 'none.ts'))).rejects.toThrow(/none\.ts is not there/);
    const quay = path.join(folder, 'quay');
    const sketch = "import { defineSketch } from 'frame-juggler';\nexport default defineSketch({ paint() {} });\n";
    mkdirSync(quay);
    const folderError = (): Promise<unknown> =>
      loadSketch(quay).catch(({ reason }: { reason: string }) => reason.replaceAll(folder, ''));
    expect(await folderError()).toBe('/quay is a folder; expected the path of a sketch file');
    for (const name of ['tools.ts', 'notes.txt']) writeFileSync(path.join(quay, name), '');
    writeFileSync(path.join(quay, 'harbor.ts'), sketch);
    expect(await folderError()).toBe('/quay is a folder; did you mean /quay/harbor.ts?');
    writeFileSync(path.join(quay, 'gulls.js'), sketch);
    expect(await folderError()).toBe('/quay is a folder; expected one of /quay/gulls.js, /quay/harbor.ts');
    for (let i = 0; i < 7; i++) writeFileSync(path.join(quay, `buoy${i}.mjs`), sketch);
    expect(await folderError()).toMatch(/^\/quay is a folder; expected one of (\/quay\/[\w.]+, ){8}…$/);
    const without = (name: string): Promise<unknown> =>
      loadSketch(path.join(quay, 'gulls.js'), () => Promise.reject(new Error(`Cannot find package '${name}' imported from gulls.js`))); // prettier-ignore
    await expect(without('frame-juggler')).rejects.toThrow('gulls.js imports frame-juggler, which is not there; expected it to be installed there: npm install frame-juggler'); // prettier-ignore
    await expect(without('frame-jugler')).rejects.toThrow('did you mean frame-juggler?');
    await expect(without('tide-tables')).rejects.toThrow(/imports tide-tables, which is not there \(/);
    writeFileSync(path.join(folder, 'empty.mjs'), 'export const title = 3;\n');
    await expect(loadSketch(path.join(folder, 'empty.mjs'))).rejects.toThrow(/empty\.mjs has no default export/);
  });
});
