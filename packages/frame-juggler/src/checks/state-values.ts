import { Picture } from '../paint/picture.ts';

/** States with more values than this are not looked at: it would take longer than all else. */
const maxValues = 20_000;

type Ways = ReadonlyMap<string, unknown>;

/** All that a state consists of, by the way that leads there: `state.gulls[2].x`. */
export interface StateValues {
  readonly values: Ways;
  /** How often each picture had been written to. */
  readonly pictures: Ways;
}

/** What a state consists of. Undefined where that is too much. */
export function valuesOf(state: unknown): StateValues | undefined {
  const found = new Map<string, unknown>();
  const pictures = new Map<string, unknown>();
  const met = new Set<object>();
  const visit = (value: unknown, way: string): void => {
    if (typeof value !== 'object' || value === null) return void found.set(way, value);
    if (met.has(value) || found.size > maxValues) return;
    met.add(value);
    if (value instanceof Picture) return void pictures.set(way, value.version);
    // Sounds are not written into by mistake.
    if (ArrayBuffer.isView(value) && value.byteLength > maxValues) return;
    const members = value instanceof Map || value instanceof Set ? [...value] : value;
    const isList = Array.isArray(members) || ArrayBuffer.isView(members);
    const entries = Object.entries(members);
    found.set(`${way}.length`, entries.length);
    for (const [key, member] of entries) visit(member, isList ? `${way}[${key}]` : `${way}.${key}`);
  };
  visit(state, 'state');
  return found.size > maxValues ? undefined : { values: found, pictures };
}

/** The way to the first value that is not what it was; undefined where all are. */
export function firstChange(before: Ways | undefined, after: Ways | undefined): string | undefined {
  if (before === undefined || after === undefined) return undefined;
  for (const [way, value] of after) if (!before.has(way) || !Object.is(before.get(way), value)) return way;
  return undefined;
}

/** Whether a state has other values than before, or other pixels in one of its pictures. */
export function isChanged(before: StateValues, after: StateValues | undefined): boolean {
  const parts = ['values', 'pictures'] as const;
  return parts.some((part) => firstChange(before[part], after?.[part]) !== undefined);
}
