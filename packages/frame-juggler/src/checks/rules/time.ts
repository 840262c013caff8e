import { hypot } from '../../maths/power.ts';
import { alphaOf } from '../../paint/color.ts';
import { isSameFrame } from '../../review/same-frame.ts';
import {
  callsByLine,
  covers,
  isFiniteBox,
  isThin,
  isVeil,
  itemsByLine,
  middle,
  waitsForInput,
  type Detail,
  type Sighting,
} from '../evidence.ts';
import type { Rule } from '../rule.ts';
import { optionsOf } from '../watch.ts';

/* What goes wrong in the course of the frames, and with their time. */

const nothingDrawn: Rule = {
  name: 'nothing-drawn',
  title: 'Nothing is drawn',
  why: 'Every frame is the bare background.',
  cure: 'See whether the loop or the condition around the shapes is ever reached; canvas.clear wipes what was drawn before it.',
  find({ course, noted, details }) {
    if (waitsForInput(noted)) return [];
    if (course.some(({ order, background }) => order.length > 0 || background !== course[0].background)) return [];
    const wiped = details[0].log.calls.findLast(({ name }) => name === 'clear');
    const drew = details[0].log.calls.some(({ name, first, end }) => name !== 'clear' && end > first);
    const count = course.length === 1 ? 'its frame' : `all ${course.length} frames`;
    return wiped !== undefined && drew
      ? [
          {
            line: wiped.line,
            frame: details[0].at,
            text: 'what was drawn is wiped away, and nothing is drawn after it',
          },
        ]
      : [{ line: undefined, frame: undefined, text: `paint draws nothing in ${count}` }];
  },
};

const vanishes: Rule = {
  name: 'vanishes',
  title: 'A picture that vanishes after its first frames',
  why: 'Each frame starts fresh, so what only the first one draws is gone in the next.',
  cure: 'Draw it in every frame; or keep what was drawn with carry: 1.',
  find({ course, first, details, sketch }) {
    if (course.length < 3 || sketch.carry === 1 || course[0].order.length === 0) return [];
    const from = course.findIndex(({ order }) => order.length === 0);
    if (from < 1 || from > course.length / 2 || course.slice(from).some(({ order }) => order.length > 0)) return [];
    return [
      {
        line: details[0].items[0]?.description.source,
        frame: first + from,
        text: `what frame ${first} draws is gone from frame ${first + from} on, and nothing is drawn there`,
      },
    ];
  },
};

const oneFrame: Rule = {
  name: 'one-frame',
  title: 'Drawn in one frame alone',
  why: 'Each frame starts fresh: what one of them draws is gone in the next, before anybody has seen it.',
  cure: 'Draw it for a stretch of time, if (frame >= 30 && frame < 60); or keep what was drawn with carry: 1.',
  find({ course, first, tracks, sketch, noted }) {
    if (course.length < 20 || sketch.carry >= seenCarry || sketch.frameRate <= seenRate || waitsForInput(noted)) return []; // prettier-ignore
    const counts = course.map(({ order }) => order.length);
    const usual = counts.toSorted((one, other) => one - other)[Math.floor(counts.length / 2)];
    const more = counts.flatMap((count, at) => (count > usual ? [at] : []));
    // What comes and goes otherwise, as sparks do, is another thing, and so is a first frame with nothing after it.
    const isAlone = more.every((at, i) => i === 0 || at > more[i - 1] + 1) && counts.every((count) => count >= usual);
    if (more.length === 0 || more.length * 8 > counts.length || !isAlone || (usual === 0 && more.join() === '0'))
      return [];
    const track = tracks.find(({ boxes }) => boxes.every((box, at) => box === undefined || more.includes(at)));
    const box = track?.boxes.find((each) => each !== undefined);
    if (track === undefined || box === undefined) return [];
    const where = middle(box).map(Math.round).join(', ');
    const frames = more.slice(0, 3).map((at) => first + at).join(', '); // prettier-ignore
    const text = `the ${track.shape} at [${where}] is drawn in frame ${frames}${more.length > 3 ? ' and so on' : ''}, and not in those before and after it`;
    return [{ line: undefined, frame: first + more[0], text }];
  },
};

/** From so much of the last picture on, what a frame draws is seen for a while. */
const seenCarry = 0.5;
/** At so few frames a second, each of them is seen. */
const seenRate = 10;

const paintsOver: Rule = {
  name: 'paints-over',
  title: 'Trails that are painted over',
  why: 'With a carry the last picture stays, so what is drawn again in the same place only covers itself.',
  cure: 'Draw only what is new in each frame, or leave carry out.',
  find({ tracks, course, sketch, details }) {
    if (sketch.carry < 0.99 || course.length < 6 || course.every(({ order }) => order.length < 2)) return [];
    let [still, all] = [0, 0];
    for (const { boxes } of tracks)
      for (let at = 1; at < boxes.length; at++) {
        const [one, other] = [boxes[at - 1], boxes[at]];
        if (!isFiniteBox(one) || !isFiniteBox(other)) continue;
        all++;
        if (
          hypot(one.left - other.left, one.top - other.top, one.right - other.right, one.bottom - other.bottom) < 0.01
        )
          still++;
      }
    if (all === 0 || still / all < 0.9) return [];
    return [
      {
        line: details[0].items[0]?.description.source,
        frame: undefined,
        text: `with a carry of ${sketch.carry}, ${Math.round((still / all) * 100)} % of what each frame draws is where the frame before already drew it`,
      },
    ];
  },
};

