import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { execFileSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import * as library from 'frame-juggler';
import { Run, type Sketch } from 'frame-juggler';
import {
  isWholeSketch,
  madeForMistakes,
  sketchOfLines,
  sketchOfMistake,
} from '../../docs/.vitepress/playground/whole-sketch.ts';

/* Every block of TypeScript that the documentation shows: as it stands, or as the page opens it. */

interface Block {
  readonly page: string;
  readonly code: string;
  /** Whether it runs by itself. */
  readonly runs: boolean;
}

/** The recipes and steps are files of their own, and held by their own tests; the reference shows calls too. */
const pages = [
  'README.md',
  'packages/frame-juggler/README.md',
  ...readdirSync('docs').filter((file) => file.endsWith('.md')).map((file) => `docs/${file}`), // prettier-ignore
  ...readdirSync('docs/reference').filter((file) => file.endsWith('.md')).map((file) => `docs/reference/${file}`), // prettier-ignore
].filter((page) => !/first-steps\.md/.test(page));
const made = madeForMistakes(readFileSync('examples/palette.ts', 'utf8'), readFileSync('examples/mistakes/mistakes.ts', 'utf8')); // prettier-ignore
const names = Object.keys(library);
const blocks: Block[] = pages.flatMap((page) =>
  [...readFileSync(page, 'utf8').matchAll(/^```ts(.*)\n([^]*?)^```$/gm)].flatMap(([, info, content]) => {
    if (info.includes('example')) return [{ page, code: sketchOfLines(content.trimEnd(), info, names), runs: true }];
    if (page.startsWith('docs/reference/')) return [];
    // Of some of the mistakes nothing comes.
    if (page === 'docs/mistakes.md') return [{ page, code: sketchOfMistake(content, made, names), runs: false }];
    return [{ page, code: content, runs: isWholeSketch(content) }];
  }),
);

mkdirSync('out', { recursive: true });
const folder = mkdtempSync('out/docs-code-');
const nameOf = (place: number): string => `${folder}/block-${place}.ts`;
beforeAll(() => {
  writeFileSync(`${folder}/harbor.ts`, "import { defineSketch } from 'frame-juggler';\nexport default defineSketch({ dials: {}, paint() {} });\n"); // prettier-ignore
  blocks.forEach(({ code }, place) => writeFileSync(nameOf(place), code.replaceAll("'./harbor'", "'./harbor.ts'")));
  // Against the declarations that a user has.
  writeFileSync(`${folder}/tsconfig.json`, JSON.stringify({ extends: '../../tsconfig.json', compilerOptions: { noUnusedLocals: false, noUnusedParameters: false, paths: {} }, include: ['*.ts'], exclude: [] })); // prettier-ignore
});
afterAll(() => rmSync(folder, { recursive: true }));

test('the type checker has nothing against any of it', () => {
  let said = '';
  try {
    execFileSync(process.execPath, ['node_modules/typescript/bin/tsc', '-p', folder, '--noEmit'], { encoding: 'utf8' });
  } catch (error) {
    said = (error as { stdout: string }).stdout;
  }
  // With the page's name in place of the file's.
  const faults = said.replaceAll(/\S*block-(\d+)\.ts/g, (_, place: string) => blocks[Number(place)].page);
  expect(faults).toBe('');
}, 60_000);

describe('what runs by itself draws its first frame', () => {
  const running = blocks.map((block, place) => ({ ...block, place })).filter(({ runs }) => runs);
  test('which is most of it', () => expect(running.length).toBeGreaterThan(75));
  test.each(running.map(({ page, place }) => [page, place] as const))('%s, block %i', async (_, place) => {
    const { default: sketch } = (await import(path.resolve(nameOf(place)))) as { default: Sketch };
    const run = new Run(sketch);
    await run.goTo(Math.min(30, sketch.frames - 1));
    await expect(run.paint()).resolves.toBeDefined();
  });
});
