import { withChanges } from '../../../packages/cli/src/by-hand/changes.ts';
import type { Asked } from './messages.ts';
import type { Change } from '../../../packages/cli/src/viewer/protocol.ts';

/** A sketch in an editor, and how it was last run. */
export interface EditedSketch {
  readonly source: string;
  readonly ran: { readonly source: string; readonly code: string } | undefined;
  change(changes: Change['changes']): void;
  put(source: string): void;
  /** Runs the text as it is, or another. */
  run(source?: string): void;
}

type Answers = {
  [Name in keyof Asked]: (of: Asked[Name]['of']) => Asked[Name]['answer'] | Promise<Asked[Name]['answer']>;
};

/**
 * Answers what the frame asks of a sketch's text: literals are changed and nothing else, never in a text that has changed
 * in the meantime. A text is its own version.
 */
export function textEdits(sketch: EditedSketch, file = 'sketch.ts'): Answers {
  const done: { readonly before: string; readonly after: string }[] = [];
  const isLast = (): boolean => done.length > 0 && done[done.length - 1].after === sketch.source;
  const unchanged = ({ version }: Change): string => {
    if (version !== sketch.source) throw new Error('The sketch has changed in the meantime: nothing was written');
    return version;
  };
  return {
    async call({ line, column }) {
      const { source, ran } = sketch;
      if (ran?.source !== source) return null;
      const { callOf } = await import('./by-hand.ts');
      const parts = callOf(source, ran.code, line, column);
      return parts === undefined ? null : { ...parts, file, version: source, undoable: isLast() };
    },
    tryOut: (change) => sketch.run(withChanges(unchanged(change), change.changes)),
    change(change) {
      const before = unchanged(change);
      sketch.change(change.changes);
      done.push({ before, after: sketch.source });
      sketch.run();
    },
    undo() {
      if (!isLast()) throw new Error('The sketch has changed in the meantime: nothing was taken back');
      sketch.put(done.pop()!.before);
      sketch.run();
      return file;
    },
  };
}
