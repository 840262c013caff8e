import { useRef } from 'preact/hooks';
import { anySeed } from './chance.tsx';
import type { SketchHost } from './host.ts';
import { zoom, zoomTo } from './picture.tsx';
import * as state from './state.ts';

/** What a key does. */
interface KeyUse {
  /** The key's name, as `KeyboardEvent.key` has it, and how it is written for a person. */
  readonly key: string;
  readonly written: string;
  readonly words: string;
  readonly act: (host: SketchHost) => void;
}

/** The frames that a long step goes over. */
const longStep = 10;

export const keyUses: readonly KeyUse[] = [
  { key: ' ', written: 'Space', words: 'play, and pause', act: (host) => host.toggle() },
  { key: 'ArrowRight', written: '→', words: 'one frame on', act: (host) => host.goTo(state.shown.value.frame + 1) },
  { key: 'ArrowLeft', written: '←', words: 'one frame back', act: (host) => host.goTo(state.shown.value.frame - 1) },
  {
    key: 'PageDown',
    written: 'Page down',
    words: 'ten frames on',
    act: (host) => host.goTo(state.shown.value.frame + longStep),
  },
  {
    key: 'PageUp',
    written: 'Page up',
    words: 'ten frames back',
    act: (host) => host.goTo(state.shown.value.frame - longStep),
  },
  { key: 'Home', written: 'Home', words: 'to the start', act: (host) => host.restart() },
  { key: 'r', written: 'R', words: 'any other seed', act: (host) => host.setSeed(anySeed()) },
  { key: 'l', written: 'L', words: 'play a part round and round', act: (host) => host.toggleRange() },
  { key: 'g', written: 'G', words: 'graph paper', act: () => (state.paper.value = !state.paper.value) },
  { key: 'o', written: 'O', words: 'outlines only', act: () => (state.outlines.value = !state.outlines.value) },
  {
    key: 'p',
    written: 'P',
    words: 'point at the picture to choose',
    act: () => (state.pointing.value = !state.pointing.value),
  },
  { key: '+', written: '+', words: 'closer', act: () => zoomTo(zoom.value * 1.5) },
  { key: '-', written: '−', words: 'farther', act: () => zoomTo(zoom.value / 1.5) },
  { key: '0', written: '0', words: 'the whole picture', act: () => zoomTo(1) },
  { key: 'f', written: 'F', words: 'the picture alone, on the full screen', act: () => toggleFullScreen() },
  { key: '?', written: '?', words: 'this list', act: () => (state.keysShown.value = !state.keysShown.value) },
];

export function toggleFullScreen(): void {
  if (document.fullscreenElement) void document.exitFullscreen();
  else void document.getElementById('stage')?.requestFullscreen();
}

/** Controls have keys of their own. */
function takesKeys(target: EventTarget | null, key: string): boolean {
  if (!(target instanceof HTMLElement)) return false;
  if (target.closest('input, select, textarea, dialog') !== null) return true;
  // Space and Enter press a button, and open what can be opened.
  return (key === ' ' || key === 'Enter') && target.closest('button, summary') !== null;
}

/** Listens for keys, on the whole page. */
export function listenForKeys(host: SketchHost): void {
  document.addEventListener('keydown', (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey || takesKeys(event.target, event.key)) return;
    // A sketch that was clicked on has the keys to itself.
    if (event.target instanceof HTMLCanvasElement && state.shown.value.usesInput) return;
    const use = keyUses.find(({ key }) => key === (event.key.length === 1 ? event.key.toLowerCase() : event.key));
    if (use === undefined) return;
    use.act(host);
    event.preventDefault();
  });
}

/** The list of keys. */
export function KeySheet() {
  const dialog = useRef<HTMLDialogElement>(null);
  if (!state.keysShown.value) return null;
  const open = (element: HTMLDialogElement | null): void => {
    dialog.current = element;
    if (element !== null && !element.open) element.showModal();
  };
  return (
    <dialog ref={open} class="keys" aria-label="Keys" onClose={() => (state.keysShown.value = false)}>
      <h2>Keys</h2>
      <dl>
        {keyUses.map(({ written, words }) => (
          <div key={written}>
            <dt>
              <kbd>{written}</kbd>
            </dt>
            <dd>{words}</dd>
          </div>
        ))}
      </dl>
      <p class="quiet">
        In a number field ↑ and ↓ change the value by a step, with Shift by ten steps, with Alt by a tenth.
      </p>
      <button type="button" onClick={() => dialog.current?.close()}>
        Close
      </button>
    </dialog>
  );
}
