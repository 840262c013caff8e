import { kindOf } from '../schema/kind.ts';

/** The path of a file that is handed in. */
export const givenPath = kindOf<string>(
  'the path of a file, as text',
  (value) => typeof value === 'string' && value !== '',
  (value) => (value === '' ? 'is empty' : 'is not text'),
);

/** The bytes of a file. */
export const givenBytes = kindOf<Uint8Array>(
  'bytes: a Uint8Array',
  (value) => value instanceof Uint8Array,
  'is not bytes',
);
