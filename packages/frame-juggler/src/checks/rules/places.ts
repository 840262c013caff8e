import type { Group } from '../../frame/reader.ts';
import { identity, largestScale } from '../../geometry/matrix.ts';
import { alphaOf } from '../../paint/color.ts';
import { isPoint, xOf, yOf, type Point } from '../../schema/point.ts';
import {
  byLine,
  called,
  framesOf,
  isAt,
  itemsByLine,
  linesThat,
  middle,
  ringAboutCorner,
  verb,
  type Detail,
  type LineItems,
  type SeenItem,
  type Sighting,
} from '../evidence.ts';
import type { Rule } from '../rule.ts';
import { optionsOf, type NotedNoise } from '../watch.ts';

/* Places that are given by numbers that mean something else. */

const corner: Rule = {
  name: 'corner',
  title: 'Centered on the corner of the canvas',
  why: '`at` is the middle of a shape, so that one at [0, 0] has three of its quarters beyond the edge.',
  cure: "Give two corners, from: [0, 0], to: [width, height]; or let another point go to `at`: anchor: 'top-left'.",
  find: ({ details }) =>
    itemsByLine(details).flatMap(({ line, all }) => {
      const { detail } = all[0];
      const { canvas } = detail;
      const boxes = all.map(({ seen }) => seen.description.box);
      if (!all.every(({ seen, detail: own }) => isByMiddle(seen, own))) return [];
      const [first] = boxes;
      const [wide, high] = [(first.right - first.left) / 2, (first.bottom - first.top) / 2];
      const [x, y] = middle(first);
      const isFirst = wide > 0 && high > 0 && isAt(x, canvas.left) && isAt(y, canvas.top);
      // All of it would be on the canvas, were their corners where their middles are.
      const isShifted = boxes.every(({ left, top, right, bottom }) => left > canvas.left - wide - 0.01 && top > canvas.top - high - 0.01 && right < canvas.right - wide + 0.01 && bottom < canvas.bottom - high + 0.01); // prettier-ignore
      if (!isFirst || !isShifted) return [];
      const items = all.filter((one) => one.detail === detail).map(({ seen }) => seen);
      const text = items.length === 1 ? `${called(items)} has its middle on the corner of the canvas` : `the first ${items[0].item.shape} of ${items.length} has its middle on the corner of the canvas`; // prettier-ignore
      return [{ line, frame: detail.at, text, items: items.map(({ place }) => place + 1) }];
    }),
};

/** Whether a call that drew a rect or a picture gave it the place of its middle, as `at`. */
function isByMiddle({ item: { shape }, place }: SeenItem, { log }: Detail): boolean {
  if (shape !== 'rect' && shape !== 'picture') return false;
  const call = log.callOf(place);
  const options = call === undefined ? {} : optionsOf(call);
  return 'at' in options && !('anchor' in options);
}

const bars: Rule = {
  name: 'bars',
  title: 'Bars that stand on no line',
  why: '`at` is the middle of a shape: bars of different lengths that are placed by their ends reach half as far on both sides of it.',
  cure: "Let the end that all have in common go to `at`: at: [x, height], anchor: 'bottom', size: [30, value].",
  find: ({ details }) =>
    itemsByLine(details).flatMap((entry) => {
      const [{ detail, items }] = framesOf(entry);
      if (!items.every((one) => isByMiddle(one, detail))) return [];
      const seen = [0, 1].map((axis) => standAt(items, axis, detail)).find((found) => found !== undefined);
      if (seen === undefined) return [];
      const text = `${called(items)} of different lengths ${seen}`;
      return [{ line: entry.line, frame: detail.at, text, items: items.map(({ place }) => place + 1) }];
    }),
};

/**
 * How items that lie side by side stand, if their middles along an axis were taken for an end of theirs; undefined where
 * they were not.
 */
