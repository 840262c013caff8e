import { describe, expect, test } from '@jest/globals';
import { defineShape, defineSketch, pattern, picture, polar, type Canvas } from 'frame-juggler';
import { check, foundIn, type Paint } from '../fixtures/found-in.ts';

/* The rules about single items, at the borders of what is found. */

const blue = '#24506a';
const circle = (x: number, y: number, radius = 30): Paint => (canvas) => canvas.circle({ at: [x, y], radius, fill: blue }); // prettier-ignore

describe('off the canvas', () => {
  test.each([
    [-31, 90, 'to the left of it'],
    [351, 90, 'to the right of it'],
    [160, -31, 'above it'],
    [160, 211, 'below it'],
  ])('a circle at %d, %d is %s', async (x, y, where) => {
    expect(await foundIn(circle(x, y))).toContain(`off-canvas: the circle is entirely off the canvas, ${where}, at ${x}, ${y}`); // prettier-ignore
    expect((await foundIn(circle(x < 0 ? x + 2 : x > 320 ? x - 2 : x, y < 0 ? y + 2 : y > 180 ? y - 2 : y))).join()).not.toContain('off-canvas'); // prettier-ignore
  });

  /** So many circles in a row that is on the canvas as far as some of them. */
  const row = (on: number, off: number): Paint => (canvas) => {
    for (let i = 0; i < on + off; i++) canvas.circle({ at: [300 + (i - on + 1) * 40 - 10, 90], radius: 10, fill: blue });
  }; // prettier-ignore
  test.each([
    [1, 2, []],
    [3, 3, []],
    [3, 4, ['off-canvas: 4 of 7 circle items are entirely off the canvas']],
  ])('of a row, %d on it and %d off it', async (on, off, found) => {
    expect(await foundIn(row(on, off))).toEqual(found);
  });
});

/** From the left of the canvas to its right, or from its top beyond its bottom. */
const along = Array.from({ length: 81 }, (_, i) => i * 4);
/** An outline that is not closed. */
const kite = defineShape({
  name: 'kite',
  options: { size: 20 },
  outline({ size }, path) {
    path.moveTo([0, -size]);
    path.lineTo([size, 0]);
    path.lineTo([0, size]);
  },
});
const side = { from: [0, 0], to: [320, 180] } as const;
const lined = (width: number): object => ({ fill: 'none', stroke: { color: blue, width } });

