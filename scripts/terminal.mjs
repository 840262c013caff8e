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
const sketch = `import { defineSketch, swing } from 'frame-juggler';
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

/** Asks a sketch in a terminal what it drew and what is wrong with it, and takes the terminal's picture. */
export async function terminalShot(file) {
  installTools();
  const folder = mkdtempSync(path.join(tmpdir(), 'juggle-terminal-'));
  const juggle = path.resolve('packages/cli/dist/juggle.js');
  writeFileSync(path.join(folder, 'harbor.ts'), sketch);
  // What one would type is shown, and then done.
  const steps = ['explain harbor.ts --frame 12', 'check harbor.ts', 'render harbor.ts -o harbor.gif --size 480x270'];
  const script = steps.map(
    (step) => `printf '\\033[1;36m$\\033[0m juggle %s\\n' '${step}'; node ${juggle} ${step}; echo`,
  );
  writeFileSync(path.join(folder, 'session.sh'), `cd ${folder}\n${script.join('\n')}\nsleep 60\n`);
  const display = ':97';
  const screen = spawn('Xvfb', [display, '-screen', '0', '1164x724x24'], { stdio: 'ignore' });
  await wait(1);
  const font = ['-fa', 'DejaVu Sans Mono', '-fs', '12', '-bg', '#1b2f3a', '-fg', '#e4efe8', '-geometry', '114x35+0+0', '-b', '12', '-bw', '0']; // prettier-ignore
  const terminal = spawn('xterm', [...font, '-e', 'sh', path.join(folder, 'session.sh')], {
    env: { ...process.env, DISPLAY: display },
    stdio: 'ignore',
  });
  await wait(16);
  execFileSync('import', ['-window', 'root', file], { env: { ...process.env, DISPLAY: display } });
  terminal.kill();
  screen.kill();
  rmSync(folder, { recursive: true, force: true });
}
