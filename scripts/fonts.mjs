// Packs the font that ships with the library into modules: a page loads them like any other code, and only when a sketch
// draws text. The letters of Latin script are packed once more by themselves, as most texts need no others. The font's
// license goes with it.
import { copyFileSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { deflateRawSync } from 'node:zlib';

const font = 'node_modules/@expo-google-fonts/source-sans-3';
const folder = 'packages/frame-juggler/src/text/generated';
const files = { regular: '400Regular/SourceSans3_400Regular.ttf', bold: '700Bold/SourceSans3_700Bold.ttf' };
/** What counts as Latin: letters with their accents, punctuation, currencies, arrows, signs of reckoning. */
const latin = [
  [0x20, 0x7e],
  [0xa0, 0x17f],
  [0x2010, 0x2027],
  [0x2030, 0x203a],
  [0x20a0, 0x20bf],
  [0x2122, 0x2122],
  [0x2190, 0x2193],
  [0x2200, 0x2265],
];

if (!existsSync(`${folder}/latin.ts`)) {
  const { default: subsetFont } = await import('subset-font');
  const { openSync } = await import('fontkit');
  mkdirSync(folder, { recursive: true });
  const has = new Set(openSync(`${font}/${files.regular}`).characterSet);
  // What the font lacks looks otherwise in a part of it.
  const ranges = latin.flatMap(([first, last]) => runsOf(has, first, last));
  const characters = ranges.flatMap(([first, last]) => Array.from({ length: last - first + 1 }, (_, i) => first + i));
  for (const [weight, file] of Object.entries(files)) {
    const whole = readFileSync(`${font}/${file}`);
    const some = await subsetFont(whole, String.fromCodePoint(...characters), { targetFormat: 'truetype' });
    pack(weight, file, whole);
    pack(`${weight}-latin`, `${file}, its Latin letters`, some);
  }
  const escaped = (code) => `\\u${code.toString(16).padStart(4, '0')}`;
  const known = ranges.map(([first, last]) => (first === last ? escaped(first) : `${escaped(first)}-${escaped(last)}`));
  const words = '/** Text of nothing but what the Latin fonts have, and ends of lines. */';
  copyFileSync(`${font}/LICENSE_FONT`, `${folder}/OFL.txt`);
  writeFileSync(`${folder}/latin.ts`, `${words}\nexport const latin = /^[\\t\\n\\r${known.join('')}]*$/;\n`);
}

/** The runs of codes from `first` to `last` that a set has. */
function runsOf(set, first, last) {
  const runs = [];
  for (let code = first; code <= last; code++)
    if (set.has(code) && runs.at(-1)?.[1] === code - 1) runs.at(-1)[1] = code;
    else if (set.has(code)) runs.push([code, code]);
  return runs;
}

function pack(name, what, bytes) {
  const packed = deflateRawSync(bytes, { level: 9 }).toString('base64');
  const head = `// ${what.replace(/.*\//, '')}, deflated, as base64. License: OFL-1.1, in OFL.txt beside this file.`;
  writeFileSync(`${folder}/${name}.ts`, `${head}\nexport const packed: string =\n  '${packed}';\n`);
}
