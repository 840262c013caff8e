/** All that the library has for scripts. */
export type Library = typeof import('frame-juggler') & typeof import('frame-juggler/node');

/**
 * The library, for errors and for what is left behind: a command whose work comes to its end in a thread of its own has
 * no need of it, and to load it takes as long as to start Node.
 */
export async function loadLibrary(): Promise<Library> {
  await import('./errors.ts');
  return { ...(await import('frame-juggler')), ...(await import('frame-juggler/node')) };
}
