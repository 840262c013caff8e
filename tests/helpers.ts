import { execFile } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import {
  Canvas,
  itemsOf,
  rasterize,
  SketchError,
  type CanvasSetup,
  type Frame,
  type Item,
  type Picture,
} from '../packages/frame-juggler/src/index.ts';
import { close, line, move } from '../packages/frame-juggler/src/geometry/path.ts';

const white = -1;

/** A box that holds all there is. */
export const everywhere = { left: -Infinity, top: -Infinity, right: Infinity, bottom: Infinity };

/** A line from corner to corner, as a path. */
export function pathOf(corners: readonly (readonly [number, number])[], closed: boolean): number[] {
  return [...corners.flatMap(([x, y], i) => [i === 0 ? move : line, x, y]), ...(closed ? [close] : [])];
}

/** An item as plain data of its own: its outline as a list, whatever stands beside it in the frame. */
export interface PlainItem extends Omit<Item, 'outlines' | 'start' | 'end' | 'path'> {
  readonly path: number[];
}

/** The items of a frame in painter's order. */
export function plainItems(frame: Frame): PlainItem[] {
  return itemsOf(frame).map((item) => {
    const { outlines: _outlines, start: _start, end: _end, ...rest } = item;
    return { ...rest, path: Array.from(item.path) };
  });
}

export type Recorded = Frame & { readonly items: readonly PlainItem[] };

/** What `paint` records on a white canvas, and its items in painter's order. */
export function record(paint: (canvas: Canvas) => void, setup: Partial<CanvasSetup> = {}): Recorded {
  const canvas = new Canvas({ width: 100, height: 100, density: 1, background: white, carry: 0, ...setup });
  paint(canvas);
  const frame = canvas.finish();
  return { ...frame, items: plainItems(frame) };
}

/** What `paint` looks like on a white canvas. */
export function picture(paint: (canvas: Canvas) => void, setup: Partial<CanvasSetup> = {}): Picture {
  return rasterize(record(paint, setup));
}

/** The pixel's red, green, blue and alpha. */
export function pixel({ width, data }: Picture, x: number, y: number): number[] {
  return [...data.subarray((y * width + x) * 4, (y * width + x) * 4 + 4)];
}

/** How much black there is on white, in pixels: the area of what was drawn. */
export function inkArea({ data }: Picture): number {
  let sum = 0;
  for (let at = 0; at < data.length; at += 4) sum += 1 - data[at] / 255;
  return sum;
}

/** The message of the SketchError that `work` throws. */
export function errorOf(work: () => unknown): string {
  try {
    work();
  } catch (error) {
    if (error instanceof SketchError) return error.reason;
    throw error;
  }
  throw new Error('nothing was thrown');
}

/** A folder of its own for a test's files. */
export function temporaryFolder(files: Record<string, string> = {}): { path: string; remove: () => void } {
  const folder = mkdtempSync(path.join(tmpdir(), 'juggle-test-'));
  for (const [name, text] of Object.entries(files)) writeFileSync(path.join(folder, name), text);
  return { path: folder, remove: () => rmSync(folder, { recursive: true, force: true }) };
}

const juggleFile = path.resolve('packages/cli/dist/juggle.js');

export interface Outcome {
  readonly code: number;
  readonly out: string;
  readonly err: string;
  readonly bytes: Buffer;
}

/** Runs `juggle` as a process, in a folder. */
export function juggle(cwd: string, ...args: string[]): Promise<Outcome> {
  return new Promise((resolve) => {
    execFile(
      process.execPath,
      [juggleFile, ...args],
      { cwd, encoding: 'buffer', maxBuffer: 1 << 28 },
      (error, out, err) =>
        resolve({
          code: error === null ? 0 : Number(error.code),
          out: out.toString(),
          err: err.toString(),
          bytes: out,
        }),
    );
  });
}
