import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { identity, rotation, scaling, type Matrix } from '../../packages/frame-juggler/src/geometry/matrix.ts';
import { tiltPlane, transformPlane, type Plane } from '../../packages/frame-juggler/src/geometry/space.ts';

/** Three rows of three. */
type Space = readonly (readonly number[])[];

const product = (a: Space, b: Space): Space =>
  a.map((row) => [0, 1, 2].map((j) => row.reduce((sum, value, k) => sum + value * b[k][j], 0)));
const cosSin = (degrees: number): [number, number] => [
  Math.cos((degrees * Math.PI) / 180),
  Math.sin((degrees * Math.PI) / 180),
];
const aboutX = ([c, s]: [number, number]): Space => [[1, 0, 0], [0, c, -s], [0, s, c]]; // prettier-ignore
const aboutY = ([c, s]: [number, number]): Space => [[c, 0, s], [0, 1, 0], [-s, 0, c]]; // prettier-ignore
/** A transform of the plane in space: it takes the third axis along as far as the other two on average. */
const within = ([a, b, c, d]: Matrix): Space => [[a, c, 0], [b, d, 0], [0, 0, Math.sqrt(Math.abs(a * d - b * c))]]; // prettier-ignore

const angle = fc.integer({ min: -170, max: 170 });
const factor = fc.constantFrom(0.5, 1.5, 2);
const step = fc.oneof(
  fc.tuple(angle, angle).map(([x, y]) => ({
    plane: (from: Plane) => tiltPlane(from, x, y),
    space: product(aboutX(cosSin(x)), aboutY(cosSin(y))),
  })),
  fc
    .oneof(
      angle.map(rotation),
      fc.tuple(factor, factor).map(([x, y]) => scaling(x, y)),
    )
    .map((by) => ({ plane: (from: Plane) => transformPlane(from, by), space: within(by) })),
);

test('planes that lean, turn and stretch are what rotations in space make of them, seen straight on', () => {
  fc.assert(
    fc.property(fc.array(step, { minLength: 1, maxLength: 5 }), (steps) => {
      let plane: Plane = { matrix: identity, lean: undefined };
      let space: Space = within(identity);
      for (const next of steps) [plane, space] = [next.plane(plane), product(space, next.space)];
      const [a, b, c, d] = plane.matrix;
      const seen = [space[0][0], space[1][0], space[0][1], space[1][1]];
      [a, b, c, d].forEach((value, i) => expect(value).toBeCloseTo(seen[i], 9));
    }),
  );
});
