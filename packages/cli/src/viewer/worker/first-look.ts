import { notesOnFrame, type FrameNote } from 'frame-juggler';
import type { Playback } from './playback.ts';

/** Notes on what is probably not intended in the frame that is shown. */
export async function notesOn(playing: Playback): Promise<readonly FrameNote[]> {
  const { painted, frame: at } = playing;
  const again = await playing.trace();
  // Playing on, another frame may be at hand by now.
  return at === playing.frame ? notesOnFrame(painted, again, at, playing.usesInput) : [];
}
