import { padBox, type Box } from '../../geometry/box.ts';
import { identity, multiply, translation, type Matrix } from '../../geometry/matrix.ts';
import { alphaOf, blueOf, cssColor, greenOf, pack, redOf, type PackedColor } from '../../paint/color.ts';
import { boxUnits, type ConicGradient, type Gradient } from '../../paint/gradient.ts';
import type { ItemPaint } from '../../frame/reader.ts';
import { short, type NumberWriter } from '../../geometry/write-path-data.ts';
import type { PictureData } from '../../paint/picture.ts';
import type { PixelBox } from '../../paint/reduce.ts';
import type { Definitions } from './defs.ts';
import { transformText, written } from './outline.ts';
import { pictureData } from './picture-data.ts';
import { element, type Attributes } from './xml.ts';
import { sinCos } from '../../maths/degrees.ts';
import { hypot } from '../../maths/power.ts';

/**
 * The attributes that paint something: `fill` or `stroke`, with its opacity.
 * @param box the box of the outline
 * @param beyond how far what is painted may reach beyond it
 */
export function paintAttributes(
  name: 'fill' | 'stroke',
  paint: ItemPaint,
  box: () => Box,
  beyond: number,
  defs: Definitions,
): Attributes {
  if (typeof paint !== 'number') return { [name]: `url(#${serverOf(paint, box, beyond, defs)})` };
  const opaque = alphaOf(paint) === 255;
  return { [name]: opaqueColor(paint), [`${name}-opacity`]: opaque ? undefined : unit(alphaOf(paint)) };
}

const opaqueColor = (color: PackedColor): string => cssColor(color | (255 << 24));
const unit = (byte: number): string => short(Number((byte / 255).toFixed(4)));

type TablePaint = Exclude<ItemPaint, number>;
type PaintOf<Type> = Extract<TablePaint, { type: Type }>;
/** The name of what paints with a kind of paint. */
type Server<Type> = (paint: PaintOf<Type>, box: () => Box, beyond: number, defs: Definitions) => string;

/** The name of what paints with more than one color. */
function serverOf(paint: TablePaint, box: () => Box, beyond: number, defs: Definitions): string {
  return (servers[paint.type] as Server<TablePaint['type']>)(paint as never, box, beyond, defs);
}

const servers: { [Type in TablePaint['type']]: Server<Type> } = {
  linear(gradient, box, _, defs) {
    const [[x1, y1], [x2, y2]] = [gradient.from, gradient.to];
    if (!isFiniteBox(box())) return nothing(defs);
    return defs.add('linearGradient', { ...commonOf(gradient, box, defs), ...written({ x1, y1, x2, y2 }, defs.write) }, stopsOf(gradient)); // prettier-ignore
  },
  radial(gradient, box, _, defs) {
    const { at, focus, radius } = gradient;
    if (!isFiniteBox(box())) return nothing(defs);
    const [fx, fy] = focus[0] !== at[0] || focus[1] !== at[1] ? focus : [undefined, undefined];
    const place = { cx: at[0], cy: at[1], r: radius, fx, fy };
    return defs.add('radialGradient', { ...commonOf(gradient, box, defs), ...written(place, defs.write) }, stopsOf(gradient)); // prettier-ignore
  },
  conic(gradient, box, beyond, defs) {
    if (!isFiniteBox(box())) return nothing(defs);
    return conicOf(gradient, unitsOf(gradient, box), padBox(box(), beyond), defs);
  },
  pattern({ picture, transform, smooth }, _box, _beyond, defs) {
    const { width, height } = picture;
    const content = pictureElement(picture, { x: 0, y: 0, width, height }, smooth, {});
    const place = {
      width,
      height,
      patternUnits: 'userSpaceOnUse',
      patternTransform: transformText(transform, defs.write),
    };
    return defs.add('pattern', place, [content]);
  },
  picture() {
    throw new Error('a picture is an element of its own');
  },
};

/** What has no end has no colors either; SVG would take the last one. */
function nothing(defs: Definitions): string {
  return defs.add('pattern', { width: 0, height: 0 }, []);
}

function isFiniteBox({ left, top, right, bottom }: Box): boolean {
  return Number.isFinite(right - left + bottom - top);
}

function unitsOf(gradient: Gradient, box: () => Box): Matrix {
  return gradient.units === 'box' ? boxUnits(box()) : identity;
}

function commonOf(gradient: Gradient, box: () => Box, { write }: Definitions): Attributes {
  return {
    gradientUnits: 'userSpaceOnUse',
    gradientTransform: transformText(unitsOf(gradient, box), write),
    spreadMethod: gradient.spread === 'pad' ? undefined : gradient.spread,
  };
}

function stopsOf({ stops }: Gradient): string[] {
  return stops.map(({ offset, color }) =>
    element('stop', {
      offset,
      'stop-color': opaqueColor(color),
      'stop-opacity': alphaOf(color) === 255 ? undefined : unit(alphaOf(color)),
    }),
  );
}

