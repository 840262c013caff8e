// Sketches that say in the comment they begin with what they show: the first steps and the recipes are kept like this.
import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { buildSync } from 'esbuild';
import { frameAtRest } from 'frame-juggler';
import { loadSketch, render } from 'frame-juggler/node';

/** The sketches of a folder, in the order of their numbers: title, words (as Markdown) and code of each. */
export function describedSketches(folder) {
  return readdirSync(folder)
    .filter((file) => file.endsWith('.ts'))
    .sort()
    .map((file) => {
      const [, head, code] = /^\/\*\n([\s\S]*?)\n \*\/\n([\s\S]*)$/.exec(readFileSync(`${folder}/${file}`, 'utf8'));
      const [title, ...words] = head.replace(/^ \* ?/gm, '').split('\n\n');
      return { file: `${folder}/${file}`, name: file.replace('.ts', ''), title: title.replaceAll('\n', ' '), words: words.map((paragraph) => paragraph.replaceAll('\n', ' ')).join('\n\n'), code: code.trim() }; // prettier-ignore
    });
}

/** Loads a sketch written in TypeScript; Node does not read that by itself everywhere. */
export async function loadTypedSketch(file) {
  mkdirSync('out', { recursive: true });
  const folder = mkdtempSync('out/compiled-');
  const outfile = `${folder}/${path.basename(file, '.ts')}.mjs`;
  buildSync({
    entryPoints: [file],
    outfile,
    bundle: true,
    format: 'esm',
    packages: 'external',
    tsconfigRaw: {},
    logLevel: 'error',
  });
  try {
    return await loadSketch(outfile);
  } finally {
    rmSync(folder, { recursive: true });
  }
}

/** Makes the picture of a sketch: a frame from its middle, or the one asked for. */
export async function renderSketch(file, to, { frame, density = 1 } = {}) {
  const sketch = await loadTypedSketch(file);
  mkdirSync(path.dirname(to), { recursive: true });
  await render(sketch, { to, density, frame: frame ?? frameAtRest(sketch) });
}

/** A sketch on a page: what it says, its code, its picture. */
export const onPage = ({ title, words, code }, picture) =>
  `## ${title}\n\n${words}\n\n\`\`\`ts\n${code}\n\`\`\`\n\n![${title}](${picture})\n`;
