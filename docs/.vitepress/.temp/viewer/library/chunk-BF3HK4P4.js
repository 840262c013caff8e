// packages/frame-juggler/dist/text/characters.js
var cluster = /\r\n|\p{RI}{2}|\P{M}(?:[\p{M}\u200c\p{Emoji_Modifier}]|\u200d(?:\p{Extended_Pictographic})?)*|\p{M}+/gu;
function clustersOf(text) {
  return text.match(cluster) ?? [];
}
function drawsNothing(character) {
  return /[\s\p{Default_Ignorable_Code_Point}\p{Cf}]/u.test(character);
}
function withoutUndrawn(text) {
  return text.replace(isLatin(text) ? undrawn : undrawnAnywhere, "");
}
var undrawn = /(?!\p{Variation_Selector})[\p{Default_Ignorable_Code_Point}\p{Bidi_Control}]/gu;
var undrawnAnywhere = /(?![\p{Variation_Selector}\u200c\u200d])[\p{Default_Ignorable_Code_Point}\p{Bidi_Control}]/gu;
var scripts = [
  "Latin",
  "Greek",
  "Cyrillic",
  "Armenian",
  "Georgian",
  "Hebrew",
  "Arabic",
  "Syriac",
  "Thaana",
  "Nko",
  "Devanagari",
  "Bengali",
  "Gurmukhi",
  "Gujarati",
  "Oriya",
  "Tamil",
  "Telugu",
  "Kannada",
  "Malayalam",
  "Sinhala",
  "Thai",
  "Lao",
  "Tibetan",
  "Myanmar",
  "Khmer",
  "Mongolian",
  "Ethiopic",
  "Cherokee",
  "Hangul",
  "Hiragana",
  "Katakana",
  "Bopomofo",
  "Han",
  "Javanese",
  "Balinese",
  "Adlam"
].map((name) => new RegExp(`^\\p{Script=${name}}`, "u"));
var shared = /^[\p{Script=Common}\p{Script=Inherited}]/u;
function isLatin(text) {
  return /^[\p{Script=Latin}\p{Script=Common}\p{Script=Inherited}]*$/u.test(text);
}
function scriptOf(text) {
  return shared.test(text) ? void 0 : scripts.findIndex((script) => script.test(text));
}

// packages/frame-juggler/dist/text/font.js
var maxLines = 2e3;
var Font = class {
  name;
  typesetter;
  lines = /* @__PURE__ */ new Map();
  constructor(name, typesetter) {
    this.name = name;
    this.typesetter = typesetter;
  }
  get capHeight() {
    return this.typesetter.capHeight;
  }
  /** Whether it has glyphs for all that a text draws. */
  draws(text) {
    return this.lacking(text).length === 0;
  }
  set(text, rightToLeft = false) {
    const key = rightToLeft ? `\u202E${text}` : text;
    let line = this.lines.get(key);
    if (line === void 0) {
      if (this.lines.size === maxLines)
        this.lines.clear();
      line = { ...this.typesetter.set(text, rightToLeft), lacking: this.lacking(text) };
      this.lines.set(key, line);
    }
    return line;
  }
  lacking(text) {
    return [...new Set(text)].filter((character) => !drawsNothing(character) && !this.typesetter.has(character));
  }
};

export {
  clustersOf,
  drawsNothing,
  withoutUndrawn,
  isLatin,
  scriptOf,
  Font
};
