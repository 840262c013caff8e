/// <reference types="vite/client" />
import {
  addHostCode,
  asSketchError,
  isSketch,
  makeTrack,
  parseDial,
  playTrack,
  Recorder,
  SketchError,
  writeTrack,
  type Sketch,
  type SourceLine,
} from 'frame-juggler';
import { Player } from 'frame-juggler/browser';
import { DialPanel } from './dial-panel.ts';
import { changedEvent, dialsPath, setupPath, sketchModule, sourcePath, trackPath, type Setup } from './protocol.ts';

/*
 * The page that `juggle play` opens: it shows one sketch, follows every save of its file, and keeps the last good
 * picture under whatever goes wrong.
 */

addHostCode(new URL('main.js', import.meta.url).href);

const element = <T extends HTMLElement>(id: string): T => document.getElementById(id) as T;
const stage = element('stage');
const canvas = element<HTMLCanvasElement>('canvas');
const failure = element('failure');
const playButton = element<HTMLButtonElement>('play');
const frameOutput = element<HTMLOutputElement>('frame');

const seedInput = element<HTMLInputElement>('seed');
const recordButton = element<HTMLButtonElement>('record');
const note = element<HTMLOutputElement>('note');

let player: Player | undefined;
let panel: DialPanel | undefined;
/** What was chosen here, and stays so when the sketch is saved. */
let seed: number | undefined;
let dials: Record<string, unknown> = {};
let setup: Setup | undefined;
let recorder: Recorder | undefined;
let recording = false;

/** The scale that fits a sketch into the stage. */
function fitted(sketch: Sketch): number {
  const style = getComputedStyle(stage);
  const room = {
    width: stage.clientWidth - parseFloat(style.paddingLeft) - parseFloat(style.paddingRight),
    height: stage.clientHeight - parseFloat(style.paddingTop) - parseFloat(style.paddingBottom),
  };
  return Math.max(0.05, Math.min(room.width / sketch.canvas.width, room.height / sketch.canvas.height));
}

function fit(sketch: Sketch): number {
  const scale = fitted(sketch);
  canvas.style.width = `${sketch.canvas.width * scale}px`;
  canvas.style.height = `${sketch.canvas.height * scale}px`;
  return scale * devicePixelRatio;
}

/** Shows a sketch from frame 0 on, or from the frame that was shown before. */
function present(sketch: Sketch, from: 'start' | 'frame'): void {
  const before = player;
  const playing = before?.playing ?? true;
  const frame = before?.frame ?? 0;
  before?.stop();
  hideFailure();
  document.title = sketch.title;
  canvas.setAttribute('aria-label', sketch.title);
  const density = fit(sketch);
  const track = setup?.track;
  player = new Player(sketch, canvas, {
    density,
    seed: seed ?? setup?.seed ?? track?.seed ?? sketch.seed,
    dials,
    autoplay: recording || playing,
    input: (page) => {
      if (track !== undefined && !recording) return playTrack(track);
      recorder = new Recorder(page);
      return recorder;
    },
    onLoad: (done, total) => {
      frameOutput.textContent = `Loaded ${done} of ${total} files`;
    },
    onFrame: refresh,
    onError: (error) => void showFailure(error),
  });
  panel = new DialPanel(element('dials'), sketch.dials, turn);
  panel.show(player.dials);
  element('tune').hidden = Object.keys(sketch.dials).length === 0;
  // A save changes the sketch, not the place one was looking at.
  if (from === 'frame' && frame > 0) void player.goTo(frame);
  refresh(player);
}

/** Shows the same sketch once more, as something else was chosen for it. */
function restart(from: 'start' | 'frame'): void {
  if (player === undefined) return;
  try {
    present(player.sketch, from);
  } catch (thrown) {
    void showFailure(asSketchError(thrown));
  }
}

function turn(name: string, value: unknown): void {
  dials[name] = value;
  void player?.setDial(name, value).then(() => panel?.show(player?.dials ?? {}));
}

function refresh(shown: Player): void {
  playButton.textContent = shown.playing ? 'Pause' : 'Play';
  playButton.title = `${shown.playing ? 'Pause' : 'Play'} (space)`;
  const { frames, frameRate, title } = shown.sketch;
  const of = Number.isFinite(frames) && frames > 1 ? ` of ${frames}` : '';
  frameOutput.textContent = `Frame ${shown.frame}${of} · ${shown.seconds.toFixed(2)} s`;
  if (document.activeElement !== seedInput) seedInput.value = String(shown.seed);
  recordButton.hidden = !shown.listening && !recording;
  recordButton.textContent = recording ? 'Stop recording' : 'Record input';
  recordButton.setAttribute('aria-pressed', String(recording));
  element('about').textContent =
    `${title} · ${shown.sketch.canvas.width} × ${shown.sketch.canvas.height} · ${frameRate} frames/s`;
  // A recording holds one round: what comes after it begins anew.
  if (recording && shown.frame === frames - 1) void stopRecording();
}

