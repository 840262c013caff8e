import type { Frame } from '../frame/frame.ts';
import { FrameReader } from '../frame/reader.ts';
import { intersectBoxes, padBox } from '../geometry/box.ts';
import { multiply, scaling } from '../geometry/matrix.ts';
import { pathBox } from '../geometry/path.ts';
import { canvasBox } from '../review/reviewed.ts';
import { itemsInWords } from '../review/describe.ts';
import { isSameFrame } from '../review/same-frame.ts';
import type { Run } from '../sketch/run.ts';
import { withParts, type Sketch } from '../sketch/sketch.ts';
import { RasterSurface } from '../surfaces/raster/surface.ts';
import type { SourceLine } from '../source-line.ts';
import { lineOfCode } from './bare-code.ts';
import { relativeLuminance } from './luminance.ts';
import { keysOf, tracksOf, type Detail, type Evidence, type SeenItem } from './evidence.ts';
import { noteLacking, Noted, PaintLog, watched } from './watch.ts';

/** How a sketch is run for its checks. */
export interface GatherSetting {
  /**
   * The first and the last frame to look at. By default the first 120, or the whole run if that is shorter; fewer, but 8 at
   * least, where a frame has more than 4,000 items.
   */
  readonly frames?: readonly [first: number, last: number] | undefined;
  /** Makes a run of the sketch, or of one like it. */
  readonly open: (sketch: Sketch) => Run;
  /** Milliseconds, from a monotonic clock. */
  readonly now: () => number;
  /** The text of a file of the sketch's, by its address; some findings have their lines by it. */
  readonly read?: ((file: string) => string | undefined) | undefined;
  /** Called with how many frames have been looked at, and of how many. */
  readonly onProgress: (done: number, total: number) => void;
}

/** So many frames are looked at where none are named, and no more than have so many items together. */
const usual = { frames: 120, fewest: 8, items: 500_000 };
/** So many frames are looked at in full: the first, the last and some between. */
const detailed = 3;
/** How wide, in pixels, pictures are looked at for what lies under an item, and for flashes. */
const widths = { under: 320, flashes: 64 };
/** With more items than this, the ground under each is not looked at. */
const maxUnder = 4000;
/** Within how many seconds a run at another frame rate is compared. */
const comparedSeconds = 1;

/** Runs a sketch, and gathers what the rules judge by. */
export async function gather(sketch: Sketch, setting: GatherSetting): Promise<Evidence> {
  const { open, onProgress } = setting;
  const frames = setting.frames ?? (await usualFrames(sketch, open));
  const [first, last] = frames;
  const count = last - first + 1;
  const noted = new Noted();
  const run = open(watched(sketch, noted));
  const inFull = new Set(
    Array.from(
      { length: Math.min(detailed, count) },
      (_, i) => first + Math.round((i * (count - 1)) / Math.max(1, Math.min(detailed, count) - 1)),
    ),
  );
  const course: Frame[] = [];
  const details: Detail[] = [];
  const luminances: Float32Array[] = [];
  const surface = new RasterSurface();
  const total = count * 2;
  for (let at = first; at <= last; at++) {
    await run.goTo(at);
    const frame = await run.paint();
    course.push(frame);
    if (count > 1) {
      surface.draw({ ...frame, density: widths.flashes / frame.width });
      luminances.push(luminancesOf(surface.drawn));
    }
    if (inFull.has(at)) details.push(await detailOf(run, noted, at, frame));
    onProgress(course.length, total);
  }
  const again = await runAgain(sketch, setting, frames, details, (done) => onProgress(count + done, total));
  onProgress(total, total);
  return {
    sketch: {
      width: run.width,
      height: run.height,
      frameRate: sketch.frameRate,
      frames: sketch.frames,
      repeats: sketch.repeat,
      carry: sketch.carry,
      hasStep: sketch.step !== undefined,
      background: sketch.canvas.background,
      declared: [
        ...Object.keys(sketch.dials).map((name) => ({ part: 'dials' as const, name })),
        ...Object.keys(sketch.assets).map((name) => ({ part: 'assets' as const, name })),
      ],
      code: [sketch.start, sketch.step, sketch.paint].join('\n'),
    },
    noted,
    course,
    first,
    tracks: tracksOf(course),
    details,
    ...again,
    luminances,
    lineOf: (written) => lineOf(written, details, setting.read),
  };
}

/** The line of a piece of code, in one of the files from which the sketch calls its canvas. */
function lineOf(written: string, details: readonly Detail[], read: GatherSetting['read']): SourceLine | undefined {
  const files = new Set(details.flatMap(({ log }) => log.calls.flatMap(({ line }) => line?.file ?? [])));
  const lines = [...files].flatMap((file) => lineOfCode(file, read?.(file) ?? '', written) ?? []);
  return lines.length === 1 ? lines[0] : undefined;
}

/** The frames that are looked at where none are named; their number follows from the first one's items, not from the time. */
async function usualFrames(sketch: Sketch, open: GatherSetting['open']): Promise<readonly [number, number]> {
  const run = quiet(open(sketch));
  await run.goTo(0);
  const items = (await run.paint()).order.length;
  const most = Math.max(usual.fewest, Math.min(usual.frames, Math.floor(usual.items / Math.max(1, items))));
  return [0, Math.min(sketch.frames, most) - 1];
}

