import { fail } from '../error.ts';
import { PathBuilder } from '../geometry/path-builder.ts';
import { isClosedPath, movePath, pathBox } from '../geometry/path.ts';
import { callable, checkKeys, missing, OptionNames, optionsObject, point } from '../options.ts';
import { readAnchor, type Anchor, type PinOptions } from './place.ts';
import type { ShapeKind } from './kind.ts';

/** A kind of shape of a sketch's own. */
export interface ShapeDefinition<Options extends object> {
  /** What it is called in messages and in `explain`. */
  name: string;
  /** Its options and their values where they are left out; other names are then mistakes. */
  defaults?: Options;
  /** Draws the outline around (0, 0), which sits on the pin. `canvas` is the canvas's size in the sketch's units. */
  outline: (options: Options, path: PathBuilder, canvas: { width: number; height: number }) => void;
  /** Puts another point of the outline's box on the pin instead. */
  anchor?: Anchor;
}

const definitionKeys = new OptionNames(['name', 'defaults', 'outline', 'anchor']);
const made = new WeakSet<object>();

/** A kind of shape, for `canvas.shape` and `boundsOf`. */
export type OwnShape<Options extends object> = ShapeKind<Partial<Options> & PinOptions>;

/**
 * Makes a kind of shape: drawn with `canvas.shape(kind, { at, … })`, and styled, turned and explained like any other.
 * It is filled where its outline has a part that closes.
 */
export function defineShape<Options extends object = object>(definition: ShapeDefinition<Options>): OwnShape<Options> {
  const call = 'defineShape';
  optionsObject(call, definition, "{ name: 'bollard', outline(options, path) { … } }");
  checkKeys(call, definition, definitionKeys);
  const { name, defaults, outline } = definition;
  if (name === undefined) missing(call, 'name', 'what messages call it');
  if (typeof name !== 'string' || name === '')
    fail({ call, option: 'name', value: name, problem: 'is not right', expected: 'expected some text' });
  callable(call, 'outline', outline);
  const kind: OwnShape<Options> = {
    name,
    keys: defaults === undefined ? undefined : ['at', 'anchor', ...Object.keys(defaults)],
    example: '{ at: [100, 80] }',
    outline(options, caller, around) {
      const pin = point(caller, 'at', options.at);
      const builder = new PathBuilder();
      outline({ ...defaults, ...options } as Options, builder, { width: around.width, height: around.height });
      const anchor = options.anchor ?? definition.anchor;
      let [x, y] = pin;
      if (anchor !== undefined) {
        const { left, top, right, bottom } = pathBox(builder.path);
        const [ax, ay] = readAnchor(caller, anchor, around);
        x -= left + ax * (right - left);
        y -= top + ay * (bottom - top);
      }
      return { path: movePath(builder.path, x, y), inside: isClosedPath(builder.path), pin };
    },
  };
  made.add(kind);
  return kind;
}

/** Whether a value came from `defineShape`. */
export function isOwnShape(value: unknown): boolean {
  return typeof value === 'object' && value !== null && made.has(value);
}
