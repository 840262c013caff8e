/*
 * Properties of characters that text layout needs, from the Unicode Standard (UAX 24 for scripts, UAX 29 for clusters,
 * section 5.21 of the standard for invisible characters).
 */

/** A character with its marks, an emoji made of several by joiners, or the two letters of a flag. */
const cluster =
  /\r\n|\p{RI}{2}|\P{M}(?:[\p{M}\u200c\p{Emoji_Modifier}]|\u200d(?:\p{Extended_Pictographic})?)*|\p{M}+/gu;

/** Splits a text into grapheme clusters, which must not be separated. */
export function clustersOf(text: string): string[] {
  return text.match(cluster) ?? [];
}

/** Whether a character needs no glyph: spaces, and control and format characters. */
export function drawsNothing(character: string): boolean {
  return /[\s\p{Default_Ignorable_Code_Point}\p{Cf}]/u.test(character);
}

/**
 * A text without the invisible characters that do not affect other glyphs. Fonts that have a glyph for them, as many have
 * for the soft hyphen, would draw it.
 */
export function withoutUndrawn(text: string): string {
  return text.replace(isLatin(text) ? undrawn : undrawnAnywhere, '');
}

const undrawn = /(?!\p{Variation_Selector})[\p{Default_Ignorable_Code_Point}\p{Bidi_Control}]/gu;
/** In some scripts, joiners change the shape of letters. */
const undrawnAnywhere = /(?![\p{Variation_Selector}\u200c\u200d])[\p{Default_Ignorable_Code_Point}\p{Bidi_Control}]/gu;

/** Scripts that fonts shape by rules of their own; a line with several of them is set script by script. */
const scripts = [
  'Latin', 'Greek', 'Cyrillic', 'Armenian', 'Georgian', 'Hebrew', 'Arabic', 'Syriac', 'Thaana', 'Nko', 'Devanagari',
  'Bengali', 'Gurmukhi', 'Gujarati', 'Oriya', 'Tamil', 'Telugu', 'Kannada', 'Malayalam', 'Sinhala', 'Thai', 'Lao',
  'Tibetan', 'Myanmar', 'Khmer', 'Mongolian', 'Ethiopic', 'Cherokee', 'Hangul', 'Hiragana', 'Katakana', 'Bopomofo',
  'Han', 'Javanese', 'Balinese', 'Adlam',
].map((name) => new RegExp(`^\\p{Script=${name}}`, 'u')); // prettier-ignore
const shared = /^[\p{Script=Common}\p{Script=Inherited}]/u;

/** Whether a text has only Latin letters and characters that all scripts share. */
export function isLatin(text: string): boolean {
  return /^[\p{Script=Latin}\p{Script=Common}\p{Script=Inherited}]*$/u.test(text);
}

/** Scripts whose letters join, at the baseline or by a line above them. */
const joined = ['Arabic', 'Syriac', 'Nko', 'Mongolian', 'Adlam', 'Devanagari', 'Bengali', 'Gurmukhi'];
const joinedLetter = new RegExp(`[${joined.map((name) => `\\p{Script=${name}}`).join('')}]`, 'u');

/** Whether a text has letters that join, so that room between them would tear them apart. */
export function hasJoinedLetters(text: string): boolean {
  return joinedLetter.test(text);
}

/** The script of a cluster, as a number; undefined for characters of no script of their own, such as digits and dots. */
export function scriptOf(text: string): number | undefined {
  return shared.test(text) ? undefined : scripts.findIndex((script) => script.test(text));
}
