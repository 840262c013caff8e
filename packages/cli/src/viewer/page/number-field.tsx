import { useState } from 'preact/hooks';

/** A number as a person would write it. */
export function short(value: number, digits = 5): string {
  return String(Number(value.toPrecision(digits)));
}

/**
 * A field for a number. What is typed holds once it is entered (Enter, or leaving the field); arrow keys change it by
 * a step at once, by ten with Shift and by a tenth with Alt.
 */
export function NumberField(given: {
  name: string;
  value: number;
  onChange: (value: number) => void;
  id?: string;
  min?: number | undefined;
  max?: number | undefined;
  step?: number | undefined;
  /** Whether only whole numbers will do. */
  whole?: boolean;
  digits?: number;
  disabled?: boolean;
}) {
  const { name, value, onChange, id, min = -Infinity, max = Infinity, step = 1, whole, digits, disabled } = given;
  const [typed, setTyped] = useState<string>();
  const enter = (text: string): void => {
    setTyped(undefined);
    const number = Number(text);
    if (text.trim() !== '' && Number.isFinite(number) && number !== value)
      onChange(whole ? Math.round(number) : number);
  };
  const onKeyDown = (event: KeyboardEvent): void => {
    const field = event.currentTarget as HTMLInputElement;
    if (event.key === 'Enter') enter(field.value);
    else if (event.key === 'Escape') setTyped(undefined);
    else if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
      const by = step * (event.shiftKey ? 10 : event.altKey && whole !== true ? 0.1 : 1);
      const from = typed === undefined || !Number.isFinite(Number(typed)) ? value : Number(typed);
      const next = from + (event.key === 'ArrowUp' ? by : -by);
      setTyped(undefined);
      onChange(Number(Math.min(max, Math.max(min, next)).toPrecision(12)));
    } else return;
    event.preventDefault();
    event.stopPropagation();
  };
  return (
    <input
      id={id}
      class="number"
      type="text"
      inputMode="decimal"
      autocomplete="off"
      aria-label={id === undefined ? name : undefined}
      disabled={disabled}
      value={typed ?? short(value, digits)}
      onInput={(event) => setTyped(event.currentTarget.value)}
      onBlur={(event) => typed !== undefined && enter(event.currentTarget.value)}
      onKeyDown={onKeyDown}
    />
  );
}
