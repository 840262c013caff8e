import type { SourceLine } from 'frame-juggler';
import { paths, type CallFacts, type Change, type Setup } from '../protocol.ts';

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
  /** What the call at a line is given. */
  call: async (source: SourceLine): Promise<CallFacts> => (await (await post(paths.call, source)).json()) as CallFacts,
  /** Shows a change without writing it; without changes, takes back what is shown. */
  tryOut: async (change: Change): Promise<void> => void (await post(paths.tryOut, change)),
  /** Writes a change. */
  change: async (change: Change): Promise<void> => void (await post(paths.change, change)),
  /** Takes back the last change that was written; gives the file's name. */
  undo: async (): Promise<string> => (await post(paths.undo, '')).text(),
  /** Opens the editor at a line. */
  edit: async (file: string, line: number): Promise<void> => void (await post(paths.edit, { file, line })),
};
