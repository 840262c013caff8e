import {
  Kind,
  complaintOf,
  kindOf,
  length,
  missing
} from "./chunk-BTP6WEQV.js";
import {
  fail,
  show,
  suggest
} from "./chunk-IWQLMP55.js";

// packages/frame-juggler/dist/schema/schema.js
// @__NO_SIDE_EFFECTS__
function optional(kind, initial) {
  return { kind, optional: true, initial };
}
var Schema = class _Schema {
  table;
  example;
  formNames;
  entries = /* @__PURE__ */ new Map();
  /** The entries last met, in order: a loop gives the same names again and again. */
  recent = [];
  required = 0;
  inForms = 0;
  forms;
  initial = {};
  /**
   * @param table the options by name
   * @param example options that work, for the message where something else was passed
   * @param forms sets of names of which exactly one is to be given; a name that ends in `?` may be left out of its set
   */
  constructor(table, example, formNames = []) {
    this.table = table;
    this.example = example;
    this.formNames = formNames;
    let bit = 1;
    for (const [name, given] of Object.entries(table)) {
      const { kind, initial } = "optional" in given ? given : { kind: given, initial: void 0 };
      const { allows, min, max } = kind;
      const entry = { name, kind, allows, min, max, initial, bit };
      this.entries.set(name, entry);
      if (initial !== void 0)
        this.initial[name] = initial;
      bit *= 2;
    }
    const bitOf = (name) => this.entries.get(name.replace("?", "")).bit;
    const bitsOf = (names) => names.reduce((bits, name) => bits | bitOf(name), 0);
    this.forms = formNames.map((names) => ({
      names: names.map((name) => name.replace("?", "")),
      needed: bitsOf(names.filter((name) => !name.endsWith("?"))),
      allowed: bitsOf(names)
    }));
    this.inForms = this.forms.reduce((bits, { allowed }) => bits | allowed, 0);
    for (const [name, given] of Object.entries(table))
      if (!("optional" in given))
        this.required |= bitOf(name);
    this.required &= ~this.inForms;
  }
  /** The same options and others beside them. */
  with(more) {
    return new _Schema({ ...this.table, ...more }, this.example, this.formNames);
  }
  /** The names of the options. */
  get names() {
    return [...this.entries.keys()];
  }
  /**
   * Checks what a caller gave: each name is known, has a value, and that of its kind; what is required is there, and of
   * names that exclude each other one set. This runs for every shape, so the good case stays short.
   * @throws SketchError
   */
  check(call, options) {
    if (typeof options !== "object" || options === null || Array.isArray(options))
      fail({ call, value: options, problem: "is not an options object", expected: `expected ${this.example}` });
    const { recent } = this;
    let given = 0;
    let index = 0;
    for (const name in options) {
      let entry = recent[index];
      if (entry === void 0 || entry.name !== name) {
        entry = this.entryOf(call, name);
        recent[index] = entry;
      }
      index++;
      const value = options[name];
      if (!(typeof value === "number" && value >= entry.min && value <= entry.max)) {
        if (!entry.allows(value) || value === void 0)
          refuse(call, entry, value);
      }
      given |= entry.bit;
    }
    if ((given & this.required) !== this.required || !this.hasForm(given))
      this.incomplete(call, given);
  }
  /** What a caller gave, checked, with the initial values of what was left out. @throws SketchError */
  read(call, options) {
    this.check(call, options);
    return { ...this.initial, ...options };
  }
  /** What an option is where it is left out. */
  initialOf(name) {
    return this.initial[name];
  }
  hasForm(given) {
    if (this.inForms === 0)
      return true;
    const chosen = given & this.inForms;
    for (const { needed, allowed } of this.forms)
      if ((chosen & needed) === needed && (chosen & ~allowed) === 0)
        return true;
    return false;
  }
  entryOf(call, name) {
    const entry = this.entries.get(name);
    if (entry !== void 0)
      return entry;
    return fail({ call, problem: `there is no option ${show(name)}`, expected: suggest(name, this.entries.keys()) });
  }
  incomplete(call, given) {
    for (const { name, kind, bit } of this.entries.values())
      if ((bit & this.required) !== 0 && (bit & given) === 0)
        missing(call, name, kind.words);
    const either = this.forms.map(({ names }) => inWords(names)).join(", or ");
    const count = (bits) => bits === 0 ? 0 : 1 + count(bits & bits - 1);
    const meant = this.forms.reduce((best, form) => count(form.allowed & given) > count(best.allowed & given) ? form : best);
    const extra = given & this.inForms & ~meant.allowed;
    for (const { name, bit } of this.entries.values())
      if ((bit & extra) !== 0)
        fail({ call, option: name, problem: `cannot go with ${inWords(meant.names)}`, expected: `give ${either}` });
    for (const { name, kind, bit } of this.entries.values())
      if ((bit & meant.needed & ~given) !== 0)
        fail({ call, option: name, problem: "is missing", expected: `expected ${kind.words}; give ${either}` });
    return fail({ call, problem: "is incomplete", expected: `give ${either}` });
  }
};
function refuse(call, { name, kind }, value) {
  if (value !== void 0)
    return kind.refuse(call, name, value);
  return fail({
    call,
    option: name,
    problem: "is there, but undefined",
    expected: "give a value, or leave the key out"
  });
}
function inWords(names) {
  return names.length < 2 ? names.join("") : `${names.slice(0, -1).join(", ")} and ${names.at(-1)}`;
}
// @__NO_SIDE_EFFECTS__
function schemaOf(table, example, forms) {
  return new Schema(table, example, forms);
}
function withoutUndefined(options) {
  return Object.fromEntries(Object.entries(options).filter(([, value]) => value !== void 0));
}

