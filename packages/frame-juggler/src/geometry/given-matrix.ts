import { kindOf } from '../schema/kind.ts';
import type { Matrix } from './matrix.ts';

/** A transform that is handed in. */
export const givenMatrix = /* @__PURE__ */ kindOf<Matrix>(
  '[a, b, c, d, e, f] with finite numbers',
  (value) => Array.isArray(value) && value.length === 6 && value.every(Number.isFinite),
  (value) =>
    Array.isArray(value) && value.length === 6 ? 'holds what is not a finite number' : 'is not a list of six',
);
