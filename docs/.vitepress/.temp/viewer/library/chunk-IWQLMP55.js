// packages/frame-juggler/dist/error.js
var SketchError = class extends Error {
  name = "SketchError";
  constructor(fault) {
    const { call, option, problem, expected, cause } = fault;
    super("", cause === void 0 ? void 0 : { cause });
    this.call = call;
    this.option = option;
    const words = [call && `${call}:`, option, "value" in fault && show(fault.value), problem];
    this.reason = joined([joined(words, " "), expected], "; ");
    const lines = sketchLines(cause instanceof Error ? cause.stack : fullStack(this));
    this.source = lines[0];
    const outermost = lines.at(-1);
    this.caller = outermost?.file === this.source?.file ? void 0 : outermost;
    this.refresh();
  }
  /** Adds the frame in which it happened, unless it is known already. Returns itself. */
  inFrame(frame) {
    this.frame ??= frame;
    this.refresh();
    return this;
  }
  /** Replaces the places from the stack by better ones (a development server knows the source map). Returns itself. */
  at(source, caller) {
    this.source = source;
    this.caller = caller;
    this.refresh();
    return this;
  }
  refresh() {
    const places = [
      this.source && placeOf(this.source),
      this.caller && `called from ${placeOf(this.caller)}`,
      this.frame !== void 0 && `frame ${this.frame}`
    ];
    const place = joined(places, ", ");
    this.message = joined([this.reason, place && `(${place})`], " ");
    this.stack = this.stack?.replace(/^\w*Error.*?(?=\n {4}at |$)/s, () => `${this.name}: ${this.message}`);
  }
};
function joined(words, between) {
  return words.filter((word) => typeof word === "string" && word !== "").join(between);
}
function fail(fault) {
  throw new SketchError(fault);
}
function asSketchError(thrown, calls = []) {
  if (thrown instanceof SketchError)
    return thrown;
  const problem = thrown instanceof Error ? `${thrown.name}: ${thrown.message}` : `threw ${show(thrown)}`;
  const [, called] = /\bcanvas\.(\w+) is not a function/.exec(problem) ?? [];
  const expected = called === void 0 || calls.length === 0 ? void 0 : suggest(called, calls);
  return new SketchError({ problem, expected, cause: thrown });
}
function show(value) {
  let text;
  if (typeof value === "string")
    text = JSON.stringify(value);
  else if (typeof value === "function")
    text = `function ${value.name}`.trim();
  else if (typeof value === "object" && value !== null) {
    const plain = (_, part) => typeof part === "number" || part === void 0 || typeof part === "bigint" ? `~${String(part)}~` : part;
    try {
      text = JSON.stringify(value, plain)?.replace(/"~|~"/g, "");
    } catch {
      text = "an object";
    }
  }
  text ??= String(value);
  return text.length > 60 ? `${text.slice(0, 57)}...` : text;
}
function nearest(word, choices) {
  let best;
  let bestDistance = (word.length <= 3 ? 1 : Math.max(2, Math.floor(word.length / 3))) + 1;
  for (const choice of choices) {
    if (Math.abs(word.length - choice.length) >= bestDistance)
      continue;
    const distance = editDistance(word.toLowerCase(), choice.toLowerCase());
    if (distance < bestDistance) {
      best = choice;
      bestDistance = distance;
    }
  }
  return best;
}
function editDistance(from, to) {
  let before = [];
  let row = Array.from({ length: to.length + 1 }, (_, i) => i);
  for (let i = 0; i < from.length; i++) {
    const next = [i + 1];
    for (let j = 0; j < to.length; j++) {
      next.push(Math.min(row[j + 1] + 1, next[j] + 1, row[j] + (from[i] === to[j] ? 0 : 1)));
      if (i > 0 && j > 0 && from[i] === to[j - 1] && from[i - 1] === to[j])
        next[j + 1] = Math.min(next[j + 1], before[j - 1] + 1);
    }
    before = row;
    row = next;
  }
  return row[to.length];
}
function suggest(word, choices) {
  const list = [...choices];
  const near = typeof word === "string" ? nearest(word, list) : void 0;
  return near === void 0 ? `expected one of ${list.join(", ")}` : `did you mean ${show(near)}?`;
}
var hostRoots = [import.meta.url.replace(/[^/]*$/, "")];
var framePattern = /((?:file|https?):\/\/[^\s()]+|\/[^\s():]+|[A-Za-z]:\\[^\s():]+):(\d+):(\d+)/;
function addHostCode(root) {
  hostRoots.push(root);
}
function fullStack(error) {
  const engine = Error;
  if (engine.captureStackTrace === void 0)
    return error.stack;
  const limit = engine.stackTraceLimit;
  engine.stackTraceLimit = 100;
  engine.captureStackTrace(error);
  const { stack } = error;
  engine.stackTraceLimit = limit;
  return stack;
}
function sketchLine() {
  const place = placeOfCall();
  const known = place === void 0 ? void 0 : linesByPlace.get(place);
  if (known !== void 0)
    return known;
  const line = sketchLines(fullStack(new Error()), 1)[0];
  if (place !== void 0 && line !== void 0) {
    if (linesByPlace.size > maxPlaces)
      linesByPlace.clear();
    linesByPlace.set(place, line);
  }
  return line;
}
var linesByPlace = /* @__PURE__ */ new Map();
var maxPlaces = 1e4;
var nearCalls = 6;
function placeOfCall() {
  const engine = Error;
  if (engine.captureStackTrace === void 0)
    return void 0;
  const { prepareStackTrace, stackTraceLimit } = engine;
  engine.stackTraceLimit = nearCalls;
  engine.prepareStackTrace = (_, calls) => calls;
  try {
    const holder = {};
    engine.captureStackTrace(holder, sketchLine);
    if (!Array.isArray(holder.stack))
      return void 0;
    for (const call of holder.stack) {
      const file = call.getFileName();
      if (file !== null && !isHostCode(file) && !file.includes("/node_modules/") && !file.startsWith("node:"))
        return `${file}:${call.getLineNumber()}:${call.getColumnNumber()}`;
    }
    return void 0;
  } finally {
    engine.prepareStackTrace = prepareStackTrace;
    engine.stackTraceLimit = stackTraceLimit;
  }
}
function sketchLines(stack, most = Infinity) {
  const lines = [];
  for (const row of (stack ?? "").split("\n")) {
    const found = framePattern.exec(row);
    if (!found)
      continue;
    const [, file, line, column] = found;
    if (isHostCode(file) || file.includes("/node_modules/") || row.includes("node:"))
      continue;
    lines.push({ file: plainPath(file), line: Number(line), column: Number(column) });
    if (lines.length >= most)
      break;
  }
  return lines;
}
function isHostCode(file) {
  return hostRoots.some((root) => file.startsWith(root) || `file://${file}`.startsWith(root));
}
function plainPath(file) {
  const path = file.startsWith("file://") ? decodeURIComponent(file.slice("file://".length)) : file;
  return path.replace(/\?.*$/, "");
}
function placeOf({ file, line, column }) {
  return `${file.slice(Math.max(file.lastIndexOf("/"), file.lastIndexOf("\\")) + 1)}:${line}:${column}`;
}

