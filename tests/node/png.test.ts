import { describe, expect, test } from '@jest/globals';
import { decode } from 'fast-png';
import fc from 'fast-check';
import { encodePng, packPng } from '../../packages/frame-juggler/src/node/png.ts';
import { loadForm } from '../../packages/frame-juggler/src/surfaces/raster/forms.ts';
import { EngineSurface } from '../../packages/frame-juggler/src/surfaces/raster/engine-surface.ts';
import { record } from '../helpers.ts';
import { provenance, provenanceLines, readProvenance } from '../../packages/frame-juggler/src/node/provenance.ts';

const words = fc.constantFrom(0, 0xff0000ff, 0x80ffffff, 0xff336699, 0xffffffff, 0x01020304);
/** Pictures of few colors, so that some are opaque all over and some have even rows. */
const pictures = fc
  .tuple(fc.integer({ min: 1, max: 13 }), fc.integer({ min: 1, max: 9 }), fc.boolean())
  .chain(([width, height, opaque]) =>
    fc.array(words, { minLength: width * height, maxLength: width * height }).map((list) => ({
      width,
      height,
      data: new Uint8Array(Uint32Array.from(list, (word) => (opaque ? (word | 0xff000000) >>> 0 : word)).buffer),
    })),
  );

describe('PNG', () => {
  test('reads back as the pixels that were written, with an alpha channel only where it is needed', () => {
    fc.assert(
      fc.property(pictures, (picture) => {
        const { width, height, channels, data } = decode(encodePng(picture));
        const opaque = picture.data.every((byte, at) => at % 4 !== 3 || byte === 255);
        expect([width, height, channels]).toEqual([picture.width, picture.height, opaque ? 3 : 4]);
        expect([...data]).toEqual([...picture.data].filter((_, at) => !opaque || at % 4 !== 3));
      }),
    );
  });

  test.each([
    [8, 'white'],
    [8, 'transparent'],
    [16, 'white'],
    [16, 'transparent'],
  ] as const)('of so many rows that they are packed in parts, with %i bits on %s, reads back as drawn', async (bits, under) => {
    const [width, height] = [300, 240];
    const frame = record(
      (canvas) => {
        canvas.clear(under);
        for (let i = 0; i < 40; i++)
          canvas.circle({ at: [(i * 89) % 300, (i * 53) % 240], radius: 9 + i, fill: `oklch(0.7 0.1 ${i * 9} / 0.8)` });
      },
      { width, height },
    );
    const surface = new EngineSurface(await loadForm(bits));
    surface.draw(frame);
    expect([...surface.packed.rows].length).toBeGreaterThan(3);
    const read = decode(packPng(surface.packed));
    expect([read.width, read.height, read.depth, read.channels]).toEqual([width, height, bits, under === 'white' ? 3 : 4]);
    const most = bits === 8 ? 0 : 1;
    const drawn = surface.drawn.data.filter((_, at) => read.channels === 4 || at % 4 !== 3);
    // Color of what is hardly there is not the same in bytes as in words.
    const apart = read.data.filter((part, at) => {
      const alpha = read.channels === 4 ? drawn[at | 3] : 255;
      return alpha > 50 && Math.abs(part / (bits === 8 ? 1 : 257) - drawn[at]) > most;
    });
    expect(apart).toHaveLength(0);
  }); // prettier-ignore

  test('tells where it comes from, in any script', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), fc.nat(), fc.nat(), (title, seed, frame) => {
        fc.pre(!title.includes('\0'));
        const texts = provenance({ title, seed, frame, run: 'a1b2' });
        const file = encodePng({ width: 1, height: 1, data: new Uint8Array(4) }, texts);
        expect(readProvenance(file)).toEqual(texts);
      }),
    );
  });

  test('what a comment tells is a line for each thing, whatever the title holds', () => {
    const texts = provenance({ title: 'Low\nwater\t& <ebb>', seed: 3, frame: [4, 9] });
    expect(provenanceLines(texts)).toBe('Title: Low water & <ebb>\nSoftware: Frame Juggler\nFrames: 4..9\nSeed: 3');
  });
});
