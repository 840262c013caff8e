/** States with more values than this are not looked at: it would take longer than all else. */
const maxValues = 20_000;

/** All that a state consists of, by the way that leads there: `state.gulls[2].x`. Undefined where that is too much. */
export function valuesOf(state: unknown): ReadonlyMap<string, unknown> | undefined {
  const found = new Map<string, unknown>();
  const met = new Set<object>();
  const visit = (value: unknown, way: string): void => {
    if (typeof value !== 'object' || value === null) return void found.set(way, value);
    if (met.has(value) || found.size > maxValues) return;
    met.add(value);
    // Pictures and sounds are not written into by mistake.
    if (ArrayBuffer.isView(value) && value.byteLength > maxValues) return;
    const members = value instanceof Map || value instanceof Set ? [...value] : value;
    const isList = Array.isArray(members) || ArrayBuffer.isView(members);
    const entries = Object.entries(members);
    found.set(`${way}.length`, entries.length);
    for (const [key, member] of entries) visit(member, isList ? `${way}[${key}]` : `${way}.${key}`);
  };
  visit(state, 'state');
  return found.size > maxValues ? undefined : found;
}

/** The way to the first value that is not what it was; undefined where all are. */
export function firstChange(
  before: ReadonlyMap<string, unknown> | undefined,
  after: ReadonlyMap<string, unknown> | undefined,
): string | undefined {
  if (before === undefined || after === undefined) return undefined;
  for (const [way, value] of after) if (!before.has(way) || !Object.is(before.get(way), value)) return way;
  return undefined;
}
