import { useEffect, useState } from 'preact/hooks';
import type { SketchHost } from './host.ts';
import { chosenItem } from './by-hand.ts';
import { placed } from './picture.tsx';
import * as state from './state.ts';
import { toPage } from './to-page.ts';

/** Milliseconds between two questions for a pixel's color. */
const askEvery = 80;

/** Where the pointer is over the picture, in the sketch's units, and the color of the pixel there. */
export function PointerReadout({ host }: { host: SketchHost }) {
  const [color, setColor] = useState('');
  useEffect(() => {
    const stage = document.getElementById('stage')!;
    let asked = 0;
    const move = (event: PointerEvent): void => {
      const facts = state.facts.value;
      const { left, top, width, height, scale } = placed.value;
      const box = stage.getBoundingClientRect();
      const [px, py] = [event.clientX - box.left - left, event.clientY - box.top - top];
      if (facts === undefined || px < 0 || py < 0 || px >= width || py >= height) {
        state.pointer.value = undefined;
        return;
      }
      const [a, , , d, e, f] = toPage(facts.view, scale);
      state.pointer.value = { x: (px - e) / a, y: (py - f) / d };
      const now = performance.now();
      if (now - asked < askEvery) return;
      asked = now;
      host.ask('colorAt', { x: px / width, y: py / height }).then(setColor, () => undefined);
    };
    const leave = (): void => void (state.pointer.value = undefined);
    stage.addEventListener('pointermove', move);
    stage.addEventListener('pointerleave', leave);
    return () => {
      stage.removeEventListener('pointermove', move);
      stage.removeEventListener('pointerleave', leave);
    };
  }, [host]);
  const at = state.pointer.value;
  if (at === undefined) return <span class="readout quiet">Point at the picture to see coordinates</span>;
  return (
    <span class="readout">
      <span class="at">
        [{at.x.toFixed(1)}, {at.y.toFixed(1)}]
      </span>
      <OwnUnits at={at} />
      {color !== '' && (
        <>
          <span class="swatch" style={{ background: color }} />
          {color}
        </>
      )}
    </span>
  );
}

/** The same place in the units of the chosen item, where those are others. */
function OwnUnits({ at }: { at: { readonly x: number; readonly y: number } }) {
  const item = chosenItem();
  if (item === undefined || item.placed === '' || !state.partsOpen.value) return null;
  const [a, b, c, d, e, f] = item.transform;
  const det = a * d - b * c;
  if (det === 0) return null;
  const [x, y] = [at.x - e, at.y - f];
  return (
    <span class="quiet">
      in the units of {item.label ?? item.shape}: [{((d * x - c * y) / det).toFixed(1)},{' '}
      {((a * y - b * x) / det).toFixed(1)}]
    </span>
  );
}
