// Compiles the raster engine to WebAssembly and packs it into a module, so that Node and pages load it like any other
// code, without a network. Made anew where a source is newer.
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { deflateRawSync } from 'node:zlib';
import asc from 'assemblyscript/asc';

const root = path.resolve(import.meta.dirname, '../packages/frame-juggler/src');
const engine = 'surfaces/raster/engine';
/** The two forms of the engine, by the file that says how pixels are kept. */
const forms = { bytes: 'engine', floats: 'deep-engine' };
const sources = [...['within', 'arc'].map((name) => `maths/${name}.ts`), ...readdirSync(path.join(root, engine)).map((name) => `${engine}/${name}`)]; // prettier-ignore
const time = (file) => (existsSync(file) ? statSync(file).mtimeMs : 0);
const changed = Math.max(...[import.meta.filename, ...sources.map((file) => path.join(root, file))].map(time));

for (const [pixels, name] of Object.entries(forms)) {
  const out = path.join(root, `surfaces/raster/generated/${name}.ts`);
  if (!process.env.NAMES && changed <= time(out)) continue;
  const wasm = await compile(pixels);
  const packed = Buffer.from(wasm).toString('base64');
  const head = `// The raster engine that keeps pixels as ${pixels}, compiled from the folder engine beside this one, as base64.`;
  mkdirSync(path.dirname(out), { recursive: true });
  writeFileSync(out, `${head}\nexport const packed: string =\n  '${packed}';\n`);
  console.log(`The engine on ${pixels}: ${wasm.length} bytes, ${deflateRawSync(wasm).length} packed`);
}

/** The engine with pixels kept in one of its forms. */
async function compile(pixels) {
  let wasm;
  const options = [
    '--runtime',
    'minimal',
    '--enable',
    'simd',
    '--noAssert',
    '-O3',
    '--converge',
    '--use',
    'abort=',
    ...(process.env.NAMES ? ['--debug'] : []),
  ];
  const { error, stderr } = await asc.main(
    [`${engine}/index.ts`, '--baseDir', root, '--outFile', 'engine.wasm', ...options],
    {
      readFile(file, folder) {
        const full = path.join(folder, file);
        if (!existsSync(full)) return null;
        const text = readFileSync(full, 'utf8');
        return file.endsWith('engine/pixels.ts') ? text.replace("'./bytes'", `'./${pixels}'`) : text;
      },
      writeFile: (_, contents) => void (wasm = contents),
    },
  );
  if (error) throw new Error(`The raster engine could not be compiled:\n${stderr.toString()}`);
  return wasm;
}
