import { fail } from '../error.ts';
import { isClosedPath, type Path } from '../geometry/path.ts';
import type { FillRule } from '../geometry/fill-rule.ts';
import { PathBuilder } from '../geometry/path-builder.ts';
import { parsePathData } from '../geometry/path-data.ts';
import { callable, oneOf } from '../options.ts';
import type { ShapeKind } from './kind.ts';

/** Any outline: as SVG path data, or built call by call. It is filled where it has a subpath that closes. */
export interface PathOptions {
  /** SVG path data: `M 10 10 h 80 v 80 z`. */
  data?: string;
  /** Draws the outline with moveTo, lineTo, quadraticCurveTo, bezierCurveTo, arc, ellipse, rect, closePath. */
  build?: (path: PathBuilder) => void;
  /** `nonzero` unless told otherwise. */
  fillRule?: FillRule;
}

export const path: ShapeKind<PathOptions> = {
  name: 'path',
  keys: ['data', 'build', 'fillRule', 'anchor'],
  example: "{ data: 'M 10 10 h 80 v 80 z' }",
  outline(options, call) {
    const outline = readPath(options, call);
    const fillRule =
      options.fillRule === undefined ? 'nonzero' : oneOf(call, 'fillRule', options.fillRule, ['nonzero', 'evenodd']);
    return { path: outline, inside: isClosedPath(outline), fillRule };
  },
};

function readPath({ data, build }: PathOptions, call: string): Path {
  if ((data === undefined) === (build === undefined))
    fail({
      call,
      problem: data === undefined ? 'has no outline' : 'has two outlines',
      expected: 'give data or build, one of them',
    });
  if (data !== undefined) return parsePathData(call, data);
  const builder = new PathBuilder();
  callable(call, 'build', build)?.(builder);
  return builder.path;
}
