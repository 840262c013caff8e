import type { SourceLine } from 'frame-juggler';
import { paths, type CallFacts, type Change, type Setup } from '../protocol.ts';
import type { RenderWish } from '../render-wish.ts';

/*
 * What the page asks its own server. The token in the page's head shows that it is this page that asks.
 */

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

export const server = {
  setup: async (): Promise<Setup> => (await (await ask(paths.setup)).json()) as Setup,
  /** The lines as they were written, for lines as they were served. */
  originals: async (sources: readonly SourceLine[]): Promise<SourceLine[]> =>
    (await (await post(paths.source, sources)).json()) as SourceLine[],
  /** Keeps the dials beside the sketch; gives the file's name. */
  keepDials: async (values: object): Promise<string> => (await post(paths.dials, values)).text(),
  /** Keeps an input track beside the sketch; gives the file's name. */
  keepTrack: async (track: string): Promise<string> => (await post(paths.track, track)).text(),
  /** Shows in the terminal what the sketch has printed. */
  print: async (lines: readonly string[]): Promise<void> => void (await post(paths.print, lines)),
  /** What the call at a line is given; null where there is none. */
  call: async (source: SourceLine): Promise<CallFacts | null> =>
    (await (await post(paths.call, source)).json()) as CallFacts | null,
  /** Shows a change without writing it; without changes, takes back what is shown. */
  tryOut: async (change: Change): Promise<void> => void (await post(paths.tryOut, change)),
  /** Writes a change. */
  change: async (change: Change): Promise<void> => void (await post(paths.change, change)),
  /** Takes back the last change that was written; gives the file's name. */
  undo: async (): Promise<string> => (await post(paths.undo, '')).text(),
  /**
   * Makes a file beside the sketch; gives its name.
   * @param onStep told how many frames of how many are made
   */
  async render(wish: RenderWish, onStep: (done: number, total: number) => void, signal: AbortSignal): Promise<string> {
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
  /** Opens the editor at a line. */
  edit: async (file: string, line: number): Promise<void> => void (await post(paths.edit, { file, line })),
};
