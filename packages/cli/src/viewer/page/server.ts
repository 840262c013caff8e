import type { SourceLine } from 'frame-juggler';
import { paths, type CallFacts, type Change, type Setup, type StuckRun } from '../protocol.ts';
import type { RenderWish } from '../render-wish.ts';

/*
 * What the page asks whoever serves it. `juggle play` serves it from the sketch's folder; elsewhere there is no file to keep
 * anything in.
 */

/** A sketch as the worker loads it. */
export interface ServedSketch {
  /** The address of its module. */
  readonly module: string;
  /** The address that tells in words why it cannot be loaded; empty if it can. */
  readonly why?: string;
}

export interface Server {
  /** Whether there are files: the sketch's own, and others beside it. */
  readonly keepsFiles: boolean;
  setup(): Promise<Setup>;
  /** The sketch as it was saved last. */
  sketch(): ServedSketch;
  /** The lines as they were written, for lines as they were served. */
  originals(sources: readonly SourceLine[]): Promise<SourceLine[]>;
  /** Keeps the dials beside the sketch; gives the file's name. */
  keepDials(values: object): Promise<string>;
  /** Keeps an input track beside the sketch, in a file of its own; gives the file's name. */
  keepTrack(track: string): Promise<string>;
  /** Shows in the terminal what the sketch has printed. */
  print(lines: readonly string[]): Promise<void>;
  /** What the call at a line is given; null where there is none. */
  call(source: SourceLine): Promise<CallFacts | null>;
  /** Shows a change without writing it; without changes, takes back what is shown. */
  tryOut(change: Change): Promise<void>;
  /** Writes a change. */
  change(change: Change): Promise<void>;
  /** Takes back the last change that was written; gives the file's name. */
  undo(): Promise<string>;
  /**
   * Makes a file beside the sketch; gives its name.
   * @param onStep told how many frames of how many are made
   */
  render(wish: RenderWish, onStep: (done: number, total: number) => void, signal: AbortSignal): Promise<string>;
  /** The line that a sketch is stuck at; null where that cannot be told. */
  stuck(run: StuckRun): Promise<SourceLine | null>;
  /** Opens the editor at a line. */
  edit(file: string, line: number): Promise<void>;
}

// The token in the page's head shows that it is this page that asks.
const token = document.querySelector<HTMLMetaElement>('meta[name="juggle-token"]')?.content ?? '';

async function ask(path: string, init: RequestInit = {}): Promise<Response> {
  const response = await fetch(path, { ...init, headers: { ...init.headers, 'x-juggle-token': token } });
  if (!response.ok) throw new Error(await response.text());
  return response;
}

const post = (path: string, body: unknown): Promise<Response> =>
  ask(path, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: typeof body === 'string' ? body : JSON.stringify(body),
  });

const command: Server = {
  keepsFiles: true,
  setup: async () => (await (await ask(paths.setup)).json()) as Setup,
  sketch() {
    const module = `${paths.sketch}?t=${Date.now()}`;
    return { module, why: `${module}&why` };
  },
  originals: async (sources) => (await (await post(paths.source, sources)).json()) as SourceLine[],
  keepDials: async (values) => (await post(paths.dials, values)).text(),
  keepTrack: async (track) => (await post(paths.track, track)).text(),
  print: async (lines) => void (await post(paths.print, lines)),
  call: async (source) => (await (await post(paths.call, source)).json()) as CallFacts | null,
  tryOut: async (change) => void (await post(paths.tryOut, change)),
  change: async (change) => void (await post(paths.change, change)),
  undo: async () => (await post(paths.undo, '')).text(),
  async render(wish, onStep, signal) {
    const headers = { 'content-type': 'application/json' };
    const response = await ask(paths.render, { method: 'POST', headers, body: JSON.stringify(wish), signal });
    let said = '';
    for await (const part of response.body!.pipeThrough(new TextDecoderStream()) as unknown as AsyncIterable<string>) {
      said += part;
      const step = [...said.matchAll(/^at (\d+) (\d+)$/gm)].at(-1);
      if (step) onStep(Number(step[1]), Number(step[2]));
    }
    const [, wrote] = /^wrote (.+)$/m.exec(said) ?? [];
    if (wrote === undefined) throw new Error(/^failed (.+)$/m.exec(said)?.[1] ?? 'it was not made');
    return wrote;
  },
  stuck: async (run) => (await (await post(paths.stuck, run)).json()) as SourceLine | null,
  edit: async (file, line) => void (await post(paths.edit, { file, line })),
};

/** The server of this page: `juggle play`, unless another page embeds the viewer. */
export let server = command;
export function serveBy(other: Server): void {
  server = other;
}
