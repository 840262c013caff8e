import type { Canvas } from '../canvas/canvas.ts';
import { fail } from '../error.ts';
import { callable, convertedLater, kindOf, length, listOf, positive } from '../schema/kind.ts';
import { optional, type Options, schemaOf } from '../schema/schema.ts';
import type { Moment } from './sketch.ts';

/** What a scene gets: all that the sketch is given, with the scene's own time, and chance of its own. */
export interface SceneMoment extends Moment {
  /** Seconds since the scene began. */
  readonly seconds: number;
  /** From 0 up to 1 over the scene. */
  readonly progress: number;
  /** How much of it covers the scene before: 0 to 1 while it fades in, then 1. */
  readonly presence: number;
}

const sceneTable = {
  /** How long it lasts, in seconds, its fade included. */
  duration: positive,
  /** How long it fades in over the end of the scene before, in seconds; 0 is a cut. */
  fade: optional(length, 0),
  /** Draws it: `paint(canvas, { seconds, progress, presence }, state)`. */
  paint: callable<(canvas: Canvas, scene: SceneMoment) => void>('a function that draws: paint(canvas) { … }'),
};
/** One of several scenes. */
export interface Scene<State = unknown> extends Omit<Options<typeof sceneTable>, 'paint'> {
  /** Draws it: `paint(canvas, { seconds, progress, presence }, state)`. */
  paint(canvas: Canvas, scene: SceneMoment, state: State): void;
}
const sceneOptions = schemaOf(sceneTable, '{ duration: 2, paint(canvas) { … } }');

/** Scenes that follow one another. */
export interface Scenes<State = unknown> {
  /** Seconds in all, for a sketch's `duration`. */
  readonly duration: number;
  /**
   * Paints the scene of a moment, or two while one fades into the next, as a sketch's `paint` does; it can be a sketch's `paint`. After the last, its last picture stays.
   */
  paint(this: void, canvas: Canvas, moment: Moment, state?: State): void;
}

const call = 'scenes';
const momentKind = kindOf<Moment>(
  'what paint is given: show.paint(canvas, moment, state)',
  (value) => typeof value === 'object' && value !== null && Number.isFinite((value as Moment).seconds),
  () => 'is not a moment',
);
const sceneList = listOf(convertedLater<Scene>('a scene'), 'scenes', 1);

/**
 * Scenes with durations and cross-fades. While two overlap, the ending one is painted in full and the next one over it, as one picture that becomes more and more opaque; so each scene paints its own background.
 * @throws SketchError where an option is unknown or not valid
 */
export function scenes<State = unknown>(list: readonly Scene<State>[]): Scenes<State> {
  sceneList.read(call, 'list', list);
  let end = 0;
  const placed = list.map((given, index) => {
    const { duration, fade, paint } = sceneOptions.read(`${call} [${index}]`, given) as Required<Scene<State>>;
    const room = Math.min(duration, list[index - 1]?.duration ?? 0);
    if (fade > room)
      fail({
        call: `${call} [${index}]`,
        option: 'fade',
        value: fade,
        problem: index === 0 ? 'has no scene before' : 'is too long',
        expected:
          index === 0
            ? 'leave it out: a scene fades in over the one before it'
            : `expected at most ${room}: it overlaps the scene before`,
      });
    const start = end - fade;
    end = start + duration;
    return { start, duration, fade, paint };
  });
  return {
    duration: end,
    paint(canvas, moment, state) {
      // A hair more, so that 0.1 s at 30 frames a second has begun in frame 3.
      const at = momentKind.read(`${call}.paint`, 'moment', moment).seconds;
      const now = at + 1e-9;
      const last = placed.length - 1;
      placed.forEach(({ start, duration, fade, paint }, index) => {
        if (now < start && index > 0) return;
        if (now >= start + duration && index < last) return;
        const own = Math.min(duration, Math.max(0, at - start));
        const presence = own >= fade ? 1 : own / fade;
        const scene = sceneMoment(moment, index, { seconds: own, progress: own / duration, presence });
        // Always in a group, so that a scene leaves no style to the next.
        canvas.group(presence < 1 ? { opacity: presence } : {}, () => paint(canvas, scene, state as State));
      });
    },
  };
}

/**
 * A sketch's moment as a scene sees it. Nothing else of it is looked at before the scene does, since what a sketch asks for
 * is noted; its own are all of its names, so that `{ ...scene }` is a whole moment.
 */
function sceneMoment(
  moment: Moment,
  index: number,
  own: Pick<SceneMoment, 'seconds' | 'progress' | 'presence'>,
): SceneMoment {
  let random: SceneMoment['random'] | undefined;
  const given: PropertyDescriptorMap = {};
  for (const name in moment) given[name] = { enumerable: true, get: () => moment[name as keyof Moment] };
  return Object.create(moment, {
    ...given,
    ...Object.getOwnPropertyDescriptors(own),
    // Of its own, so that what it scatters holds still while another scene takes chances beside it.
    random: { enumerable: true, get: () => (random ??= moment.random.stream(`scene ${index}`)) },
  }) as SceneMoment;
}
