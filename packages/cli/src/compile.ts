import path from 'node:path';
import { stripVTControlCharacters } from 'node:util';
import { transformSync } from 'rolldown/utils';

/*
 * Sketches are written in TypeScript or in JavaScript; both are run as JavaScript, in Node and in pages alike. The
 * compiler is the one that comes with the development server.
 */

const languages: Readonly<Record<string, 'ts' | 'tsx' | 'js'>> = {
  '.ts': 'ts',
  '.mts': 'ts',
  '.tsx': 'tsx',
  '.js': 'js',
  '.mjs': 'js',
};

/** Whether a file holds code that `compile` reads. */
export function canCompile(file: string): boolean {
  return path.extname(file) in languages;
}

/** Reads a file of JSON. @throws SyntaxError with the file's name where it cannot be read */
export function readJson(file: string, source: string): unknown {
  try {
    return JSON.parse(source);
  } catch (error) {
    throw new SyntaxError(`${(error as Error).message} (${path.basename(file)})`, { cause: error });
  }
}

/** A file of JSON as a module, as bundlers give it: whole by default, and in parts by their names. @throws SyntaxError */
export function jsonModule(file: string, source: string): string {
  const data = readJson(file, source);
  const names = typeof data === 'object' && data !== null && !Array.isArray(data) ? Object.keys(data) : [];
  const parts = names
    .filter((name) => name !== 'default')
    .map(
      (name, i) => `const part${i} = data[${JSON.stringify(name)}];\nexport { part${i} as ${JSON.stringify(name)} };`,
    );
  return `const data = JSON.parse(${JSON.stringify(source)});\nexport default data;\n${parts.join('\n')}\n`;
}

/**
 * A source file as JavaScript, with the map that leads back.
 * @throws SyntaxError with the file's name, line and column where it cannot be read.
 */
export function compile(file: string, source: string): { code: string; map: object } {
  const { code, map, errors } = transformSync(file, source, {
    lang: languages[path.extname(file)],
    sourcemap: true,
    tsconfig: false,
  });
  if (errors.length > 0) throw new SyntaxError(describe(file, errors[0]));
  return { code, map: map ?? {} };
}

function describe(file: string, error: object): string {
  const { message, loc } = error as { message: string; loc?: { line: number; column: number } };
  // The first line says what is wrong; behind it stands a drawing of where, for terminals.
  const [what] = stripVTControlCharacters(message).split('\n');
  const place = loc === undefined ? '' : `:${loc.line}:${loc.column + 1}`;
  return `${what.replace(/^\[\w+\]\s*/, '')} (${path.basename(file)}${place})`;
}
