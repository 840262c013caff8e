/**
 * The direction of a point in turns from +x towards +y, 0 to 1: the arc tangent of Abramowitz and Stegun, 4.4.49, right
 * to 2e-8 radians. What engines have of their own may differ from one to the next in its last digits.
 */
export function turnOf(x: number, y: number): number {
  const across = Math.abs(y);
  const along = Math.abs(x);
  if (across === 0 && along === 0) return 0;
  const steep = across > along;
  const ratio = steep ? along / across : across / along;
  const square = ratio * ratio;
  let sum = 0.0028662257;
  sum = sum * square - 0.0161657367;
  sum = sum * square + 0.0429096138;
  sum = sum * square - 0.07528964;
  sum = sum * square + 0.1065626393;
  sum = sum * square - 0.1420889944;
  sum = sum * square + 0.1999355085;
  sum = sum * square - 0.3333314528;
  const eighth = ((sum * square + 1) * ratio) / (2 * Math.PI);
  const quarter = steep ? 0.25 - eighth : eighth;
  const half = x < 0 ? 0.5 - quarter : quarter;
  return y < 0 ? 1 - half : half;
}
