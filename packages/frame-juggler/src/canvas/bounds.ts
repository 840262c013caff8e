import { fail } from '../error.ts';
import { suggest } from '../suggest.ts';
import { boundsIn, type Bounds } from '../geometry/box.ts';
import { pathBox } from '../geometry/path.ts';
import { PathWriter } from '../geometry/path-writer.ts';
import { shapes } from '../shapes/index.ts';
import type { ShapeKind } from '../shapes/kind.ts';
import { isOwnShape, type OwnShape } from '../shapes/own.ts';
import { ownTransform, withShapeOptions, type ShapeOptions } from './shape-options.ts';

type Shapes = typeof shapes;
type GivenTo<Kind> = Kind extends ShapeKind<infer Given> ? Given : never;
const surroundings = { left: 0, top: 0, width: 0, height: 0, up: false };

/**
 * The tight box of a shape as it would be drawn, with its own rotate and scale but without its stroke, in the units of its options. Nothing is drawn. What depends on the direction of y, such as `anchor: 'top'`, is as where it runs downwards.
 * @param kind the name of a call (`'star'`), or a kind made with `defineShape`
 * @throws SketchError where there is no such kind, or an option is unknown or not valid
 */
export function boundsOf<Name extends keyof Shapes>(kind: Name, options: GivenTo<Shapes[Name]> & ShapeOptions): Bounds;
export function boundsOf<Values extends object>(
  kind: OwnShape<Values>,
  options: GivenTo<OwnShape<Values>> & ShapeOptions,
): Bounds;
export function boundsOf(kind: string | object, options: ShapeOptions): Bounds {
  const found = readKind(kind);
  const call = `boundsOf ${found.name}`;
  withShapeOptions(found.options).check(call, options);
  const path = new PathWriter();
  const outline = found.outline(options, path, call, surroundings);
  const own = ownTransform(options, outline, path, 0, surroundings);
  return boundsIn(pathBox(path.numbers, own, 0, path.length));
}

function readKind(kind: string | object): ShapeKind<object> {
  if (typeof kind === 'string' && Object.hasOwn(shapes, kind)) return shapes[kind as keyof Shapes] as ShapeKind<object>;
  if (isOwnShape(kind)) return kind as ShapeKind<object>;
  return fail({
    call: 'boundsOf',
    option: 'kind',
    value: kind,
    problem: 'is not a shape',
    expected: kind === 'text' ? 'measureText(string, { size }) measures text' : suggest(kind, Object.keys(shapes)),
  });
}
