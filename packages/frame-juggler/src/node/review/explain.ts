import { SketchError } from '../../error.ts';
import { Canvas } from '../../canvas/canvas.ts';
import type { Frame } from '../../frame/frame.ts';
import { gray, rgb } from '../../paint/color.ts';
import type { Picture } from '../../paint/picture.ts';
import { sharesOf } from '../../review/describe.ts';
import { explainFrame, wishTable, type Explanation } from '../../review/explain.ts';
import { frameInWords } from '../../review/words.ts';
import { text } from '../../schema/kind.ts';
import { optional, schemaOf, withoutUndefined, type Options } from '../../schema/schema.ts';
import type { Sketch } from '../../sketch/sketch.ts';
import { rasterize } from '../../surfaces/raster/rasterize.ts';
import { encodePng } from '../png.ts';
import { sketchFrom } from '../sketch-from.ts';
import { writeAtomically } from '../write-atomically.ts';
import { oneFrameTable, paintedFrame } from './painted-frame.ts';

const explainTable = {
  ...oneFrameTable,
  ...wishTable,
  /** A .png file to write: the picture, with what you asked for highlighted. */
  to: optional(text),
};
const explainOptions = schemaOf(explainTable, '{ frame: 12 }');
/** What is to be explained. */
export interface ExplainOptions extends Options<typeof explainTable> {}

/** What a frame drew, and the same in a sentence. */
export interface Explained extends Explanation {
  /** One sentence that describes the picture. */
  readonly words: string;
}

/**
 * What a frame of a sketch drew: all of it in painter's order, or what a pixel, an item's number or a line picks.
 * @param sketch a sketch, or the name of a file that `loadSketch` loads
 * @throws SketchError where the sketch is wrong, or what is asked for is not there
 */
export async function explain(sketch: Sketch | string, options: ExplainOptions = {}): Promise<Explained> {
  const loaded = await sketchFrom('explain', sketch);
  const read = explainOptions.read('explain', options);
  const { run, at, frame, picture } = await paintedFrame(loaded, read);
  const { pixel, item, line, to } = read;
  const wish = withoutUndefined({ pixel, item, line });
  if (pixel !== undefined && !(pixel[0] < frame.width && pixel[1] < frame.height))
    throw new SketchError({
      problem: `pixel ${pixel.join(', ')} is off the canvas`,
      expected: `it has ${frame.width} × ${frame.height} pixels, counted from 0`,
    });
  const colorAt = (x: number, y: number): string => {
    const drawn = picture();
    const scale = drawn.width / frame.width;
    return String(drawn.colorAt(Math.floor((x + 0.5) * scale), Math.floor((y + 0.5) * scale)));
  };
  const head = { title: loaded.title, frame: at, seed: run.seed };
  const shares = sharesOf(frame);
  const explanation = explainFrame(frame, head, wish, { colorAt, shares });
  if (item !== undefined && explanation.items.length === 0)
    throw new SketchError({
      problem: `frame ${at} has no item ${item}`,
      expected:
        explanation.total === 0 ? 'it drew nothing' : `they are numbered from 1 to ${frame.columns.shape.length}`,
    });
  if (line !== undefined && explanation.items.length === 0) {
    const lines = explainFrame(frame, head, {}, { shares }).items.flatMap((one) =>
      one.line === undefined ? [] : [one.line.line],
    );
    const others = [...new Set(lines)].sort((a, b) => a - b);
    throw new SketchError({
      problem: `line ${line} drew nothing in frame ${at}`,
      expected:
        others.length === 0
          ? 'no line did'
          : `these did: ${others.slice(0, 20).join(', ')}${others.length > 20 ? ', …' : ''}`,
    });
  }
  if (to !== undefined) {
    if (!/\.png$/i.test(to))
      throw new SketchError({
        problem: `an explanation's picture cannot be written to ${to}`,
        expected: 'expected a .png file',
      });
    await writeAtomically(to, encodePng(setOff(frame, picture(), explanation)));
  }
  let words: string | undefined;
  return {
    ...explanation,
    // Of many items they take a while, and a table has no use for them.
    get words() {
      return (words ??= frameInWords(frame, shares));
    },
  };
}

/** So much of the picture stays where it is not what was asked for. */
const veil = gray(255, 0.72);
const mark = rgb(224, 33, 138);

/** The picture with some of its items set off: the others pale, and a box about each of those. */
function setOff(frame: Frame, picture: Picture, { items, total }: Explanation): Picture {
  const chosen = new Set(items.map(({ number }) => number - 1));
  const { density } = frame;
  const canvas = new Canvas({ width: picture.width, height: picture.height, density: 1, background: 0, carry: 0 });
  const whole = { from: [0, 0], to: [picture.width, picture.height], smooth: false } as const;
  canvas.picture(picture, whole);
  if (items.length < total) {
    canvas.rect({ from: whole.from, to: whole.to, fill: veil });
    const alone = { ...frame, background: 0, carry: 0, order: frame.order.filter((place) => chosen.has(place)) };
    canvas.picture(rasterize(alone), whole);
  }
  const [a, b, c, d, e, f] = frame.view;
  for (const { box } of items.length < total ? items : []) {
    const corner = (x: number, y: number): [number, number] => [
      (a * x + c * y + e) * density,
      (b * x + d * y + f) * density,
    ];
    const points = [
      corner(box.left, box.top),
      corner(box.right, box.top),
      corner(box.right, box.bottom),
      corner(box.left, box.bottom),
    ] as const;
    if (points.flat().every(Number.isFinite))
      canvas.polygon({ points, fill: 'none', stroke: { color: mark, width: 1.5, dash: [5, 3] } });
  }
  return rasterize(canvas.finish());
}
