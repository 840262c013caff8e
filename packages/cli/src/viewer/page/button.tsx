import type { ComponentChildren } from 'preact';
import { Icon, type IconName } from './icons.tsx';

/** A button with an icon, words or both. If the words are not shown, they are its accessible name and its tooltip. */
export function Button(given: {
  name: string;
  onClick: () => void;
  icon?: IconName;
  keys?: string;
  pressed?: boolean;
  disabled?: boolean;
  strong?: boolean;
  children?: ComponentChildren;
}) {
  const { name, onClick, icon, keys, pressed, disabled, strong, children } = given;
  return (
    <button
      type="button"
      class={strong === true ? 'strong' : undefined}
      title={keys === undefined ? name : `${name} (${keys})`}
      aria-label={children === undefined ? name : undefined}
      aria-pressed={pressed}
      aria-keyshortcuts={keys}
      disabled={disabled}
      onClick={onClick}
    >
      {icon !== undefined && <Icon name={icon} />}
      {children}
    </button>
  );
}
