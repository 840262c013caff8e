// A picture of the command at work in a terminal window, on a screen of its own (Debian's xvfb, xterm, imagemagick).
import { execFileSync, spawn } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

const has = (command) => {
  try {
    execFileSync('sh', ['-c', `command -v ${command}`], { stdio: 'ignore' });
    return true;
  } catch {
    return false;
  }
};

function installTools() {
  if (['Xvfb', 'xterm', 'import'].every(has)) return;
  const install =
    'apt-get update -qq && apt-get install -y -qq --no-install-recommends xvfb xterm imagemagick fonts-dejavu-core';
  execFileSync('sh', ['-c', `DEBIAN_FRONTEND=noninteractive; export DEBIAN_FRONTEND; ${install} >/dev/null`]);
}

const wait = (seconds) => new Promise((resolve) => setTimeout(resolve, seconds * 1000));

/** A sketch with two mistakes. */
const buoy = `import { defineSketch, swing } from 'frame-juggler';
export default defineSketch({
  title: 'Mooring buoy',
  canvas: { width: 960, height: 540, background: '#0f2a3d' },
  duration: 4,
  paint(canvas, { seconds }) {
    canvas.rect({ from: [0, 360], to: [960, 540], fill: '#3a8391', label: 'sea' });
    canvas.group({ translate: [480, 360 + swing(seconds, 4, -14, 14)], rotate: swing(seconds, 2, -8, 8), label: 'buoy' }, () => {
      canvas.polygon({ points: [[-30, 0], [30, 0], [0, -80]], fill: '#d5603f' });
      canvas.circle({ at: [0, -92], radius: 10, fill: '#f1b64e', label: 'lamp' });
    });
    canvas.circle({ at: [1040, 80], radius: 30, fill: '#f6efdf', label: 'moon' });
    canvas.text('Mind the swell', { at: [480, 500], size: 18, fill: '#64737a' });
  },
});
`;

/** What is typed in a terminal, for each picture; a step that ends with & goes on beside those after it. */
const sessions = {
  terminal: ['juggle explain harbor.ts --frame 12', 'juggle check harbor.ts', 'juggle render harbor.ts -o harbor.gif --size 480x270'], // prettier-ignore
  project: ['juggle new quay', 'juggle new quay', 'ls quay', 'juggle types .', 'juggle pack quay/sketch.ts -o page', 'ls page', 'juggle pack quay/sketch.ts -o page --embed'], // prettier-ignore
  farm: [
    'mkdir store',
    'juggle work --queue redis://127.0.0.1:6397 --store store 2> one.log &',
    'juggle work --queue redis://127.0.0.1:6397 --store store 2> two.log &',
    'juggle render harbor.ts -o harbor.gif --queue redis://127.0.0.1:6397 --store store',
    'cat one.log two.log',
  ],
};
const lasting = { terminal: 16, project: 16, farm: 30 };

/** What a step does, after what one types was shown. */
function lineOf(step, juggle) {
  const work = step.replace(/^juggle /, `node ${juggle} `);
  return `printf '\\033[1;36m$\\033[0m %s\\n' '${step}'; ${work}${work.endsWith('&') ? ' sleep 2; echo' : '; echo'}`;
}

/** Types a session into a terminal, and takes the terminal's picture. */
export async function terminalShot(name, file) {
  installTools();
  const folder = mkdtempSync(path.join(tmpdir(), 'juggle-terminal-'));
  const juggle = path.resolve('packages/cli/dist/juggle.js');
  writeFileSync(path.join(folder, 'harbor.ts'), buoy);
  const script = sessions[name].map((step) => lineOf(step, juggle));
  writeFileSync(path.join(folder, 'session.sh'), `cd ${folder}\n${script.join('\n')}\nsleep 60\n`);
  const queue = name === 'farm' ? spawn('redis-server', ['--port', '6397', '--save', ''], { cwd: folder, stdio: 'ignore' }) : undefined; // prettier-ignore
  const display = ':97';
  const screen = spawn('Xvfb', [display, '-screen', '0', '1164x724x24'], { stdio: 'ignore' });
  await wait(1);
  const font = ['-fa', 'DejaVu Sans Mono', '-fs', '12', '-bg', '#1b2f3a', '-fg', '#e4efe8', '-geometry', '114x35+0+0', '-b', '12', '-bw', '0']; // prettier-ignore
  const terminal = spawn('xterm', [...font, '-e', 'sh', path.join(folder, 'session.sh')], {
    env: { ...process.env, DISPLAY: display },
    stdio: 'ignore',
  });
  await wait(lasting[name]);
  execFileSync('import', ['-window', 'root', file], { env: { ...process.env, DISPLAY: display } });
  for (const one of [terminal, screen, queue]) one?.kill();
  rmSync(folder, { recursive: true, force: true });
}
