import { Lines } from './lines.ts';

/** An outline that a pattern would cut into more pieces than this stays whole: they are finer than any pixel. */
const maxDashes: f64 = 100_000;

/** The lengths of dashes and gaps in turn; an odd list is gone through twice, so that dash and gap change places. */
let pattern: usize = 0;
let given: i32 = 0;
let lengths: i32 = 0;

@inline
function lengthAt(index: i32): f64 {
  return load<f64>(pattern + (index < given ? index : index - given) * 8);
}

/** On a closed subpath the dash at the start is kept back: it may turn out to be the end of the last one. */
const head = new Lines();

/**
 * Cuts outlines into dashes, as SVG's `stroke-dasharray` says: `offset` is how far into the pattern each subpath begins.
 * Dashes come out as open subpaths; on a closed subpath the last dash runs on into the first where both touch the
 * start. A pattern of nothing but zeros leaves the outline whole.
 */
export function dash(lines: Lines, list: usize, count: i32, offset: f64, out: Lines): void {
  pattern = list;
  given = count;
  lengths = count & 1 ? count * 2 : count;
  let period: f64 = 0;
  for (let i = 0; i < lengths; i++) period += lengthAt(i);
  const start = ((offset % period) + period) % period;
  for (let subpath = 0; subpath < lines.subpaths; subpath++) {
    const pieces = (lengthOf(lines, subpath) / period) * lengths;
    if (pieces < maxDashes) dashSubpath(lines, subpath, start, out);
    else copySubpath(lines, subpath, out);
  }
}

function dashSubpath(lines: Lines, subpath: i32, offset: f64, out: Lines): void {
  const first = lines.start(subpath);
  const corners = lines.end(subpath) - first;
  const closed = lines.isClosed(subpath);
  const segments = closed ? corners : corners - 1;

  let index = 0;
  let used = offset;
  while (used > lengthAt(index) || (used === lengthAt(index) && used > 0)) {
    used -= lengthAt(index);
    index = (index + 1) % lengths;
  }
  let remaining = lengthAt(index) - used;
  let on = (index & 1) === 0;

  const keepsHead = closed && on;
  let inHead = keepsHead;
  head.clear();
  if (on) put(inHead, true, lines.x(first), lines.y(first), out);
  for (let segment = 0; segment < segments; segment++) {
    const from = first + segment;
    const to = first + ((segment + 1) % corners);
    const x = lines.x(from);
    const y = lines.y(from);
    const dx = lines.x(to) - x;
    const dy = lines.y(to) - y;
    const length = Math.sqrt(dx * dx + dy * dy);
    let along: f64 = 0;
    while (length - along > remaining) {
      along += remaining;
      put(inHead, !on, x + (dx * along) / length, y + (dy * along) / length, out);
      if (on) inHead = false;
      on = !on;
      index = (index + 1) % lengths;
      remaining = lengthAt(index);
    }
    remaining -= length - along;
    if (on) put(inHead, false, lines.x(to), lines.y(to), out);
  }

  if (!keepsHead) return;
  // The last point of a head that never ended is the first again.
  const end = inHead ? head.count - 1 : head.count;
  for (let i = on && !inHead ? 1 : 0; i < end; i++) put(false, i === 0, head.x(i), head.y(i), out);
  if (inHead) out.close();
}

function put(inHead: bool, begins: bool, x: f64, y: f64, out: Lines): void {
  if (inHead) head.add(x, y);
  else if (begins) out.begin(x, y);
  else out.add(x, y);
}

function lengthOf(lines: Lines, subpath: i32): f64 {
  let sum: f64 = 0;
  for (let i = lines.start(subpath) + 1; i < lines.end(subpath); i++) {
    const dx = lines.x(i) - lines.x(i - 1);
    const dy = lines.y(i) - lines.y(i - 1);
    sum += Math.sqrt(dx * dx + dy * dy);
  }
  return sum;
}

function copySubpath(lines: Lines, subpath: i32, out: Lines): void {
  const first = lines.start(subpath);
  out.begin(lines.x(first), lines.y(first));
  for (let i = first + 1; i < lines.end(subpath); i++) out.add(lines.x(i), lines.y(i));
  if (lines.isClosed(subpath)) out.close();
}
