import { beforeAll, describe, expect, test } from '@jest/globals';
import { pathBox } from '../../packages/frame-juggler/src/geometry/path.ts';
import {
  defineSketch,
  itemsOf,
  loadFonts,
  measureText,
  Run,
  textOutline,
  type Box,
} from '../../packages/frame-juggler/src/index.ts';
import { errorOf, picture, plainItems, record } from '../helpers.ts';

describe('a sketch with text', () => {
  test('has its font before it starts, and is never run twice or thrown at for it', async () => {
    expect(() => measureText('too early')).toThrow('await loadFonts()');
    const calls: string[] = [];
    const caught: unknown[] = [];
    const measured = (): number => {
      try {
        return measureText('Quay', { weight: 'bold' }).width;
      } catch (error) {
        caught.push(error);
        return NaN;
      }
    };
    const run = new Run(
      defineSketch({
        start: () => void calls.push(`start ${measured() > 0}`),
        step: (_, { frame }) => void calls.push(`step ${frame}`),
        paint(canvas, { frame }) {
          calls.push(`paint ${frame}`);
          canvas.text('Quay', { at: [0, 0], weight: 'bold' });
        },
      }),
    );
    await run.goTo(2);
    expect(plainItems(await run.paint())[0].text).toBe('Quay');
    expect(caught).toEqual([]);
    expect(calls).toEqual(['start true', 'step 1', 'step 2', 'paint 2']);
  });
});

