import type { SketchHost } from './host.ts';
import { placed } from './picture.tsx';
import { short } from './number-field.tsx';
import * as state from './state.ts';
import { toPage } from './to-page.ts';

/** The least distance of two lines of the paper, and of two numbers, in pixels of the page. */
const room = { line: 14, number: 64 };

/** The least of 1, 2, 5, 10, … that is at least so much. */
function niceStep(least: number): number {
  const power = 10 ** Math.floor(Math.log10(least));
  return power * ([1, 2, 5, 10].find((times) => times * power >= least * 0.999) ?? 10);
}

function multiples(step: number, from: number, to: number): number[] {
  const first = Math.ceil(from / step - 1e-9);
  const count = Math.max(0, Math.floor(to / step + 1e-9) - first + 1);
  return Array.from({ length: Math.min(count, 2000) }, (_, i) => Number(((first + i) * step).toPrecision(12)));
}

/** Graph paper over the picture, numbered in the sketch's units along its edges. */
export function Paper() {
  const facts = state.facts.value;
  if (!state.paper.value || facts === undefined) return null;
  const { view } = facts;
  const { width, height, scale } = placed.value;
  const [a, , , d, e, f] = toPage(view, scale);
  const fine = niceStep(room.line / Math.abs(a));
  const bold = niceStep(room.number / Math.abs(a));
  const x = (units: number): number => a * units + e;
  const y = (units: number): number => d * units + f;
  // A view may keep its shape within a canvas of another: the paper covers all that is seen.
  const [left, right] = [-e / a, (width - e) / a];
  const [top, bottom] = [-f / d, (height - f) / d].sort((one, other) => one - other);
  const rows = (step: number): string =>
    multiples(step, top, bottom)
      .map((at) => `M0 ${y(at)}H${width}`)
      .join('');
  const columns = (step: number): string =>
    multiples(step, left, right)
      .map((at) => `M${x(at)} 0V${height}`)
      .join('');
  return (
    <svg class="overlay paper" viewBox={`0 0 ${width} ${height}`} aria-hidden="true">
      <path class="fine" d={columns(fine) + rows(fine)} />
      <path class="bold" d={columns(bold) + rows(bold)} />
      <path class="zero" d={`M${x(0)} 0V${height}M0 ${y(0)}H${width}`} />
      {multiples(bold, left, right).map((at) => (
        <text key={`x${at}`} x={x(at) + 3} y={12}>
          {short(at)}
        </text>
      ))}
      {multiples(bold, top, bottom).map((at) => (
        <text key={`y${at}`} x={3} y={y(at) - 3}>
          {short(at)}
        </text>
      ))}
    </svg>
  );
}

const aids = [
  [state.paper, 'Graph paper'],
  [state.outlines, 'Outlines only, so that hidden things show'],
  [state.boxes, 'Boxes'],
  [state.numbers, 'Numbers in the order of drawing'],
] as const;

/** What can be laid over the picture, and how exactly that is drawn. */
export function Aids({ host }: { host: SketchHost }) {
  return (
    <>
      <label class="check">
        <input
          type="checkbox"
          checked={state.exact.value}
          onInput={(event) => host.setExact(event.currentTarget.checked)}
        />{' '}
        The very pixels that juggle render draws; slower
      </label>
      {aids.map(([aid, words]) => (
        <label key={words} class="check">
          <input type="checkbox" checked={aid.value} onInput={(event) => (aid.value = event.currentTarget.checked)} />{' '}
          {words}
        </label>
      ))}
    </>
  );
}
