import { fromRadians } from '../../geometry/angle.ts';
import type { Box } from '../../geometry/box.ts';
import { identity } from '../../geometry/matrix.ts';
import { pathBox } from '../../geometry/path.ts';
import {
  byLine,
  called,
  callsByLine,
  framesOf,
  isOff,
  isTurnedAside,
  itemsByLine,
  middle,
  numbersOf,
  verb,
  type Evidence,
  type LineItems,
  type SeenItem,
} from '../evidence.ts';
import type { Rule } from '../rule.ts';
import { angleKey, optionsOf, type NotedCall } from '../watch.ts';

/* Degrees and radians, one taken for the other, and what things are turned and scaled about. */

const quarter = Math.PI / 4;

/** Whether an angle is a multiple of a part of a turn in radians. */
const isMultiple = (angle: number, part: number, precision: number): boolean => Math.abs(angle / part - Math.round(angle / part)) < precision; // prettier-ignore

/** Whether an angle is a multiple of an eighth of a turn in radians, as one writes it: 1.5708, 3.1416. */
function looksLikeRadians(angle: unknown): angle is number {
  if (typeof angle !== 'number' || angle === 0 || Number.isInteger(angle) || Math.abs(angle) > 13) return false;
  return isMultiple(angle, quarter, 2e-3);
}

/** By which call an angle came about, or one that it lies a quarter or half a turn from; undefined where by none. */
function arcOf(angle: number, arcs: ReadonlyMap<number, string>): string | undefined {
  if (Number.isInteger(angle)) return undefined;
  for (const parts of [0, 2, -2, 4, -4]) {
    const call = arcs.get(angleKey(angle + parts * quarter)) ?? arcs.get(angleKey(parts * quarter - angle));
    if (call !== undefined) return call;
  }
  return undefined;
}

const radians: Rule = {
  name: 'radians',
  title: 'An angle in radians',
  why: 'Angles are in degrees; an angle meant in radians hardly turns anything.',
  cure: 'Write 90 for a quarter turn, heading([0, 0], [vx, vy]) for Math.atan2(vy, vx), or fromRadians(Math.PI / 2) if your angles come in radians.',
  find({ details, noted: { arcs }, sketch: { frameRate, frames } }) {
    const isArc = (angle: unknown): boolean => typeof angle === 'number' && arcOf(angle, arcs) !== undefined;
    // Of Math.PI and the time: seconds are whole frames by their rate, progress by their number, and sixtieths are the
    // finest parts that one writes.
    const ticks = [frameRate, frames].filter(Number.isFinite).map((count) => 60 * count);
    const isTimed = (angle: unknown): boolean => typeof angle === 'number' && !Number.isInteger(angle) && ticks.some((count) => isMultiple(angle, Math.PI / count, 1e-6)); // prettier-ignore
    return callsByLine(details).flatMap((calls) => {
      // No turn at all is the same in radians: a loop begins with it.
      const turning = calls.filter(({ call }) => anglesOf(call).some((angle) => angle !== undefined && angle !== 0)); // prettier-ignore
      if (turning.length === 0) return [];
      const [{ at }] = turning;
      const { name, line } = turning[0].call;
      const angles = new Set(turning.flatMap(({ call }) => anglesOf(call).filter((angle) => typeof angle === 'number' && angle !== 0))); // prettier-ignore
      const isWritten = (angle: unknown): boolean => looksLikeRadians(angle) || (angles.size > 1 && isTimed(angle));
      const isInRadians = (angle: unknown): boolean => isWritten(angle) || isArc(angle);
      const inFrame = calls.filter((one) => one.at === at).map(({ call }) => call);
      const items = numbersOf(inFrame);
      const part = partOfTurn(inFrame);
      if (part !== undefined) {
        const text = `${inFrame.length} calls of ${name} turn by ${rounded(part)}° each, which looks like ${rounded(fromRadians(part))}° in radians`;
        return [{ line, frame: at, items, text }];
      }
      // Every call of a line: an angle that changes comes by such a value now and then. Next to an angle in radians, the
      // other one may be a whole number: from 0 to Math.PI.
      if (!turning.every(({ call }) => anglesOf(call).some(isInRadians))) return [];
      const { call } = turning.find(({ call }) => anglesOf(call).some(isWritten)) ?? turning[0];
      const angle = anglesOf(call).find(isInRadians) as number;
      const why = isWritten(angle)
        ? `looks like ${Number(fromRadians(angle).toFixed(1))}° in radians`
        : `comes from ${arcOf(angle, arcs)}: ${rounded(fromRadians(angle))}° in radians`;
      return [{ line, frame: at, items, text: `${name} is given ${rounded(angle)}°, which ${why}` }];
    });
  },
};

