import { asSketchError, SketchError } from '../error.ts';
import { parseDial, type DialMap } from '../sketch/dials.ts';
import { isSketch, type Sketch } from '../sketch/sketch.ts';
import { mount } from './mount.ts';
import type { MountOptions, Player, PlayerEvents } from './player.ts';

/** What a number's attribute says. */
function numberFrom(name: string, text: string): number {
  const value = Number(text);
  if (text.trim() !== '' && Number.isFinite(value)) return value;
  throw new SketchError({ call: tag, option: name, value: text, problem: 'is not a number', expected: `expected ${name}="7"` }); // prettier-ignore
}

const isOn = (_: string, text: string): boolean => text !== 'false';
const asText = (_: string, text: string): string => text;

/** How each attribute is read for the option of `mount` that has its name. */
const readers = {
  autoplay: isOn,
  controls: isOn,
  fit: asText,
  surface: asText,
  seed: numberFrom,
  width: numberFrom,
  height: numberFrom,
  density: numberFrom,
} satisfies { readonly [Name in keyof MountOptions]?: (name: string, text: string) => unknown };

const tag = 'juggle-sketch';
const dialPrefix = 'dial-';
const events = ['frame', 'load', 'dial', 'error'] as const satisfies readonly (keyof PlayerEvents)[];

/** On a server there are no elements; the class is there all the same, so that a page's modules can be loaded. */
const Base = (globalThis.HTMLElement ?? class {}) as typeof HTMLElement;

/**
 * A sketch as an element of a page: `<juggle-sketch src="./harbor.js" fit="contain" autoplay seed="7" dial-swell="20">`.
 * `src` names a module whose default export is a sketch; or its `sketch` is set. Attributes are the options of `mount`;
 * `dial-NAME` turns a dial, also later. What the element holds is shown until there is a picture, and where none comes.
 * It fires `frame`, `load`, `dial` and `error`, as a player does.
 */
export class SketchElement extends Base {
  /** The attributes of which the page tells. */
  static readonly observedAttributes = ['src', ...Object.keys(readers)];

  private given: Sketch | undefined;
  private held: Player | undefined;
  private attributesSeen: MutationObserver | undefined;
  /** The number of the latest request; a sketch that was loaded for an earlier one is dropped. */
  private round = 0;
  private waiting = false;

  /** What plays here; undefined until it is loaded. */
  get player(): Player | undefined {
    return this.held;
  }

  /** The sketch that is shown: the one that was set, or the one of `src`. */
  get sketch(): Sketch | undefined {
    return this.given ?? this.held?.sketch;
  }
  set sketch(sketch: Sketch | undefined) {
    this.given = sketch;
    this.renew();
  }

  /** Called by the page where it is put in: mounts its sketch. */
  connectedCallback(): void {
    this.attributesSeen ??= new MutationObserver((changes) => this.turnDials(changes));
    this.attributesSeen.observe(this, { attributes: true });
    // Properties set before the element was defined hide the accessors of the class, so they are set again.
    if (Object.hasOwn(this, 'sketch')) {
      const { sketch } = this;
      delete (this as { sketch?: Sketch }).sketch;
      this.sketch = sketch;
    }
    // An element that is only moved plays on.
    if (this.held === undefined) this.renew();
  }

  /** Called by the page where it is taken out: stops its player. */
  disconnectedCallback(): void {
    queueMicrotask(() => {
      if (this.isConnected) return;
      this.attributesSeen?.disconnect();
      this.end();
    });
  }

  /** Called by the page as an attribute changes. */
  attributeChangedCallback(_name: string, before: string | null, now: string | null): void {
    if (before !== now) this.renew();
  }

  /** Begins anew, once all that changes together has changed. */
  private renew(): void {
    if (this.waiting) return;
    this.waiting = true;
    queueMicrotask(() => {
      this.waiting = false;
      this.end();
      if (this.isConnected) void this.begin();
    });
  }

  private end(): void {
    this.round++;
    this.held?.stop();
    this.held = undefined;
    this.shadowRoot?.replaceChildren(document.createElement('slot'));
  }

