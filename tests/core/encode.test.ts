import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { GifReader } from 'omggif';
import { changedRect } from '../../packages/frame-juggler/src/formats/changes.ts';
import { gifEnd, GifEncoder, packGifIndices, type GifOptions } from '../../packages/frame-juggler/src/formats/gif.ts';
import { evenSide, rational, y4mFrame, y4mHead } from '../../packages/frame-juggler/src/formats/y4m.ts';
import { rgb } from '../../packages/frame-juggler/src/index.ts';
import { RasterSurface } from '../../packages/frame-juggler/src/surfaces/raster/surface.ts';
import { record } from '../helpers.ts';

const settings = { width: 6, height: 5, frameRate: 25, repeat: true, comment: 'Seed: 7' };

function encode(pictures: readonly Uint32Array[], options: GifOptions = settings): Buffer {
  const encoder = new GifEncoder(options);
  const frames = [...pictures.map((words) => encoder.add(words)), ...encoder.end()];
  const parts = frames.flatMap((frame) => (frame ? [frame.head, packGifIndices(frame.indices)] : []));
  return Buffer.concat([encoder.head(), ...parts, gifEnd]);
}

/** What a player shows: a picture and for how many hundredths of a second, one after the other. */
function play(gif: Buffer): { words: number[]; delay: number }[] {
  const reader = new GifReader(gif);
  const shown = new Uint8Array(reader.width * reader.height * 4);
  return Array.from({ length: reader.numFrames() }, (_, index) => {
    const { delay, disposal } = reader.frameInfo(index);
    reader.decodeAndBlitFrameRGBA(index, shown);
    const words = [...new Uint32Array(shown.buffer.slice(0))];
    if (disposal === 2) shown.fill(0);
    return { words, delay };
  });
}

/** Few colors, opaque or not there, in pictures that mostly stay as they are. */
const pictures = fc
  .array(fc.array(fc.tuple(fc.nat(29), fc.constantFrom(0, 0xff0000ff, 0xff00ff00, 0xffff8040)), { maxLength: 6 }), {
    minLength: 1,
    maxLength: 8,
  }) // prettier-ignore
  .map((changes) => {
    const words = new Uint32Array(30).fill(0xff402010);
    return changes.map((list) => {
      for (const [at, word] of list) words[at] = word;
      return words.slice();
    });
  });

