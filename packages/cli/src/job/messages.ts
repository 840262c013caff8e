import type { Checkup } from 'frame-juggler';
import type {
  CheckOptions,
  CompareOptions,
  Comparison,
  ExplainOptions,
  Rendered,
  RenderOptions,
  Strip,
  StripOptions,
} from 'frame-juggler/node';
import type { RunArguments, Varied } from '../arguments.ts';
import type { Farm } from '../farm/head.ts';
import type { Packed, PackOptions } from '../pack/pack-page.ts';

/*
 * What a command and the thread that does its work tell each other. A sketch runs in that thread: whatever it does (a
 * loop without an end, a timer left running, a late error), the command stays in charge of signals and files.
 */

/** What a job is asked for, and what it gives. */
export interface Jobs {
  render: { options: RenderJob; facts: Rendered };
  strip: { options: Omit<StripOptions, 'vary'> & { readonly vary?: readonly Varied[] }; facts: Strip };
  pack: { options: PackOptions; facts: Packed };
  /** A frame of many items is long to tell: it is put into words in the thread. */
  explain: { options: ExplainOptions & Telling; facts: string };
  check: { options: CheckOptions & Lines; facts: Found<Checkup> };
  compare: { options: CompareOptions & ComparedSides & Lines; facts: Found<Comparison> };
}

/** How a film is rendered: threads cannot be handed from thread to thread, but how many there are to be. */
export interface RenderJob extends Omit<Partial<RenderOptions>, 'threads'> {
  readonly threads?: number;
  readonly farm?: Farm;
}

/** How what was found is put into lines. */
export interface Lines {
  /** How wide they may be, in letters. */
  readonly width: number;
}

/** What was found, and the same in lines. */
export interface Found<Facts> {
  readonly found: Facts;
  readonly lines: readonly string[];
}

/** How an explanation is told. */
export interface Telling extends Lines {
  readonly as: 'table' | 'words' | 'json';
  /** Whether each of many like items has a row of its own. */
  readonly whole: boolean;
}

/** Which frames of which files are compared. */
export interface ComparedSides {
  /** The other file; the same one if left out. */
  readonly other?: string;
  readonly at?: FrameChoice;
  /** Of the other; the same one if left out. */
  readonly otherAt?: FrameChoice;
  readonly otherSeed?: number;
}

/** A frame by its number, or by a moment that it is shown at. */
export interface FrameChoice {
  readonly frame?: number;
  readonly seconds?: number;
}

export type JobName = keyof Jobs;

export interface JobRequest<Name extends JobName = JobName> {
  readonly name: Name;
  readonly file: string;
  /** The file to write, where there is one. */
  readonly output: string | undefined;
  /** What chooses the run. */
  readonly run: RunArguments;
  readonly options: Jobs[Name]['options'];
}

/** What the thread is given to begin. */
export interface JobData {
  readonly request: JobRequest;
  readonly calls: SharedArrayBuffer;
}

export type JobMessage =
  | { readonly type: 'loading'; readonly done: number; readonly total: number; readonly name: string }
  | { readonly type: 'progress'; readonly done: number; readonly total: number }
  /** A process was started, an encoder. */
  | { readonly type: 'process'; readonly pid: number }
  /** Something about the sketch that is no error. */
  | { readonly type: 'note'; readonly text: string }
  /** What the work waits for. */
  | { readonly type: 'waiting'; readonly text: string }
  | { readonly type: 'loaded'; readonly title: string; readonly notes: readonly string[] }
  | { readonly type: 'done'; readonly facts: Jobs[JobName]['facts'] }
  /** Stopped by its order, with what is there. */
  | { readonly type: 'stopped'; readonly whatIsThere: string }
  | { readonly type: 'failed'; readonly reason: string; readonly trace: string | undefined };

/** What the command tells the thread: what it is to do, and later to leave it. */
export type JobOrder = JobData | 'stop';
