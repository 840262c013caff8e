import {
  addHostCode,
  asLoadError,
  asSketchError,
  checkSketch,
  cssColor,
  describeFrame,
  fitDials,
  isSketch,
  itemsAt,
  loadFonts,
  makeTrack,
  parseDial,
  readColor,
  Run,
  SketchError,
  titledAfter,
  type Dial,
  type RunCall,
  type Sketch,
} from 'frame-juggler';
import { Canvas2dSurface, pageHost } from 'frame-juggler/browser';
import { Calls, type CallKind } from '../../calls.ts';
import type {
  Beginning,
  DialValue,
  Fault,
  Question,
  QuestionName,
  Questions,
  SketchFacts,
  ToPage,
  ToWorker,
} from '../messages.ts';
import { notesOn } from './first-look.ts';
import { Playback } from './playback.ts';
import { listenToConsole, noteChance, Remarks } from './remarks.ts';

/*
 * The worker in which a sketch runs. Whatever the sketch does, a loop without an end among it, the page stays awake and
 * can end this worker; `calls` tells it which of the sketch's code is running.
 */

addHostCode(import.meta.url);
// What stands there for modules of Node's, and the like.
addHostCode(new URL('/@id/', location.href).href);

const scope = self as unknown as {
  postMessage(message: ToPage, transfer?: Transferable[]): void;
  onmessage: (event: MessageEvent<ToWorker>) => void;
};
const tell = (message: ToPage): void => scope.postMessage(message);
const remarks = new Remarks((said) => tell({ type: 'remarks', remarks: said }));

let playback: Playback | undefined;
let calls: Pick<Calls, 'begin' | 'end'> = { begin: tellBegin, end: () => tell({ type: 'running', call: undefined }) };
let told = 0;
let toldDials = '';
let canvas: OffscreenCanvas | undefined;

const handlers: { [Type in ToWorker['type']]: (message: Extract<ToWorker, { type: Type }>) => void } = {
  open: (message) => void open(message),
  play: () => playback?.play(),
  pause: () => playback?.pause(),
  restart: () => playback?.restart(),
  goTo: ({ frame, wish }) => playback?.goTo(frame, wish),
  speed: ({ speed }) => playback?.setSpeed(speed),
  range: ({ range }) => playback?.setRange(range),
  density: ({ density }) => playback?.setDensity(density),
  exact: ({ exact }) => playback?.setExact(exact),
  leaveOut: ({ items }) => playback?.leaveOut(items),
  input: ({ events }) => playback?.addInput(events),
  dial({ name, value }) {
    try {
      playback?.setDial(name, value);
    } catch (thrown) {
      tell({ type: 'misfit', name, reason: asSketchError(thrown).reason });
    }
    tellDials(true);
  },
  ask: ({ id, question }) => void answer(id, question),
};

/** What the page wants before the sketch is there. */
let waiting: ToWorker[] = [];
const handle = (message: ToWorker): void => (handlers[message.type] as (message: ToWorker) => void)(message);
scope.onmessage = ({ data }) => {
  if (data.type === 'open' || playback !== undefined) handle(data);
  else waiting.push(data);
};
/** What a sketch throws while none of its calls is running, as in a timer: playing on would hide it. */
function uncaught(event: Event, thrown: unknown): void {
  event.preventDefault();
  playback?.pause();
  failed(asSketchError(thrown));
}
self.addEventListener('error', (event) => uncaught(event, event.error ?? event.message));
self.addEventListener('unhandledrejection', (event) => uncaught(event, event.reason));
tell({ type: 'ready' });
// One that waits for the next save has the time to load what is heavy.
const idle = setTimeout(() => void loadFonts(), 500);

async function open(message: Extract<ToWorker, { type: 'open' }>): Promise<void> {
  clearTimeout(idle);
  ({ canvas } = message);
  if (message.calls !== undefined) calls = new Calls(message.calls);
  try {
    listenToConsole(remarks);
    noteChance(remarks);
    const sketch = await load(message);
    begin(sketch, message.beginning);
  } catch (thrown) {
    failed(asSketchError(thrown));
  }
}

/** Reports that one of the sketch's functions begins. The message arrives even if that function never returns. */
function tellBegin(kind: CallKind, frame = 0): void {
  tell({ type: 'running', call: { kind, frame, number: ++told } });
}

async function load({ module, why }: Extract<ToWorker, { type: 'open' }>): Promise<Sketch> {
  // The server knows why a module cannot be loaded; the browser only says that it could not.
  const problem = why === undefined ? '' : await (await fetch(why)).text();
  if (problem !== '') throw new SketchError({ problem });
  calls.begin('load');
  try {
    const loaded = (await import(/* @vite-ignore */ module)) as { default?: unknown; file?: string };
    if (isSketch(loaded.default)) return titledAfter(loaded.default, loaded.file ?? '');
  } catch (thrown) {
    throw asLoadError(thrown);
  } finally {
    calls.end();
  }
  throw new SketchError({
    problem: 'the file does not export a sketch as its default',
    expected: 'expected export default defineSketch({ … })',
  });
}

