import type { FillRule } from '../geometry/fill-rule.ts';
import type { PathWriter } from '../geometry/path-writer.ts';
import type { Pair } from '../schema/point.ts';
import type { Schema, Table } from '../schema/schema.ts';

/** What a shape says of its outline, beside the outline itself. */
export interface Outline {
  /** Whether there is an inside to fill; a shape without one is stroked in the fill color under `auto`. */
  readonly inside: boolean;
  /** The point that the shape's own rotate and scale leave in place; left out, the anchor's point of its box. */
  readonly pin?: Pair;
  readonly fillRule?: FillRule;
}

/** What an outline may depend on beside its options: the canvas, in the sketch's units. */
export interface Surroundings {
  /** Its smallest x. */
  readonly left: number;
  /** Its smallest y. */
  readonly top: number;
  /** From its smallest x to its largest. */
  readonly width: number;
  /** From its smallest y to its largest. */
  readonly height: number;
  /** Whether y grows upwards, so that the top of a box is where y is greatest. */
  readonly up: boolean;
}

/** A kind of shape: one small definition, in one file. `Given` is what a caller may give. */
export interface ShapeKind<Given> {
  /** The call's name, as it stands in messages and in `explain`. */
  readonly name: string;
  /** Its own options, beside those that every shape takes. */
  readonly options: Schema<Table>;
  /** Writes the outline of options that were checked, in the units in force, before its own rotate and scale. */
  outline(options: Given, path: PathWriter, call: string, surroundings: Surroundings): Outline;
}
