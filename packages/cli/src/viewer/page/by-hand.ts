import { effect, signal } from '@preact/signals';
import type { ItemDescription, Matrix } from 'frame-juggler';
import type { CallFacts, CallPart, Change } from '../protocol.ts';
import { server } from './server.ts';
import * as state from './state.ts';

/*
 * Numbers by hand: what is moved in the picture, or scrubbed in a field, is written into the call that drew it. While
 * something is being dragged the sketch is shown as it would be; the file is written once it is let go.
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
    // What is known of another call is of no use; of this one it is, until the newer is there.
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

/** What is being dragged: the change as it stands, and when it was last shown. */
let dragging: { change: Change; shown: number; timer: number } | undefined;

/** New values for parts of the call, as a change of its file. */
export type Values = readonly (readonly [part: CallPart, value: number | string | boolean])[];

function changeOf({ file, version }: CallFacts, values: Values): Change {
  const changes = values.map(([part, value]) => ({ start: part.start, end: part.end, text: written(part, value) }));
  return { file, version, changes };
}

/** A value as a person would write it, in the quotes that were there. */
function written(part: CallPart, value: number | string | boolean): string {
  if (typeof value === 'number') return String(Number(value.toPrecision(12)));
  if (typeof value === 'boolean') return String(value);
  const quote = /^['"`]/.exec(part.written)?.[0] ?? "'";
  return `${quote}${value.replaceAll('\\', '\\\\').replaceAll(quote, `\\${quote}`)}${quote}`;
}

/** Shows what the sketch would be with other values; the file stays as it is. */
export function tryOut(facts: CallFacts, values: Values): void {
  const change = changeOf(facts, values);
  dragging ??= { change, shown: 0, timer: 0 };
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
  await server.change(changeOf(facts, values)).catch(tell);
}

/** Lets go without having changed anything. */
export async function letBe({ file, version }: CallFacts): Promise<void> {
  stopDragging();
  await server.tryOut({ file, version, changes: [] }).catch(tell);
}

/** Takes back the last change that was written. */
export async function undo(): Promise<void> {
  await server.undo().then((file) => state.notify(`${file} is as it was before`), tell);
}

function stopDragging(): void {
  clearTimeout(dragging?.timer);
  dragging = undefined;
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

/** From a move on the page to one in the units in which a call's points are written; undefined where none leads back. */
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

/** A value some way from where it was, in whole steps, so that what is written finely stays so. */
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
export interface Grip {
  readonly name: string;
  readonly x: number;
  readonly y: number;
  readonly move: Move;
}

/** The point that a call's `at` names, in its units, where that is written as numbers. */
export function pinOf({ parts }: CallFacts): { x: number; y: number } | undefined {
  const [x, y] = [/^at(?:\[0\]|\.x)$/, /^at(?:\[1\]|\.y)$/].map((way) => parts.find(({ path }) => way.test(path)));
  if (x?.kind !== 'number' || y?.kind !== 'number') return undefined;
  return { x: x.value as number, y: y.value as number };
}

/** The points, the radius and the corner of an item, where its call has them as numbers. */
export function gripsOf(facts: CallFacts): Grip[] {
  const own = ownTurn(facts);
  // With a turn of its own, what lies beside its pin lies elsewhere than the numbers say.
  if (own === undefined || own.turn !== 0 || own.scale.some((scale) => scale !== 1)) return [];
  const coordinates = coordinatesOf(facts);
  const number = (path: string): CallPart | undefined =>
    facts.parts.find((part) => part.path === path && part.kind === 'number');
  const grips: Grip[] = [];
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
