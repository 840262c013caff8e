import { render } from 'preact';
import { effect } from '@preact/signals';
import { addHostCode } from 'frame-juggler';
import { App } from '../../../packages/cli/src/viewer/page/app.tsx';
import { SketchHost } from '../../../packages/cli/src/viewer/page/host.ts';
import { serveBy, type Server } from '../../../packages/cli/src/viewer/page/server.ts';
import * as state from '../../../packages/cli/src/viewer/page/state.ts';
import type { Asked, Begin, FromFrame, ToFrame } from './messages.ts';

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

/** The questions that the page has not answered yet. */
const asked = new Map<number, { resolve: (answer: never) => void; reject: (problem: Error) => void }>();
let questions = 0;
/** Asks the page, which has the text of the sketch. */
function ask<Name extends keyof Asked>(what: Name, of: Asked[Name]['of']): Promise<Asked[Name]['answer']> {
  const number = ++questions;
  tell({ type: 'ask', number, what, of } as FromFrame);
  return new Promise((resolve, reject) => asked.set(number, { resolve, reject }));
}

const inThisPage: Server = {
  keepsFiles: false,
  setup: () => Promise.resolve({ patience: 3, dialFile: '', file, dialTexts: [], ...begin }),
  sketch: () => ({ module }),
  // The compiler keeps lines where they are.
  originals: (sources) => Promise.resolve(sources.map((source) => ({ ...source, file }))),
  keepDials: nowhere,
  keepTrack: () => Promise.resolve('this page, until it is closed'),
  print: () => Promise.resolve(),
  call: (source) => ask('call', source),
  tryOut: (change) => ask('tryOut', change),
  change: (change) => ask('change', change),
  undo: () => ask('undo', undefined),
  render: nowhere,
  stuck: () => Promise.resolve(null),
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
  if (data.type === 'answer') {
    const question = asked.get(data.to);
    asked.delete(data.to);
    if (data.problem === undefined) question?.resolve(data.answer as never);
    else question?.reject(new Error(data.problem));
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
