import type { SourceLine } from '../source-line.ts';
import type { Frame } from '../frame/frame.ts';
import { itemsInWords, type Hidden, type ItemInWords } from './describe.ts';
import { isSameFrame } from './same-frame.ts';
import { givenFrame } from '../frame/given-frame.ts';

/** Above so many items it is not looked for what can be seen of them. */
const maxItems = 400;

/** Something about a frame that is likely not meant, and costs little to see. */
export interface FrameNote {
  /** What is worth knowing. */
  readonly text: string;
  /** The line of the sketch that it is about, where there is one. */
  readonly source: SourceLine | undefined;
}

/**
 * What is likely not meant in a frame: a `paint` that changes something, a picture without anything to be seen,
 * characters that a font lacks.
 * @param painted the frame as it was painted first, and `again` as it was painted a second time
 * @param at its number
 * @param usesInput whether the sketch looks at pointer or keys: an empty frame may wait for them
 */
export function notesOnFrame(painted: Frame | undefined, again: Frame, at: number, usesInput = false): FrameNote[] {
  givenFrame.read('notesOnFrame', 'again', again);
  const notes: FrameNote[] = [];
  const note = (text: string, source?: SourceLine): void => void notes.push({ text, source });
  if (painted !== undefined && !isSameFrame(painted, again))
    note(
      `paint draws frame ${at} otherwise when it is called again; what changes belongs into step, or comes from random`,
    );
  if (again.lacking.length > 0) note(`the font has no ${again.lacking.map((one) => `“${one}”`).join(', ')}`);
  if (again.order.length === 0)
    note(`nothing was drawn in frame ${at}${usesInput ? '; it may wait for the pointer or for keys' : ''}`);
  else if (again.order.length <= maxItems) {
    const items = itemsInWords(again);
    if (items.every(({ hidden }) => hidden !== undefined))
      note(`nothing that frame ${at} drew can be seen: ${reasons(items)}`, items[0].source);
  }
  return notes;
}

/** "3 off the canvas, 1 covered" */
function reasons(items: readonly ItemInWords[]): string {
  const counts = new Map<Hidden, number>();
  for (const { hidden } of items) if (hidden !== undefined) counts.set(hidden, (counts.get(hidden) ?? 0) + 1);
  return [...counts].map(([hidden, count]) => `${count} ${hidden}`).join(', ');
}
