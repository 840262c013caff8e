import { defineSketch, Picture, rgb, type Sketch } from 'frame-juggler';
import { drawFrames, explain, render, type RenderOptions } from 'frame-juggler/node';

/** Pictures that stand in for a sketch while it does not play. */
export interface Looks {
  /** A .png file. */
  readonly preview: Uint8Array;
  /** A square from its middle, a .png file. */
  readonly icon: Uint8Array;
  /** The color around it, in CSS. */
  readonly background: string;
  readonly isDark: boolean;
  /** What is to be seen, in a sentence. */
  readonly words: string;
}

/** One frame of a run. */
export type Look = Pick<RenderOptions, 'seed' | 'dials' | 'signal' | 'onCall'> & {
  readonly width: number;
  readonly height: number;
  readonly frame: number;
};

/** The preview's width, and the icon's sides, in pixels. */
const previewWidth = 1200;
const iconSide = 180;

/** Renders what stands for a sketch. */
export async function looksOf(sketch: Sketch, look: Look): Promise<Looks> {
  const { frame, ...run } = look;
  const { width, height } = run;
  const preview = await render(sketch, { ...look, format: 'png', density: previewWidth / width });
  const small = await pictureOf(sketch, { ...run, frame, density: iconSide / Math.min(width, height) });
  const icon = defineSketch({
    title: sketch.title,
    canvas: { width: iconSide, height: iconSide, background: 'none' },
    still: true,
    paint: (canvas) => canvas.picture(small, { at: [iconSide / 2, iconSide / 2], size: [small.width, small.height] }),
  });
  const { words } = await explain(sketch, look);
  return { preview, icon: await render(icon, { format: 'png' }), words, ...colorAround(small) };
}

async function pictureOf(sketch: Sketch, { frame, ...run }: Look & { readonly density: number }): Promise<Picture> {
  for await (const { width, height, data } of drawFrames(sketch, { ...run, frames: [frame, frame] }))
    return new Picture(width, height, data);
  throw new Error('a frame was asked for');
}

/** The colors around a picture, taken from its edges. */
function colorAround(picture: Picture): Pick<Looks, 'background' | 'isDark'> {
  const { width, height } = picture;
  const edge = [
    ...Array.from({ length: width }, (_, x) => [picture.colorAt(x, 0), picture.colorAt(x, height - 1)]),
    ...Array.from({ length: height }, (_, y) => [picture.colorAt(0, y), picture.colorAt(width - 1, y)]),
  ].flat();
  // A page is white behind what is not painted.
  const mean = (channel: 'red' | 'green' | 'blue'): number =>
    Math.round(edge.reduce((sum, color) => sum + 255 + (color[channel] - 255) * color.alpha, 0) / edge.length);
  const [red, green, blue] = [mean('red'), mean('green'), mean('blue')];
  return { background: String(rgb(red, green, blue)), isDark: 0.299 * red + 0.587 * green + 0.114 * blue < 128 };
}
