import { Button } from './button.tsx';
import type { SketchHost } from './host.ts';
import { SourceLink } from './notes.tsx';
import * as state from './state.ts';

/** What went wrong, over the last good picture, until something new is shown. */
export function FailureBox({ host }: { host: SketchHost }) {
  const failure = state.failure.value;
  if (failure === undefined) return null;
  const { place, reason, file, line } = failure;
  return (
    <section id="failure" role="alert">
      <h2>{place}</h2>
      <p>{reason}</p>
      <div class="buttons">
        {file !== undefined && line !== undefined && <SourceLink file={file} line={line} />}
        {!state.alive.value && (
          <Button name="Loads the sketch again" onClick={() => host.play()}>
            Try again
          </Button>
        )}
      </div>
    </section>
  );
}
