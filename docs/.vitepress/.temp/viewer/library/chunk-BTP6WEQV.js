import {
  fail,
  suggest
} from "./chunk-IWQLMP55.js";

// packages/frame-juggler/dist/schema/kind.js
var Kind = class {
  words;
  allows;
  complain;
  min;
  max;
  /**
   * @param words what is right, for messages and the reference: "a finite number"
   * @param allows whether a value can be used as it is
   * @param complain what is wrong with a value that is not allowed
   * @param min the least of the numbers it allows, where it allows a range of numbers: that is checked without a call
   * @param max the greatest of them
   */
  constructor(words, allows, complain, min = NaN, max = NaN) {
    this.words = words;
    this.allows = allows;
    this.complain = complain;
    this.min = min;
    this.max = max;
  }
  /** The value of an option or argument. @throws SketchError where it is not of this kind */
  read(call, option, value) {
    if (typeof value === "number" && value >= this.min && value <= this.max)
      return value;
    return this.allows(value) ? value : this.refuse(call, option, value);
  }
  /** Says what is wrong with a value that is not allowed. @throws SketchError always */
  refuse(call, option, value) {
    if (value === void 0)
      missing(call, option, this.words);
    const { part = { name: "", value }, ...complaint } = this.complain(value, this.words);
    return fail({ call, option: `${option}${part.name}`, value: part.value, ...complaint });
  }
};
function complaintOf(kind, name2, value) {
  const { part = { name: "", value }, ...complaint } = kind.complain(value, kind.words);
  return { ...complaint, part: { name: `${name2}${part.name}`, value: part.value } };
}
// @__NO_SIDE_EFFECTS__
function kindOf(words, allows, problem) {
  return new Kind(words, allows, (value, expected) => ({
    problem: typeof problem === "string" ? problem : problem(value),
    expected: `expected ${expected}`
  }));
}
// @__NO_SIDE_EFFECTS__
function convertedLater(words) {
  return new Kind(words, () => true, () => ({ problem: "" }));
}
function missing(call, option, words) {
  return fail({ call, option, problem: "is missing", expected: `expected ${words}` });
}
var notNumber = (value) => typeof value !== "number" ? "is not a number" : Number.isFinite(value) ? "is out of range" : "is not finite";
// @__NO_SIDE_EFFECTS__
function range(words, min, max = Number.MAX_VALUE, problem = notNumber) {
  return new Kind(words, (value) => typeof value === "number" && value >= min && value <= max, (value, expected) => ({ problem: problem(value), expected: `expected ${expected}` }), min, max);
}
var finite = /* @__PURE__ */ range("a finite number", -Number.MAX_VALUE);
var degrees = /* @__PURE__ */ range("a finite number of degrees", -Number.MAX_VALUE);
var length = /* @__PURE__ */ range("a number, 0 or more", 0, void 0, (value) => typeof value === "number" && value < 0 ? "is negative" : notNumber(value));
var positive = /* @__PURE__ */ range("a number above 0", Number.MIN_VALUE, void 0, (value) => typeof value === "number" && value <= 0 ? "is not above 0" : notNumber(value));
// @__NO_SIDE_EFFECTS__
function between(lo, hi) {
  return /* @__PURE__ */ range(`a number from ${lo} to ${hi}`, lo, hi);
}
var fraction = /* @__PURE__ */ between(0, 1);
// @__NO_SIDE_EFFECTS__
function whole(min, max = Infinity) {
  return /* @__PURE__ */ kindOf(max === Infinity ? `a whole number, ${min} or more` : `a whole number from ${min} to ${max}`, (value) => Number.isInteger(value) && value >= min && value <= max, (value) => Number.isInteger(value) ? "is out of range" : "is not a whole number");
}
var toggle = /* @__PURE__ */ kindOf("true or false", (value) => typeof value === "boolean", "is not true or false");
var text = /* @__PURE__ */ kindOf("some text", (value) => typeof value === "string", "is not text");
var name = /* @__PURE__ */ kindOf("some text", (value) => typeof value === "string" && value !== "", (value) => value === "" ? "is empty" : "is not text");
// @__NO_SIDE_EFFECTS__
function callable(words = "a function") {
  return /* @__PURE__ */ kindOf(words, (value) => typeof value === "function", "is not a function");
}
// @__NO_SIDE_EFFECTS__
function oneOf(...words) {
  const known = new Set(words);
  return new Kind(`one of ${words.join(", ")}`, (value) => known.has(value), (value) => ({
    problem: "is not known",
    expected: suggest(value, words)
  }));
}
// @__NO_SIDE_EFFECTS__
function listOf(kind, plural, min = 0) {
  const minimum = min < 2 ? "" : `, at least ${min}`;
  return new Kind(`a list of ${plural}${minimum}`, (value) => Array.isArray(value) && value.length >= min && value.every(kind.allows), (value, words) => {
    if (!Array.isArray(value))
      return { problem: "is not a list", expected: `expected ${words}` };
    const at = value.findIndex((member) => !kind.allows(member));
    if (at >= 0)
      return complaintOf(kind, `[${at}]`, value[at]);
    const problem = value.length === 0 ? "is empty" : `has only ${value.length}`;
    return { problem, expected: `expected ${min === 1 ? plural : `at least ${min} ${plural}`}` };
  });
}
// @__NO_SIDE_EFFECTS__
function mapOf(kind, words) {
  const isObject = (value) => typeof value === "object" && value !== null && !Array.isArray(value);
  return new Kind(words, (value) => isObject(value) && Object.values(value).every(kind.allows), (value, expected) => {
    const wrong = isObject(value) ? Object.entries(value).find(([, member]) => !kind.allows(member)) : void 0;
    if (wrong === void 0)
      return { problem: "is not an object", expected: `expected ${expected}` };
    return complaintOf(kind, `.${wrong[0]}`, wrong[1]);
  });
}
var anything = /* @__PURE__ */ kindOf("a value", (value) => value !== void 0, "is missing");

export {
  Kind,
  complaintOf,
  kindOf,
  convertedLater,
  missing,
  finite,
  degrees,
  length,
  positive,
  between,
  fraction,
  whole,
  toggle,
  text,
  name,
  callable,
  oneOf,
  listOf,
  mapOf,
  anything
};