test.each<[name: string, paint: Paint, found: readonly string[]]>([
  ['one that goes by noise times the size is lost half of the time', (canvas, { noise, seconds, width, height }) => canvas.circle({ at: [noise(seconds * 3) * width, noise(seconds * 3, 9) * height], radius: 4, fill: blue }), [
    'noise-range: the circle is off the canvas: y is noise times 180, from -180 to 180',
  ]],
  ['a circle alone in a group that turns about its middle looks as before', (canvas, { seconds }) => canvas.group({ rotate: 90 * seconds, about: [160, 90] }, () => canvas.circle({ at: [160, 90], radius: 30, fill: blue })), [
    'round-turn: the circle is turned, and looks as before',
  ]],
  ['the hub of a wheel, and a circle on its way round, do not', (canvas, { seconds }) => {
    canvas.group({ rotate: 90 * seconds, about: [160, 90] }, () => {
      canvas.rect({ at: [160, 90], size: [100, 10], fill: blue });
      canvas.circle({ at: [160, 90], radius: 20, fill: '#a8433a' });
    });
    canvas.group({ rotate: 90 * seconds, about: [160, 90] }, () => canvas.circle({ at: [160, 30], radius: 9, fill: blue }));
  }, []],
  ['noise of pixels is as good as random', (canvas, { noise, seconds }) => {
    for (let x = 20; x < 320; x += 40)
      for (let y = 20; y < 180; y += 40) canvas.line({ from: [x, y], to: polar({ angle: 90 * noise(x, y, seconds), distance: 15, from: [x, y] }), stroke: { color: blue, width: 2 } });
  }, ['noise-steps: noise is asked for at places up to 280 and 120 apart']],
  ['noise that goes by its item and the time, or by hundreds of units, is not', (canvas, { noise, seconds }) => {
    for (let i = 0; i < 32; i++) canvas.circle({ at: [i * 10, 60 + 40 * noise(i * 10, seconds)], radius: 4, fill: blue });
    for (let x = 0; x < 320; x += 10) canvas.circle({ at: [x, 140 + 20 * noise(x / 100)], radius: 4, fill: blue });
  }, []],
  ['noise about a middle is not, nor is what reaches over the edge', (canvas, { noise, width, height }) => {
    canvas.group({ translate: [width / 2, height / 2] }, () => {
      for (let i = 0; i < 20; i++) canvas.circle({ at: [noise(i) * 150, noise(i, 9) * 80], radius: 4, fill: blue });
    });
    for (let y = 0; y < 180; y += 20) canvas.circle({ at: [noise(y) * 20, y], radius: 25, fill: blue });
  }, []],
  ['the same numbers as a place and as a margin are none, nor where what is drawn lies elsewhere', (canvas) => {
    canvas.group({ translate: [20, 20] }, () => canvas.circle({ at: [20, 20], radius: 10, fill: blue }));
    canvas.group({ translate: [160, 90] }, () => canvas.circle({ at: [160, -90], radius: 10, fill: blue }));
  }, []],
  ['what moves behind something is seen later', (canvas, { progress }) => {
    canvas.circle({ at: [60 + progress * 200, 90], radius: 20, fill: blue });
    canvas.rect({ from: [20, 40], to: [100, 140], fill: '#f1b64e' });
  }, []],
  ['what moves behind all of the canvas is not', (canvas, { progress }) => {
    canvas.circle({ at: [60 + progress * 200, 90], radius: 20, fill: blue });
    canvas.rect({ ...side, fill: '#f1b64e' });
  }, [expect.stringMatching(/^covered: the circle is entirely covered by the rect of line \d+$/) as never]],
  ['a loop that draws the largest last', (canvas) => {
    for (let radius = 10; radius <= 60; radius += 10) canvas.circle({ at: [160, 90], radius, fill: radius % 20 ? blue : '#f1b64e' });
  }, ['covered: 5 of 6 circle items are entirely covered by later ones of this line']],
  ['one that draws it first, or so that half of each is left', (canvas) => {
    for (let radius = 60; radius > 0; radius -= 10) canvas.circle({ at: [80, 90], radius, fill: radius % 20 ? blue : '#f1b64e' });
    for (let i = 0; i < 6; i++) canvas.circle({ at: [200 + i * 10, 90], radius: 20, fill: i % 2 ? blue : '#f1b64e' });
  }, []],
  ['what several cover together', (canvas) => {
    canvas.circle({ at: [160, 90], radius: 20, fill: blue });
    canvas.rect({ from: [0, 0], to: [160, 180], fill: '#f1b64e' });
    canvas.rect({ from: [160, 0], to: [320, 180], fill: '#d98b3a' });
  }, ['covered: the circle is entirely covered by what is drawn later']],
  ['a shape of no size', (canvas) => {
    circle(160, 90)(canvas, undefined as never);
    canvas.circle({ at: [90, 90], radius: 0, fill: blue });
  }, ['no-size: the circle has no size']],
  ['two that a scale squashes', (canvas) => {
    circle(160, 90)(canvas, undefined as never);
    for (const x of [60, 90]) canvas.group({ scale: [1, 0] }, () => canvas.circle({ at: [x, 90], radius: 9, fill: blue }));
  }, ['no-size: 2 circle items are squashed flat by a scale of 0']],
  ['a shape that fades in', (canvas, { progress }) =>
    canvas.circle({ at: [160, 90], radius: 30, fill: blue, opacity: Math.max(0, progress - 0.5) }), []],
  ['a rect about the corner', (canvas) => canvas.rect({ at: [0, 0], size: [60, 40], fill: blue }),
    ['corner: the rect has its middle on the corner of the canvas']],
  ['a rect a unit beside it', (canvas) => canvas.rect({ at: [1, 0], size: [60, 40], fill: blue }), []],
  ['a rect about the corner whose anchor is told', (canvas) =>
    canvas.rect({ at: [0, 0], size: [60, 40], anchor: 'center', fill: blue }), []],
  ['a rect about the corner as large as the canvas', (canvas) => canvas.rect({ at: [0, 0], size: [320, 180], fill: blue }),
    ['corner: the rect has its middle on the corner of the canvas']],
  ['a larger one, which could not be meant to be on it', (canvas) =>
    canvas.rect({ at: [0, 0], size: [330, 180], fill: blue }), []],
  ['a rect turned in the middle of the canvas, about its corner', (canvas) =>
    canvas.group({ rotate: 45 }, () => canvas.rect({ at: [160, 90], size: 20, fill: blue })),
    ['pivot: the rect is turned about the corner of the canvas, and carried off its middle to [49, 177]']],
  ['one turned so at another place', (canvas) =>
    canvas.group({ rotate: 20 }, () => canvas.rect({ at: [150, 40], size: 20, fill: blue })), []],
  ['a circle that is scaled about its own middle', (canvas, { progress }) =>
    canvas.circle({ at: [160, 90], radius: 30, scale: 1 + progress, fill: blue }), []],
  ['one that is scaled about the corner', (canvas, { progress }) =>
    canvas.group({ scale: 1 + progress / 2 }, () => canvas.circle({ at: [100, 90], radius: 30, fill: blue })),
    ['scaled-aside: the circle is scaled about the corner of the canvas, and moves as it grows']],
  ['one that is always as large there', (canvas) =>
    canvas.group({ scale: 1.5 }, () => canvas.circle({ at: [100, 60], radius: 30, fill: blue })), []],
  ['one that goes its own way under a scale', (canvas, { progress }) =>
    canvas.group({ scale: 1 + progress / 2 }, () => canvas.circle({ at: [100 - progress * 40, 60], radius: 30, fill: blue })), []],
  ['ground that is scaled from its corner', (canvas, { progress }) =>
    canvas.group({ scale: 1 + progress }, () => canvas.rect({ from: [0, 0], to: [320, 180], fill: blue })), []],
  ['a ring of dots by polar about the corner', (canvas) => {
    for (let angle = 0; angle < 360; angle += 60) canvas.circle({ at: polar({ angle, distance: 60 }), radius: 8, fill: blue });
  }, ['about-corner: 6 circle items go by polar about [0, 0], the corner of the canvas: 4 of 6 points are beyond the edges']],
  ['one dot by polar that is off the canvas', (canvas) => canvas.circle({ at: polar({ angle: 200, distance: 60 }), radius: 8, fill: blue }),
    ['off-canvas: the circle is entirely off the canvas, to the left of it, at -56, -21']],
  ['one about a place that its group is moved to', (canvas) => {
    canvas.translate([160, 90]);
    for (let angle = 0; angle < 360; angle += 60) canvas.circle({ at: polar({ angle, distance: 60 }), radius: 8, fill: blue });
  }, []],
  ['a fan of lines that stays on the canvas', (canvas) => {
    for (let angle = 0; angle <= 90; angle += 30) canvas.line({ from: polar({ angle, distance: 30 }), to: polar({ angle, distance: 60 }), stroke: blue });
  }, []],
  ['a wave along the top edge of a group that lies lower', (canvas) =>
    canvas.group({ translate: [0, 90] }, () => canvas.polyline({ points: along.map((x) => [x, 30 * Math.sin(x / 20)]), stroke: blue })), []],
  ['a wave along the left edge', (canvas) => canvas.spline({ points: along.map((y) => [30 * Math.sin(y / 20), y]), stroke: blue }),
    ['about-edge: half of the spline is beyond the left edge of the canvas']],
  ['a shore that dips below the edge twice', (canvas) =>
    canvas.polyline({ points: along.map((x) => [x, 20 + 30 * Math.sin(x / 20)]), stroke: blue }), []],
  ['a line that goes on straight, and by a little', (canvas) =>
    canvas.polyline({ points: along.map((x) => [x, 90 + x / 200]), stroke: blue }), []],
  ['a shape of its own with an open outline', (canvas) => canvas.shape(kite, { at: [160, 90], fill: blue }),
    ['unfilled: the kite has a fill, and no inside that it could fill']],
  ['three in one place', (canvas) => {
    for (let i = 0; i < 3; i++) canvas.circle({ at: [90, 90], radius: 30, fill: blue });
  }, ['same-place: 3 circle items lie in exactly the same place']],
  ['three that let through what is below', (canvas) => {
    for (let i = 0; i < 3; i++) canvas.circle({ at: [90, 90], radius: 30, fill: blue, opacity: 0.5 });
  }, []],
  ['three that grow', (canvas) => {
    for (let i = 0; i < 3; i++) canvas.circle({ at: [90, 90], radius: 30 - i * 8, fill: i === 1 ? '#f1b64e' : blue });
  }, []],
  ['three that begin in one place', (canvas, { progress }) => {
    for (let i = 0; i < 3; i++) canvas.circle({ at: [90 + i * 60 * progress, 90], radius: 20, fill: blue });
  }, []],
  ['the color of the background', (canvas) => {
    circle(160, 90)(canvas, undefined as never);
    canvas.circle({ at: [60, 90], radius: 20, fill: '#e4efe8' });
  }, ['same-color: the circle has exactly the color of what is behind it']],
  ['a frame half of whose stroke is cut', (canvas) => canvas.rect({ ...side, ...lined(1) }),
    ['cut-stroke: half of the stroke of the rect is beyond the edge of the canvas']],
  ['one too thin for that to be seen', (canvas) => canvas.rect({ ...side, ...lined(0.9) }), []],
  ['one that is moved in', (canvas) => canvas.rect({ from: [1, 0], to: [320, 180], ...lined(2) }), []],
  ['a line along the lower edge', (canvas) => canvas.line({ from: [20, 180], to: [300, 180], ...lined(4) }),
    ['cut-stroke: half of the stroke of the line is beyond the edge of the canvas']],
  ['a line along the right edge', (canvas) => canvas.line({ from: [320, 20], to: [320, 150], ...lined(4) }),
    ['cut-stroke: half of the stroke of the line is beyond the edge of the canvas']],
  ['a line from edge to edge', (canvas) => canvas.line({ from: [160, 0], to: [160, 180], ...lined(4) }), []],
  ['a stroke that a scale makes as thick as half its shape', (canvas) =>
    canvas.group({ translate: [160, 90], scale: 4 }, () => canvas.circle({ at: [0, 0], radius: 2, ...lined(2) })),
    ['stroke-scaled: with a scale of 4 the stroke of the circle is 8 pixels wide']],
  ['a line that is long beside its thick stroke', (canvas) =>
    canvas.group({ translate: [160, 90], scale: 4 }, () => canvas.line({ from: [-20, 0], to: [20, 0], ...lined(2) })), []],
  ['a stroke that a scale makes too thin', (canvas) =>
    canvas.group({ translate: [160, 90], scale: 0.15 }, () => canvas.circle({ at: [0, 0], radius: 300, ...lined(1) })),
    ['stroke-scaled: with a scale of 0.15 the stroke of the circle is 0.15 pixels wide']],
  ['the same about a shape that is filled', (canvas) =>
    canvas.group({ translate: [160, 90], scale: 0.15 }, () =>
      canvas.circle({ at: [0, 0], radius: 300, fill: blue, stroke: { color: 'white', width: 1 } })), []],
])('%s', async (_, paint, found) => {
  expect(await foundIn(paint)).toEqual(found);
}); // prettier-ignore

