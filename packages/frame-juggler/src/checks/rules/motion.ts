import type { Frame } from '../../frame/frame.ts';
import { FrameReader, type Item } from '../../frame/reader.ts';
import type { Box } from '../../geometry/box.ts';
import { apply, identity, largestScale, multiply, type Matrix } from '../../geometry/matrix.ts';
import { pathBox } from '../../geometry/path.ts';
import { hypot } from '../../maths/power.ts';
import { isSameFrame } from '../../review/same-frame.ts';
import {
  byLine,
  isFiniteBox,
  lineOfTrack,
  middle,
  waitsForInput,
  type Evidence,
  type Sighting,
  type Track,
} from '../evidence.ts';
import type { Rule } from '../rule.ts';

/* How things move from frame to frame, and whether they do. */

const span = ({ left, right, top, bottom }: Box): number => Math.max(right - left, bottom - top);

/** One sighting for each line that draws things of these tracks. */
function ofTracks(evidence: Evidence, tracks: readonly Track[], say: (tracks: readonly Track[]) => string): Sighting[] {
  const byName = new Map<string, Track[]>();
  for (const track of tracks) {
    const list = byName.get(track.name);
    if (list === undefined) byName.set(track.name, [track]);
    else list.push(track);
  }
  return [...byName.values()].map((list) => ({
    line: lineOfTrack(evidence, list[0]),
    frame: undefined,
    text: say(list),
  }));
}

const thing = (tracks: readonly Track[]): string => {
  const name = tracks[0].name.split('/').filter(Boolean).at(-1)!;
  const label = name === tracks[0].shape ? '' : ` “${name}”`;
  return tracks.length > 1 ? `${tracks.length} ${tracks[0].shape} items${label}` : `the ${tracks[0].shape}${label}`;
};

const growing: Rule = {
  name: 'growing',
  title: 'A size that grows without end',
  why: 'Each frame makes it larger than the one before, until it fills everything or overflows.',
  cure: 'Compute the size from the time (swing(seconds, 2, 1, 1.5)), or limit it with clamp or wrap.',
  find(evidence) {
    const { tracks, course, sketch } = evidence;
    // A sketch with a duration ends or starts again, so growth until then is fine.
    if (course.length < 8 || sketch.frames !== Infinity) return [];
    const grown = tracks.filter(({ boxes }) => {
      if (!boxes.every(isFiniteBox)) return false;
      const sizes = (boxes as Box[]).map(span);
      const rises = sizes.every((size, i) => i === 0 || size > sizes[i - 1]);
      // What begins as nothing has to become large to be without an end.
      const least = sizes[0] > 0 ? 3 * sizes[0] : Math.min(sketch.width, sketch.height) / 2;
      return rises && sizes.at(-1)! > least;
    });
    return ofTracks(evidence, grown, (list) => {
      const [from, to] = [list[0].boxes[0]!, list[0].boxes.at(-1)!].map(span);
      const size = from > 0 ? `to ${(to / from).toFixed(1)} times the size` : `from nothing to a size of ${Math.round(to)}`; // prettier-ignore
      return `${thing(list)} ${list.length > 1 ? 'grow' : 'grows'} in every frame, ${size} within ${course.length} frames`;
    });
  },
};

/**
 * Whether an angle that goes on by so much from frame to frame jumps, and does not swing: it has gone round within seven of
 * them. More than once round in each, or by fives, are degrees. Up to two rounds in a second can be followed at any rate.
 */
const isJump = (step: number): boolean => Math.abs(step) > 0.9 && Math.abs(step) < 6.5 && !Number.isInteger(step / 5);

const tooFast: Rule = {
  name: 'too-fast',
  title: 'A movement too fast to follow',
  why: 'Math.sin and Math.cos go round once in 2π, about 6.3: a counter of frames is through with that in six frames, and what it moves jumps to and fro.',
  cure: 'Give them seconds, Math.sin(2 * seconds), or use swing(seconds, 3, 80, 240).',
  find: ({ noted, course, sketch }) =>
    byLine(noted.angles.filter(({ line }) => line !== undefined), ({ line }) => line).flatMap((asked) => {
      // One call in each frame, but for those that were painted twice: what asks for many angles in a frame draws a curve.
      if (course.length < 20 || asked.length < course.length - 1 || asked.length > course.length + 4) return [];
      const steps = asked.slice(1).map(({ angle }, i) => angle - asked[i].angle).filter((step) => step !== 0);
      const [step] = steps;
      if (steps.length < course.length - 4 || !isJump(step) || Math.abs(step) * sketch.frameRate < 4 * Math.PI || steps.some((each) => Math.abs(each - step) > 1e-6)) return [];
      const [{ call, line }] = asked;
      return [{ line, frame: undefined, text: `what ${call} is given goes on by ${Number(step.toFixed(2))} from frame to frame` }];
    }),
}; // prettier-ignore

const timeWords = ['seconds', 'frame', 'progress', 'delta'];

/** A movement that ends within so many frames is none. */
const maxStart = 3;

