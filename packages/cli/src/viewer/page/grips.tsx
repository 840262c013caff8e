import { useRef, useState } from 'preact/hooks';
import type { ItemDescription, Matrix } from 'frame-juggler';
import type { CallFacts } from '../protocol.ts';
import {
  call,
  gripsOf,
  letBe,
  moveAll,
  pageToUnits,
  pinOf,
  stepOf,
  tryOut,
  whyFixed,
  write,
  type Grip,
} from './by-hand.ts';
import * as state from './state.ts';
import { svgMatrix, through } from './to-page.ts';

/** So far, in pixels, the pointer has to go before something is dragged: less is a click. */
const slack = 3;
/** Half the side of a grip, in pixels. */
const half = 5;

/** What is held while it is dragged: all of it as it was when it was taken hold of. */
interface Hold {
  readonly x: number;
  readonly y: number;
  readonly facts: CallFacts;
  readonly move: Grip['move'];
  readonly toUnits: readonly number[];
  values: ReturnType<Grip['move']>;
}

/** Takes hold of the chosen item: all of it, or one of its points, its radius, its corner. */
export function Grips({ item, view }: { item: ItemDescription; view: Matrix }) {
  const hold = useRef<Hold | undefined>(undefined);
  const [by, setBy] = useState<{ item: ItemDescription; dx: number; dy: number }>();
  const facts = call.value;
  if (facts === undefined) return null;
  const take = (event: PointerEvent, move: Grip['move']): void => {
    const toUnits = pageToUnits(facts, item, view);
    const fixed = whyFixed(facts);
    if (fixed !== '') state.notify(fixed);
    if (toUnits === undefined || move(0, 0, 1).length === 0) return;
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
    hold.current = { x: event.clientX, y: event.clientY, facts, move, toUnits, values: [] };
    event.preventDefault();
  };
  const drag = (event: PointerEvent, whole: boolean): void => {
    const held = hold.current;
    if (held === undefined) return;
    const [dx, dy] = [event.clientX - held.x, event.clientY - held.y];
    if (held.values.length === 0 && Math.hypot(dx, dy) < slack) return;
    const [a, b, c, d] = held.toUnits;
    held.values = held.move(a * dx + c * dy, b * dx + d * dy, stepOf(held.toUnits));
    setBy((before) => ({ item: before?.item ?? item, dx: whole ? dx : 0, dy: whole ? dy : 0 }));
    tryOut(held.facts, held.values);
  };
  const drop = (): void => {
    const held = hold.current;
    hold.current = undefined;
    setBy(undefined);
    if (held === undefined || held.values.length === 0) return;
    state.dragged.value = true;
    void write(held.facts, held.values);
  };
  const cancel = (): void => {
    if (hold.current !== undefined) void letBe(hold.current.facts);
    hold.current = undefined;
    setBy(undefined);
  };
  const handlers = (move: Grip['move'], whole: boolean) => ({
    onPointerDown: (event: PointerEvent) => take(event, move),
    onPointerMove: (event: PointerEvent) => drag(event, whole),
    onPointerUp: drop,
    onPointerCancel: cancel,
  });
  // Its own turn and scale leave the pin where it is.
  const pin = pinOf(facts);
  const pinAt = pin && through(view, ...through(item.transform, pin.x, pin.y));
  return (
    <>
      <g transform={svgMatrix(view)}>
        <path
          class="grip whole"
          d={item.outline}
          transform={svgMatrix(item.transform)}
          {...handlers(moveAll(facts), true)}
        />
      </g>
      {by !== undefined && (by.dx !== 0 || by.dy !== 0) && (
        <g transform={`translate(${by.dx} ${by.dy}) ${svgMatrix(view)}`}>
          <path class="held" d={by.item.outline} transform={svgMatrix(by.item.transform)} />
        </g>
      )}
      {pinAt !== undefined && <path class="pin" d={crossAt(...pinAt)} />}
      {gripsOf(facts, item, view).map(({ name, at: [x, y], move }) => {
        const isTurn = name === 'turn' && pinAt !== undefined;
        return (
          <g key={name}>
            {isTurn && <path class="lever" d={`M${pinAt[0]} ${pinAt[1]}L${x} ${y}`} />}
            <rect
              class="grip"
              data-grip={name}
              x={x - half}
              y={y - half}
              width={2 * half}
              height={2 * half}
              rx={isTurn ? half : 0}
              {...handlers(move, false)}
            >
              <title>{name}</title>
            </rect>
          </g>
        );
      })}
    </>
  );
}

/** A cross of lines, about a point of the page. */
function crossAt(x: number, y: number): string {
  return `M${x - 8} ${y}H${x + 8}M${x} ${y - 8}V${y + 8}`;
}
