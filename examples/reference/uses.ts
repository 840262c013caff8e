/* eslint no-console: off -- what a call gives is printed */
/*
 * How those calls of the reference are used that draw no picture by themselves. They are type-checked, and the reference
 * shows their lines with the imports that they need.
 */
import { readFile, writeFile } from 'node:fs/promises';
import { pathToFileURL } from 'node:url';
import { expect } from '@jest/globals';
import {
  addHostCode,
  asLoadError,
  asset,
  asSketchError,
  Canvas,
  checkSketch,
  checkupLines,
  Color,
  colorInWords,
  compareFrames,
  defineSketch,
  describeFrame,
  dial,
  explainFrame,
  explanationLines,
  fitDials,
  frameAtRest,
  frameBytes,
  frameDifferenceLines,
  frameInWords,
  FrameReader,
  isSameFrame,
  isSketch,
  itemsAt,
  itemsOf,
  LiveClock,
  loadFonts,
  framesLeftBy,
  makeTrack,
  measureText,
  notesOnFrame,
  dialText,
  parseDial,
  Picture,
  pictureSize,
  playTrack,
  rasterize,
  RasterSurface,
  readTrack,
  renderPicture,
  rgb,
  rules,
  Run,
  SketchError,
  sketchLine,
  transformInWords,
  writeSvg,
  writeTrack,
  type InputSource,
  type Sketch,
  titledAfter,
} from 'frame-juggler';
import { Canvas2dSurface, ExactSurface, mount, mountWorker, pageHost } from 'frame-juggler/browser';
import { SketchElement } from 'frame-juggler/element';
import {
  check,
  CheckpointMismatch,
  checkSketchFile,
  sketchesIn,
  ChunkJoiner,
  ChunkRenderer,
  compare,
  comparePictures,
  comparisonLines,
  describe,
  dialFile,
  discardUnfinished,
  drawFrames,
  DrawingThreads,
  encodePng,
  explain,
  fileHost,
  formats,
  isPictureFile,
  isWrittenThrough,
  keepCheckpoints,
  loadSketch,
  openFolder,
  pictureDifferenceInWords,
  provenance,
  readDialFile,
  readPictureFile,
  readProvenance,
  readSketch,
  render,
  sketchExtensions,
  standardOutput,
  Stopped,
  strip,
  TookTooLong,
  whatIsThere,
  writeAtomically,
  writeDialFile,
} from 'frame-juggler/node';
import { lookMatchers, looksLike } from 'frame-juggler/testing';
import { perform } from 'frame-juggler/worker';

declare const harbor: Sketch;

