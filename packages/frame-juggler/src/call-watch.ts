/**
 * Who is told of a sketch's calls of the library that are none of its canvas, while it is watched: of `polar`, of what ramps
 * and keyframes are asked for, and of the functions of angles in `maths`. They are told what they were given and what they give.
 */
export const callWatch: {
  onCall: ((call: WatchedCall, given: readonly unknown[], result?: number) => void) | undefined;
} = { onCall: undefined };

export type WatchedCall =
  'polar' | 'ramp' | 'keyframes' | `maths.${'sin' | 'cos' | 'tan' | 'asin' | 'acos' | 'atan' | 'atan2'}`;
