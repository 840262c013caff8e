/*
 * Attacks the built command and the library with chance, and counts what fell: `npm run chaos -- --minutes 30 --seed 7`,
 * or `--rounds 20`. Every attack follows from its number and the seed, so that one that hit can be made again:
 * `--only 17`.
 */
import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { seededRandom } from 'frame-juggler';
import { canMount, disk } from './disk.mjs';
import { ends } from './ends.mjs';
import { closePage, frames } from './frames.mjs';
import { inputs } from './inputs.mjs';

const { values } = parseArgs({
  options: {
    minutes: { type: 'string', default: '1' },
    rounds: { type: 'string', default: 'Infinity' },
    only: { type: 'string' },
    seed: { type: 'string', default: String(Date.now() % 1e6) },
  },
});
const trial = mkdtempSync(path.join(tmpdir(), 'juggle-chaos-'));
const mounts = canMount(trial);
rmSync(trial, { recursive: true, force: true });
const attacks = { ...ends, ...inputs, ...frames, ...(mounts ? disk : {}) };
const names = Object.keys(attacks);
const until = Date.now() + Number(values.minutes) * 60_000;
const first = values.only === undefined ? 0 : Number(values.only);
const last = values.only === undefined ? Number(values.rounds) : first + 1;
const counts = Object.fromEntries(names.map((name) => [name, { made: 0, fell: 0 }]));

console.log(`seed ${values.seed}${mounts ? '' : '; no full disks: this machine lets nobody mount any'}`);
for (let round = first; round < last && Date.now() < until; round++) {
  const random = seededRandom(`${values.seed}/${round}`);
  const name = names[round % names.length];
  const folder = mkdtempSync(path.join(tmpdir(), 'juggle-chaos-'));
  counts[name].made++;
  try {
    await attacks[name]({ random, folder });
  } catch (error) {
    counts[name].fell++;
    console.log(`round ${round}, ${name}: ${error.message}\n  in ${folder}: ${readdirSync(folder).join(' ')}`);
    continue;
  }
  rmSync(folder, { recursive: true, force: true });
}
await closePage();
for (const [name, { made, fell }] of Object.entries(counts))
  console.log(`${name.padEnd(10)} ${made} made, ${fell} fell`);
process.exitCode = Object.values(counts).some(({ fell }) => fell > 0) ? 1 : 0;