export const uses: Readonly<Record<string, () => unknown>> = {
  defineSketch() {
    return defineSketch({
      title: 'Buoys',
      canvas: { width: 640, height: 360, background: 'teal' },
      duration: 4,
      dials: { count: dial.number(5, { min: 1, max: 12, step: 1 }) },
      start: ({ random }) => ({ phases: random.times(12, () => random.between(0, 4)) }),
      paint(canvas, { seconds, dials }, { phases }) {
        for (let i = 0; i < dials.count; i++)
          canvas.circle({ at: [60 + i * 48, 180 + 20 * Math.sin(seconds + phases[i])], radius: 16, fill: 'gold' });
      },
    });
  },
  isSketch() {
    if (!isSketch(harbor)) throw new Error('that is no sketch');
  },
  titledAfter() {
    const { title } = titledAfter(defineSketch({ paint() {} }), './mooring-buoy.ts');
    console.log(title); // Mooring buoy
  },
  frameAtRest() {
    console.log(frameAtRest(harbor)); // a frame from its middle
  },
  asset() {
    return defineSketch({
      assets: { tides: asset.table(new URL('./tides.csv', import.meta.url)) },
      paint(canvas, { assets }) {
        assets.tides.forEach((row, i) => canvas.dot({ at: [i * 4, Number(row.level)] }));
      },
    });
  },
  dial() {
    return defineSketch({
      dials: { swell: dial.number(14, { min: 0, max: 60 }), lamp: dial.color('#f1b64e'), fog: dial.toggle(false) },
      paint: (canvas, { dials }) => canvas.circle({ at: [320, 180], radius: dials.swell, fill: dials.lamp }),
    });
  },
  fitDials() {
    const { values, misfits } = fitDials(harbor.dials, { swell: 20, anchor: 3 });
    for (const { name, reason } of misfits) console.warn(`${name} is left out: ${reason}`);
    return values;
  },
  parseDial() {
    const swell = parseDial(harbor.dials, 'swell', '20');
    return new Run(harbor, { dials: { swell } });
  },
  dialText() {
    console.log(dialText({ x: 480, y: 360 })); // 480,360
  },
  async Run() {
    const run = new Run(harbor, { seed: 7, density: 2 });
    await run.goTo(30);
    const frame = await run.paint();
    console.log(frameInWords(frame));
  },
  async renderPicture() {
    const picture = await renderPicture(new Run(harbor), 12);
    console.log(picture.colorAt(10, 10));
  },
  async rasterize() {
    const run = new Run(harbor);
    await run.goTo(0);
    const { width, height, data } = rasterize(await run.paint());
    console.log(width, height, data.length);
  },
  async RasterSurface() {
    const surface = new RasterSurface();
    const run = new Run(harbor);
    await run.drawTo(20, -1, (frame) => surface.draw(frame)); // with the trails of the frames before
    return surface.picture();
  },
  Canvas() {
    // Outside of a sketch: a frame of one's own making.
    const canvas = new Canvas({ width: 320, height: 180, density: 2, background: rgb(18, 48, 63).packed, carry: 0 });
    canvas.circle({ at: [160, 90], radius: 60, fill: 'gold' });
    return rasterize(canvas.finish());
  },
  async FrameReader() {
    const run = new Run(harbor);
    await run.goTo(0);
    const reader = new FrameReader(await run.paint());
    for (const { label, fill } of reader.items()) console.log(label, fill);
  },
  PathBuilder() {
    return defineSketch({
      paint(canvas) {
        // `sail` is a PathBuilder.
        canvas.path({
          build: (sail) => sail.moveTo(0, 0).lineTo(0, -90).quadraticCurveTo([50, -40], [60, 0]).closePath(),
          fill: 'white',
        });
      },
    });
  },
  Color() {
    const { red, green, blue } = rgb(214, 96, 63);
    return new Color(red, green, blue, 0.5); // half as opaque
  },
  Picture() {
    const gray = new Picture(2, 1, Uint8Array.of(0, 0, 0, 255, 90, 90, 90, 255));
    gray.setColorAt(0, 0, 'teal');
    console.log(gray.colorAt(1, 0).red);
  },
  Font() {
    return defineSketch({
      assets: { letters: asset.font(new URL('./harbor.woff2', import.meta.url)) },
      paint(canvas, { assets: { letters } }) {
        const title = letters.draws('Føroyar') ? 'Føroyar' : 'Faroe Islands'; // `letters` is a Font
        canvas.text(title, { at: [320, 180], font: letters, size: 40 });
      },
    });
  },
  async writeSvg() {
    const run = new Run(harbor);
    await run.goTo(0);
    return writeSvg(await run.paint());
  },
  async frameBytes() {
    const run = new Run(harbor);
    await run.goTo(0);
    const frame = await run.paint();
    console.log(frameBytes(frame), pictureSize(frame), [...itemsOf(frame)].length);
  },
  async itemsOf() {
    const run = new Run(harbor);
    await run.goTo(0);
    for (const { shape, label } of itemsOf(await run.paint())) console.log(shape, label);
  },
  async pictureSize() {
    const run = new Run(harbor, { density: 2 });
    await run.goTo(0);
    const { width, height } = pictureSize(await run.paint());
    console.log(width, height);
  },
  async loadFonts() {
    await loadFonts(['regular', 'bold']);
    console.log(measureText('quay', { size: 20 }).width); // outside of a sketch
  },
  LiveClock() {
    const clock = new LiveClock(60);
    requestAnimationFrame((now) => console.log(clock.due(now))); // so many frames are due
  },
  framesLeftBy() {
    console.log(framesLeftBy(0.5)); // 8: after so many frames nothing is left of a picture
  },
  async makeTrack() {
    const track = readTrack('harbor.input.json', await readFile('harbor.input.json', 'utf8'));
    const run = new Run(harbor, { input: () => playTrack(track) });
    await run.goTo(30);
    console.log(writeTrack(makeTrack(run))); // of what happened up to frame 30
  },
  async playTrack() {
    const track = readTrack('harbor.input.json', await readFile('harbor.input.json', 'utf8'));
    return new Run(harbor, { input: () => playTrack(track) });
  },
  async readTrack() {
    return readTrack('harbor.input.json', await readFile('harbor.input.json', 'utf8'));
  },
  async writeTrack() {
    const run = new Run(harbor);
    await run.goTo(30);
    await writeFile('harbor.input.json', writeTrack(makeTrack(run)));
  },

  async describeFrame() {
    const run = new Run(harbor);
    await run.goTo(0);
    const { items } = describeFrame(await run.paint());
    for (const { number, shape, hidden } of items) console.log(number, shape, hidden ?? 'can be seen');
  },
  async explainFrame() {
    const run = new Run(harbor);
    await run.goTo(0);
    const { title, seed } = harbor;
    const explanation = explainFrame(await run.paint(), { title, seed, frame: 0 });
    console.log(explanationLines(explanation).join('\n'));
  },
  transformInWords() {
    console.log(transformInWords([0, 1, -1, 0, 480, 200])); // moved to 480, 200, turned by 90°
  },
  async frameInWords() {
    const run = new Run(harbor);
    await run.goTo(0);
    console.log(frameInWords(await run.paint()));
  },
  colorInWords() {
    console.log(colorInWords(0xffd5603f));
  },
  async itemsAt() {
    const run = new Run(harbor);
    await run.goTo(0);
    console.log(itemsAt(await run.paint(), 320, 180)); // topmost first
  },
  async compareFrames() {
    const run = new Run(harbor);
    await run.goTo(0);
    const before = await run.paint();
    await run.goTo(30);
    const after = await run.paint();
    console.log(frameDifferenceLines(compareFrames(before, after)).join('\n'));
  },
  async isSameFrame() {
    const run = new Run(harbor);
    await run.goTo(0);
    const [one, other] = [await run.paint(), await run.paint()];
    console.log(isSameFrame(one, other));
  },
  async notesOnFrame() {
    const run = new Run(harbor);
    await run.goTo(0);
    const [painted, again] = [await run.paint(), await run.paint()];
    for (const { text } of notesOnFrame(painted, again, 0)) console.log(text);
  },
  rules() {
    for (const { name, title } of rules) console.log(name, title);
  },
  async checkSketch() {
    const open = (sketch: Sketch): Run => new Run(sketch);
    const checkup = await checkSketch(harbor, { frames: [0, 59], open, now: () => performance.now(), onProgress() {} });
    console.log(checkupLines(checkup).join('\n'));
  },
  async asLoadError() {
    const file = './harbor.js';
    await import(file).catch((thrown: unknown) => console.error(asLoadError(thrown).message));
  },
  async asSketchError() {
    try {
      await new Run(harbor).goTo(30);
    } catch (thrown) {
      console.error(asSketchError(thrown).message);
    }
  },
  addHostCode() {
    addHostCode(new URL('.', import.meta.url).href); // errors name no line of this folder's files
  },
  sketchLine() {
    const line = sketchLine(); // within something that a sketch calls
    if (line !== undefined) console.log(`${line.file}:${line.line}`);
  },
  async SketchError() {
    try {
      await render(harbor, { to: 'harbor.png' });
    } catch (error) {
      if (error instanceof SketchError) console.error(error.reason, error.source?.line);
    }
  },

  async mount() {
    const player = mount(harbor, '#stage', { fit: 'contain', controls: true });
    await player.ready;
    player.addEventListener('frame', () => console.log(player.seconds));
  },
  async mountWorker() {
    const worker = new Worker(new URL('./harbor.worker.js', import.meta.url), { type: 'module' });
    const player = await mountWorker(worker, '#stage');
    player.pause();
  },
  perform() {
    perform(harbor); // all that the worker's file has to do
  },
  async Player() {
    const player = mount(harbor, '#stage', { autoplay: false });
    await player.goTo(60);
    player.play();
    player.stop(); // leaves the page as it was
  },
  async Canvas2dSurface() {
    const run = new Run(harbor, { host: pageHost });
    await run.goTo(0);
    const surface = new Canvas2dSurface(document.querySelector('canvas')!);
    surface.draw(await run.paint());
  },
  async ExactSurface() {
    const run = new Run(harbor, { host: pageHost });
    await run.goTo(0);
    const surface = new ExactSurface(document.querySelector('canvas')!);
    surface.draw(await run.paint());
  },
  PageInput() {
    const track: InputSource[] = [];
    mount(harbor, '#stage', { input: (page) => (track.push(page), page) }); // `page` is a PageInput
  },
  pageHost() {
    return new Run(harbor, { host: pageHost }); // files come from the page's own server
  },
  SketchElement() {
    const element = document.querySelector('juggle-sketch');
    if (element instanceof SketchElement) element.player?.pause();
  },

  async render() {
    await render(harbor, { to: 'harbor.gif', frames: [0, 59] });
    const png = await render(harbor, { frame: 12, density: 2 }); // without a place, the bytes
    console.log(png.length);
  },
  async strip() {
    await strip(harbor, { to: 'strip.png', count: 6 });
  },
  async DrawingThreads() {
    const threads = new DrawingThreads();
    for (let seed = 0; seed < 12; seed++) await render(harbor, { to: `harbor-${seed}.gif`, seed, threads });
    await threads.close();
  },
  async drawFrames() {
    for await (const { frame, width, height, data } of drawFrames(harbor, { frames: [0, 29] }))
      console.log(frame, width, height, data.length);
  },
  async loadSketch() {
    const sketch = await loadSketch('harbor.js');
    console.log(sketch.title);
  },
  checkSketchFile() {
    const changed = checkSketchFile('harbor.ts'); // throws what is wrong with the name
    console.log(new Date(changed).toISOString());
  },
  sketchesIn() {
    for (const file of sketchesIn('lessons')) console.log(file);
  },
  async readSketch() {
    const at = pathToFileURL('harbor.js').href;
    const sketch = readSketch('harbor.js', (await import(at)) as { default?: unknown });
    console.log(sketch.title);
  },
  sketchExtensions() {
    console.log(sketchExtensions.join(', ')); // .ts, .mts, .js, .mjs
  },
  async Stopped() {
    try {
      await render(harbor, { to: 'frames/%04d.png', frames: [0, 599], signal: AbortSignal.timeout(60_000) });
    } catch (error) {
      if (error instanceof Stopped) console.log(error.whatIsThere);
    }
  },
  whatIsThere() {
    console.log(whatIsThere('frames/%04d.png', 0, 12)); // frames/0000.png to frames/0011.png are there: …
  },
  async TookTooLong() {
    try {
      await render(harbor, { to: 'harbor.gif', timeLimit: 2 });
    } catch (error) {
      if (error instanceof TookTooLong) console.error(error.message);
    }
  },
  async ChunkRenderer() {
    const renderer = new ChunkRenderer(harbor, 'harbor.gif', { frames: [0, 59] });
    const chunk = await renderer.render([0, 29]); // to be handed to a ChunkJoiner
    await renderer.close();
    return chunk;
  },
  async ChunkJoiner() {
    const film = { frames: [0, 59] } as const;
    const renderer = new ChunkRenderer(harbor, 'harbor.gif', film); // it may be on another machine
    const joiner = await ChunkJoiner.open(harbor, 'harbor.gif', film);
    await joiner.add(await renderer.render([0, 29]));
    await joiner.add(await renderer.render([30, 59]));
    await joiner.finish();
    await renderer.close();
  },
  async keepCheckpoints() {
    const source = await readFile('harbor.js', 'utf8');
    await keepCheckpoints(harbor, { checkpoints: 'checkpoints', source, frames: [0, 599] });
    // A chunk far into the film is then reached from the one before it.
    const renderer = new ChunkRenderer(harbor, 'film.gif', { frames: [0, 599], checkpoints: 'checkpoints', source });
    await renderer.render([570, 599]);
    await renderer.close();
  },
  async CheckpointMismatch() {
    const still = { frame: 590, source: await readFile('harbor.js', 'utf8') };
    try {
      await render(harbor, { ...still, checkpoints: 'checkpoints' });
    } catch (error) {
      if (error instanceof CheckpointMismatch) console.error(error.message); // load the sketch anew, and do without
    }
  },
  async openFolder() {
    const store = await openFolder('.');
    console.log(await store.list('')); // the names in it
  },
  async discardUnfinished() {
    await discardUnfinished('harbor.gif'); // after a thread that wrote it was ended
  },
  async isWrittenThrough() {
    if (await isWrittenThrough('harbor.gif')) console.log('a pipe, or a device'); // here a file, written whole or not at all
  },
  async standardOutput() {
    await render(harbor, { to: standardOutput, format: 'y4m', frames: [0, 59] });
  },
  async isPictureFile() {
    if (isPictureFile('kept.png')) console.log((await readPictureFile('kept.png')).width);
  },
  async describe() {
    await readFile('tides.csv').catch((error: unknown) => console.error(describe(error, 'tides.csv')));
  },
  dialFile() {
    console.log(dialFile('harbor.ts')); // harbor.dials.json
  },
  async explain() {
    const { words } = await explain(harbor, { frame: 12 });
    console.log(words);
  },
  async check() {
    console.log(checkupLines(await check(harbor)).join('\n'));
  },
  async compare() {
    const comparison = await compare({ sketch: harbor, seed: 1 }, { sketch: harbor, seed: 2 });
    console.log(comparisonLines(comparison).join('\n'));
  },
  async comparePictures() {
    const [one, other] = [await readPictureFile('kept.png'), await readPictureFile('harbor.png')];
    console.log(pictureDifferenceInWords(comparePictures(one, other)));
  },
  async readProvenance() {
    console.log(readProvenance(await readFile('harbor.png'))); // title, seed, frame, run
  },
  provenance() {
    return provenance({ title: 'Harbor', seed: 1, frame: 12 });
  },
  async encodePng() {
    await writeAtomically('gull.png', encodePng(await renderPicture(new Run(harbor), 12)));
  },
  async writeAtomically() {
    await writeAtomically('notes.txt', Buffer.from('high water 04:12')); // there whole, or not at all
  },
  fileHost() {
    return new Run(harbor, { host: fileHost });
  },
  formats() {
    console.log(formats.join(', '));
  },
  async readDialFile() {
    console.log(await readDialFile('harbor.ts'));
  },
  async writeDialFile() {
    await writeDialFile('harbor.ts', { swell: 20 });
  },

  async looksLike() {
    const { alike, message } = await looksLike({ sketch: harbor, frame: 12 }, 'kept/harbor-12.png');
    if (!alike) throw new Error(message);
  },
  lookMatchers() {
    expect.extend(lookMatchers);
  },
};
