import type { SourceLine } from 'frame-juggler';
import type { Fault, Remark, StuckCall } from '../messages.ts';
import type { StuckRun } from '../protocol.ts';
import { server } from './server.ts';
import * as state from './state.ts';
import type { WrittenLines } from './written-lines.ts';

/* What there is to say of a sketch: on the page and in the terminal, with its lines as they were written. */

export function showFailure(failure: state.Failure): void {
  cover(failure);
  printFailure(failure);
}

/** A mistake in the sketch, with its line. */
export async function failureOf({ reason, source, caller, frame }: Fault, lines: WrittenLines): Promise<state.Failure> {
  const written = source && (await lines.of(source));
  const place = `The sketch cannot be shown${inFrame(frame)}`;
  return { place, ...(written && placeAt(written, frame, caller && (await lines.of(caller)))), reason };
}

/** Shows at once that a call of the sketch was ended, and its line once that is found. */
export async function showStuck(run: StuckRun, patience: number): Promise<void> {
  const { kind, frame } = run;
  const isLoaded = kind !== 'load';
  const failure = {
    place: isLoaded ? `In frame ${frame}` : 'The sketch was ended',
    reason: stuckInWords(run, patience),
  };
  cover(failure);
  const source = await server.stuck(run).catch(() => null);
  const found = source === null ? failure : { ...failure, ...placeAt(source, isLoaded ? frame : undefined) };
  if (state.failure.value === failure) showFailure(found);
  else printFailure(found);
}

/** Shows what the sketch has printed, and what is to be said of it. */
export async function showRemarks(remarks: readonly Remark[], lines: WrittenLines): Promise<void> {
  const sources = await lines.ofAll(remarks.map(({ source }) => source));
  const placed = remarks.map((remark, i) => ({ ...remark, source: sources[i] }));
  state.addRemarks(placed);
  const printed = placed.map(({ text, source }) =>
    source === undefined ? text : `${nameOf(source.file)}:${source.line}  ${text}`,
  );
  await server.print(printed).catch(() => undefined);
}

/** Shows a note that is the page's own. */
export function showNote(text: string): void {
  state.addRemarks([{ kind: 'note', text, source: undefined }]);
  state.notify(text);
}

function cover(failure: state.Failure): void {
  state.failure.value = failure;
  state.underWay.value = '';
}

function printFailure({ place, reason }: state.Failure): void {
  void server.print([`${place}: ${reason}`]).catch(() => undefined);
}

/** A line of the sketch, in words and for its link. */
function placeAt(source: SourceLine, frame?: number, caller?: SourceLine): Required<Omit<state.Failure, 'reason'>> {
  const { file, line } = source;
  const from = caller === undefined ? '' : ` (called from ${nameOf(caller.file)}, line ${caller.line})`;
  return { place: `${nameOf(file)}, line ${line}${inFrame(frame)}${from}`, file, line };
}

function nameOf(file: string): string {
  return file.slice(file.lastIndexOf('/') + 1);
}

function inFrame(frame: number | undefined): string {
  return frame === undefined ? '' : ` in frame ${frame}`;
}

const doing: Readonly<Record<StuckCall['kind'], string>> = {
  load: "the file's own code, outside of start, step and paint,",
  start: 'start',
  step: 'step',
  paint: 'paint',
};

function stuckInWords({ kind }: StuckCall, patience: number): string {
  const words = `${doing[kind]} was ended after ${patience} s; look for a loop that never ends, or an await that never comes`;
  // An option of the command.
  return server.keepsFiles ? `${words}, or give it longer with --patience` : words;
}
