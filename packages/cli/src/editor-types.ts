import { declarationFiles } from './library.ts';

/**
 * How an editor is to read sketches: as modern modules, whose options are checked. It asks for no types of one's own:
 * sketches are written without, `start: () => ({ boats: [] })`.
 */
export const compilerOptions = {
  target: 'es2022',
  lib: ['es2023', 'dom', 'dom.iterable'],
  module: 'esnext',
  moduleResolution: 'bundler',
  types: [],
  strict: false,
  noEmit: true,
  skipLibCheck: true,
  allowImportingTsExtensions: true,
};

/** Where an editor finds the running tool's own library. */
export function libraryPaths(): Record<string, string[]> {
  return Object.fromEntries(Object.entries(declarationFiles).map(([name, file]) => [name, [file]]));
}
