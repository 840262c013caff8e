import js from '@eslint/js';
import globals from 'globals';
import tseslint from 'typescript-eslint';

/*
 * The core knows neither the DOM nor Node (tsconfig.core.json leaves their types out), and data flows one way through it:
 * sketch → canvas → frame → surface. Each folder may import only from itself, from the files beside the folders
 * (error, options) and from the folders named here.
 */
const arrows = {
  geometry: [],
  paint: ['geometry'],
  shapes: ['geometry', 'paint'],
  text: ['geometry', 'shapes'],
  canvas: ['geometry', 'paint', 'shapes', 'text'],
  motion: ['paint'],
  chance: ['paint'],
  raster: ['geometry', 'paint', 'canvas'],
  svg: ['geometry', 'paint', 'text', 'canvas'],
  encode: ['paint', 'text', 'canvas', 'raster'],
  sketch: ['geometry', 'paint', 'canvas', 'motion', 'chance', 'raster', 'text'],
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
  },
}));

export default tseslint.config(
  { ignores: ['dist', 'out', 'examples/*/dist', 'src/text/generated'] },
  js.configs.recommended,
  ...tseslint.configs.strict,
  {
    rules: {
      '@typescript-eslint/no-invalid-void-type': 'off',
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { varsIgnorePattern: '^_' }],
      '@typescript-eslint/no-extraneous-class': 'off',
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
