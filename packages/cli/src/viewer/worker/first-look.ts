import { describeFrame, isSameFrame, type Hidden, type ItemDescription, type SourceLine } from 'frame-juggler';
import type { Playback } from './playback.ts';

/** Above so many items it is not looked for what can be seen of them. */
const maxItems = 400;

interface Note {
  readonly text: string;
  readonly source: SourceLine | undefined;
}

/** What is likely not meant in the frame that is shown: a `paint` that changes something, a picture without anything. */
export async function notesOn(playing: Playback): Promise<readonly Note[]> {
  const { painted } = playing;
  const at = playing.frame;
  const again = await playing.trace();
  // Playing on, another frame may be at hand by now.
  if (at !== playing.frame) return [];
  const notes: Note[] = [];
  if (painted !== undefined && !isSameFrame(painted, again))
    notes.push({
      text: `paint draws frame ${at} otherwise when it is called again; what changes belongs into step, or comes from random`,
      source: undefined,
    });
  if (again.order.length === 0) notes.push({ text: `nothing was drawn in frame ${at}`, source: undefined });
  else if (again.order.length <= maxItems) {
    const { items } = describeFrame(again);
    if (items.every(({ hidden }) => hidden !== undefined))
      notes.push({ text: `nothing that frame ${at} drew can be seen: ${reasons(items)}`, source: items[0].source });
  }
  return notes;
}

/** "3 off the canvas, 1 covered" */
function reasons(items: readonly ItemDescription[]): string {
  const counts = new Map<Hidden, number>();
  for (const { hidden } of items) if (hidden !== undefined) counts.set(hidden, (counts.get(hidden) ?? 0) + 1);
  return [...counts].map(([hidden, count]) => `${count} ${hidden}`).join(', ');
}
