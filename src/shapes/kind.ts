import type { FillRule } from '../geometry/fill-rule.ts';
import type { Path } from '../geometry/path.ts';
import type { Pair } from '../options.ts';

/** What a shape's options come to: geometry in the units in force, before its own rotate and scale. */
export interface Outline {
  readonly path: Path;
  /** Whether there is an inside to fill; a shape without one is stroked in the fill colour under `auto`. */
  readonly inside: boolean;
  /** The point that the shape's own rotate and scale leave in place; left out, the anchor's point of its box. */
  readonly pin?: Pair;
  readonly fillRule?: FillRule;
}

/** What an outline may depend on beside its options. */
export interface Surroundings {
  /** The canvas's size in the sketch's units. */
  readonly width: number;
  readonly height: number;
  /** Whether y grows upwards, so that the top of a box is where y is greatest. */
  readonly up: boolean;
}

/** A kind of shape: one small definition, in one file. */
export interface ShapeKind<Options> {
  /** The call's name, as it stands in messages and in `explain`. */
  readonly name: string;
  /** Its own options, beside those that every shape takes; undefined where they cannot be known. */
  readonly keys: readonly string[] | undefined;
  /** Options that work, for the message when something else was passed. */
  readonly example: string;
  /** Reads and checks the options and gives the outline. Throws a SketchError where they cannot be meant. */
  outline(options: Options, call: string, around: Surroundings): Outline;
}
