import { useRef } from 'preact/hooks';
import type { CallFacts, CallPart } from '../protocol.ts';
import { Button } from './button.tsx';
import { call, letBe, tryOut, undo, whyFixed, write } from './by-hand.ts';
import { ColorField } from './color-field.tsx';
import { NumberField } from './number-field.tsx';
import { TextField } from './text-field.tsx';

/** What the chosen item's call is given, as it is written: numbers, colors and words can be changed here. */
export function Given({ others }: { others: number }) {
  const facts = call.value;
  if (facts === undefined) return null;
  const change = (part: CallPart, value: number | string | boolean): void => void write(facts, [[part, value]]);
  const fixed = whyFixed(facts);
  return (
    <>
      <dt>Given</dt>
      <dd>
        <code>{facts.name}</code>
        {others > 0 && `; ${others} ${others === 1 ? 'other follows' : 'others follow'}`}
        {facts.undoable && (
          <Button name="Takes back the last change by hand" icon="undo" onClick={() => void undo()}>
            Undo
          </Button>
        )}
      </dd>
      <dd class="given" style={{ gridColumn: '1 / -1' }}>
        {facts.parts.map((part) => (
          <Part key={part.start} part={part} onChange={(value) => change(part, value)} />
        ))}
      </dd>
      {fixed !== '' && (
        <dd class="quiet" style={{ gridColumn: '1 / -1' }}>
          Moved by hand only in part: {fixed}
        </dd>
      )}
    </>
  );
}

function Part({ part, onChange }: { part: CallPart; onChange: (value: number | string | boolean) => void }) {
  const { path, kind, value, written, line } = part;
  return (
    <>
      <Way part={part} />
      <span class="controls">
        {kind === 'number' && (
          <NumberField name={path} value={value as number} digits={12} step={stepFor(written)} onChange={onChange} />
        )}
        {kind === 'color' && (
          <ColorField id={`given-${part.start}`} name={path} value={value as string} onChange={onChange} onPicked />
        )}
        {kind === 'toggle' && (
          <input
            type="checkbox"
            aria-label={path}
            checked={value as boolean}
            onChange={(event) => onChange(event.currentTarget.checked)}
          />
        )}
        {kind === 'text' && <TextField name={path} value={value as string} onChange={onChange} />}
        {kind === 'computed' && (
          <code title={`Computed in line ${line}; change it there`}>
            {written.length > 60 ? `${written.slice(0, 57)}…` : written}
          </code>
        )}
      </span>
    </>
  );
}

/** A step by the last digit that is written: 0.1 for 2.5, 1 for 40. */
function stepFor(written: string): number {
  const [, digits = ''] = /\.(\d+)$/.exec(written) ?? [];
  return 10 ** -digits.length;
}

/** Pixels of the page to one step. */
const pixelsAStep = 3;

/** The name of a part; of a number it is a handle, which scrubs it from side to side. */
function Way({ part }: { part: CallPart }) {
  const hold = useRef<{ x: number; facts: CallFacts; part: CallPart; value: number } | undefined>(undefined);
  if (part.kind !== 'number') return <span class="way still">{part.path}</span>;
  const take = (event: PointerEvent): void => {
    if (call.value === undefined) return;
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
    hold.current = { x: event.clientX, facts: call.value, part, value: part.value as number };
  };
  const scrub = (event: PointerEvent): void => {
    const held = hold.current;
    if (held === undefined) return;
    const steps = Math.round((event.clientX - held.x) / pixelsAStep);
    const value = Number(((held.part.value as number) + steps * stepFor(held.part.written)).toPrecision(12));
    if (value === held.value) return;
    held.value = value;
    tryOut(held.facts, [[held.part, value]]);
  };
  const drop = (): void => {
    const held = hold.current;
    hold.current = undefined;
    if (held !== undefined && held.value !== held.part.value) void write(held.facts, [[held.part, held.value]]);
  };
  const cancel = (): void => {
    if (hold.current !== undefined) void letBe(hold.current.facts);
    hold.current = undefined;
  };
  return (
    <span
      class="way"
      title="Drag from side to side to change it"
      onPointerDown={take}
      onPointerMove={scrub}
      onPointerUp={drop}
      onPointerCancel={cancel}
    >
      {part.path}
    </span>
  );
}
