import type { Canvas } from '../canvas/canvas.ts';
import { fail } from '../error.ts';
import { callable, checkKeys, finite, notNegative, OptionNames, optionsObject } from '../options.ts';

/** What a scene is told: its own time. */
export interface SceneMoment {
  /** Seconds since the scene began. */
  readonly seconds: number;
  /** From 0 up to 1 over the scene. */
  readonly progress: number;
  /** How much of it covers the scene before: 0 to 1 while it fades in, then 1. */
  readonly presence: number;
}

/** One scene of a sequence. */
export interface Scene {
  /** Seconds, its fade included. */
  length: number;
  /** Seconds in which it fades in over the end of the scene before; 0, a cut, unless told otherwise. */
  fade?: number;
  paint: (canvas: Canvas, scene: SceneMoment) => void;
}

/** Scenes one after the other. */
export interface Sequence {
  /** Seconds in all, for a sketch's `duration`. */
  readonly length: number;
  /** Paints the scene of a moment, or two while one fades into the next. After the last, its last picture stays. */
  paint(canvas: Canvas, seconds: number): void;
}

const call = 'sequence';
const sceneKeys = new OptionNames(['length', 'fade', 'paint']);

/**
 * Scenes with lengths and cross-fades. While two overlap, the one that ends is painted whole and the next over it, as
 * one picture, ever more opaque; so a scene paints its own background.
 */
export function sequence(scenes: readonly Scene[]): Sequence {
  if (!Array.isArray(scenes) || scenes.length === 0)
    return fail({ call, option: 'scenes', value: scenes, problem: 'is not a list of scenes', expected: 'expected [{ length: 2, paint(canvas) { … } }]' }); // prettier-ignore
  let end = 0;
  const placed = scenes.map((scene: Scene, index) => {
    const name = `scenes[${index}]`;
    checkKeys(`${call} ${name}`, optionsObject(call, scene, '{ length: 2, paint(canvas) { … } }'), sceneKeys);
    const length = notNegative(call, `${name} length`, scene.length);
    const fade = notNegative(call, `${name} fade`, scene.fade ?? 0);
    const room = Math.min(length, scenes[index - 1]?.length ?? 0);
    if (length === 0) fail({ call, option: `${name} length`, value: length, problem: 'leaves no time' });
    if (fade > room) fail({ call, option: `${name} fade`, value: fade, problem: 'is too long', expected: `expected at most ${room}: it overlaps the scene before` }); // prettier-ignore
    const start = end - fade;
    end = start + length;
    return { start, length, fade, paint: callable(call, `${name} paint`, scene.paint) };
  });
  return {
    length: end,
    paint(canvas, seconds) {
      // A hair more, so that 0.1 s at 30 frames a second has begun in frame 3.
      const at = finite(`${call}.paint`, 'seconds', seconds);
      const now = at + 1e-9;
      const last = placed.length - 1;
      placed.forEach(({ start, length, fade, paint }, index) => {
        if (now < start && index > 0) return;
        if (now >= start + length && index < last) return;
        const own = Math.min(length, Math.max(0, at - start));
        const presence = own >= fade ? 1 : own / fade;
        const moment = { seconds: own, progress: own / length, presence };
        // Always in a group, so that a scene leaves no style to the next.
        canvas.group(presence < 1 ? { opacity: presence } : {}, () => paint(canvas, moment));
      });
    },
  };
}
