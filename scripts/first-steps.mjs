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

Ten short steps from a disc to a harbor that moves. Run \`juggle new harbor\` and put the code of a step into its \`sketch.ts\`; or save it anywhere as
\`harbor.ts\` and look at it with \`juggle play harbor.ts\`, which reloads on every save.

${blocks.join('\n')}
What next? [The cookbook](cookbook.md) has a few lines for most things you may want to do, [the guide](guide.md) covers everything, and [mistakes](mistakes.md) lists what goes wrong most often.
`,
);
await renderSketch('examples/how-it-works/frame.ts', 'docs/how-it-works/frame.png', { density: 2 });
