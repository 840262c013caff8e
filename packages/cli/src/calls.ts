/** What of a sketch's code can be running. */
const kinds = [undefined, 'load', 'start', 'step', 'paint'] as const;
export type CallKind = NonNullable<(typeof kinds)[number]>;

/** Code of a sketch's that is running. */
export interface SketchCall {
  readonly kind: CallKind;
  readonly frame: number;
  /** Its number among all calls. */
  readonly number: number;
}

/** Bytes: the call's kind, its number among all, and its frame. */
const length = 16;

/**
 * Which of the sketch's code a thread is in, in memory that another thread reads: a thread that never comes back from
 * it can tell nothing by messages.
 */
export class Calls {
  private readonly words: Int32Array;
  private readonly frames: Float64Array;

  constructor(readonly memory = new SharedArrayBuffer(length)) {
    this.words = new Int32Array(memory, 0, 2);
    this.frames = new Float64Array(memory, 8, 1);
  }

  begin(kind: CallKind, frame = 0): void {
    this.frames[0] = frame;
    Atomics.add(this.words, 1, 1);
    Atomics.store(this.words, 0, kinds.indexOf(kind));
  }

  end(): void {
    Atomics.store(this.words, 0, 0);
  }

  /** The frame last begun. */
  get frame(): number {
    return this.frames[0];
  }

  /** The call that is under way. */
  get current(): SketchCall | undefined {
    const kind = kinds[Atomics.load(this.words, 0)];
    return kind === undefined ? undefined : { kind, frame: this.frames[0], number: Atomics.load(this.words, 1) };
  }
}
