import { readColor } from 'frame-juggler';
import type { CallPart, CallParts } from '../viewer/protocol.ts';

/*
 * What a call of a sketch is given, part by part, as it stands in the source: literals, which can be changed by hand, and
 * what is computed, which can only be told. Whoever has the source parses it: the trees are ESTree's, with TypeScript.
 */

/** A node of a syntax tree: what all have, and whatever its kind has beside that. */
export interface Node {
  readonly type: string;
  readonly start: number;
  readonly end: number;
  readonly [key: string]: unknown;
}

const isNode = (value: unknown): value is Node =>
  typeof value === 'object' && value !== null && typeof (value as { type?: unknown }).type === 'string';

function childrenOf(node: Node): Node[] {
  return Object.values(node).flatMap((value) =>
    Array.isArray(value) ? value.filter(isNode) : isNode(value) ? [value] : [],
  );
}

/** The place in a text of a line and a column, both from 1. */
function offsetOf(code: string, line: number, column: number): number {
  let start = 0;
  for (let at = 1; at < line; at++) {
    const next = code.indexOf('\n', start);
    if (next < 0) return code.length;
    start = next + 1;
  }
  return start + column - 1;
}

/** Where engines say that a call was made: at the name of what is called. */
function placeOf({ callee }: Node): number {
  const called = callee as Node;
  return called.type === 'MemberExpression' ? (called.property as Node).start : called.start;
}

/** The calls of a tree, in the order in which they begin in the text; of those that begin together the outer one first. */
export function callsOf(root: Node): Node[] {
  const calls: Node[] = [];
  const visit = (node: Node): void => {
    if (node.type === 'CallExpression') calls.push(node);
    childrenOf(node).forEach(visit);
  };
  visit(root);
  return calls.sort((one, other) => one.start - other.start || other.end - one.end);
}

/**
 * The call at a line and a column (from 1) of a source: the one whose name stands there, or that is nearest before it on
 * the way in. Undefined where none is.
 */
export function callAt(root: Node, code: string, line: number, column: number): Node | undefined {
  const offset = offsetOf(code, line, column);
  let best: Node | undefined;
  const visit = (node: Node): void => {
    if (node.type === 'CallExpression' && node.start <= offset && offset <= node.end) {
      const distance = Math.abs(placeOf(node) - offset);
      if (best === undefined || distance <= Math.abs(placeOf(best) - offset)) best = node;
    }
    for (const child of childrenOf(node)) if (child.start <= offset && offset <= child.end) visit(child);
  };
  visit(root);
  return best;
}

/** What a call is given, part by part. @param code the source that it stands in */
export function partsOfCall(call: Node, code: string): CallParts {
  const parts: CallPart[] = [];
  const add = (name: string, node: Node, found: Pick<CallPart, 'kind' | 'value'>): void => {
    const written = code.slice(node.start, node.end);
    const at = code.slice(0, node.start).split('\n').length;
    parts.push({ path: name, ...found, written, start: node.start, end: node.end, line: at });
  };
  const visit = (typed: Node, name: string): void => {
    const node = withoutType(typed);
    const reader = readers[node.type];
    const found = reader?.(node, name);
    if (found === undefined) add(name, node, { kind: 'computed' });
    else if (found instanceof Array) for (const [inner, innerName] of found) visit(inner, innerName);
    else add(name, node, found);
  };
  const given = (call.arguments as Node[]).map(withoutType);
  for (const [i, argument] of given.entries())
    if (!isFunction(argument)) visit(argument, argument.type === 'ObjectExpression' ? '' : `${i + 1}`);
  const options = given.find(({ type }) => type === 'ObjectExpression')?.properties as Node[] | undefined;
  const name = code.slice((call.callee as Node).start, (call.callee as Node).end);
  return { name, parts, behind: options?.at(-1)?.end };
}

/** What is written, without what only the type checker reads. */
function withoutType(node: Node): Node {
  const isAbout = ['TSAsExpression', 'TSSatisfiesExpression', 'TSNonNullExpression', 'ParenthesizedExpression'];
  return isAbout.includes(node.type) ? withoutType(node.expression as Node) : node;
}

const isFunction = ({ type }: Node): boolean => type === 'ArrowFunctionExpression' || type === 'FunctionExpression';

/** What a kind of node is: a literal, others to look into, or nothing that could be changed by hand. */
type Reader = (node: Node, name: string) => Pick<CallPart, 'kind' | 'value'> | [node: Node, name: string][] | undefined;

const readers: Readonly<Record<string, Reader>> = {
  Literal: ({ value }) => literal(value),
  UnaryExpression({ operator, argument }) {
    const { type, value } = argument as Node;
    return operator === '-' && type === 'Literal' && typeof value === 'number' ? literal(-value) : undefined;
  },
  ArrayExpression: ({ elements }, name) =>
    (elements as (Node | null)[]).flatMap((element, i) => (element === null ? [] : [[element, `${name}[${i}]`]])),
  ObjectExpression: ({ properties }, name) =>
    (properties as Node[]).flatMap((property) => {
      const { type, key, computed, value, argument } = property;
      if (type !== 'Property') return [[argument as Node, join(name, '…')]];
      if (isFunction(value as Node)) return [];
      const { name: word, value: text } = key as Node;
      return [[value as Node, computed === true ? join(name, '[…]') : join(name, String(word ?? text))]];
    }),
  // What another call makes of literals, a color or a gradient: those are changed, and it makes something else of them.
  CallExpression({ callee, arguments: given }, name) {
    const { name: called } = callee as Node;
    if (typeof called !== 'string') return undefined;
    return (given as Node[]).map((argument, i) => [argument, join(name, `${called} ${i + 1}`)]);
  },
};

function join(name: string, word: string): string {
  return name === '' ? word : `${name}.${word}`;
}

function literal(value: unknown): Pick<CallPart, 'kind' | 'value'> | undefined {
  if (typeof value === 'number') return { kind: 'number', value };
  if (typeof value === 'boolean') return { kind: 'toggle', value };
  if (typeof value !== 'string') return undefined;
  try {
    readColor('color', 'value', value);
    return { kind: 'color', value };
  } catch {
    return { kind: 'text', value };
  }
}
