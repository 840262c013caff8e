import type { InputEvent, InputSource } from 'frame-juggler';

/**
 * Pointer and keys as the page sends them. What came before each frame is noted, so that a frame that is run again is
 * told the same again; only what lies beyond the last one comes from the page.
 */
export class NotedInput implements InputSource {
  /** Whether the sketch has looked at the pointer. */
  usesPointer = false;
  private readonly noted = new Map<number, readonly InputEvent[]>();
  private last = -1;
  private waiting: InputEvent[] = [];
  private at: readonly [number, number] | undefined;
  private down = false;
  private readonly keys = new Set<string>();

  /** Takes what was just done. */
  add(events: readonly InputEvent[]): void {
    for (const event of events) {
      this.waiting.push(event);
      switch (event.type) {
        case 'move':
          this.at = event.at;
          break;
        case 'leave':
          this.at = undefined;
          break;
        case 'press':
        case 'release':
          this.down = event.type === 'press';
          break;
        case 'keydown':
          this.keys.add(event.key);
          break;
        case 'keyup':
          this.keys.delete(event.key);
      }
    }
  }

  take(frame: number): readonly InputEvent[] {
    if (frame <= this.last) return this.noted.get(frame) ?? [];
    const events = frame === 0 ? this.standing() : this.waiting;
    this.waiting = [];
    this.last = frame;
    if (events.length > 0) this.noted.set(frame, events);
    return events;
  }

  onPointer(): void {
    this.usesPointer = true;
  }

  /** Forgets what was done from a frame on: from there, the page is listened to again. */
  forget(first = 0): void {
    this.last = Math.min(this.last, first - 1);
    for (const frame of [...this.noted.keys()]) if (frame >= first) this.noted.delete(frame);
  }

  /** All that was noted, in the order of its frames. */
  get events(): { readonly frame: number; readonly event: InputEvent }[] {
    return [...this.noted]
      .sort(([one], [other]) => one - other)
      .flatMap(([frame, events]) => events.map((event) => ({ frame, event })));
  }

  /** The state of pointer and keys when a run begins. */
  private standing(): InputEvent[] {
    return [
      ...(this.at === undefined ? [] : [{ type: 'move', at: this.at } as const]),
      ...(this.down ? [{ type: 'press' } as const] : []),
      ...[...this.keys].map((key) => ({ type: 'keydown', key }) as const),
    ];
  }
}