function standAt(items: readonly SeenItem[], axis: number, { canvas }: Detail): string | undefined {
  const [lo, hi] = axis === 0 ? (['left', 'right'] as const) : (['top', 'bottom'] as const);
  const boxes = items.map(({ description: { box } }) => box);
  const middles = boxes.map(middle);
  const lengths = boxes.map((box) => box[hi] - box[lo]);
  const areApart = [middles.map((each) => each[1 - axis]), lengths].every((values) => new Set(values.map((value) => value.toFixed(2))).size >= 3); // prettier-ignore
  if (!areApart) return undefined;
  const ends = middles.map((each, i) => each[axis] + lengths[i]);
  if (rangeOf(ends) < 0.01 && isAt(ends[0], canvas[hi]))
    return `would all reach the ${hi} of the canvas if they were placed by their ${lo}`;
  if (rangeOf(middles.map((each) => each[axis])) >= 0.01) return undefined;
  // Some that reach over an edge may be meant to, and so may all that reach over two.
  const [before, after] = [boxes.filter((box) => box[lo] < canvas[lo] - 1), boxes.filter((box) => box[hi] > canvas[hi] + 1)]; // prettier-ignore
  const isCut = Math.max(before.length, after.length) === boxes.length && Math.min(before.length, after.length) === 0;
  return isCut ? `have one middle, and reach beyond the ${before.length > 0 ? lo : hi} of the canvas` : undefined;
}

const rangeOf = (values: readonly number[]): number => Math.max(...values) - Math.min(...values);

/** Fewer items than this may lie in one place by chance. */
const many = 5;

const unscaled: Rule = {
  name: 'unscaled',
  title: 'Places from 0 to 1',
  why: 'A place is in units; random.between(0, 1), progress and the like give parts of a whole: all of it comes to lie in one corner.',
  cure: 'Multiply by the size, or ask for more: at: [random.between(0, width), random.between(0, height)].',
  find: ({ details }) =>
    itemsByLine(details).flatMap((entry) => {
      const frames = framesOf(entry);
      // What only begins there moves apart in later frames.
      if (!frames.every(({ detail, items }) => areFractions(items, detail))) return [];
      const [{ detail, items }] = frames;
      const text = `all ${items.length} places that ${items[0].item.shape} is given here lie between 0 and 1`;
      return [{ line: entry.line, frame: detail.at, items: items.map(({ place }) => place + 1), text }];
    }),
};

/** Whether items are many, and all of their places lie between 0 and 1, on a canvas that is larger than that. */
function areFractions(items: readonly SeenItem[], { canvas, log }: Detail): boolean {
  const places = items.map(({ place }) => {
    const call = log.callOf(place);
    return call && optionsOf(call).at;
  });
  const isSmall = Math.min(canvas.right - canvas.left, canvas.bottom - canvas.top) < 10;
  if (isSmall || items.length < many || !places.every(isFraction)) return false;
  // Several times in one place is another mistake, or none.
  if (new Set(places.map((place) => `${xOf(place)},${yOf(place)}`)).size < places.length / 2) return false;
  // Under a scale they may lie where they are meant to.
  const middles = items.map(({ description: { box } }) => middle(box));
  return [0, 1].every((axis) => rangeOf(middles.map((each) => each[axis])) <= 2);
}

/** Whether a place has both coordinates between 0 and 1. */
const isFraction = (place: unknown): place is Point =>
  isPoint(place) && [xOf(place as Point), yOf(place as Point)].every((one) => one >= 0 && one <= 1);

/** A line of fewer points is no wave. */
const wavePoints = 8;

/** A wave that a call draws through points: along one axis, and how far it goes to both sides of the other's 0. */
interface Wave {
  readonly axis: number;
  /** How long it is. */
  readonly way: number;
  readonly offsets: readonly number[];
}

/** The wave that a polyline or spline draws through its points, in the sketch's own units; undefined where it is none. */
function waveOf({ item: { transform }, place }: SeenItem, { log }: Detail): Wave | undefined {
  const call = log.callOf(place);
  if (call === undefined || !['polyline', 'spline'].includes(call.name) || transform.some((part, i) => part !== identity[i])) return undefined; // prettier-ignore
  const { points } = optionsOf(call);
  if (!Array.isArray(points) || points.length < wavePoints) return undefined;
  const both = [(points as Point[]).map(xOf), (points as Point[]).map(yOf)];
  // It goes on along one axis, and to and fro along the other.
  const axis = both.findIndex((values) => turnsOf(values) === 0);
  return axis < 0 || turnsOf(both[1 - axis]) < 2
    ? undefined
    : { axis, way: rangeOf(both[axis]), offsets: both[1 - axis] };
}

