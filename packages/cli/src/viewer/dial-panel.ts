import { asSketchError, cssColor, readColor, type Dial, type DialControl, type DialMap } from 'frame-juggler';

/** Called when a dial was turned. */
type DialChanged = (name: string, value: unknown) => void;

/** Draws a control for each of a sketch's dials. Values that cannot be are marked where they stand, and go no further. */
export class DialPanel {
  private readonly shown = new Map<string, (value: unknown) => void>();

  constructor(list: HTMLElement, dials: DialMap, onChange: DialChanged) {
    list.replaceChildren(...Object.entries(dials).map(([name, dial]) => this.row(name, dial, onChange)));
  }

  /** Shows the values that the dials have. */
  show(values: Readonly<Record<string, unknown>>): void {
    for (const [name, show] of this.shown) show(values[name]);
  }

  private row(name: string, dial: Dial, onChange: DialChanged): HTMLElement {
    const row = document.createElement('div');
    row.className = 'dial';
    const fault = document.createElement('p');
    fault.className = 'fault';
    const turn: Turn = (value) => {
      try {
        fault.textContent = '';
        onChange(name, dial.read('dials', name, value));
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

/** Tells of a new value of a dial. */
type Turn = (value: unknown) => void;
type Make<Type> = (id: string, control: Extract<DialControl, { type: Type }>, label: string, turn: Turn) => Control;

function input(type: string, more: { id?: string; min?: string; max?: string; step?: string } = {}): HTMLInputElement {
  return Object.assign(document.createElement('input'), { type, ...more });
}

function onInput(element: HTMLInputElement | HTMLSelectElement, turn: () => void): void {
  element.addEventListener('input', turn);
}

/** A control for each kind of dial. */
const makers: { [Type in DialControl['type']]: Make<Type> } = {
  number(id, { min, max, step }, label, turn) {
    const limits = { min: String(min ?? ''), max: String(max ?? ''), step: String(step ?? 'any') };
    const field = input('number', limits);
    onInput(field, () => turn(field.valueAsNumber));
    if (min === undefined || max === undefined) {
      field.id = id;
      return { controls: [field], show: (value) => void (field.value = String(value)) };
    }
    const range = input('range', { id, ...limits, step: String(step ?? (max - min) / 200) });
    field.setAttribute('aria-label', `${label}, as a number`);
    onInput(range, () => turn(range.valueAsNumber));
    return { controls: [range, field], show: (value) => void (range.value = field.value = short(value as number)) };
  },
  color(id, _, _label, turn) {
    const field = input('color', { id });
    onInput(field, () => turn(field.value));
    // The browser's control knows no alpha: a dial that has some keeps it until it is turned.
    const show = (value: unknown): void =>
      void (field.value = cssColor(readColor('dials', id, value).packed).slice(0, 7));
    return { controls: [field], show };
  },
  toggle(id, _, _label, turn) {
    const field = input('checkbox', { id });
    onInput(field, () => turn(field.checked));
    return { controls: [field], show: (value) => void (field.checked = value as boolean) };
  },
  choice(id, { choices }, _, turn) {
    const field = Object.assign(document.createElement('select'), { id });
    field.append(...choices.map((choice) => new Option(choice)));
    onInput(field, () => turn(field.value));
    return { controls: [field], show: (value) => void (field.value = value as string) };
  },
  point(id, _, label, turn) {
    const [x, y] = [input('number', { id, step: 'any' }), input('number', { step: 'any' })];
    y.setAttribute('aria-label', `${label}, y`);
    const read = (): void => turn([x.valueAsNumber, y.valueAsNumber]);
    onInput(x, read);
    onInput(y, read);
    const show = (value: unknown): void => {
      const at = value as { x: number; y: number };
      [x.value, y.value] = [short(at.x), short(at.y)];
    };
    return { controls: [x, y], show };
  },
  text(id, _, _label, turn) {
    const field = input('text', { id });
    onInput(field, () => turn(field.value));
    return { controls: [field], show: (value) => void (field.value = value as string) };
  },
};

function makeControl(name: string, { control, label = name }: Dial, turn: Turn): Control {
  return (makers[control.type] as Make<DialControl['type']>)(`dial-${name}`, control, label, turn);
}

function short(value: number): string {
  return String(Number(value.toPrecision(5)));
}
