import { log10, pow } from '../maths/power.ts';
import { cssColor, readPacked } from '../paint/color.ts';
import type { Dial, DialControl, DialMap } from '../sketch/dials.ts';
import type { Sketch } from '../sketch/sketch.ts';

/** What controls control: a player. */
export interface Controlled {
  readonly element: HTMLCanvasElement;
  readonly sketch: Sketch;
  readonly playing: boolean;
  readonly frame: number;
  readonly dials: Readonly<Record<string, unknown>>;
  play(): void;
  pause(): void;
  goTo(frame: number): Promise<void>;
  fullScreen(on: boolean): Promise<void>;
  setDial(name: string, value: unknown): Promise<void>;
  addEventListener(type: 'frame' | 'dial', listener: () => void): void;
  removeEventListener(type: 'frame' | 'dial', listener: () => void): void;
}

/** A field by which a dial is turned. */
interface Field {
  readonly element: HTMLElement;
  readonly show: (value: unknown) => void;
}
type Control<Type extends DialControl['type']> = Extract<DialControl, { readonly type: Type }>;
type Turn = (value: unknown) => void;

/** A field for each kind of dial. */
const fields: { readonly [Type in DialControl['type']]: (control: Control<Type>, turn: Turn) => Field } = {
  number({ min, max, step }, turn) {
    const bounded = min !== undefined && max !== undefined;
    // A power of ten, so that a round value is one of the slider's.
    const steps = step ?? (bounded ? pow(10, Math.floor(log10((max - min) / 100))) : 'any');
    const element = input(bounded ? 'range' : 'number', { min, max, step: steps });
    element.addEventListener('input', () => turnToNumber(element, turn));
    return { element, show: (value) => void (element.value = String(value)) };
  },
  color(_, turn) {
    const element = input('color', {});
    element.addEventListener('input', () => turn(element.value));
    return {
      element,
      show: (value) => void (element.value = cssColor(readPacked('dials', 'color', value)).slice(0, 7)),
    };
  },
  toggle(_, turn) {
    const element = input('checkbox', {});
    element.addEventListener('change', () => turn(element.checked));
    return { element, show: (value) => void (element.checked = value === true) };
  },
  choice({ choices }, turn) {
    const element = document.createElement('select');
    element.append(...choices.map((choice) => new Option(choice)));
    element.addEventListener('change', () => turn(element.value));
    return { element, show: (value) => void (element.value = String(value)) };
  },
  text(_, turn) {
    const element = input('text', {});
    element.addEventListener('input', () => turn(element.value));
    return { element, show: (value) => void (element.value = String(value)) };
  },
  point(_, turn) {
    const [x, y] = ['x', 'y'].map((name) => input('number', { step: 'any', 'aria-label': name }));
    const element = document.createElement('span');
    element.append(x, y);
    element.addEventListener('input', () => {
      const point = { x: x.valueAsNumber, y: y.valueAsNumber };
      if (Number.isFinite(point.x) && Number.isFinite(point.y)) turn(point);
    });
    const show = (value: unknown): void => {
      const point = value as { readonly x: number; readonly y: number };
      x.value = String(point.x);
      y.value = String(point.y);
    };
    return { element, show };
  },
};

/**
 * Puts a bar of controls below a canvas: play and pause, the time where the sketch has an end, the full screen, and a
 * field for each dial. Its looks keep to themselves and take the page's font and color.
 * @returns what takes it away
 */
export function showControls(player: Controlled): () => void {
  const { element: canvas, sketch } = player;
  const document = canvas.ownerDocument;
  const place = document.createElement('div');
  const root = place.attachShadow({ mode: 'open' });
  const sheet = new CSSStyleSheet();
  sheet.replaceSync(looks);
  root.adoptedStyleSheets = [sheet];
  const bar = document.createElement('div');
  bar.className = 'bar';
  root.append(bar);

  const play = button('Play', () => (player.playing ? player.pause() : player.play()));
  const moves = sketch.frames > 1;
  if (moves) bar.append(play);
  const time = input('range', { min: 0, max: sketch.frames - 1, step: 1, 'aria-label': 'Frame' });
  if (moves && sketch.frames < Infinity) bar.append(time);
  time.addEventListener('input', () => {
    player.pause();
    void player.goTo(time.valueAsNumber);
  });
  if (document.fullscreenEnabled) {
    // Where a browser refuses, one sees that nothing happens.
    bar.append(button('Full screen', () => void player.fullScreen(true).catch(() => undefined)));
  }

  const shows = Object.entries(sketch.dials).map(([name, dial]) => {
    const { label, show } = dialField(name, dial, (value) => void player.setDial(name, value));
    root.append(label);
    return () => show(player.dials[name]);
  });
  const changed = (): void => {
    const name = player.playing ? 'Pause' : 'Play';
    if (play.textContent !== name) play.textContent = name;
    time.value = String(player.frame);
  };
  const turned = (): void => shows.forEach((show) => show());
  player.addEventListener('frame', changed);
  player.addEventListener('dial', turned);
  changed();
  turned();
  canvas.after(place);
  return () => {
    player.removeEventListener('frame', changed);
    player.removeEventListener('dial', turned);
    place.remove();
  };
}

function dialField(name: string, { label, control }: DialMap[string], turn: Turn): Field & { label: HTMLElement } {
  const make = fields[control.type] as (control: Dial['control'], turn: Turn) => Field;
  const field = make(control, turn);
  const around = document.createElement(control.type === 'point' ? 'fieldset' : 'label');
  const words = document.createElement(control.type === 'point' ? 'legend' : 'span');
  words.textContent = label ?? name;
  around.append(words, field.element);
  return { ...field, label: around };
}

function input(type: string, attributes: Readonly<Record<string, unknown>>): HTMLInputElement {
  const element = document.createElement('input');
  element.type = type;
  for (const [name, value] of Object.entries(attributes))
    if (value !== undefined) element.setAttribute(name, String(value));
  return element;
}

function button(words: string, pressed: () => void): HTMLButtonElement {
  const element = document.createElement('button');
  element.type = 'button';
  element.textContent = words;
  element.addEventListener('click', pressed);
  return element;
}

/** A number that is being typed may be none yet. */
function turnToNumber({ valueAsNumber }: HTMLInputElement, turn: Turn): void {
  if (Number.isFinite(valueAsNumber)) turn(valueAsNumber);
}

const looks = `
:host { display: flex; flex-wrap: wrap; gap: 8px 20px; align-items: center; padding: 10px 0; font-size: 15px }
.bar { display: flex; gap: 10px; align-items: center; flex: 1 1 100% }
.bar input { flex: 1; min-width: 60px }
button { font: inherit; color: inherit; background: none; border: 1px solid; border-radius: 4px; padding: 5px 14px; min-height: 34px; cursor: pointer }
button:first-child { min-width: 84px }
label, fieldset { display: flex; gap: 8px; align-items: center; border: 0; margin: 0; padding: 0 }
legend { float: left; padding: 0 }
input, select { font: inherit; accent-color: #d5603f }
input[type=number] { width: 6em }
:is(button, input, select):focus-visible { outline: 3px solid #f1b64e; outline-offset: 2px }
`;