/** How often values turn from rising to falling and back. */
function turnsOf(values: readonly number[]): number {
  const steps = values.slice(1).map((value, i) => Math.sign(value - values[i])).filter((step) => step !== 0); // prettier-ignore
  return steps.slice(1).filter((step, i) => step !== steps[i]).length;
}

const flatWave: Rule = {
  name: 'flat-wave',
  title: 'A wave too flat to be seen',
  why: 'Math.sin and noise give numbers from -1 to 1. Added to a place, these are as many pixels.',
  cure: 'Multiply by how high it is to be: points: xs.map((x) => [x, 90 + 40 * Math.sin(x / 20)]).',
  find: (evidence) =>
    linesThat(
      evidence,
      (seen, detail) => {
        const wave = waveOf(seen, detail);
        // What trembles from point to point is drawn as if by hand.
        if (wave === undefined || wave.way < 50 || turnsOf(wave.offsets) * 3 > wave.offsets.length) return false;
        const height = rangeOf(wave.offsets);
        return height > 0.8 && height < 2.0001 && height * largestScale(detail.frame.view) < 3;
      },
      (items) => `${called(items)} ${verb(items, 'goes', 'go')} to and fro by no more than 2 units`,
    ),
};

const aboutEdge: Rule = {
  name: 'about-edge',
  title: 'A wave about the edge of the canvas',
  why: 'Math.sin and noise go from -1 to 1, about 0: half of it is beyond the edge.',
  cure: 'Add the place that it is to go about: points: xs.map((x) => [x, 90 + 40 * Math.sin(x / 20)]).',
  find: (evidence) =>
    linesThat(
      evidence,
      (seen, detail) => {
        const wave = waveOf(seen, detail);
        const { left, top, right, bottom } = detail.canvas;
        if (wave === undefined || left !== 0 || top !== 0 || wave.way < [right, bottom][wave.axis] / 2) return false;
        const beyond = wave.offsets.filter((offset) => offset < 0).length / wave.offsets.length;
        return beyond > 0.25 && beyond < 0.75 && rangeOf(wave.offsets) > 4;
      },
      (items, { all }) =>
        `half of ${called(items)} is beyond the ${waveOf(items[0], all[0].detail)!.axis === 0 ? 'top' : 'left edge'} of the canvas`,
    ),
};

const noiseRange: Rule = {
  name: 'noise-range',
  title: 'Noise taken to run from 0 to 1',
  why: 'noise runs from -1 to 1 and is 0 on average, so that half of what lies at noise(…) * width is beyond the edge.',
  cure: 'Let it go about a middle: width / 2 + noise(seconds) * 100.',
  find: ({ details }) => itemsByLine(details).flatMap(lostByNoise),
};

/** What a line puts at multiples of noise, where those below 0 are off the canvas. */
function lostByNoise({ line, all }: LineItems): Sighting[] {
  const placed = all.flatMap(({ detail, seen }) => {
    const call = detail.log.callOf(seen.place);
    const at = call && optionsOf(call).at;
    return isPoint(at) ? [{ at: [xOf(at as Point), yOf(at as Point)], detail, seen }] : [];
  });
  const axes = [0, 1].flatMap((axis) => {
    const below = placed.filter(({ at }) => at[axis] < 0);
    // Those near the edge reach over it.
    const lost = below.filter(({ seen }) => seen.description.hidden === 'off the canvas');
    if (lost.length * 5 < placed.length || lost.length * 2 < below.length || lost.length === 0) return [];
    const factor = noiseFactor(placed.map(({ at, detail }) => ({ value: at[axis], noises: detail.log.noises })));
    return factor === undefined ? [] : [{ name: 'xy'[axis], factor, lost }];
  });
  if (axes.length === 0) return [];
  const [{ detail }] = axes[0].lost;
  const off = new Set(axes.flatMap(({ lost }) => lost.map(({ seen }) => seen)));
  const items = detail.items.filter((seen) => off.has(seen));
  const ranges = axes.map(({ name, factor }) => `${name} is noise times ${factor}, from ${-factor} to ${factor}`);
  const text = `${called(items)} ${verb(items, 'is', 'are')} off the canvas: ${ranges.join(', ')}`;
  return [{ line, frame: detail.at, text, items: items.map(({ place }) => place + 1) }];
}

/** Noise is known again by so many of its digits. */
const noiseKey = (value: number): number => Math.round(value * 1e7);

