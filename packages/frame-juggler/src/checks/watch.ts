import type { Canvas } from '../canvas/canvas.ts';
import type { Noise } from '../chance/noise.ts';
import { callWatch } from '../call-watch.ts';
import { sketchLine, type SourceLine } from '../source-line.ts';
import type { Pointer } from '../sketch/input.ts';
import { withParts, type Moment, type Sketch } from '../sketch/sketch.ts';
import { lettering } from '../text/lettering.ts';
import { needsOf } from '../text/needs.ts';
import { firstChange, isChanged, valuesOf } from './state-values.ts';
import { restyleText, type TextStyle, type TextStyleOptions } from '../text/style.ts';

/*
 * What a sketch does while it is watched: which calls it makes of its canvas, and what it asks for. It is watched from
 * outside, through stand-ins for its canvas and its moment, so that a run that is not watched costs nothing for it.
 */

/** A call of the canvas, or one of the library beside it. */
export interface NotedCall {
  readonly name: string;
  readonly given: readonly unknown[];
  readonly line: SourceLine | undefined;
  /** The first item that it drew, and the one after its last, by their places in the frame. */
  readonly first: number;
  end: number;
  /** How many groups and saves it was made in. */
  readonly depth: number;
  /** For a text: how it is set, and which of its characters its font lacks. */
  readonly textStyle?: TextStyle;
  lacking?: readonly string[];
}

/** The options that a call was given; none where it takes none. A picture or a kind of shape comes before them. */
export function optionsOf({ name, given }: NotedCall): Readonly<Record<string, unknown>> {
  const rest = name === 'picture' || name === 'shape' ? given.slice(1) : given;
  return (rest.find((one) => typeof one === 'object' && one !== null) ?? {}) as Readonly<Record<string, unknown>>;
}

/** A call of `noise`: where it was asked for, and what it gave. */
export interface NotedNoise {
  readonly place: readonly (number | undefined)[];
  readonly value: number;
  readonly line: SourceLine | undefined;
}

/** What happened in the course of a paint: calls, and the beginnings and ends of groups and saves. */
export type PaintEvent =
  { readonly type: 'call'; readonly call: NotedCall } | { readonly type: 'enter' } | { readonly type: 'leave' };

/** What was noted of one paint. */
export class PaintLog {
  readonly events: PaintEvent[] = [];
  depth = 0;
  /** Lines of saves that have not been restored. */
  readonly saves: (SourceLine | undefined)[] = [];
  /** Calls that were named, and not made. */
  readonly uncalled = new Set<{ readonly name: string; readonly line: SourceLine | undefined }>();
  /** How many calls of the library there were that are none of its canvas. */
  aside = 0;
  /** The first calls of `noise`. */
  readonly noises: NotedNoise[] = [];

  private noted: readonly NotedCall[] | undefined;
  private byItem: readonly NotedCall[] | undefined;

  /** The calls among its events; asked for once it is complete. */
  get calls(): readonly NotedCall[] {
    return (this.noted ??= this.events.flatMap((event) => (event.type === 'call' ? [event.call] : [])));
  }

  /** The call that drew an item, by the item's place in the frame; a group draws nothing itself. */
  callOf(place: number): NotedCall | undefined {
    return (this.byItem ??= this.callsByItem())[place];
  }

  private callsByItem(): NotedCall[] {
    const found: NotedCall[] = [];
    for (const call of this.calls)
      if (call.name !== 'group') for (let place = call.first; place < call.end; place++) found[place] ??= call;
    return found;
  }
}

