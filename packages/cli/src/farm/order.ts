import type { ChunkOptions } from 'frame-juggler/node';
import type { Parcel } from './parcel.ts';

/** A film as it is put into the store: all that its chunks follow from. */
export interface FilmOrder {
  readonly version: string;
  readonly title: string;
  readonly parcel: Parcel;
  /** The name of what it becomes. */
  readonly to: string;
  readonly options: Pick<
    ChunkOptions,
    'seed' | 'width' | 'height' | 'density' | 'dials' | 'frames' | 'format' | 'chroma' | 'bits' | 'input'
  >;
  /** What tells the run from others. */
  readonly source: string;
  /** Seconds that one frame may take. */
  readonly patience: number;
}

/** A chunk as it waits in the queue. */
export interface ChunkOrder {
  readonly film: string;
  readonly frames: readonly [number, number];
  /** Whether it is to be rendered upon the picture that the chunk before ended with. */
  readonly upon: boolean;
}

/** What a chunk came to, beside its bytes. */
export interface ChunkFacts {
  readonly frames: readonly [number, number];
  readonly before?: string;
  readonly after?: string;
  /** How many bytes it has. */
  readonly size: number;
  /** How long it took, in milliseconds, and where. */
  readonly took: number;
  readonly host: string;
}

/** The names of what the store holds of a film. */
export const names = {
  film: (film: string) => `${film}/film.json`,
  chunks: (film: string) => `${film}/chunks/`,
  facts: (film: string, frames: readonly [number, number]) => `${names.chunks(film)}${stretch(frames)}.json`,
  bytes: (film: string, frames: readonly [number, number]) => `${names.chunks(film)}${stretch(frames)}.frames`,
  /** Where runs are kept on their way, so that a chunk need not step from the first frame. */
  checkpoints: (film: string) => `${film}/checkpoints/`,
  /** The last picture of the chunk that ends with a frame. */
  picture: (film: string, frame: number) => `${names.chunks(film)}${frame}.picture`,
};

/** How the reason begins for which frames that are rendered already may be wrong, too. */
export const spoiled = 'No frame of it is kept';

const stretch = ([first, last]: readonly [number, number]): string => `${first}-${last}`;
export const readJson = <T>(bytes: Uint8Array): T => JSON.parse(Buffer.from(bytes).toString()) as T;
export const toJson = (value: unknown): Buffer => Buffer.from(JSON.stringify(value));
