import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { encode } from 'fast-png';
import jpeg from 'jpeg-js';
import {
  asset,
  defineSketch,
  loadFonts,
  measureText,
  Run,
  type Asset,
  type Font,
  type Picture,
} from '../../packages/frame-juggler/src/index.ts';

/** Loads one asset from bytes, as a run does before `start`. */
async function loaded<Value>(made: (url: URL) => Asset<Value>, bytes: Uint8Array): Promise<Value> {
  let found: Value | undefined;
  const thing = made(new URL('file:///quay/thing.bin'));
  const sketch = defineSketch({
    assets: { thing },
    start: ({ assets }) => void (found = assets.thing as Value),
    paint() {},
  });
  await new Run(sketch, { host: { read: () => Promise.resolve(bytes) } }).restart();
  return found as Value;
}
const colors = (picture: Picture): string[] =>
  Array.from({ length: picture.width * picture.height }, (_, i) =>
    picture.colorAt(i % picture.width, Math.floor(i / picture.width)).toString(),
  );
const image = async (bytes: Uint8Array): Promise<string[]> => {
  const picture = await loaded(asset.picture, bytes);
  return colors(picture);
};

describe('pictures from files', () => {
  test('PNG of every kind of pixel', async () => {
    const png = (channels: number, data: number[], more = {}): Uint8Array =>
      encode({ width: 2, height: 1, channels: channels as 3, data: new Uint8Array(data), ...more });
    expect(await image(png(3, [255, 0, 0, 0, 0, 255]))).toEqual(['#ff0000', '#0000ff']);
    expect(await image(png(4, [255, 0, 0, 128, 0, 0, 255, 0]))).toEqual(['#ff000080', '#0000ff00']);
    expect(await image(png(1, [0, 128]))).toEqual(['#000000', '#808080']);
    expect(await image(png(2, [51, 255, 255, 51]))).toEqual(['#333333', '#ffffff33']);
    const deep = {
      width: 2,
      height: 1,
      channels: 3 as const,
      depth: 16 as const,
      data: new Uint16Array([65535, 0, 0, 0, 32896, 0]),
    };
    expect(await image(encode(deep))).toEqual(['#ff0000', '#008000']);
    expect(await image(png(1, [1, 0], { palette: [[255, 0, 0], [0, 128, 0]] }))).toEqual(['#008000', '#ff0000']); // prettier-ignore
  });

  test('JPEG, nearly as it was', async () => {
    const flat = jpeg.encode(
      { width: 8, height: 8, data: Buffer.alloc(256, Buffer.from([200, 60, 20, 255])) },
      95,
    ).data;
    const [first] = await image(flat);
    expect(first).toMatch(/^#c[6-9a][3-4][0-9a-f]1[0-9a-f]$/);
  });

  test('a broken or unknown one is named, with what is wrong', async () => {
    const whole = encode({ width: 4, height: 4, channels: 3, data: new Uint8Array(48).fill(90) });
    await expect(image(whole.subarray(0, 50))).rejects.toThrow(
      /^assets: thing \(thing\.bin\) could not be loaded; the PNG is broken: /,
    );
    const flipped = whole.slice();
    flipped[45] ^= 255;
    await expect(image(flipped)).rejects.toThrow('the PNG is broken');
    await expect(image(new TextEncoder().encode('tide'))).rejects.toThrow('expected PNG or JPEG');
  });
});

describe('fonts from files', () => {
  const file = readFileSync('node_modules/@expo-google-fonts/source-sans-3/700Bold/SourceSans3_700Bold.ttf');

  test('measure and draw as the file says', async () => {
    await loadFonts(['bold']);
    const font: Font = await loaded(asset.font, file);
    expect(measureText('Pellan Quay', { font, size: 50 })).toEqual(
      measureText('Pellan Quay', { weight: 'bold', size: 50 }),
    );
  });

  test('a broken one is named', async () => {
    await expect(loaded(asset.font, file.subarray(0, 90))).rejects.toThrow(
      'assets: thing (thing.bin) could not be loaded; it is not a font',
    );
    await expect(loaded(asset.font, new Uint8Array(10))).rejects.toThrow('expected TTF, OTF, WOFF or WOFF2');
  });
});
