/*
 * What a page of the documentation and the frame in it that runs a sketch tell each other.
 */

export type ToFrame =
  /** Runs a module. What was chosen in the frame (seed, dials, frame) stays, unless it is another sketch. */
  | { readonly type: 'run'; readonly code: string; readonly begin?: Begin }
  /** Whether the page is dark. */
  | { readonly type: 'look'; readonly dark: boolean };

/** What a sketch begins with, where an address says so. */
export interface Begin {
  readonly seed?: number;
  readonly dials: Readonly<Record<string, unknown>>;
}

export type FromFrame =
  | { readonly type: 'ready' }
  /** Something is wrong with the sketch; undefined once it is mended. */
  | { readonly type: 'fault'; readonly fault: FrameFault | undefined }
  /** What is chosen: the seed if it is not the sketch's own, the dials that were turned. */
  | { readonly type: 'chosen'; readonly begin: Begin }
  /** A line that was asked for by a click. */
  | { readonly type: 'line'; readonly line: number };

export interface FrameFault {
  readonly reason: string;
  readonly line: number | undefined;
}
