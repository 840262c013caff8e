import { describe, expect, test } from '@jest/globals';
import { colorMix, gray, hsl, oklch, ramp, rgb } from '../../packages/frame-juggler/src/index.ts';
import { readColor } from '../../packages/frame-juggler/src/paint/color.ts';

const css = (text: string): string => readColor('test', 'fill', text).toString();

describe('colors', () => {
  test.each([
    ['rebeccapurple', '#663399'],
    ['CRIMSON', '#dc143c'],
    ['transparent', '#00000000'],
    ['#0f0', '#00ff00'],
    ['#0f08', '#00ff0088'],
    ['rgb(15 42 61 / 50%)', '#0f2a3d80'],
    ['rgba(15, 42, 61, 0.5)', '#0f2a3d80'],
    ['hsl(120deg 100% 25%)', '#008000'],
    ['hwb(0.5turn 0% 0%)', '#00ffff'],
    ['lab(50% 0 0)', '#777777'],
    ['lch(50% 0 none)', '#777777'],
    ['oklab(1 0 0)', '#ffffff'],
    ['oklch(0 0 0)', '#000000'],
    ['color(display-p3 0 0 0)', '#000000'],
    ['color(srgb 1 0.5 0)', '#ff8000'],
    ['color(xyz-d65 0.9505 1 1.089)', '#ffffff'],
    ['color(xyz-d50 0.9643 1 0.8251)', '#ffffff'],
    ['color(xyz 0.9505 1 1.089)', '#ffffff'],
    ['color(srgb-linear 0.2159 0.2159 0.2159)', '#808080'],
    ['color(a98-rgb 1 1 1)', '#ffffff'],
    ['color(prophoto-rgb 0.5 0.5 0.5)', '#929292'],
    ['color(rec2020 1 1 1)', '#ffffff'],
    ['color(display-p3 0.5 0.5 0.5)', '#808080'],
  ])('%s is %s', (text, expected) => expect(css(text)).toBe(expected));

  test('helpers give the colors that CSS gives', () => {
    expect(rgb(15, 42, 61, 0.5).toString()).toBe('#0f2a3d80');
    expect(gray(128).toString()).toBe('#808080');
    expect(hsl(480, 100, 25).toString()).toBe(css('hsl(120 100% 25%)'));
    expect(oklch(0.7, 0.1, 220).toString()).toBe(css('oklch(70% 0.1 220)'));
  });

  test('a ramp passes through its stops, mixes between and stays beyond', () => {
    const tide = ramp(['black', [0.25, 'teal'], 'white'], 'rgb');
    expect([-1, 0, 0.25, 1, 7].map((t) => tide(t).toString())).toEqual([
      '#000000',
      '#000000',
      '#008080',
      '#ffffff',
      '#ffffff',
    ]);
    expect(tide(0.125).toString()).toBe('#004040');
    expect(colorMix('black', 'white', 0.5, 'rgb').toString()).toBe('#808080');
    // What browsers give for color-mix(in oklab, red, blue).
    expect(colorMix('red', 'blue', 0.5).toString()).toBe('#8c53a2');
  });
});
