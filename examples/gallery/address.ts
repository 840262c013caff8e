import { parseDial, type DialMap } from 'frame-juggler';

/** What an address shows: `#rain?seed=4&dial.drops=300`. */
export interface Place {
  readonly name: string;
  readonly seed: number | undefined;
  /** Values of dials as they are written. */
  readonly dials: Readonly<Record<string, string>>;
}

const dialMark = 'dial.';

export function readAddress(hash: string): Place {
  const [name, query = ''] = hash.replace(/^#/, '').split('?');
  const wishes = new URLSearchParams(query);
  const seed = wishes.get('seed') ?? '';
  const dials = [...wishes].filter(([key]) => key.startsWith(dialMark));
  return {
    name,
    seed: /^\d{1,9}$/.test(seed) ? Number(seed) : undefined,
    dials: Object.fromEntries(dials.map(([key, value]) => [key.slice(dialMark.length), value])),
  };
}

export function writeAddress({ name, seed, dials }: Place): string {
  const wishes = new URLSearchParams();
  if (seed !== undefined) wishes.set('seed', String(seed));
  for (const [dial, value] of Object.entries(dials)) wishes.set(dialMark + dial, value);
  return `#${name}${wishes.size > 0 ? `?${wishes.toString()}` : ''}`;
}

/** A dial's value as an address has it. */
export function writeDial(value: unknown): string {
  if (typeof value === 'boolean') return value ? 'on' : 'off';
  if (typeof value !== 'object' || value === null || !('x' in value)) return String(value);
  const { x, y } = value as { readonly x: number; readonly y: number };
  return `${x},${y}`;
}

/** The dials of an address, as far as the sketch has use for them. */
export function readDials(map: DialMap, written: Place['dials']): Record<string, unknown> {
  const values: Record<string, unknown> = {};
  for (const [name, text] of Object.entries(written)) {
    try {
      values[name] = parseDial(map, name, text);
    } catch {
      // An address may be older than its sketch.
    }
  }
  return values;
}
