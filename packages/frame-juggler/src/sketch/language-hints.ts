import { isThrownByHost } from '../source-line.ts';

/*
 * What would be right where a sketch goes against the rules of the language itself. Engines say what they could not do;
 * whoever is new to the language wants to know what to do instead. Each is told as V8, SpiderMonkey and JavaScriptCore
 * say it, where they differ.
 */

type Told = readonly [pattern: RegExp, hint: (...parts: string[]) => string];

const told: readonly Told[] = [
  [
    /Assignment to constant|invalid assignment to const|Attempted to assign to readonly/,
    () => 'what changes is declared with let',
  ],
  [
    /set property (\w+) of .* only a getter|getter-only property "(\w+)"/,
    (name) =>
      /^(?:red|green|blue|alpha)$/.test(name)
        ? 'a color never changes; make another one of it: rgb(255, old.green, old.blue)'
        : `${name} can only be read`,
  ],
  [
    /access '(\w+)' before|lexical declaration '(\w+)' before|access uninitialized variable()/,
    (name) => `declare ${name || 'it'} above where it is used`,
  ],
  [
    /call stack size exceeded|too much recursion/,
    () => 'a function that calls itself has to stop: if (depth === 0) return',
  ],
  [/invalid array length|Array size is not/i, () => 'how long a list is, is a whole number from 0 on'],
  [/(?:^|['\s])(\S+?)'? is not iterable/, (name) => noList(name)],
  [
    /of undefined \((?:reading|setting) '(\w+)'\)/,
    (name) => `what stands before .${name} is undefined: is an index beyond its list, or a name misspelt?`,
  ],
  [/(?:^|\s)(\S+)\.(\w+) is not a function/, (holder, name) => whoseCall(holder, name)],
];

/** What would be right where something was taken as a list that is none. */
function noList(name: string): string {
  if (name === 'undefined') return 'is an index beyond its list, or a name misspelt?';
  if (/^\d+$|(?:^|\.)(?:length|width|height|frame|size|count)$/.test(name))
    return `a loop that counts is for (let i = 0; i < ${name}; i += 1)`;
  if (Number.isFinite(Number(name))) return 'a number is no list';
  return `${name} is no list: is it misspelt? The values of an object are Object.values(${name})`;
}

/** What has calls of the language's own. */
const owners: readonly (readonly [object, string])[] = [
  [Array.prototype, 'a list'],
  [String.prototype, 'a text'],
  [Number.prototype, 'a number'],
  [Set.prototype, 'a Set'],
  [Map.prototype, 'a Map'],
];

/** Whose call it is that was asked of something else; nothing where it is nobody's. */
function whoseCall(holder: string, name: string): string {
  if (['length', 'size'].includes(name)) return `${name} is no call: leave its parentheses out`;
  const having = owners.filter(([owner]) => Object.hasOwn(owner, name)).map(([, what]) => what);
  return having.length === 0 ? '' : `only ${having.join(' or ')} has ${name}, and ${holder} is none`;
}

/** What would be right; undefined where that cannot be told. */
export function hintForLanguage(error: Error): string | undefined {
  if (error instanceof TypeError && isThrownByHost(error.stack))
    return 'a call stays with what it belongs to: canvas.circle({ … }), path.lineTo(x, y)';
  for (const [pattern, hint] of told) {
    const parts = pattern.exec(error.message);
    if (parts !== null) return hint(...parts.slice(1).filter((part) => part !== undefined)) || undefined;
  }
  return undefined;
}
