// What the queue of a farm costs: a film rendered by one command, and by one worker through a queue and a store on this
// machine, in turn.
//   node bench/farm.mjs [rounds]
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';

const rounds = Number(process.argv[2] ?? 3);
const tool = path.resolve(import.meta.dirname, '../packages/cli/dist/juggle.js');
const film = path.resolve(import.meta.dirname, '../examples/pellan-quay/quay.ts');
const folder = mkdtempSync(path.join(tmpdir(), 'farm-bench-'));
mkdirSync(path.join(folder, 'store'));
const server = createServer().listen(0, '127.0.0.1');
await once(server, 'listening');
const { port } = server.address();
server.close();
const redis = spawn('redis-server', ['--port', port, '--bind', '127.0.0.1', '--save', ''], { stdio: 'ignore' });
await new Promise((resolve) => setTimeout(resolve, 800));
const farm = ['--queue', `redis://127.0.0.1:${port}`, '--store', path.join(folder, 'store')];
const worker = spawn(process.execPath, [tool, 'work', ...farm], { stdio: ['ignore', 'ignore', 'pipe'] });
let chunks = 0;
worker.stderr.on('data', (data) => (chunks += String(data).split('frames').length - 1));
await new Promise((resolve) => setTimeout(resolve, 1500));
const frames = '0..1199';
const size = ['--density', '2'];
const timed = async (name, more) => {
  const began = performance.now();
  const args = ['render', film, '-o', path.join(folder, name, '%04d.png'), '--frames', frames, ...size, '-q', ...more];
  const [code] = await once(spawn(process.execPath, [tool, ...args], { stdio: 'inherit' }), 'exit');
  if (code !== 0) throw new Error(`${name} ended with ${code}`);
  rmSync(path.join(folder, name), { recursive: true });
  return (performance.now() - began) / 1000;
};
const times = { alone: [], farm: [] };
try {
  for (let round = 0; round < rounds; round++) {
    times.alone.push(await timed('alone', []));
    times.farm.push(await timed('farm', farm));
  }
} finally {
  worker.kill('SIGKILL');
  redis.kill('SIGKILL');
  rmSync(folder, { recursive: true, force: true });
}
const median = (list) => list.toSorted((a, b) => a - b)[Math.floor(list.length / 2)];
const [alone, farmed] = [median(times.alone), median(times.farm)];
console.log(`1200 frames of the demo at density 2, ${rounds} times, medians`);
console.log(`  one command            ${alone.toFixed(1)} s`);
console.log(
  `  one worker, one queue  ${farmed.toFixed(1)} s, ${Math.round(chunks / rounds)} chunks: ${((farmed / alone - 1) * 100).toFixed(1)} % more`,
);
