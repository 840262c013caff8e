import { isClosedPath, type Path } from '../geometry/path.ts';
import { PathBuilder } from '../geometry/path-builder.ts';
import { parsePathData } from '../geometry/path-data.ts';
import { callable, kindOf, oneOf } from '../schema/kind.ts';
import { type Form, optional, type Options, schemaOf } from '../schema/schema.ts';
import type { ShapeKind } from './kind.ts';
import { anchorTable, type AnchorOptions } from './place.ts';

const table = {
  /** Which parts of an outline that crosses itself are inside, by SVG's rules. */
  fillRule: optional(oneOf('nonzero', 'evenodd'), 'nonzero'),
};
const sourceTable = {
  /** SVG path data: `M 10 10 h 80 v 80 z`. */
  data: kindOf<string>("SVG path data, 'M 10 10 h 80'", (value) => typeof value === 'string', 'is not text'),
  /** Draws the outline with moveTo, lineTo, quadraticCurveTo, bezierCurveTo, arc, ellipse, rect, closePath; a point, or its x and y. */
  build: callable<(path: PathBuilder) => void>('a function of a path'),
};
type SourceTable = typeof sourceTable;
/** Any outline, as SVG path data or built call by call. It is filled if one of its subpaths is closed. */
export type PathOptions = (Form<SourceTable, 'data'> | Form<SourceTable, 'build'>) &
  Options<typeof table> &
  AnchorOptions;

export const path: ShapeKind<PathOptions> = {
  name: 'path',
  options: schemaOf(
    { ...sourceTable, ...table, ...anchorTable },
    "{ data: 'M 10 10 h 80 v 80 z' }, or { build(path) { … } }",
    [['data'], ['build']],
  ),
  outline({ data, build, fillRule = 'nonzero' }, writer, call) {
    const outline = data === undefined ? built(build!) : parsePathData(call, data);
    writer.path(outline);
    return { inside: isClosedPath(outline), fillRule };
  },
};

function built(build: (path: PathBuilder) => void): Path {
  const builder = new PathBuilder();
  build(builder);
  return builder.path;
}
