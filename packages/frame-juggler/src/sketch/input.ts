import type { View } from '../canvas/view.ts';
import { fail, show } from '../error.ts';
import { onlyKnown, orElse } from '../known-names.ts';
import { givenBy } from '../schema/given.ts';
import { name, oneOf } from '../schema/kind.ts';
import { pair } from '../schema/point.ts';
import { kinOf, nearest } from '../suggest.ts';

/*
 * What a person does with pointer and keys, frame by frame. A host tells it in events, live or from a track; the same
 * events give the same pointer and keys. A dial that is turned meanwhile is an event too.
 */

/** One thing that a person did. Points are in the sketch's units; keys have the names of `KeyboardEvent.key`. */
export type InputEvent =
  | {
      /** What happened. */
      readonly type: 'move';
      /** Where the pointer is now, in the sketch's units. */
      readonly at: readonly [number, number];
    }
  | { readonly type: 'leave' | 'press' | 'release' }
  | {
      readonly type: 'keydown' | 'keyup';
      /** The key, as KeyboardEvent.key names it. */
      readonly key: string;
    }
  | {
      readonly type: 'dial';
      /** The name of the dial that was turned. */
      readonly name: string;
      /** The value it has from now on: a number, a text, true or false, a point. */
      readonly value: unknown;
    };

/** An event, and the frame that was the first to know of it. */
export interface NotedEvent {
  /** The frame's number. */
  readonly frame: number;
  /** What happened. */
  readonly event: InputEvent;
}

/** Where a run gets its events from. */
export interface InputSource {
  /**
   * The events since the frame before; for frame 0, the initial state. Called once for each frame, in order, and from 0
   * again as a run begins anew; a run that goes back notes by itself what it was told.
   */
  take(frame: number): readonly InputEvent[];
  /** Called as the sketch looks at the pointer. */
  onPointer?(): void;
  /** Called as the sketch looks at keys. */
  onKeys?(): void;
}

/** A source of events that is handed in. */
export const inputSource = /* @__PURE__ */ givenBy<InputSource>('a source of input', 'playTrack(track)', 'take');

const eventType = /* @__PURE__ */ oneOf('move', 'leave', 'press', 'release', 'keydown', 'keyup', 'dial');

/** The mouse, pen or finger as of one frame: a point that can be kept, as the next frame has another. */
export interface Pointer {
  /** Where it is or was last, in the sketch's units; outside the canvas while there has been none. */
  readonly x: number;
  /** The same, in y. */
  readonly y: number;
  /** Whether it is over the canvas, or was pressed there and is still held; of a finger, up to the frame it is lifted in. */
  readonly inside: boolean;
  /** Whether it is held down. A click that is shorter than a frame is down for one. */
  readonly down: boolean;
  /** Whether it was pressed since the frame before. */
  readonly justPressed: boolean;
  /** Whether it was let go since the frame before. */
  readonly justReleased: boolean;
  /** Whether it is over something of that label, or in a group of it, as the last frame was painted. */
  over(label: string): boolean;
}

/**
 * The keyboard. Keys are named by what they type (`a`, with or without Shift, and ` ` for the space bar) or by their name
 * in UI Events (`ArrowLeft`, `Enter`); another name for one of those, such as `left`, is an error.
 */
export interface Keys {
  /** Whether it is held down. One pressed for less than a frame is down for one. */
  down(key: string): boolean;
  /** Whether it was pressed since the frame before. */
  justPressed(key: string): boolean;
  /** Whether it was let go since the frame before. */
  justReleased(key: string): boolean;
  /**
   * What was typed since the frame before, as it is written: `a`, or `A` with Shift; empty in most frames. A key that is
   * held down types again. Enter and Backspace type nothing: they are keys to ask for.
   */
  readonly typed: string;
}

const asPointer: (pointer: Pointer) => Pointer = /* @__PURE__ */ onlyKnown('pointer');
const asKeys = /* @__PURE__ */ onlyKnown('keys', undefined, (_, near) =>
  orElse(near, "a key's name goes between parentheses: keys.down('a')"),
);

type Changing<T> = { -readonly [Key in keyof T]: T[Key] };

/**
 * Pointer and keys of one run. The pointer is another object in each frame: a sketch may keep it as the point that it is,
 * in a trail, say.
 */
export class Input {
  private pointerAt: readonly [number, number];
  /** As of the last event; a frame is told of a tap within it, too. */
  private pointerHeld = false;
  private pointerWithin = false;
  private pressed = false;
  private released = false;
  /** The pointer of this frame, once it was asked for. */
  private framePointer: Pointer | undefined;
  private readonly keysDown = new Set<string>();
  private readonly keysPressed = new Set<string>();
  private readonly keysReleased = new Set<string>();
  private readonly outside: readonly [number, number];
  private readonly liveKeys = asKeys<Changing<Keys>>({
    down: (key) => {
      const asked = askedKey('keys.down', key);
      return this.keysDown.has(asked) || this.keysPressed.has(asked);
    },
    justPressed: (key) => this.keysPressed.has(askedKey('keys.justPressed', key)),
    justReleased: (key) => this.keysReleased.has(askedKey('keys.justReleased', key)),
    typed: '',
  });

