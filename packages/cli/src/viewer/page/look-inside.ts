import { effect } from '@preact/signals';
import type { SketchHost } from './host.ts';
import * as state from './state.ts';

/** Milliseconds between two looks while the sketch plays. */
const lookEvery = 300;

/** Keeps the description of what the frame at hand drew up to date, as long as anything on the page is made of it. */
export function followItems(host: SketchHost): () => void {
  let asking = false;
  let asked = '';
  let timer = 0;
  const look = (): void => {
    timer = 0;
    if (asking || !state.alive.value || !state.looksInside.value) return;
    asking = true;
    asked = stamp();
    host
      .describe()
      .then(
        (found) => (state.description.value = found),
        () => undefined,
      )
      .finally(() => {
        asking = false;
        // Another frame was shown in the meantime; it gets its own description.
        if (asked !== stamp()) later();
      });
  };
  const later = (): void => {
    if (timer === 0) timer = window.setTimeout(look, state.shown.value.playing ? lookEvery : 0);
  };
  return effect(() => {
    if (state.looksInside.value && stamp() !== asked) later();
  });
}

/** Identifies what a description belongs to: it changes with every save, frame, dial and seed. */
function stamp(): string {
  return [state.loads.value, state.shown.value.frame, JSON.stringify(state.dialValues.value)].join(' ');
}
