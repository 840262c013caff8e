/*
 * What is to be known of characters before they are set, as the Unicode Standard tells it (UAX 24 scripts, UAX 29
 * clusters, section 5.21 of the standard for what draws nothing).
 */

/** A character with its marks, the parts of a picture that joiners hold together, or the two letters of a flag. */
const cluster =
  /\r\n|\p{RI}{2}|\P{M}(?:[\p{M}\u200c\p{Emoji_Modifier}]|\u200d(?:\p{Extended_Pictographic})?)*|\p{M}+/gu;

/** A text in the pieces that are not to be parted, in order. */
export function clustersOf(text: string): string[] {
  return text.match(cluster) ?? [];
}

/** What a font needs no glyph for: spaces, and characters that only steer others. */
export function drawsNothing(character: string): boolean {
  return /[\s\p{Default_Ignorable_Code_Point}\p{Cf}]/u.test(character);
}

/**
 * A text without the characters that draw nothing and steer no glyph. Fonts that have one for them, as many have for the
 * soft hyphen, would draw it.
 */
export function withoutUndrawn(text: string): string {
  return text.replace(isLatin(text) ? undrawn : undrawnAnywhere, '');
}

const undrawn = /(?!\p{Variation_Selector})[\p{Default_Ignorable_Code_Point}\p{Bidi_Control}]/gu;
/** In some scripts, joiners tell what letters look like. */
const undrawnAnywhere = /(?![\p{Variation_Selector}\u200c\u200d])[\p{Default_Ignorable_Code_Point}\p{Bidi_Control}]/gu;

/** Scripts that fonts shape each by its own rules; a line of several is set script by script. */
const scripts = [
  'Latin', 'Greek', 'Cyrillic', 'Armenian', 'Georgian', 'Hebrew', 'Arabic', 'Syriac', 'Thaana', 'Nko', 'Devanagari',
  'Bengali', 'Gurmukhi', 'Gujarati', 'Oriya', 'Tamil', 'Telugu', 'Kannada', 'Malayalam', 'Sinhala', 'Thai', 'Lao',
  'Tibetan', 'Myanmar', 'Khmer', 'Mongolian', 'Ethiopic', 'Cherokee', 'Hangul', 'Hiragana', 'Katakana', 'Bopomofo',
  'Han', 'Javanese', 'Balinese', 'Adlam',
].map((name) => new RegExp(`^\\p{Script=${name}}`, 'u')); // prettier-ignore
const shared = /^[\p{Script=Common}\p{Script=Inherited}]/u;

/** Whether a text is of Latin letters and what all scripts share. */
export function isLatin(text: string): boolean {
  return /^[\p{Script=Latin}\p{Script=Common}\p{Script=Inherited}]*$/u.test(text);
}

/** The script of a cluster, as a number; undefined where it goes along with its neighbors, as digits and points do. */
export function scriptOf(text: string): number | undefined {
  return shared.test(text) ? undefined : scripts.findIndex((script) => script.test(text));
}
