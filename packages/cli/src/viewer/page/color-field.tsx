import { cssColor, readColor, type Color } from 'frame-juggler';
import { NumberField } from './number-field.tsx';
import { TextField } from './text-field.tsx';

/** A color in the parts that a browser's own picker knows; black where it cannot be read, as it is only just being tried. */
function channels(text: string): { hex: string; alpha: number } {
  let color: Color;
  try {
    color = readColor('color', 'value', text);
  } catch {
    return { hex: '#000000', alpha: 1 };
  }
  const hex = cssColor(color.packed);
  return { hex: hex.slice(0, 7), alpha: hex.length === 9 ? parseInt(hex.slice(7), 16) / 255 : 1 };
}

/** A color: picked, with its opacity, or typed as CSS writes it. */
export function ColorField(given: {
  id: string;
  name: string;
  value: string;
  onChange: (color: string) => void;
  /** Whether to report only the color that is finally picked, and not each one along the way. */
  onPicked?: boolean;
}) {
  const { id, name, value, onChange, onPicked } = given;
  const { hex, alpha } = channels(value);
  const write = (color: string, opacity: number): string => {
    const byte = Math.round(Math.min(1, Math.max(0, opacity)) * 255);
    return byte === 255 ? color : `${color}${byte.toString(16).padStart(2, '0')}`;
  };
  const pick = (event: { currentTarget: HTMLInputElement }): void => onChange(write(event.currentTarget.value, alpha));
  return (
    <>
      <input
        id={id}
        type="color"
        aria-label={onPicked === true ? name : undefined}
        value={hex}
        onInput={onPicked === true ? undefined : pick}
        onChange={onPicked === true ? pick : undefined}
      />
      <TextField class="css" name={`${name}, as CSS writes it`} value={value} onChange={onChange} />
      <NumberField
        name={`${name}, opacity`}
        value={Number(alpha.toFixed(3))}
        min={0}
        max={1}
        step={0.05}
        onChange={(opacity) => onChange(write(hex, opacity))}
      />
    </>
  );
}
