/* eslint no-console: off -- what a call gives is printed */
/*
 * How each option is used that changes no picture, or not the picture of one frame: by the call or the type that has it.
 * They are type-checked, and the reference shows their lines.
 */
import { readFileSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import {
  asset,
  checkSketch,
  defineSketch,
  dial,
  explainFrame,
  playTrack,
  readTrack,
  Run,
  type ExplainHead,
  type Frame,
  type GatherSetting,
  type Sketch,
} from 'frame-juggler';
import { mount, pageHost } from 'frame-juggler/browser';
import {
  check,
  ChunkJoiner,
  ChunkRenderer,
  compare,
  explain,
  keepCheckpoints,
  render,
  strip,
  writeAtomically,
} from 'frame-juggler/node';
import { looksLike } from 'frame-juggler/testing';

declare const harbor: Sketch;
declare const film: Buffer;
declare const frame: Frame;
declare const head: ExplainHead;
declare const gathering: GatherSetting;
declare const before: Sketch;
declare const source: string;

export const optionUses: Readonly<Record<string, Readonly<Record<string, () => unknown>>>> = {
  SketchDefinition: {
    title: () => defineSketch({ title: 'Harbor', paint() {} }),
    canvas: () => defineSketch({ canvas: { width: 800, height: 450 }, paint() {} }),
    frameRate: () => defineSketch({ frameRate: 12, paint() {} }),
    duration: () => defineSketch({ duration: 4, paint() {} }),
    repeat: () => defineSketch({ duration: 4, repeat: false, paint() {} }),
    still: () => defineSketch({ still: true, paint() {} }),
    seed: () => defineSketch({ seed: 7, paint() {} }),
    accept: () => defineSketch({ accept: { covered: 'the moon sets' }, paint() {} }),
    assets: () => defineSketch({ assets: { tides: asset.table(new URL('./tides.csv', import.meta.url)) }, paint() {} }),
    dials: () => defineSketch({ dials: { swell: dial.number(14, { min: 0, max: 60 }) }, paint() {} }),
    start: () => defineSketch({ start: ({ random }) => ({ x: random.between(0, 640) }), paint() {} }),
    step: () => defineSketch({ start: () => ({ x: 0 }), step: (state) => void (state.x += 2), paint() {} }),
    paint: () => defineSketch({ paint: (canvas) => canvas.circle({ at: [320, 180], radius: 80 }) }),
  },
  NumberDialOptions: {
    label: () => dial.number(14, { label: 'how high the swell is' }),
    min: () => dial.number(14, { min: 0 }),
    max: () => dial.number(14, { min: 0, max: 60 }),
    step: () => dial.number(14, { min: 0, max: 60, step: 2 }),
  },

  Run: {
    density: () => new Run(harbor, { density: 2 }),
    width: () => new Run(harbor, { width: 1920 }),
    height: () => new Run(harbor, { height: 1080 }),
    seed: () => new Run(harbor, { seed: 7 }),
    host: () => new Run(harbor, { host: pageHost }),
    onLoad: () => new Run(harbor, { onLoad: (loaded, total) => console.log(`${loaded} of ${total} files`) }),
    dials: () => new Run(harbor, { dials: { swell: 20 } }),
    async input() {
      const track = readTrack('harbor.input.json', await readFile('harbor.input.json', 'utf8'));
      return new Run(harbor, { input: () => playTrack(track) });
    },
    limit: () => new Run(harbor, { limit: (work) => work() }),
    between: () => new Run(harbor, { between: () => new Promise((resolve) => setTimeout(resolve)) }),
  },
  checkSketch: {
    frames: () => checkSketch(harbor, { ...gathering, frames: [0, 59] }),
    open: () => checkSketch(harbor, { ...gathering, open: (sketch) => new Run(sketch, { seed: 7 }) }),
    now: () => checkSketch(harbor, { ...gathering, now: () => performance.now() }),
    read: () => checkSketch(harbor, { ...gathering, read: (file) => readFileSync(file, 'utf8') }),
    onProgress: () => checkSketch(harbor, { ...gathering, onProgress: (done) => console.log(done) }),
  },
  explainFrame: {
    pixel: () => explainFrame(frame, head, { pixel: [320, 180] }),
    item: () => explainFrame(frame, head, { item: 3 }),
    line: () => explainFrame(frame, head, { line: 14 }),
  },

  mount: {
    density: () => mount(harbor, '#stage', { density: 1 }),
    width: () => mount(harbor, '#stage', { width: 320 }),
    height: () => mount(harbor, '#stage', { height: 180 }),
    seed: () => mount(harbor, '#stage', { seed: 7 }),
    onLoad: () => mount(harbor, '#stage', { onLoad: (loaded, total) => console.log(`${loaded} of ${total} files`) }),
    input: () => mount(harbor, '#stage', { input: (page) => page }),
    autoplay: () => mount(harbor, '#stage', { autoplay: false }),
    controls: () => mount(harbor, '#stage', { controls: true }),
    fit: () => mount(harbor, '#stage', { fit: 'contain' }),
    surface: () => mount(harbor, '#stage', { surface: 'raster' }),
    onError: () => mount(harbor, '#stage', { onError: (error) => alert(error.message) }),
    dials: () => mount(harbor, '#stage', { dials: { swell: 20 } }),
    onFrame: () => mount(harbor, '#stage', { onFrame: ({ seconds }) => console.log(seconds) }),
    onDial: () => mount(harbor, '#stage', { onDial: (name, value) => console.log(name, value) }),
  },

  render: {
    density: () => render(harbor, { to: 'harbor.png', density: 2 }),
    width: () => render(harbor, { to: 'harbor.png', width: 1920 }),
    height: () => render(harbor, { to: 'harbor.png', height: 1080 }),
    seed: () => render(harbor, { to: 'harbor.png', seed: 7 }),
    format: () => render(harbor, { to: '-', format: 'png' }),
    onLoad: () => render(harbor, { to: 'harbor.png', onLoad: (loaded, total) => console.log(loaded, 'of', total) }),
    dials: () => render(harbor, { to: 'harbor.png', dials: { swell: 20 } }),
    async input() {
      const input = readTrack('harbor.input.json', await readFile('harbor.input.json', 'utf8'));
      await render(harbor, { to: 'harbor.gif', input });
    },
    to: () => render(harbor, { to: 'frames/%04d.png' }),
    source: async () => render(harbor, { to: 'frames/%04d.png', source: await readFile('harbor.js', 'utf8') }),
    frame: () => render(harbor, { to: 'harbor.png', frame: 12 }),
    chroma: () => render(harbor, { to: 'harbor.y4m', chroma: '444' }),
    bits: () => render(harbor, { to: 'harbor.png', bits: 16 }),
    dither: () => render(harbor, { to: 'harbor.gif', dither: false }),
    timeLimit: () => render(harbor, { to: 'harbor.png', timeLimit: 60 }),
    signal: () => render(harbor, { to: 'harbor.gif', signal: AbortSignal.timeout(60_000) }),
    onProgress: () => render(harbor, { to: 'harbor.gif', onProgress: (done, total) => console.log(done, 'of', total) }),
    onCall: () => render(harbor, { to: 'harbor.gif', onCall: (call) => console.log(call) }),
    async checkpoints() {
      const source = await readFile('harbor.js', 'utf8');
      await render(harbor, { to: 'late.png', frame: 5400, checkpoints: 'checkpoints', source });
    },
    resume: () => render(harbor, { to: 'frames/%04d.png', resume: true }),
    overwrite: () => render(harbor, { to: 'frames/%04d.png', overwrite: true }),
    onNote: () => render(harbor, { to: 'harbor.png', onNote: (note) => console.warn(note) }),
    onProcess: () => render(harbor, { to: 'harbor.mp4', onProcess: (encoder) => console.log(encoder) }),
    seconds: () => render(harbor, { to: 'harbor.gif', seconds: [0, 4] }),
    frames: () => render(harbor, { to: 'harbor.gif', frames: [0, 59] }),
    shard: () => render(harbor, { to: 'frames/%04d.png', shard: [1, 4] }),
    threads: () => render(harbor, { to: 'frames/%04d.png', threads: 2 }),
  },
  ChunkOptions: {
    checkpoints: () => new ChunkRenderer(harbor, 'harbor.gif', { frames: [0, 59], checkpoints: 'checkpoints', source }),
  },
  OneChunkOptions: {
    under: async () => {
      const gull = defineSketch({
        carry: 0.9,
        paint: (canvas, { frame }) => canvas.dot({ at: [frame, 180], size: 8 }),
      });
      const renderer = new ChunkRenderer(gull, 'gull.gif', { frames: [0, 59] });
      const { picture } = await renderer.render([0, 29]); // there is one under a carry
      await renderer.render([30, 59], { under: picture! });
      await renderer.close();
    },
    signal: () => new ChunkRenderer(harbor, 'harbor.gif').render([0, 29], { signal: AbortSignal.timeout(60_000) }),
    onFrame: () => new ChunkRenderer(harbor, 'harbor.gif').render([0, 29], { onFrame: (done) => console.log(done) }),
  },
  keepCheckpoints: {
    checkpoints: () => keepCheckpoints(harbor, { checkpoints: 'checkpoints', source }),
    source: async () => keepCheckpoints(harbor, { checkpoints: 'kept', source: await readFile('harbor.js', 'utf8') }),
    frames: () => keepCheckpoints(harbor, { checkpoints: 'kept', source, frames: [0, 599] }),
    onNote: () => keepCheckpoints(harbor, { checkpoints: 'kept', source, onNote: (note) => console.warn(note) }),
  },
  JoinOptions: {
    onNote: () => ChunkJoiner.open(harbor, 'harbor.gif', { frames: [0, 59], onNote: (note) => console.warn(note) }),
  },
  strip: {
    to: () => strip(harbor, { to: 'strip.png' }),
    frame: () => strip(harbor, { to: 'strip.png', seeds: [1, 12], frame: 30 }),
    frames: () => strip(harbor, { to: 'strip.png', frames: [0, 59] }),
    seconds: () => strip(harbor, { to: 'strip.png', seconds: [2, 3] }),
    pick: () => strip(harbor, { to: 'strip.png', pick: [0, 12, 48] }),
    seeds: () => strip(harbor, { to: 'strip.png', seeds: [1, 12] }),
    vary: () => strip(harbor, { to: 'strip.png', vary: { swell: [0, 20, 40] } }),
    count: () => strip(harbor, { to: 'strip.png', count: 6 }),
    columns: () => strip(harbor, { to: 'strip.png', count: 6, columns: 3 }),
    tile: () => strip(harbor, { to: 'strip.png', tile: 320 }),
  },
  explain: {
    line: () => explain(harbor, { line: 14 }),
    frame: () => explain(harbor, { frame: 12 }),
    seconds: () => explain(harbor, { seconds: 1.5 }),
    pixel: () => explain(harbor, { pixel: [320, 180] }),
    item: () => explain(harbor, { item: 3 }),
    to: () => explain(harbor, { item: 3, to: 'item-3.png' }),
  },
  check: {
    frames: () => check(harbor, { frames: [0, 59] }),
  },
  compare: {
    to: () => compare(before, harbor, { to: 'difference.png' }),
    threshold: () => compare(before, harbor, { threshold: 0.02 }),
    tolerance: () => compare(before, harbor, { tolerance: 0.5 }),
  },
  writeAtomically: {
    patches: () => writeAtomically('film.mp4', film, { patches: true, claims: true }),
    claims: () => writeAtomically('film.mp4', film, { patches: false, claims: false }),
  },
  looksLike: {
    threshold: () => looksLike({ sketch: harbor }, 'kept/harbor.png', { threshold: 0.02 }),
    tolerance: () => looksLike({ sketch: harbor }, 'kept/harbor.png', { tolerance: 0.5 }),
    update: () => looksLike({ sketch: harbor }, 'kept/harbor.png', { update: 'all' }),
  },
};
