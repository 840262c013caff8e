import { frameBytes, type Frame } from 'frame-juggler';

/** How many bytes are kept: of frames, and of the pictures that frames under a carry are drawn over. */
const maxBytes = 96e6;
/** Under a carry, a picture is kept every so many frames: the ones between are drawn upon it again. */
const pictureEvery = 30;

/** Frames and pictures by the numbers of their frames; the oldest go once there are too many. */
class Kept<Value> {
  private readonly values = new Map<number, { readonly value: Value; readonly bytes: number }>();
  private bytes = 0;

  get(frame: number): Value | undefined {
    return this.values.get(frame)?.value;
  }

  add(frame: number, value: Value, bytes: number): void {
    this.delete(frame);
    this.values.set(frame, { value, bytes });
    this.bytes += bytes;
    for (const oldest of this.values.keys()) {
      if (this.bytes <= maxBytes) break;
      this.delete(oldest);
    }
  }

  delete(frame: number): void {
    this.bytes -= this.values.get(frame)?.bytes ?? 0;
    this.values.delete(frame);
  }

  deleteFrom(first: number): void {
    for (const frame of [...this.values.keys()]) if (frame >= first) this.delete(frame);
  }
}

/** A picture as a surface keeps it. */
export interface KeptPicture {
  readonly width: number;
  readonly height: number;
}

/** What it takes to show a frame once more: a picture to begin with, if any, and the frames to draw upon it. */
export interface Way {
  readonly picture: KeptPicture | undefined;
  readonly frames: readonly Frame[];
}

/**
 * Remembers what was shown, so that going back is exact and quick: frames are drawn again as they were painted, without
 * the sketch being asked.
 */
export class KeptFrames {
  private readonly frames = new Kept<Frame>();
  private readonly pictures = new Kept<KeptPicture>();

  /** Remembers a frame. @param copy gives the picture that it has made */
  add(number: number, frame: Frame, copy: () => KeptPicture): void {
    this.frames.add(number, frame, frameBytes(frame));
    if (frame.carry === 0 || number % pictureEvery !== 0) return;
    const picture = copy();
    this.pictures.add(number, picture, picture.width * picture.height * 4);
  }

  /** A frame as it was painted; undefined where it is forgotten. */
  frame(number: number): Frame | undefined {
    return this.frames.get(number);
  }

  /** How to show a frame; undefined where too much of it is forgotten. */
  wayTo(number: number): Way | undefined {
    const frames: Frame[] = [];
    for (let at = number; at >= 0; at--) {
      const frame = this.frames.get(at);
      if (frame === undefined) return undefined;
      frames.unshift(frame);
      // Frame 0 starts on an empty canvas, and so does a frame that cleared it.
      if (frame.carry === 0) return { picture: undefined, frames };
      const picture = this.pictures.get(at - 1);
      if (picture !== undefined) return { picture, frames };
    }
    return undefined;
  }

  /** Forgets pictures, as they are to have another size, or are another surface's. */
  forgetPictures(): void {
    this.pictures.deleteFrom(0);
  }

  /** Forgets what was from a frame on. */
  forget(first = 0): void {
    this.frames.deleteFrom(first);
    this.pictures.deleteFrom(first);
  }
}
