import { useRef, useState } from 'preact/hooks';
import { Button } from './button.tsx';
import type { SketchHost } from './host.ts';
import { NumberField } from './number-field.tsx';
import * as state from './state.ts';

/** The seed: typed, the one before, the next, any; and a sheet of several to choose from. */
export function Chance({ host }: { host: SketchHost }) {
  const seed = state.seed.value;
  const [sheet, setSheet] = useState(0);
  return (
    <>
      <div class="controls">
        <label for="seed">Seed</label>
        <NumberField
          id="seed"
          name="Seed"
          value={seed}
          whole
          digits={15}
          min={0}
          onChange={(value) => host.setSeed(value)}
        />
        <Button name="The seed before" icon="back" onClick={() => host.setSeed(seed - 1)} disabled={seed === 0} />
        <Button name="The next seed" icon="on" onClick={() => host.setSeed(seed + 1)} />
        <Button name="Any seed" icon="dice" keys="R" onClick={() => host.setSeed(anySeed())} />
      </div>
      <div class="buttons">
        {[9, 16].map((count) => (
          <Button
            key={count}
            name={`Shows this frame with ${count} seeds to choose from`}
            onClick={() => setSheet(count)}
          >
            {count} variations
          </Button>
        ))}
      </div>
      {sheet > 0 && <Sheet host={host} count={sheet} onClose={() => setSheet(0)} />}
    </>
  );
}

export function anySeed(): number {
  return 1 + Math.floor(Math.random() * 999_999);
}

function Sheet({ host, count, onClose }: { host: SketchHost; count: number; onClose: () => void }) {
  const [first, setFirst] = useState(state.seed.value);
  const dialog = useRef<HTMLDialogElement>(null);
  const open = (element: HTMLDialogElement | null): void => {
    dialog.current = element;
    if (element !== null && !element.open) element.showModal();
  };
  const seeds = Array.from({ length: count }, (_, i) => first + i);
  const choose = (seed: number): void => {
    host.setSeed(seed);
    dialog.current?.close();
  };
  return (
    <dialog ref={open} class="sheet" aria-label="Variations" onClose={onClose}>
      <header>
        <h2>
          Frame {state.shown.value.frame} under {count} seeds
        </h2>
        <div class="buttons">
          <Button name="Earlier seeds" onClick={() => setFirst(Math.max(0, first - count))} disabled={first === 0}>
            Earlier
          </Button>
          <Button name="Later seeds" onClick={() => setFirst(first + count)}>
            Later
          </Button>
          <Button name="Close without choosing" onClick={() => dialog.current?.close()}>
            Close
          </Button>
        </div>
      </header>
      <div class="variations" style={{ '--columns': Math.sqrt(count) }}>
        {seeds.map((seed) => (
          <Variation key={seed} host={host} seed={seed} onChoose={() => choose(seed)} />
        ))}
      </div>
    </dialog>
  );
}

function Variation({ host, seed, onChoose }: { host: SketchHost; seed: number; onChoose: () => void }) {
  const [fault, setFault] = useState('');
  const asked = useRef(false);
  const { width = 1, height = 1 } = state.facts.value ?? {};
  const paint = (canvas: HTMLCanvasElement | null): void => {
    if (canvas === null || asked.current) return;
    asked.current = true;
    host.ask('variations', { seeds: [seed], width: 320 }).then(
      ([picture]) => {
        canvas.width = picture.width;
        canvas.height = picture.height;
        canvas.getContext('bitmaprenderer')?.transferFromImageBitmap(picture);
      },
      (error: Error) => setFault(error.message),
    );
  };
  return (
    <button type="button" class="variation" aria-current={seed === state.seed.value} onClick={onChoose}>
      <canvas ref={paint} style={{ aspectRatio: `${width} / ${height}` }} />
      <span>Seed {seed}</span>
      {fault !== '' && <span class="fault">{fault}</span>}
    </button>
  );
}