const rounded = (angle: number): number => Number(angle.toFixed(4));

/**
 * By how much each call of a loop turns further than the one before, if all of them go half round or all round in
 * radians; undefined where they do not.
 */
function partOfTurn(calls: readonly NotedCall[]): number | undefined {
  const angles = calls.map((call) => anglesOf(call).find((angle) => angle !== undefined));
  if (angles.length < 3 || !angles.every((angle) => typeof angle === 'number')) return undefined;
  const step = angles[1] - angles[0];
  // A rotate that is always the same turns on from the one before it.
  const part = step === 0 && calls[0].name === 'rotate' ? angles[0] : step;
  const isEven = angles.every((angle, i) => Math.abs(angle - angles[0] - i * step) < 1e-6);
  const isRound = [angles.length, angles.length - 1].some((count) => {
    const halves = Math.abs(part * count) / Math.PI;
    return Math.abs(halves - 1) < 1e-6 || Math.abs(halves - 2) < 1e-6;
  });
  return isEven && isRound ? part : undefined;
}

/** The angles that a call is given. */
function anglesOf(call: NotedCall): unknown[] {
  const { name, given } = call;
  if (name === 'rotate') return [given[0]];
  const options = optionsOf(call);
  if (name === 'polar') return [options.angle];
  return name === 'arc' ? [options.rotate, options.start, options.end] : [options.rotate];
}

const pivot: Rule = {
  name: 'pivot',
  title: 'Turned about the corner of the canvas',
  why: 'Where no other point is named, a turn is about [0, 0], the top left corner, and carries off whatever lies elsewhere.',
  cure: 'Name the point, canvas.rotate(30, { about: [320, 180] }), or turn the shape alone, about its own middle: canvas.rect({ at: [320, 180], rotate: 30, … }).',
  find({ details, tracks }) {
    const [{ canvas }] = details;
    if (!startsAtOrigin(canvas)) return [];
    const ways = new Map(tracks.map(({ key, boxes }) => [key, boxes]));
    const isCarriedOff = ({ key }: SeenItem): boolean => {
      const boxes = (ways.get(key) ?? []).filter((box) => box !== undefined);
      return boxes.filter((box) => isOff(box, canvas)).length * 4 > boxes.length;
    };
    return itemsByLine(details).flatMap(({ line, all }) => {
      if (!all.some(({ seen }) => isTurnedAside(seen))) return [];
      const isOffCanvas = all.every(({ seen }) => isCarriedOff(seen));
      // Whoever gives just the middle of the canvas as a place means that.
      if (!isOffCanvas && !all.every(({ seen }) => isSamePoint(middle(ownBox(seen)), middle(canvas)))) return [];
      // A turn by 0, as in the first frame of many, is none yet.
      if (all.some(({ seen }) => !isTurnedAside(seen) && seen.item.transform.some((part, i) => part !== identity[i]))) return []; // prettier-ignore
      const turned = all.filter(({ seen }) => isTurnedAside(seen));
      const { detail, seen } = turned.find((one) => isOff(one.seen.description.box, canvas)) ?? turned[0];
      const carried = isOffCanvas ? 'carried off it' : `carried off its middle to ${placeInWords(seen)}`;
      return [{ line, frame: detail.at, items: [seen.place + 1], text: `${called([seen])} is turned about the corner of the canvas, and ${carried}` }]; // prettier-ignore
    });
  },
};