  /**
   * @param view where the canvas lies, so that a pointer that is not there rests outside it
   * @param over whether something of a label lies at a point of the last frame
   */
  constructor(
    view: Pick<View, 'left' | 'top' | 'width' | 'height'>,
    private readonly over: (label: string, x: number, y: number) => boolean,
  ) {
    this.pointerAt = this.outside = [view.left - view.width, view.top - view.height];
  }

  get pointer(): Pointer {
    return (this.framePointer ??= this.asPointer());
  }

  get keys(): Keys {
    return this.liveKeys;
  }

  /** Advances to a frame. In frame 0 nothing counts as just pressed, because there is no frame before it. */
  begin(frame: number, events: readonly InputEvent[]): void {
    if (frame === 0) {
      this.pointerAt = this.outside;
      this.pointerHeld = this.pointerWithin = false;
      this.keysDown.clear();
    }
    this.forgetJust();
    for (const event of events) this.apply(event);
    if (frame === 0) this.forgetJust();
    this.framePointer = undefined;
  }

  private asPointer(): Pointer {
    const { pressed, released, over } = this;
    const [x, y] = this.pointerAt;
    const inside = this.pointerWithin || pressed || released;
    return asPointer({
      x,
      y,
      inside,
      down: this.pointerHeld || pressed,
      justPressed: pressed,
      justReleased: released,
      over: (label) => {
        name.read('pointer.over', 'label', label);
        return inside && over(label, x, y);
      },
    });
  }

  private apply(event: InputEvent): void {
    switch (event.type) {
      case 'move':
        this.pointerAt = pair.read('input', 'at', event.at);
        this.pointerWithin = true;
        break;
      case 'leave':
        this.pointerWithin = false;
        break;
      case 'press':
        this.pointerHeld = this.pressed = true;
        break;
      case 'release':
        this.pointerHeld = false;
        this.released = true;
        break;
      case 'keydown': {
        const key = readKey('input', event.key);
        if (!this.keysDown.has(key)) this.keysPressed.add(key);
        this.keysDown.add(key);
        if (isTyped(event.key) && !this.isShortcut()) this.liveKeys.typed += event.key;
        break;
      }
      case 'keyup': {
        const key = readKey('input', event.key);
        if (this.keysDown.delete(key)) this.keysReleased.add(key);
        break;
      }
      case 'dial':
        // The run's own.
        break;
      default:
        eventType.read('input', 'type', (event as InputEvent).type);
    }
  }

  /** Whether a letter is a command, not something to write. On some keyboards AltGraph comes with a Control of its own. */
  private isShortcut(): boolean {
    return (this.keysDown.has('Control') || this.keysDown.has('Meta')) && !this.keysDown.has('AltGraph');
  }

  private forgetJust(): void {
    this.pressed = this.released = false;
    this.liveKeys.typed = '';
    this.keysPressed.clear();
    this.keysReleased.clear();
  }
}

/** Whether a key types what it is named by: one character, which may be two units of UTF-16. */
export function isTyped(key: string): boolean {
  return [...key].length === 1;
}

function readKey(call: string, key: string): string {
  return keyName(name.read(call, 'key', key));
}

/** Keys that type nothing, and the space bar: those that most keyboards have. */
const namedKeys = [' ', 'ArrowLeft', 'ArrowRight', 'ArrowUp', 'ArrowDown', 'Enter', 'Escape', 'Shift', 'Control', 'Alt', 'Meta', 'Tab', 'Backspace', 'Delete', 'Home', 'End', 'PageUp', 'PageDown']; // prettier-ignore

/** A key that a sketch asks for. One by another name would never be down, which looks as if it were just not pressed. */
function askedKey(call: string, key: string): string {
  const asked = readKey(call, key);
  const meant = asked.length === 1 || namedKeys.includes(asked) ? undefined : meantKey(asked);
  if (meant !== undefined)
    fail({ call, option: 'key', value: key, problem: 'names no key', expected: `did you mean ${show(meant)}?` });
  return asked;
}

/** The key that is meant by another name: one of its place on the keyboard, such as `KeyA`, another word for it, or misspelt. */
function meantKey(asked: string): string | undefined {
  const [, typed] = /^(?:Key|Digit)(\w)$/.exec(asked) ?? [];
  // There are more names than those above, and short ones are much alike.
  return typed?.toLowerCase() ?? kinOf(asked, namedKeys) ?? (asked.length > 4 ? nearest(asked, namedKeys) : undefined);
}

/** A key's name as it is kept: letters in lower case, so that a key released while Shift is down does not stay pressed. */
function keyName(key: string): string {
  return key.length === 1 ? key.toLowerCase() : key;
}