/** What was noted of a run. */
export class Noted {
  /** What of the moment the sketch has asked for. */
  readonly asked = new Set<string>();
  /** The names of the dials and files that it has taken. */
  readonly taken = new Set<string>();
  /** The labels that `pointer.over` was asked for, each with a line. */
  readonly labels = new Map<string, SourceLine | undefined>();
  /** Streams of chance that were begun more than once within one call of the sketch, with their lines. */
  readonly streams: { readonly key: string; readonly line: SourceLine | undefined }[] = [];
  /** What the engine was asked instead of the moment: chance, clocks and timers. */
  readonly engine: { readonly call: string; readonly line: SourceLine | undefined }[] = [];
  /** The angles that `Math.sin` and its kin were given, but for 0. */
  readonly angles: { readonly call: string; readonly angle: number; readonly line: SourceLine | undefined }[] = [];
  /** What `Math.atan2` and its kin gave, but for 0, by `angleKey`; each by the name of its call. */
  readonly arcs = new Map<number, string>();
  /** The first calls of `noise` beside those in paints that were noted in full. */
  readonly noises: NotedNoise[] = [];
  /** Whether a step has changed the state, or returned another. */
  moved = false;
  /** The first place of the state that a paint has changed, where one has. */
  changed: string | undefined;
  /** The first picture of the state that a paint has written to, where one has. Written whole, it does no harm. */
  written: string | undefined;
  /** The log of the paint that is to be noted in full; undefined where none is. */
  log: PaintLog | undefined;
}

/** An angle in radians as it is known again after arithmetic has changed its last digits. */
export const angleKey = (angle: number): number => Math.round(angle * 1e9);

/** The sketch, watched: it draws the same, and what it does is noted. */
export function watched(sketch: Sketch, noted: Noted): Sketch {
  const { start, step } = sketch;
  return withParts(sketch, {
    start: (moment) => throughEngine(noted, () => start(watchedMoment(moment, noted))),
    step:
      step &&
      ((state, moment) => {
        const before = noted.moved ? undefined : valuesOf(state);
        const next = throughEngine(noted, () => step(state, watchedMoment(moment, noted)));
        // A state that is too large to be looked at is taken to change.
        noted.moved ||= before === undefined || next !== undefined || isChanged(before, valuesOf(state));
        return next;
      }),
    paint: takingAsMuch(sketch.paint, (canvas, moment, state) => {
      const before = noted.log && valuesOf(state);
      const paint = (): unknown => sketch.paint(watchedCanvas(canvas, noted), watchedMoment(moment, noted, () => bearingOf(canvas)), state); // prettier-ignore
      const result = throughEngine(noted, paint, canvas);
      const after = before && valuesOf(state);
      noted.changed ??= firstChange(before?.values, after?.values);
      noted.written ??= firstChange(before?.pictures, after?.pictures);
      // Of one that is async there is a promise, which the run refuses.
      return result as void;
    }),
  });
}

/** A function with as many parameters as another has: whether a sketch's own takes the state, hints tell by that. */
function takingAsMuch<Made extends (...given: never) => unknown>(own: Made, made: Made): Made {
  return Object.defineProperty(made, 'length', { value: own.length });
}

/** How the units of a canvas are turned and scaled, wherever they are. */
function bearingOf(canvas: Canvas): string {
  const [origin, right, down] = [[0, 0], [1, 0], [0, 1]].map((point) => canvas.toCanvas(point)); // prettier-ignore
  const parts = [right.x - origin.x, right.y - origin.y, down.x - origin.x, down.y - origin.y];
  return parts.map((part) => Math.round(part * 1e6)).join(' ');
}

/** @param bearing how what is drawn at the moment is turned: the same by chance, turned or mirrored, is meant so */
function watchedMoment(moment: Moment, noted: Noted, bearing = (): string => ''): Moment {
  const streams = new Set<string>();
  const random = new Proxy(moment.random, {
    get(target, name) {
      const value: unknown = Reflect.get(target, name);
      if (typeof value !== 'function') return value;
      return (...given: unknown[]) => {
        if (name === 'stream') {
          const key = String(given[0]);
          const known = `${key} ${bearing()}`;
          if (streams.has(known)) noted.streams.push({ key, line: sketchLine() });
          streams.add(known);
        }
        return Reflect.apply(value, target, given) as unknown;
      };
    },
  });
  const noting = (values: object): object =>
    new Proxy(values, {
      get(target, name) {
        noted.taken.add(String(name));
        return Reflect.get(target, name) as unknown;
      },
    });
  const noise = watchedNoise(moment.noise, noted.log?.noises ?? noted.noises);
  const parts = { random, noise, dials: noting(moment.dials), assets: noting(moment.assets) };
  return new Proxy(moment, {
    get(target, name) {
      noted.asked.add(String(name));
      if (name === 'pointer') return watchedPointer(target.pointer, noted);
      return Object.hasOwn(parts, name) ? parts[name as keyof typeof parts] : (Reflect.get(target, name) as unknown);
    },
  });
}