// packages/frame-juggler/dist/maths/arc.js
function atan(x) {
  const far = Math.abs(x);
  if (far < 0.4375)
    return x === 0 ? x : x - x * series(x);
  const angle = far < 0.6875 ? ledBack(0.4636476090008061, 22698777452961687e-33, (2 * far - 1) / (2 + far)) : far < 1.1875 ? ledBack(0.7853981633974483, 3061616997868383e-32, (far - 1) / (far + 1)) : far < 2.4375 ? ledBack(0.982793723247329, 13903311031230998e-33, (far - 1.5) / (1 + 1.5 * far)) : ledBack(1.5707963267948966, 6123233995736766e-32, -1 / far);
  return x < 0 ? -angle : angle;
}
function ledBack(arc, rest, t) {
  return arc - (t * series(t) - rest - t);
}
function series(t) {
  const z = t * t;
  const w = z * z;
  return z * (0.3333333333333293 + w * (0.14285714272503466 + w * (0.09090887133436507 + w * (0.06661073137387531 + w * (0.049768779946159324 + w * 0.016285820115365782))))) + w * (-0.19999999999876483 + w * (-0.11111110405462356 + w * (-0.0769187620504483 + w * (-0.058335701337905735 + w * -0.036531572744216916))));
}
function atan2(y, x) {
  if (Math.abs(x) === Infinity && Math.abs(y) === Infinity)
    return atan2(Math.sign(y), Math.sign(x));
  const angle = x === 0 && y === 0 ? 0 : atan(Math.abs(y / x));
  const left = x < 0 || Object.is(x, -0);
  const turned = left ? Math.PI - (angle - 12246467991473532e-32) : angle;
  return y < 0 || Object.is(y, -0) ? -turned : turned;
}
function asin(x) {
  return atan2(x, Math.sqrt((1 - x) * (1 + x)));
}
function acos(x) {
  return 2 * atan2(Math.sqrt(1 - x), Math.sqrt(1 + x));
}

// packages/frame-juggler/dist/maths/within.js
function sineWithin(x, tail) {
  const square = x * x;
  const cube = square * x;
  const rest = 0.00833333333332249 + square * (-1984126982985795e-19 + square * (27557313707070068e-22 + square * (-25050760253406863e-24 + square * 158969099521155e-24)));
  return x - (square * (0.5 * tail - cube * rest) - tail - cube * -0.16666666666666632);
}
function cosineWithin(x, tail) {
  const square = x * x;
  const fourth = square * square;
  const rest = square * (0.0416666666666666 + square * (-0.001388888888887411 + square * 2480158728947673e-20)) + fourth * fourth * (-27557314351390663e-23 + square * (2087572321298175e-24 + square * -11359647557788195e-27));
  const half = 0.5 * square;
  const near = 1 - half;
  return near + (1 - near - half + (square * rest - x * tail));
}

// packages/frame-juggler/dist/maths/degrees.js
function sinCos(degrees) {
  const angle = degrees % 360;
  const quarters = Math.round(angle / 90);
  const rest = (angle - quarters * 90) * Math.PI / 180;
  const sin = sineWithin(rest, 0);
  const cos = cosineWithin(rest, 0);
  if (quarters & 1)
    return quarters & 2 ? { sin: 0 - cos, cos: sin + 0 } : { sin: cos, cos: 0 - sin };
  return quarters & 2 ? { sin: 0 - sin, cos: 0 - cos } : { sin: sin + 0, cos };
}

export {
  sineWithin,
  cosineWithin,
  sinCos,
  SketchError,
  fail,
  asSketchError,
  show,
  nearest,
  suggest,
  addHostCode,
  sketchLine,
  atan,
  atan2,
  asin,
  acos
};
