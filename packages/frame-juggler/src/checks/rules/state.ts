import type { SourceLine } from '../../source-line.ts';
import { isPoint, xOf, yOf, type Point } from '../../schema/point.ts';
import { byLine, numbersOf, placeOf, waitsForInput, type Detail, type Sighting } from '../evidence.ts';
import type { Rule } from '../rule.ts';
import { optionsOf, type NotedCall, type PaintLog } from '../watch.ts';

/* Styles and transforms that do nothing, or more than was meant. */

/** A call of `style`, and which of its keys something was drawn with. */
interface StyleCall {
  readonly call: NotedCall;
  readonly keys: ReadonlySet<string>;
  readonly used: Set<string>;
}

const transforms = new Set(['translate', 'rotate', 'scale', 'skew', 'tilt', 'transform']);
const notDrawing = new Set([
  ...transforms,
  'style',
  'save',
  'restore',
  'group',
  'resetTransform',
  'clear',
  'toCanvas',
  'toLocal',
]);
const isDrawing = ({ name, first, end }: NotedCall): boolean => !notDrawing.has(name) && end > first;

/** Follows styles through a paint: which call each item's look comes from. */
function styleCalls({ log }: Detail): StyleCall[] {
  const all: StyleCall[] = [];
  let inForce = new Map<string, StyleCall>();
  const stack: Map<string, StyleCall>[] = [];
  for (const event of log.events) {
    if (event.type === 'enter') stack.push(new Map(inForce));
    else if (event.type === 'leave') inForce = stack.pop() ?? inForce;
    else {
      const { call } = event;
      const options = optionsOf(call);
      if (call.name === 'style') {
        const style = { call, keys: new Set(Object.keys(options)), used: new Set<string>() };
        all.push(style);
        for (const key of style.keys) inForce.set(key, style);
      } else if (isDrawing(call))
        for (const [key, style] of inForce) {
          const own = options[key];
          // A stroke given in parts takes the rest from the current style.
          const isOwn = own !== undefined && !(key === 'stroke' && typeof own === 'object');
          if (!isOwn && (key !== 'text' || call.name === 'text')) style.used.add(key);
        }
      else if (call.name === 'group')
        // A group's new style is not the one in force before; the calls inside it tell what it draws.
        continue;
    }
  }
  return all;
}

const unusedStyle: Rule = {
  name: 'unused-style',
  title: 'A style that nothing uses',
  why: 'It is set after what it was meant for, replaced before anything is drawn, or every shape has its own.',
  cure: 'Set it before the shapes it is for: canvas.style({ fill: … }) first, then canvas.rect(…).',
  find({ details }) {
    const byLine = new Map<
      string,
      { line: SourceLine | undefined; frame: number; unused: Set<string>; count: number }
    >();
    for (const detail of details)
      for (const { call, keys, used } of styleCalls(detail)) {
        const unused = [...keys].filter((key) => !used.has(key));
        const known = byLine.get(placeOf(call.line));
        if (known === undefined)
          byLine.set(placeOf(call.line), { line: call.line, frame: detail.at, unused: new Set(unused), count: 1 });
        else known.unused = new Set(unused.filter((key) => known.unused.has(key)));
      }
    return [...byLine.values()].flatMap(({ line, frame, unused }): Sighting[] =>
      unused.size === 0
        ? []
        : [{ line, frame, text: `nothing is drawn with the ${[...unused].join(' and ')} set here` }],
    );
  },
};

/** A call that adds to the transform, and whether anything came of it. */
interface TransformCall {
  readonly call: NotedCall;
  /** Whether something had been drawn before it. */
  readonly isLate: boolean;
  used: boolean;
}

/** Follows transforms through a paint: which of them move something, or are asked about. */
function transformCalls({ log }: Detail): TransformCall[] {
  const all: TransformCall[] = [];
  let inForce: readonly TransformCall[] = [];
  const stack: (readonly TransformCall[])[] = [];
  let isLate = false;
  for (const event of log.events) {
    if (event.type === 'enter') stack.push(inForce);
    else if (event.type === 'leave') inForce = stack.pop() ?? inForce;
    else {
      const { call } = event;
      if (transforms.has(call.name)) {
        // What takes one back is of use by that alone.
        const added = { call, isLate, used: inForce.some((before) => undoes(before.call, call)) };
        all.push(added);
        inForce = [...inForce, added];
      } else if (call.name === 'group' && [...transforms].some((name) => name in optionsOf(call))) {
        // What draws nothing in this frame may do so in another.
        all.push({ call, isLate: true, used: call.end > call.first || !callsNothing(call.given[1]) });
      } else if (isDrawing(call) || call.name === 'toCanvas' || call.name === 'toLocal') {
        for (const moving of inForce) moving.used = true;
        isLate ||= isDrawing(call);
      }
    }
  }
  return all;
}

