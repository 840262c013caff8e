import { packGifIndices } from '../formats/gif.ts';
import { packRows, type RowForm } from '../formats/pack-rows.ts';
import { evenSide, y4mFrame, type Chroma } from '../formats/y4m.ts';
import type { Frame } from '../frame/frame.ts';
import { frameInWords } from '../review/words.ts';
import { bytesPerPixel, type Bits } from '../surfaces/raster/engine.ts';
import { loadForm } from '../surfaces/raster/forms.ts';
import { EngineSurface, type KeptPixels, type Rows } from '../surfaces/raster/engine-surface.ts';
import { svgParts } from '../surfaces/svg/svg.ts';
import { packPng } from './png.ts';
import type { Provenance } from './provenance.ts';

/** What is made of a frame. */
export type Product =
  /** `inWords`: a description of the frame is still to be added to the texts. */
  | { readonly type: 'png'; readonly texts: Provenance; readonly inWords?: true; readonly bits: Bits }
  | { readonly type: 'svg'; readonly texts: Provenance; readonly inWords?: true }
  | { readonly type: 'pixels' }
  /** As a surface keeps it. */
  | { readonly type: 'kept' }
  /**
   * @property even whether odd sides are made even
   * @property into memory that threads share, to be written to: that of an earlier frame, if it suits, or `new`
   */
  | { readonly type: 'y4m'; readonly chroma: Chroma; readonly even?: true; readonly into?: Uint8Array | 'new' };

/** What is to be drawn: frames, each over what is left of the one before, or what is drawn already. */
export type DrawTask = { readonly product: Product } & (
  { readonly frames: readonly Frame[] } | { readonly kept: KeptPixels }
);

/** Some rows of a frame, to be drawn over what is left of those of another picture. All of it is shared between threads. */
export interface ShareTask {
  readonly frame: Frame;
  readonly rows: Rows;
  readonly under: KeptPixels | undefined;
  readonly into: KeptPixels;
}

/** What is only to be packed: the indices of a GIF's frame, or the rows of an animated PNG's. */
export type PackTask = { readonly indices: Uint8Array } | { readonly unpacked: Uint8Array; readonly form: RowForm };

/** This thread's surfaces, each made once something is drawn with it. */
const surfaces = new Map<Bits, EngineSurface>();

async function surfaceFor(bits: Bits): Promise<EngineSurface> {
  const form = await loadForm(bits);
  const surface = surfaces.get(bits) ?? new EngineSurface(form);
  surfaces.set(bits, surface);
  return surface;
}

/** How many bits a channel has of what a product is made from. */
export function bitsOf(product: Product): Bits {
  return product.type === 'png' ? product.bits : 8;
}

/** Draws a share of a frame into the memory that was given for it. */
export async function drawShare({ frame, rows, under, into }: ShareTask): Promise<void> {
  const surface = await surfaceFor(into.bits);
  surface.reset();
  if (under !== undefined) surface.put({ ...under, rows, pixels: rowsOf(under, rows) });
  surface.draw(frame, rows);
  rowsOf(into, rows).set(surface.premultiplied);
}

function rowsOf({ width, pixels, bits }: KeptPixels, [first, end]: Rows): Uint8Array {
  const length = width * bytesPerPixel(bits);
  return pixels.subarray(first * length, end * length);
}

/** Draws or packs, and returns the bytes that were asked for. The same task gives the same bytes in every thread. */
export async function draw(task: DrawTask | PackTask): Promise<Uint8Array> {
  if ('indices' in task) return packGifIndices(task.indices);
  if ('unpacked' in task) return packRows([task.unpacked], task.form);
  const product = 'frames' in task ? withWords(task.product, task.frames[task.frames.length - 1]) : task.product;
  if (product.type === 'svg') {
    if (!('frames' in task)) throw new Error('SVG is written from frames, not from pixels');
    return inUtf8(svgParts(task.frames, product.texts));
  }
  const surface = await surfaceFor('frames' in task ? bitsOf(product) : task.kept.bits);
  if ('frames' in task) {
    surface.reset();
    for (const frame of task.frames) surface.draw(frame);
  } else surface.put(task.kept);
  return encode(surface, product);
}

/** A product with the description of its frame added to its texts, where that is still to be done. */
export function withWords(product: Product, frame: Frame): Product {
  if (!('inWords' in product)) return product;
  const { inWords: _, ...rest } = product;
  return { ...rest, texts: { ...product.texts, Description: frameInWords(frame) } };
}

type Encoders = {
  [Type in Exclude<Product['type'], 'svg'>]: (
    surface: EngineSurface,
    product: Extract<Product, { type: Type }>,
  ) => Uint8Array;
};

/** Parts of a text, each followed by a line break, in UTF-8. */
function inUtf8(parts: Iterable<string>): Buffer {
  let length = 0;
  for (const part of parts) length += Buffer.byteLength(part) + 1;
  const bytes = Buffer.allocUnsafeSlow(length);
  let at = 0;
  for (const part of parts) {
    at += bytes.write(part, at);
    at += bytes.write('\n', at);
  }
  return bytes;
}

/** What is made of what the surface has drawn. */
const encoders: Encoders = {
  png: (surface, { texts }) => packPng(surface.packed, texts),
  y4m: (surface, { chroma, even, into }) => {
    const { width, height } = surface.size;
    const [wide, high] = even === true ? [evenSide(width), evenSide(height)] : [width, height];
    return y4mFrame(surface.videoPlanes(wide, high, chroma === '420'), into);
  },
  // A copy, because the surface draws its next frame into the same memory.
  pixels: (surface) => surface.drawn.data.slice(),
  kept: (surface) => surface.premultiplied.slice(),
};

function encode(surface: EngineSurface, product: Exclude<Product, { type: 'svg' }>): Uint8Array {
  return (encoders[product.type] as (surface: EngineSurface, product: Product) => Uint8Array)(surface, product);
}
