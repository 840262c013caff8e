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

/** Renders the demo in a terminal, and takes the terminal's picture while the bar still runs. */
export async function terminalShot(file) {
  installTools();
  const folder = mkdtempSync(path.join(tmpdir(), 'juggle-terminal-'));
  const juggle = path.resolve('packages/cli/dist/juggle.js');
  // What one would type is shown, and then done.
  const steps = [
    ['juggle render quay.ts -o quay.png --seconds 5.6', 'render quay.ts -o quay.png --seconds 5.6'],
    ['juggle strip quay.ts -o strip.png --count 6', 'strip quay.ts -o strip.png --count 6'],
    ['juggle render quay.ts -o late.png --secnds 5.6', 'render quay.ts -o late.png --secnds 5.6'],
    ['juggle render quay.ts -o quay.gif --size 480x270', 'render quay.ts -o quay.gif --size 480x270'],
  ];
  const script = steps.map(([typed, run]) => {
    const there = run.replace('-o ', `-o ${folder}/`);
    return `printf '\\033[1;36m$\\033[0m %s\\n' '${typed}'; node ${juggle} ${there} 2>&1 | sed -u 's#${folder}/##'`;
  });
  // The bar needs the terminal itself, so the last command is not led through a filter.
  script.push(script.pop().replace(/ 2>&1 \| .*$/, ''));
  writeFileSync(
    path.join(folder, 'session.sh'),
    `cd ${path.resolve('examples/pellan-quay')}\n${script.join('\n')}\nsleep 60\n`,
  );
  const display = ':97';
  const screen = spawn('Xvfb', [display, '-screen', '0', '1164x224x24'], { stdio: 'ignore' });
  await wait(1);
  const font = ['-fa', 'DejaVu Sans Mono', '-fs', '12', '-bg', '#1b2f3a', '-fg', '#e4efe8', '-geometry', '114x10+0+0', '-b', '12', '-bw', '0']; // prettier-ignore
  const terminal = spawn('xterm', [...font, '-e', 'sh', path.join(folder, 'session.sh')], {
    env: { ...process.env, DISPLAY: display },
    stdio: 'ignore',
  });
  await wait(8);
  execFileSync('import', ['-window', 'root', file], { env: { ...process.env, DISPLAY: display } });
  terminal.kill();
  screen.kill();
  rmSync(folder, { recursive: true, force: true });
}
