// Makes a fresh clone ready: installs packages and builds where that is missing or out of date.
// With --for-tests, what tests drive too: Debian's Chromium and Redis.
import { execFileSync } from 'node:child_process';
import { existsSync, readdirSync, statSync } from 'node:fs';

const run = (command, ...args) => execFileSync(command, args, { stdio: ['ignore', 'inherit', 'inherit'] });
const time = (file) => (existsSync(file) ? statSync(file).mtimeMs : 0);

if (time('node_modules/.package-lock.json') < time('package-lock.json')) {
  console.log('Installing packages …');
  run('npm', 'ci', '--no-audit', '--no-fund');
}
const sources = ['packages/frame-juggler/src', 'packages/cli/src', 'examples'].flatMap((folder) =>
  readdirSync(folder, { recursive: true }).map((file) => `${folder}/${file}`),
);
if (
  Math.max(...['package.json', 'tsconfig.json', 'scripts/build.mjs', ...sources].map(time)) >
  time('packages/frame-juggler/dist/.built')
) {
  console.log('Building …');
  run(process.execPath, 'scripts/build.mjs');
}
if (process.argv.includes('--for-tests')) run('sh', 'scripts/install-for-tests.sh');
