import { fail, suggest } from '../error.ts';
import type { Box } from '../geometry/box.ts';
import { pathBox } from '../geometry/path.ts';
import { checkKeys, optionsObject } from '../options.ts';
import { shapes } from '../shapes/index.ts';
import type { ShapeKind } from '../shapes/kind.ts';
import { isOwnShape, type OwnShape } from '../shapes/own.ts';
import { knownOptions, ownTransform, type ShapeOptions } from './canvas.ts';

type Shapes = typeof shapes;
type OptionsOf<Kind> = Kind extends ShapeKind<infer Options> ? Options : never;
const surroundings = { width: 0, height: 0, up: false };

/**
 * The tight box of a shape as it would be drawn, its own rotate and scale included, its stroke not; in the units that
 * its options are in. Nothing is drawn.
 * @param kind the name of a call (`'star'`), or a kind made with `defineShape`
 */
export function boundsOf<Name extends keyof Shapes>(kind: Name, options: OptionsOf<Shapes[Name]> & ShapeOptions): Box;
export function boundsOf<Options extends object>(
  kind: OwnShape<Options>,
  options: OptionsOf<OwnShape<Options>> & ShapeOptions,
): Box;
export function boundsOf(kind: string | object, options: ShapeOptions): Box {
  const found = readKind(kind);
  const call = `boundsOf ${found.name}`;
  optionsObject(call, options, found.example);
  checkKeys(call, options, knownOptions(found));
  const outline = found.outline(options, call, surroundings);
  return pathBox(outline.path, ownTransform(call, options, outline, surroundings));
}

function readKind(kind: string | object): ShapeKind<object> {
  if (typeof kind === 'string' && kind in shapes) return shapes[kind as keyof Shapes] as ShapeKind<object>;
  if (isOwnShape(kind)) return kind as ShapeKind<object>;
  const names = Object.keys(shapes);
  return fail({
    call: 'boundsOf',
    option: 'kind',
    value: kind,
    problem: 'is not a shape',
    expected: suggest(kind, names),
  });
}
