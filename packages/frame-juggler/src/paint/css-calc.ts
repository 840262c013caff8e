/* `calc()` as CSS Values 4 has it, as far as the channels of a color need it. */

/** A number with its unit: none, percent, or degrees. */
export interface Quantity {
  readonly value: number;
  readonly unit: '' | '%' | 'deg';
}

const degreesPer: Readonly<Record<string, number>> = { deg: 1, grad: 0.9, rad: 180 / Math.PI, turn: 360 };
const numberPattern = /^([+-]?(?:\d+(?:\.\d+)?|\.\d+)(?:e[+-]?\d+)?)(%|deg|grad|rad|turn)?$/;

/** Reads a number with its unit; undefined where it is none. */
export function readQuantity(word: string): Quantity | undefined {
  const [, digits, unit] = numberPattern.exec(word) ?? [];
  if (digits === undefined) return undefined;
  if (unit === undefined || unit === '%') return { value: Number(digits), unit: unit ?? '' };
  return { value: Number(digits) * degreesPer[unit], unit: 'deg' };
}

/** Parentheses may stand within others, but no deeper than anyone writes them. */
const deepest = 32;

const token = /\s*(calc\(|[()*/]|\s[+-]\s|[^\s()*/]+)/y;

/**
 * Works out a `calc()`; undefined where it is none, or adds what has different units.
 * @param names what words in it stand for
 */
export function calculate(text: string, names: ReadonlyMap<string, number>): Quantity | undefined {
  const tokens: string[] = [];
  token.lastIndex = 0;
  while (token.lastIndex < text.length) {
    const [, found] = token.exec(text) ?? [];
    if (found === undefined) return undefined;
    tokens.push(found.trim());
  }
  let at = 0;
  let depth = 0;

  const value = (): Quantity | undefined => {
    const word = tokens[at++];
    if (word === undefined) return undefined;
    if (word !== 'calc(' && word !== '(') {
      const named = names.get(word) ?? (word === 'pi' ? Math.PI : word === 'e' ? Math.E : undefined);
      return named === undefined ? readQuantity(word) : { value: named, unit: '' };
    }
    if (++depth > deepest) return undefined;
    const inside = sum();
    depth--;
    return tokens[at++] === ')' ? inside : undefined;
  };
  const product = (): Quantity | undefined => {
    let left = value();
    while (left !== undefined && (tokens[at] === '*' || tokens[at] === '/')) {
      const isTimes = tokens[at++] === '*';
      const right = value();
      if (right === undefined || (right.unit !== '' && (left.unit !== '' || !isTimes))) return undefined;
      left = { value: isTimes ? left.value * right.value : left.value / right.value, unit: left.unit || right.unit };
    }
    return left;
  };
  const sum = (): Quantity | undefined => {
    let left = product();
    while (left !== undefined && (tokens[at] === '+' || tokens[at] === '-')) {
      const sign = tokens[at++] === '+' ? 1 : -1;
      const right = product();
      if (right?.unit !== left.unit) return undefined;
      left = { value: left.value + sign * right.value, unit: left.unit };
    }
    return left;
  };

  const result = value();
  return at === tokens.length ? result : undefined;
}
