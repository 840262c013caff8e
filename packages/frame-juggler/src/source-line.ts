/*
 * Where in a sketch a call was made: out of the stack that an error has written, for its message; and out of the calls
 * themselves, which is many times as fast, for each item of a frame.
 */

/** A place in a source file; line and column count from 1. */
export interface SourceLine {
  /** The address of the file. */
  readonly file: string;
  /** Counted from 1. */
  readonly line: number;
  /** Counted from 1. */
  readonly column: number;
}

/** What V8 adds to errors; other engines have none of it. */
const engine = Error as {
  captureStackTrace?: (target: object, below?: object) => void;
  prepareStackTrace?: unknown;
  stackTraceLimit?: number;
};

// This module lies in the library's root folder, so whatever lies below that is the library and not a sketch.
const hostRoots = [plainPath(import.meta.url.replace(/[^/]*$/, ''))];

/** Tells that the code below a folder (as a URL that ends in `/`) is a host's, so that no error is placed there. */
export function addHostCode(root: string): void {
  hostRoots.push(plainPath(String(root)));
  knownFiles.clear();
}

function isHostCode(file: string): boolean {
  return hostRoots.some((root) => plainPath(file).startsWith(root));
}

function isSketchFile(file: string): boolean {
  return !isHostCode(file) && !file.includes('/node_modules/');
}

function plainPath(file: string): string {
  const path = file.startsWith('file://') ? decodeURIComponent(file.slice('file://'.length)) : file;
  return path.replace(/\?.*$/, '');
}

/** A place as messages show it: the file's name, its line and its column. */
export function placeOf({ file, line, column }: SourceLine): string {
  return `${file.slice(Math.max(file.lastIndexOf('/'), file.lastIndexOf('\\')) + 1)}:${line}:${column}`;
}

/** An error's stack with more of its calls than engines keep by themselves: ours may lie many deep in a sketch's. */
export function fullStack(error: Error): string | undefined {
  if (engine.captureStackTrace === undefined) return error.stack;
  const limit = engine.stackTraceLimit;
  engine.stackTraceLimit = 100;
  engine.captureStackTrace(error);
  const { stack } = error;
  engine.stackTraceLimit = limit;
  return stack;
}

/** A place in a row of a stack trace: a URL, or a path, which may have spaces and parentheses in its names. */
const framePattern = /(?:^|[\s(@:])(\w+:\/\/\S+?|(?:\/|\w:\\).+?):(\d+):(\d+)(?![^),\s])/;

/** The lines of a stack trace that are neither the library's nor the host's, innermost first. */
export function sketchLines(stack: string | undefined): SourceLine[] {
  const lines: SourceLine[] = [];
  for (const row of (stack ?? '').split('\n')) {
    const [, file, line, column] = framePattern.exec(row) ?? [];
    if (file && isSketchFile(file)) lines.push({ file: plainPath(file), line: Number(line), column: Number(column) });
  }
  return lines;
}

/** Whether an error comes of the library's own code, or the host's, by the innermost call of its stack. */
export function isThrownByHost(stack: string | undefined): boolean {
  const innermost = stack?.split('\n').find((row) => /^\s*at |@/.test(row));
  const file = innermost && framePattern.exec(innermost)?.[1];
  return file !== undefined && file !== '' && isHostCode(file);
}

/**
 * The line at hand of the sketch that called the library, where the engine tells.
 * @param entry the function that the sketch most likely called: nothing above it needs to be looked at
 */
export function sketchLine(entry?: unknown): SourceLine | undefined {
  const place = (typeof entry === 'function' ? placeBelow(entry, 1) : undefined) ?? placeBelow(sketchLine, nearCalls);
  if (place === undefined) return sketchLines(fullStack(new Error()))[0];
  // Writing a stack out, by its source map too, takes far longer than finding out that it is of a known place.
  const known = linesByPlace.get(place.file)?.get(place.at);
  if (known !== undefined) return known;
  const line = sketchLines(fullStack(new Error()))[0];
  if (line !== undefined) keepLine(place, line);
  return line;
}

function keepLine({ file, at }: Place, line: SourceLine): void {
  if (keptLines++ >= maxKept) {
    // Each save of a sketch is a file of its own: a host that runs for long must not keep them all.
    linesByPlace.clear();
    keptLines = 0;
  }
  const lines = linesByPlace.get(file) ?? new Map<number, SourceLine>();
  linesByPlace.set(file, lines.set(at, line));
}

/** A place in the code that is run: its line and column in one number. */
interface Place {
  readonly file: string;
  readonly at: number;
}
const columns = 2 ** 26;

/** Of each file, the lines that its places come from. */
const linesByPlace = new Map<string, Map<number, SourceLine>>();
let keptLines = 0;
const maxKept = 10_000;
/** The library's own calls are few where a line is asked for, and each costs a microsecond to be told of. */
const nearCalls = 6;

/** What V8 tells of a call: where it is in the code that is run. */
interface CallSite {
  getFileName(): string | null;
  getLineNumber(): number | null;
  getColumnNumber(): number | null;
}

const asCallSites = (_: unknown, calls: CallSite[]): CallSite[] => calls;

/** Whether a function was called by the sketch, with only our own code between; true where the engine does not tell. */
export function isCalledBySketch(called: object): boolean {
  const calls = callsBelow(called, nearCalls);
  const nearest = calls?.map((call) => call.getFileName()).find((file) => file !== null && !isHostCode(file));
  return calls === undefined || isInSketch(nearest);
}

/**
 * Where the sketch called the library, in the code that is run; undefined where the engine does not tell.
 * @param above the call below which to look
 * @param most so many calls are looked at
 */
function placeBelow(above: object, most: number): Place | undefined {
  const call = callsBelow(above, most)?.find((call) => isInSketch(call.getFileName()));
  if (call === undefined) return undefined;
  return { file: call.getFileName()!, at: (call.getLineNumber() ?? 0) * columns + (call.getColumnNumber() ?? 0) };
}

/** What was found out of the files of calls: whether they are a sketch's. */
const knownFiles = new Map<string, boolean>();

/** Whether a call is in a sketch's file, by what the engine says of the file: nothing for its own code. */
function isInSketch(file: string | null | undefined): boolean {
  if (typeof file !== 'string') return false;
  let known = knownFiles.get(file);
  if (known === undefined) {
    known = !file.startsWith('node:') && isSketchFile(file);
    if (knownFiles.size > maxKept) knownFiles.clear();
    knownFiles.set(file, known);
  }
  return known;
}

/** The calls below one of those at hand, innermost first, at most so many; undefined where the engine does not tell. */
function callsBelow(above: object, most: number): CallSite[] | undefined {
  if (engine.captureStackTrace === undefined) return undefined;
  const { prepareStackTrace, stackTraceLimit } = engine;
  engine.stackTraceLimit = most;
  engine.prepareStackTrace = asCallSites;
  try {
    const holder: { stack?: unknown } = {};
    engine.captureStackTrace(holder, above);
    return Array.isArray(holder.stack) ? (holder.stack as CallSite[]) : undefined;
  } finally {
    engine.prepareStackTrace = prepareStackTrace;
    engine.stackTraceLimit = stackTraceLimit;
  }
}