const nothingMoves: Rule = {
  name: 'nothing-moves',
  title: 'Nothing moves',
  why: 'The sketch has a duration, steps or reads the time, but every frame is the same, or all but the first few are.',
  cure: 'Have step change the values in the state, state.x += 40 * delta, or return a new state, and paint use them; or use seconds: keyframes, springs and easings take these, and not frames. random gives each frame the same numbers, random.stream(frame) others. For a single picture, set still: true.',
  find({ course, first, noted, sketch, details }) {
    // Progress that stays 0 is a finding of its own.
    const asks = timeWords.filter(
      (word) => noted.asked.has(word) && !(word === 'progress' && sketch.frames === Infinity),
    );
    if (course.length < 3 || waitsForInput(noted)) return [];
    const hasDuration = sketch.frames > 1 && sketch.frames < Infinity;
    if (!sketch.hasStep && asks.length === 0 && !hasDuration) return [];
    const last = course.at(-1)!;
    const still = course.findLastIndex((frame) => !isSameFrame(frame, { ...last, carry: frame.carry })) + 1;
    // What has come to rest moved before, unless that took no time.
    const hasEnded = course.length >= sketch.frameRate && last.order.length > 0;
    if (still > (hasEnded ? maxStart : 0)) return [];
    const runs = noted.moved ? 'step runs' : 'step runs but leaves the state as it was';
    const asked = asks.length > 0 ? `paint asks for ${asks.join(' and ')}` : 'the sketch has a duration';
    const what = sketch.hasStep ? runs : asked;
    return [
      {
        line: details[0].items[0]?.description.source,
        frame: undefined,
        text: `${what}, and ${still === 0 ? `all ${course.length} frames are` : `from frame ${first + still} on all is`} the same`,
      },
    ];
  },
};

/** Nobody sees a thing go to and fro by so little, in pixels, on a canvas that is not small itself. */
const seen = { way: 2.5, canvas: 100 };

const barelyMoves: Rule = {
  name: 'barely-moves',
  title: 'A movement too small to be seen',
  why: 'Math.sin gives numbers from -1 to 1, and progress from 0 to 1: added to a place, a size or an angle they change hardly anything.',
  cure: 'Multiply by how far it goes: at: [160 + 80 * Math.sin(seconds), 90] or swing(seconds, 6, 80, 240); rotate: 360 * progress.',
  find({ course, first, noted, sketch, details }) {
    if (course.length < 3 || waitsForInput(noted) || Math.min(sketch.width, sketch.height) < seen.canvas) return [];
    if (!sketch.hasStep && !timeWords.some((word) => noted.asked.has(word))) return [];
    // In less than a second what goes slowly has not gone far.
    if (course.length < sketch.frameRate) return [];
    let most: Move = { way: 0, place: 0 };
    let latest = 0;
    let jump = 0;
    for (const [at, frame] of course.entries()) {
      const move = farthestMove(course[0], frame);
      if (move === undefined || move.way > seen.way) return [];
      if (move.way > most.way) [most, latest] = [move, at];
      if (at > 0) jump = Math.max(jump, farthestMove(course[at - 1], frame)?.way ?? 0);
    }
    // What trembles is seen, unless that is no more than the last digits of its numbers.
    if (most.way > 0.05 && jump > most.way / 2) return [];
    // What is still on its way may go far yet.
    const isDone = sketch.frames <= first + course.length || latest < course.length * 0.8;
    if (most.way === 0 || !isDone) return [];
    // Painted again, where each time is another, the frame may have fewer items.
    const line = details[0].items[most.place]?.description.source;
    const way = Math.max(0.1, Math.round(most.way * 10) / 10);
    return [{ line, frame: undefined, text: `nothing goes further than ${way} pixels in all ${course.length} frames` }]; // prettier-ignore
  },
};

/** How far the item that goes furthest from one frame to another goes, in pixels, and its place in the frame. */
interface Move {
  readonly way: number;
  readonly place: number;
}

/** The largest move of an item between two frames; undefined where they differ in more than moves. */
function farthestMove(one: Frame, other: Frame): Move | undefined {
  if (one.columns.shape.length !== other.columns.shape.length) return undefined;
  const { path, matrices, carry, columns } = one;
  const stayed = { ...other, path, matrices, carry, columns: { ...other.columns, transform: columns.transform } };
  if (!isSameFrame(one, stayed)) return undefined;
  const [items, others] = [one, other].map((frame) => new FrameReader(frame).items());
  let most: Move = { way: 0, place: 0 };
  for (const [place, item] of items.entries()) {
    const way = wayOf(item, others[place], one.view);
    if (way > most.way) most = { way, place };
  }
  return most;
}

/** How far some point of an item goes at most: what its transform does to the corners of its box, and its outline by itself. */
function wayOf(item: Item, other: Item, view: Matrix): number {
  const box = pathBox(item.outlines, identity, item.start, item.end);
  const corners = ([box.left, box.right] as const).flatMap((x) => [box.top, box.bottom].map((y) => [x, y] as const));
  const carried = corners.map((corner) => {
    const [from, to] = [item, other].map(({ transform }) => apply(multiply(view, transform), ...corner));
    return hypot(to[0] - from[0], to[1] - from[1]);
  });
  let bent = 0;
  for (let i = item.start; i < item.end; i++)
    bent = Math.max(bent, Math.abs(other.outlines[other.start + i - item.start] - item.outlines[i]));
  return Math.max(...carried) + bent * largestScale(multiply(view, other.transform));
}