/** So many calls of noise are kept: enough to know again what was placed by them. */
const maxNoises = 2000;

function watchedNoise(noise: Noise, noises: NotedNoise[]): Noise {
  const noting = (place: NotedNoise['place'], value: number): number => {
    if (noises.length < maxNoises) noises.push({ place, value, line: sketchLine() });
    return value;
  };
  return Object.assign((...place: Parameters<Noise>) => noting(place, noise(...place)), {
    // A turn around the loop is no place.
    loop: (...given: Parameters<Noise['loop']>) => noting([], noise.loop(...given)),
    stream: (key: string | number) => watchedNoise(noise.stream(key), noises),
  });
}

function watchedPointer(pointer: Pointer, noted: Noted): Pointer {
  // The same one whenever it is asked for: a sketch may keep the pointer in its state, which is looked at for changes.
  const over = (label: string): boolean => {
    if (!noted.labels.has(label)) noted.labels.set(label, sketchLine());
    return pointer.over(label);
  };
  return new Proxy(pointer, {
    get: (target, name) => (name === 'over' ? over : (Reflect.get(target, name) as unknown)),
  });
}

function watchedCanvas(canvas: Canvas, noted: Noted): Canvas {
  const { log } = noted;
  if (log === undefined) return canvas;
  let line: SourceLine | undefined;
  canvas.lineOf = () => line;
  return new Proxy(canvas, {
    get(target, name, watching: Canvas) {
      const value: unknown = Reflect.get(target, name, target);
      if (typeof value !== 'function') return value;
      const named = { name: String(name), line: sketchLine() };
      log.uncalled.add(named);
      return (...given: unknown[]): unknown => {
        log.uncalled.delete(named);
        ({ line } = named);
        const first = target.recorded;
        const { depth } = log;
        const call: NotedCall = {
          name: String(name),
          given,
          line,
          first,
          end: first,
          depth,
          ...textFacts(target, name, given),
        };
        log.events.push({ type: 'call', call });
        if (name === 'save') {
          log.saves.push(line);
          enter(log);
        } else if (name === 'restore' && log.saves.length > 0) {
          log.saves.pop();
          leave(log);
        }
        const result: unknown =
          name === 'group' && typeof given[1] === 'function'
            ? target.group(given[0] as never, () => within(log, () => (given[1] as (canvas: Canvas) => void)(watching)))
            : Reflect.apply(value, target, given);
        call.end = target.recorded;
        return result;
      };
    },
  });
}

function within<Result>(log: PaintLog, body: () => Result): Result {
  enter(log);
  const saves = log.saves.length;
  try {
    return body();
  } finally {
    // A state that was saved in a group and not restored ends with the group.
    while (log.saves.length > saves) {
      log.saves.pop();
      leave(log);
    }
    leave(log);
  }
}

function enter(log: PaintLog): void {
  log.depth++;
  log.events.push({ type: 'enter' });
}

function leave(log: PaintLog): void {
  log.depth--;
  log.events.push({ type: 'leave' });
}

function textFacts(canvas: Canvas, name: string | symbol, given: readonly unknown[]): Partial<NotedCall> {
  return name === 'text' ? { textStyle: restyleText(canvas.textStyle, (given[1] ?? {}) as TextStyleOptions) } : {};
}

/** Notes of each text of a paint which characters its font lacks; its fonts have to be loaded by now. */
export function noteLacking(log: PaintLog): void {
  for (const call of log.calls) {
    if (call.textStyle === undefined) continue;
    const [string, style] = [String(call.given[0]), call.textStyle];
    const { layOut, means } = lettering(needsOf(string, style, undefined));
    call.lacking = layOut({ string, pin: [0, 0], style, anchor: undefined, maxWidth: undefined, up: false, united: false }, means).lacking; // prettier-ignore
  }
}

