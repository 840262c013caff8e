import { describe, expect, test } from '@jest/globals';
import { clamp, createRandom, defineSketch, hsl, rgb, SketchError, swing, type Canvas } from '../../src/index.ts';
import { errorOf, record } from '../helpers.ts';

/** Calls that cannot be meant, as plain JavaScript would make them, and what is said of each. */
const mistakes: [(canvas: Canvas, any: never) => unknown, string][] = [
  [(c) => c.circle({ at: [1, 2], radius: NaN }), 'circle: radius NaN is not finite; expected a number, 0 or more'],
  [(c) => c.circle({ at: [1, 2], radius: -3 }), 'circle: radius -3 is negative; expected 0 or more'],
  [(c) => c.circle({ at: [1, 2] }), 'circle: radius is missing; expected a number, 0 or more; or give the diameter'],
  [(c) => c.circle({ at: [1, NaN], radius: 2 }), 'circle: at [1,NaN] is not a point; expected [x, y] or { x, y } with finite numbers'],
  [(c) => c.circle({ radius: 2 } as never), 'circle: at is missing; expected a point, [x, y] or { x, y }'],
  [(c, any) => c.circle({ at: [1, 2], raduis: any } as never), 'circle: there is no option "raduis"; did you mean "radius"?'],
  [(c) => c.circle({ at: [1, 2], radius: 2, fill: undefined }), 'circle: fill is there, but undefined; give a value, or leave the key out'],
  [(c, any) => (c.circle as unknown as (x: number, y: number, r: number) => void)(1, 2, any), 'circle: 1 is not an options object; expected { at: [100, 80], radius: 40 }'],
  [(c) => c.circle({ at: [1, 2], radius: 2, fill: 'crimsn' }), 'circle: fill "crimsn" is not a colour; did you mean "crimson"?'],
  [(c) => c.style({ fill: 'ffd166' }), 'style: fill "ffd166" is not a colour; did you mean "#ffd166"?'],
  [(c) => c.style({ fill: 120 as never }), 'style: fill 120 is not a colour; a grey is grey(120), other colours are strings like "teal" or "#0f2a3d"'],
  [(c) => c.style({ stroke: { cap: 'rounded' as never } }), 'style: stroke cap "rounded" is not known; did you mean "round"?'],
  [(c) => c.style({ stroke: { widht: 2 } as never }), 'style stroke: there is no option "widht"; did you mean "width"?'],
  [(c) => c.style({ opacity: 50 }), 'style: opacity 50 is out of range; expected 0 to 1'],
  [(c) => c.rect({ from: [0, 0], to: [1, 1], size: 3 }), 'rect: size cannot go with from and to; give at and size, or two corners'],
  [(c) => c.rect({ at: [0, 0], size: 3, anchor: 'top left' as never }), 'rect: anchor "top left" is not known; did you mean "top-left"?'],
  [(c) => c.polygon({ points: [[0, 0], [1, 1]] }), 'polygon: points [[0,0],[1,1]] has 2 points; expected at least 3'], // prettier-ignore
  [(c) => c.polygon({ at: [0, 0], radius: 3, sides: 2.5 }), 'polygon: sides 2.5 is not right; expected a whole number, 3 or more'],
  [(c) => c.rotate('90' as never), 'rotate: degrees "90" is not a number; expected a finite number'],
  [(c, any) => c.group({ translate: [1, 2] }, any), 'group: body is missing; expected a function'],
  [() => rgb(300, 0, 0), 'rgb: red 300 is out of range; expected 0 to 255'],
  [() => hsl(10, 20, 130), 'hsl: lightness 130 is out of range; expected 0 to 100'],
  [() => clamp(Infinity, 0, 1), 'clamp: value Infinity is not finite; expected a finite number'],
  [() => swing(1, 0, 0, 1), 'swing: period 0 is not above 0; expected seconds'],
  [() => createRandom(1).pick([]), 'random.pick: list [] has nothing to pick; expected a list with something in it'],
  [() => defineSketch({} as never), 'defineSketch: paint is missing; expected a function that draws: paint(canvas) { … }'],
  [() => defineSketch({ paint() {}, framerate: 3 } as never), 'defineSketch: there is no option "framerate"; did you mean "frameRate"?'],
  [() => defineSketch({ paint() {}, canvas: { width: 20000 } }), 'defineSketch canvas: width 20000 makes a picture of 20000 pixels; expected at most 16384 a side'],
]; // prettier-ignore

describe('what cannot be meant', () => {
  test.each(mistakes)('%#: %s', (mistake, message) => {
    let said = '';
    record((canvas) => (said = errorOf(() => mistake(canvas, undefined as never))));
    expect(said).toBe(message);
  });

  test('names the line of the sketch', () => {
    const error = new SketchError({ call: 'circle', problem: 'is wrong' });
    expect(error.message).toMatch(/^circle: is wrong \(errors\.test\.ts:\d+:\d+\)$/);
    expect(error.inFrame(57).message).toMatch(/, frame 57\)$/);
  });
});
