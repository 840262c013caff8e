import * as state from './state.ts';

/*
 * A picture that is kept to compare others with.
 */

/** What the picture is now, in words. */
export function nowInWords(): string {
  return `frame ${state.shown.value.frame}, seed ${state.seed.value}`;
}

/** Keeps the picture that a canvas shows. */
export async function hold(canvas: HTMLCanvasElement, words: string): Promise<void> {
  state.held.value = { picture: await createImageBitmap(canvas), words };
}
