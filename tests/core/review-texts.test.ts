import { describe, expect, test } from '@jest/globals';
import {
  compareFrames,
  explainFrame,
  explanationLines,
  frameDifferenceLines,
  frameInWords,
  notesOnFrame,
  type Canvas,
} from '../../packages/frame-juggler/src/index.ts';
import { errorOf, record } from '../helpers.ts';

/* The review as people read it: sentences, lists and notes. */

describe('the difference of two frames, as lines', () => {
  const quay = (canvas: Canvas): void => {
    canvas.circle({ at: [20, 20], radius: 10, fill: 'teal', label: 'buoy' });
    canvas.rect({ at: [60, 60], size: 20, fill: 'brown', label: 'crate' });
    canvas.star({ at: [80, 20], radius: 8, innerRadius: 3, tips: 5, label: 'light' });
  };

  test('names what is gone, added and changed, and counts the rest', () => {
    const after = (canvas: Canvas): void => {
      canvas.circle({ at: [23.04, 16], radius: 10, fill: 'teal', label: 'buoy' });
      canvas.rect({ at: [60, 60], size: [30, 20], fill: 'gold', label: 'crate' });
      canvas.polygon({ at: [50, 50], radius: 9, sides: 5 });
    };
    const lines = frameDifferenceLines(compareFrames(record(quay), record(after)));
    expect(lines.map((line) => line.replace(/, line \d+/, ''))).toEqual([
      '1 item gone:',
      '  3 star light',
      '1 item added:',
      '  3 polygon',
      '2 items changed:',
      '  1 circle buoy: moved by 3, -4',
      '  2 rect crate: reshaped; fill #a52a2a → fill #ffd700',
      '0 items the same.',
    ]);
  });

  test('names twelve of many, and keeps each to the width', () => {
    const crates = (canvas: Canvas): void => {
      for (let i = 0; i < 20; i++)
        canvas.rect({ at: [i * 5, 9], size: 4, label: `a crate of the ferry's, number ${i}` });
    };
    const lines = frameDifferenceLines(compareFrames(record(quay), record((canvas) => (quay(canvas), crates(canvas)))), 30);
    expect(lines.slice(0, 2)).toEqual(['20 items added:', "  4 rect a crate of the ferry…"]);
    expect(lines.slice(13)).toEqual(['  and 8 more', '3 items the same.']);
    expect(Math.max(...lines.map(({ length }) => length))).toBeLessThanOrEqual(30);
  }); // prettier-ignore
});

describe('what was probably not intended in a frame', () => {
  const notes = (paint: (canvas: Canvas) => void, before?: (canvas: Canvas) => void): string[] =>
    notesOnFrame(before && record(before), record(paint), 4).map(({ text }) => text);
  const boat = (canvas: Canvas): void => canvas.circle({ at: [20, 20], radius: 10 });

  test('nothing is, where something can be seen and paint draws it again', () => expect(notes(boat, boat)).toEqual([]));
  test.each<[string, (canvas: Canvas) => void, string[]]>([
    ['an empty frame', () => undefined, ['nothing was drawn in frame 4']],
    ['items that cannot be seen, by reason', (canvas) => {
      canvas.circle({ at: [-90, 20], radius: 10 });
      canvas.circle({ at: [-90, 60], radius: 10 });
      canvas.circle({ at: [50, 60], radius: 0 });
    }, ['nothing that frame 4 drew can be seen: 2 off the canvas, 1 no size']],
    ['one of them that can', (canvas) => {
      canvas.circle({ at: [-90, 20], radius: 10 });
      canvas.dot({ at: [9, 9] });
    }, []],
  ])('%s', (_, paint, expected) => expect(notes(paint)).toEqual(expected)); // prettier-ignore
  test('the first of what cannot be seen has its line', () => {
    const frame = record(
      (canvas) => {
        canvas.circle({ at: [-90, 20], radius: 10 });
        canvas.circle({ at: [50, 60], radius: 0 });
      },
      { trace: true },
    );
    const [{ source }] = notesOnFrame(undefined, frame, 4);
    expect(source).toEqual(explainFrame(frame, { title: '', frame: 4, seed: 1 }).items[0].line);
  });
  test('characters that the font lacks', async () => {
    const { loadFonts } = await import('../../packages/frame-juggler/src/index.ts');
    await loadFonts(['regular']);
    const [note] = notes((canvas) => canvas.text('quay 水', { at: [20, 20], size: 9 }));
    expect(note).toBe('the font has no “水”');
  });
  test('is not looked for where a frame is missing', () =>
    expect(errorOf(() => notesOnFrame(undefined, 5 as never, 4))).toMatch('again 5 is not a frame'));
  test('an empty frame of a sketch that looks at pointer or keys may wait for them', () => {
    const empty = record(() => undefined);
    const [{ text }] = notesOnFrame(empty, empty, 4, true);
    expect(text).toBe('nothing was drawn in frame 4; it may wait for the pointer or for keys');
  });
  test('a paint that draws otherwise when it is called again', () => {
    expect(notes(boat, (canvas) => canvas.circle({ at: [21, 20], radius: 10 }))).toEqual([
      'paint draws frame 4 otherwise when it is called again; what changes belongs into step, or comes from random',
    ]);
  });
});