async function load(): Promise<void> {
  try {
    const module = (await import(/* @vite-ignore */ `${sketchModule}?t=${Date.now()}`)) as { default?: unknown };
    if (!isSketch(module.default))
      throw new SketchError({
        problem: 'the file does not export a sketch as its default',
        expected: 'expected export default defineSketch({ … })',
      });
    setup ??= await begin();
    for (const [name, text] of setup.dialTexts) dials[name] ??= parseDial(module.default.dials, name, text);
    present(module.default, 'frame');
  } catch (thrown) {
    player?.pause();
    await showFailure(await explainLoad(thrown));
  }
}

/** How the run is to begin: the options of the command, and the kept dials. */
async function begin(): Promise<Setup> {
  const response = await fetch(setupPath);
  if (!response.ok) throw new SketchError({ problem: await response.text() });
  const answer = (await response.json()) as Setup;
  dials = { ...answer.dials };
  return answer;
}

/** Sends something to be kept beside the sketch, and says where it is. */
async function keep(path: string, what: unknown): Promise<void> {
  const response = await fetch(path, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: typeof what === 'string' ? what : JSON.stringify(what),
  });
  const answer = await response.text();
  note.textContent = response.ok ? `Kept in ${answer}` : answer;
  setTimeout(() => (note.textContent = ''), 8000);
}

function startRecording(): void {
  recording = true;
  restart('start');
}

async function stopRecording(): Promise<void> {
  if (!recording || player === undefined) return;
  recording = false;
  const { sketch, seed: used } = player;
  player.pause();
  refresh(player);
  const { width, height } = sketch.canvas;
  const { title, frameRate } = sketch;
  const track = makeTrack({ title, width, height, frameRate, seed: used }, recorder?.events ?? []);
  await keep(trackPath, writeTrack(track));
}

/** Why a module could not be loaded: the browser only says that it could not, the server knows more. */
async function explainLoad(thrown: unknown): Promise<SketchError> {
  if (thrown instanceof TypeError && /dynamically imported module/.test(thrown.message)) {
    const response = await fetch(`${sketchModule}?why`);
    if (!response.ok) return new SketchError({ problem: await response.text() });
  }
  return asSketchError(thrown);
}

async function showFailure(error: SketchError): Promise<void> {
  const source = error.source && (await original(error.source));
  const caller = error.caller && (await original(error.caller));
  if (source) error.at(source, caller);
  const frame = error.frame === undefined ? '' : ` in frame ${error.frame}`;
  element('failure-place').textContent = source
    ? `${source.file.slice(source.file.lastIndexOf('/') + 1)}, line ${source.line}${frame}`
    : `The sketch cannot be shown${frame}`;
  element('failure-reason').textContent = error.reason;
  failure.hidden = false;
}

function hideFailure(): void {
  failure.hidden = true;
}

/** The line as it was written, for a line as it was served. */
async function original(source: SourceLine): Promise<SourceLine> {
  const query = new URLSearchParams({ file: source.file, line: String(source.line), column: String(source.column) });
  const response = await fetch(`${sourcePath}?${query}`).catch(() => undefined);
  return response?.ok ? ((await response.json()) as SourceLine) : source;
}

function toggle(): void {
  if (player?.playing) player.pause();
  else {
    hideFailure();
    player?.play();
  }
}

playButton.addEventListener('click', toggle);
element('advance').addEventListener('click', () => void player?.advance());
element('restart').addEventListener('click', () => void player?.restart());
element('keep').addEventListener('click', () => void keep(dialsPath, player?.dials ?? {}));
element('reset').addEventListener('click', () => {
  dials = {};
  restart('frame');
});
seedInput.addEventListener('change', () => chooseSeed(seedInput.valueAsNumber));
element('another').addEventListener('click', () => chooseSeed((player?.seed ?? 0) + 1));
recordButton.addEventListener('click', () => void (recording ? stopRecording() : startRecording()));

function chooseSeed(wanted: number): void {
  if (!Number.isInteger(wanted) || wanted < 0) return;
  seed = wanted;
  seedInput.value = String(wanted);
  restart('frame');
}
document.addEventListener('keydown', (event) => {
  const onButton = event.target instanceof HTMLButtonElement;
  if (event.ctrlKey || event.metaKey || event.altKey) return;
  // Controls have keys of their own, and so has a sketch that was clicked on.
  if (event.target instanceof HTMLInputElement || event.target instanceof HTMLSelectElement) return;
  if (event.target === canvas && player?.listening) return;
  if (event.key === ' ' && !onButton) toggle();
  else if (event.key === 'ArrowRight') void player?.advance();
  else if (event.key === 'Home') void player?.restart();
  else return;
  event.preventDefault();
});

let resized = 0;
new ResizeObserver(() => {
  cancelAnimationFrame(resized);
  resized = requestAnimationFrame(() => player && void player.setDensity(fit(player.sketch)));
}).observe(stage);

import.meta.hot?.on(changedEvent, () => void load());
void load();