const gone: Rule = {
  name: 'gone',
  title: 'A thing that leaves the canvas and never comes back',
  why: 'It keeps moving away: it is never visible again but still takes time.',
  cure: 'Bring it back in on the other side, state.x = wrap(state.x, 0, width), or remove it from the state.',
  find(evidence) {
    const { tracks, course, sketch, details, noted } = evidence;
    if (course.length < 8 || noted.asked.has('pointer')) return [];
    const [{ canvas }] = details;
    // What a film ends with may leave; that all has left before it is half over is no end.
    const isFilm = sketch.frames !== Infinity;
    const left = tracks.filter(({ boxes }) => {
      // It may have come later than the first frame, but has to be there ever since.
      const all = boxes.slice(boxes.findIndex((box) => box !== undefined));
      if (all.length < 8 || !all.every(isFiniteBox)) return false;
      const from = all.findIndex((box) => distance(box, canvas) > 0);
      if (from < 1 || from > all.length * (isFilm ? 0.5 : 0.8)) return false;
      if (isTurning(all.slice(from - 1).map(middle))) return false;
      const away = all.slice(from).map((box) => distance(box, canvas));
      return away.every((far, i) => i === 0 || far > away[i - 1]);
    });
    if (isFilm && left.length < tracks.length) return [];
    return ofTracks(
      evidence,
      left,
      (list) =>
        `${thing(list)} ${list.length > 1 ? 'leave' : 'leaves'} the canvas and ${list.length > 1 ? 'move' : 'moves'} on and on`,
    );
  },
};

/** Whether points follow a circle rather than a line or a fall: they turn at an even speed, and so come back. */
function isTurning(points: readonly (readonly [number, number])[]): boolean {
  if (points.length < 3) return false;
  const way = (i: number): [number, number] => [points[i + 1][0] - points[i][0], points[i + 1][1] - points[i][1]];
  const [[ax, ay], [bx, by]] = [way(0), way(points.length - 2)];
  const [before, after] = [hypot(ax, ay), hypot(bx, by)];
  const turned = Math.abs(ax * by - ay * bx) / (before * after);
  return Math.abs(after / before - 1) < 0.02 && turned > 0.01;
}

function distance(box: Box, canvas: Box): number {
  const across = Math.max(canvas.left - box.right, box.left - canvas.right, 0);
  const down = Math.max(canvas.top - box.bottom, box.top - canvas.bottom, 0);
  return hypot(across, down);
}

/** Frames a second up to which a thing may go from place to place, as in a game on squares, and is not seen to jerk. */
const maxHopRate = 15;

const frameBound: Rule = {
  name: 'frame-bound',
  title: 'A speed that depends on the frame rate',
  why: 'Something moved by a fixed amount per frame goes twice as fast at twice the frame rate.',
  cure: 'Multiply by delta and think in units per second, state.x += 40 * delta, or compute it from seconds.',
  find(evidence) {
    const { tracks, faster, course, sketch } = evidence;
    if (faster === undefined || course.length < 4) return [];
    const pixels = largestScale(course[0].view);
    const isHop = (way: number, size: number): boolean => sketch.frameRate <= maxHopRate && way >= size;
    const others = new Map(faster.map((track) => [track.key, track]));
    const bound = tracks.filter((track) => {
      const other = others.get(track.key);
      if (other === undefined) return false;
      const steps = Math.min(track.boxes.length, other.boxes.length) - 1;
      // Early enough that the run has not repeated yet, and late enough to see a difference.
      for (const at of [2, 3, 5, Math.floor(steps / 2)]) {
        if (at < 1 || at > steps) continue;
        const [a, b, c, d] = [track.boxes[0], track.boxes[at], other.boxes[0], other.boxes[at]];
        if (!isFiniteBox(a) || !isFiniteBox(b) || !isFiniteBox(c) || !isFiniteBox(d)) return false;
        const [one, two] = [move(a, b), move(c, d)];
        const way = hypot(...one);
        if (
          way * pixels < 0.5 ||
          isHop(way / at, span(a)) ||
          hypot(middle(a)[0] - middle(c)[0], middle(a)[1] - middle(c)[1]) > 1e-6
        )
          return false;
        if (hypot(two[0] - 2 * one[0], two[1] - 2 * one[1]) > 0.06 * way) return false;
      }
      return steps >= 2;
    });
    return ofTracks(
      evidence,
      bound,
      (list) =>
        `${thing(list)} ${list.length > 1 ? 'move' : 'moves'} twice as far in the same time at twice the frame rate`,
    );
  },
};

function move(from: Box, to: Box): [number, number] {
  const [x, y] = middle(from);
  const [toX, toY] = middle(to);
  return [toX - x, toY - y];
}

export const motionRules: readonly Rule[] = [growing, nothingMoves, barelyMoves, tooFast, gone, frameBound];
