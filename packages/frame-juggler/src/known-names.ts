import { fail, show } from './error.ts';
import { isCalledBySketch } from './source-line.ts';
import { suggest } from './suggest.ts';

/** What the language itself and page libraries look for in whatever they are handed. */
const lookedFor = /^(?:[_$@]|(?:toJSON|then)$)/;

/**
 * Has a thing that sketches are handed refuse a name that is not there: in plain JavaScript a misspelt one is undefined,
 * and turns up later as a NaN, or as something that never happens; one that is set does nothing. It is done by the
 * thing's prototype, which engines ask only once they have not found a name before: those that are there cost nothing.
 * Only sketches are refused, not a console or a test runner that looks at the thing; `in` tells without an error.
 * @param what what sketches most likely call it, for the message
 * @param names those that are there; by default the thing's own
 * @param say what is said of a name that is not there, by what the nearest of those that are says
 */
/* @__NO_SIDE_EFFECTS__ */
export function onlyKnown(
  what: string,
  names: (thing: object) => Iterable<string> = Object.keys,
  say: (name: string, near: string) => string = (_, near) => near,
): <Thing extends object>(thing: Thing) => Thing {
  const refuse = (name: string | symbol, plain: object, thing: object, trap: object): void => {
    if (typeof name === 'symbol' || name in plain || lookedFor.test(name) || !isCalledBySketch(trap)) return;
    fail({ call: what, problem: `there is no ${show(name)}`, expected: say(name, suggest(name, names(thing))) });
  };
  const get = (plain: object, name: string | symbol, thing: object): unknown => {
    refuse(name, plain, thing, get);
    return Reflect.get(plain, name, thing);
  };
  const set = (plain: object, name: string | symbol, value: unknown, thing: object): boolean => {
    refuse(name, plain, thing, set);
    return Reflect.set(plain, name, value, thing);
  };
  const prototype = new Proxy({}, { get, set });
  return (thing) => Object.setPrototypeOf(thing, prototype) as typeof thing;
}

/** Adds where a name may be sought to what says that it is near none. */
export const orElse = (near: string, elsewhere: string): string =>
  near.endsWith('?') ? near : `${near}; ${elsewhere}`;
