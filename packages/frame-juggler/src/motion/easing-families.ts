/*
 * The usual families of easings, after Penner: each is given by its way in; the way out is the same backwards, and in and out
 * is half of each. Powers and sines are our own, so that a motion is the same in every engine.
 */
import { sinCos } from '../maths/degrees.ts';
import { exp } from '../maths/exponent.ts';

/** Maps the progress of a motion in time, 0 to 1, to its progress along the way: 0 to 1 too, or beyond for an overshoot. */
export type Easing = (progress: number) => number;

/**
 * An easing as keyframes use it.
 * @param before whether its time has not begun: a jump at 0 is then still to come
 */
export type EasingCurve = (progress: number, before?: boolean) => number;

/** 2 to the power of −10 · t, made to reach 1 at 0 and 0 at 1. */
const fade = (t: number): number => (exp(-10 * Math.LN2 * t) - 1 / 1024) / (1 - 1 / 1024);

/** How far `back` draws back: a tenth of the way. */
const overshoot = 1.70158;

/** Parabolas of a bounce, by when each ends, its middle and its height above the ground. */
const bounces = [
  [1 / 2.75, 0, 0],
  [2 / 2.75, 1.5 / 2.75, 0.75],
  [2.5 / 2.75, 2.25 / 2.75, 0.9375],
  [Infinity, 2.625 / 2.75, 0.984375],
];

function bounceOut(t: number): number {
  const [, middle, height] = bounces.find(([end]) => t < end) ?? bounces[3];
  return 7.5625 * (t - middle) * (t - middle) + height;
}

const ways: Readonly<Record<string, Easing>> = {
  sine: (t) => 1 - sinCos(90 * t).cos,
  quad: (t) => t * t,
  cubic: (t) => t * t * t,
  quart: (t) => t * t * t * t,
  quint: (t) => t * t * t * t * t,
  expo: (t) => fade(1 - t),
  circ: (t) => 1 - Math.sqrt(Math.max(0, 1 - t * t)),
  back: (t) => t * t * (t + overshoot * (t - 1)),
  // A period of 0.3, so that it ends on a crest.
  elastic: (t) => fade(1 - t) * sinCos((1.075 - t) * 1200).sin,
  bounce: (t) => 1 - bounceOut(1 - t),
};

/** Every family's `-in`, `-out` and `-in-out`, by name. */
export const easingFamilies: Readonly<Record<string, Easing>> = Object.fromEntries(
  Object.entries(ways).flatMap(([name, wayIn]): [string, Easing][] => [
    [`${name}-in`, wayIn],
    [`${name}-out`, (t) => 1 - wayIn(1 - t)],
    [`${name}-in-out`, (t) => (t < 0.5 ? wayIn(2 * t) / 2 : 1 - wayIn(2 - 2 * t) / 2)],
  ]),
);
