import { existsSync } from 'node:fs';
import { mkdir, readdir, readFile, rename, rm, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { gzipSync } from 'node:zlib';
import { frameAtRest, type Sketch } from 'frame-juggler';
import { SketchError } from '../errors.ts';
import { describe, Stopped, writeAtomically, type RenderOptions } from 'frame-juggler/node';
import { bundle, type PageFile } from './bundle.ts';
import { looksOf } from './looks.ts';
import { generator, pageHtml, pageStyle } from './page-html.ts';

/** What of the page is chosen. */
export interface PackOptions {
  /** The frame of the preview; one from its middle if left out. */
  readonly frame?: number;
  /** Everything in one file, which opens from disk. */
  readonly single?: boolean;
  /** Controls below the picture. */
  readonly controls?: boolean;
  readonly surface?: 'canvas2d' | 'raster';
  /** Where the page will be found, for those who show links to it. */
  readonly address?: string;
}

/** What was made. */
export interface Packed {
  readonly output: string;
  readonly title: string;
  readonly files: number;
  /** All files together. */
  readonly bytes: number;
  /** What a page loads at once, as it is sent: compressed. */
  readonly bytesAtOnce: number;
  /** Of the preview, in pixels of density 1. */
  readonly width: number;
  readonly height: number;
  /** The lines that show it in another page. */
  readonly embed: string;
}

/** Packs a sketch as a page of static files: a folder, or one file. */
export async function packPage(
  file: string,
  sketch: Sketch,
  output: string,
  run: Pick<RenderOptions, 'seed' | 'width' | 'height' | 'dials'>,
  options: PackOptions,
  watch: Pick<RenderOptions, 'signal' | 'onCall'>,
): Promise<Packed> {
  const isFile = /\.html?$/i.test(output);
  const single = options.single === true || isFile;
  if (!single) await checkFolder(output);
  const { frame = frameAtRest(sketch), controls, surface, address = '' } = options;
  const { width = sketch.canvas.width, height = sketch.canvas.height } = run;
  const looks = await looksOf(sketch, { ...run, ...watch, width, height, frame });
  const bundled = await bundle({ file, single, options: { ...run, controls, surface } });
  if (watch.signal?.aborted === true) throw new Stopped('Nothing was written');
  const style = pageStyle(looks.background, looks.isDark);
  const page = { title: sketch.title, description: `${looks.words}.`, width, height, background: looks.background };
  const made: PageFile[] = [];
  if (single) {
    const script = { content: String(bundled.files[0].content) };
    const [preview, icon] = [looks.preview, looks.icon].map(dataUrl);
    const html = pageHtml({ ...page, address, script, style: { content: style }, preview, icon });
    made.push({ name: 'index.html', content: html });
    const target = isFile ? output : path.join(output, 'index.html');
    await mkdir(path.dirname(target), { recursive: true });
    await writeAtomically(target, Buffer.from(html));
  } else {
    const folder = address === '' || address.endsWith('/') ? address : `${address}/`;
    const [script, pageCss] = [{ file: bundled.entry }, { file: 'page.css' }];
    const html = pageHtml({
      ...page,
      address: folder,
      script,
      style: pageCss,
      preview: 'preview.png',
      icon: 'icon.png',
    });
    made.push({ name: 'index.html', content: html }, { name: 'page.css', content: style });
    made.push({ name: 'preview.png', content: looks.preview }, { name: 'icon.png', content: looks.icon });
    made.push(...bundled.files);
    await writeFolder(output, made);
  }
  const atOnce = ['index.html', 'page.css', ...bundled.atOnce];
  const sum = (numbers: number[]): number => numbers.reduce((all, one) => all + one, 0);
  return {
    output,
    title: sketch.title,
    files: made.length,
    bytes: sum(made.map(({ content }) => Buffer.byteLength(content))),
    bytesAtOnce: sum(made.map(({ name, content }) => (atOnce.includes(name) ? gzipSync(content).length : 0))),
    width,
    height,
    embed: embedLines(sketch.title, width, height, address || `./${path.basename(output)}${isFile ? '' : '/'}`),
  };
}

/** A folder that is there has to be empty, or one that was packed before. */
async function checkFolder(folder: string): Promise<void> {
  let there: string[];
  try {
    there = await readdir(folder);
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'ENOENT') return;
    throw new SketchError({ problem: `${folder} cannot be written: ${describe(error, 'it')}`, expected: 'expected a folder' }); // prettier-ignore
  }
  const page = path.join(folder, 'index.html');
  if (there.length === 0 || (existsSync(page) && (await readFile(page, 'utf8')).includes(generator))) return;
  throw new SketchError({
    problem: `${folder} holds something else than a packed page`,
    expected: 'expected a new folder, an empty one or one that was packed before',
  });
}

/** Writes a folder next to its final place, and moves it there when it is complete. */
async function writeFolder(folder: string, files: readonly PageFile[]): Promise<void> {
  const target = path.resolve(folder);
  const [fresh, old] = ['new', 'old'].map((word) => `${target}.${process.pid}.${word}`);
  try {
    for (const { name, content } of files) {
      const file = path.join(fresh, name);
      await mkdir(path.dirname(file), { recursive: true });
      await writeFile(file, content);
    }
    if (existsSync(target)) await rename(target, old);
    await rename(fresh, target);
  } catch (error) {
    if (existsSync(old) && !existsSync(target)) await rename(old, target);
    throw new SketchError({ problem: `${folder} cannot be written: ${describe(error, 'it')}` });
  } finally {
    for (const left of [fresh, old]) await rm(left, { recursive: true, force: true });
  }
}

function dataUrl(png: Uint8Array): string {
  return `data:image/png;base64,${Buffer.from(png).toString('base64')}`;
}

function embedLines(title: string, width: number, height: number, address: string): string {
  const name = title.replace(/[&"<>]/g, (character) => `&#${character.charCodeAt(0)};`);
  return `<iframe src="${address}" title="${name}" width="${width}" height="${height}" loading="lazy" allow="fullscreen"
  style="border: 0; max-width: 100%; height: auto; aspect-ratio: ${width} / ${height}"></iframe>`;
}