const wiped: Rule = {
  name: 'wiped',
  title: 'Trails that are wiped away',
  why: 'Nothing is left of the last picture for a trail: each frame starts fresh, or covers it whole.',
  cure: 'carry: 0.9 in defineSketch keeps nine tenths of the last picture from frame to frame; leave out what clears the canvas or covers all of it.',
  find({ course, sketch, details }) {
    if (course.length < 2) return [];
    // A picture that begins anew now and then is meant to.
    const isCleared = course.every(({ carry }) => carry === 0);
    const moves = !isSameFrame(course[0], course.at(-1)!);
    const wipes = details.map((detail) => (sketch.carry > 0 ? wipeOf(detail, isCleared) : veilOf(detail, moves)));
    const [wipe] = wipes;
    // One that gets thicker or thinner, as dusk does, is no veil for the last picture.
    return wipe !== undefined && wipes.every((one) => one?.text === wipe.text) ? [wipe] : [];
  },
};

/** What leaves nothing of the last picture under a carry, in a frame; undefined where nothing does. */
function wipeOf({ at, items, canvas, log }: Detail, isCleared: boolean): Sighting | undefined {
  const clear = isCleared ? log.calls.findLast(({ name }) => name === 'clear') : undefined;
  if (clear !== undefined)
    return { line: clear.line, frame: at, text: 'under a carry, clear wipes away what the last frame has left' };
  const cover = items.find((one) => one.item.shape === 'rect' && one.item.group === undefined && covers(one, canvas));
  const text = 'under a carry, the rect covers the whole canvas, and nothing is left of the last frame';
  return cover && { line: cover.description.source, frame: at, text, items: [cover.place + 1] };
}

/** What would veil the last picture, were there one, in a frame that starts fresh; undefined where nothing would. */
function veilOf({ at, items, canvas, frame, log }: Detail, moves: boolean): Sighting | undefined {
  const clear = log.calls.findLast(({ name }) => name === 'clear');
  const alpha = alphaOf(frame.background);
  if (clear !== undefined && alpha > 0 && alpha < 255) {
    const part = Math.round((1 - alpha / 255) * 100);
    return {
      line: clear.line,
      frame: at,
      text: `clear leaves nothing of the last frame, also where its color is ${part} % see-through`,
    };
  }
  const veil = items.find((one) => isVeil(one, canvas));
  if (veil === undefined) return moves ? thinGround({ at, items, canvas }) : undefined;
  const text = 'the rect, which is see-through, lies over a fresh background of the same color';
  return { line: veil.description.source, frame: at, text, items: [veil.place + 1] };
}

/** A see-through rect with nothing below it but the background, which could be another color for that. */
function thinGround({ at, items, canvas }: Pick<Detail, 'at' | 'items' | 'canvas'>): Sighting | undefined {
  const [first, ...others] = items;
  if (first === undefined || others.length === 0 || !isThin(first, canvas)) return undefined;
  const { fill, opacity } = first.item;
  const part = Math.round((1 - (alphaOf(fill as number) / 255) * opacity) * 100);
  const text = `the rect, which is ${part} % see-through, lies over a fresh background: nothing of the last frame is below it`; // prettier-ignore
  return { line: first.description.source, frame: at, text, items: [first.place + 1] };
}

const tooSlow: Rule = {
  name: 'too-slow',
  title: 'Frames that take too long',
  why: 'A frame must be done before the next one is due; otherwise the animation stutters or falls behind.',
  cure: 'Draw less, compute what does not change in start, or lower the frameRate.',
  find({ cost, sketch }) {
    if (cost.length < 3) return [];
    const sorted = [...cost].sort((a, b) => a - b);
    const usual = sorted[Math.floor(sorted.length / 2)];
    const due = 1000 / sketch.frameRate;
    if (usual <= due) return [];
    return [
      {
        line: undefined,
        frame: undefined,
        text: `a frame takes ${usual.toFixed(0)} ms to step and paint on this machine; at ${sketch.frameRate} a second there are ${due.toFixed(0)} ms`,
      },
    ];
  },
};

const flashing: Rule = {
  name: 'flashing',
  title: 'Flashes more than three times a second',
  why: 'Large flashes more than three times a second can cause seizures (WCAG 2.2, 2.3.1).',
  cure: 'Slow it down below three a second, or keep it small or faint.',
  find({ luminances, sketch, first }) {
    if (luminances.length < 4) return [];
    const window = Math.max(2, Math.round(sketch.frameRate));
    const cellCount = luminances[0].length;
    for (let from = 0; from === 0 || from + window <= luminances.length; from++) {
      const part = luminances.slice(from, from + window);
      let flashy = 0;
      for (let cell = 0; cell < cellCount; cell++) if (flashesOf(part.map((grid) => grid[cell])) > 3) flashy++;
      // A quarter of the picture is what WCAG calls large, where the picture fills the view.
      if (flashy >= cellCount / 4)
        return [
          {
            line: undefined,
            frame: first + from,
            text: `from frame ${first + from} on more than a quarter of the picture flashes more than three times within a second`,
          },
        ];
    }
    return [];
  },
};

