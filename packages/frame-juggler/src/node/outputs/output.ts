import type { Chroma } from '../../formats/y4m.ts';
import type { Bits } from '../../surfaces/raster/engine.ts';
import type { Product } from '../draw.ts';

/** What is made of a frame before it is put into a file. */
export type Products = (frame: number) => Product;

/** A kind of file, or of files, that frames are put into. */
export interface Output {
  /** Whether a frame is there already, and need not be made. */
  has?(frame: number): boolean;
  /** Whether frames may be put in as they are drawn, several at a time: each is a file of its own. */
  readonly inAnyOrder?: boolean;
  /** Whether it needs a frame's bytes no more once it has taken them, so that later ones may come in the same memory. */
  readonly letsGo?: boolean;
  /** Takes a frame; they come in order, one after the other, if not in any. */
  add(frame: number, bytes: Uint8Array): Promise<void>;
  /** All frames are in: the file appears now. */
  finish(): Promise<void>;
  /** Something went wrong: removes the unfinished file. Frames that are files of their own stay. */
  abandon(): Promise<void>;
}

/** What every output knows of the run. */
export interface OutputSetting {
  /** Pixels. */
  readonly width: number;
  readonly height: number;
  readonly frameRate: number;
  readonly repeat: boolean;
  /** The first and the last frame. */
  readonly frames: readonly [number, number];
  readonly title: string;
  readonly seed: number;
  /** A fingerprint that is different for every run. */
  readonly fingerprint: string;
}

export interface SequenceOptions {
  /** Leaves frames of the same run that are there as they are. */
  readonly resume: boolean;
  /** Takes frames of other runs away. */
  readonly overwrite: boolean;
}

/** How outputs are made. */
export interface OutputOptions extends SequenceOptions {
  readonly chroma: Chroma;
  /** How many bits a channel of a PNG has. */
  readonly bits: Bits;
  /** Whether a GIF imitates missing colors by mixing neighboring pixels. */
  readonly dither: boolean;
  /** Told of each process that is started. */
  readonly onProcess: ((pid: number) => void) | undefined;
  /** Called with notes on what differs from what was asked for. */
  readonly onNote: ((text: string) => void) | undefined;
}
