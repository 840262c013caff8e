// Packs the font that ships with the library into two modules: a page loads them like any other code, and only when
// a sketch draws text. The font's licence goes with it.
import { copyFileSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { deflateRawSync } from 'node:zlib';

const font = 'node_modules/@expo-google-fonts/source-sans-3';
const folder = 'src/text/generated';
const files = { regular: '400Regular/SourceSans3_400Regular.ttf', bold: '700Bold/SourceSans3_700Bold.ttf' };

if (!existsSync(`${folder}/bold.ts`)) {
  mkdirSync(folder, { recursive: true });
  for (const [weight, file] of Object.entries(files)) {
    const packed = deflateRawSync(readFileSync(`${font}/${file}`), { level: 9 }).toString('base64');
    const head = `// ${file.replace(/.*\//, '')}, deflated, as base64. Licence: OFL-1.1, in OFL.txt beside this file.`;
    writeFileSync(`${folder}/${weight}.ts`, `${head}\nexport const packed =\n  '${packed}';\n`);
  }
  copyFileSync(`${font}/LICENSE_FONT`, `${folder}/OFL.txt`);
}
