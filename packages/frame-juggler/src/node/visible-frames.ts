import type { Frame } from '../frame/frame.ts';

/** The frames of which something can still be seen under a carry, for an output that draws them anew. */
export class VisibleFrames {
  private kept: Frame[] = [];

  /** The frames that can be seen, the last one added among them. */
  get frames(): readonly Frame[] {
    return this.kept;
  }

  add(frame: Frame): void {
    if (frame.carry === 0) this.kept = [];
    this.kept.push(frame);
    // What is left of the oldest, in parts of 255, rounded as `fade` rounds it.
    let left = 255;
    for (let at = this.kept.length - 1; at > 0; at--) {
      left = Math.trunc(left * this.kept[at].carry);
      if (left > 0) continue;
      this.kept = this.kept.slice(at);
      break;
    }
  }
}
