import type { InputEvent, InputSource } from 'frame-juggler';

/** Pointer and keys as the page sends them. */
export class SentInput implements InputSource {
  /** Whether the sketch has looked at the pointer. */
  usesPointer = false;
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

  /** Goes on from what was done by hand before: whatever was held down then is let go. */
  goOnFrom(events: readonly InputEvent[]): void {
    this.add(events);
    this.waiting = [];
    this.add([
      ...(this.down ? [{ type: 'release' } as const] : []),
      ...[...this.keys].map((key) => ({ type: 'keyup', key }) as const),
      ...(this.at === undefined ? [] : [{ type: 'leave' } as const]),
    ]);
  }

  take(frame: number): readonly InputEvent[] {
    const events = frame === 0 ? this.standing() : this.waiting;
    this.waiting = [];
    return events;
  }

  onPointer(): void {
    this.usesPointer = true;
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