/** Whether the sketch's units begin at the top left corner of the canvas, as they do where nothing else is said. */
const startsAtOrigin = ({ left, top }: Box): boolean => left === 0 && top === 0;

/** The middle of an item on the canvas, for a sentence. */
const placeInWords = ({ description: { box } }: SeenItem): string => `[${middle(box).map(Math.round).join(', ')}]`;

/** An item's box in its own units, before any transform. */
const ownBox = ({ item: { outlines, start, end } }: SeenItem): Box => pathBox(outlines, identity, start, end);

const scaledAside: Rule = {
  name: 'scaled-aside',
  title: 'Scaled about the corner of the canvas',
  why: 'Where no other point is named, [0, 0] stays where it is, the top left corner: what lies elsewhere moves away from it as it grows.',
  cure: 'Name the point that stays, canvas.scale(1.2, { about: [320, 180] }), or scale the shape alone, about its own middle: canvas.circle({ at: [320, 180], scale: 1.2, … }).',
  find({ details }) {
    const [{ canvas }] = details;
    if (!startsAtOrigin(canvas)) return [];
    return itemsByLine(details).flatMap((entry) => {
      const frames = framesOf(entry);
      const { items } = frames[0];
      if (frames.some((frame) => frame.items.length !== items.length)) return [];
      // What has a place of its own in each frame goes its own way.
      const stays = (one: SeenItem, i: number): boolean => isScaledAlone(one) && isSamePoint(middle(ownBox(one)), middle(ownBox(items[i]))); // prettier-ignore
      if (!frames.every((frame) => frame.items.every(stays)) || !items.every(isAside)) return [];
      const [least, most] = [Math.min, Math.max].map((of) => of(...frames.map((frame) => frame.items[0].item.transform[0]))); // prettier-ignore
      if (most - least < 0.02) return [];
      const { detail, items: largest } = frames.find((frame) => frame.items[0].item.transform[0] === most)!;
      const text = `${called(largest)} ${verb(largest, 'is', 'are')} scaled about the corner of the canvas, and ${verb(largest, 'moves', 'move')} as ${verb(largest, 'it grows', 'they grow')}`;
      return [{ line: entry.line, frame: detail.at, items: largest.map(({ place }) => place + 1), text }];
    });
  },
};

/** Whether an item is scaled about the origin of the sketch's units, and neither turned nor moved. */
function isScaledAlone({ item: { transform } }: SeenItem): boolean {
  const [a, b, c, d, e, f] = transform;
  return b === 0 && c === 0 && e === 0 && f === 0 && a >= 0 && d >= 0;
}

/** Whether an item lies so far beside the origin of its units that it is seen to move as it is scaled. */
function isAside(one: SeenItem): boolean {
  const { left, top, right, bottom } = ownBox(one);
  return 4 * left > right - left && 4 * top > bottom - top;
}

const roundTurn: Rule = {
  name: 'round-turn',
  title: 'A circle turned about its own middle',
  why: 'A circle looks the same however far it is turned.',
  cure: 'Turn it about another point, canvas.group({ rotate: 30, about: [160, 90] }, () => …), or have it show which way it is turned: by dashes, a gradient, a line from its middle.',
  find: ({ details }) =>
    itemsByLine(details).flatMap((entry) => {
      const turns = entry.all.map(({ detail, seen }) => {
        const call = detail.log.callOf(seen.place);
        return call !== undefined && looksRound(call, seen) ? optionsOf(call).rotate : undefined;
      });
      // In the first frame of many it may not be turned yet.
      const turnsItself = turns.every((turn) => typeof turn === 'number') && turns.some((turn) => turn !== 0);
      if (!turnsItself && !isTurnedAlone(entry)) return [];
      const [{ detail, items }] = framesOf(entry);
      const text = `${called(items)} ${verb(items, 'is', 'are')} turned, and ${verb(items, 'looks', 'look')} as before`;
      return [{ line: entry.line, frame: detail.at, items: items.map(({ place }) => place + 1), text }];
    }),
};

