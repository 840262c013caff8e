import { describe, expect, test } from '@jest/globals';
import { mkdtempSync, readFileSync, rmSync, statSync, chmodSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { parseAst } from 'rolldown/parseAst';
import { callAt, partsOfCall, type Node } from '../../packages/cli/src/by-hand/call-parts.ts';
import { Edits } from '../../packages/cli/src/by-hand/edits.ts';

const parts = (code: string, line = 1, column?: number) => {
  const at = column ?? code.split('\n')[line - 1].indexOf('.') + 2;
  const call = callAt(parseAst(code, { lang: 'ts' }) as unknown as Node, code, line, at);
  return call && partsOfCall(call, code).parts.map(({ path: way, kind, written }) => `${way} ${kind} ${written}`);
};

describe('what a call is given', () => {
  test('is told by its way, literals apart from what is computed', () => {
    expect(parts("canvas.rect({ at: [100, -8.5], size: w * 2, fill: 'teal', corners: 4 as number, label: 'post', ...more });")).toEqual([
      'at[0] number 100', 'at[1] number -8.5', 'size computed w * 2', 'fill color \'teal\'', 'corners number 4', "label text 'post'", '… computed more',
    ]);
    expect(parts("canvas.text('Pier', { at: { x: 3, y }, stroke: { width: 2, color: rgb(10, g, 30) } });")).toEqual([
      "1 text 'Pier'", 'at.x number 3', 'at.y computed y', 'stroke.width number 2', 'stroke.color.rgb 1 number 10', 'stroke.color.rgb 2 computed g', 'stroke.color.rgb 3 number 30',
    ]);
    expect(parts('canvas.group({ rotate: 30, clip: (region) => region.dot({ at: [1, 2] }) }, () => { canvas.dot({ at: [5, 6] }); });')).toEqual(['rotate number 30']);
  }); // prettier-ignore

  test('is told whatever the type checker is told of it', () => {
    const told = ['at[0] number 1', 'at[1] number 2', 'size computed w'];
    expect(parts('canvas.rect({ at: [1 as number, (2)] as const, size: (w!) } satisfies Rect as Rect);')).toEqual(told);
  });

  test('is that of the call that stands there, however they are nested', () => {
    const code =
      'canvas.group({ rotate: 30 }, () => {\n  canvas.dot({ at: [5, 6] }); canvas.dot({ at: [7, at(8)] });\n});';
    expect(parts(code, 2, 10)).toEqual(['at[0] number 5', 'at[1] number 6']);
    expect(parts(code, 2, 38)).toEqual(['at[0] number 7', 'at[1].at 1 number 8']);
    expect(parts('const x = 1;', 1, 3)).toBeUndefined();
  });
});

test('edits change those places only, keep the mode, refuse what has changed, and are taken back', async () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'juggle-test-'));
  const file = path.join(folder, 'pier.ts');
  const first = "canvas.dot({ at: [5, 6], fill: 'red' });\r\n";
  writeFileSync(file, first);
  chmodSync(file, 0o640);
  const edits = new Edits();
  const facts = (await edits.describe(file, 1, 8))!;
  const change = { file, version: facts.version, changes: facts.parts.slice(0, 2).map(({ start, end }, i) => ({ start, end, text: String(-70 - i) })) };
  const changed = "canvas.dot({ at: [-70, -71], fill: 'red' });\r\n";
  await edits.show(change);
  expect([edits.preview(file), readFileSync(file, 'utf8')]).toEqual([changed, first]);
  await edits.write(change);
  expect([edits.preview(file), readFileSync(file, 'utf8'), statSync(file).mode & 0o777]).toEqual([undefined, changed, 0o640]);
  await expect(edits.write(change)).rejects.toThrow('pier.ts has changed in the meantime: nothing was written');
  writeFileSync(file, `${changed}// more`);
  await expect(edits.undo()).rejects.toThrow('has changed in the meantime');
  writeFileSync(file, changed);
  await edits.undo();
  expect(readFileSync(file, 'utf8')).toBe(first);
  await expect(edits.undo()).rejects.toThrow('nothing was changed by hand');
  rmSync(folder, { recursive: true });
}); // prettier-ignore
