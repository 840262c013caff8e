// Holds what we make against independent programs, those that are installed here, and writes docs/truth.md.
import { execFileSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { films, svgByChromium, svgByLibrsvg } from './truth/pictures.mjs';
import { directions, lineBreaks, shaping } from './truth/text.mjs';

const version = (command, ...args) => {
  try {
    return /\d+(\.\d+)+/.exec(execFileSync(command, args, { stdio: ['ignore', 'pipe', 'pipe'] }).toString())?.[0];
  } catch {
    return undefined;
  }
};
const programs = {
  ICU: { package: 'python3-icu', version: version('/usr/bin/python3', '-c', 'import icu; print(icu.ICU_VERSION)') },
  FriBidi: { package: 'libfribidi-bin', version: version('fribidi', '--version') },
  HarfBuzz: { package: 'libharfbuzz-bin', version: version('hb-shape', '--version') },
  librsvg: { package: 'librsvg2-bin', version: version('rsvg-convert', '--version') },
  Chromium: { package: 'chromium', version: version(process.env.CHROMIUM ?? 'chromium', '--version') },
  ffmpeg: { package: 'ffmpeg', version: version('ffmpeg', '-version') },
};
const rows = [
  ['Where a line may be broken', 'ICU', lineBreaks],
  ['The order in which letters of two directions are seen', 'FriBidi', directions],
  ['How wide a line is: kerning, ligatures, marks, joined letters', 'HarfBuzz', shaping],
  ['SVG, as pixels at density 2 within 8 of 255', 'librsvg', svgByLibrsvg],
  ['SVG, as pixels at density 2 within 8 of 255', 'Chromium', svgByChromium],
  ['APNG, exact', 'ffmpeg', films('apng', 0)],
  ['GIF, within 16 of 255', 'ffmpeg', films('gif', 16)],
  ['Y4M 4:4:4, within 3 of 255', 'ffmpeg', films('y4m', 3, { chroma: '444' })],
  ['Y4M 4:2:0, within 16 of 255', 'ffmpeg', films('y4m', 16)],
];

const lines = [];
for (const [what, name, measure] of rows) {
  const program = programs[name];
  if (program.version === undefined) {
    console.log(`${what}: ${name} is not installed here (Debian: ${program.package})`);
    lines.push(`| ${what} | ${name} | not measured: it was not installed | | |`);
    continue;
  }
  const { cases, agree, worst } = await measure();
  const percent = agree === 1 ? '100 %' : `${(Math.floor(agree * 10000) / 100).toFixed(2)} %`;
  console.log(`${what}, ${name}: ${cases}, ${percent}, worst ${worst}`);
  lines.push(`| ${what} | ${name} ${program.version} | ${cases} | ${percent} | ${worst.replaceAll('|', '\\|')} |`);
}
writeFileSync(
  'docs/truth.md',
  `# Held against others

What we compute and write, held against programs that have nothing to do with us. \`npm run truth\` makes this table anew, with those of them that are installed.

| what | against | cases | agree | worst case |
| --- | --- | --- | --- | --- |
${lines.join('\n')}

- Lines: where we differ, the package for the Unicode algorithm knows an older edition of it than ICU, or ICU looks words up (Thai) where the algorithm leaves them whole.
- SVG: what differs are pixels at edges, which each renderer smooths in its own way, and a trail's last steps, which pixels of eight bits lose.
- GIF: 256 colors a picture. Y4M: eight bits of brightness and color; 4:2:0 halves color.
- Beside these, tests hold the raster against areas computed at many times the size, keyframes against Chromium's Web Animations, and colors against Chromium's CSS.
`,
);