describe('GIF', () => {
  test('shows pictures of few colors exactly, each as long as it lasts', () => {
    fc.assert(
      fc.property(pictures, (list) => {
        const shown = play(encode(list));
        expect(shown.reduce((sum, { delay }) => sum + delay, 0)).toBe(4 * list.length);
        const long = shown.flatMap(({ words, delay }) => Array<number[]>(delay / 4).fill(words));
        expect(long).toEqual(list.map((words) => [...words]));
      }),
    );
  });

  test('is as large as it was asked for', () => {
    const gif = encode([new Uint32Array(300 * 2).fill(0xff402010)], { ...settings, width: 300, height: 2 });
    const reader = new GifReader(gif);
    expect([reader.width, reader.height]).toEqual([300, 2]);
  });

  test.each([255, 256, 257])('%d colors in a run are kept exactly, where they come one by one', (count) => {
    const pictures = Array.from({ length: 20 }, (_, frame) => Uint32Array.from({ length: 30 }, (_, at) => (0xff000000 | (Math.min(count - 1, at < 15 ? at : frame * 13 + at - 15) * 0x010307)) >>> 0));
    const shown = play(encode(pictures)).map(({ words }) => words);
    expect(new Set(pictures.flatMap((words) => [...words])).size).toBe(count);
    expect(shown).toEqual(pictures.map((words) => [...words]));
  }); // prettier-ignore

  test('with many colors and holes: what is not there is never shown, and few colors stay exact', () => {
    const colorOf = (index: number): number => (0xff000000 | ((index * 0x020503) & 0xffffff)) >>> 0;
    const changes = fc.array(fc.tuple(fc.nat(399), fc.nat(419), fc.boolean()), { maxLength: 500 });
    fc.assert(
      fc.property(fc.constantFrom(3, 254, 255, 256, 257, 420), fc.array(changes, { minLength: 1, maxLength: 5 }), (count, list) => {
        const words = Uint32Array.from({ length: 400 }, (_, at) => colorOf(at % count));
        const pictures = list.map((changed) => {
          for (const [at, color, hole] of changed) words[at] = hole ? 0 : colorOf(color % count);
          return words.slice();
        });
        const shown = play(encode(pictures, { ...settings, width: 20, height: 20 }));
        const long = shown.flatMap(({ words: each, delay }) => Array<number[]>(delay / 4).fill(each));
        const there = (each: ArrayLike<number>): boolean[] => Array.from(each, (word) => word >>> 24 > 0);
        expect(long.map(there)).toEqual(pictures.map(there));
        if (count <= 255) expect(long).toEqual(pictures.map((each) => [...each]));
      }),
      { numRuns: 60 },
    );
  }); // prettier-ignore

  test('packs noise, longer than its tables of codes', () => {
    const words = Uint32Array.from({ length: 200 * 200 }, (_, i) => (0xff000000 | ((Math.imul(i * i + 7, 0x9e3779b1) >>> 8) % 200)) >>> 0);
    const [{ words: shown }] = play(encode([words], { ...settings, width: 200, height: 200 }));
    expect(Buffer.compare(Buffer.from(Uint32Array.from(shown).buffer), Buffer.from(words.buffer))).toBe(0);
  }); // prettier-ignore

  test('comes near pictures of many colors, and keeps their large areas exactly', () => {
    const size = { ...settings, width: 128, height: 128 };
    const words = Uint32Array.from({ length: 128 * 128 }, (_, i) => {
      const [x, y] = [i % 128, i >> 7];
      return y < 64 ? 0xff6b3d17 : (0xff000000 | (x << 1) | ((y - 64) << 10)) >>> 0;
    });
    const [{ words: shown }] = play(encode([words], size));
    let far = 0;
    words.forEach((word, i) => {
      if (i < 128 * 64) expect(shown[i]).toBe(word);
      for (const shift of [0, 8, 16]) far = Math.max(far, Math.abs(((word >>> shift) & 255) - ((shown[i] >>> shift) & 255)));
    }); // prettier-ignore
    expect(far).toBeLessThan(20);
  });

  test('mixes the colors that it lacks of pixels side by side: nearer to the whole, and at rest where the picture is', () => {
    const size = { ...settings, width: 128, height: 128 };
    const picture = (frame: number): Uint32Array =>
      Uint32Array.from({ length: 128 * 128 }, (_, i) => {
        const [x, y] = [i % 128, i >> 7];
        const blue = (x ^ y) + (y < 64 ? 60 : 60 + 40 * frame);
        return (0xff000000 | (x << 1) | ((y << 1) << 8) | (blue << 16)) >>> 0;
      });
    /** How far the means of squares of four pixels a side are off, taken together. */
    const offBy = (shown: readonly number[], words: Uint32Array): number => {
      let far = 0;
      for (let y = 0; y < 128; y += 4)
        for (let x = 0; x < 128; x += 4)
          for (const shift of [0, 8, 16]) {
            let sum = 0;
            for (let i = 0; i < 16; i++) {
              const at = (y + (i >> 2)) * 128 + x + (i % 4);
              sum += ((shown[at] >>> shift) & 255) - ((words[at] >>> shift) & 255);
            }
            far += Math.abs(sum) / 16;
          }
      return far;
    };
    const list = [0, 1].map(picture);
    const plain = play(encode(list, size)).map(({ words }, i) => offBy(words, list[i]));
    const dithered = play(encode(list, { ...size, dither: true }));
    for (const [i, { words }] of dithered.entries()) expect(offBy(words, list[i])).toBeLessThan(plain[i] / 2);
    expect(dithered[1].words.slice(0, 128 * 64)).toEqual(dithered[0].words.slice(0, 128 * 64));
  }); // prettier-ignore

  test('a run that ends stays on its last picture, however soon that came', () => {
    const shades = Array.from({ length: 7 }, (_, i) => new Uint32Array(30).fill(0xff000000 + i));
    for (const frameRate of [60, 75, 90, 120, 144]) {
      const shown = play(encode(shades, { ...settings, frameRate, repeat: false }));
      expect(shown.at(-1)!.words[0] >>> 0).toBe(0xff000006);
      expect(shown.every(({ delay }) => delay >= 2)).toBe(true);
    }
  });

  test('leaves frames out that players would not show in time, and says so to nobody: the length stays', () => {
    const list = Array.from({ length: 60 }, (_, i) => new Uint32Array(30).fill((0xff000000 | (i * 4)) >>> 0));
    const shown = play(encode(list, { ...settings, frameRate: 60 }));
    expect(Math.min(...shown.map(({ delay }) => delay))).toBe(2);
    expect(shown.reduce((sum, { delay }) => sum + delay, 0)).toBe(100);
  });
});

