// Disks that are full before the work is done.
import { spawnSync } from 'node:child_process';
import { mkdirSync, readdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { checkWhole, command, outputs, sketch } from './ends.mjs';

/** Mounts a small disk where nobody else sees it, renders into it, and copies out what is there then. */
const script = `mount -t tmpfs -o size="$1" tmpfs disk && shift && "$@"; code=$?; cp -a disk/. out; exit $code`;
const onDisk = (folder, size, ...args) => {
  for (const name of ['disk', 'out']) mkdirSync(path.join(folder, name), { recursive: true });
  return spawnSync('unshare', ['-rm', 'sh', '-c', script, 'sh', size, ...args], { cwd: folder, encoding: 'utf8' });
};

/** Whether this machine lets us mount a disk of our own. */
export const canMount = (folder) => onDisk(folder, '8k', 'true').status === 0;

export const disk = {
  disk({ random, folder }) {
    writeFileSync(path.join(folder, 'sketch.ts'), sketch(random.pick([0, 0.9])));
    const output = random.pick(outputs);
    const size = random.int(4, 300);
    const args = ['render', 'sketch.ts', '-o', `disk/${output}`, '--frames', '0..60', '-q'];
    const { status, stderr } = onDisk(folder, `${size}k`, process.execPath, command, ...args);
    const what = `${output} on a disk of ${size} kB`;
    if (status !== 0 && !(status === 2 && stderr.includes('the disk is full')))
      throw new Error(`${what} ended with ${status}: ${stderr}`);
    const left = readdirSync(path.join(folder, 'out'), { recursive: true }).map(String);
    if (left.some((name) => name.endsWith('.part'))) throw new Error(`${what} left ${left.join(' ')}`);
    if (status !== 0 && !output.includes('%') && left.length > 0) throw new Error(`${what} left half a file`);
    for (const name of left) if (/\.\w+$/.test(name)) checkWhole(path.join(folder, 'out', name));
  },
};
