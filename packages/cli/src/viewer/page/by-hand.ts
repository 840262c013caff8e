import { effect, signal } from '@preact/signals';
import type { ItemDescription, Matrix } from 'frame-juggler';
import type { CallFacts, CallPart, Change } from '../protocol.ts';
import { server } from './server.ts';
import * as state from './state.ts';
import { through } from './to-page.ts';

/*
 * Numbers by hand: moving an item in the picture, or scrubbing a field, changes the numbers in the call that drew it.
 * During a drag the sketch is shown with the change; the file is written when the pointer is released.
 */

/** The call that drew the chosen item, with its literals. */
export const call = signal<CallFacts | undefined>();
/** Milliseconds between two pictures while something is dragged. */
const showEvery = 120;

/** The item that is chosen, as it was described last. */
export function chosenItem(): ItemDescription | undefined {
  return state.description.value?.items.find(({ number }) => number === state.chosen.value[0]);
}

/** Keeps the call of the chosen item at hand. */
export function followCall(): () => void {
  let asked = '';
  let place = '';
  return effect(() => {
    const source = chosenItem()?.source;
    const wanted = source === undefined ? '' : [source.file, source.line, source.column].join(' ');
    const stamp = `${state.loads.value} ${wanted}`;
    if (stamp === asked) return;
    asked = stamp;
    // Facts about another call are dropped; those about this call stay until newer ones arrive.
    if (wanted !== place) call.value = undefined;
    place = wanted;
    if (source === undefined) {
      call.value = undefined;
      return;
    }
    // While something is dragged its places hold for the file as it was.
    if (dragging !== undefined) return;
    server.call(source).then(
      (found) => {
        if (stamp === asked) call.value = found ?? undefined;
      },
      () => {
        if (stamp === asked) call.value = undefined;
      },
    );
  });
}

/** The drag in progress: its current change, and the timer that shows it. */
let dragging: { change: Change; timer: number } | undefined;

/** New values for parts of the call, as a change of its file. */
export type Values = readonly (readonly [part: CallPart, value: number | string | boolean])[];

function changeOf({ file, version }: CallFacts, values: Values): Change {
  const changes = values.map(([part, value]) => ({ start: part.start, end: part.end, text: written(part, value) }));
  return { file, version, changes };
}

