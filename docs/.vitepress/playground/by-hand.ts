import { parse, Parser } from 'acorn';
import { tsPlugin } from '@sveltejs/acorn-typescript';
import { callAt, callsOf, partsOfCall, type Node } from '../../../packages/cli/src/by-hand/call-parts.ts';
import type { CallParts } from '../../../packages/cli/src/viewer/protocol.ts';

/*
 * What a call of a sketch is given, where the sketch is a text in this page. It is loaded once somebody asks.
 */

const typed = Parser.extend(tsPlugin());
const options = { ecmaVersion: 'latest', sourceType: 'module' } as const;

/**
 * What the call is given that stands at a place of a sketch as it was run; undefined where none stands there. To take its
 * types out leaves all its calls, in their order, but not where they were in their lines.
 */
export function callOf(source: string, code: string, line: number, column: number): CallParts | undefined {
  const run = parse(code, options) as unknown as Node;
  const call = callAt(run, code, line, column);
  if (call === undefined) return undefined;
  const written: Node | undefined = callsOf(typed.parse(source, options) as unknown as Node)[
    callsOf(run).indexOf(call)
  ];
  return written && partsOfCall(written, source);
}
