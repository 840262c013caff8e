// Makes docs/first-steps.md and its pictures from examples/first-steps: each file begins with what its step says.
import { execFileSync } from 'node:child_process';
import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';

const folder = 'examples/first-steps';
/** The frame that shows what a step is about; the first, if none is told. */
const frames = { '07-time': 75, '08-chance': 40, '09-pointer-and-dials': 60, '10-saving': 40 };

export const steps = readdirSync(folder)
  .sort()
  .map((file) => {
    const [, head, code] = /^\/\*\n([\s\S]*?)\n \*\/\n([\s\S]*)$/.exec(readFileSync(`${folder}/${file}`, 'utf8'));
    const [title, ...words] = head.replace(/^ \* ?/gm, '').split('\n\n');
    return { name: file.replace('.ts', ''), title, words: words.join('\n\n').replaceAll('\n', ' '), code: code.trim() };
  });

mkdirSync('docs/first-steps', { recursive: true });
for (const { name } of steps)
  execFileSync(process.execPath, ['packages/cli/dist/juggle.js', 'render', `${folder}/${name}.ts`, '-o', `docs/first-steps/${name}.png`, '--frame', String(frames[name] ?? 0), '--quiet']); // prettier-ignore

const blocks = steps.map(
  ({ name, title, words, code }, i) =>
    `## ${i + 1}. ${title}\n\n${words}\n\n\`\`\`ts\n${code}\n\`\`\`\n\n![What step ${i + 1} draws](first-steps/${name}.png)\n`,
);
writeFileSync(
  'docs/first-steps.md',
  `# First steps

Ten short steps from a disc to a harbor that moves. \`juggle new harbor\` makes a folder in which each of them can be put in place of \`sketch.ts\`; or save it as
\`harbor.ts\` anywhere, and see it with \`juggle play harbor.ts\`, which follows every save.

${blocks.join('\n')}
What next? [The cookbook](cookbook.md) has a few lines for most needs, [the guide](guide.md) tells all of it, and [mistakes](mistakes.md) what goes wrong most.
`,
);
