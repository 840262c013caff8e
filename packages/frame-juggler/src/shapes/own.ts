import { isClosedPath, pathBox } from '../geometry/path.ts';
import { PathBuilder } from '../geometry/path-builder.ts';
import { anything, callable, finite, kindOf, name as nameKind, text, toggle, type Kind } from '../schema/kind.ts';
import { isPoint, pairOf } from '../schema/point.ts';
import { optional, schemaOf, type Table } from '../schema/schema.ts';
import type { ShapeKind } from './kind.ts';
import { anchorFraction, anchorKind, anchorTable, pinTable, type Anchor, type PinOptions } from './place.ts';

const requiredMark = Symbol('required');

/** Marks an option of your own shape as required; it is a number, unless you give `defineShape` its type. */
export const required = requiredMark as never;

/** Options as an outline gets them: the type of a required one may be unknown. */
type Drawn<Values> = {
  readonly [Name in keyof Values]: [Values[Name]] extends [never] ? number : Widened<Values[Name]>;
};
type Widened<Value> = Value extends number
  ? number
  : Value extends boolean
    ? boolean
    : Value extends string
      ? string
      : Value;

/** The options that a caller must give, and those that may be left out. */
type Given<Values, Needed extends keyof Values> = { [Name in Needed]: Drawn<Values>[Name] } & {
  [Name in Exclude<keyof Values, Needed>]?: Drawn<Values>[Name];
};
type NeverNames<Values> = { [Name in keyof Values]: [Values[Name]] extends [never] ? Name : never }[keyof Values];

/** A kind of shape of a sketch's own. */
export interface ShapeDefinition<Values extends object> {
  /** What it is called in messages and in `explain`. */
  name: string;
  /** Its options, each with its default, or `required`. */
  options?: Values;
  /** Draws the outline around (0, 0), which goes to `at`. `canvas` is the canvas's size in the sketch's units. */
  outline: (options: Drawn<Values>, path: PathBuilder, canvas: { width: number; height: number }) => void;
  /** Puts another point of the outline's box on the pin instead. */
  anchor?: Anchor;
}

const definitionOptions = schemaOf(
  {
    name: nameKind,
    options: optional(
      kindOf<object>(
        'an object: { width: 60, height: required }',
        (value) => typeof value === 'object' && value !== null && !Array.isArray(value),
        'is not an object',
      ),
    ),
    outline: callable<ShapeDefinition<object>['outline']>('a function: outline(options, path) { … }'),
    anchor: optional(anchorKind()),
  },
  "{ name: 'bollard', outline(options, path) { … } }",
);

const ownKinds = new WeakSet<object>();

/** A kind of shape, for `canvas.shape` and `boundsOf`. */
export type OwnShape<Values extends object> = ShapeKind<Given<Values, NeverNames<Values>> & PinOptions>;

/**
 * Makes a kind of shape, drawn with `canvas.shape(kind, { at, … })` and styled, turned and explained like any other. Its options are checked like those of every call: by name, and by the type of their default. It is filled if part of its outline is closed.
 * @throws SketchError where the definition is incomplete or not valid
 */
export function defineShape<Values extends object = Record<never, never>>(
  definition: ShapeDefinition<Values>,
): OwnShape<Values> {
  definitionOptions.check('defineShape', definition);
  const { name, outline } = definition;
  const values = (definition.options ?? {}) as Record<string, unknown>;
  const defaults = Object.fromEntries(Object.entries(values).filter(([, value]) => value !== requiredMark));
  const kind: OwnShape<Values> = {
    name,
    options: schemaOf({ ...pinTable, ...anchorTable, ...tableOf(values) }, '{ at: [100, 80] }'),
    outline(options, path, _call, surroundings) {
      const builder = new PathBuilder();
      outline(Object.assign({}, defaults, options) as unknown as Drawn<Values>, builder, {
        width: surroundings.width,
        height: surroundings.height,
      });
      const anchor = options.anchor ?? definition.anchor;
      const pin = pairOf(options.at);
      let [x, y] = pin;
      if (anchor !== undefined) {
        const { left, top, right, bottom } = pathBox(builder.path);
        const [ax, ay] = anchorFraction(anchor, surroundings);
        x -= left + ax * (right - left);
        y -= top + ay * (bottom - top);
      }
      path.path(builder.path, x, y);
      return { inside: isClosedPath(builder.path), pin };
    },
  };
  ownKinds.add(kind);
  return kind;
}

/** Whether a value came from `defineShape`. */
export function isOwnShape(value: unknown): boolean {
  return typeof value === 'object' && value !== null && ownKinds.has(value);
}

/** What an option of a shape of one's own may be: of the type of its value where it is left out. */
function tableOf(values: Record<string, unknown>): Table {
  return Object.fromEntries(
    Object.entries(values).map(([option, value]) => [
      option,
      value === requiredMark ? finiteOrOther : optional(kindLike(value)),
    ]),
  ) as Table;
}

/** Any value, but no number that is not finite. */
const finiteOrOther = kindOf<unknown>(
  'a value, numbers finite',
  (value) => typeof value !== 'number' || Number.isFinite(value),
  'is not finite',
);

function kindLike(value: unknown): Kind<unknown> {
  switch (typeof value) {
    case 'number':
      return finite;
    case 'boolean':
      return toggle;
    case 'string':
      return text;
    default:
      if (isPoint(value)) return kindOf('two finite numbers, as a point', isPoint, 'is not a point');
      return Array.isArray(value) ? kindOf('a list', Array.isArray, 'is not a list') : anything;
  }
}
