import { createRequire } from 'node:module';
import path from 'node:path';

/* Where the running tool's own library is: a sketch anywhere gets it, with or without a package.json. */

const require = createRequire(import.meta.url);
const manifestFile = require.resolve('frame-juggler/package.json');
const { exports: entries } = require(manifestFile) as { exports: Record<string, { types: string; default: string }> };

const names = ['frame-juggler', 'frame-juggler/browser', 'frame-juggler/element', 'frame-juggler/worker', 'frame-juggler/node'] as const; // prettier-ignore
type Name = (typeof names)[number];

const byName = (place: (name: Name) => string): Record<Name, string> =>
  Object.fromEntries(names.map((name) => [name, place(name)])) as Record<Name, string>;

const fileOf = (name: Name, form: 'types' | 'default'): string =>
  path.join(path.dirname(manifestFile), entries[name.replace('frame-juggler', '.')][form]);

/** The address of each entry point, as Node imports it. */
export const entryPoints = byName((name) => import.meta.resolve(name));

/** The file of each entry point as bundlers take it: one that imports the others, so that they can drop what is not used. */
export const bundledFiles = byName((name) => fileOf(name, 'default'));

/** The declarations of each entry point, for editors. */
export const declarationFiles = byName((name) => fileOf(name, 'types'));