/** Whether a line draws one circle that a group turns as time goes, with nothing else in it, and that stays where it is. */
function isTurnedAlone({ all }: LineItems): boolean {
  if (new Set(all.map(({ detail }) => detail)).size < all.length) return false;
  const [first] = all.map(({ seen }) => seen);
  const stays = all.every(({ detail: { log }, seen }) => {
    const call = log.callOf(seen.place);
    const at = log.events.findIndex((event) => event.type === 'call' && event.call === call);
    const isAlone = log.events[at - 1]?.type === 'enter' && log.events[at + 1]?.type === 'leave';
    const { transform } = seen.item;
    const isTurn = Math.abs(transform[1] + transform[2]) < 1e-6 && Math.abs(transform[0] - transform[3]) < 1e-6;
    return isAlone && isTurn && looksRound(call!, seen) && isSamePoint(middle(seen.description.box), middle(first.description.box)); // prettier-ignore
  });
  return stays && all.some(({ seen }) => Math.abs(seen.item.transform[1] - first.item.transform[1]) > 1e-3);
}

/** Whether two places are one, to a thousandth of a unit: the boxes of turned circles differ so far. */
const isSamePoint = ([x, y]: readonly [number, number], [otherX, otherY]: readonly [number, number]): boolean =>
  Math.max(Math.abs(x - otherX), Math.abs(y - otherY)) < 1e-3;

/** Whether what a call drew is a circle that looks the same all round. */
function looksRound(call: NotedCall, { item: { shape, fill, stroke } }: SeenItem): boolean {
  const { scale, anchor } = optionsOf(call);
  const isPlain = [fill, stroke?.paint].every((paint) => paint === undefined || typeof paint === 'number');
  const isWhole = shape === 'circle' && (scale === undefined || typeof scale === 'number') && anchor === undefined;
  return isWhole && isPlain && (stroke === undefined || stroke.dash.length === 0);
}

/** Whether a number is a whole angle in degrees, and would be an odd one in radians. */
const isWholeAngle = (value: number): boolean => Number.isInteger(value / 5);

const degrees: Rule = {
  name: 'degrees',
  title: 'Degrees given to Math.sin or Math.cos',
  why: 'Math.sin, Math.cos and Math.tan take radians, and so do those of maths, unlike the calls of the canvas: 30 is nearly five turns to them.',
  cure: 'polar({ angle, distance: 60, from: [160, 90] }) is the point 60 away from there at that angle; Math.cos itself wants (angle * Math.PI) / 180.',
  find: ({ noted }: Evidence) =>
    byLine(
      noted.angles.filter(({ line }) => line !== undefined),
      ({ line }) => line,
    ).flatMap((asked) => {
      const values = new Set(asked.map(({ angle }) => angle));
      const largest = Math.max(...[...values].map(Math.abs));
      const areWhole = [...values].every(isWholeAngle) && largest >= (values.size > 1 ? 10 : 15);
      if (!areWhole && !goRound([...values])) return [];
      // Alone, only an angle that one writes in degrees is one.
      if (values.size === 1 && !Number.isInteger(largest / 15)) return [];
      const [{ call, line }] = asked;
      const some = [...values].slice(0, 3).map(rounded).join(', ');
      return [{ line, frame: undefined, text: `${call} is given ${some}${values.size > 3 ? ' and so on' : ''}, which ${values.size === 1 ? 'looks' : 'look'} like degrees` }]; // prettier-ignore
    }),
};

/** Whether angles go up by even steps and close a turn of 360, or half of one, by the last or with the next. */
function goRound(values: readonly number[]): boolean {
  if (values.length < 3) return false;
  const sorted = [0, ...values].sort((one, other) => one - other);
  const step = sorted[1] - sorted[0];
  const isEven = sorted.every((value, i) => Math.abs(value - sorted[0] - i * step) < 1e-6);
  const way = sorted.length * step;
  return isEven && [way, way - step].some((all) => Math.abs(all - 360) < 1e-6 || Math.abs(all - 180) < 1e-6);
}

export const angleRules: readonly Rule[] = [radians, degrees, pivot, scaledAside, roundTurn];
