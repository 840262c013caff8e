import path from 'node:path';
import type { Chroma } from '../../encode/y4m.ts';
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

/** What can be written: of one frame, or of many. */
export const stills = ['png', 'svg'] as const;
export const animations = ['gif', 'apng', 'y4m', 'mp4', 'webm'] as const;
export const formats = [...stills, ...animations] as const;
export type Format = (typeof formats)[number];

/** Where frames go, and as what. */
export interface Target {
  /** A file, `-` for standard output, or a name with `%04d` for a file a frame. */
  readonly output: string;
  readonly format: Format;
  /** Whether all frames of a run go there. */
  readonly many: boolean;
}

export interface OutputOptions extends SequenceOptions {
  readonly chroma: Chroma;
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
  const still = stills.some((each) => each === found);
  if (isSequence(output) && !still)
    throw new SketchError({
      problem: `${output} has a number for each frame, but a .${extension} holds all of them`,
      expected: 'expected a name without it, or .png or .svg',
    });
  if (output === standardOutput && (found === 'mp4' || found === 'webm'))
    throw new SketchError({ problem: `${found} cannot go to standard output`, expected: 'expected a file, or y4m' });
  return { output, format: found, many: !still || isSequence(output) };
}

/** Opens a target for frames. */
export async function openOutput(
  { output, format }: Target,
  setting: OutputSetting,
  options: OutputOptions,
  pool: DrawPool,
): Promise<Output> {
  switch (format) {
    case 'png':
    case 'svg':
      if (isSequence(output)) return openSequence(output, format, setting, options);
      return openPicture(output, format, setting);
    case 'gif':
      return openGif(output, setting, pool);
    case 'apng':
      return openApng(output, setting);
    case 'y4m':
      return openY4m(output, setting, options.chroma);
    default:
      return openVideo(output, setting, `.${format}`, options.chroma);
  }
}
