import type { SourceLine } from 'frame-juggler';
import type { CallFacts, Change } from '../../../packages/cli/src/viewer/protocol.ts';

/*
 * What a page of the documentation and the frame in it that runs a sketch tell each other.
 */

export type ToFrame =
  /** Runs a module. What was chosen in the frame (seed, dials, frame) stays, unless it is another sketch. */
  | { readonly type: 'run'; readonly code: string; readonly begin?: Begin }
  /** Whether the page is dark. */
  | { readonly type: 'look'; readonly dark: boolean }
  /** What was asked for, or why it cannot be had. */
  | { readonly type: 'answer'; readonly to: number; readonly answer: unknown; readonly problem?: string };

/** What the frame can ask of the page, which has the text of the sketch. */
export interface Asked {
  /** What the call at a place is given. */
  call: { of: SourceLine; answer: CallFacts | null };
  /** Runs the sketch as it would be with a change; as it is, without one. */
  tryOut: { of: Change; answer: void };
  /** Changes the text. */
  change: { of: Change; answer: void };
  /** Brings back what was before the last change. */
  undo: { of: undefined; answer: string };
}

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
  | { [Name in keyof Asked]: Ask<Name> }[keyof Asked]
  /** A line that was asked for by a click. */
  | { readonly type: 'line'; readonly line: number };

export interface Ask<Name extends keyof Asked> {
  readonly type: 'ask';
  readonly number: number;
  readonly what: Name;
  readonly of: Asked[Name]['of'];
}

export interface FrameFault {
  readonly reason: string;
  readonly line: number | undefined;
}