  private async begin(): Promise<void> {
    const { round } = this;
    try {
      const sketch = this.given ?? (await this.load());
      if (sketch === undefined || round !== this.round) return;
      this.show(sketch);
    } catch (thrown) {
      if (round !== this.round) return;
      this.end();
      this.failed(asSketchError(thrown));
    }
  }

  private async load(): Promise<Sketch | undefined> {
    const src = this.getAttribute('src');
    if (src === null) return undefined;
    const { href } = new URL(src, this.ownerDocument.baseURI);
    const loaded = (await import(/* @vite-ignore */ /* webpackIgnore: true */ href)) as { default?: unknown };
    if (isSketch(loaded.default)) return loaded.default;
    throw new SketchError({
      call: tag,
      option: 'src',
      value: src,
      problem: loaded.default === undefined ? 'has no default export' : 'has another default export than a sketch',
      expected: 'expected export default defineSketch({ … }), with the same copy of frame-juggler as this page',
    });
  }

  private show(sketch: Sketch): void {
    const root = this.shadowRoot ?? this.attachShadow({ mode: 'open' });
    const sheet = new CSSStyleSheet();
    sheet.replaceSync(looks);
    root.adoptedStyleSheets = [sheet];
    const place = this.ownerDocument.createElement('div');
    // Until there is a picture, what the element holds is seen.
    place.className = 'place early';
    const slot = this.ownerDocument.createElement('slot');
    root.replaceChildren(place, slot);
    const player = mount(sketch, place, this.options(sketch.dials));
    this.held = player;
    for (const type of events) player.addEventListener(type, (event) => this.passOn(event));
    void player.ready.then((isShown) => {
      if (!isShown) return;
      place.className = 'place';
      slot.remove();
    });
  }

  private options(dials: DialMap): MountOptions {
    const options: Record<string, unknown> = { autoplay: false };
    for (const [name, read] of Object.entries(readers)) {
      const text = this.getAttribute(name);
      if (text !== null) options[name] = read(name, text);
    }
    const turned: Record<string, unknown> = {};
    for (const { name: attribute, value } of this.attributes) {
      if (!attribute.startsWith(dialPrefix)) continue;
      const name = dialName(dials, attribute);
      turned[name] = parseDial(dials, name, value);
    }
    return { ...options, dials: turned };
  }

  private turnDials(changes: readonly MutationRecord[]): void {
    const { held } = this;
    if (held === undefined) return;
    for (const attribute of new Set(changes.map(({ attributeName }) => attributeName!))) {
      const text = this.getAttribute(attribute);
      if (!attribute.startsWith(dialPrefix)) continue;
      try {
        const { dials } = held.sketch;
        const name = dialName(dials, attribute);
        void held.setDial(name, text === null ? dials[name]?.initial : parseDial(dials, name, text));
      } catch (thrown) {
        this.failed(asSketchError(thrown));
      }
    }
  }

  /** Fires a player's event on the element; where that is dealt with, the player's is too. */
  private passOn(event: Event): void {
    const copy = new CustomEvent(event.type, { detail: (event as CustomEvent).detail, cancelable: event.cancelable });
    if (!this.dispatchEvent(copy)) event.preventDefault();
  }

  private failed(error: SketchError): void {
    const event = new CustomEvent('error', { detail: error, cancelable: true });
    if (this.dispatchEvent(event)) console.error(error);
  }
}

const looks = `
:host { display: block; position: relative }
:host([hidden]) { display: none }
.place { height: 100%; display: grid; grid-template: minmax(0, 1fr) auto / minmax(0, 1fr) }
.early { position: absolute; inset: 0; visibility: hidden }
`;

/** The name of the dial that an attribute means, whose letters have lost their case. */
function dialName(dials: DialMap, attribute: string): string {
  const plain = (name: string): string => name.replaceAll('-', '').toLowerCase();
  const wanted = attribute.slice(dialPrefix.length);
  return Object.keys(dials).find((known) => plain(known) === plain(wanted)) ?? wanted;
}

declare global {
  interface HTMLElementTagNameMap {
    'juggle-sketch': SketchElement;
  }
}

if (typeof customElements !== 'undefined' && customElements.get(tag) === undefined)
  customElements.define(tag, SketchElement);
