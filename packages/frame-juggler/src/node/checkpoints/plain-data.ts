import { show } from '../../error.ts';
import { Color } from '../../paint/color.ts';
import { stateOfRandom } from '../../chance/random.ts';
import { Picture } from '../../paint/picture.ts';

/** Something of a state that cannot be kept, and where in the state it is. */
export interface Unkept {
  readonly path: string;
  readonly what: string;
}

/** A part of a state that is yet to be looked at. */
interface Waiting {
  readonly value: unknown;
  readonly path: string;
  readonly depth: number;
}

/** Lists in lists and so on: what writes them goes as deep as they do. */
const maxDepth = 1000;

const plainPrototypes = new Set<unknown>(
  [Array, Map, Set, Date, ArrayBuffer, DataView, Int8Array, Uint8Array, Uint8ClampedArray, Int16Array, Uint16Array, Int32Array, Uint32Array, Float32Array, Float64Array, BigInt64Array, BigUint64Array].map(({ prototype }) => prototype as unknown), // prettier-ignore
);

/**
 * The first thing in a state that is more than plain data: a function, an object of a class of one's own, a property
 * that is computed. Undefined where all can be kept: numbers, texts, lists, objects without a class, maps, sets, dates,
 * arrays of bytes and numbers, and the library's colors, pictures and random streams.
 * @param known things that are kept by another way, and not looked into
 */
export function findUnkept(state: unknown, known: (value: object) => boolean): Unkept | undefined {
  const seen = new Set<object>();
  const waiting: Waiting[] = [{ value: state, path: 'state', depth: 0 }];
  for (let next = waiting.pop(); next !== undefined; next = waiting.pop()) {
    const { value, path, depth: above } = next;
    const depth = above + 1;
    if (depth > maxDepth) return { path: `${path.slice(0, 40)}…`, what: `nested more than ${maxDepth} deep` };
    if (typeof value === 'function' || typeof value === 'symbol') return { path, what: `a ${typeof value}` };
    if (typeof value !== 'object' || value === null || seen.has(value)) continue;
    seen.add(value);
    if (value instanceof Color || value instanceof Picture || isRandom(value) || known(value)) continue;
    const prototype: unknown = Object.getPrototypeOf(value);
    if (prototype === null || prototype === Object.prototype) {
      const unkept = partsOf(value, { path, depth, waiting });
      if (unkept !== undefined) return unkept;
    } else if (!plainPrototypes.has(prototype)) return { path, what: instanceOf(value) };
    else if (Array.isArray(value)) {
      // The last name of an array's own is its length, unless it was given others.
      if (Reflect.ownKeys(value).at(-1) !== 'length') return { path, what: 'a list with properties of its own' };
      value.forEach(
        (part: unknown, at) => isThing(part) && waiting.push({ value: part, path: `${path}[${at}]`, depth }),
      );
    } else if (!ArrayBuffer.isView(value)) {
      if (Reflect.ownKeys(value).length > 0) return { path, what: `${instanceOf(value)} with properties of its own` };
      if (value instanceof Map)
        for (const [key, part] of value)
          waiting.push(
            { value: key, path: `a key of ${path}`, depth },
            { value: part, path: `${path}.get(${show(key)})`, depth },
          );
      else if (value instanceof Set)
        for (const part of value) waiting.push({ value: part, path: `a value of ${path}`, depth });
    }
  }
  return undefined;
}

const isRandom = (value: object): boolean => stateOfRandom(value) !== undefined;

const isThing = (value: unknown): boolean =>
  typeof value === 'object' || typeof value === 'function' || typeof value === 'symbol';

function instanceOf(value: object): string {
  const { constructor } = value as { constructor?: unknown };
  // What a moment holds answers for names that it does not have, by a prototype of its own.
  if (constructor === Object) return 'a part of a moment, of which the numbers alone can be kept: { x: pointer.x }';
  return typeof constructor === 'function' ? `an instance of ${constructor.name}` : 'an object with a class';
}

/** Notes the parts of an object; gives the first that is no plain property. */
function partsOf(
  value: object,
  { path, depth, waiting }: { path: string; depth: number; waiting: Waiting[] },
): Unkept | undefined {
  for (const key of Reflect.ownKeys(value)) {
    const { get, set, enumerable, value: part } = Object.getOwnPropertyDescriptor(value, key)!;
    const at = `${path}${typeof key === 'string' && /^[\p{L}_$][\p{L}\p{N}_$]*$/u.test(key) ? `.${key}` : `[${typeof key === 'symbol' ? String(key) : JSON.stringify(key)}]`}`;
    if (typeof key === 'symbol') return { path: at, what: 'under a symbol' };
    if (key === '__proto__') return { path: at, what: 'named like what objects have by themselves' };
    if (get !== undefined || set !== undefined) return { path: at, what: 'computed by a function' };
    if (enumerable !== true) return { path: at, what: 'a hidden property' };
    if (isThing(part)) waiting.push({ value: part, path: at, depth });
  }
  return undefined;
}
