import { asSketchError, SketchError } from '../error.ts';
import { assetHint } from './asset-hint.ts';
import { hintFor, hintForImport, importOf } from './hints.ts';
import { libraryNames } from './library-names.ts';

/** The library, as bundlers and servers write where it is; the viewer's own has it in a folder of that name. */
const library = /^\/library\/|(?:^|\/)frame-juggler(?:$|\/\w+$|\/dist\/|[._])/;

/**
 * What went wrong as a sketch's file was imported, with what would be right where it asked the library for a name that
 * it has not, used one without importing it, or took a picture, say, for code. For hosts that import sketches by themselves.
 * @param thrown what the import threw
 */
export function asLoadError(thrown: unknown): SketchError {
  const asked = missingExport(thrown);
  if (asked !== undefined && library.test(asked.module))
    return new SketchError({
      problem: `frame-juggler exports no ${asked.name}${libraryNames.includes(asked.name) ? ' there' : ''}`,
      expected: libraryNames.includes(asked.name) ? importOf(asked.name) : hintForImport(asked.name),
    });
  const file = importedFile(thrown);
  if (file !== undefined)
    return new SketchError({ problem: `${file} is imported, which is no code`, expected: assetHint(file) });
  return asSketchError(thrown, hintFor(thrown));
}

/** What a file imported of a module that does not export it, as engines say it; Safari does not name the module. */
export function missingExport(thrown: unknown): { name: string; module: string } | undefined {
  if (!(thrown instanceof SyntaxError)) return undefined;
  const [, name] = /(?:export named:?|binding name) ['"](\w+)/.exec(thrown.message) ?? [];
  const [, module = 'frame-juggler'] = /requested module ['"]([^'"]+)/.exec(thrown.message) ?? [];
  return name === undefined ? undefined : { name, module };
}

/** A file that was imported and is no code, as Node says it. */
function importedFile(thrown: unknown): string | undefined {
  if (!(thrown instanceof Error)) return undefined;
  return /Unknown file extension "[^"]*" for (?:.*[/\\])?([^/\\\n?]+)/.exec(thrown.message)?.[1];
}