/** What gives another picture each time: on the engine's own objects, and while the sketch's code runs only. */
const chancy: readonly [holder: object, name: string, call: string][] = [
  [Math, 'random', 'Math.random()'],
  [Date, 'now', 'Date.now()'],
  [performance, 'now', 'performance.now()'],
  // A page has all of these, Node not.
  ...['setTimeout', 'setInterval', 'requestAnimationFrame']
    .filter((name) => name in globalThis)
    .map((name): [object, string, string] => [globalThis, name, `${name}()`]),
];

/** The engine's mathematics, by the names of its functions. */
const maths = Math as unknown as Record<string, (...given: number[]) => number>;
const trigonometric = ['sin', 'cos', 'tan'];
/** So many of their calls are noted in steps, and as many more in paints that are noted in full: each takes its time. */
const maxAngles = 1000;

const inverse = ['atan2', 'atan', 'asin', 'acos'];
/** The calls that give an angle; the others are given one. */
const giveAngles = new Set(['Math', 'maths'].flatMap((holder) => inverse.map((name) => `${holder}.${name}`)));
/** So many angles that they gave are kept: they are numbers, no more. */
const maxArcs = 100_000;

/** Notes an angle that a function of angles was given, or that one gave. */
function noteAngle(noted: Noted, call: string, given: number, result: number): void {
  if (giveAngles.has(call)) {
    if (result !== 0 && noted.arcs.size < maxArcs) noted.arcs.set(angleKey(result), call);
  } else if (given !== 0 && noted.angles.length < (noted.log === undefined ? maxAngles : 2 * maxAngles))
    noted.angles.push({ call, angle: given, line: sketchLine() });
}

/** So many calls of the library are noted of a paint: a ramp may be asked for the color of every pixel. */
const maxAside = 1000;

/** Notes a call of the library among those of a canvas. */
function noteCall(log: PaintLog, canvas: Canvas, name: string, given: readonly unknown[]): void {
  if (++log.aside > maxAside) return;
  const place = canvas.recorded;
  const { depth } = log;
  log.events.push({ type: 'call', call: { name, given, line: sketchLine(), first: place, end: place, depth } });
}

/**
 * Calls the sketch's code, and notes what it asks of the engine, and of the library beside the canvas: chance, clocks, and
 * what angles it gives and gets. All is as before afterwards.
 * @param canvas the one that it paints on
 */
function throughEngine<T>(noted: Noted, call: () => T, canvas?: Canvas): T {
  const before = chancy.map(([holder, name]) => (holder as Record<string, unknown>)[name]);
  const functions = [...trigonometric, ...inverse].map((name) => [name, maths[name]] as const);
  for (const [name, engineFunction] of functions) {
    const called = `Math.${name}`;
    maths[name] = (...given) => {
      const result = engineFunction(...given);
      noteAngle(noted, called, given[0], result);
      return result;
    };
  }
  callWatch.onCall = (name, given, result) => {
    if (result !== undefined) noteAngle(noted, name, given[0] as number, result);
    else if (canvas !== undefined && noted.log !== undefined) noteCall(noted.log, canvas, name, given);
  };
  const engineDate = globalThis.Date;
  chancy.forEach(([holder, name, words], i) => {
    (holder as Record<string, unknown>)[name] = (...given: unknown[]): unknown => {
      const line = sketchLine();
      if (line !== undefined) noted.engine.push({ call: words, line });
      return Reflect.apply(before[i] as (...values: unknown[]) => unknown, holder, given);
    };
  });
  globalThis.Date = new Proxy(engineDate, {
    construct(target, given: unknown[]) {
      const line = given.length === 0 ? sketchLine() : undefined;
      if (line !== undefined) noted.engine.push({ call: 'new Date()', line });
      return Reflect.construct(target, given) as object;
    },
  });
  try {
    return call();
  } finally {
    globalThis.Date = engineDate;
    callWatch.onCall = undefined;
    for (const [name, engineFunction] of functions) maths[name] = engineFunction;
    chancy.forEach(([holder, name], i) => ((holder as Record<string, unknown>)[name] = before[i]));
  }
}