test('one item is explained in full: where it is, how it got there, and what of it is seen', () => {
  const frame = record((canvas) => {
    canvas.group({ label: 'ferry', translate: [40, 30], rotate: 90 }, () =>
      canvas.rect({ at: [10, 0], size: [20, 8], fill: 'teal', label: 'hull' }),
    );
    canvas.rect({ from: [0, 30], to: [200, 40], fill: 'navy' });
  });
  const explanation = explainFrame(frame, { title: 'Ferry', frame: 0, seed: 1 }, { item: 1 });
  expect(explanationLines(explanation).filter((line) => !/^Line|^Matrix/.test(line))).toEqual([
    expect.stringContaining('Ferry'),
    '',
    'Item     1, rect hull',
    'In       ferry',
    'Where    36, 30 to 44, 50: 8 × 20, its middle at 40, 40',
    'Painted  fill #008080',
    'Placed   moved to 40, 30, turned by 90°',
    'Seen     50.0 % of what it paints',
  ]);
});

describe('a frame in words', () => {
  const words = (paint: (canvas: Canvas) => void): string => frameInWords(record(paint, { width: 300, height: 300 }));
  const at = (x: number, y: number) => (canvas: Canvas) => canvas.circle({ at: [x, y], radius: 20, label: 'gull' });

  test.each([
    [40, 40, 'A gull at the top left; 1 thing'],
    [150, 40, 'A gull at the top; 1 thing'],
    [260, 150, 'A gull on the right; 1 thing'],
    [150, 150, 'A gull in the middle; 1 thing'],
    [260, 260, 'A gull at the bottom right; 1 thing'],
    [-60, 150, 'Nothing can be seen; 1 thing is drawn'],
  ])('says where a thing is: %d, %d', (x, y, expected) => expect(words(at(x, y))).toBe(expected));

  test.each<[string, (canvas: Canvas) => void]>([
    ['Sea all over; 1 thing', (canvas) => canvas.rect({ from: [0, 0], to: [300, 300], label: 'sea' })],
    ['A quay below; 1 thing', (canvas) => canvas.rect({ from: [0, 240], to: [300, 300], label: 'quay' })],
    ['Clouds across the top; 1 thing', (canvas) => canvas.rect({ from: [0, 0], to: [300, 60], label: 'clouds' })],
    ['A horizon across the middle; 1 thing', (canvas) => canvas.rect({ from: [0, 140], to: [300, 150], label: 'horizon' })],
    ['An oar from top to bottom; 1 thing', (canvas) => canvas.rect({ from: [140, 0], to: [160, 300], label: 'oar' })],
    ['A cliff on the left; 1 thing', (canvas) => canvas.rect({ from: [0, 0], to: [60, 300], label: 'cliff' })],
    ['Nothing is drawn; the background is white', () => undefined],
  ])('%s', (expected, paint) => expect(words(paint)).toBe(expected)); // prettier-ignore

  test('counts things of a name, a group as one, and names the largest six', () => {
    const text = words((canvas) => {
      for (const x of [40, 150, 260]) canvas.group({ label: 'gull', translate: [x, 40] }, () => {
        canvas.circle({ at: [0, 0], radius: 9 });
        canvas.line({ from: [0, 0], to: [9, 4] });
      });
      for (let i = 0; i < 9; i++) canvas.circle({ at: [i * 30, 200], radius: i + 1, label: `buoy ${i}` });
      canvas.rect({ at: [150, 150], size: 4, fill: 'gold' });
    });
    expect(text).toBe('3 gulls across the top, a buoy 4 at the bottom, a buoy 5 at the bottom, a buoy 6 at the bottom, a buoy 7 at the bottom right, a buoy 8 at the bottom right; 16 things');
  }); // prettier-ignore
});
