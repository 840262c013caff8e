import { expect, test } from '@jest/globals';
import { gray } from 'frame-juggler';
import { foundIn, type Paint } from '../fixtures/found-in.ts';

/* The rules about texts, at the borders of what is found. */

const label = (options: object, text = 'Quay'): Paint => (canvas) => canvas.text(text, { at: [160, 90], size: 16, fill: '#24506a', ...options }); // prettier-ignore
const number = (fill = '#1b2f3a'): Paint => (canvas, { frame }) => canvas.text(`${frame}`, { at: [160, 90], size: 20, fill }); // prettier-ignore
const faint = (contrast: string): string[] => [`low-contrast: the text “Quay” has a contrast of ${contrast} to 1 with what is behind it`]; // prettier-ignore
const cut = (text: string): string[] => [`cut-text: the text “${text}” runs off the canvas`];
const smeared = ['smeared-text: with a carry of 0.5, the text “20” stands over what it said before'];

test.each<[name: string, paint: Paint, found: readonly string[], carry?: number]>([
  ['nine pixels can be read', label({ size: 9 }), []],
  ['less cannot', label({ size: 8.9 }), ['small-text: the text “Quay” is set in 8.9 pixels']],
  ['nor what a scale makes of more', (canvas, moment) =>
    canvas.group({ translate: [160, 90], scale: 0.4 }, () => label({ at: [0, 0], size: 20 })(canvas, moment)),
    ['small-text: the text “Quay” is set in 8 pixels']],
  ['a gray that is dark enough', label({ fill: gray(108) }), []],
  ['one that is not', label({ fill: gray(109) }), faint('4.4')],
  ['one that is dark enough for large letters', label({ fill: gray(136), size: 24 }), []],
  ['one that is not, for these either', label({ fill: gray(138), size: 24 }), faint('2.9')],
  ['letters that are nearly large', label({ fill: gray(120), size: 23.9 }), faint('3.7')],
  ['one that fades in', label({ fill: gray(138), opacity: 0.9 }), []],
  ['one in a group that does', (canvas, moment) =>
    canvas.group({ opacity: 0.9 }, () => label({ fill: gray(138) })(canvas, moment)), []],
  ['half a unit over the right edge', label({ at: [320.5, 90], anchor: 'right' }), []],
  ['more than one over it', label({ at: [321.5, 90], anchor: 'right' }), cut('Quay')],
  ['half a unit over the left edge', label({ at: [-0.5, 90], anchor: 'left' }), []],
  ['more than one over that', label({ at: [-2.5, 90], anchor: 'left' }), cut('Quay')],
  ['half a unit over the upper edge', label({ at: [160, -0.5], anchor: 'top' }, 'HEN'), []],
  ['more than one over that one', label({ at: [160, -1.5], anchor: 'top' }, 'HEN'), cut('HEN')],
  ['half a unit over the lower edge', label({ at: [160, 180.5], anchor: 'baseline' }, 'HEN'), []],
  ['more than one over the lower one', label({ at: [160, 182], anchor: 'baseline' }, 'HEN'), cut('HEN')],
  ['what moves in from the edge', (canvas, { progress }) => label({ at: [320 - progress * 200, 90] })(canvas, undefined as never), []],
  ['a character that the font lacks', label({}, '木 quay'), ['missing-characters: the font has no “木” for “木 quay”']],
  ['a value that is not there', label({}, 'Tide: undefined'), ['missing-value: a text says “Tide: undefined”']],
  ['an object as a text', label({}, '[object Object]'), ['missing-value: a text says “[object Object]”']],
  ['text over what it said, under a carry that leaves half', number(), smeared, 0.5],
  ['under one that leaves less', number(), [], 0.49],
  ['over a box that covers what it said', (canvas, moment) => {
    canvas.rect({ at: [160, 90], size: [60, 30], fill: 'white' });
    number()(canvas, moment);
  }, [], 0.5],
  ['over one that covers a part of it', (canvas, moment) => {
    canvas.rect({ at: [160, 90], size: [6, 30], fill: 'white' });
    number()(canvas, moment);
  }, smeared, 0.5],
])('%s', async (_, paint, found, carry = 0) => {
  expect(await foundIn(paint, carry)).toEqual(found);
}); // prettier-ignore
