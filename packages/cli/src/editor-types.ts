import { declarationFiles } from './library.ts';

/** How an editor is to read sketches: as modern modules, checked strictly. */
export const compilerOptions = {
  target: 'es2022',
  lib: ['es2023', 'dom', 'dom.iterable'],
  module: 'esnext',
  moduleResolution: 'bundler',
  types: [],
  strict: true,
  noEmit: true,
  skipLibCheck: true,
  allowImportingTsExtensions: true,
};

/** Where an editor finds the running tool's own library. */
export function libraryPaths(): Record<string, string[]> {
  return Object.fromEntries(Object.entries(declarationFiles).map(([name, file]) => [name, [file]]));
}
