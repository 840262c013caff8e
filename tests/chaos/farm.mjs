// Renders films on a farm on this machine while two of its three workers are killed at random moments, or its queue is
// stopped for ten seconds, and holds what comes of it against one render's bytes.
//   node tests/chaos/farm.mjs [--rounds 10] [--seed 1]
import { execFileSync, spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, readdirSync, readFileSync, rmSync, mkdirSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { seededRandom } from 'frame-juggler';

const { values } = parseArgs({ options: { rounds: { type: 'string', default: '10' }, seed: { type: 'string', default: '1' } } }); // prettier-ignore
const random = seededRandom(Number(values.seed));
const tool = path.resolve(import.meta.dirname, '../../packages/cli/dist/juggle.js');
const examples = path.resolve(import.meta.dirname, '../../examples');
const films = { demo: `${examples}/pellan-quay/quay.ts`, wakes: `${examples}/wakes/wakes.ts` };
const folder = mkdtempSync(path.join(tmpdir(), 'farm-chaos-'));
const store = path.join(folder, 'store');
mkdirSync(store);
const server = createServer().listen(0, '127.0.0.1');
await once(server, 'listening');
const { port } = server.address();
server.close();
const wait = (seconds) => new Promise((resolve) => setTimeout(resolve, seconds * 1000));
const startRedis = () => spawn('redis-server', ['--port', port, '--bind', '127.0.0.1', '--dir', folder, '--save', '', '--appendonly', 'yes'], { stdio: 'ignore' }); // prettier-ignore
let redis = startRedis();
await wait(1);
const farm = ['--queue', `redis://127.0.0.1:${port}`, '--store', store];
const startWorker = () => spawn(process.execPath, [tool, 'work', ...farm, '--threads', '1'], { stdio: 'ignore' });
const workers = [startWorker(), startWorker(), startWorker()];

/** Renders a film on the farm while something happens to it; whether its bytes are one render's. */
async function farmed(name, happens) {
  const to = path.join(folder, `${name}-farm`);
  rmSync(to, { recursive: true, force: true });
  const args = ['render', films[name], '-o', `${to}/%04d.png`, '--frames', '0..599', ...farm, '-q'];
  const job = spawn(process.execPath, [tool, ...args], { stdio: ['ignore', 'ignore', 'inherit'] });
  const began = performance.now();
  const [[code]] = await Promise.all([once(job, 'exit'), happens()]);
  const alone = path.join(folder, `${name}-alone`);
  const files = readdirSync(alone);
  const same = code === 0 && readdirSync(to).length === files.length && files.every((file) => readFileSync(path.join(to, file)).equals(readFileSync(path.join(alone, file)))); // prettier-ignore
  return { same, seconds: ((performance.now() - began) / 1000).toFixed(1) };
}

let failed = 0;
const tell = (what, name, { same, seconds }) => {
  if (!same) failed++;
  console.log(`${what}, ${name}: ${same ? 'the same bytes' : 'NOT THE SAME'}, ${seconds} s`);
};
try {
  for (const [name, file] of Object.entries(films)) {
    execFileSync(process.execPath, [tool, 'render', file, '-o', path.join(folder, `${name}-alone`, '%04d.png'), '--frames', '0..599', '-q']); // prettier-ignore
    tell('three workers', name, await farmed(name, () => Promise.resolve()));
  }
  const names = Object.keys(films);
  for (let round = 0; round < Number(values.rounds); round++) {
    const name = names[round % 2];
    const killTwo = async () => {
      await wait(random.between(1, 6));
      for (const one of random.shuffle([0, 1, 2]).slice(0, 2)) {
        workers[one].kill('SIGKILL');
        await wait(random.between(0, 1.5));
      }
    };
    tell(`two of three killed, ${round + 1}`, name, await farmed(name, killTwo));
    for (const [at, worker] of workers.entries()) if (worker.killed) workers[at] = startWorker();
    await wait(1);
  }
  for (const name of names) {
    const stopQueue = async () => {
      await wait(random.between(2, 5));
      redis.kill('SIGTERM');
      await wait(10);
      redis = startRedis();
    };
    tell('queue stopped for ten seconds', name, await farmed(name, stopQueue));
  }
} finally {
  for (const worker of workers) worker.kill('SIGKILL');
  redis.kill('SIGKILL');
  await wait(0.3);
  rmSync(folder, { recursive: true, force: true });
}
console.log(failed === 0 ? 'All the same' : `${failed} not the same`);
process.exit(failed === 0 ? 0 : 1);