/** What noise was multiplied by to give all of some values; undefined where they come of something else, or are too few to tell. */
function noiseFactor(
  samples: readonly { readonly value: number; readonly noises: readonly NotedNoise[] }[],
): number | undefined {
  const distinct = new Map(samples.filter(({ value }) => value !== 0).map((sample) => [sample.value, sample]));
  // That so many are multiples by chance does not happen.
  const some = [...distinct.values()].slice(0, many);
  if (some.length < 3) return undefined;
  const given = some.map(({ value, noises }) => ({ value, keys: new Set(noises.map((noise) => noiseKey(Math.abs(noise.value)))) })); // prettier-ignore
  const [{ value, noises }] = some;
  const factors = noises.filter((noise) => noise.value !== 0).map((noise) => Math.abs(value / noise.value));
  const factor = factors.find((each) => given.every((one) => one.keys.has(noiseKey(Math.abs(one.value) / each))));
  return factor && Number(factor.toPrecision(6));
}

const noiseSteps: Rule = {
  name: 'noise-steps',
  title: 'Noise in steps that are too wide',
  why: 'Noise at places more than about one unit apart is as good as random: nothing of it is smooth.',
  cure: 'Divide what it is given: noise(x / 100, y / 100) changes over about a hundred units.',
  find: ({ details, noted, sketch: { width, height } }) =>
    byLine([...noted.noises, ...details.flatMap(({ log }) => log.noises)], ({ line }) => line).flatMap(
      (calls): Sighting[] => {
        const [across, down] = [0, 1].map((axis) => rangeOf(calls.map(({ place }) => place[axis] ?? 0)));
        // Alone, places along a line: what goes by time beside them is smooth in that.
        const isRow = across >= width / 2 && new Set(calls.map(({ place }) => place.slice(1).join())).size === 1;
        const isField = across >= width / 2 && down >= height / 2;
        const areMany = new Set(calls.map(({ place }) => place.join())).size >= 20;
        if (!areMany || !(isRow || isField) || Math.max(across, down) < 20) return [];
        const far = isField ? `${Math.round(across)} and ${Math.round(down)}` : Math.round(across);
        return [{ line: calls[0].line, frame: undefined, text: `noise is asked for at places up to ${far} apart` }];
      },
    ),
};

const placedTwice: Rule = {
  name: 'placed-twice',
  title: 'Moved to its place, and placed there again',
  why: 'After translate the origin is there already: the same numbers as a place lead as far again.',
  cure: 'Draw it at: [0, 0] after the translate, or leave that out: canvas.group({ translate: [160, 90] }, () => canvas.circle({ at: [0, 0], … })).',
  find: ({ details }) =>
    itemsByLine(details).flatMap((entry) => {
      const [{ detail, items }] = framesOf(entry);
      const numbers = items.map(({ place }) => place + 1);
      if (areMovedTwice(entry.all)) return [{ line: entry.line, frame: detail.at, items: numbers, text: `${called(items)} ${verb(items, 'moves', 'move')} on by a translate, and as far again by ${verb(items, 'its place', 'their places')}` }]; // prettier-ignore
      if (!entry.all.every(({ detail, seen }) => isPlacedTwice(seen, detail))) return [];
      const [x, y] = items[0].item.transform.slice(4).map((each) => Number(each.toFixed(2)));
      const text = `${called(items)} ${verb(items, 'is', 'are')} at [${x}, ${y}] after a translate by just that`;
      return [{ line: entry.line, frame: detail.at, text, items: numbers }];
    }),
};

/** The place that a call gave to an item, in the units of its group; undefined where it turns or scales it as well. */
function givenPlace({ place }: SeenItem, { log }: Detail): readonly [number, number] | undefined {
  const call = log.callOf(place);
  const { at, rotate = 0, scale = 1 } = call === undefined ? {} : optionsOf(call);
  return isPoint(at) && rotate === 0 && scale === 1 ? [xOf(at as Point), yOf(at as Point)] : undefined;
}

/**
 * Whether items, from one to the next and from frame to frame, move as far by their group's units as by their own places,
 * and leave the canvas by that.
 */
