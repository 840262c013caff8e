// Makes docs/cookbook.md and its sheet of pictures from examples/cookbook/recipes.ts.
import { execFileSync } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';

const juggle = (...args) =>
  execFileSync(process.execPath, ['packages/cli/dist/juggle.js', ...args], { stdio: ['ignore', 'ignore', 'inherit'] });
const source = readFileSync('examples/cookbook/recipes.ts', 'utf8');
const recipes = [...source.matchAll(/^ {2}'(.+)'\(canvas\) \{\n([\s\S]*?)^ {2}\},$/gm)].map(([, title, body]) => ({
  title,
  code: body.replace(/^ {4}/gm, '').trimEnd(),
}));

mkdirSync('examples/cookbook/out', { recursive: true });
recipes.forEach((_, i) =>
  juggle('render', 'examples/cookbook/cookbook.ts', '-o', `examples/cookbook/out/${i}.png`, '--frame', `${i}`),
);
juggle('render', 'examples/cookbook/sheet.ts', '-o', 'docs/screenshots/cookbook.png');
rmSync('examples/cookbook/out', { recursive: true });

writeFileSync(
  'docs/cookbook.md',
  `# The cookbook

What practitioners ask for most, each in a few lines. The canvas is 320 × 200; \`sea\`, \`lamp\` and the other colors are those of
[examples/palette.ts](../examples/palette.ts), in whose place any CSS color does. \`npm run cookbook\` makes this page and its
pictures of [examples/cookbook/recipes.ts](../examples/cookbook/recipes.ts).

![All recipes on one sheet](screenshots/cookbook.png)

${recipes.map(({ title, code }, i) => `## ${i + 1}. ${title}\n\n\`\`\`ts\n${code}\n\`\`\`\n`).join('\n')}`,
);
