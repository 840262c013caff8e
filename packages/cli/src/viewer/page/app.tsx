import { useEffect } from 'preact/hooks';
import type { ComponentChildren } from 'preact';
import { Aids, Paper } from './aids.tsx';
import { Beside, BesideView } from './beside.tsx';
import { Button } from './button.tsx';
import { followCall } from './by-hand.ts';
import { Chance } from './chance.tsx';
import { Checks } from './checks.tsx';
import { DialPoints } from './dial-points.tsx';
import { Dials } from './dials.tsx';
import { FailureBox } from './failure.tsx';
import type { SketchHost } from './host.ts';
import { ItemsOverlay } from './items-overlay.tsx';
import { KeySheet, listenForKeys, toggleFullScreen } from './keys.tsx';
import { followItems } from './look-inside.ts';
import { Notes } from './notes.tsx';
import { Parts } from './parts.tsx';
import { PictureRoom, zoom, zoomTo } from './picture.tsx';
import { PointerReadout } from './readout.tsx';
import { Recording } from './recording.tsx';
import * as state from './state.ts';
import { TakeOut } from './take-out.tsx';
import { Transport } from './transport.tsx';

/** A part of the drawer that opens and closes. */
function Part(given: {
  title: string;
  open?: boolean;
  onToggle?: (open: boolean) => void;
  children: ComponentChildren;
}) {
  const { title, open, onToggle, children } = given;
  return (
    <details open={open} onToggle={(event) => onToggle?.(event.currentTarget.open)}>
      <summary>{title}</summary>
      <div class="part-body">{children}</div>
    </details>
  );
}

/** How many frames can be shown, where the machine is too slow for all of them. */
function Lag() {
  const { perSecond } = state.shown.value;
  const due = (state.facts.value?.frameRate ?? 0) * state.speed.value;
  // A few may always be missed.
  if (perSecond === undefined || perSecond > due * 0.9) return null;
  return (
    <span
      id="lag"
      title="To draw a picture takes this machine longer than there is time for one. What moves is as fast as it should be; frames in between are not shown."
    >{`, ${perSecond} shown`}</span>
  );
}

/** The whole page: the picture, time below it, and beside it a drawer of what can be tuned and looked into. */
export function App({ host, place }: { host: SketchHost; place: HTMLElement }) {
  useEffect(() => listenForKeys(host), [host]);
  useEffect(() => followItems(host), [host]);
  useEffect(() => followCall(), []);
  const facts = state.facts.value;
  return (
    <>
      <PictureRoom host={host} place={place}>
        <Paper />
        <ItemsOverlay />
        <DialPoints host={host} />
      </PictureRoom>
      <BesideView />
      <FailureBox host={host} />
      <aside id="drawer" aria-label="Tune and look into">
        <header>
          <h1>{facts?.title ?? 'Loading …'}</h1>
          <p class="quiet">
            {facts !== undefined && `${facts.width} × ${facts.height}`}
            {facts !== undefined && state.moves.value && `, ${facts.frameRate} frames/s`}
            <Lag />
          </p>
        </header>
        <Part title="Dials" open>
          <Dials host={host} />
        </Part>
        <Part title="Chance" open>
          <Chance host={host} />
        </Part>
        <Part title="Parts" onToggle={(open) => (state.partsOpen.value = open)}>
          {state.partsOpen.value && <Parts host={host} />}
        </Part>
        <Part title="Aids">
          <Aids host={host} />
        </Part>
        <Part title="Two at once">
          <Beside />
        </Part>
        <Part title="Take out">
          <TakeOut host={host} />
        </Part>
        <Part title="Checks" onToggle={(open) => (state.findingShown.value &&= open)}>
          <Checks host={host} />
        </Part>
        <Part title={state.said.value.length === 0 ? 'Notes' : `Notes (${state.said.value.length})`}>
          <Notes />
        </Part>
        {(state.shown.value.usesInput || state.recording.value) && (
          <Part title="Pointer and keys" open>
            <Recording host={host} />
          </Part>
        )}
      </aside>
      <footer>
        <Transport host={host} />
        <div class="status">
          <PointerReadout host={host} />
          <output class="under-way" aria-live="polite">
            {state.underWay.value}
          </output>
          <output id="notice" aria-live="polite">
            {state.notice.value}
          </output>
          <span class="zoom">
            {zoom.value > 1 && (
              <Button name="The whole picture" keys="0" onClick={() => zoomTo(1)}>
                × {zoom.value.toFixed(1)}
              </Button>
            )}
            <Button name="The picture alone, on the full screen" icon="full" keys="F" onClick={toggleFullScreen} />
            <Button name="Keys" keys="?" onClick={() => (state.keysShown.value = true)}>
              Keys
            </Button>
          </span>
        </div>
      </footer>
      <KeySheet />
    </>
  );
}