/** How many flashes there are in a row of luminances: pairs of opposing changes of a tenth, the darker below 0.8. */
function flashesOf(row: readonly number[]): number {
  let changes = 0;
  let [low, high, direction] = [row[0], row[0], 0];
  for (const value of row) {
    low = Math.min(low, value);
    high = Math.max(high, value);
    if (direction >= 0 && high - value >= 0.1 && value < 0.8) {
      if (direction !== 0 || high !== row[0]) changes++;
      direction = -1;
      [low, high] = [value, value];
    } else if (direction <= 0 && value - low >= 0.1 && low < 0.8) {
      changes++;
      direction = 1;
      [low, high] = [value, value];
    }
  }
  return changes / 2;
}

const noDuration: Rule = {
  name: 'no-duration',
  title: 'Progress without a duration',
  why: 'progress goes from 0 to 1 over the duration of a sketch. Without a duration it stays 0.',
  cure: 'Give the sketch a duration in seconds, duration: 6, or use seconds in place of progress.',
  find({ sketch: { frames, code }, noted }) {
    // One that spreads a moment asks for all of it.
    if (frames !== Infinity || !noted.asked.has('progress') || !code.includes('progress')) return [];
    return [{ line: undefined, frame: undefined, text: 'progress is asked for, and stays 0 in all frames' }];
  },
};

/** So many seconds, a round number of them, are more likely to be milliseconds. */
const longest = 1000;

const milliseconds: Rule = {
  name: 'milliseconds',
  title: 'A duration in milliseconds',
  why: 'Durations are in seconds. So many of them take long to come round, and longer to render.',
  cure: 'Write seconds: duration: 4.',
  find({ details, sketch: { frames, frameRate } }) {
    const seconds = frames / frameRate;
    if (isLong(seconds)) return [{ line: undefined, frame: undefined, text: `the duration is ${inMinutes(seconds)}` }];
    return callsByLine(details).flatMap(([{ call }]) => {
      const { duration } = optionsOf(call) as { readonly duration: number };
      if (call.name !== 'keyframes' || !isLong(duration)) return [];
      return [{ line: call.line, frame: undefined, text: `the duration of these keyframes is ${inMinutes(duration)}` }];
    });
  },
};

const isLong = (seconds: number): boolean => seconds !== Infinity && seconds >= longest && seconds % 100 === 0;
const inMinutes = (seconds: number): string => `${seconds} seconds, which are ${Math.round(seconds / 60)} minutes`;

const pilesUp: Rule = {
  name: 'piles-up',
  title: 'Ever more to draw',
  why: 'The sketch has no end, and each frame draws more than the one before: it gets slower and slower.',
  cure: 'Remove what is old, if (state.drops.length > 300) state.drops.shift(); or draw only what is new, and keep the rest with carry: 1.',
  find({ course, first, details, sketch, noted }) {
    if (sketch.frames !== Infinity || course.length < 40 || waitsForInput(noted)) return [];
    // Whoever looks how many there are, takes some out or begins again has set an end to it.
    if (/\b(?:shift|splice|pop|filter|slice|min|clamp|wrap)\b|\b(?:length|frame|seconds)\s*[<>=%]/.test(sketch.code))
      return [];
    const [counts, lengths] = [course.map(({ order }) => order.length), course.map(({ path }) => path.length)];
    if (!piles(counts) && !piles(lengths)) return [];
    const last = details.at(-1)!;
    const [most] = itemsByLine([last]).toSorted((one, other) => other.all.length - one.all.length);
    const text = piles(counts)
      ? `frame ${first} draws ${counts[0]} items, and frame ${first + course.length - 1} ${counts.at(-1)}`
      : `what is drawn goes by ${lengths[0]} numbers in frame ${first}, and by ${lengths.at(-1)} in frame ${first + course.length - 1}`;
    return [{ line: most?.line, frame: undefined, text }];
  },
};

/** Whether counts never fall, and rise in each quarter of their course, to several times what they were. */
function piles(counts: readonly number[]): boolean {
  const marks = [0, 1, 2, 3, 4].map((quarter) => counts[Math.round((quarter * (counts.length - 1)) / 4)]);
  const rises = marks.every((count, i) => i === 0 || count - marks[i - 1] >= counts.length / 20);
  return rises && counts.every((count, i) => i === 0 || count >= counts[i - 1]) && marks[4] > 3 * marks[0];
}

export const timeRules: readonly Rule[] = [
  nothingDrawn,
  vanishes,
  oneFrame,
  paintsOver,
  wiped,
  pilesUp,
  tooSlow,
  flashing,
  noDuration,
  milliseconds,
];
