import { describe, expect, test } from '@jest/globals';
import { hsl, rgb, type Canvas } from 'frame-juggler';
import { foundIn, type Paint } from '../fixtures/found-in.ts';

/* The rules about styles, transforms, colors and angles, at the borders of what is found. */

const blue = '#24506a';
const gold = '#f1b64e';
const box = (canvas: Canvas, x = 60, options: object = { fill: blue }): void => canvas.rect({ at: [x, 60], size: 30, ...options }); // prettier-ignore
/** Two lines of calls. */
function twoLines(canvas: Canvas): void {
  canvas.circle({ at: [150, 60], radius: 15, fill: gold });
  canvas.circle({ at: [200, 60], radius: 15, fill: blue });
}
const leaks = (name: string): string[] => [`leak: this ${name} affects everything drawn after it until the end of the frame: 2 lines of calls`]; // prettier-ignore
const idle = (keys: string): string[] => [`unused-style: nothing is drawn with the ${keys} set here`];

type Row = [name: string, paint: Paint, found: readonly string[]];

describe('what lasts longer than was meant', () => {
  test.each<Row>([
    ['a turn between shapes', (canvas) => { box(canvas); canvas.rotate(5); twoLines(canvas); }, leaks('rotate')],
    ['a turn before all of them', (canvas) => { canvas.rotate(5); twoLines(canvas); }, []],
    ['a turn before the last of them', (canvas) => { box(canvas); canvas.rotate(5); canvas.circle({ at: [150, 60], radius: 15, fill: gold }); }, []],
    ['a turn in a group', (canvas) => { box(canvas); canvas.group({}, () => { canvas.rotate(5); twoLines(canvas); }); }, []],
    ['a move that is taken back', (canvas) => { box(canvas); canvas.translate([20, 0]); twoLines(canvas); canvas.translate({ x: -20, y: 0 }); }, []],
    ['a scale that is taken back', (canvas) => { box(canvas); canvas.scale([1.25, 2]); twoLines(canvas); canvas.scale([0.8, 0.5]); }, []],
    ['a scale that is taken back by half', (canvas) => { box(canvas); canvas.scale(1.25); twoLines(canvas); canvas.scale(0.9); }, ['unused-transform: nothing is drawn after this scale', ...leaks('scale')]],
    ['a skew that a reset undoes', (canvas) => { box(canvas); canvas.skew([5, 0]); twoLines(canvas); canvas.resetTransform(); }, []],
    ['turns in a loop', (canvas) => { box(canvas); for (let i = 0; i < 3; i++) { canvas.rotate(5); twoLines(canvas); } }, []],
    ['an opacity', (canvas) => { box(canvas); canvas.style({ opacity: 0.5 }); twoLines(canvas); }, leaks('style')],
    ['an opacity of 1', (canvas) => { box(canvas); canvas.style({ opacity: 1 }); twoLines(canvas); }, []],
    ['an opacity that is set back', (canvas) => { box(canvas); canvas.style({ opacity: 0.5 }); twoLines(canvas); canvas.style({ opacity: 1 }); box(canvas, 250); }, []],
    ['a blend mode', (canvas) => { box(canvas); canvas.style({ blend: 'multiply' }); twoLines(canvas); }, leaks('style')],
    ['one save without its restore', (canvas) => { canvas.save(); twoLines(canvas); }, ['open-save: this save is never restored']],
    ['two of three', (canvas) => { canvas.save(); canvas.save(); canvas.save(); canvas.restore(); twoLines(canvas); }, ['open-save: 2 saves are never restored']],
  ])('%s', async (_, paint, found) => {
    expect(await foundIn(paint)).toEqual(found);
  }); // prettier-ignore
});

