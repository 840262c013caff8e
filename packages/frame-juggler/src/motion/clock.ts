import { finite, positive } from '../schema/kind.ts';

/** After a stall of more than this, time slips instead of being caught up, in seconds. */
const longestStall = 0.25;
/** A frame may be shown this part of its length early: screens do not tick quite evenly. */
const early = 0.1;

/**
 * Tells a live run how many frames are due. It takes readings of the host's clock; the frames themselves know nothing of it.
 */
export class LiveClock {
  private last: number | undefined;
  private owed = 0;

  /** @param frameRate frames a second */
  constructor(private readonly frameRate: number) {
    positive.read('LiveClock', 'frameRate', frameRate);
  }

  /** Stops counting until the next reading: what passes in between is not owed. */
  pause(): void {
    this.last = undefined;
    this.owed = 0;
  }

  /** How many frames have come due since the last reading. @param now milliseconds of a clock that only goes forward */
  due(now: number): number {
    finite.read('clock.due', 'now', now);
    const passed = this.last === undefined ? 0 : Math.min(longestStall, Math.max(0, (now - this.last) / 1000));
    this.last = now;
    this.owed += passed * this.frameRate;
    const frames = Math.max(0, Math.floor(this.owed + early));
    this.owed -= frames;
    return frames;
  }
}