// packages/frame-juggler/dist/schema/point.js
function isPoint(value) {
  if (Array.isArray(value))
    return value.length === 2 && Number.isFinite(value[0]) && Number.isFinite(value[1]);
  if (typeof value !== "object" || value === null)
    return false;
  const { x, y } = value;
  return Number.isFinite(x) && Number.isFinite(y);
}
var point = kindOf("[x, y] or { x, y } with finite numbers", isPoint, "is not a point");
var xOf = (at) => Array.isArray(at) ? at[0] : at.x;
var yOf = (at) => Array.isArray(at) ? at[1] : at.y;
var pairOf = (at) => Array.isArray(at) ? at : [xOf(at), yOf(at)];
// @__NO_SIDE_EFFECTS__
function points(min, max = Infinity) {
  const words = max === Infinity ? `a list of ${min} points or more` : `a list of exactly ${max} points`;
  return new Kind(`${words}, [[x, y], \u2026]`, (value) => Array.isArray(value) && value.length >= min && value.length <= max && allPoints(value), (value, expected) => {
    if (!Array.isArray(value))
      return { problem: "is not a list of points", expected: `expected ${expected}` };
    const wrong = value.findIndex((at) => !isPoint(at));
    if (wrong < 0)
      return {
        problem: `has ${value.length} ${value.length === 1 ? "point" : "points"}`,
        expected: `expected ${max === Infinity ? `at least ${min}` : `exactly ${max}; polygon takes more`}`
      };
    return complaintOf(point, `[${wrong}]`, value[wrong]);
  });
}
function allPoints(list) {
  for (let i = 0; i < list.length; i++)
    if (!isPoint(list[i]))
      return false;
  return true;
}
var isNumberPair = (value) => Number.isFinite(value) || Array.isArray(value) && value.length === 2 && Number.isFinite(value[0]) && Number.isFinite(value[1]);
var notNumberPair = (value) => Array.isArray(value) ? "is not a pair of finite numbers" : `is not ${typeof value === "number" ? "finite" : "a number or a pair"}`;
var factors = kindOf("a finite number or [x, y]", isNumberPair, notNumberPair);
var pair = kindOf("[x, y] with finite numbers", (value) => Array.isArray(value) && isNumberPair(value), "is not a pair of finite numbers");
var lengths = kindOf("a number or [width, height], 0 or more", (value) => Array.isArray(value) ? isNumberPair(value) && value[0] >= 0 && value[1] >= 0 : length.allows(value), (value) => isNumberPair(value) ? "is negative" : notNumberPair(value));
var bothOf = (value) => typeof value === "number" ? [value, value] : value;

export {
  optional,
  schemaOf,
  withoutUndefined,
  isPoint,
  point,
  xOf,
  yOf,
  pairOf,
  points,
  factors,
  pair,
  lengths,
  bothOf
};
