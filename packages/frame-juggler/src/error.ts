/** A place in a source file; line and column count from 1. */
export interface SourceLine {
  /** The address of the file. */
  readonly file: string;
  /** Counted from 1. */
  readonly line: number;
  /** Counted from 1. */
  readonly column: number;
}

/** What was wrong, in parts; `SketchError` puts them together as one message. */
export interface Fault {
  /** The call that was made, as the sketch wrote it: `circle`, `group`, `defineSketch`. */
  readonly call?: string | undefined;
  /** The option or argument at fault. */
  readonly option?: string | undefined;
  readonly value?: unknown;
  /** What is wrong with it: "is not a finite number". */
  readonly problem: string;
  /** What would be right. */
  readonly expected?: string | undefined;
  readonly cause?: unknown;
}

/**
 * A mistake in a sketch. The message names the call, the option, the value and what would be
 * right, then the sketch's file and line, and the frame.
 */
export class SketchError extends Error {
  /** Which kind of error it is. */
  override readonly name = 'SketchError';
  // Every page loads this class: what is only declared adds nothing to it.
  /** The call at fault. */
  declare readonly call: string | undefined;
  /** The option or argument at fault. */
  declare readonly option: string | undefined;
  /** What is wrong and what would be right, without the place. */
  declare readonly reason: string;
  /** The line that made the call, where the engine's stack tells. */
  declare source: SourceLine | undefined;
  /** The sketch's line that led there, where the call was made in another file. */
  declare caller: SourceLine | undefined;
  /** The frame in which it happened, where it did in one. */
  declare frame: number | undefined;

  constructor(fault: Fault) {
    const { call, option, problem, expected, cause } = fault;
    super('', cause === undefined ? undefined : { cause });
    this.call = call;
    this.option = option;
    const shown = 'value' in fault ? show(fault.value) : '';
    const words = joined([call && `${call}:`, option, shown, problem], ' ');
    this.reason = joined([words, expected, shown.includes('NaN') && 'is a name misspelt?'], '; ');
    // A fault that wraps another error happened where that one did.
    const lines = sketchLines(cause instanceof Error ? cause.stack : fullStack(this));
    this.source = lines[0];
    const outermost = lines.at(-1);
    this.caller = outermost?.file === this.source?.file ? undefined : outermost;
    this.refresh();
  }

  /** Adds the frame in which it happened, unless it is known already. Returns itself. */
  inFrame(frame: number): this {
    this.frame ??= frame;
    this.refresh();
    return this;
  }

  /** Replaces the places from the stack by better ones (a development server knows the source map). Returns itself. */
  at(source: SourceLine | undefined, caller?: SourceLine): this {
    this.source = source;
    this.caller = caller;
    this.refresh();
    return this;
  }

  private refresh(): void {
    const places = [
      this.source && placeOf(this.source),
      this.caller && `called from ${placeOf(this.caller)}`,
      this.frame !== undefined && `frame ${this.frame}`,
    ];
    const place = joined(places, ', ');
    this.message = joined([this.reason, place && `(${place})`], ' ');
    // V8 wrote the message into the stack when there was none yet, and shows the stack where nobody catches the error.
    this.stack = this.stack?.replace(/^\w*Error.*?(?=\n {4}at |$)/s, () => `${this.name}: ${this.message}`);
  }
}

/** What there is of some words. */
function joined(words: readonly unknown[], between: string): string {
  return words.filter((word) => typeof word === 'string' && word !== '').join(between);
}

/** Throws a {@link SketchError}. */
export function fail(fault: Fault): never {
  throw new SketchError(fault);
}

/**
 * Any thrown value as a SketchError: one of ours as it is, another wrapped, so that it has a place and a frame.
 * @param hint what would most likely be right
 */
export function asSketchError(thrown: unknown, hint?: string): SketchError {
  if (thrown instanceof SketchError) return thrown;
  const problem = thrown instanceof Error ? `${thrown.name}: ${thrown.message}` : `threw ${show(thrown)}`;
  return new SketchError({ problem, expected: hint, cause: thrown });
}

