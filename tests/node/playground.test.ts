import { describe, expect, test } from '@jest/globals';
import { readdirSync, readFileSync } from 'node:fs';
import { parse } from 'acorn';
import { callOf } from '../../docs/.vitepress/playground/by-hand.ts';
import { compileSketch } from '../../docs/.vitepress/playground/compile.ts';
import { textEdits, type EditedSketch } from '../../docs/.vitepress/playground/text-edits.ts';
import { callsOf, partsOfCall, type Node } from '../../packages/cli/src/by-hand/call-parts.ts';

/* The playground's own parts, without a page: TypeScript taken out of a sketch, and numbers in it changed by hand. */

const addresses = { 'frame-juggler': '/library.js' };
const run = (source: string): { source: string; code: string } => {
  const compiled = compileSketch(source, addresses);
  if (!('code' in compiled)) throw new Error(compiled.reason);
  return { source, code: compiled.code };
};
/** The place of what is called, as an engine tells it. */
function placeOf({ callee }: Node, code: string): [line: number, column: number] {
  const { property, start } = callee as Node;
  const lines = code.slice(0, ((property as Node | undefined) ?? { start }).start).split('\n');
  return [lines.length, lines.at(-1)!.length + 1];
}

describe('a call of a sketch as it is run', () => {
  test.each(sketchFiles())('is found in the text with its types: %s', (file) => {
    const { source, code } = run(readFileSync(file, 'utf8'));
    const calls = callsOf(parse(code, { ecmaVersion: 'latest', sourceType: 'module' }) as unknown as Node);
    const told = (parts: ReturnType<typeof partsOfCall> | undefined): unknown =>
      parts && { name: parts.name, parts: parts.parts.map(({ path, kind, value }) => ({ path, kind, value })) };
    const ofCanvas = calls.filter((call) => partsOfCall(call, code).name.startsWith('canvas.')).slice(0, 6);
    expect(ofCanvas.length).toBeGreaterThan(0);
    for (const call of ofCanvas)
      expect(told(callOf(source, code, ...placeOf(call, code)))).toEqual(told(partsOfCall(call, code)));
  });
});

/** Sketches in TypeScript, of one file each. */
function sketchFiles(): string[] {
  const folders = [
    'examples/first-steps',
    ...readdirSync('examples/cookbook').map((name) => `examples/cookbook/${name}`),
  ];
  return folders.flatMap((folder) => readdirSync(folder).filter((file) => file.endsWith('.ts')).map((file) => `${folder}/${file}`)); // prettier-ignore
}

describe('changes of a text', () => {
  /** An editor without a page. */
  class Editor implements EditedSketch {
    ran: EditedSketch['ran'];
    constructor(public source: string) {
      this.run();
    }
    change(changes: Parameters<EditedSketch['change']>[0]): void {
      for (const { start, end, text } of [...changes].sort((one, other) => other.start - one.start))
        this.source = this.source.slice(0, start) + text + this.source.slice(end);
    }
    put(source: string): void {
      this.source = source;
    }
    run(source = this.source): void {
      this.ran = run(source);
    }
  }
  const source = "const n: number = 4;\ncanvas.circle({ at: [n as number, 8], radius: 5, fill: 'teal' });\n";
  const circle = { file: 'sketch.ts', line: 2, column: 8 };

  test('are shown, written and taken back; a text that has changed in the meantime is left alone', async () => {
    const editor = new Editor(source);
    const edits = textEdits(editor);
    const facts = (await edits.call(circle))!;
    expect(facts.parts.map(({ path, kind }) => `${path} ${kind}`)).toEqual([
      'at[0] computed',
      'at[1] number',
      'radius number',
      'fill color',
    ]);
    const { start, end } = facts.parts[2];
    const change = { file: facts.file, version: facts.version, changes: [{ start, end, text: '17' }] };
    void edits.tryOut(change);
    expect(editor.source).toBe(source);
    expect(editor.ran?.source).toBe(source.replace('radius: 5', 'radius: 17'));
    // What is shown is not what stands there: its places are none of the text's.
    expect(await edits.call(circle)).toBeNull();
    void edits.change(change);
    expect(editor.source).toBe(source.replace('radius: 5', 'radius: 17'));
    expect((await edits.call(circle))?.undoable).toBe(true);
    expect(() => edits.change(change)).toThrow('changed in the meantime');
    void edits.undo(undefined);
    expect(editor.source).toBe(source);
    expect(() => edits.undo(undefined)).toThrow('changed in the meantime');
  });
});
