// Packs the font that ships with the library into two modules: a page loads them like any other code, and only when
// a sketch draws text. The font's license goes with it.
import { copyFileSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { deflateRawSync } from 'node:zlib';

const font = 'node_modules/@expo-google-fonts/source-sans-3';
const folder = 'packages/frame-juggler/src/text/generated';
const files = { regular: '400Regular/SourceSans3_400Regular.ttf', bold: '700Bold/SourceSans3_700Bold.ttf' };

if (!existsSync(`${folder}/bold.ts`)) {
  mkdirSync(folder, { recursive: true });
  for (const [weight, file] of Object.entries(files)) {
    const packed = deflateRawSync(readFileSync(`${font}/${file}`), { level: 9 }).toString('base64');
    const head = `// ${file.replace(/.*\//, '')}, deflated, as base64. License: OFL-1.1, in OFL.txt beside this file.`;
    writeFileSync(`${folder}/${weight}.ts`, `${head}\nexport const packed: string =\n  '${packed}';\n`);
  }
  copyFileSync(`${font}/LICENSE_FONT`, `${folder}/OFL.txt`);
}
