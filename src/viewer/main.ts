/// <reference types="vite/client" />
import { asSketchError, SketchError, type SourceLine } from '../error.ts';
import { Player } from '../browser/player.ts';
import { isSketch, type Sketch } from '../sketch/sketch.ts';
import { changedEvent, sketchModule, sourcePath } from './protocol.ts';

/*
 * The page that `juggle play` opens: it shows one sketch, follows every save of its file, and keeps the last good
 * picture under whatever goes wrong.
 */

const element = <T extends HTMLElement>(id: string): T => document.getElementById(id) as T;
const stage = element('stage');
const canvas = element<HTMLCanvasElement>('canvas');
const failure = element('failure');
const playButton = element<HTMLButtonElement>('play');
const frameOutput = element<HTMLOutputElement>('frame');

let player: Player | undefined;

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

function present(sketch: Sketch): void {
  const before = player;
  const playing = before?.playing ?? !failure.hidden;
  before?.end();
  hideFailure();
  document.title = sketch.title;
  canvas.setAttribute('aria-label', sketch.title);
  const density = fit(sketch);
  player = new Player(sketch, canvas, {
    density,
    playing: before === undefined || playing,
    onChange: refresh,
    onError: (error) => void showFailure(error),
  });
  // A save changes the sketch, not the place one was looking at.
  if (before !== undefined && before.frame > 0) void player.goTo(before.frame);
  refresh(player);
}

function refresh(shown: Player): void {
  playButton.textContent = shown.playing ? 'Pause' : 'Play';
  playButton.title = `${shown.playing ? 'Pause' : 'Play'} (space)`;
  const { frames, frameRate, title } = shown.sketch;
  const of = Number.isFinite(frames) && frames > 1 ? ` of ${frames}` : '';
  frameOutput.textContent = `Frame ${shown.frame}${of} · ${shown.seconds.toFixed(2)} s`;
  element('about').textContent =
    `${title} · ${shown.sketch.canvas.width} × ${shown.sketch.canvas.height} · ${frameRate} frames/s · seed ${shown.seed}`;
}

async function load(): Promise<void> {
  try {
    const module = (await import(/* @vite-ignore */ `${sketchModule}?t=${Date.now()}`)) as { default?: unknown };
    if (!isSketch(module.default))
      throw new SketchError({
        problem: 'the file does not export a sketch as its default',
        expected: 'expected export default defineSketch({ … })',
      });
    present(module.default);
  } catch (thrown) {
    player?.pause();
    await showFailure(await explainLoad(thrown));
  }
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
  if (source) error.at(source);
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
document.addEventListener('keydown', (event) => {
  const onButton = event.target instanceof HTMLButtonElement;
  if (event.ctrlKey || event.metaKey || event.altKey) return;
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