describe('a picture', () => {
  const striped = picture(20, 10, (canvas: Canvas) => {
    for (let x = 0; x < 20; x += 4) canvas.rect({ from: [x, 0], to: [x + 2, 10], fill: blue });
  });
  const shown =
    (options: object): Paint =>
    (canvas) =>
      canvas.picture(striped, { at: [160, 90], ...options } as never);
  const enlarged = 'picture-enlarged: the picture is drawn 3.0 times as large as it is';
  const squeezed = 'picture-squeezed: the picture is wider than high, 20 × 10 pixels, and squeezed into a square';
  test.each<[name: string, paint: Paint, found: readonly string[]]>([
    ['three times as large', shown({ size: [60, 30] }), [enlarged]],
    ['two and a half times as large', shown({ size: [50, 25] }), []],
    ['three times as large, in crisp pixels', shown({ size: [60, 30], smooth: false }), []],
    ['three times as large, as a pattern', (canvas) =>
      canvas.circle({ at: [160, 90], radius: 60, fill: pattern(striped, { size: [60, 30] }) }), []],
    ['squeezed into a square', shown({ size: 20 }), [squeezed]],
    ['squeezed into a square and turned', shown({ size: 20, rotate: 30 }), [squeezed]],
    ['nearly a square that is squeezed', shown({ size: 20, crop: { from: [0, 0], to: [10, 10] } }), []],
    ['one row of it', shown({ size: 20, crop: { from: [0, 0], to: [20, 1] }, smooth: false }), []],
  ])('%s', async (_, paint, found) => {
    expect(await foundIn(paint)).toEqual(found);
  }); // prettier-ignore
});

