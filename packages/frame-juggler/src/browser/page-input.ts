import { apply, inverse } from '../geometry/matrix.ts';
import { isTyped, type InputEvent, type InputSource } from '../sketch/input.ts';
import type { View } from '../canvas/view.ts';
import { pictureBox } from './picture-box.ts';

/** How large a canvas is, in pixels of density 1, and how the sketch's units lie on it. A `Run` tells. */
export interface InputArea {
  /** The canvas's width, in pixels of density 1. */
  readonly width: number;
  /** The canvas's height, in pixels of density 1. */
  readonly height: number;
  /** How the sketch's units lie on the canvas. */
  readonly view: View;
}

/**
 * Pointer and keys of a page, for the sketch on a canvas element. It listens from when it is made until `end`. Once the
 * sketch looks at the pointer, a finger on the canvas draws instead of scrolling the page; once it looks at keys, they do
 * not scroll it either.
 */
export class PageInput implements InputSource {
  private events: InputEvent[] = [];
  private at: readonly [number, number] | undefined;
  private down = false;
  private readonly keysDown = new Set<string>();
  private wantsKeys = false;
  private readonly stop = new AbortController();
  private readonly touchAction: string;

  constructor(
    private readonly element: HTMLCanvasElement,
    private readonly area: InputArea,
  ) {
    const { signal } = this.stop;
    const document = element.ownerDocument;
    this.touchAction = element.style.touchAction;
    element.addEventListener('pointerdown', this.onDown, { signal });
    element.addEventListener('pointermove', (event) => event.isPrimary && this.move(event), { signal });
    element.addEventListener('pointerup', this.onUp, { signal });
    element.addEventListener('pointercancel', this.onUp, { signal });
    element.addEventListener('pointerleave', (event) => event.isPrimary && this.leave(), { signal });
    document.addEventListener('keydown', this.onKeyDown, { signal });
    document.addEventListener('keyup', (event) => this.keyUp(event.key), { signal });
    // While another window has the keyboard, the page is not told about released keys.
    document.defaultView?.addEventListener('blur', () => this.letGo(), { signal });
  }

  onPointer(): void {
    this.element.style.touchAction = 'none';
  }

  /** The canvas can have the keyboard, and keys that scroll are the sketch's. */
  onKeys(): void {
    this.wantsKeys = true;
    if (!this.element.hasAttribute('tabindex')) this.element.tabIndex = 0;
  }

  take(frame: number): readonly InputEvent[] {
    const { events } = this;
    this.events = [];
    if (frame > 0) return events;
    // The state of pointer and keys when the run begins.
    const { at, down } = this;
    return [
      ...(at === undefined ? [] : [{ type: 'move', at } as const]),
      ...(down ? [{ type: 'press' } as const] : []),
      ...[...this.keysDown].map((key) => ({ type: 'keydown', key }) as const),
    ];
  }

  /** Stops listening. */
  end(): void {
    this.stop.abort();
    this.element.style.touchAction = this.touchAction;
  }

  private readonly onDown = (event: PointerEvent): void => {
    if (!event.isPrimary || event.button !== 0) return;
    // A press is followed to where it is let go, also outside the canvas.
    this.element.setPointerCapture(event.pointerId);
    this.move(event);
    this.down = true;
    this.events.push({ type: 'press' });
  };

  private readonly onUp = (event: PointerEvent): void => {
    if (!event.isPrimary || !this.down) return;
    if (event.type === 'pointerup') this.move(event);
    this.down = false;
    this.events.push({ type: 'release' });
    // A finger that is lifted is nowhere.
    if (event.pointerType === 'touch') this.leave();
  };

  private move(event: PointerEvent): void {
    const { x, y, within } = this.locate(event);
    if (!within && !this.down) return this.leave();
    this.at = [x, y];
    const last = this.events.at(-1);
    // Of many moves within one frame the last one counts.
    if (last?.type === 'move') this.events.pop();
    this.events.push({ type: 'move', at: this.at });
  }

  private leave(): void {
    if (this.at === undefined || this.down) return;
    this.at = undefined;
    this.events.push({ type: 'leave' });
  }

  private readonly onKeyDown = (event: KeyboardEvent): void => {
    if (takesText(event.target)) return;
    const isOurs = event.target === this.element || event.target === this.element.ownerDocument.body;
    if (this.wantsKeys && isOurs && scrolling.has(event.key)) event.preventDefault();
    if (event.repeat && !isTyped(event.key)) return;
    this.keysDown.add(event.key);
    this.events.push({ type: 'keydown', key: event.key });
  };

  private keyUp(key: string): void {
    if (this.keysDown.delete(key) || key.length === 1) this.events.push({ type: 'keyup', key });
  }

  private letGo(): void {
    for (const key of this.keysDown) this.keyUp(key);
    if (this.down) this.events.push({ type: 'release' });
    this.down = false;
  }

  /** A point of the page in the sketch's units, whatever size, padding, fit and transform the element has by CSS. */
  private locate(event: PointerEvent): { x: number; y: number; within: boolean } {
    const { element, area } = this;
    const box = pictureBox(element);
    // Offsets are counted from the padding's edge, before any transform.
    const px = (event.offsetX - box.left) / box.width;
    const py = (event.offsetY - box.top) / box.height;
    const back = inverse(area.view.matrix);
    const [x, y] = back === undefined ? [NaN, NaN] : apply(back, px * area.width, py * area.height);
    return { x: round(x), y: round(y), within: px >= 0 && px <= 1 && py >= 0 && py <= 1 };
  }
}

/** The keys by which a page is scrolled. */
const scrolling = new Set([
  'ArrowUp',
  'ArrowDown',
  'ArrowLeft',
  'ArrowRight',
  ' ',
  'PageUp',
  'PageDown',
  'Home',
  'End',
]);

/** Short numbers for tracks: a thousandth of a unit is finer than any pointer. */
function round(value: number): number {
  return Math.round(value * 1000) / 1000;
}

function takesText(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement && (target.isContentEditable || /^(?:input|textarea|select)$/i.test(target.tagName))
  );
}
