import { looksLike, type LookOptions, type LookSubject } from './looks-like.ts';

/** What Jest, and runners like it, tell a matcher. */
interface MatcherContext {
  readonly isNot?: boolean;
  readonly snapshotState?: { readonly _updateSnapshot?: 'all' | 'new' | 'none' };
}

/** For `declare module`: what `expect(…)` gains by {@link lookMatchers}. */
export interface LookMatchers<Result> {
  /** Passes where a sketch, a frame of it or a picture looks like the one kept in a file; writes the file where there is none. */
  toLookLike(file: string | URL, options?: LookOptions): Promise<Result>;
}

/**
 * Matchers for `expect.extend`: `await expect({ sketch, frame: 12 }).toLookLike(new URL('./kept.png', import.meta.url))`.
 * The runner's own switch for snapshots (`-u`, `--ci`) holds for kept pictures too.
 */
export const lookMatchers = {
  /** Passes where the subject looks like the picture kept in the file. */
  async toLookLike(
    this: MatcherContext | void,
    subject: LookSubject,
    file: string | URL,
    options: LookOptions = {},
  ): Promise<{ pass: boolean; message: () => string }> {
    const update = this?.snapshotState?._updateSnapshot;
    const { alike, message, difference } = await looksLike(subject, file, {
      // What is expected to differ is never kept.
      ...(this?.isNot === true ? { update: 'none' as const } : update !== undefined && { update }),
      ...options,
    });
    const seen = difference === undefined ? '' : `\nBoth, with the difference: ${difference}`;
    return { pass: alike, message: () => `${message}${seen}` };
  },
};