test('the changed rectangle holds every change, and no row or column without one', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 9 }), fc.integer({ min: 1, max: 9 }), fc.array(fc.nat(80)), (width, height, places) => {
      const before = new Uint32Array(width * height);
      const after = before.slice();
      const changed = places.filter((at) => at < after.length);
      for (const at of changed) after[at] = 1;
      const xs = changed.map((at) => at % width);
      const ys = changed.map((at) => Math.floor(at / width));
      const [x, y] = [Math.min(...xs), Math.min(...ys)];
      const expected = changed.length === 0 ? undefined : { x, y, width: Math.max(...xs) - x + 1, height: Math.max(...ys) - y + 1 };
      expect(changedRect(before, after, width)).toEqual(expected);
    }),
  );
}); // prettier-ignore

describe('YUV4MPEG2', () => {
  test('makes sides even, up', () => {
    expect([1, 2, 539, 540].map(evenSide)).toEqual([2, 2, 540, 540]);
  });

  /** A frame of single pixels, as three planes. */
  const planesOf = (pixels: readonly number[][], width: number, height: number, wide: number, high: number, halved: boolean): Uint8Array => {
    const frame = record((canvas) => pixels.forEach(([r, g, b, alpha], i) => canvas.rect({ from: [i % width, Math.floor(i / width)], to: [(i % width) + 1, Math.floor(i / width) + 1], fill: rgb(r, g, b, alpha) })), { width, height });
    const surface = new RasterSurface();
    surface.draw({ ...frame, background: 0 });
    return surface.videoPlanes(wide, high, halved);
  }; // prettier-ignore

  test('holds brightness from 16 to 235, color by BT.709, and what is transparent on white', () => {
    const pixels = [[255, 255, 255, 1], [0, 0, 0, 1], [255, 0, 0, 1], [9, 9, 9, 0], [0, 0, 255, 1], [255, 0, 0, 0]];
    const full = [...planesOf(pixels, 3, 2, 3, 2, false)];
    expect(full.slice(0, 6)).toEqual([235, 16, 63, 235, 32, 235]);
    expect([full[6], full[12], full[8], full[14], full[10]]).toEqual([128, 128, 102, 240, 240]);
    expect([...y4mFrame(Uint8Array.of(1, 2, 3)).subarray(0, 7)]).toEqual([...new TextEncoder().encode('FRAME\n'), 1]);
    expect(new TextDecoder().decode(y4mHead(3, 2, 29.97, '420'))).toBe('YUV4MPEG2 W3 H2 F30000:1001 Ip A1:1 C420jpeg XCOLORRANGE=LIMITED\n');
  }); // prettier-ignore

  test('is what the formulas of BT.709 give, in every size, odd ones made even too', () => {
    const byte = fc.integer({ min: 0, max: 255 });
    const picture = fc
      .record({ width: fc.integer({ min: 1, max: 21 }), height: fc.integer({ min: 1, max: 5 }), even: fc.boolean(), halved: fc.boolean() })
      .chain((size) => fc.record({ size: fc.constant(size), pixels: fc.array(fc.tuple(byte, byte, byte), { minLength: size.width * size.height, maxLength: size.width * size.height }) }));
    fc.assert(
      fc.property(picture, ({ size: { width, height, even, halved }, pixels }) => {
        const [wide, high] = [width, height].map((side) => (even ? evenSide(side) : side));
        const step = halved ? 2 : 1;
        const at = (x: number, y: number): number[] => pixels[Math.min(y, height - 1) * width + Math.min(x, width - 1)];
        const bright = ([r, g, b]: readonly number[]): number => 0.2126 * r + 0.7152 * g + 0.0722 * b;
        const each = (by: number, value: (x: number, y: number) => number): number[] =>
          Array.from({ length: Math.ceil(high / by) }, (_, row) => Array.from({ length: Math.ceil(wide / by) }, (__, column) => value(column * by, row * by))).flat();
        const color = (channel: number, range: number) => (x: number, y: number): number => {
          const square = Array.from({ length: step * step }, (_, i) => at(x + (i % step), y + Math.floor(i / step)));
          const sum = square.reduce((all, pixel) => all + pixel[channel] - bright(pixel), 0);
          return 128 + (((sum / square.length) * 224) / 255) / range;
        };
        const expected = [...each(1, (x, y) => 16 + (bright(at(x, y)) * 219) / 255), ...each(step, color(2, 1.8556)), ...each(step, color(0, 1.5748))];
        const planes = planesOf(pixels, width, height, wide, high, halved);
        expect(planes).toHaveLength(expected.length);
        // Rounded, whichever way a half goes.
        expected.forEach((value, i) => expect(Math.abs(planes[i] - value)).toBeLessThan(0.5001));
      }),
      { numRuns: 150 },
    );
  }); // prettier-ignore

  test.each([
    [30, [30, 1]],
    [12.5, [25, 2]],
    [23.976, [24000, 1001]],
  ])('%d frames a second are %j', (rate, fraction) => {
    expect(rational(rate)).toEqual(fraction);
  });
});
