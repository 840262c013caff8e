import type { Evidence, Sighting } from './evidence.ts';

/** A likely mistake: how it is told from what is meant, why it matters, and a way out. */
export interface Rule {
  /** Its name, which stays: `accept` in a sketch goes by it. */
  readonly name: string;
  /** What goes wrong, in a few words: the heading in docs/mistakes.md. */
  readonly title: string;
  readonly why: string;
  /** A way out, in code where there is one. */
  readonly cure: string;
  readonly find: (evidence: Evidence) => readonly Sighting[];
}
