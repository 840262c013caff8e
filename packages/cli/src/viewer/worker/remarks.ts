import { sketchLine } from 'frame-juggler';
import type { Remark } from '../messages.ts';

/** Of what a sketch prints within a tenth of a second, so many lines are shown. */
const maxTogether = 100;
/** Longer lines are cut. */
const maxLength = 2000;

/** Gathers what is to be said, and says it a few times a second: a sketch that prints in each frame floods nobody. */
export class Remarks {
  private waiting: Remark[] = [];
  private left = 0;
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor(private readonly say: (remarks: readonly Remark[]) => void) {}

  add(kind: Remark['kind'], text: string, source = sketchLine()): void {
    if (this.waiting.length < maxTogether)
      this.waiting.push({ kind, text: text.length > maxLength ? `${text.slice(0, maxLength)}…` : text, source });
    else this.left++;
    this.timer ??= setTimeout(() => this.flush(), 100);
  }

  flush(): void {
    clearTimeout(this.timer);
    this.timer = undefined;
    if (this.left > 0)
      this.waiting.push({ kind: 'note', text: `${this.left} more lines were printed`, source: undefined });
    this.left = 0;
    if (this.waiting.length > 0) this.say(this.waiting);
    this.waiting = [];
  }
}

const kinds = { log: 'log', info: 'log', debug: 'log', warn: 'warning', error: 'error' } as const;

/** Takes what the sketch prints to the console; the browser's own console has it as well. */
export function listenToConsole(remarks: Remarks): void {
  const { console: browsers } = globalThis;
  for (const [name, kind] of Object.entries(kinds) as [keyof typeof kinds, Remark['kind']][]) {
    const original = browsers[name].bind(browsers);
    browsers[name] = (...values: unknown[]) => {
      original(...values);
      remarks.add(kind, values.map(inWords).join(' '));
    };
  }
}

/** What differs from one run to the next, and so gives other pictures each time. */
const chancy: readonly [holder: object, name: string, call: string, instead: string][] = [
  [Math, 'random', 'Math.random()', 'random from the moment has a seed'],
  [Date, 'now', 'Date.now()', 'seconds from the moment is the same in each run'],
  [performance, 'now', 'performance.now()', 'seconds from the moment is the same in each run'],
];

/** Notes once where the sketch asks the engine's own chance or the clock: its frames are then not the same again. */
export function noteChance(remarks: Remarks): void {
  for (const [holder, name, call, instead] of chancy) {
    const calls = holder as Record<string, (...values: unknown[]) => unknown>;
    const original = calls[name];
    calls[name] = (...values) => {
      const source = sketchLine();
      if (source !== undefined) {
        calls[name] = original;
        remarks.add('note', `${call} gives another picture each time; ${instead}`, source);
      }
      return original.apply(holder, values);
    };
  }
}

/** A value as a line of the console has it. */
function inWords(value: unknown): string {
  if (typeof value === 'string') return value;
  if (value instanceof Error) return `${value.name}: ${value.message}`;
  if (typeof value !== 'object' || value === null) return String(value);
  try {
    return JSON.stringify(value, (_, part: unknown) =>
      typeof part === 'bigint' || typeof part === 'function' || (typeof part === 'number' && !Number.isFinite(part))
        ? String(part)
        : ArrayBuffer.isView(part) && !(part instanceof DataView)
          ? Array.from(part as unknown as ArrayLike<number>)
          : part,
    );
  } catch {
    return Object.prototype.toString.call(value);
  }
}