describe('what nothing uses', () => {
  test.each<Row>([
    ['a fill that comes too late', (canvas) => { box(canvas); canvas.style({ fill: gold }); }, idle('fill')],
    ['a fill that is replaced', (canvas) => { canvas.style({ fill: gold }); canvas.style({ fill: blue }); box(canvas, 60, {}); }, idle('fill')],
    ['a fill and a stroke where shapes have their own', (canvas) => { canvas.style({ fill: gold, stroke: gold }); box(canvas, 60, { fill: blue, stroke: blue }); }, idle('fill and stroke')],
    ['a stroke of which shapes change the width', (canvas) => { canvas.style({ fill: gold, stroke: gold }); box(canvas, 60, { fill: blue, stroke: { width: 3 } }); }, idle('fill')],
    ['how texts are set where there is none', (canvas) => { canvas.style({ text: { size: 20 } }); box(canvas); }, idle('text')],
    ['how texts are set where there is one', (canvas) => { canvas.style({ text: { size: 20 } }); canvas.text('Quay', { at: [160, 90] }); }, []],
    ['a fill of a group before it', (canvas) => { canvas.group({}, () => canvas.style({ fill: gold })); box(canvas, 60, {}); }, idle('fill')],
    ['a fill that a group takes over', (canvas) => { canvas.style({ fill: gold }); canvas.group({}, () => box(canvas, 60, {})); }, []],
    ['a turn that nothing follows', (canvas) => { box(canvas); canvas.rotate(5); }, ['unused-transform: nothing is drawn after this rotate']],
    ['a turn that nothing comes before, either', (canvas) => canvas.group({}, () => { canvas.rotate(5); }), ['nothing-drawn: paint draws nothing in all 40 frames']],
    ['a move whose place is asked for', (canvas) => { box(canvas); canvas.translate([5, 5]); canvas.toLocal([0, 0]); }, []],
  ])('%s', async (_, paint, found) => {
    expect(await foundIn(paint)).toEqual(found);
  }); // prettier-ignore
});

describe('numbers of another unit', () => {
  const turned =
    (angle: number): Paint =>
    (canvas) =>
      box(canvas, 160, { fill: blue, rotate: angle });
  const sine = (...angles: number[]): Paint => (canvas) => { for (const angle of angles) box(canvas, 160 + Math.sin(angle) * 9); }; // prettier-ignore
  const red = (hue: number): Paint => (canvas) => { for (let i = 0; i < 4; i++) box(canvas, 60 + i * 50, { fill: hsl(i * hue, 80, 50) }); }; // prettier-ignore
  const filled = (...parts: [number, number, number]): Paint => (canvas) => box(canvas, 160, { fill: rgb(...parts) }); // prettier-ignore
  test.each<Row>([
    ['a quarter turn in radians', turned(1.5708), ['radians: rect is given 1.5708°, which looks like 90° in radians']],
    ['a little more than one', turned(1.58), []],
    ['a whole number', turned(Math.round(Math.PI)), []],
    ['more than two turns', turned(4.25 * Math.PI), []],
    ['two turns', turned(4 * Math.PI), ['radians: rect is given 12.5664°, which looks like 720° in radians']],
    ['an arc', (canvas) => canvas.arc({ at: [160, 90], radius: 40, start: 0, end: Math.PI, stroke: blue, fill: 'none' }), ['radians: arc is given 3.1416°, which looks like 180° in radians']],
    ['a sine of 30', sine(30), ['degrees: Math.sin is given 30, which looks like degrees']],
    ['a sine of 20 alone', sine(20), []],
    ['a sine of 5 and 10', sine(5, 10), ['degrees: Math.sin is given 5, 10, which look like degrees']],
    ['a sine of 0 and 5', sine(0, 5), []],
    ['a sine of 5 and 10.5', sine(5, 10.5), []],
    ['a sine of four', sine(15, 30, 45, 60), ['degrees: Math.sin is given 15, 30, 45 and so on, which look like degrees']],
    ['four reds', red(0.25), ['hues: 12 calls of rect are given 4 reds that look the same']],
    ['four colors', red(1.5), []],
    ['fractions of channels', filled(0.2, 5, 1), ['channels: rect is given a color with the channels 0.2, 5, 1, of 255']],
    ['channels that are nearly black', filled(0.2, 5.5, 1), []],
    ['channels that are black and whole', filled(1, 5, 0), []],
  ])('%s', async (_, paint, found) => {
    expect(await foundIn(paint)).toEqual(found);
  }); // prettier-ignore
});
