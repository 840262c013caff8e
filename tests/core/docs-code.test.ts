import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { execFileSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import * as library from 'frame-juggler';
import { Run, type Sketch } from 'frame-juggler';
import {
  isWholeSketch,
  madeForMistakes,
  madeForOptions,
  sketchOfLines,
  sketchOfMistake,
  sketchOfOption,
} from '../../docs/.vitepress/playground/whole-sketch.ts';

// @ts-expect-error a script without types
const { readOptionExamples } = (await import('../../scripts/reference/read-examples.mjs')) as {
  readOptionExamples: () => Map<string, Map<string, { readonly lines: string[]; readonly isDrawn: boolean }>>;
};

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
];
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

// What each option does: the playground opens it.
const shared = madeForOptions(readFileSync('examples/reference/options.ts', 'utf8'));
for (const [thing, options] of readOptionExamples())
  for (const [option, { lines, isDrawn }] of options)
    if (isDrawn) blocks.push({ page: `${thing}.${option}`, code: sketchOfOption(lines.join('\n'), shared, names), runs: true }); // prettier-ignore

/** Lines for people who write JavaScript; of Svelte's its script. */
const scripts = pages.flatMap((page) =>
  [...readFileSync(page, 'utf8').matchAll(/^```(jsx?|svelte)\n([^]*?)^```$/gm)].map(([, language, content]) => ({
    page,
    extension: language === 'jsx' ? 'jsx' : 'js',
    code: language === 'svelte' ? /<script>([^]*?)<\/script>/.exec(content)![1] : content,
  })),
);

mkdirSync('out', { recursive: true });
const folder = mkdtempSync('out/docs-code-');
const nameOf = (place: number): string => `${folder}/block-${place}.ts`;
beforeAll(() => {
  writeFileSync(`${folder}/harbor.ts`, "import { defineSketch, dial } from 'frame-juggler';\nexport default defineSketch({ dials: { swell: dial.number(8) }, paint() {} });\n"); // prettier-ignore
  // What Jest has without an import.
  writeFileSync(`${folder}/jest.d.ts`, 'declare function test(name: string, body: () => Promise<void>): void;\n');
  blocks.forEach(({ code }, place) => writeFileSync(nameOf(place), withHarbor(code)));
  scripts.forEach(({ code, extension }, place) => writeFileSync(`${folder}/script-${place}.${extension}`, withHarbor(code))); // prettier-ignore
});
afterAll(() => rmSync(folder, { recursive: true }));
const withHarbor = (code: string): string => code.replaceAll(/'\.\/harbor(\.m?js)?'/g, "'./harbor.ts'");

/** What the type checker has against files, with their pages' names in place of their own. */
function faults(name: string, include: readonly string[], compilerOptions: object): string {
  // Against the declarations that a user has.
  writeFileSync(`${folder}/${name}.json`, JSON.stringify({ extends: '../../tsconfig.json', compilerOptions: { noUnusedLocals: false, noUnusedParameters: false, paths: {}, ...compilerOptions }, include, exclude: [] })); // prettier-ignore
  try {
    execFileSync(process.execPath, ['node_modules/typescript/bin/tsc', '-p', `${folder}/${name}.json`, '--noEmit']);
    return '';
  } catch (error) {
    return String((error as { stdout: Buffer }).stdout)
      .replaceAll(/\S*block-(\d+)\.ts/g, (_, place: string) => blocks[Number(place)].page)
      .replaceAll(/\S*script-(\d+)\.jsx?/g, (_, place: string) => scripts[Number(place)].page);
  }
}

test('the type checker has nothing against any of it', () => {
  expect(faults('typed', ['block-*.ts'], {})).toBe('');
});

test('nor against the lines of JavaScript, for pages, React, Vue and Svelte', () => {
  expect(scripts.length).toBeGreaterThan(6);
  const loose = { allowJs: true, checkJs: true, strict: false, isolatedModules: false, jsxImportSource: 'react', types: ['node', 'svelte'] }; // prettier-ignore
  expect(faults('loose', ['script-*', 'jest.d.ts'], loose)).toBe('');
});

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