const maxWedges = 720;

/** SVG has no gradient round a point: it is drawn in wedges so thin that each has one color. */
function conicOf(gradient: ConicGradient, units: Matrix, box: Box, defs: Definitions): string {
  const { write } = defs;
  const { at, start, stops } = gradient;
  const wedges: string[] = [];
  // Far enough to cover the shape from wherever the middle is.
  const [a, , , d, e, f] = units;
  const [cx, cy] = [a * at[0] + e, d * at[1] + f];
  const reach = 2 * hypot(Math.max(Math.abs(box.left - cx), Math.abs(box.right - cx)) / a, Math.max(Math.abs(box.top - cy), Math.abs(box.bottom - cy)) / d); // prettier-ignore
  // What has overflowed has no wedges.
  if (!Number.isFinite(hypot(at[0], at[1], reach))) return nothing(defs);
  const rim = (turn: number): string => {
    const { sin, cos } = sinCos(start + turn * 360);
    return `${write(at[0] + reach * cos)},${write(at[1] + reach * sin)}`;
  };
  const wedge = (from: number, to: number, color: PackedColor): void => {
    const points = `${write(at[0])},${write(at[1])} ${rim(from)} ${rim(to)}`;
    const alpha = alphaOf(color) === 255 ? undefined : unit(alphaOf(color));
    wedges.push(element('polygon', { points, fill: opaqueColor(color), 'fill-opacity': alpha }));
  };
  const spans = [{ offset: 0, color: stops[0].color }, ...stops, { offset: 1, color: stops[stops.length - 1].color }];
  for (let i = 1; i < spans.length; i++) {
    const [from, to] = [spans[i - 1], spans[i]];
    const span = to.offset - from.offset;
    if (span <= 0) continue;
    // As many wedges as there are shades between the two colors, and none wider than a wedge can be.
    const count = Math.max(
      Math.ceil(span * 24),
      Math.min(Math.ceil(span * maxWedges), difference(from.color, to.color)),
    );
    for (let step = 0; step < count; step++) {
      const at0 = from.offset + (span * step) / count;
      const at1 = from.offset + (span * (step + 1)) / count;
      wedge(at0, at1, mixed(from.color, to.color, (step + 0.5) / count));
    }
  }
  const { left, top, right, bottom } = box;
  // A little more on every side, so that the shape's edge does not meet the next tile.
  const [dx, dy] = [(right - left) * 0.1 + 1, (bottom - top) * 0.1 + 1];
  // A tile's content is counted from its corner.
  const corner = translation(left - dx, top - dy);
  const place = {
    ...written({ width: right - left + 2 * dx, height: bottom - top + 2 * dy }, write),
    patternTransform: transformText(corner, write),
  };
  // Pixel for pixel one wedge or the other: softened, their edges would show as rays.
  const transform = transformText(multiply(translation(dx - left, dy - top), units), write);
  const drawn = element('g', { transform, 'shape-rendering': 'crispEdges' }, wedges);
  return defs.add('pattern', { patternUnits: 'userSpaceOnUse', ...place }, [drawn]);
}

function difference(a: PackedColor, b: PackedColor): number {
  return Math.max(...[redOf, greenOf, blueOf, alphaOf].map((channel) => Math.abs(channel(a) - channel(b))), 1);
}

function mixed(a: PackedColor, b: PackedColor, t: number): PackedColor {
  const mix = (channel: (color: number) => number): number => channel(a) * (1 - t) + channel(b) * t;
  return pack(mix(redOf), mix(greenOf), mix(blueOf), mix(alphaOf));
}

/** A picture in its place. @param transform from the item's units to those of the document */
export function placedPicture(
  { picture, crop, smooth, ...fill }: PaintOf<'picture'>,
  transform: Matrix,
  rest: Attributes,
  write: NumberWriter,
): string {
  return pictureElement(picture, crop, smooth, {
    transform: transformText(multiply(transform, fill.transform), write),
    ...rest,
  });
}

const urls = new WeakMap<PictureData, Map<string, string>>();

function pictureElement(picture: PictureData, part: PixelBox, smooth: boolean, attributes: Attributes): string {
  const { width, height } = part;
  return element('image', {
    width,
    height,
    ...attributes,
    'image-rendering': smooth ? undefined : 'pixelated',
    href: dataUrl(picture, part),
  });
}

function dataUrl(picture: PictureData, part: PixelBox): string {
  let byPart = urls.get(picture);
  if (byPart === undefined) urls.set(picture, (byPart = new Map()));
  const key = `${part.x} ${part.y} ${part.width} ${part.height}`;
  let url = byPart.get(key);
  if (url === undefined) byPart.set(key, (url = `data:image/png;base64,${base64(pictureData(picture, part))}`));
  return url;
}

function base64(bytes: Uint8Array): string {
  let text = '';
  for (let at = 0; at < bytes.length; at += 0x8000) text += String.fromCharCode(...bytes.subarray(at, at + 0x8000));
  return btoa(text);
}