/** Whether the body of a function calls nothing at all. */
const callsNothing = (body: unknown): boolean => !/\(/.test(String(body).replace(/^[^{=]*(?:=>|\{)/, ''));

const unusedTransform: Rule = {
  name: 'unused-transform',
  title: 'A transform that moves nothing',
  why: 'It counts for what is drawn after it, or in its group, and what it was meant for is drawn elsewhere.',
  cure: 'Call it first, or put it around what it is for: canvas.group({ translate: [160, 90] }, () => { … }).',
  find({ details, noted }) {
    // What it is for may wait for a press.
    if (waitsForInput(noted)) return [];
    const idle = new Map<string, Sighting | undefined>();
    for (const detail of details)
      for (const { call, isLate, used } of transformCalls(detail)) {
        const place = placeOf(call.line);
        const text = `nothing is drawn ${call.name === 'group' ? 'in' : 'after'} this ${call.name}`;
        const sighting = { line: call.line, frame: detail.at, text };
        if (used || !isLate) idle.set(place, undefined);
        else if (!idle.has(place)) idle.set(place, sighting);
      }
    return [...idle.values()].filter((sighting) => sighting !== undefined);
  },
};

const leak: Rule = {
  name: 'leak',
  title: 'A transform or style that affects later shapes',
  why: 'Set outside a group, it lasts for the rest of the frame.',
  cure: 'Put it into a group together with what it is for: canvas.group({ translate: [x, y], rotate: 30 }, () => { … }).',
  find: ({ details }) => details.slice(0, 1).flatMap((detail) => [...leaksOf(detail), ...outlinedTexts(detail)]),
};

/** Styles that are seldom meant for all that follows. */
const stickyKeys = ['opacity', 'blend'];

function leaksOf({ at, log }: Detail): Sighting[] {
  const { calls } = log;
  const found: Sighting[] = [];
  const lines = new Map<string, number>();
  for (const { line } of calls) lines.set(placeOf(line), (lines.get(placeOf(line)) ?? 0) + 1);
  calls.forEach((call, i) => {
    const [options] = call.given as [Record<string, unknown>?];
    const isSticky =
      call.name === 'style' &&
      stickyKeys.some((key) => options?.[key] !== undefined && options[key] !== 1 && options[key] !== 'normal');
    if (call.depth > 0 || (!transforms.has(call.name) && !isSticky)) return;
    // A transform that is repeated in a loop is meant to add up.
    if (lines.get(placeOf(call.line))! > 1) return;
    const earlier = calls.slice(0, i).filter((one) => one.depth === 0);
    // The way back is what undoes an earlier leak.
    if (!isSticky && earlier.some((one) => undoes(one, call))) return;
    const before = earlier.some(isDrawing);
    const rest = calls.slice(i + 1);
    const undone = rest.findIndex((one) => one.depth === 0 && undoes(call, one));
    const after = rest
      .slice(0, undone < 0 ? undefined : undone)
      .filter((one) => one.depth === 0 && (isDrawing(one) || one.name === 'group'));
    const reached = new Set(after.map(({ line }) => placeOf(line)));
    if (!before || reached.size < 2 || undone >= 0) return;
    found.push({
      line: call.line,
      frame: at,
      text: `this ${call.name} affects everything drawn after it until the end of the frame: ${reached.size} lines of calls`,
      items: numbersOf(after),
    });
  });
  return found;
}

/** Strokes set for shapes that outline a text drawn after those, which is seldom meant: letters then look smeared. */
function outlinedTexts({ at, log, items: all }: Detail): Sighting[] {
  const stroked = new Set(all.filter(({ item }) => item.stroke !== undefined).map(({ place }) => place));
  const calls = log.calls.filter(({ depth }) => depth === 0);
  return calls.flatMap((call, i): Sighting[] => {
    if (!setsStroke(call)) return [];
    const rest = calls.slice(i + 1);
    const next = rest.findIndex(setsStroke);
    const reached = rest.slice(0, next < 0 ? undefined : next).filter((one) => isDrawing(one) && !hasOwnStroke(one));
    const text = reached.findIndex(({ name }) => name === 'text');
    // A text that comes first, or is nothing but its outline, is meant to have one.
    if (text < 1 || !stroked.has(reached[text].first) || optionsOf(reached[text]).fill === 'none') return [];
    const { given } = reached[text];
    const items = numbersOf([reached[text]]);
    return [{ line: call.line, frame: at, text: `the stroke set here also outlines the text “${String(given[0])}”`, items }]; // prettier-ignore
  });
}

const setsStroke = ({ name, given: [options] }: NotedCall): boolean =>
  name === 'style' && (options as Record<string, unknown> | undefined)?.stroke !== undefined;
const hasOwnStroke = (call: NotedCall): boolean => optionsOf(call).stroke !== undefined;

/** Whether a later call takes back what an earlier one set. */
function undoes(call: NotedCall, later: NotedCall): boolean {
  if (later.name === 'resetTransform') return transforms.has(call.name);
  if (call.name === 'style')
    return later.name === 'style' && stickyKeys.some((key) => key in ((later.given[0] ?? {}) as object));
  if (later.name !== call.name) return false;
  const numbers = ({ given: [value] }: NotedCall): number[] =>
    typeof value === 'number'
      ? [value]
      : Array.isArray(value)
        ? (value as number[])
        : value !== null && typeof value === 'object'
          ? Object.values(value as Record<string, number>)
          : [];
  const [one, other] = [numbers(call), numbers(later)];
  // The way back: the same amounts the other way about, or a scale's inverse.
  return (
    one.length === other.length &&
    one.every((amount, i) =>
      call.name === 'scale' ? Math.abs(amount * other[i] - 1) < 1e-6 : Math.abs(amount + other[i]) < 1e-6,
    )
  );
}

const addsUp: Rule = {
  name: 'adds-up',
  title: 'Steps of a loop that add up to ever larger ones',
  why: 'Each transform adds to the one in force: turns by 0, 30 and 60 degrees lead to 0, 30 and 90.',
  cure: 'Add the same each time, canvas.rotate(30), or begin anew each time: canvas.group({ rotate: i * 30 }, () => …).',
  find: ({ details }) => {
    const found = details.flatMap(({ at, log }) => stepsThatAddUp(log).map((calls) => ({ at, calls })));
    return byLine(found, ({ calls: [{ line }] }) => line).map(([{ at, calls }]) => {
      const [{ name, line }] = calls;
      const amounts = calls.slice(0, 3).map((call) => (name === 'rotate' ? amountsOf(call)[0] : `[${amountsOf(call).join(', ')}]`)); // prettier-ignore
      return { line, frame: at, text: `${calls.length} calls of ${name}, by ${amounts.join(', ')} and so on, each add to all before them` }; // prettier-ignore
    });
  },
};

/** The calls of each line that turn or move on by even steps, while nothing takes them back or moves otherwise. */
function stepsThatAddUp(log: PaintLog): NotedCall[][] {
  const found: NotedCall[][] = [];
  let run: NotedCall[] = [];
  const stack: NotedCall[][] = [];
  const end = (): void => {
    if (run.length >= 3 && areMultiples(run.map(amountsOf))) found.push(run);
  };
  for (const event of log.events) {
    if (event.type === 'enter') {
      stack.push(run);
      run = [];
    } else if (event.type === 'leave') {
      end();
      run = stack.pop() ?? [];
    } else if (transforms.has(event.call.name) || event.call.name === 'resetTransform') {
      const { call } = event;
      const goesOn = run.length > 0 && run[0].name === call.name && placeOf(run[0].line) === placeOf(call.line);
      if (!goesOn) {
        end();
        run = [];
      }
      if (call.name === 'rotate' || call.name === 'translate') run.push(call);
    }
  }
  end();
  return found;
}

/** By how much a call turns, or moves in x and in y. */
function amountsOf({ given: [amount] }: NotedCall): number[] {
  return isPoint(amount) ? [xOf(amount as Point), yOf(amount as Point)] : [amount as number];
}

/** Whether amounts go up as a counter times a step does, from 0 or 1 on; one of two may stay as it is. */
function areMultiples(all: readonly (readonly number[])[]): boolean {
  const kinds = all[0].map((first, axis) => {
    const step = all[1][axis] - first;
    const isEven = all.every((amounts, i) => Math.abs(amounts[axis] - first - i * step) < 1e-6);
    if (!isEven) return 'other';
    if (step === 0) return 'same';
    return Math.min(Math.abs(first), Math.abs(first - step)) < 1e-6 ? 'multiple' : 'other';
  });
  return kinds.includes('multiple') && !kinds.includes('other');
}

const openSave: Rule = {
  name: 'open-save',
  title: 'A save that is never restored',
  why: 'What was saved is never brought back, so transform and style last until the end of the frame.',
  cure: 'End it with canvas.restore(), or use canvas.group({ … }, () => { … }), which ends by itself.',
  find: ({ details }) =>
    details.flatMap(({ at, frame, log }): Sighting[] =>
      frame.openSaves === 0
        ? []
        : [
            {
              line: log.saves.at(-1),
              frame: at,
              text: `${frame.openSaves === 1 ? 'this save is' : `${frame.openSaves} saves are`} never restored`,
            },
          ],
    ),
};

const uncalled: Rule = {
  name: 'uncalled',
  title: 'A call without its parentheses',
  why: 'Its name alone does nothing.',
  cure: 'Write its parentheses: canvas.save().',
  find: ({ details }) =>
    details.flatMap(({ at, log }): Sighting[] =>
      [...log.uncalled].map(({ name, line }) => ({ line, frame: at, text: `canvas.${name} is named, but not called` })),
    ),
};

export const stateRules: readonly Rule[] = [unusedStyle, unusedTransform, leak, addsUp, openSave, uncalled];
