import { useState } from 'preact/hooks';
import type { Finding } from 'frame-juggler';
import { Button } from './button.tsx';
import type { SketchHost } from './host.ts';
import { SourceLink } from './notes.tsx';
import * as state from './state.ts';

/** Likely mistakes, searched on demand: each with its line and a fix, and shown in the picture. */
export function Checks({ host }: { host: SketchHost }) {
  const [busy, setBusy] = useState(false);
  const look = (): void => {
    setBusy(true);
    host
      .check()
      .then(
        (found) => (state.checked.value = { findings: found.findings, load: state.loads.value }),
        (error: Error) => state.notify(error.message),
      )
      .finally(() => setBusy(false));
  };
  const checked = state.checked.value;
  return (
    <>
      <div class="buttons">
        <Button name="Finds likely mistakes in the sketch" disabled={busy || !state.alive.value} onClick={look}>
          {busy ? 'Checking …' : 'Check'}
        </Button>
      </div>
      {checked === undefined && <p class="quiet">Finds what is hidden, what leaks, and what cannot be repeated.</p>}
      {checked !== undefined && (
        <>
          <p class="quiet">
            {checked.findings.length === 0 ? 'Nothing found.' : `${checked.findings.length} found.`}
            {checked.load !== state.loads.value && ' The sketch was saved since.'}
          </p>
          <ol class="findings">
            {checked.findings.map((finding, i) => (
              <Found key={i} finding={finding} host={host} />
            ))}
          </ol>
        </>
      )}
    </>
  );
}

function Found({ finding, host }: { finding: Finding; host: SketchHost }) {
  const { name, seen, why, cure, line, frame, items = [], more, accepted } = finding;
  const show = (): void => {
    host.goTo(frame!);
    state.findingShown.value = true;
    state.chosen.value = items;
  };
  return (
    <li>
      <p>
        <strong>{name}</strong> {line !== undefined && <SourceLink file={line.file} line={line.line} />}
      </p>
      <p>
        {seen}
        {more > 0 && ` (and at ${more} more ${more === 1 ? 'line' : 'lines'})`}
      </p>
      {accepted === undefined ? (
        <>
          <p class="quiet">{why}</p>
          <p>{cure}</p>
        </>
      ) : (
        <p class="quiet">Accepted: {accepted}</p>
      )}
      {frame !== undefined && items.length > 0 && (
        <Button name={`Shows it in frame ${frame}`} onClick={show}>
          Show
        </Button>
      )}
    </li>
  );
}
