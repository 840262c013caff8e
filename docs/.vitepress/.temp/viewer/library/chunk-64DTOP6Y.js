import {
  atan2,
  sinCos
} from "./chunk-IWQLMP55.js";

// packages/frame-juggler/dist/geometry/matrix.js
var identity = [1, 0, 0, 1, 0, 0];
function multiply(outer, inner) {
  const [a, b, c, d, e, f] = outer;
  const [a2, b2, c2, d2, e2, f2] = inner;
  return [a * a2 + c * b2, b * a2 + d * b2, a * c2 + c * d2, b * c2 + d * d2, a * e2 + c * f2 + e, b * e2 + d * f2 + f];
}
function translation(x, y) {
  return [1, 0, 0, 1, x, y];
}
function rotation(degrees) {
  const { sin, cos } = sinCos(degrees);
  return [cos, sin, -sin, cos, 0, 0];
}
function scaling(x, y) {
  return [x, 0, 0, y, 0, 0];
}
function skewing(ax, ay) {
  return [1, tangent(ay), tangent(ax), 1, 0, 0];
}
function aboutPoint(m, x, y) {
  return multiply(multiply(translation(x, y), m), translation(-x, -y));
}
function determinant(m) {
  return m[0] * m[3] - m[1] * m[2];
}
function inverse(m) {
  const [a, b, c, d, e, f] = m;
  const det = determinant(m);
  if (det === 0 || !Number.isFinite(det))
    return void 0;
  const result = [d / det, -b / det, -c / det, a / det, (c * f - d * e) / det, (b * e - a * f) / det];
  return result.every(Number.isFinite) ? result : void 0;
}
function apply(m, x, y) {
  return [m[0] * x + m[2] * y + m[4], m[1] * x + m[3] * y + m[5]];
}
function largestScale(m) {
  const [a, b, c, d] = m;
  const sum = a * a + b * b + c * c + d * d;
  const det = determinant(m);
  return Math.sqrt((sum + Math.sqrt(Math.max(0, sum * sum - 4 * det * det))) / 2);
}
function tangent(degrees) {
  const eighth = (degrees - 45) / 90;
  if (Number.isInteger(eighth))
    return eighth % 2 === 0 ? 1 : -1;
  const { sin, cos } = sinCos(degrees);
  return sin / cos;
}

