import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { crc32, deflateSync } from 'node:zlib';
import { encode } from 'fast-png';
import jpeg from 'jpeg-js';
import {
  asset,
  defineSketch,
  loadFonts,
  measureText,
  Run,
  seededRandom,
  type Asset,
  type Font,
  type Picture,
  type TableRow,
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

describe('pictures that are not what they tell', () => {
  const small = encode({ width: 2, height: 2, channels: 4, data: new Uint8Array(16) });
  /** A PNG of other sizes in its head, or of other packed pixels. */
  function forged(width: number, height: number, pixels?: Uint8Array): Uint8Array {
    const chunk = (type: string, data: Uint8Array): Buffer => {
      const whole = Buffer.concat([Buffer.alloc(4), Buffer.from(type, 'latin1'), data, Buffer.alloc(4)]);
      whole.writeUInt32BE(data.length, 0);
      whole.writeUInt32BE(crc32(whole.subarray(4, data.length + 8)), data.length + 8);
      return whole;
    };
    const head = Buffer.from(small.subarray(16, 29));
    head.writeUInt32BE(width, 0);
    head.writeUInt32BE(height, 4);
    const data = pixels ?? deflateSync(new Uint8Array(width * 4 + 1));
    return Buffer.concat([
      small.subarray(0, 8),
      chunk('IHDR', head),
      chunk('IDAT', data),
      chunk('IEND', new Uint8Array(0)),
    ]);
  }

  test.each([
    [0, 0, 'it has no pixels: it is 0 × 0'],
    [30_000, 30_000, 'it is too large, 30000 × 30000 pixels: expected at most 32767 a side, and 128 million'],
    [40_000, 1, 'it is too large, 40000 × 1 pixels'],
  ])('a PNG of %d × %d is refused by its head', async (width, height, message) => {
    await expect(image(forged(width, height))).rejects.toThrow(message);
  });

  test('a PNG that unpacks to more than its head tells is refused before it fills memory', async () => {
    const flood = deflateSync(new Uint8Array(400e6), { level: 9 });
    await expect(image(forged(2, 2, flood))).rejects.toThrow('holds more pixels than the 2 × 2 that its head tells');
  });

  test('a JPEG too large is refused by its head', async () => {
    const { data } = jpeg.encode({ width: 8, height: 8, data: Buffer.alloc(256) }, 50);
    const forgedHead = Buffer.from(data);
    const frame = forgedHead.indexOf(Buffer.of(0xff, 0xc0));
    forgedHead.writeUInt16BE(65_000, frame + 5);
    await expect(image(forgedHead)).rejects.toThrow('it is too large, 8 × 65000 pixels');
  });
});

describe('a table', () => {
  const table = (csv: string): Promise<readonly TableRow[]> => loaded(asset.table, new TextEncoder().encode(csv));
  test('has rows by the names of its columns; what reads as a number is one', async () => {
    expect(await table('hour, level ,sea\r\n0,2.6,calm\r\n6, -1e1 ,"a little\nrough"\r\n,"1,5",""\r\n')).toEqual([
      { hour: 0, level: 2.6, sea: 'calm' },
      { hour: 6, level: -10, sea: 'a little\nrough' },
      { hour: '', level: '1,5', sea: '' },
    ]);
    // As spreadsheets begin what they save.
    expect(await table('\ufeffhour\n3\n\n4')).toEqual([{ hour: 3 }, { hour: 4 }]);
  });
  test('may be parted by tabs, or by semicolons with commas in its numbers', async () => {
    const rows = [{ hour: 0, 'level, m': 2.6, sea: 'calm, gray' }];
    expect(await table('hour;"level, m";sea\n0;2,6;calm, gray\n')).toEqual(rows);
    expect(await table('hour\tlevel, m\tsea\n0\t2.6\tcalm, gray\n')).toEqual(rows);
    // A comma that may part thousands is no decimal's.
    expect(await table('hour\ttons\n0\t1,234\n')).toEqual([{ hour: 0, tons: '1,234' }]);
    expect(await table('hour;note\n-1,50;1,000,000\n')).toEqual([{ hour: -1.5, note: '1,000,000' }]);
  });
  test.each([
    ['hour,level,hour \n0,2.6,0\n', 'the column "hour" is there twice'],
    ['hour,level\n0,2.6\n\n6\n', 'row 4 has 1 values; the table has 2 columns'],
    ['', 'the table is empty; expected a line of column names'],
    ['\n1,2\n', 'the table is empty'],
  ])('%j is refused', (csv, message) => expect(table(csv)).rejects.toThrow(message));
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

  test('damage anywhere is said in words, as it is read or as text is set', async () => {
    await loadFonts();
    const random = seededRandom(4);
    for (let run = 0; run < 60; run++) {
      const damaged = Uint8Array.from(file);
      for (let i = 0; i < 40; i++)
        damaged[random.int(0, run % 2 === 0 ? 2000 : damaged.length - 1)] = random.int(0, 255);
      try {
        measureText('High water 04:12', { font: await loaded(asset.font, damaged) });
      } catch (error) {
        expect((error as Error).name).toBe('SketchError');
      }
    }
  });
});
