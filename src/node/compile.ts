import path from 'node:path';
import { transformSync, type OxcError } from 'oxc-transform';

/*
 * Sketches are written in TypeScript or in JavaScript; both are run as JavaScript, in Node and in pages alike.
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

/**
 * A source file as JavaScript, with the map that leads back.
 * @throws SyntaxError with the file's name, line and column where it cannot be read.
 */
export function compile(file: string, source: string): { code: string; map: object } {
  const { code, map, errors } = transformSync(file, source, { lang: languages[path.extname(file)], sourcemap: true });
  if (errors.length > 0) throw new SyntaxError(describe(file, source, errors[0]));
  return { code, map: map ?? {} };
}

function describe(file: string, source: string, { message, labels }: OxcError): string {
  const start = labels[0]?.start;
  if (start === undefined) return `${message} (${path.basename(file)})`;
  const before = Buffer.from(source).subarray(0, start).toString().split('\n');
  return `${message} (${path.basename(file)}:${before.length}:${before[before.length - 1].length + 1})`;
}
