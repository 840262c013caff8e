// Runs in a page: draws scenes with our surfaces and by hand, in turn, and tells how long each takes.
import { Canvas, loadFonts, RasterSurface } from 'frame-juggler';
import { Canvas2dSurface } from 'frame-juggler/browser';
import { manyCircles, penScenes, pictureScenes, scenes, size } from './scenes.mjs';

const white = -1;

const record = (scene, { width, height } = size) => {
  const canvas = new Canvas({ width, height, density: 1, background: white, carry: 0 });
  scene.paint(canvas);
  return canvas.finish();
};

function contextOf(options, { width, height } = size) {
  const element = Object.assign(document.createElement('canvas'), { width, height });
  document.body.append(element);
  return element.getContext('2d', options);
}

/** Each way to draw a scene; what it returns keeps the work from being put off. */
function ways() {
  const raster = new RasterSurface();
  const software = contextOf({ willReadFrequently: true });
  const plain = contextOf();
  const ours = contextOf();
  const surface = new Canvas2dSurface(ours.canvas);
  const byHand = (context) => (scene) => {
    context.save();
    context.fillStyle = '#fff';
    context.fillRect(0, 0, size.width, size.height);
    scene.byHand(context);
    context.restore();
    return context.getImageData(0, 0, 1, 1).data[0];
  };
  return {
    record: (scene) => record(scene).order.length,
    raster(scene) {
      raster.draw(record(scene));
      return raster.drawn.data[0];
    },
    software: byHand(software),
    canvas2d(scene) {
      surface.draw(record(scene));
      return ours.getImageData(0, 0, 1, 1).data[0];
    },
    plain: byHand(plain),
  };
}

/** Milliseconds that each way takes for a scene, the shortest of some rounds in which they take turns. */
globalThis.measure = async (name, { rounds = 7, only } = {}) => {
  await loadFonts();
  const scene = typeof name === 'number' ? manyCircles(name) : { ...scenes, ...pictureScenes, ...penScenes }[name];
  const all = Object.entries(ways()).filter(([way]) => only === undefined || only.includes(way));
  const best = Object.fromEntries(all.map(([way]) => [way, Infinity]));
  for (let round = 0; round < rounds; round++)
    for (const [way, draw] of all) {
      const start = performance.now();
      draw(scene);
      best[way] = Math.min(best[way], performance.now() - start);
      await new Promise((resolve) => setTimeout(resolve));
    }
  document.body.replaceChildren();
  return best;
};
