import { dialText } from 'frame-juggler';
import type { DialValue } from './messages.ts';

/*
 * What is taken out of the page is made by `juggle render`: the same command can be copied, and gives the same file.
 */

/** The kinds of file that can be taken out: of one frame, and of many. */
export const stillFormats = ['png', 'svg'] as const;
export const movingFormats = ['gif', 'apng', 'webm', 'mp4'] as const;
export type WishFormat = (typeof stillFormats)[number] | (typeof movingFormats)[number];

/** A file that is wanted, and the run that it is to show. */
export interface RenderWish {
  readonly format: WishFormat;
  /** The frame of a still picture. */
  readonly frame: number;
  /** The first and the last frame of a moving one; the whole run if left out. */
  readonly frames?: readonly [number, number];
  readonly density: number;
  readonly seed: number;
  /** Dials that are not as the sketch has them. */
  readonly dials: Readonly<Record<string, DialValue>>;
  /** The text of an input track, where pointer or keys had a part in it. */
  readonly track?: string;
}

export const isStill = (format: WishFormat): boolean => (stillFormats as readonly string[]).includes(format);

/** What a file is called: after the sketch, and a still picture after its frame. */
export function fileName(sketch: string, { format, frame }: RenderWish, nth = 1): string {
  const which = isStill(format) ? `-${String(frame).padStart(4, '0')}` : '';
  return `${sketch}${which}${nth === 1 ? '' : `-${nth}`}.${format}`;
}

/** The arguments of `juggle render` that make a file. */
export function renderArguments(sketch: string, output: string, wish: RenderWish, track?: string): string[] {
  const { format, frame, frames, density, seed, dials } = wish;
  const still = isStill(format);
  return [
    ...['render', sketch, '-o', output, '--density', String(density), '--seed', String(seed)],
    ...(still ? ['--frame', String(frame)] : []),
    ...(!still && frames !== undefined ? ['--frames', `${frames[0]}..${frames[1]}`] : []),
    ...Object.entries(dials).flatMap(([name, value]) => ['--dial', `${name}=${dialText(value)}`]),
    ...(track === undefined ? [] : ['--input', track]),
  ];
}

/** Arguments as one line for a shell. */
export function commandLine(words: readonly string[]): string {
  return words.map((word) => (/^[\w./=:,@%+-]+$/.test(word) ? word : `'${word.replaceAll("'", "'\\''")}'`)).join(' ');
}
