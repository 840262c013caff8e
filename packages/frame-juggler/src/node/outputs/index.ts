import path from 'node:path';
import { SketchError } from '../../error.ts';
import { suggest } from '../../suggest.ts';
import type { Product } from '../draw.ts';
import type { DrawPool } from '../draw-pool.ts';
import { provenance } from '../provenance.ts';
import { standardOutput, type Destination } from '../sink.ts';
import { openApng } from './apng.ts';
import { openGif } from './gif.ts';
import type { Output, OutputOptions, OutputSetting, Products } from './output.ts';
import { openPicture } from './picture.ts';
import { isSequence, openSequence } from './sequence.ts';
import { openVideo, videoProducts, type VideoExtension } from './video.ts';
import { openY4m } from './y4m.ts';

/** What of the options changes what is made of a frame. */
type ProductOptions = Pick<OutputOptions, 'chroma' | 'bits'>;

interface Kind {
  /** Whether it holds many frames. */
  readonly many: boolean;
  /** Whether it can go to standard output or a stream. */
  readonly streams: boolean;
  readonly products: (setting: OutputSetting, options: ProductOptions) => Products;
  readonly open: (
    output: Destination,
    setting: OutputSetting,
    options: OutputOptions,
    pool: DrawPool,
  ) => Output | Promise<Output>;
}

/** What a frame's file tells of itself; its description is added when it is drawn. */
type FrameOrigin = Pick<Extract<Product, { type: 'png' }>, 'texts' | 'inWords'>;

/** One file per frame: the same bytes alone and in a sequence. */
const frameKind = (productOf: (origin: FrameOrigin, options: ProductOptions) => Product): Kind => ({
  many: false,
  streams: true,
  products: (setting, options) => (frame) =>
    productOf({ texts: provenance({ ...setting, frame, run: setting.fingerprint }), inWords: true }, options),
  open: (output, setting, options) =>
    isSequence(output) ? openSequence(output, setting, options) : openPicture(output),
});

const pixels = (): Products => () => ({ type: 'pixels' });

const videoKind = (extension: VideoExtension): Kind => ({
  many: true,
  streams: false,
  products: videoProducts,
  open: (output, setting, options) => openVideo(output as string, setting, extension, options),
});

/** What can be written. */
const table = {
  png: frameKind((origin, { bits }) => ({ type: 'png', ...origin, bits })),
  svg: frameKind((origin) => ({ type: 'svg', ...origin })),
  gif: {
    many: true,
    streams: true,
    products: pixels,
    open: (output, setting, options, pool) => openGif(output, setting, options, pool),
  },
  apng: {
    many: true,
    streams: true,
    products: pixels,
    open: (output, setting, _, pool) => openApng(output, setting, pool),
  },
  y4m: {
    many: true,
    streams: true,
    products:
      (_, { chroma }) =>
      () => ({ type: 'y4m', chroma }),
    open: (output, setting, { chroma }) => openY4m(output, setting, chroma),
  },
  mp4: videoKind('.mp4'),
  webm: videoKind('.webm'),
} satisfies Record<string, Kind>;

/** A kind of file that `render` writes. */
export type Format = keyof typeof table;
/** The kinds of files that `render` writes. */
export const formats = Object.keys(table) as Format[];

/** Where frames go, and as what. */
export interface Target {
  /** A file, `-` for standard output, a name with `%04d` for one file per frame, or who takes the bytes. */
  readonly output: Destination;
  readonly format: Format;
  /** Whether all frames of a run go there. */
  readonly many: boolean;
}

/**
 * Reads what an output's name says.
 * @param format what it is to be, where the name does not say: on standard output
 * @throws SketchError where that is nothing that can be written
 */
export function readTarget(output: Destination, format: Format | undefined): Target {
  if (typeof output !== 'string') return targetOf(output, format ?? 'png');
  const extension = path.extname(output).slice(1).toLowerCase();
  const found = format ?? (output === standardOutput ? 'png' : (extension as Format));
  if (!formats.includes(found))
    throw new SketchError({
      problem: `${output} is not a kind of file that can be written`,
      expected:
        extension === ''
          ? `expected ${formats.map((each) => `.${each}`).join(', ')}, or ${path.posix.join(output, '%04d.png')} for one file per frame`
          : suggest(extension, formats),
    });
  if (format !== undefined && extension !== '' && extension !== format)
    throw new SketchError({ problem: `${output} does not end like a file of --format ${format}` });
  if (/%\d*d/.test(path.basename(output)) && !isSequence(output))
    throw new SketchError({
      problem: `${output} has a number that cannot be read`,
      expected: 'expected %d, or %04d for at least four digits',
    });
  if (isSequence(output) && table[found].many)
    throw new SketchError({
      problem: `${output} has a number for each frame, but a .${extension} holds all of them`,
      expected: 'expected a name without it, or .png or .svg',
    });
  return targetOf(output, found);
}

function targetOf(output: Destination, format: Format): Target {
  const { many, streams } = table[format];
  if ((typeof output !== 'string' || output === standardOutput) && !streams)
    throw new SketchError({
      problem: `${format} is made by an encoder and cannot go to ${typeof output === 'string' ? 'standard output' : 'memory or a stream'}`,
      expected: 'expected a file, or y4m',
    });
  return { output, format, many: many || isSequence(output) };
}

/** What is made of each frame for a target. */
export function productsFor({ format }: Target, setting: OutputSetting, options: ProductOptions): Products {
  return (table[format] as Kind).products(setting, options);
}

/** Opens a target for frames. */
export async function openOutput(
  { output, format }: Target,
  setting: OutputSetting,
  options: OutputOptions,
  pool: DrawPool,
): Promise<Output> {
  return (table[format] as Kind).open(output, setting, options, pool);
}
