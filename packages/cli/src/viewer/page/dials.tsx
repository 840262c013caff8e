import type { ComponentChildren } from 'preact';
import { useState } from 'preact/hooks';
import type { DialControl } from 'frame-juggler';
import { spread } from '../../spread.ts';
import type { DialFacts, DialValue } from '../messages.ts';
import { Button } from './button.tsx';
import { ColorField } from './color-field.tsx';
import type { SketchHost } from './host.ts';
import { NumberField, short } from './number-field.tsx';
import { server } from './server.ts';
import * as state from './state.ts';
import { TextField } from './text-field.tsx';
import { Variations } from './variations.tsx';

type Control<Type extends DialControl['type'], Value extends DialValue> = (given: {
  id: string;
  label: string;
  control: Extract<DialControl, { type: Type }>;
  value: Value;
  turn: (value: unknown) => void;
}) => ComponentChildren;

/** What a dial's value is in the page. */
interface Values {
  number: number;
  color: string;
  toggle: boolean;
  choice: string;
  text: string;
  point: { readonly x: number; readonly y: number };
}

/** A control for each kind of dial. */
const controls: { [Type in DialControl['type']]: Control<Type, Values[Type]> } = {
  number({ id, label, control: { min, max, step }, value, turn }) {
    const bounded = min !== undefined && max !== undefined;
    const fine = step ?? (bounded ? roundStep((max - min) / 100) : roundStep(Math.abs(value) / 100 || 0.1));
    return (
      <>
        {bounded && (
          <input
            id={id}
            type="range"
            min={min}
            max={max}
            step={step ?? roundStep((max - min) / 500)}
            value={value}
            onInput={(event) => turn(event.currentTarget.valueAsNumber)}
          />
        )}
        <NumberField
          id={bounded ? undefined : id}
          name={`${label}, as a number`}
          value={value}
          min={min}
          max={max}
          step={fine}
          onChange={turn}
        />
      </>
    );
  },
  color: ({ id, label, value, turn }) => <ColorField id={id} name={label} value={value} onChange={turn} />,
  toggle: ({ id, value, turn }) => (
    <input id={id} type="checkbox" checked={value} onInput={(event) => turn(event.currentTarget.checked)} />
  ),
  choice: ({ id, control: { choices }, value, turn }) => (
    <select id={id} value={value} onInput={(event) => turn(event.currentTarget.value)}>
      {choices.map((choice) => (
        <option key={choice} value={choice}>
          {choice}
        </option>
      ))}
    </select>
  ),
  text: ({ id, value, turn }) => <TextField id={id} value={value} onChange={turn} live />,
  point: ({ id, label, value, turn }) => (
    <>
      <NumberField id={id} name={`${label}, x`} value={value.x} onChange={(x) => turn({ x, y: value.y })} />
      <NumberField name={`${label}, y`} value={value.y} onChange={(y) => turn({ x: value.x, y })} />
    </>
  ),
};

/** A step of 1, 2 or 5 times a power of ten, near a length. */
function roundStep(near: number): number {
  const power = Math.pow(10, Math.floor(Math.log10(near)));
  const [step] = [1, 2, 5, 10].filter((times) => times * power >= near * 0.999);
  return Number((step * power).toPrecision(3));
}

/** So many values of a number are tried. */
const tried = 9;

/** Values to try a dial with; undefined where it takes whatever is typed, or there are but two. */
function valuesToTry({ control }: DialFacts, value: DialValue): readonly DialValue[] | undefined {
  if (control.type === 'choice') return control.choices;
  if (control.type !== 'number') return undefined;
  // Without limits, from nothing to twice of what it is.
  const reach = 2 * Number(value) || 1;
  const { min = Math.min(0, reach), max = Math.max(0, reach), step } = control;
  return spread([min, max], step, tried);
}

/** The frame at hand with several values of a dial. */
function Values({ dial, host, onClose }: { dial: DialFacts; host: SketchHost; onClose: () => void }) {
  const { name, label } = dial;
  const value = state.dialValues.value[name] ?? dial.initial;
  const values = valuesToTry(dial, value) ?? [];
  return (
    <Variations
      host={host}
      title={`with ${values.length} values of ${label}`}
      columns={Math.min(3, values.length)}
      variations={values.map((each) => ({
        text: `${label} ${inWords(each)}`,
        isCurrent: each === value,
        change: { dials: { [name]: each } },
        choose: () => host.setDial(name, each),
      }))}
      onClose={onClose}
    />
  );
}

function Row({ dial, host }: { dial: DialFacts; host: SketchHost }) {
  const [isOpen, setOpen] = useState(false);
  const { name, label, control, initial } = dial;
  const value = state.dialValues.value[name] ?? initial;
  const misfit = state.misfits.value[name];
  const same = JSON.stringify(value) === JSON.stringify(initial);
  const DialControl = controls[control.type] as Control<DialControl['type'], DialValue>;
  return (
    <div class="dial">
      <div class="dial-head">
        <label for={`dial-${name}`}>{label}</label>
        <div class="buttons">
          {!same && (
            <Button
              name={`${label}: back to ${inWords(initial)}`}
              icon="undo"
              onClick={() => host.resetDials([name])}
            />
          )}
          {valuesToTry(dial, value) !== undefined && (
            <Button
              name={`${label}: shows this frame with several values to choose from`}
              icon="sheet"
              onClick={() => setOpen(true)}
            />
          )}
        </div>
        {isOpen && <Values dial={dial} host={host} onClose={() => setOpen(false)} />}
      </div>
      <div class="controls">
        {DialControl({
          id: `dial-${name}`,
          label,
          control,
          value,
          turn: (given: unknown) => host.setDial(name, given),
        })}
      </div>
      {misfit !== undefined && (
        <p class="fault" role="alert">
          {misfit}
        </p>
      )}
    </div>
  );
}

function inWords(value: DialValue): string {
  if (typeof value === 'object') return `${short(value.x)}, ${short(value.y)}`;
  return typeof value === 'boolean' ? (value ? 'on' : 'off') : String(value);
}

/** A control for each of the sketch's dials. */
export function Dials({ host }: { host: SketchHost }) {
  const dials = state.facts.value?.dials ?? [];
  if (dials.length === 0)
    return (
      <p class="quiet">This sketch has none. With dials: {'{ swell: dial.number(14) }'} numbers are tuned here.</p>
    );
  return (
    <>
      {dials.map((dial) => (
        <Row key={dial.name} dial={dial} host={host} />
      ))}
      <div class="buttons">
        {server.keepsFiles && (
          <Button name="Keeps these values in a file beside the sketch" onClick={() => void host.keepDials()}>
            Keep
          </Button>
        )}
        <Button name="Back to the sketch's own values" onClick={() => host.resetDials()}>
          Reset
        </Button>
      </div>
    </>
  );
}
