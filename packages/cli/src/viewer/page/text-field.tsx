import { useState } from 'preact/hooks';

/**
 * A field for a text. What is being typed stays as it is, whatever comes from elsewhere meanwhile. It holds once it is
 * entered (Enter, or leaving the field); where it is `live`, at every letter.
 */
export function TextField(given: {
  value: string;
  onChange: (value: string) => void;
  id?: string;
  name?: string;
  class?: string;
  live?: boolean;
}) {
  const { value, onChange, id, name, live } = given;
  const [typed, setTyped] = useState<string>();
  const enter = (text: string): void => {
    setTyped(undefined);
    if (live !== true && text !== value) onChange(text);
  };
  return (
    <input
      id={id}
      class={given.class}
      type="text"
      autocomplete="off"
      aria-label={name}
      value={typed ?? value}
      onInput={(event) => {
        setTyped(event.currentTarget.value);
        if (live === true) onChange(event.currentTarget.value);
      }}
      onBlur={(event) => typed !== undefined && enter(event.currentTarget.value)}
      onKeyDown={(event) => {
        if (event.key === 'Enter') enter(event.currentTarget.value);
        else if (event.key === 'Escape') setTyped(undefined);
      }}
    />
  );
}
