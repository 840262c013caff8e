/*
 * The arc functions. The arc tangent by the method of fdlibm (FDLIBM-LICENSE.txt; s_atan.c): the value is led back to one
 * near 0, at 0, 0.5, 1, 1.5 or infinity, where a polynomial does; the others by the arc tangent.
 */

/** The angle whose tangent is `x`, in radians from −π/2 to π/2. */
export function atan(x: number): number {
  const far = Math.abs(x);
  if (far < 0.4375) return x === 0 ? x : x - x * series(x);
  const angle =
    far < 0.6875
      ? ledBack(4.63647609000806093515e-1, 2.26987774529616870924e-17, (2 * far - 1) / (2 + far))
      : far < 1.1875
        ? ledBack(7.85398163397448278999e-1, 3.06161699786838301793e-17, (far - 1) / (far + 1))
        : far < 2.4375
          ? ledBack(9.82793723247329054082e-1, 1.39033110312309984516e-17, (far - 1.5) / (1 + 1.5 * far))
          : ledBack(1.5707963267948966, 6.12323399573676603587e-17, -1 / far);
  return x < 0 ? -angle : angle;
}

/** The arc tangent of `t` plus a known arc, which is given in two parts for exactness. */
function ledBack(arc: number, rest: number, t: number): number {
  return arc - (t * series(t) - rest - t);
}

/** What the arc tangent of `t` falls short of `t`, as a part of it. */
function series(t: number): number {
  const z = t * t;
  const w = z * z;
  return (
    z *
      (3.33333333333329318027e-1 +
        w *
          (1.42857142725034663711e-1 +
            w *
              (9.09088713343650656196e-2 +
                w * (6.66107313738753120669e-2 + w * (4.97687799461593236017e-2 + w * 1.62858201153657823623e-2))))) +
    w *
      (-1.99999999998764832476e-1 +
        w *
          (-1.1111110405462355788e-1 +
            w * (-7.69187620504482999495e-2 + w * (-5.83357013379057348645e-2 + w * -3.6531572744216915527e-2))))
  );
}

/** The direction of the point (`x`, `y`) from the origin, in radians from −π to π: 0 along +x, π/2 along +y. */
export function atan2(y: number, x: number): number {
  if (Math.abs(x) === Infinity && Math.abs(y) === Infinity) return atan2(Math.sign(y), Math.sign(x));
  const angle = x === 0 && y === 0 ? 0 : atan(Math.abs(y / x));
  // On which side a zero lies shows only in its sign.
  const left = x < 0 || Object.is(x, -0);
  const turned = left ? Math.PI - (angle - 1.2246467991473532e-16) : angle;
  return y < 0 || Object.is(y, -0) ? -turned : turned;
}

/** The angle whose sine is `x`, in radians from −π/2 to π/2. */
export function asin(x: number): number {
  return atan2(x, Math.sqrt((1 - x) * (1 + x)));
}

/** The angle whose cosine is `x`, in radians from 0 to π. */
export function acos(x: number): number {
  return 2 * atan2(Math.sqrt(1 - x), Math.sqrt(1 + x));
}
