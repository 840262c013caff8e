import { asSketchError } from '../error.ts';
import { cssColor, readColor } from '../paint/color.ts';
import type { Dial, DialMap } from '../sketch/dials.ts';

/** Told of a dial that was turned. */
type Turned = (name: string, value: unknown) => void;

/** Draws a control for each of a sketch's dials. Values that cannot be are marked where they stand, and go no further. */
export class DialPanel {
  private readonly shown = new Map<string, (value: unknown) => void>();

  constructor(list: HTMLElement, dials: DialMap, turned: Turned) {
    list.replaceChildren(...Object.entries(dials).map(([name, dial]) => this.row(name, dial, turned)));
  }

  /** Shows the values that the dials have. */
  show(values: Readonly<Record<string, unknown>>): void {
    for (const [name, show] of this.shown) show(values[name]);
  }

  private row(name: string, dial: Dial, turned: Turned): HTMLElement {
    const row = document.createElement('div');
    row.className = 'dial';
    const fault = document.createElement('p');
    fault.className = 'fault';
    const turn: Turned = (which, value) => {
      try {
        fault.textContent = '';
        turned(which, dial.read('dials', which, value));
      } catch (error) {
        fault.textContent = asSketchError(error).reason;
      }
    };
    const { controls, show } = makeControl(name, dial, turn);
    this.shown.set(name, show);
    const label = document.createElement('label');
    label.textContent = dial.label ?? name;
    label.htmlFor = controls[0].id;
    const line = document.createElement('div');
    line.className = 'controls';
    line.append(...controls);
    row.append(label, line, fault);
    return row;
  }
}

interface Control {
  readonly controls: readonly (HTMLInputElement | HTMLSelectElement)[];
  readonly show: (value: unknown) => void;
}

function makeControl(name: string, { control, label = name }: Dial, turn: Turned): Control {
  const id = `dial-${name}`;
  const input = (type: string, more: { min?: string; max?: string; step?: string } = {}): HTMLInputElement =>
    Object.assign(document.createElement('input'), { type, id, ...more });
  const onInput = (element: HTMLInputElement | HTMLSelectElement, read: () => unknown): void =>
    element.addEventListener('input', () => turn(name, read()));
  switch (control.type) {
    case 'number': {
      const { min, max } = control;
      const limits = { min: String(min ?? ''), max: String(max ?? ''), step: String(control.step ?? 'any') };
      const field = input('number', limits);
      onInput(field, () => field.valueAsNumber);
      if (min === undefined || max === undefined)
        return { controls: [field], show: (value) => void (field.value = String(value)) };
      const range = input('range', { ...limits, step: String(control.step ?? (max - min) / 200) });
      field.removeAttribute('id');
      field.setAttribute('aria-label', `${label}, as a number`);
      onInput(range, () => range.valueAsNumber);
      return { controls: [range, field], show: (value) => void (range.value = field.value = short(value as number)) };
    }
    case 'color': {
      const field = input('color');
      onInput(field, () => field.value);
      // The browser's control knows no alpha: a dial that has some keeps it until it is turned.
      return { controls: [field], show: (value) => void (field.value = cssColor(readColor('dials', name, value).packed).slice(0, 7)) }; // prettier-ignore
    }
    case 'toggle': {
      const field = input('checkbox');
      onInput(field, () => field.checked);
      return { controls: [field], show: (value) => void (field.checked = value as boolean) };
    }
    case 'choice': {
      const field = Object.assign(document.createElement('select'), { id });
      field.append(...control.choices.map((choice) => new Option(choice)));
      onInput(field, () => field.value);
      return { controls: [field], show: (value) => void (field.value = value as string) };
    }
    case 'point': {
      const [x, y] = [input('number', { step: 'any' }), input('number', { step: 'any' })];
      y.removeAttribute('id');
      y.setAttribute('aria-label', `${label}, y`);
      const read = (): unknown => [x.valueAsNumber, y.valueAsNumber];
      onInput(x, read);
      onInput(y, read);
      return {
        controls: [x, y],
        show: (value) => ([x.value, y.value] = (value as [number, number]).map(short)),
      };
    }
    case 'text': {
      const field = input('text');
      onInput(field, () => field.value);
      return { controls: [field], show: (value) => void (field.value = value as string) };
    }
  }
}

function short(value: number): string {
  return String(Number(value.toPrecision(5)));
}
