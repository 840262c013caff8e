import type { Frame } from '../frame/frame.ts';
import type { PictureData } from '../paint/picture.ts';

/*
 * Frames go to another thread as they stand, but for their pictures: those are large, and often the same from frame to
 * frame. One that comes again has its pixels copied, once for each version, into memory that both threads share; one
 * that is drawn only once is copied like the rest of its frame, as engines are slow to give shared memory back. The
 * receiving thread keeps what it made of a picture for as long as frames go on using it.
 */

/** What was sent, and the same in shared memory; undefined while it was sent only once. */
const sent = new WeakMap<PictureData, PictureData | undefined>();

/** A frame as it is sent: with the pictures that came before in shared memory. */
export function withSharedPictures(frame: Frame): Frame {
  return frame.pictures.length === 0 ? frame : { ...frame, pictures: frame.pictures.map(asSent) };
}

function asSent(picture: PictureData): PictureData {
  if (!sent.has(picture)) {
    sent.set(picture, undefined);
    return picture;
  }
  let shared = sent.get(picture);
  if (shared === undefined) {
    const data = new Uint8Array(new SharedArrayBuffer(picture.data.length));
    data.set(picture.data);
    sent.set(picture, (shared = { ...picture, data }));
  }
  return shared;
}

/** A picture that no frame has used for so many frames is forgotten. */
const keptFrames = 8;

/** The pictures that a thread has received, so that one that comes again is the same object. */
export class ReceivedPictures {
  private readonly kept = new Map<number, { picture: PictureData; lastUse: number }>();
  private frames = 0;

  /** A frame that was received, with its pictures as they are known here. */
  restore(frame: Frame): Frame {
    this.frames++;
    const pictures = frame.pictures.map((picture) => this.known(picture));
    for (const [id, { lastUse }] of this.kept) if (lastUse < this.frames - keptFrames) this.kept.delete(id);
    return { ...frame, pictures };
  }

  private known(picture: PictureData): PictureData {
    const kept = this.kept.get(picture.id);
    if (kept?.picture.version === picture.version) {
      kept.lastUse = this.frames;
      return kept.picture;
    }
    this.kept.set(picture.id, { picture, lastUse: this.frames });
    return picture;
  }
}
