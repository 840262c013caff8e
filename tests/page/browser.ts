import { spawn, type ChildProcess } from 'node:child_process';
import path from 'node:path';
import { chromium, type Browser } from 'playwright-core';

/** Debian's Chromium, kept from asking the network for anything. */
export function launch(): Promise<Browser> {
  return chromium.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
    ],
  });
}

/** `juggle play` as a process, once it says where it listens. */
export async function play(sketch: string): Promise<{ url: string; process: ChildProcess }> {
  const child = spawn(process.execPath, [path.resolve('dist/cli/juggle.js'), 'play', sketch]);
  const url = await new Promise<string>((resolve, reject) => {
    let said = '';
    child.stdout.on('data', (data: Buffer) => {
      said += data.toString();
      const found = /at (http:\S+)/.exec(said);
      if (found) resolve(found[1]);
    });
    child.stderr.on('data', (data: Buffer) => (said += data.toString()));
    child.on('exit', () => reject(new Error(`juggle play ended: ${said}`)));
  });
  return { url, process: child };
}
