import type { InputEvent, InputSource, NotedEvent } from './input.ts';

/** How many events are kept: of a hand that never rests, half an hour. */
const maxNoted = 100_000;

/**
 * What a run was told of, frame by frame, so that a frame that is run again is told the same again. Only what lies
 * ahead comes from the source.
 */
export class NotedInput {
  /** In the order in which frames came up. */
  private readonly noted = new Map<number, readonly InputEvent[]>();
  /** The frames in which dials were turned: few, where a hand may have moved in all of them. */
  private readonly turned = new Set<number>();
  private count = 0;
  private last = -1;

  /** What happened before a frame. */
  take(frame: number, source: InputSource | undefined): readonly InputEvent[] {
    if (frame <= this.last) return this.at(frame);
    this.last = frame;
    // A dial may have been turned for it already.
    const events = [...(source?.take(frame) ?? []), ...this.at(frame)];
    this.note(frame, events);
    for (const oldest of this.noted.keys()) {
      if (this.count <= maxNoted) break;
      this.note(oldest, []);
    }
    return events;
  }

  /**
   * Notes that a dial was turned; of several turns for one frame the last counts.
   * @param before the value it had until then: the run is to begin with that, whatever it has later
   */
  turn(frame: number, name: string, value: unknown, before: unknown): void {
    if (!this.at(0).some((event) => turns(event, name))) this.addTurn(0, name, before);
    this.addTurn(frame, name, value);
  }

  /** A dial's value in a frame, as far as it was turned by then; else the one that is given. */
  valueAt(frame: number, name: string, otherwise: unknown): unknown {
    let [found, value] = [-1, otherwise];
    for (const at of this.turned) {
      if (at > frame || at < found) continue;
      for (const event of this.at(at)) if (turns(event, name)) [found, value] = [at, event.value];
    }
    return value;
  }

  /** Takes over what happened in another run, in place of all that is noted. */
  recall(events: readonly NotedEvent[], until: number): void {
    this.forget();
    for (const { frame, event } of events) this.note(frame, [...this.at(frame), event]);
    this.last = events.reduce((last, { frame }) => Math.max(last, frame), until);
  }

  /** Forgets what happened from a frame on: from there, the source is asked again. */
  forget(first = 0): void {
    this.last = Math.min(this.last, first - 1);
    for (const frame of [...this.noted.keys()]) if (frame >= first) this.note(frame, []);
  }

  /** All that is noted, in the order of its frames. */
  get events(): readonly NotedEvent[] {
    return [...this.noted]
      .sort(([one], [other]) => one - other)
      .flatMap(([frame, events]) => events.map((event) => ({ frame, event })));
  }

  private at(frame: number): readonly InputEvent[] {
    return this.noted.get(frame) ?? [];
  }

  private addTurn(frame: number, name: string, value: unknown): void {
    const others = this.at(frame).filter((event) => !turns(event, name));
    this.note(frame, [...others, { type: 'dial', name, value }]);
  }

  private note(frame: number, events: readonly InputEvent[]): void {
    this.count += events.length - this.at(frame).length;
    if (events.length > 0) this.noted.set(frame, events);
    else this.noted.delete(frame);
    if (events.some(({ type }) => type === 'dial')) this.turned.add(frame);
    else this.turned.delete(frame);
  }
}

function turns(event: InputEvent, name: string): event is Extract<InputEvent, { readonly type: 'dial' }> {
  return event.type === 'dial' && event.name === name;
}