describe('text', () => {
  beforeAll(() => loadFonts());
  const inkOf = (string: string, options: object): { left: number; top: number; right: number; bottom: number } => {
    const [item] = record((canvas) => canvas.text(string, { at: [0, 0], size: 100, ...options })).items;
    return pathBox(item.path, item.transform);
  };

  test('capitals and digits stand in the exact middle of their pin', () => {
    for (const string of ['H', 'HEIHT', 'E']) {
      const { top, bottom } = inkOf(string, {});
      expect((top + bottom) / 2).toBeCloseTo(0, 2);
    }
    const { left, right } = inkOf('H', {});
    expect((left + right) / 2).toBeCloseTo(0, 0);
  });

  test('turns and grows about its own pin, wherever that is', () => {
    const ink = (options: object): unknown => {
      const frame = record((canvas) => canvas.text('Quay', { at: [40, 50], anchor: 'left', size: 20, ...options }));
      const [{ start, end, outlines, transform }] = itemsOf(frame);
      return pathBox(outlines, transform, start, end);
    };
    const { left, top, right, bottom } = ink({}) as Box;
    const turned = {
      left: 40 - (bottom - 50),
      top: 50 + (left - 40),
      right: 40 - (top - 50),
      bottom: 50 + (right - 40),
    };
    const grown = { left: 40 + 2 * (left - 40), top: 50 + 2 * (top - 50), right: 40 + 2 * (right - 40), bottom: 50 + 2 * (bottom - 50) }; // prettier-ignore
    const near = (box: Box): unknown => Object.fromEntries(Object.entries(box).map(([side, at]) => [side, expect.closeTo(at as number, 6)])); // prettier-ignore
    expect(ink({ rotate: 90 })).toEqual(near(turned));
    expect(ink({ scale: 2 })).toEqual(near(grown));
  });

  test('anchors put its box where boxes go, and the baseline on its line', () => {
    const { width, height } = measureText('HIH', { size: 100 });
    expect(inkOf('HIH', { anchor: 'top-left' }).top).toBeCloseTo(0, 6);
    expect(inkOf('HIH', { anchor: 'bottom' }).bottom).toBeCloseTo(0, 6);
    for (const anchor of ['baseline', 'baseline-left', 'baseline-right'])
      expect(inkOf('HIH', { anchor }).bottom).toBeCloseTo(0, 6);
    expect(inkOf('HIH', { anchor: 'right' }).right - inkOf('HIH', { anchor: 'left' }).right).toBeCloseTo(-width, 6);
    expect(height).toBeCloseTo(inkOf('H', {}).bottom - inkOf('H', {}).top, 6);
  });

  test('is kerned, and wider in bold', () => {
    const width = (string: string, options = {}): number => measureText(string, { size: 100, ...options }).width;
    expect(width('AV')).toBeLessThan(width('A') + width('V'));
    expect(width('Quay', { weight: 'bold' })).toBeGreaterThan(width('Quay'));
  });

  test('is spaced between its letters, so that its middle stays, and kerned as before', () => {
    const width = (string: string, letterSpacing: number): number =>
      measureText(string, { size: 100, letterSpacing }).width;
    for (const spacing of [-0.1, 0.25, 2])
      expect(width('AVA', spacing)).toBeCloseTo(width('AVA', 0) + 2 * spacing * 100, 6);
    expect(width('A', 2)).toBe(width('A', 0));
    const { left, right } = inkOf('HIH', { letterSpacing: 0.5 });
    expect(left).toBeCloseTo(-right, 6);
    // The letters of a ligature come apart.
    expect(inkOf('ff', { letterSpacing: 1 }).right).toBeCloseTo(inkOf('f', {}).right + 50 + width('f', 0) / 2, 6);
  });

  test('breaks at words, inside words that are too long, and where it is told', () => {
    const { lines, width } = measureText('the inner basin dries at low water', { size: 10, maxWidth: 60 });
    expect(lines.join(' ')).toBe('the inner basin dries at low water');
    expect(width).toBeLessThanOrEqual(60);
    expect(measureText('Sevenmeterskerry', { size: 10, maxWidth: 30 }).lines.join('')).toBe('Sevenmeterskerry');
    expect(measureText('one\ntwo\n\nthree').lines).toEqual(['one', 'two', '', 'three']);
  });

  test('has any number of lines', () => {
    const lines = 130_000;
    const { height } = measureText('a\n'.repeat(lines - 1), { size: 10, lineHeight: 2 });
    expect(height).toBeCloseTo(measureText('a', { size: 10 }).height + (lines - 1) * 20);
  });

  test('lines lie under each other as told, and as the anchor goes', () => {
    const left = (options: object): number => inkOf('HHHH\nH', options).left;
    expect(left({ anchor: 'top-left' })).toBeCloseTo(inkOf('H', { anchor: 'top-left' }).left, 6);
    const second = (align: string): number => {
      const [item] = record((canvas) =>
        canvas.text('HHHH\nH', { at: [0, 0], size: 100, align: align as 'left' }),
      ).items;
      // The last H: twelve corners and a close.
      return pathBox(item.path.slice(-37)).left;
    };
    expect(second('left')).toBeLessThan(second('center'));
    expect(second('center')).toBeLessThan(second('right'));
  });

  test('mistakes are named', () => {
    const said = (string: unknown, options: object): string =>
      errorOf(() => record((canvas) => canvas.text(string as string, options as never)));
    expect(said({ at: [0, 0] }, { at: [0, 0] })).toMatch('is not text; expected text or a number first');
    expect(said('Quay', { at: [0, 0], font: 'Serif' })).toMatch(
      "expected one of assets (asset.font), 'default', or a list",
    );
    expect(said('Quay', { at: [0, 0], anchor: 'baseline-centre' })).toMatch('baseline-centre');
    expect(said('Quay', { at: [0, 0], sise: 3 })).toMatch('did you mean "size"?');
  });

  test('as a path is what is drawn as text', () => {
    const options = { at: [50, 50] as const, size: 28, maxWidth: 60, weight: 'bold' as const };
    const drawn = picture((canvas) => canvas.text('Pellan Quay', options));
    const traced = picture((canvas) => canvas.path({ data: textOutline('Pellan Quay', options) }));
    const far = drawn.data.reduce((most, byte, at) => Math.max(most, Math.abs(byte - traced.data[at])), 0);
    expect(far).toBeLessThanOrEqual(1);
    expect(() => textOutline('Quay', { at: [0, 0], sise: 3 } as never)).toThrow('did you mean "size"?');
  });
});