describe('steps of a loop', () => {
  const bar = (canvas: Canvas): void => canvas.rect({ at: [40, 0], size: [30, 8], fill: blue });
  const addUp = async (paint: Paint): Promise<boolean> => (await foundIn(paint)).some((one) => one.startsWith('adds-up')); // prettier-ignore
  const each = (make: (canvas: Canvas, i: number) => void): Paint => (canvas) => {
    canvas.translate([160, 90]);
    for (let i = 0; i < 4; i++) make(canvas, i);
  }; // prettier-ignore

  test.each<[name: string, paint: Paint]>([
    ['turns by the counter', each((canvas, i) => (canvas.rotate(i * 20), bar(canvas)))],
    ['turns by the counter from one on', each((canvas, i) => (canvas.rotate(20 + i * 20), bar(canvas)))],
    ['moves by the counter, and as far down each time', each((canvas, i) => (canvas.translate([i * 5, 10]), bar(canvas)))],
  ])('%s add up', async (_, paint) => {
    expect(await addUp(paint)).toBe(true);
  }); // prettier-ignore

  test.each<[name: string, paint: Paint]>([
    ['the same turn each time', each((canvas) => (canvas.rotate(20), bar(canvas)))],
    ['turns in groups', each((canvas, i) => canvas.group({}, () => (canvas.rotate(i * 20), bar(canvas))))],
    ['turns that are restored', each((canvas, i) => (canvas.save(), canvas.rotate(i * 20), bar(canvas), canvas.restore()))],
    ['turns that are taken back', each((canvas, i) => (canvas.rotate(i * 20), bar(canvas), canvas.rotate(-i * 20)))],
    ['turns on a way that bends more and more', each((canvas, i) => (canvas.translate([8, 0]), canvas.rotate(i * 20), bar(canvas)))],
    ['turns by what chance gives', (canvas, { random }) => each(() => (canvas.rotate(random.between(0, 40)), bar(canvas)))(canvas, undefined as never)],
  ])('%s do not', async (_, paint) => {
    expect(await addUp(paint)).toBe(false);
  }); // prettier-ignore
});

