import { execFileSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { drawFrames, render } from 'frame-juggler/node';
import { decode } from 'fast-png';
import { chromium } from 'playwright-core';
import { load } from '../../packages/cli/dist/load.js';

const examples = [
  ['pellan-quay/quay', 200], ['lighthouse/lighthouse', 40], ['signal-flags/flags', 20], ['harbor-chart/chart', 0],
  ['shapes/shapes', 0], ['wakes/wakes', 120], ['crane/crane', 60], ['rain/rain', 50], ['tide/tide', 30], ['watch/watch', 30],
  ['bunting/bunting', 20],
]; // prettier-ignore
const sketchOf = (name) => load(path.resolve(`examples/${name}.ts`));

/** The share of pixels that are within so much of others in every channel. */
function near(a, b, most) {
  let count = 0;
  for (let i = 0; i < a.width * a.height; i++) {
    let off = 0;
    for (let c = 0; c < 3; c++) off = Math.max(off, Math.abs(a.data[i * a.channels + c] - b.data[i * b.channels + c]));
    if (off <= most) count++;
  }
  return count / (a.width * a.height);
}

async function drawings(rasterize) {
  const folder = mkdtempSync(path.join(tmpdir(), 'truth-'));
  let [sum, least, worst] = [0, 1, ''];
  for (const [name, frame] of examples) {
    const sketch = await sketchOf(name);
    const svg = path.join(folder, 'one.svg');
    await render(sketch, { to: svg, frame, density: 2 });
    const part = near(decode(await render(sketch, { frame, density: 2 })), decode(await rasterize(svg, folder)), 8);
    sum += part;
    if (part < least) [least, worst] = [part, name];
  }
  rmSync(folder, { recursive: true });
  return {
    cases: `${examples.length} examples`,
    agree: sum / examples.length,
    worst: `${path.basename(worst)}, ${(least * 100).toFixed(1)} %`,
  };
}

/** SVG drawn by librsvg, held against the raster's pixels. */
export const svgByLibrsvg = () =>
  drawings((svg, folder) => {
    execFileSync('rsvg-convert', [svg, '-o', path.join(folder, 'one.png')]);
    return readFileSync(path.join(folder, 'one.png'));
  });

/** SVG drawn by Chromium. */
export async function svgByChromium() {
  const browser = await chromium.launch({ executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium', args: ['--no-sandbox'] }); // prettier-ignore
  const page = await browser.newPage({ viewport: { width: 2000, height: 1400 } });
  try {
    return await drawings(async (svg) => {
      await page.goto(`file://${svg}`);
      const [, width, height] = /width="(\d+)" height="(\d+)"/.exec(readFileSync(svg, 'utf8'));
      return page.screenshot({ clip: { x: 0, y: 0, width: Number(width), height: Number(height) } });
    });
  } finally {
    await browser.close();
  }
}

/** A file's pictures as ffmpeg decodes them, held against the pixels that were drawn. */
export function films(format, most, options = {}) {
  return async () => {
    const folder = mkdtempSync(path.join(tmpdir(), 'truth-'));
    let [pixels, good, least, worst] = [0, 0, 1, ''];
    for (const name of ['lighthouse/lighthouse', 'wakes/wakes', 'signal-flags/flags', 'rain/rain']) {
      const sketch = await sketchOf(name);
      const settings = { frames: [0, 19], width: sketch.canvas.width, height: sketch.canvas.height };
      const file = path.join(folder, `film.${format}`);
      await render(sketch, { ...settings, to: file, ...options });
      const range = format === 'y4m' ? ['-colorspace', 'bt709', '-color_range', 'tv'] : [];
      const full = ['-vf', 'scale=in_color_matrix=bt709:flags=accurate_rnd+full_chroma_int+full_chroma_inp'];
      execFileSync('ffmpeg', ['-loglevel', 'error', ...range, '-i', file, ...(format === 'gif' || format === 'apng' ? [] : full), '-fps_mode', 'passthrough', '-pix_fmt', 'rgb24', path.join(folder, '%03d.png')]); // prettier-ignore
      let at = 0;
      const files = readdirSync(folder).filter((each) => each.endsWith('.png')).sort(); // prettier-ignore
      for await (const drawn of drawFrames(sketch, settings)) {
        // Pictures that stay the same are one.
        const other = files[Math.min(at++, files.length - 1)];
        const part = near({ ...drawn, channels: 4 }, decode(readFileSync(path.join(folder, other))), most);
        pixels++;
        good += part;
        if (part < least) [least, worst] = [part, name];
      }
      for (const each of readdirSync(folder)) rmSync(path.join(folder, each));
    }
    rmSync(folder, { recursive: true });
    return { cases: `${pixels} frames`, agree: good / pixels, worst: least === 1 ? 'none' : `${path.basename(worst)}, ${(least * 100).toFixed(2)} %` }; // prettier-ignore
  };
}
