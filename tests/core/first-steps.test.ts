import { describe, expect, test } from '@jest/globals';
import { readdirSync, readFileSync } from 'node:fs';
import { Run, type Sketch } from 'frame-juggler';

const folder = 'examples/first-steps';
const files = readdirSync(folder).sort();
const pages = readdirSync('docs/first-steps').filter((file) => file.endsWith('.md')).sort(); // prettier-ignore

test('every step has a page that says what its file says, with its picture', () => {
  expect(pages.map((page) => page.replace('.md', '.ts'))).toEqual(files);
  pages.forEach((page, i) => {
    const shown =
      /^# \d+\. (.+)\n\n([^]*?)\n\n```ts\n([^]*?)```\n\n!\[.*\]\((.+)\)\n\n([^]*?)\n\n(?:Next:|What next)/.exec(
        readFileSync(`docs/first-steps/${page}`, 'utf8'),
      );
    const [, title, words, code, picture, tried] = shown!;
    const [, head, rest] = /^\/\*\n([^]*?) \*\/\n([^]*)$/.exec(readFileSync(`${folder}/${files[i]}`, 'utf8'))!;
    const told = head.replaceAll(/^ \* ?/gm, '').replaceAll(/\s+/g, ' ').trim(); // prettier-ignore
    expect(`${title} ${words} ${tried.replace('**Try it:**', 'Try it:')}`).toBe(told);
    expect(code).toBe(rest);
    expect(readFileSync(`docs/first-steps/${picture}`).subarray(1, 4).toString()).toBe('PNG');
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