function begin(sketch: Sketch, beginning: Beginning): void {
  const { track, done } = beginning;
  const seed = beginning.seed ?? track?.seed ?? sketch.seed;
  const { values, misfits } = fitDials(sketch.dials, beginning.dials);
  for (const [name, text] of beginning.dialTexts)
    if (!Object.hasOwn(values, name)) values[name] = parseDial(sketch.dials, name, text);
  playback = new Playback(sketch, canvas!, {
    seed,
    dials: values,
    density: beginning.density,
    exact: beginning.exact,
    track,
    limit,
    onLoad: (done, total) => tell({ type: 'loading', done, total }),
    onShown(shown) {
      tell({ type: 'shown', shown });
      tellDials();
    },
    onTheWay: (frame, target) => tell({ type: 'onTheWay', frame, target }),
    onError: failed,
  });
  if (done !== undefined) playback.recall(done, beginning.frame);
  tell({ type: 'opened', facts: factsOf(sketch, playback.run) });
  tellDials(true);
  for (const { name, reason } of misfits) tell({ type: 'misfit', name, reason });
  playback.setSpeed(beginning.speed);
  playback.setRange(beginning.range);
  // A save changes the sketch, not the place one was looking at.
  playback.goTo(beginning.frame, beginning.wish);
  if (beginning.playing) playback.play();
  for (const message of waiting) handle(message);
  waiting = [];
  setTimeout(() => void firstLook(playback!), firstLookAfter);
}

/** Milliseconds after which a new sketch is looked over. */
const firstLookAfter = 400;

/** Notes on a newly loaded sketch that are cheap to find and seldom intended. */
async function firstLook(playing: Playback): Promise<void> {
  try {
    for (const { text, source } of await notesOn(playing)) remarks.add('note', text, source);
  } catch {
    // Errors of the sketch are reported when it is shown.
  }
}

/** Calls a sketch's function; the page sees which, and for how long. */
function limit<T>(call: () => T, { name, frame }: RunCall): T {
  // Loading files is the library's own work.
  if (name === 'load') return call();
  calls.begin(name, frame);
  let result: T;
  try {
    result = call();
  } catch (thrown) {
    calls.end();
    throw thrown;
  }
  if (result instanceof Promise) return result.finally(() => calls.end()) as T;
  calls.end();
  return result;
}

function failed(error: SketchError): void {
  remarks.flush();
  tell({ type: 'failed', fault: faultOf(error) });
}

const faultOf = ({ reason, source, caller, frame }: SketchError): Fault => ({ reason, source, caller, frame });

function factsOf(sketch: Sketch, run: Run): SketchFacts {
  const { title, frameRate, frames, carry } = sketch;
  const { width, height, view, seed } = run;
  const dials = Object.entries(sketch.dials).map(([name, { label = name, control, initial }]) => ({
    name,
    label,
    control,
    initial: plainValue(sketch.dials[name], initial),
  }));
  return { title, width, height, view, frameRate, frames, carry, seed, dials };
}

/** Tells what every dial is at, if that is another than was told; what was turned by hand is as it was in each frame. */
function tellDials(asked = false): void {
  if (playback === undefined) return;
  const { sketch, dials } = playback;
  const values = Object.fromEntries(
    Object.entries(dials).map(([name, value]) => [name, plainValue(sketch.dials[name], value)]),
  );
  const written = JSON.stringify(values);
  if (!asked && written === toldDials) return;
  toldDials = written;
  tell({ type: 'dials', values });
}

/** A dial's value as a message can carry it. */
function plainValue({ control }: Dial, value: unknown): DialValue {
  return control.type === 'color' && typeof value !== 'string'
    ? cssColor(readColor('dials', 'value', value).packed)
    : (value as DialValue);
}

const answers: {
  [Name in QuestionName]: (
    given: Questions[Name]['given'],
    playing: Playback,
  ) => Questions[Name]['answer'] | Promise<Questions[Name]['answer']>;
} = {
  async variation({ seed, dials, frame, width }, { sketch, run }) {
    const own = new Run(sketch, {
      seed: seed ?? run.seed,
      dials: { ...run.dials, ...dials },
      density: width / run.width,
      host: pageHost,
      limit,
    });
    const surface = new Canvas2dSurface(new OffscreenCanvas(1, 1));
    await own.drawTo(frame, -1, (painted) => surface.draw(painted));
    return (surface.element as OffscreenCanvas).transferToImageBitmap();
  },
  png: () => canvas!.convertToBlob({ type: 'image/png' }),
  track: (_, { run }) => makeTrack(run),
  checkup(_, { sketch, run: { seed, dials } }) {
    let told = 0;
    return checkSketch(sketch, {
      open: (like) => new Run(like, { seed, dials, host: pageHost, limit }),
      now: () => performance.now(),
      onProgress(done, total) {
        if (performance.now() - told < 200) return;
        told = performance.now();
        tell({ type: 'onTheWay', frame: done, target: total, checking: true });
      },
    });
  },
  description: async (_, playing) => describeFrame(await playing.trace()),
  itemsAt: async ({ x, y }, playing) => itemsAt(await playing.trace(), x, y).map((place) => place + 1),
  colorAt({ x, y }) {
    const { width = 1, height = 1 } = canvas ?? {};
    const place = [Math.floor(x * width), Math.floor(y * height), 1, 1] as const;
    const data = canvas?.getContext('2d')?.getImageData(...place).data ?? [0, 0, 0, 0];
    const [red, green, blue, alpha] = data;
    return alpha === 255
      ? `rgb(${red} ${green} ${blue})`
      : `rgb(${red} ${green} ${blue} / ${(alpha / 255).toFixed(3)})`;
  },
};

async function answer(id: number, { name, given }: Question): Promise<void> {
  try {
    if (playback === undefined) throw new SketchError({ problem: 'there is no sketch yet' });
    const found = await (answers[name] as (given: unknown, playing: Playback) => unknown)(given, playback);
    const pictures = Array.isArray(found) ? found.filter((one) => one instanceof ImageBitmap) : [];
    scope.postMessage({ type: 'answer', id, answer: found }, pictures);
  } catch (thrown) {
    tell({ type: 'answer', id, fault: faultOf(asSketchError(thrown)) });
  }
}
