import type { ItemDescription, Matrix } from 'frame-juggler';
import { Grips } from './grips.tsx';
import { placed } from './picture.tsx';
import * as state from './state.ts';
import { svgMatrix, through, toPage } from './to-page.ts';

/** How long an axis of an item's units is drawn, in pixels of the page. */
const axisLength = 56;

/** What is shown of the items over the picture: outlines, boxes, numbers, and what is chosen with its own units. */
export function ItemsOverlay() {
  const facts = state.facts.value;
  const description = state.description.value;
  if (facts === undefined || description === undefined || !state.looksInside.value) return null;
  const { width, height, scale } = placed.value;
  const view = toPage(facts.view, scale);
  const { items } = description;
  const chosen = items.filter(({ number }) => state.chosen.value.includes(number));
  return (
    <svg
      class={`overlay items${state.outlines.value ? ' alone' : ''}`}
      viewBox={`0 0 ${width} ${height}`}
      aria-hidden="true"
    >
      <g transform={svgMatrix(view)}>
        {state.outlines.value && items.map((item) => <Outline key={item.number} item={item} kind="outline" />)}
        {state.boxes.value && items.map((item) => <ItemBox key={item.number} item={item} />)}
        {chosen.map((item) => (
          <Outline key={item.number} item={item} kind="chosen-outline" />
        ))}
      </g>
      {chosen.slice(0, 1).map((item) => (
        <Grips key="grips" item={item} view={view} />
      ))}
      {state.numbers.value &&
        items.map((item) => {
          const [x, y] = middleOf(item, view);
          return (
            <text key={item.number} class="number" x={x} y={y}>
              {item.number}
            </text>
          );
        })}
      {chosen.slice(0, 1).map((item) => (
        <Axes key={item.number} item={item} view={view} />
      ))}
    </svg>
  );
}

function Outline({ item, kind }: { item: ItemDescription; kind: string }) {
  return <path class={kind} d={item.outline} transform={svgMatrix(item.transform)} />;
}

function ItemBox({ item: { box } }: { item: ItemDescription }) {
  const { left, top, right, bottom } = box;
  return <rect class="box" x={left} y={top} width={Math.max(0, right - left)} height={Math.max(0, bottom - top)} />;
}

function middleOf({ box }: ItemDescription, view: Matrix): [number, number] {
  return through(view, (box.left + box.right) / 2, (box.top + box.bottom) / 2);
}

/** The units in which an item was drawn: their origin, and the directions of x and y. */
function Axes({ item: { transform }, view }: { item: ItemDescription; view: Matrix }) {
  const at = (x: number, y: number): [number, number] => through(view, ...through(transform, x, y));
  const [x0, y0] = at(0, 0);
  const axis = (name: string, x: number, y: number) => {
    const [dx, dy] = [at(x, y)[0] - x0, at(x, y)[1] - y0];
    const length = Math.hypot(dx, dy);
    if (length === 0) return null;
    const [endX, endY] = [x0 + (dx / length) * axisLength, y0 + (dy / length) * axisLength];
    return (
      <g key={name} class={`axis ${name}`}>
        <path d={`M${x0} ${y0}L${endX} ${endY}`} />
        <text x={endX + 4} y={endY + 4}>
          {name}
        </text>
      </g>
    );
  };
  return (
    <>
      {axis('x', 1, 0)}
      {axis('y', 0, 1)}
      <circle class="origin" cx={x0} cy={y0} r={4} />
    </>
  );
}
