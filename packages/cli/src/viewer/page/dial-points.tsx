import { useRef } from 'preact/hooks';
import type { DialFacts, DialValue } from '../messages.ts';
import type { SketchHost } from './host.ts';
import { placed } from './picture.tsx';
import * as state from './state.ts';
import { toPage } from './to-page.ts';

type Place = Extract<DialValue, object>;

/** Dials that are points lie over the picture, and are turned by dragging them. */
export function DialPoints({ host }: { host: SketchHost }) {
  const facts = state.facts.value;
  const points = (facts?.dials ?? []).filter(({ control }) => control.type === 'point');
  if (facts === undefined || points.length === 0) return null;
  const { width, height } = placed.value;
  return (
    <svg class="overlay dial-points" viewBox={`0 0 ${width} ${height}`} aria-hidden="true">
      {points.map((dial) => (
        <DialPoint key={dial.name} dial={dial} host={host} />
      ))}
    </svg>
  );
}

/** Its field among the dials does the same by keyboard. */
function DialPoint({ dial: { name, label, initial }, host }: { dial: DialFacts; host: SketchHost }) {
  const held = useRef(false);
  const view = state.facts.value!.view;
  const [a, , , d, e, f] = toPage(view, placed.value.scale);
  const { x, y } = (state.dialValues.value[name] ?? initial) as Place;
  const drag = (event: PointerEvent): void => {
    if (!held.current) return;
    const box = (event.currentTarget as SVGElement).ownerSVGElement!.getBoundingClientRect();
    const step = (value: number, unit: number): number => {
      const digits = Math.max(0, Math.ceil(Math.log10(Math.abs(unit))));
      return Number(value.toFixed(digits));
    };
    host.setDial(name, {
      x: step((event.clientX - box.left - e) / a, a),
      y: step((event.clientY - box.top - f) / d, d),
    });
  };
  const drop = (): void => void (held.current = false);
  return (
    <>
      <circle
        class="grip"
        data-dial={name}
        cx={a * x + e}
        cy={d * y + f}
        r={7}
        onPointerDown={(event) => {
          held.current = true;
          event.currentTarget.setPointerCapture(event.pointerId);
          event.preventDefault();
        }}
        onPointerMove={drag}
        onPointerUp={drop}
        onPointerCancel={drop}
      />
      <text x={a * x + e + 11} y={d * y + f + 4}>
        {label}
      </text>
    </>
  );
}
