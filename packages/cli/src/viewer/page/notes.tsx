import { Button } from './button.tsx';
import { server } from './server.ts';
import * as state from './state.ts';

const nameOf = (file: string): string => file.slice(file.lastIndexOf('/') + 1);

/** Opens the editor at a line. */
export function SourceLink({ file, line }: { file: string; line: number }) {
  const open = (): void => void server.edit(file, line).catch((error: Error) => state.notify(error.message));
  return (
    <button type="button" class="link" title="Opens the editor at this line" onClick={open}>
      {nameOf(file)}:{line}
    </button>
  );
}

/** What the sketch has printed, and notes about it. */
export function Notes() {
  const list = state.said.value;
  if (list.length === 0)
    return <p class="quiet">What the sketch prints with console.log appears here, with its line.</p>;
  return (
    <>
      <ol class="remarks" tabIndex={0} aria-label="Printed by the sketch" aria-live="off">
        {list.map(({ kind, text, source, times }, i) => (
          <li key={i} class={kind}>
            {source !== undefined && <SourceLink file={source.file} line={source.line} />}
            <span class="text">{text}</span>
            {times > 1 && <span class="times">{times} times</span>}
          </li>
        ))}
      </ol>
      <Button name="Empties the list" onClick={() => (state.said.value = [])}>
        Empty
      </Button>
    </>
  );
}
