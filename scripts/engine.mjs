// Compiles the raster engine to WebAssembly and packs it into a module, so that Node and pages load it like any other
// code, without a network. Made anew where a source is newer.
import { mkdirSync, readdirSync, statSync, writeFileSync, existsSync } from 'node:fs';
import path from 'node:path';
import { deflateRawSync } from 'node:zlib';
import asc from 'assemblyscript/asc';

const root = path.resolve(import.meta.dirname, '../packages/frame-juggler/src');
const engine = 'surfaces/raster/engine';
const out = path.join(root, 'surfaces/raster/generated/engine.ts');
const sources = [...['within', 'arc'].map((name) => `maths/${name}.ts`), ...readdirSync(path.join(root, engine)).map((name) => `${engine}/${name}`)]; // prettier-ignore
const time = (file) => (existsSync(file) ? statSync(file).mtimeMs : 0);

if (
  process.env.NAMES ||
  Math.max(...[import.meta.filename, ...sources.map((file) => path.join(root, file))].map(time)) > time(out)
) {
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
      // prettier-ignore
      writeFile: (_, contents) => void (wasm = contents),
    },
  );
  if (error) throw new Error(`The raster engine could not be compiled:\n${stderr.toString()}`);
  const packed = Buffer.from(wasm).toString('base64');
  const head = '// The raster engine, compiled from the folder engine beside this one, as base64.';
  mkdirSync(path.dirname(out), { recursive: true });
  writeFileSync(out, `${head}\nexport const packed: string =\n  '${packed}';\n`);
  console.log(`The engine: ${wasm.length} bytes, ${deflateRawSync(wasm).length} packed`);
}
