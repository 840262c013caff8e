import type { SourceLine } from '../source-line.ts';

/* A sketch's code as text: what of it is code, and at which line it stands. */

/** Code without what is written in its strings and comments, each of them as long as before. */
export const bareCode = (code: string): string =>
  code.replace(/\/\*[^]*?\*\/|\/\/.*|'(?:[^'\\\n]|\\.)*'|"(?:[^"\\\n]|\\.)*"|`(?:[^`\\]|\\[^])*`/g, (match) =>
    match.replace(/(\$\{[^}]*\})|[^\n]/g, (each, hole: string | undefined) =>
      match.startsWith('`') && hole !== undefined ? hole : ' '.repeat(each.length),
    ),
  );

/**
 * Where a file has a piece of a sketch's code; undefined where it has not, or several times. What runs is compiled: only the
 * spaces of it may be others.
 */
export function lineOfCode(file: string, text: string, written: string): SourceLine | undefined {
  const parts = written.match(/\w+|[^\w\s]/g) ?? [];
  const pattern = parts.map((part) => part.replace(/\W/g, '\\$&')).join('\\s*');
  const [found, ...others] = bareCode(text).matchAll(new RegExp(`(?<!\\w)${pattern}(?!\\w)`, 'g'));
  if (found === undefined || others.length > 0) return undefined;
  const before = text.slice(0, found.index).split('\n');
  return { file, line: before.length, column: before.at(-1)!.length + 1 };
}
