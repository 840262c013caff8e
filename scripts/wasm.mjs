// Compiles what is written in AssemblyScript to WebAssembly and packs it into modules, so that Node and pages load it
// like any other code, without a network. Each is made anew where a source is newer.
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { deflateRawSync } from 'node:zlib';
import asc from 'assemblyscript/asc';

const root = path.resolve(import.meta.dirname, '../packages/frame-juggler/src');
const folder = (name) => readdirSync(path.join(root, name)).map((file) => `${name}/${file}`);
const engine = 'surfaces/raster/engine';
const engineSources = [...['within', 'arc'].map((name) => `maths/${name}.ts`), ...folder(engine)];

/** The modules: the folder they are of, what they are made anew for, where they go, and how their pixels are kept. */
const modules = [
  { from: engine, sources: engineSources, out: 'surfaces/raster/generated/engine', what: 'The raster engine that keeps pixels as bytes' },
  { from: engine, sources: engineSources, out: 'surfaces/raster/generated/deep-engine', pixels: 'floats', what: 'The raster engine that keeps pixels as floats' },
  { from: 'formats/packer', sources: folder('formats/packer'), out: 'formats/generated/packer', what: 'The packer' },
]; // prettier-ignore
const time = (file) => (existsSync(file) ? statSync(file).mtimeMs : 0);

for (const { from, sources, out, pixels, what } of modules) {
  const file = path.join(root, `${out}.ts`);
  const changed = Math.max(...[import.meta.filename, ...sources.map((source) => path.join(root, source))].map(time));
  if (!process.env.NAMES && changed <= time(file)) continue;
  const wasm = await compile(from, pixels);
  const packed = Buffer.from(wasm).toString('base64');
  const head = `// ${what}, compiled from the folder ${path.basename(from)}, as base64.`;
  mkdirSync(path.dirname(file), { recursive: true });
  writeFileSync(file, `${head}\nexport const packed: string =\n  '${packed}';\n`);
  console.log(`${what}: ${wasm.length} bytes, ${deflateRawSync(wasm).length} packed`);
}

/** A module, of the engine with pixels kept in one of its forms. */
async function compile(from, pixels = 'bytes') {
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
    [`${from}/index.ts`, '--baseDir', root, '--outFile', 'module.wasm', ...options],
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
  if (error) throw new Error(`${from} could not be compiled:\n${stderr.toString()}`);
  return wasm;
}
