import { spawn } from 'node:child_process';
import { existsSync } from 'node:fs';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import type { ServerResponse } from 'node:http';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { fileName, renderArguments, type RenderWish } from '../viewer/render-wish.ts';

const program = fileURLToPath(new URL('../juggle.js', import.meta.url));

/** A name in the sketch's folder that no file has yet. */
function freeName(folder: string, sketch: string, wish: RenderWish): string {
  for (let nth = 1; ; nth++) {
    const name = fileName(sketch, wish, nth);
    if (!existsSync(path.join(folder, name))) return name;
  }
}

/**
 * Makes a file beside the sketch by `juggle render`, and tells of it line by line: `at DONE TOTAL`, then `wrote NAME` or
 * `failed WHY`. Whoever stops listening ends it, and nothing is left of it.
 */
export async function renderOut(sketch: string, wish: RenderWish, response: ServerResponse): Promise<void> {
  const { dir, name } = path.parse(sketch);
  const output = freeName(dir, name, wish);
  const folder = await mkdtemp(path.join(tmpdir(), 'juggle-out-'));
  try {
    const track = wish.track === undefined ? undefined : path.join(folder, 'input.json');
    if (track !== undefined) await writeFile(track, wish.track!);
    const words = renderArguments(path.basename(sketch), output, wish, track);
    const child = spawn(process.execPath, [program, ...words], { cwd: dir, stdio: ['ignore', 'ignore', 'pipe'] });
    response.on('close', () => child.kill('SIGTERM'));
    response.setHeader('Content-Type', 'text/plain; charset=utf-8');
    response.flushHeaders();
    let said = '';
    child.stderr.on('data', (data: Buffer) => {
      said += data.toString();
      const steps = [...said.matchAll(/^(\d+) of (\d+) frames/gm)].at(-1);
      if (steps) response.write(`at ${steps[1]} ${steps[2]}\n`);
    });
    const code = await new Promise<number | null>((resolve) => child.once('close', resolve));
    const why = said
      .trim()
      .split('\n')
      .at(-1)
      ?.replace(/^juggle: /, '');
    response.end(code === 0 ? `wrote ${output}\n` : `failed ${why ?? `it ended with ${code}`}\n`);
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}