/** A value as a person would write it, in the quotes that were there; an option that was not there, with its name. */
function written(part: CallPart, value: number | string | boolean): string {
  if (part.written === '') return `, ${part.path}: ${String(value)}`;
  if (typeof value === 'number') return String(Number(value.toPrecision(12)));
  if (typeof value === 'boolean') return String(value);
  const quote = /^['"`]/.exec(part.written)?.[0] ?? "'";
  return `${quote}${value.replaceAll('\\', '\\\\').replaceAll(quote, `\\${quote}`)}${quote}`;
}

/** Shows what the sketch would be with other values; the file stays as it is. */
export function tryOut(facts: CallFacts, values: Values): void {
  const change = changeOf(facts, values);
  dragging ??= { change, timer: 0 };
  state.tryingOut.value = true;
  dragging.change = change;
  if (dragging.timer !== 0) return;
  const show = (): void => {
    if (dragging === undefined) return;
    dragging.timer = 0;
    server.tryOut(dragging.change).catch(tell);
  };
  dragging.timer = window.setTimeout(show, showEvery);
}

/** Writes other values into the file. */
export async function write(facts: CallFacts, values: Values): Promise<void> {
  stopDragging();
  await server.change(changeOf(facts, values)).then(readAgain, tell);
}

/** Lets go without having changed anything. */
export async function letBe({ file, version }: CallFacts): Promise<void> {
  stopDragging();
  await server.tryOut({ file, version, changes: [] }).catch(tell);
}

/** Takes back the last change that was written. */
export async function undo(): Promise<void> {
  await server.undo().then((file) => {
    state.notify(`${file} is as it was before`);
    return readAgain();
  }, tell);
}

/** Reads the call again as soon as its file is written, because its positions in the text have moved. */
async function readAgain(): Promise<void> {
  const source = chosenItem()?.source;
  const found = source && (await server.call(source).catch(() => undefined));
  if (found) call.value = found;
}

function stopDragging(): void {
  clearTimeout(dragging?.timer);
  dragging = undefined;
  state.tryingOut.value = false;
}

function tell(error: Error): void {
  state.notify(error.message);
}

/** A coordinate of a call: the part that holds it, and along which axis it goes. */
interface Coordinate {
  readonly part: CallPart;
  readonly axis: 0 | 1;
  /** The point that it belongs to: `at`, `points[2]`. */
  readonly point: string;
}

/** The coordinates that place an item, by what its call is given. */
export function coordinatesOf({ parts }: CallFacts): Coordinate[] {
  return parts.flatMap((part): Coordinate[] => {
    const [, point, index] = /^((?:at|from|to)|points\[\d+\])(?:\[([01])\]|\.([xy]))$/.exec(part.path) ?? [];
    if (point === undefined) return [];
    return [{ part, point, axis: index === '1' || part.path.endsWith('.y') ? 1 : 0 }];
  });
}

/** Why a call's item cannot be moved, or not along each axis; empty where it can. */
export function whyFixed(facts: CallFacts): string {
  const coordinates = coordinatesOf(facts);
  const whole = facts.parts.find(
    ({ path, kind }) => kind === 'computed' && /^(?:at|from|to|points|…)(?:\[\d+\])?$/.test(path),
  );
  const computed = coordinates.find(({ part }) => part.kind === 'computed')?.part ?? whole;
  if (computed !== undefined) return `${computed.path} is computed, in line ${computed.line}: ${computed.written}`;
  const turned = ownTurn(facts);
  if (turned === undefined) return 'its own rotate or scale is computed';
  return coordinates.length === 0 ? 'nothing in its call says where it is by numbers' : '';
}

/** The turn and the scale that the call itself gives its item; undefined where they are computed. */
function ownTurn({ parts }: CallFacts): { turn: number; scale: readonly [number, number] } | undefined {
  const own = parts.filter(({ path }) => /^(?:rotate|scale)(?:\[[01]\])?$/.test(path));
  if (own.some(({ kind }) => kind !== 'number')) return undefined;
  const value = (path: string): number | undefined =>
    own.find((part) => part.path === path)?.value as number | undefined;
  const even = value('scale') ?? 1;
  return { turn: value('rotate') ?? 0, scale: [value('scale[0]') ?? even, value('scale[1]') ?? even] };
}

/** Converts a move on the page to the units of a call's points; undefined if the transform has no inverse. */
export function pageToUnits(facts: CallFacts, item: ItemDescription, view: Matrix): readonly number[] | undefined {
  const own = ownTurn(facts);
  if (own === undefined) return undefined;
  const [a, b, c, d] = times(view, item.transform);
  // The item's transform ends with its own turn and scale, about its pin: those do not move its points.
  const [sin, cos] = [Math.sin((own.turn * Math.PI) / 180), Math.cos((own.turn * Math.PI) / 180)];
  const [sx, sy] = own.scale;
  const undone = inverseOf([cos * sx, sin * sx, -sin * sy, cos * sy]);
  if (undone === undefined) return undefined;
  return inverseOf([
    a * undone[0] + c * undone[1],
    b * undone[0] + d * undone[1],
    a * undone[2] + c * undone[3],
    b * undone[2] + d * undone[3],
  ]);
}

/** Converts a point from the units of a call's points to the page; undefined if that is not possible. */
function unitsToPage(
  facts: CallFacts,
  item: ItemDescription,
  view: Matrix,
): ((x: number, y: number) => [number, number]) | undefined {
  const linear = inverseOf(pageToUnits(facts, item, view) ?? [0, 0, 0, 0]);
  if (linear === undefined) return undefined;
  // An item's own rotation and scale leave its pin in place; without them the item is where its numbers say.
  const { x: pinX, y: pinY } = pinOf(facts) ?? { x: 0, y: 0 };
  const [left, top] = through(view, ...through(item.transform, pinX, pinY));
  const [a, b, c, d] = linear;
  return (x, y) => [left + a * (x - pinX) + c * (y - pinY), top + b * (x - pinX) + d * (y - pinY)];
}

function times([a, b, c, d]: readonly number[], [a2, b2, c2, d2]: readonly number[]): number[] {
  return [a * a2 + c * b2, b * a2 + d * b2, a * c2 + c * d2, b * c2 + d * d2];
}

function inverseOf([a, b, c, d]: readonly number[]): number[] | undefined {
  const det = a * d - b * c;
  return det === 0 || !Number.isFinite(det) ? undefined : [d / det, -b / det, -c / det, a / det];
}

/** The finest step that one would write: about a pixel of the page, as a round number. */
export function stepOf(toUnits: readonly number[]): number {
  const pixel = Math.sqrt(Math.abs(toUnits[0] * toUnits[3] - toUnits[1] * toUnits[2]));
  const power = 10 ** Math.floor(Math.log10(pixel * 1.1));
  return power * ([5, 2, 1].find((digit) => digit * power <= pixel * 1.1) ?? 1);
}

/** A value moved by a whole number of steps; finer digits that it was written with stay. */
function stepped({ value }: CallPart, by: number, step: number): number {
  return Number(((value as number) + Math.round(by / step) * step).toPrecision(10));
}

/** What a grip of an item does when it is moved: other values, by the way in the units of the call's points. */
type Move = (dx: number, dy: number, step: number) => Values;

/** Moves points of a call; what is computed stays where it is. */
const moving =
  (coordinates: readonly Coordinate[]): Move =>
  (dx, dy, step) =>
    coordinates
      .filter(({ part }) => part.kind === 'number')
      .map(({ part, axis }) => [part, stepped(part, axis === 0 ? dx : dy, step)] as const);

/** The whole item, taken hold of anywhere. */
export const moveAll = (facts: CallFacts): Move => moving(coordinatesOf(facts));

/** A place of an item that can be taken hold of, in the units of the call's points. */
interface UnitGrip {
  readonly name: string;
  readonly x: number;
  readonly y: number;
  readonly move: Move;
}

/** A place of an item that can be taken hold of, and where that is on the page. */
export interface Grip {
  readonly name: string;
  readonly at: readonly [number, number];
  readonly move: Move;
}

/** What of an item can be taken hold of: its points, its radius, its corner, and a handle to turn it by. */
export function gripsOf(facts: CallFacts, item: ItemDescription, view: Matrix): Grip[] {
  const toPage = unitsToPage(facts, item, view);
  if (toPage === undefined) return [];
  const turn = turnGrip(facts, item, toPage);
  return [...pointGrips(facts), ...(turn === undefined ? [] : [turn])].map(({ name, x, y, move }) => ({
    name,
    at: toPage(x, y),
    move,
  }));
}

/** Kinds of shapes that look the same however they are turned. */
const round = new Set(['circle', 'dot']);
/** Pixels of the page from an item to the handle that turns it, and the most from its pin. */
const handle = { away: 26, most: 150 };

/**
 * The handle that turns an item about its pin: above it, or below where that lies outside the picture. Its call's
 * `rotate` changes, or is written behind the other options.
 */
function turnGrip(
  facts: CallFacts,
  item: ItemDescription,
  toPage: (x: number, y: number) => [number, number],
): UnitGrip | undefined {
  const pin = pinOf(facts);
  const own = ownTurn(facts);
  const part = turnPart(facts);
  if (pin === undefined || own === undefined || part === undefined) return undefined;
  if (part.written === '' && round.has(item.shape)) return undefined;
  const [left, top] = toPage(pin.x, pin.y);
  const reach = Math.hypot(item.box.right - item.box.left, item.box.bottom - item.box.top) / 2;
  const angle = (own.turn * Math.PI) / 180;
  const handleAt = (side: number): { x: number; y: number; onPage: [number, number] } => {
    const [ux, uy] = [side * Math.sin(angle), -side * Math.cos(angle)];
    const [x, y] = toPage(pin.x + ux, pin.y + uy);
    // Pixels of the page to one unit in that direction; the item's box is in units of the sketch, which are close.
    const pixels = Math.hypot(x - left, y - top);
    const far = Math.min(handle.most, reach * pixels + handle.away) / pixels;
    return { x: pin.x + far * ux, y: pin.y + far * uy, onPage: toPage(pin.x + far * ux, pin.y + far * uy) };
  };
  const above = handleAt(1);
  const { x, y } = above.onPage[1] < 0 || above.onPage[0] < 0 ? handleAt(-1) : above;
  const [vx, vy] = [x - pin.x, y - pin.y];
  return {
    name: 'turn',
    x,
    y,
    move(dx, dy) {
      const [wx, wy] = [vx + dx, vy + dy];
      const by = (Math.atan2(vx * wy - vy * wx, vx * wx + vy * wy) * 180) / Math.PI;
      const turned = Math.round(own.turn + by);
      return [[part, turned > 180 ? turned - 360 : turned <= -180 ? turned + 360 : turned]];
    },
  };
}

/** The number that turns a call's item; where it has none, the place for one. Undefined where its turn is computed. */
function turnPart({ parts, behind, name }: CallFacts): CallPart | undefined {
  const part = parts.find(({ path }) => path === 'rotate');
  if (part !== undefined) return part.kind === 'number' ? part : undefined;
  if (behind === undefined || parts.some(({ path }) => path === '…') || /\.grid$/.test(name)) return undefined;
  return { path: 'rotate', kind: 'number', value: 0, written: '', start: behind, end: behind, line: 0 };
}

/** The point that a call's `at` names, in its units, where that is written as numbers. */
export function pinOf({ parts }: CallFacts): { x: number; y: number } | undefined {
  const [x, y] = [/^at(?:\[0\]|\.x)$/, /^at(?:\[1\]|\.y)$/].map((way) => parts.find(({ path }) => way.test(path)));
  if (x?.kind !== 'number' || y?.kind !== 'number') return undefined;
  return { x: x.value as number, y: y.value as number };
}

/** The points, the radius and the corner of an item, where its call has them as numbers. */
function pointGrips(facts: CallFacts): UnitGrip[] {
  const own = ownTurn(facts);
  // If the item has its own rotation, points away from its pin are not where their numbers say.
  if (own === undefined || own.turn !== 0 || own.scale.some((scale) => scale !== 1)) return [];
  const coordinates = coordinatesOf(facts);
  const number = (path: string): CallPart | undefined =>
    facts.parts.find((part) => part.path === path && part.kind === 'number');
  const grips: UnitGrip[] = [];
  const place = (point: string): { x: number; y: number } | undefined => {
    const [x, y] = [0, 1].map((axis) => coordinates.find((one) => one.point === point && one.axis === axis)?.part);
    if (x?.kind !== 'number' || y?.kind !== 'number') return undefined;
    return { x: x.value as number, y: y.value as number };
  };
  for (const point of new Set(coordinates.map((one) => one.point))) {
    const at = place(point);
    if (at === undefined || point === 'at') continue;
    grips.push({ name: point, ...at, move: moving(coordinates.filter((one) => one.point === point)) });
  }
  const pin = pinOf(facts);
  if (pin === undefined || facts.parts.some(({ path }) => /^anchor/.test(path))) return grips;
  const radius = number('radius');
  if (radius !== undefined)
    grips.push({
      name: 'radius',
      x: pin.x + (radius.value as number),
      y: pin.y,
      move: (dx, _, step) => [[radius, Math.max(0, stepped(radius, dx, step))]],
    });
  const [size, width, height] = [number('size'), number('size[0]'), number('size[1]')];
  const [across, down] = [width ?? size, height ?? size];
  if (across !== undefined && down !== undefined)
    grips.push({
      name: 'size',
      x: pin.x + (across.value as number) / 2,
      y: pin.y + (down.value as number) / 2,
      // The middle stays where it is: both sides go.
      move: (dx, dy, step) =>
        across === down
          ? [[across, Math.max(0, stepped(across, 2 * dx, step))]]
          : [
              [across, Math.max(0, stepped(across, 2 * dx, step))],
              [down, Math.max(0, stepped(down, 2 * dy, step))],
            ],
    });
  return grips;
}
