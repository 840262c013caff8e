import { expect } from '@jest/globals';
import { spawn, type ChildProcess } from 'node:child_process';
import { readFileSync } from 'node:fs';
import type { Server } from 'node:http';
import { createRequire } from 'node:module';
import { chromium, type Browser, type Page } from 'playwright-core';
// @ts-expect-error a script without types
import { serveFiles } from '../../scripts/serve-files.mjs';

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

/** A server as a process, once it says where it listens. */
export async function serve(...command: string[]): Promise<{ url: string; process: ChildProcess }> {
  const child = spawn(process.execPath, command, { env: { ...process.env, NO_COLOR: '1' } });
  const url = await new Promise<string>((resolve, reject) => {
    let said = '';
    child.stdout.on('data', (data: Buffer) => {
      said += data.toString();
      const found = /http:\/\/127\.0\.0\.1:\d+\//.exec(said);
      if (found) resolve(found[0]);
    });
    child.stderr.on('data', (data: Buffer) => (said += data.toString()));
    child.on('exit', () => reject(new Error(`${command.join(' ')} ended: ${said}`)));
  });
  return { url, process: child };
}

/** The files of a folder, served as any static server does; gives the server and its address, without a slash at its end. */
export const serveFolder = serveFiles as (
  folder: string,
  headers?: Readonly<Record<string, string>>,
) => Promise<{ server: Server; address: string }>;

/**
 * Reads again and again, until it is what is wanted; a failure shows the last reading. What runs out is the looks and
 * not the clock: a machine that stands still for a minute has had no chance to show it.
 */
export async function until<T>(read: () => T | Promise<T>, wanted: unknown, seconds = 20): Promise<void> {
  const pause = 30;
  for (let left = (seconds * 1000) / pause; ; left--) {
    const found = await read();
    try {
      if (wanted instanceof RegExp) expect(String(found)).toMatch(wanted);
      else expect(found).toEqual(wanted);
      return;
    } catch (unlike) {
      if (left < 1) throw unlike;
      await new Promise((resolve) => setTimeout(resolve, pause));
    }
  }
}

interface Faults {
  readonly violations: readonly { readonly id: string; readonly nodes: readonly { readonly html: string }[] }[];
}
const axeSource = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

/** What axe finds hard to use in a page, each with its elements. */
export async function faultsOf(page: Page): Promise<string[]> {
  await page.evaluate(axeSource);
  const { violations } = await page.evaluate(() =>
    (globalThis as unknown as { axe: { run: (on: Document) => Promise<Faults> } }).axe.run(document),
  );
  return violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html).join(' ')}`);
}