/** A value as a person would write it, cut short: numbers and strings as source, objects by their outline. */
export function show(value: unknown): string {
  let text: string | undefined;
  if (typeof value === 'string') text = JSON.stringify(value);
  else if (typeof value === 'function') text = `function ${value.name}`.trim();
  else if (typeof value === 'object' && value !== null) {
    const plain = (_: string, part: unknown): unknown => {
      if (typeof part === 'function') return `~${show(part)}~`;
      return typeof part === 'number' || part === undefined || typeof part === 'bigint' ? `~${String(part)}~` : part;
    };
    try {
      text = JSON.stringify(value, plain)?.replace(/"~|~"/g, '');
    } catch {
      text = 'an object';
    }
  }
  text ??= String(value);
  return text.length > 60 ? `${text.slice(0, 57)}...` : text;
}

// This module lies in the library's root folder, so whatever lies below that is the library and not a sketch.
const hostRoots = [plainPath(import.meta.url.replace(/[^/]*$/, ''))];
/** What was found out of files: whether they are a sketch's. */
const sketchFiles = new Map<string, boolean>();
/** A place in a row of a stack trace: a URL, or a path, which may have spaces and parentheses in its names. */
const framePattern = /(?:^|[\s(@:])(\w+:\/\/\S+?|(?:\/|\w:\\).+?):(\d+):(\d+)(?![^),\s])/;

/** Tells that the code below a folder (as a URL that ends in `/`) is a host's, so that no error is placed there. */
export function addHostCode(root: string): void {
  hostRoots.push(plainPath(String(root)));
  sketchFiles.clear();
}

/** An error's stack with more of its calls than engines keep by themselves: ours may lie many deep in a sketch's. */
function fullStack(error: Error): string | undefined {
  const engine = Error as { captureStackTrace?: (target: object) => void; stackTraceLimit?: number };
  if (engine.captureStackTrace === undefined) return error.stack;
  const limit = engine.stackTraceLimit;
  engine.stackTraceLimit = 100;
  engine.captureStackTrace(error);
  const { stack } = error;
  engine.stackTraceLimit = limit;
  return stack;
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
  if (keptLines++ >= maxPlaces) {
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
const maxPlaces = 10_000;
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
  return calls === undefined || (typeof nearest === 'string' && isSketchFile(nearest));
}

/**
 * Where the sketch called the library, in the code that is run; undefined where the engine does not tell.
 * @param above the call below which to look
 * @param most so many calls are looked at
 */
function placeBelow(above: object, most: number): Place | undefined {
  const call = callsBelow(above, most)?.find((call) => isSketchFile(call.getFileName() ?? 'node:'));
  if (call === undefined) return undefined;
  return { file: call.getFileName()!, at: (call.getLineNumber() ?? 0) * columns + (call.getColumnNumber() ?? 0) };
}

/** The calls below one of those at hand, innermost first, at most so many; undefined where the engine does not tell. */
function callsBelow(above: object, most: number): CallSite[] | undefined {
  const engine = Error as {
    captureStackTrace?: (target: object, below: object) => void;
    prepareStackTrace?: unknown;
    stackTraceLimit?: number;
  };
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

/** The lines of a stack trace that are neither the library's nor the host's, innermost first. */
function sketchLines(stack: string | undefined): SourceLine[] {
  const lines: SourceLine[] = [];
  for (const row of (stack ?? '').split('\n')) {
    const found = framePattern.exec(row);
    if (!found) continue;
    const [, file, line, column] = found;
    if (isSketchFile(file) && !row.includes('node:'))
      lines.push({ file: plainPath(file), line: Number(line), column: Number(column) });
  }
  return lines;
}

function isSketchFile(file: string): boolean {
  let known = sketchFiles.get(file);
  if (known === undefined) {
    known = !isHostCode(file) && !file.includes('/node_modules/') && !file.startsWith('node:');
    if (sketchFiles.size > maxPlaces) sketchFiles.clear();
    sketchFiles.set(file, known);
  }
  return known;
}

function isHostCode(file: string): boolean {
  return hostRoots.some((root) => plainPath(file).startsWith(root));
}

function plainPath(file: string): string {
  const path = file.startsWith('file://') ? decodeURIComponent(file.slice('file://'.length)) : file;
  return path.replace(/\?.*$/, '');
}

function placeOf({ file, line, column }: SourceLine): string {
  return `${file.slice(Math.max(file.lastIndexOf('/'), file.lastIndexOf('\\')) + 1)}:${line}:${column}`;
}
