/** Milliseconds after which the rate is told anew: long enough to be read. */
const period = 1000;
/** After so long a pause no frame was slow: the page was hidden. */
const longest = 20 * period;

/** How many pictures a second are shown while a sketch plays. */
export class ShownRate {
  private since: number | undefined;
  private last = 0;
  private count = 0;
  private rate: number | undefined;

  /** In the last full second, to two digits; undefined before there was one. */
  get perSecond(): number | undefined {
    return this.rate;
  }

  /** Begins anew, as where it is played again, or at another speed. */
  restart(): void {
    this.since = undefined;
    this.count = 0;
    this.rate = undefined;
  }

  /** One more was shown. @param now milliseconds of a clock that only goes forward */
  add(now: number): void {
    const pause = now - this.last;
    this.last = now;
    if (this.since === undefined || pause > longest) {
      this.restart();
      this.since = now;
      return;
    }
    this.count++;
    const passed = now - this.since;
    if (passed < period) return;
    this.rate = Number(((this.count * 1000) / passed).toPrecision(2));
    this.since = now;
    this.count = 0;
  }
}