describe('a text', () => {
  const text = (canvas: Canvas, said: string, y: number, size = 24): void => canvas.text(said, { at: [160, y], size, fill: blue }); // prettier-ignore
  test.each<[name: string, paint: Paint, found: readonly string[]]>([
    ['over another', (canvas) => (text(canvas, 'Fish Quay', 60), text(canvas, 'Old Crane', 66)),
      ['text-over-text: the text “Old Crane” lies over the text “Fish Quay”']],
    ['in rows that are too close', (canvas) => {
      for (const row of [1, 2, 3]) text(canvas, `Berth ${row}`, 40 + row * 10);
    }, ['text-over-text: the text “Berth 2” lies over the text “Berth 1”, and 1 more like it']],
    ['over its own shadow', (canvas) => (text(canvas, 'Fish Quay', 61), text(canvas, 'Fish Quay', 60)), []],
    ['below another', (canvas) => (text(canvas, 'Fish Quay', 60), text(canvas, 'Old Crane', 84)), []],
    ['on a plate over another', (canvas) => {
      text(canvas, 'Fish Quay', 60);
      canvas.rect({ at: [160, 68], size: [200, 28], fill: '#e4efe8' });
      text(canvas, 'Old Crane', 66);
    }, []],
    ['over a much larger one', (canvas) => (text(canvas, '7', 90, 90), text(canvas, 'Old Crane', 90)), []],
    ['that passes by another', (canvas, { seconds }) => (text(canvas, 'Fish Quay', 60), text(canvas, 'Old Crane', 60 + 90 * seconds)), []],
    ['among others that are scattered', (canvas, { random }) => {
      for (const name of ['Mole', 'Quay', 'Berth']) text(canvas, name, random.between(85, 95));
    }, []],
  ])('%s', async (_, paint, found) => {
    expect((await foundIn(paint)).filter((one) => one.startsWith('text-over-text'))).toEqual(found);
  }); // prettier-ignore
});

test('a wave of two units is seen where these are many pixels', async () => {
  const wave = async (width: number): Promise<string[]> => {
    const canvas = { width, height: width / 2, viewBox: [0, 0, 320, 160] as const, background: '#e4efe8' };
    const paint = (onto: Canvas): void => onto.polyline({ points: along.map((x) => [x, 90 + Math.sin(x / 20)]), stroke: blue }); // prettier-ignore
    return (await check(defineSketch({ canvas, still: true, paint }), false)).findings.map(({ name }) => name);
  };
  expect([await wave(320), await wave(1280)]).toEqual([['flat-wave'], []]);
});
