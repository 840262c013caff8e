import path from 'node:path';
import type { Chroma } from '../../formats/y4m.ts';
import { SketchError, suggest } from '../../error.ts';
import type { DrawPool } from '../draw-pool.ts';
import { standardOutput } from '../sink.ts';
import { openApng } from './apng.ts';
import { openGif } from './gif.ts';
import type { Output, OutputSetting } from './output.ts';
import { openPicture } from './picture.ts';
import { isSequence, openSequence, type SequenceOptions } from './sequence.ts';
import { openVideo } from './video.ts';
import { openY4m } from './y4m.ts';

type Open = (
  output: string,
  setting: OutputSetting,
  options: OutputOptions,
  pool: DrawPool,
) => Output | Promise<Output>;

/** What can be written: whether it holds one frame or many, whether it can go to standard output, and how it is opened. */
const table = {
  png: {
    many: false,
    streams: true,
    open: (output, setting, options) =>
      isSequence(output) ? openSequence(output, 'png', setting, options) : openPicture(output, 'png', setting),
  },
  svg: {
    many: false,
    streams: true,
    open: (output, setting, options) =>
      isSequence(output) ? openSequence(output, 'svg', setting, options) : openPicture(output, 'svg', setting),
  },
  gif: { many: true, streams: true, open: (output, setting, _, pool) => openGif(output, setting, pool) },
  apng: { many: true, streams: true, open: (output, setting) => openApng(output, setting) },
  y4m: { many: true, streams: true, open: (output, setting, { chroma }) => openY4m(output, setting, chroma) },
  mp4: {
    many: true,
    streams: false,
    open: (output, setting, options) => openVideo(output, setting, '.mp4', options),
  },
  webm: {
    many: true,
    streams: false,
    open: (output, setting, options) => openVideo(output, setting, '.webm', options),
  },
} satisfies Record<string, { many: boolean; streams: boolean; open: Open }>;

export type Format = keyof typeof table;
export const formats = Object.keys(table) as Format[];

/** Where frames go, and as what. */
export interface Target {
  /** A file, `-` for standard output, or a name with `%04d` for one file per frame. */
  readonly output: string;
  readonly format: Format;
  /** Whether all frames of a run go there. */
  readonly many: boolean;
}

export interface OutputOptions extends SequenceOptions {
  readonly chroma: Chroma;
  /** Told of each process that is started. */
  readonly onProcess: ((pid: number) => void) | undefined;
  /** Told of what is not as it was asked for. */
  readonly onNote: ((text: string) => void) | undefined;
}

/**
 * Reads what an output's name says.
 * @param format what it is to be, where the name does not say: on standard output
 * @throws SketchError where that is nothing that can be written
 */
export function readTarget(output: string, format: Format | undefined): Target {
  const extension = path.extname(output).slice(1).toLowerCase();
  const found = format ?? (output === standardOutput ? 'png' : (extension as Format));
  if (!formats.includes(found))
    throw new SketchError({
      problem: `${output} is not a kind of file that can be written`,
      expected: `${extension === '' ? `expected ${formats.map((each) => `.${each}`).join(', ')}` : suggest(extension, formats)}`,
    });
  if (format !== undefined && extension !== '' && extension !== format)
    throw new SketchError({ problem: `${output} does not end like a file of --format ${format}` });
  if (/%\d*d/.test(path.basename(output)) && !isSequence(output))
    throw new SketchError({
      problem: `${output} has a number that cannot be read`,
      expected: 'expected %d, or %04d for at least four digits',
    });
  const { many, streams } = table[found];
  if (isSequence(output) && many)
    throw new SketchError({
      problem: `${output} has a number for each frame, but a .${extension} holds all of them`,
      expected: 'expected a name without it, or .png or .svg',
    });
  if (output === standardOutput && !streams)
    throw new SketchError({ problem: `${found} cannot go to standard output`, expected: 'expected a file, or y4m' });
  return { output, format: found, many: many || isSequence(output) };
}

/** Opens a target for frames. */
export async function openOutput(
  { output, format }: Target,
  setting: OutputSetting,
  options: OutputOptions,
  pool: DrawPool,
): Promise<Output> {
  return (table[format].open as Open)(output, setting, options, pool);
}
