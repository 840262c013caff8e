import { afterAll, expect, test } from '@jest/globals';
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { juggle, temporaryFolder } from '../helpers.ts';

/* The commands that the documentation shows are run, word for word, beside a sketch of that name. */

const harbor = `import { defineSketch, swing } from 'frame-juggler';

export default defineSketch({
  title: 'Harbor',
  canvas: { width: 640, height: 360, background: '#f1b64e' },
  frameRate: 10,
  duration: 4,
  repeat: true,
  paint(canvas, { seconds, random }) {
    canvas.circle({ at: [480, 150], radius: 50, fill: '#f6efdf' });
    canvas.rect({ from: [0, 180], to: [640, 360], fill: '#3a8391' });
    for (let i = 0; i < 14; i++) {
      const x = 30 + i * 44;
      canvas.group({ translate: [x, 240 + swing(seconds + i / 3, 2, -8, 8)] }, () => {
        canvas.rect({
          at: [0, 0],
          size: [30, random.between(8, 16)],
          corners: 4,
          fill: '#a8433a',
        });
      });
    }

    canvas.line({ from: [0, 330], to: [640, 330], stroke: { color: '#1b2f3a', width: 8 } });
  },
});
`;
const folder = temporaryFolder({ 'harbor.ts': harbor });
mkdirSync(path.join(folder.path, 'old'));
writeFileSync(path.join(folder.path, 'old/harbor.ts'), harbor.replace("'#a8433a'", "'#24506a'"));
afterAll(folder.remove);

const pages = ['README.md', 'packages/cli/README.md', 'docs/page.md', 'docs/review.md'];
const lines = pages.flatMap((page) =>
  [...readFileSync(page, 'utf8').matchAll(/^```sh\n([^]*?)^```/gm)].flatMap(([, block]) =>
    block.split('\n').map((line) => line.replace(/\s+#.*$/, '')),
  ),
);
// In the text of the first steps too.
for (const page of ['first-steps', 'first-steps/01-a-shape', 'first-steps/10-saving'])
  lines.push(...[...readFileSync(`docs/${page}.md`, 'utf8').matchAll(/`(juggle [^`]+)`/g)].map(([, line]) => line));
// A page that is served stays open until it is ended; that and projects have tests of their own.
const commands = [...new Set(lines.filter((line) => /^juggle (?!play|new)/.test(line)))];

test('the documentation shows commands', () => expect(commands.length).toBeGreaterThan(15));

test.each(commands)('%s', async (command) => {
  const run = (words: string): ReturnType<typeof juggle> => juggle(folder.path, ...words.split(' ').slice(1));
  if (command.includes('kept.png')) await run('juggle render harbor.ts -o kept.png');
  const { code, err } = await run(command);
  // 1 is what checks and comparisons say where they find something.
  const found = /check|old\/|--other/.test(command) ? 1 : 0;
  expect({ err, code: code <= found }).toEqual({ err: expect.not.stringContaining('juggle:'), code: true });
});
