import { describe, expect, test } from '@jest/globals';
import { readdirSync, readFileSync } from 'node:fs';
import { Run, type Sketch } from 'frame-juggler';

const folder = 'examples/first-steps';
const files = readdirSync(folder).sort();
const guide = readFileSync('docs/first-steps.md', 'utf8');
const blocks = [...guide.matchAll(/^## \d+\. (.+)\n\n([^]*?)\n\n```ts\n([^]*?)```\n\n!\[.*\]\((.+)\)$/gm)];

test('every step stands in the guide as its file has it, with its picture', () => {
  expect(blocks).toHaveLength(files.length);
  blocks.forEach(([, title, words, code, picture], i) => {
    const [, head, rest] = /^\/\*\n([^]*?) \*\/\n([^]*)$/.exec(readFileSync(`${folder}/${files[i]}`, 'utf8'))!;
    const [first, ...told] = head
      .replace(/^ \* ?/gm, '')
      .trim()
      .split('\n\n');
    expect([title, words.replaceAll(/\s+/g, ' '), code]).toEqual([first, told.join(' ').replaceAll(/\s+/g, ' '), rest]);
    expect(readFileSync(`docs/${picture}`).subarray(1, 4).toString()).toBe('PNG');
  });
});

describe('the first steps', () => {
  test.each(files)('%s draws something, in every frame', async (file) => {
    const { default: sketch } = (await import(`../../${folder}/${file}`)) as { default: Sketch };
    const run = new Run(sketch);
    for (const frame of [0, 1, 40]) {
      await run.goTo(frame);
      expect((await run.paint()).columns.shape.length).toBeGreaterThan(0);
    }
  });
});
