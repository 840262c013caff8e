import { render } from 'preact';
import { effect } from '@preact/signals';
import { addHostCode } from 'frame-juggler';
import { App } from '../../../packages/cli/src/viewer/page/app.tsx';
import { SketchHost } from '../../../packages/cli/src/viewer/page/host.ts';
import { serveBy, type Server } from '../../../packages/cli/src/viewer/page/server.ts';
import * as state from '../../../packages/cli/src/viewer/page/state.ts';
import type { Begin, FromFrame, ToFrame } from './messages.ts';

/*
 * The viewer inside a page of the documentation: the sketch comes from the page around it, compiled already, and there is
 * no file to keep anything in.
 */

addHostCode(import.meta.url);

const file = 'sketch.ts';
const tell = (message: FromFrame): void => parent.postMessage(message, location.origin);

let module = '';
let begin: Begin = { dials: {} };

const nowhere = (): Promise<never> => Promise.reject(new Error('here is no file to write it in'));
const inThisPage: Server = {
  keepsFiles: false,
  setup: () => Promise.resolve({ patience: 3, dialFile: '', file, dialTexts: [], ...begin }),
  sketch: () => ({ module }),
  // The compiler keeps lines where they are.
  originals: (sources) => Promise.resolve(sources.map((source) => ({ ...source, file }))),
  keepDials: nowhere,
  keepTrack: () => Promise.resolve('this page, until it is closed'),
  print: () => Promise.resolve(),
  call: () => Promise.resolve(null),
  tryOut: nowhere,
  change: nowhere,
  undo: nowhere,
  render: nowhere,
  edit: (_, line) => Promise.resolve(tell({ type: 'line', line })),
};
serveBy(inThisPage);

const place = document.createElement('div');
place.id = 'picture';
const host = new SketchHost(place);
render(<App host={host} place={place} />, document.getElementById('app')!);

addEventListener('message', ({ data, origin, source }: MessageEvent<ToFrame>) => {
  if (origin !== location.origin || source !== parent) return;
  if (data.type === 'look') {
    document.documentElement.style.colorScheme = data.dark ? 'dark' : 'light';
    return;
  }
  URL.revokeObjectURL(module);
  module = URL.createObjectURL(new Blob([data.code], { type: 'text/javascript' }));
  if (data.begin !== undefined) begin = data.begin;
  void host.load();
});

effect(() => {
  const { value: failure } = state.failure;
  tell({
    type: 'fault',
    fault: failure && { reason: failure.line === undefined ? `${failure.place}: ${failure.reason}` : failure.reason, line: failure.line }, // prettier-ignore
  });
});
effect(() => {
  const { value: facts } = state.facts;
  if (facts === undefined) return;
  const turned = facts.dials
    .map(({ name, initial }) => [name, state.dialValues.value[name], initial] as const)
    .filter(([, value, initial]) => value !== undefined && JSON.stringify(value) !== JSON.stringify(initial))
    .map(([name, value]) => [name, value]);
  // Read, so that this runs again as it changes.
  void state.seed.value;
  const seed = host.chosenSeed;
  tell({ type: 'chosen', begin: { dials: Object.fromEntries(turned), ...(seed !== undefined && { seed }) } });
});
tell({ type: 'ready' });
