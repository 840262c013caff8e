import js from '@eslint/js';
import globals from 'globals';
import tseslint from 'typescript-eslint';

/*
 * The core knows neither the DOM nor Node, and data flows one way through it:
 * sketch → canvas → frame → surface. Each folder may import only from itself, from the files beside the folders
 * (error, options) and from the folders named here.
 */
const arrows = {
  geometry: [],
  paint: [],
  shapes: ['geometry'],
  canvas: ['geometry', 'paint', 'shapes'],
  motion: [],
  chance: ['paint'],
  raster: ['geometry', 'paint', 'canvas'],
  sketch: ['geometry', 'paint', 'canvas', 'motion', 'chance', 'raster'],
};
const folders = [...Object.keys(arrows), 'browser', 'viewer', 'node', 'cli'];

const arrowRules = Object.entries(arrows).map(([folder, allowed]) => ({
  files: [`src/${folder}/**`],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          { group: ['node:*'], message: 'The core does not know Node.' },
          {
            group: folders
              .filter((other) => other !== folder && !allowed.includes(other))
              .map((other) => `../${other}/*`),
            message: `${folder}/ may import only from ${['itself', ...allowed].join(', ')}.`,
          },
        ],
      },
    ],
    'no-restricted-globals': [
      'error',
      ...Object.keys(globals.browser).filter((name) => !['URL', 'TextDecoder', 'performance'].includes(name)),
      'process',
      'Buffer',
      'performance',
    ],
  },
}));

export default tseslint.config(
  { ignores: ['dist', 'out', 'examples/*/dist'] },
  js.configs.recommended,
  ...tseslint.configs.strict,
  {
    rules: {
      '@typescript-eslint/no-invalid-void-type': 'off',
      '@typescript-eslint/no-non-null-assertion': 'off',
      eqeqeq: 'error',
      'no-console': ['error', { allow: ['error'] }],
    },
  },
  ...arrowRules,
  {
    files: ['**/*.mjs', 'bench/**', 'scripts/**'],
    languageOptions: { globals: { ...globals.node, ...globals.browser } },
    rules: { 'no-console': 'off' },
  },
);
