// Makes docs/first-steps.md and its pictures from examples/first-steps, and the picture of docs/how-it-works.md.
import { writeFileSync } from 'node:fs';
import { describedSketches, onPage, renderSketch } from './described-sketches.mjs';

/** The frame that shows what a step is about; the first, if none is told. */
const frames = { '07-time': 75, '08-chance': 40, '09-pointer-and-dials': 60, '10-saving': 40 };

const steps = describedSketches('examples/first-steps');
const blocks = [];
for (const [i, step] of steps.entries()) {
  await renderSketch(step.file, `docs/first-steps/${step.name}.png`, { frame: frames[step.name] ?? 0 });
  blocks.push(onPage({ ...step, title: `${i + 1}. ${step.title}` }, `first-steps/${step.name}.png`));
}
writeFileSync(
  'docs/first-steps.md',
  `# First steps

Ten short steps from a disc to a harbor that moves. \`juggle new harbor\` makes a folder in which each of them can be put in place of \`sketch.ts\`; or save it as
\`harbor.ts\` anywhere, and see it with \`juggle play harbor.ts\`, which follows every save.

${blocks.join('\n')}
What next? [The cookbook](cookbook.md) has a few lines for most needs, [the guide](guide.md) tells all of it, and [mistakes](mistakes.md) what goes wrong most.
`,
);
await renderSketch('examples/how-it-works/frame.ts', 'docs/how-it-works/frame.png', { density: 2 });
