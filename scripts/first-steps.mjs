// Makes docs/first-steps and docs/first-steps.md, with all pictures, from examples/first-steps, and the picture of docs/how-it-works.md.
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { describedSketches, renderSketch } from './described-sketches.mjs';

/** The frame that shows what a step is about; the first, if none is told. */
const frames = { '07-time': 75, '08-chance': 40, '09-pointer-and-dials': 60, '10-saving': 40 };

const steps = describedSketches('examples/first-steps').map((step, i) => ({ ...step, numbered: `${i + 1}. ${step.title}` })); // prettier-ignore
rmSync('docs/first-steps', { recursive: true, force: true });
mkdirSync('docs/first-steps');
for (const [i, { file, name, numbered, words, code }] of steps.entries()) {
  await renderSketch(file, `docs/first-steps/${name}.png`, { frame: frames[name] ?? 0 });
  // What to try comes last, beneath the picture that it changes.
  const [told, tried] = words.split('\n\nTry it: ');
  const next = steps[i + 1];
  const after =
    next === undefined
      ? 'What next? [The cookbook](../cookbook.md) has a few lines for most things you may want to do, [the guide](../guide.md) covers everything, and [mistakes](../mistakes.md) lists what goes wrong most often.'
      : `Next: [${next.numbered}](${next.name}.md)`;
  writeFileSync(
    `docs/first-steps/${name}.md`,
    `# ${numbered}\n\n${told}\n\n\`\`\`ts\n${code}\n\`\`\`\n\n![${numbered}](${name}.png)\n\n**Try it:** ${tried}\n\n${after}\n`,
  );
}
const inRows = (one) => [steps.slice(0, 5), steps.slice(5)].map((row) => `| ${row.map(one).join(' | ')} |`);
const [pictures, more] = inRows(({ name, title }) => `[![${title}](first-steps/${name}.png)](first-steps/${name}.md)`);
const [titles, moreTitles] = inRows(({ name, numbered }) => `[${numbered}](first-steps/${name}.md)`);
writeFileSync(
  'docs/first-steps.md',
  `# First steps

Ten short pages, from a disc to a harbor that moves. Each adds one thing, shows the whole code with its picture, and ends with something to try.

${pictures}
| --- | --- | --- | --- | --- |
${titles}
${more}
${moreTitles}

## Where to write

- **Here.** Press _Change it_ below any code of these pages on the site: the picture follows as you type.
- **In a file.** Save the code of a step as \`harbor.ts\`, anywhere. \`juggle play harbor.ts\` opens it in a page that follows every save, and \`juggle render harbor.ts -o harbor.png\` makes a picture of it.
- **In a project.** \`juggle new harbor\` makes a folder with a sketch, types for your editor, a test and a page to publish. \`npm install\` and \`npm start\` there, then put the code of a step into its \`sketch.ts\`.

[The README](../README.md#try-it) says how to get the command \`juggle\`.

Begin: [${steps[0].numbered}](first-steps/${steps[0].name}.md)
`,
);
await renderSketch('examples/how-it-works/frame.ts', 'docs/how-it-works/frame.png', { density: 2 });
