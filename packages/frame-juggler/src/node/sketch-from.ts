import { kindOf } from '../schema/kind.ts';
import { isSketch, type Sketch } from '../sketch/sketch.ts';
import { loadSketch } from './load-sketch.ts';

const sketchOrFile = kindOf<Sketch | string>(
  'what defineSketch gives, or the path of a sketch file',
  (value) => isSketch(value) || typeof value === 'string',
  'is not a sketch',
);

/** A sketch that is handed in, or whose file is. @throws SketchError where it is neither */
export async function sketchFrom(call: string, sketch: Sketch | string): Promise<Sketch> {
  const given = sketchOrFile.read(call, 'sketch', sketch);
  return typeof given === 'string' ? loadSketch(given) : given;
}
