import js from '@eslint/js';
import globals from 'globals';
import tseslint from 'typescript-eslint';
import { readFileSync } from 'node:fs';
import { builtinModules } from 'node:module';

/*
 * The core knows neither the DOM nor Node (tsconfig.core.json leaves their types out), and data flows one way through
 * it: sketch → run → canvas → frame → surface. Each folder of the library may import only from itself, from `error`,
 * from `source-line`, `schema` and the folders named here; which is also how no import comes round in a circle.
 */
const arrows = {
  maths: [],
  schema: [],
  geometry: [],
  paint: ['geometry'],
  shapes: ['geometry', 'paint'],
  text: ['geometry', 'shapes'],
  frame: ['geometry', 'paint'],
  canvas: ['geometry', 'paint', 'shapes', 'text', 'frame'],
  motion: ['paint'],
  chance: ['paint'],
  surfaces: ['geometry', 'paint', 'frame'],
  review: ['geometry', 'paint', 'frame', 'surfaces'],
  formats: ['paint', 'text', 'canvas', 'surfaces'],
  sketch: ['geometry', 'paint', 'canvas', 'frame', 'motion', 'chance', 'surfaces', 'text', 'review'],
  checks: ['geometry', 'paint', 'frame', 'canvas', 'chance', 'text', 'surfaces', 'sketch', 'review'],
  browser: ['geometry', 'paint', 'canvas', 'frame', 'motion', 'sketch', 'surfaces', 'review'],
  testing: ['paint', 'sketch', 'review', 'node'],
  node: ['geometry', 'paint', 'frame', 'chance', 'sketch', 'surfaces', 'formats', 'text', 'canvas', 'review', 'checks'],
};
const everywhere = ['schema', 'maths'];
const library = 'packages/frame-juggler/src';
const escape = (text) => text.replace(/[/\\^$.*+?()[\]{}|-]/g, '\\$&');

/** Bans imports whose source matches a pattern, written as `import … from` or as `import(…)`. */
const bans = (list) =>
  list.map(([pattern, message]) => ({
    selector: `:matches(ImportDeclaration, ExportNamedDeclaration, ExportAllDeclaration, ImportExpression)[source.value=/${pattern}/]`,
    message,
  }));
const node = [`^(node:|(${builtinModules.filter((name) => !name.startsWith('_')).map(escape).join('|')})$)`, 'This part does not know Node.']; // prettier-ignore

/** A package may import only what its package.json lists, or packs into itself. */
const listed = (folder) => {
  const { name, dependencies = {}, devDependencies = {}, peerDependencies = {} } = JSON.parse(readFileSync(`${folder}/package.json`, 'utf8')); // prettier-ignore
  const names = [...Object.keys({ ...dependencies, ...devDependencies, ...peerDependencies }), name]
    .map(escape)
    .join('|');
  return [`^(?!\\.|node:|(${names})($|\\/))`, `This package is not listed in ${folder}/package.json.`];
};

/** Engines compute these as they like, each a little differently in the last digits; `maths` does it alike everywhere. */
const openMaths = {
  selector:
    ":matches(MemberExpression[object.name='Math'][property.name=/^(a?(sin|cos|tan)h?|atan2|exp|expm1|log|log2|log10|log1p|pow|cbrt|hypot)$/], BinaryExpression[operator='**']:not([left.type='Literal'][right.type='Literal']))",
  message: 'Engines differ here: take it from maths/.',
};

const arrowRules = Object.entries(arrows).map(([folder, allowed]) => {
  const others = Object.keys(arrows).filter(
    (other) => ![folder, ...allowed, ...(folder === 'maths' ? [] : everywhere)].includes(other),
  );
  const isCore = folder !== 'node' && folder !== 'testing';
  return {
    files: [`${library}/${folder}/**`],
    rules: {
      'no-restricted-syntax': [
        'error',
        ...(isCore ? [openMaths] : []),
        ...bans([
          listed('packages/frame-juggler'),
          ...(isCore ? [node] : []),
          [
            `^(\\.\\.\\/)+(${others.join('|')})\\/`,
            `${folder}/ may import only from ${[folder, ...allowed].join(', ')}.`,
          ],
        ]),
      ],
    },
  };
});

export default tseslint.config(
  {
    ignores: [
      'docs/public/**',
      'docs/.vitepress/cache/**',
      '**/dist',
      '**/out',
      'packages/cli/examples',
      `${library}/**/generated`,
      `${library}/surfaces/raster/engine`,
      `${library}/formats/packer`,
      'examples/*/dist',
    ],
  },
  js.configs.recommended,
  ...tseslint.configs.strict,
  {
    rules: {
      '@typescript-eslint/no-invalid-void-type': 'off',
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { varsIgnorePattern: '^_', argsIgnorePattern: '^_' }],
      '@typescript-eslint/no-extraneous-class': 'off',
      // The type checker calls an interface by its name, where of an alias it shows all that it was made from.
      '@typescript-eslint/no-empty-object-type': ['error', { allowInterfaces: 'with-single-extends' }],
      eqeqeq: 'error',
      'no-console': ['error', { allow: ['error'] }],
    },
  },
  {
    // What is awaited by nobody fails unheard.
    files: ['packages/*/src/**/*.{ts,tsx}', 'tests/**/*.ts'],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: { '@typescript-eslint/no-floating-promises': 'error', '@typescript-eslint/no-misused-promises': 'error' },
  },
  {
    // A canvas has a call for each shape of a table: the class takes their types from an interface.
    files: [`${library}/canvas/canvas.ts`],
    rules: { '@typescript-eslint/no-unsafe-declaration-merging': 'off' },
  },
  {
    // The mistakes are made on purpose.
    files: ['examples/mistakes/mistakes.ts'],
    rules: { '@typescript-eslint/no-unused-expressions': 'off' },
  },
  ...arrowRules,
  {
    files: ['packages/cli/src/**'],
    rules: { 'no-restricted-syntax': ['error', ...bans([listed('packages/cli')])] },
  },
  {
    // The viewer runs in a page, where its worker says what is its own.
    files: ['packages/cli/src/**'],
    ignores: ['packages/cli/src/errors.ts', 'packages/cli/src/viewer/**'],
    rules: {
      '@typescript-eslint/no-restricted-imports': [
        'error',
        {
          paths: [
            {
              name: 'frame-juggler',
              importNames: ['SketchError', 'asSketchError'],
              allowTypeImports: true,
              message: 'Import it from errors.ts, so that no error names a line of the command.',
            },
          ],
        },
      ],
    },
  },
  {
    // Their work is done in a thread, so that the command itself need not load the library.
    files: ['render', 'strip', 'explain', 'check', 'compare', 'pack', 'demo', 'arguments', 'progress', 'report', 'job/run-job'].map((name) => `packages/cli/src/${name}.ts`), // prettier-ignore
    rules: {
      '@typescript-eslint/no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              regex: '^frame-juggler(/|$)|/errors\\.ts$',
              allowTypeImports: true,
              message: 'Load it where it is needed, by loadLibrary() or refuse(): it takes as long as Node to start.',
            },
          ],
        },
      ],
    },
  },
  {
    files: ['**/*.mjs', 'bench/**', 'scripts/**'],
    languageOptions: { globals: { ...globals.node, ...globals.browser } },
    rules: { 'no-console': 'off' },
  },
);
