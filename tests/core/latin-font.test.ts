import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { create } from 'fontkit';
import { inflateRawSync } from 'node:zlib';
import { packed as bold } from '../../packages/frame-juggler/src/text/generated/bold.ts';
import { packed as boldLatin } from '../../packages/frame-juggler/src/text/generated/bold-latin.ts';
import { latin } from '../../packages/frame-juggler/src/text/generated/latin.ts';
import { packed as regular } from '../../packages/frame-juggler/src/text/generated/regular.ts';
import { packed as regularLatin } from '../../packages/frame-juggler/src/text/generated/regular-latin.ts';
import { needsOf } from '../../packages/frame-juggler/src/text/needs.ts';
import { readFont } from '../../packages/frame-juggler/src/text/read-font.ts';
import { initialTextStyle } from '../../packages/frame-juggler/src/text/style.ts';

const read = (packed: string) => readFont('own', inflateRawSync(Buffer.from(packed, 'base64')), create);
const characters = Array.from({ length: 0x2300 }, (_, code) => String.fromCharCode(code)).filter((one) => latin.test(one) && one >= ' '); // prettier-ignore

/** A line as a font sets it, its outlines made one too. */
const lineOf = (font: ReturnType<typeof read>, text: string): object => {
  const line = font.set(text);
  return { ...line, united: line.united() };
};

describe.each([
  ['regular', regular, regularLatin],
  ['bold', bold, boldLatin],
])('the Latin letters of the %s font', (_, packedWhole, packedLatin) => {
  const [whole, some] = [read(packedWhole), read(packedLatin)];

  test('set every Latin text as the whole font does', () => {
    expect(some.capHeight).toBe(whole.capHeight);
    for (const one of characters) expect([one, lineOf(some, one)]).toEqual([one, lineOf(whole, one)]);
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...characters), { maxLength: 12 }), (letters) => {
        expect(lineOf(some, letters.join(''))).toEqual(lineOf(whole, letters.join('')));
      }),
      { numRuns: 300 },
    );
    for (const text of ['AVATAR To. “fi ffl” 1/2 ½ 10 000 €', 'Łódź, Åžť', 'a\u0020b\u00a0c\u00ad', 'L’été — naïve']) expect(lineOf(some, text)).toEqual(lineOf(whole, text)); // prettier-ignore
  });
});

test.each([
  ['Quay 12, 3 °C → N', ['regular-latin']],
  ['лодка', ['regular']],
  ['e\u0301', ['regular']],
  ['⚓', ['regular']],
  ['one\ntwo', ['regular-latin']],
])('%s asks for the font that has its letters', (text, needs) => {
  expect(needsOf(text, initialTextStyle, undefined)).toEqual(needs);
});