async function detailOf(run: Run, noted: Noted, at: number, painted: Frame): Promise<Detail> {
  const log = new PaintLog();
  noted.log = log;
  run.quiet = true;
  const frame = await run.paint(true);
  run.quiet = false;
  noted.log = undefined;
  noteLacking(log);
  const items = itemsInWords(frame);
  const under = underItems(frame);
  const reader = new FrameReader(frame);
  const list = reader.items();
  const keys = keysOf(list);
  const seen = list.map((item, i): SeenItem => ({
    item,
    description: items[i],
    key: keys[i],
    place: frame.order[i],
    changes: under[i]?.changes ?? true,
    under: under[i]?.color,
  }));
  return { at, frame, items: seen, log, repeats: isSameFrame(painted, frame), canvas: canvasBox(frame) };
}

/** What lies under each item as it is drawn: whether it changes anything, and the mean color where it paints. */
function underItems(frame: Frame): ({ changes: boolean; color: [number, number, number] | undefined } | undefined)[] {
  const { order } = frame;
  if (order.length > maxUnder) return [];
  const density = Math.min(1, widths.under / frame.width);
  const [whole, alone] = [new RasterSurface(), new RasterSurface()];
  const blank = { ...frame, density, order: order.subarray(0, 0), carry: 0 };
  whole.draw(blank);
  const { width, height } = whole.drawn;
  const toPixels = multiply(scaling(width / frame.width, height / frame.height), frame.view);
  let before = whole.drawn.data.slice();
  return new FrameReader(frame).items().map((item, i) => {
    const one = order.subarray(i, i + 1);
    whole.draw({ ...frame, density, order: one, carry: 1 });
    const after = whole.drawn.data;
    const reach = item.stroke === undefined ? 1 : 1 + item.stroke.width * 4;
    const box = intersectBoxes(padBox(pathBox(item.path, multiply(toPixels, item.transform)), reach), {
      left: 0,
      top: 0,
      right: width,
      bottom: height,
    });
    const [left, top] = [Math.floor(box.left), Math.floor(box.top)];
    const [right, bottom] = [Math.ceil(box.right), Math.ceil(box.bottom)];
    if (!(right > left && bottom > top)) return { changes: true, color: undefined };
    alone.draw({ ...frame, density, order: one, carry: 0, background: 0 });
    const { data } = alone.drawn;
    let [changes, weight, red, green, blue] = [false, 0, 0, 0, 0];
    for (let y = top; y < bottom; y++)
      for (let at = (y * width + left) * 4, end = (y * width + right) * 4; at < end; at += 4) {
        const alpha = data[at + 3];
        if (alpha === 0) continue;
        changes ||=
          before[at] !== after[at] ||
          before[at + 1] !== after[at + 1] ||
          before[at + 2] !== after[at + 2] ||
          before[at + 3] !== after[at + 3];
        weight += alpha;
        red += alpha * before[at];
        green += alpha * before[at + 1];
        blue += alpha * before[at + 2];
      }
    before = after.slice();
    return {
      changes: changes || weight === 0,
      color: weight === 0 ? undefined : [red / weight, green / weight, blue / weight],
    };
  });
}

/** A run whose sketch prints nothing: it has done so in the first one. */
function quiet(run: Run): Run {
  run.quiet = true;
  return run;
}

/**
 * Runs the sketch again, and at twice its frame rate, and finds what then differs, and what a frame costs: a run that is
 * watched is slower.
 */
async function runAgain(
  sketch: Sketch,
  { open, now }: GatherSetting,
  [first, last]: readonly [number, number],
  details: readonly Detail[],
  onProgress: (done: number) => void,
): Promise<Pick<Evidence, 'differs' | 'faster' | 'cost'>> {
  const again = quiet(open(sketch));
  let differs: number | undefined;
  for (const { at, frame } of details) {
    await again.goTo(at);
    if (differs === undefined && !isSameFrame(frame, await again.paint())) differs = at;
    onProgress(at - first);
  }
  if (sketch.frames === 1 || last === first) return { differs, faster: undefined, cost: [] };
  const quick = withParts(sketch, { frameRate: sketch.frameRate * 2, frames: sketch.frames * 2 });
  const run = quiet(open(quick));
  const course: Frame[] = [];
  const cost: number[] = [];
  const end = Math.min(last, first + Math.round(comparedSeconds * sketch.frameRate));
  for (let at = first; at <= end; at++) {
    const begun = now();
    await run.goTo(at * 2);
    const stepped = now();
    course.push(await run.paint());
    // A frame of its own has one of the two steps. The way to the first frame is no frame's cost.
    if (at > first) cost.push((stepped - begun) / 2 + now() - stepped);
  }
  return { differs, faster: tracksOf(course), cost };
}

/** How many cells the grid for luminances has across and down. */
export const cells = { across: 16, down: 9 };

/** The relative luminances (WCAG 2.2) of a coarse grid over a picture, 0 to 1. */
function luminancesOf({ width, height, data }: { width: number; height: number; data: Uint8Array }): Float32Array {
  const sums = new Float32Array(cells.across * cells.down);
  const counts = new Float32Array(cells.across * cells.down);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const cell = Math.floor((y * cells.down) / height) * cells.across + Math.floor((x * cells.across) / width);
      const at = (y * width + x) * 4;
      sums[cell] += relativeLuminance(data[at], data[at + 1], data[at + 2]);
      counts[cell]++;
    }
  return sums.map((sum, i) => sum / Math.max(1, counts[i]));
}
