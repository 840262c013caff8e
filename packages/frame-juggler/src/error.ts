import { fullStack, placeOf, sketchLines, type SourceLine } from './source-line.ts';

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
    const isUncalled = /function.* is not a (?:number|point)$/.test(words);
    const asked = isUncalled ? 'is it to be called?' : /NaN|.undefined/.test(shown) && 'is a name misspelt?';
    this.reason = joined([words, expected, asked], '; ');
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
  const problem =
    thrown instanceof Error ? `${thrown.name}: ${thrown.message.replace(/\.$/, '')}` : `threw ${show(thrown)}`;
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