function areMovedTwice(all: LineItems['all']): boolean {
  if (all.length < 3 || !all.some(({ seen }) => seen.description.hidden === 'off the canvas')) return false;
  const places = all.map(({ seen, detail }) => givenPlace(seen, detail));
  return all.slice(1).every(({ seen: { item } }, i) => {
    const [from, to] = [places[i], places[i + 1]];
    const [now, before] = [item.transform, all[i].seen.item.transform];
    if (from === undefined || to === undefined || ![0, 1, 2, 3].every((part) => now[part] === before[part])) return false; // prettier-ignore
    const [x, y] = [to[0] - from[0], to[1] - from[1]];
    return (x !== 0 || y !== 0) && Math.abs(now[4] - before[4] - x) + Math.abs(now[5] - before[5] - y) < 1e-6;
  });
}

/** Whether an item lies as far from the origin of its group as that from the canvas's, and twice as far is no place on it. */
function isPlacedTwice(seen: SeenItem, detail: Detail): boolean {
  const [x, y] = givenPlace(seen, detail) ?? [0, 0];
  const { transform } = seen.item;
  const isSame = Math.abs(transform[4] - x) + Math.abs(transform[5] - y) < 1e-6;
  return isSame && x > 0 && y > 0 && (2 * x >= detail.canvas.right || 2 * y >= detail.canvas.bottom);
}

const aboutCorner: Rule = {
  name: 'about-corner',
  title: 'Places around the corner of the canvas',
  why: 'polar goes out from [0, 0] where it is given no other point, and most of a circle about the corner is beyond the edges.',
  cure: 'Name the point to go out from, polar({ angle, distance: 60, from: [160, 90] }), or draw in canvas.group({ translate: [160, 90] }, () => …).',
  find: ({ details }) =>
    itemsByLine(details).flatMap((entry) => {
      const ring = ringAboutCorner(entry);
      if (ring === undefined) return [];
      const [{ detail, items }] = framesOf(entry);
      const text = `${called(items)} ${verb(items, 'goes', 'go')} by polar about [0, 0], the corner of the canvas: ${ring.beyond} of ${ring.all} points are beyond the edges`;
      return [{ line: entry.line, frame: detail.at, text, items: items.map(({ place }) => place + 1) }];
    }),
};

const samePlace: Rule = {
  name: 'same-place',
  title: 'Everything a line draws lies in one place',
  why: 'They cover one another exactly, and look like one.',
  cure: 'Move each by the counter of the loop, at: [60 + i * 50, 90]; ask for random numbers in the loop, but make what gives them before it.',
  find: ({ details }) =>
    itemsByLine(details).flatMap((entry) => {
      const frames = framesOf(entry);
      // What only begins in one place moves apart in later frames.
      if (!frames.every(({ items }) => items.length > 1 && items.every((one) => isSolid(one) && isLike(one, items[0]))))
        return [];
      const [{ detail, items }] = frames;
      const text = `${called(items)} lie in exactly the same place`;
      return [{ line: entry.line, frame: detail.at, text, items: items.map(({ place }) => place + 1) }];
    }),
};

/** Whether an item hides what is below it: things that let it through are laid over each other on purpose. */
function isSolid({ item: { fill, stroke, opacity, blend }, description: { hidden } }: SeenItem): boolean {
  const isOpaque = [fill, stroke?.paint].every((paint) => paint === undefined || (typeof paint === 'number' && alphaOf(paint) === 255)); // prettier-ignore
  return isOpaque && opacity === 1 && blend === 'normal' && (hidden === undefined || hidden === 'covered');
}

/** Whether two items look alike and lie in the same place, in one group as far as that clips or fades them. */
function isLike({ item, description: one }: SeenItem, { item: otherItem, description: other }: SeenItem): boolean {
  if (item.text !== otherItem.text || one.style !== other.style) return false;
  const isTogether = isolatedGroup(item.group) === isolatedGroup(otherItem.group);
  return isTogether && (['left', 'top', 'right', 'bottom'] as const).every((side) => one.box[side] === other.box[side]);
}

function isolatedGroup(group: Group | undefined): Group | undefined {
  let at = group;
  while (at?.isolated === false) at = at.parent;
  return at;
}

export const placeRules: readonly Rule[] = [
  corner,
  bars,
  unscaled,
  flatWave,
  aboutEdge,
  noiseRange,
  noiseSteps,
  aboutCorner,
  placedTwice,
  samePlace,
];
