// A series of posters, one for each seed, and a sheet of all: node examples/scripts/series.mjs [folder] [how many].
import { mkdir } from 'node:fs/promises';
import path from 'node:path';
import { loadSketch, render, strip } from 'frame-juggler/node';

const [folder = 'posters', count = '12'] = process.argv.slice(2);
const poster = await loadSketch(new URL('./poster.js', import.meta.url).pathname);
await mkdir(folder, { recursive: true });
for (let seed = 1; seed <= Number(count); seed++)
  await render(poster, { to: path.join(folder, `poster-${seed}.png`), seed, density: 2 });
const { output, seeds } = await strip(poster, {
  to: path.join(folder, 'sheet.png'),
  seeds: [1, Number(count)],
  columns: 6,
  tile: 240,
});
console.log(`${seeds.length} posters, and all of them on ${output}`);
