// Makes docs/mistakes.md and its sheet of pictures from examples/mistakes/mistakes.ts and the rules themselves.
import { build } from 'esbuild';
import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import { pathToFileURL } from 'node:url';
import { format } from 'prettier';
import { rules, Run } from 'frame-juggler';
import { layOutStrip } from '../packages/frame-juggler/dist/formats/strip.js';
import { encodePng, fileHost } from 'frame-juggler/node';
import { RasterSurface } from '../packages/frame-juggler/dist/surfaces/raster/surface.js';

const source = readFileSync('examples/mistakes/mistakes.ts', 'utf8');
/** The code of a sketch, as it stands in the file. */
const codeOf = (name, part) => {
  const key = /^\w+$/.test(name) ? name : `'${name}'`;
  const entry = source.slice(source.indexOf(`\n  ${key}: {\n`));
  const [, body] = new RegExp(`\\n    ${part}: defineSketch\\(\\{\\n([\\s\\S]*?)\\n    \\}\\),`).exec(entry);
  const lines = body.split('\n').filter((line) => !/^ {6}canvas,$/.test(line));
  return `export default defineSketch({\n${lines.map((line) => line.slice(4)).join('\n')}\n});`;
};

const bundle = 'examples/mistakes/.mistakes.mjs';
await build({
  entryPoints: ['examples/mistakes/mistakes.ts'],
  outfile: bundle,
  bundle: true,
  format: 'esm',
  external: ['frame-juggler'],
  alias: {},
  logLevel: 'error',
});
const { mistakes } = await import(pathToFileURL(bundle).href).finally(() => rmSync(bundle));

/** The frame at which most of them show what they are about. */
const shown = 24;
const tiles = [];
for (const { name } of rules)
  for (const part of ['mistake', 'cured']) {
    const run = new Run(mistakes[name][part], { host: fileHost, density: 0.5 });
    const surface = new RasterSurface();
    await run.drawTo(run.frameAfterRounds(shown), -1, (frame) => surface.draw(frame));
    tiles.push({ picture: surface.picture(), text: part === 'mistake' ? name : 'cured' });
  }
writeFileSync('docs/screenshots/mistakes.png', encodePng(await layOutStrip(tiles, 8)));

const page = `# Mistakes, and how to fix them

Everything \`juggle check\` finds, each in the smallest sketch that has it, with its line marked, followed by the same sketch without
the mistake. The canvas is 320 × 180; the colors are those of [examples/palette.ts](../examples/palette.ts). If you intend what a finding describes, accept it in the
sketch and give the reason: \`defineSketch({ accept: { covered: 'the moon sets' }, … })\`. \`npm run mistakes\` makes this page from
[examples/mistakes/mistakes.ts](../examples/mistakes/mistakes.ts), which the tests run, and from the rules themselves.

![Each mistake beside its cure](screenshots/mistakes.png)

## Why is my shape not there?

\`juggle check sketch.ts\` and the viewer's _Checks_ name the reason. The shape may be

- [off the canvas](#off-canvas): y goes down, and (0, 0) is the top left corner;
- [covered](#covered) by what is drawn later;
- [the same color](#same-color) as what is behind it, or without any paint ([no-paint](#no-paint));
- [without a size](#no-size), or scaled down to nothing;
- mostly [beyond the corner](#corner), as \`at\` is its middle; or [in a corner](#unscaled), its place between 0 and 1;
- a line where you meant [an area](#unfilled);
- [never drawn at all](#nothing-drawn), or there in one frame and [gone](#vanishes) in the next;
- moved by a transform that [was meant for another shape](#leak).

${rules
  .map(
    ({ name, title, why, cure }) => `## ${name}

**${title}.** ${why}

\`\`\`ts
${codeOf(name, 'mistake')}
\`\`\`

${cure}

\`\`\`ts
${codeOf(name, 'cured')}
\`\`\`
`,
  )
  .join('\n')}`;
writeFileSync('docs/mistakes.md', await format(page, { parser: 'markdown', printWidth: 120 }));
