import type { Frame } from '../frame/frame.ts';
import type { PictureData } from '../paint/picture.ts';

/*
 * Frames go to another thread as they stand, but for their pictures: those are large, and the same from frame to frame.
 * Their pixels lie in memory that both threads share, copied there once for each version of a picture; the receiving
 * thread keeps what it made of a picture for as long as frames go on using it.
 */

const shared = new WeakMap<PictureData, PictureData>();

/** A frame with its pictures in shared memory. */
export function withSharedPictures(frame: Frame): Frame {
  return frame.pictures.length === 0 ? frame : { ...frame, pictures: frame.pictures.map(sharedPicture) };
}

function sharedPicture(picture: PictureData): PictureData {
  let found = shared.get(picture);
  if (found?.version !== picture.version) {
    const { id, version, width, height, data } = picture;
    const memory = new Uint8Array(new SharedArrayBuffer(data.length));
    memory.set(data);
    found = { id, version, width, height, data: memory };
    shared.set(picture, found);
  }
  return found;
}

/** A picture that no frame has used for so many frames is forgotten. */
const keptFrames = 32;

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