// packages/frame-juggler/dist/geometry/path.js
var move = 0;
var line = 1;
var quad = 2;
var cubic = 3;
var arc = 4;
var close = 5;
var commandLength = [3, 3, 5, 7, 8, 1];
function isClosedPath(path) {
  let start;
  let end;
  const ends = () => start !== void 0 && end !== void 0 && start[0] === end[0] && start[1] === end[1];
  for (let i = 0; i < path.length; i += commandLength[path[i]]) {
    const command = path[i];
    if (command === close || command === arc && Math.abs(path[i + 7]) >= 360)
      return true;
    if (command === move) {
      if (ends())
        return true;
      start = [path[i + 1], path[i + 2]];
      end = void 0;
    } else if (command === arc) {
      start ??= arcPoint(path, i, path[i + 6]);
      end = arcPoint(path, i, path[i + 6] + path[i + 7]);
    } else
      end = [path[i + commandLength[command] - 2], path[i + commandLength[command] - 1]];
  }
  return ends();
}
function arcPoint(path, i, degrees) {
  return ellipsePoint(path[i + 1], path[i + 2], path[i + 3], path[i + 4], path[i + 5], degrees);
}
var farthest = Number.MAX_VALUE / 4;
function isFinitePath(path) {
  for (let i = 0; i < path.length; i++)
    if (!(Math.abs(path[i]) <= farthest))
      return false;
  return true;
}
function ellipsePoint(cx, cy, rx, ry, rotation2, degrees) {
  const { sin, cos } = sinCos(degrees);
  const x = rx * cos;
  const y = ry * sin;
  if (rotation2 === 0)
    return [cx + x, cy + y];
  const [dx, dy] = apply(rotation(rotation2), x, y);
  return [cx + dx, cy + dy];
}
function pathBox(path, matrix = identity, from = 0, to = path.length) {
  const [a, b, c, d, e, f] = matrix;
  let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity];
  let x = 0;
  let y = 0;
  let startX = 0;
  let startY = 0;
  const add = (px, py) => {
    const toX = a * px + c * py + e;
    const toY = b * px + d * py + f;
    left = Math.min(left, toX);
    top = Math.min(top, toY);
    right = Math.max(right, toX);
    bottom = Math.max(bottom, toY);
  };
  for (let i = from; i < to; i += commandLength[path[i]]) {
    switch (path[i]) {
      case move:
      case line:
        [x, y] = [path[i + 1], path[i + 2]];
        add(x, y);
        if (path[i] === move)
          [startX, startY] = [x, y];
        break;
      case quad: {
        const [cx, cy, ex, ey] = [path[i + 1], path[i + 2], path[i + 3], path[i + 4]];
        const at = (t) => add((1 - t) * (1 - t) * x + 2 * t * (1 - t) * cx + t * t * ex, (1 - t) * (1 - t) * y + 2 * t * (1 - t) * cy + t * t * ey);
        for (const row of [0, 1]) {
          const [p0, p1, p2] = [
            [x, y],
            [cx, cy],
            [ex, ey]
          ].map(([px, py]) => matrix[row] * px + matrix[row + 2] * py);
          const t = (p0 - p1) / (p0 - 2 * p1 + p2);
          if (t > 0 && t < 1)
            at(t);
        }
        [x, y] = [ex, ey];
        add(x, y);
        break;
      }
      case cubic: {
        const [ax, ay, bx, by] = [path[i + 1], path[i + 2], path[i + 3], path[i + 4]];
        const [ex, ey] = [path[i + 5], path[i + 6]];
        const at = (t) => {
          const u = 1 - t;
          const [w0, w1, w2, w3] = [u * u * u, 3 * u * u * t, 3 * u * t * t, t * t * t];
          add(w0 * x + w1 * ax + w2 * bx + w3 * ex, w0 * y + w1 * ay + w2 * by + w3 * ey);
        };
        for (const row of [0, 1]) {
          const [p0, p1, p2, p3] = [
            [x, y],
            [ax, ay],
            [bx, by],
            [ex, ey]
          ].map(([px, py]) => matrix[row] * px + matrix[row + 2] * py);
          for (const t of roots(p3 - 3 * p2 + 3 * p1 - p0, 2 * (p2 - 2 * p1 + p0), p1 - p0))
            if (t > 0 && t < 1)
              at(t);
        }
        [x, y] = [ex, ey];
        add(x, y);
        break;
      }
      case arc: {
        const [rx, ry, start, sweep] = [path[i + 3], path[i + 4], path[i + 6], path[i + 7]];
        const at = (degrees) => {
          [x, y] = arcPoint(path, i, degrees);
          add(x, y);
        };
        at(start);
        const { sin, cos } = sinCos(path[i + 5]);
        for (const row of [0, 1]) {
          const u = (matrix[row] * cos + matrix[row + 2] * sin) * rx;
          const v = (-matrix[row] * sin + matrix[row + 2] * cos) * ry;
          const extreme = atan2(v, u) * 180 / Math.PI;
          for (const candidate of [extreme, extreme + 180]) {
            const along = ((candidate - start) * Math.sign(sweep || 1) % 360 + 360) % 360;
            if (along < Math.abs(sweep))
              at(candidate);
          }
        }
        at(start + sweep);
        break;
      }
      default:
        [x, y] = [startX, startY];
    }
  }
  return { left, top, right, bottom };
}
function roots(a, b, c) {
  if (Math.abs(a) < 1e-12 * (Math.abs(b) + Math.abs(c)))
    return b === 0 ? [] : [-c / b];
  const inside = b * b - 4 * a * c;
  if (!(inside >= 0))
    return [];
  const root = Math.sqrt(inside);
  return [(-b + root) / (2 * a), (-b - root) / (2 * a)];
}
function addPlaced(path, added, x, y, scaleX, scaleY) {
  for (let i = 0; i < added.length; ) {
    const end = i + commandLength[added[i]];
    path.push(added[i++]);
    for (; i < end; i += 2)
      path.push(x + added[i] * scaleX, y + added[i + 1] * scaleY);
  }
}

export {
  identity,
  multiply,
  translation,
  rotation,
  scaling,
  skewing,
  aboutPoint,
  determinant,
  inverse,
  apply,
  largestScale,
  move,
  line,
  quad,
  cubic,
  arc,
  close,
  commandLength,
  isClosedPath,
  arcPoint,
  isFinitePath,
  pathBox,
  addPlaced
};
