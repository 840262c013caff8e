// packages/cli/src/viewer/worker/worker.ts
import {
  addHostCode,
  asSketchError as asSketchError2,
  checkSketch,
  cssColor,
  describeFrame,
  fitDials,
  isSketch,
  itemsAt,
  loadFonts,
  makeTrack,
  parseDial,
  readColor,
  Run as Run2,
  SketchError
} from "./library/index.js";
import { Canvas2dSurface as Canvas2dSurface2, pageHost as pageHost2 } from "./library/browser.js";

// packages/cli/src/calls.ts
var kinds = [void 0, "load", "start", "step", "paint"];
var length = 16;
var Calls = class {
  constructor(memory = new SharedArrayBuffer(length)) {
    this.memory = memory;
    this.words = new Int32Array(memory, 0, 2);
    this.frames = new Float64Array(memory, 8, 1);
  }
  memory;
  words;
  frames;
  begin(kind, frame = 0) {
    this.frames[0] = frame;
    Atomics.add(this.words, 1, 1);
    Atomics.store(this.words, 0, kinds.indexOf(kind));
  }
  end() {
    Atomics.store(this.words, 0, 0);
  }
  /** The frame last begun. */
  get frame() {
    return this.frames[0];
  }
  /** The call that is under way. */
  get current() {
    const kind = kinds[Atomics.load(this.words, 0)];
    return kind === void 0 ? void 0 : { kind, frame: this.frames[0], number: Atomics.load(this.words, 1) };
  }
};

// packages/cli/src/viewer/worker/first-look.ts
import { notesOnFrame } from "./library/index.js";
async function notesOn(playing) {
  const { painted, frame: at } = playing;
  const again = await playing.trace();
  return at === playing.frame ? notesOnFrame(painted, again, at) : [];
}

// packages/cli/src/viewer/worker/playback.ts
import {
  asSketchError,
  LiveClock,
  playTrack,
  Run
} from "./library/index.js";
import { Canvas2dSurface, ExactSurface, pageHost } from "./library/browser.js";

// packages/cli/src/viewer/worker/kept-frames.ts
import { frameBytes } from "./library/index.js";
var maxBytes = 96e6;
var pictureEvery = 30;
var Kept = class {
  values = /* @__PURE__ */ new Map();
  bytes = 0;
  get(frame) {
    return this.values.get(frame)?.value;
  }
  add(frame, value, bytes) {
    this.delete(frame);
    this.values.set(frame, { value, bytes });
    this.bytes += bytes;
    for (const oldest of this.values.keys()) {
      if (this.bytes <= maxBytes) break;
      this.delete(oldest);
    }
  }
  delete(frame) {
    this.bytes -= this.values.get(frame)?.bytes ?? 0;
    this.values.delete(frame);
  }
  deleteFrom(first) {
    for (const frame of [...this.values.keys()]) if (frame >= first) this.delete(frame);
  }
};
var KeptFrames = class {
  frames = new Kept();
  pictures = new Kept();
  /** Remembers a frame. @param copy gives the picture that it has made */
  add(number, frame, copy) {
    this.frames.add(number, frame, frameBytes(frame));
    if (frame.carry === 0 || number % pictureEvery !== 0) return;
    const picture = copy();
    this.pictures.add(number, picture, picture.width * picture.height * 4);
  }
  /** A frame as it was painted; undefined where it is forgotten. */
  frame(number) {
    return this.frames.get(number);
  }
  /** How to show a frame; undefined where too much of it is forgotten. */
  wayTo(number) {
    const frames = [];
    for (let at = number; at >= 0; at--) {
      const frame = this.frames.get(at);
      if (frame === void 0) return void 0;
      frames.unshift(frame);
      if (frame.carry === 0) return { picture: void 0, frames };
      const picture = this.pictures.get(at - 1);
      if (picture !== void 0) return { picture, frames };
    }
    return void 0;
  }
  /** Forgets pictures, as they are to have another size, or are another surface's. */
  forgetPictures() {
    this.pictures.deleteFrom(0);
  }
  /** Forgets what was from a frame on. */
  forget(first = 0) {
    this.frames.deleteFrom(first);
    this.pictures.deleteFrom(first);
  }
};

// packages/cli/src/viewer/worker/noted-input.ts
var NotedInput = class {
  /** Whether the sketch has looked at the pointer. */
  usesPointer = false;
  noted = /* @__PURE__ */ new Map();
  last = -1;
  waiting = [];
  at;
  down = false;
  keys = /* @__PURE__ */ new Set();
  /** Takes what was just done. */
  add(events) {
    for (const event of events) {
      this.waiting.push(event);
      switch (event.type) {
        case "move":
          this.at = event.at;
          break;
        case "leave":
          this.at = void 0;
          break;
        case "press":
        case "release":
          this.down = event.type === "press";
          break;
        case "keydown":
          this.keys.add(event.key);
          break;
        case "keyup":
          this.keys.delete(event.key);
      }
    }
  }
  take(frame) {
    if (frame <= this.last) return this.noted.get(frame) ?? [];
    const events = frame === 0 ? this.standing() : this.waiting;
    this.waiting = [];
    this.last = frame;
    if (events.length > 0) this.noted.set(frame, events);
    return events;
  }
  onPointer() {
    this.usesPointer = true;
  }
  /** Forgets what was done from a frame on: from there, the page is listened to again. */
  forget(first = 0) {
    this.last = Math.min(this.last, first - 1);
    for (const frame of [...this.noted.keys()]) if (frame >= first) this.noted.delete(frame);
  }
  /** All that was noted, in the order of its frames. */
  get events() {
    return [...this.noted].sort(([one], [other]) => one - other).flatMap(([frame, events]) => events.map((event) => ({ frame, event })));
  }
  /** How things stand as a run begins: what led to that lies before it. */
  standing() {
    return [
      ...this.at === void 0 ? [] : [{ type: "move", at: this.at }],
      ...this.down ? [{ type: "press" }] : [],
      ...[...this.keys].map((key) => ({ type: "keydown", key }))
    ];
  }
};

// packages/cli/src/viewer/worker/playback.ts
var keptOnTheWay = 12;
var times = { toLook: 8, toTell: 200 };
var screenFrame = 15;
var maxHasty = 20;
var channel = new MessageChannel();
var waiting = [];
channel.port1.onmessage = () => waiting.shift()?.();
function soon(job) {
  waiting.push(job);
  channel.port2.postMessage(void 0);
}
var Superseded = class extends Error {
};
var Playback = class {
  /** @throws SketchError where a dial does not fit */
  constructor(sketch, canvas2, setting) {
    this.sketch = sketch;
    this.canvas = canvas2;
    this.setting = setting;
    const { seed, dials, density, track, limit: limit2, onLoad } = setting;
    const source = track === void 0 ? this.input : playTrack(track);
    const input = () => source;
    const between = () => this.lookUp();
    this.run = new Run(sketch, { seed, dials, density, limit: limit2, onLoad, input, between, host: pageHost });
    this.isExact = setting.exact;
    this.surface = surfaceOn(canvas2, setting.exact);
    this.clock = new LiveClock(sketch.frameRate);
  }
  sketch;
  canvas;
  setting;
  run;
  input = new NotedInput();
  surface;
  isExact;
  clock;
  kept = new KeptFrames();
  isPlaying = false;
  speed = 1;
  range;
  /** The frame that the canvas shows; -1 for none, or for one that is out of date. */
  shown = -1;
  /** The number of the last `goTo` that the page has sent. */
  heard = 0;
  /** The frame that is wanted; it outlives errors on the way to it. */
  target = 0;
  work = Promise.resolve();
  waiting = 0;
  /** The number of the last thing that was asked for: whatever is under way for an older one is left. */
  wish = 0;
  /** Whether the canvas shows anything yet. */
  hasPicture = false;
  /** Items that are left out of the picture, by their places in the frame. */
  leftOut = /* @__PURE__ */ new Set();
  /** The frame at hand with the lines of its items, once somebody has asked. */
  traced;
  /** How many ticks in a row did not wait for the screen. */
  hasty = 0;
  /** How often it was played: what ticks for an earlier time ends. */
  chain = 0;
  lookedAt = 0;
  begunAt = 0;
  /** The frame that is shown, or was last. */
  get frame() {
    return this.target;
  }
  play() {
    if (this.isPlaying) return;
    this.isPlaying = true;
    this.clock.pause();
    this.ask(async () => {
      const { run, sketch } = this;
      if (!sketch.repeat && this.target >= sketch.frames - 1 && sketch.frames > 1) await this.begin();
      else if (this.shown >= 0 && this.shown !== run.frame) await run.goTo(this.shown);
      if (this.range !== void 0) return;
      this.input.forget(this.target + 1);
      this.kept.forget(this.target + 1);
      this.traced = void 0;
    });
    this.tickLater(performance.now(), ++this.chain);
    this.tell();
  }
  pause() {
    if (!this.isPlaying) return;
    this.isPlaying = false;
    this.tell();
  }
  /** Begins a new run. */
  restart() {
    this.ask(() => this.begin());
  }
  /**
   * Shows a frame by its number; beyond the end it is the one that comes round, or the last.
   * @param heard the number of this wish, told with what is shown from now on
   */
  goTo(frame, heard) {
    this.heard = heard;
    this.target = this.run.frameAfterRounds(frame);
    this.ask(() => this.show(this.target));
  }
  setSpeed(speed) {
    this.speed = speed;
    this.clock.pause();
  }
  setRange(range) {
    this.range = range;
  }
  setDensity(density) {
    if (density === this.run.density) return;
    this.run.density = density;
    this.kept.forgetPictures();
    if (this.run.frame < 0) return;
    this.ask(async () => {
      this.shown = -1;
      await this.show(this.target);
    });
  }
  /** Draws exactly, or as fast as the browser can; what is shown is drawn anew. */
  setExact(exact) {
    if (exact === this.isExact) return;
    this.isExact = exact;
    this.ask(async () => {
      this.surface = surfaceOn(this.canvas, exact);
      this.kept.forgetPictures();
      this.shown = -1;
      if (this.run.frame >= 0) await this.show(this.target);
    });
  }
  /** Turns a dial. @throws SketchError where it cannot have that value */
  setDial(name, value) {
    this.run.setDial(name, value);
    this.kept.forget();
    this.traced = void 0;
    if (this.run.frame < 0 || this.isPlaying && this.sketch.frames > 1) return;
    this.ask(async () => {
      this.shown = -1;
      if (this.sketch.frames === 1) await this.run.restart();
      await this.show(this.target);
    });
  }
  /** Leaves items out of the picture, by their numbers from 1; what was shown is drawn again without them. */
  leaveOut(numbers) {
    this.leftOut = new Set(numbers.map((number) => number - 1));
    if (this.run.frame < 0) return;
    this.kept.forgetPictures();
    this.ask(async () => {
      this.shown = -1;
      await this.show(this.target);
    });
  }
  /** The frame that is shown, painted once more with the sketch's line for each item. */
  trace() {
    return this.inTurn(async () => {
      const { run, target: at } = this;
      if (this.traced?.at !== at) {
        if (run.frame !== at) await run.goTo(at);
        this.traced = { at, frame: await run.paint(true) };
      }
      return this.traced.frame;
    });
  }
  /** The frame at hand as it was painted first, if it is not forgotten. */
  get painted() {
    return this.kept.frame(this.target);
  }
  addInput(events) {
    this.input.add(events);
  }
  /** @param chain which `play` it belongs to: one that was paused does not go on beside a newer one */
  tick(now, chain) {
    if (!this.isPlaying || chain !== this.chain) return;
    const due = this.clock.due(now * this.speed);
    if (due === 0 || this.waiting > 0) return this.tickLater(now, chain);
    this.ask(() => this.moveOn(due));
    void this.work.then(() => this.tickLater(now, chain));
  }
  /**
   * Ticks again with the screen; at once where the last frame took longer than the screen's own, which would else have
   * to be waited for a second time. Now and then it waits all the same, as a page that is not seen is to rest.
   */
  tickLater(last, chain) {
    if (performance.now() - last < screenFrame || ++this.hasty > maxHasty) {
      this.hasty = 0;
      requestAnimationFrame((now) => this.tick(now, chain));
    } else soon(() => this.tick(performance.now(), chain));
  }
  /** Goes so many frames on, round and round. */
  async moveOn(due) {
    const { frames, repeat } = this.sketch;
    const [first, last] = this.range ?? [0, frames - 1];
    const next = this.target + due;
    if (next <= last || this.target > last) return this.show(this.target = next);
    if (this.range !== void 0) return this.show(this.target = first + (next - first) % (last - first + 1));
    if (!repeat || frames === 1) {
      this.pause();
      if (this.target !== last) await this.show(this.target = last);
      return;
    }
    await this.begin(next % frames);
  }
  /** Runs the sketch anew, as nothing has been done yet. */
  async begin(frame = 0) {
    this.input.forget();
    this.kept.forget();
    this.traced = void 0;
    this.target = frame;
    this.shown = -1;
    await this.run.restart();
    await this.show(frame);
  }
  async show(frame) {
    const { run } = this;
    if (!this.showKept(frame)) {
      if (frame > run.frame && this.shown !== run.frame) this.showKept(run.frame);
      if (this.sketch.carry === 0 && frame < run.frame) await this.keepUpTo(frame);
      else
        await run.drawTo(frame, this.shown === run.frame ? this.shown : -1, (painted) => {
          this.draw(painted);
          this.kept.add(run.frame, painted, () => this.surface.copy());
          this.shown = run.frame;
        });
    }
    this.shown = frame;
    this.tell();
  }
  /** Shows a frame as it was painted before, if it is not forgotten. */
  showKept(frame) {
    const way = this.kept.wayTo(frame);
    if (way === void 0) return false;
    if (way.picture !== void 0) this.surface.put(way.picture);
    for (const painted of way.frames) this.draw(painted);
    this.shown = frame;
    return true;
  }
  /** Runs to a frame that lies behind, and keeps the last ones on the way. */
  async keepUpTo(frame) {
    const { run } = this;
    let painted;
    for (let at = Math.max(0, frame - keptOnTheWay); at <= frame; at++) {
      await run.goTo(at);
      painted = await run.paint();
      this.kept.add(at, painted, () => this.surface.copy());
    }
    this.draw(painted);
  }
  draw(frame) {
    const { density } = this.run;
    const { leftOut } = this;
    const order = leftOut.size === 0 ? frame.order : frame.order.filter((place) => !leftOut.has(place));
    this.surface.draw(frame.density === density && order === frame.order ? frame : { ...frame, density, order });
    this.hasPicture = true;
  }
  /** Between two frames of a long way: lets messages in, and leaves the way where another is wanted. */
  lookUp() {
    const now = performance.now();
    if (now - this.lookedAt < times.toLook) return void 0;
    if (now - this.begunAt > times.toTell) {
      this.begunAt = now;
      this.setting.onTheWay(Math.max(0, this.run.frame), this.target);
    }
    const { wish } = this;
    return new Promise((resolve, reject) => {
      soon(() => {
        this.lookedAt = performance.now();
        if (wish === this.wish) resolve();
        else reject(new Superseded());
      });
    });
  }
  tell() {
    const { run, isPlaying, input } = this;
    if (!this.hasPicture) return;
    this.setting.onShown({
      frame: this.target,
      wish: this.heard,
      playing: isPlaying,
      reached: Math.max(0, run.frame),
      usesInput: run.usesInput,
      usesPointer: input.usesPointer
    });
  }
  /** Does something once what is under way has ended; of several that wait, only the last goes all the way. */
  ask(job) {
    this.wish++;
    this.inTurn(job).catch((thrown) => {
      if (thrown instanceof Superseded) return;
      this.isPlaying = false;
      this.tell();
      this.setting.onError(asSketchError(thrown));
    });
  }
  inTurn(job) {
    this.waiting++;
    const result = this.work.then(() => {
      this.begunAt = this.lookedAt = performance.now();
      return job();
    });
    this.work = result.then(
      () => void this.waiting--,
      () => void this.waiting--
    );
    return result;
  }
};
function surfaceOn(canvas2, exact) {
  return exact ? new ExactSurface(canvas2) : new Canvas2dSurface(canvas2);
}

// packages/cli/src/viewer/worker/remarks.ts
import { sketchLine } from "./library/index.js";
var maxTogether = 100;
var maxLength = 2e3;
var Remarks = class {
  constructor(say) {
    this.say = say;
  }
  say;
  waiting = [];
  left = 0;
  timer;
  add(kind, text, source = sketchLine()) {
    if (this.waiting.length < maxTogether)
      this.waiting.push({ kind, text: text.length > maxLength ? `${text.slice(0, maxLength)}\u2026` : text, source });
    else this.left++;
    this.timer ??= setTimeout(() => this.flush(), 100);
  }
  flush() {
    clearTimeout(this.timer);
    this.timer = void 0;
    if (this.left > 0)
      this.waiting.push({ kind: "note", text: `${this.left} more lines were printed`, source: void 0 });
    this.left = 0;
    if (this.waiting.length > 0) this.say(this.waiting);
    this.waiting = [];
  }
};
var kinds2 = { log: "log", info: "log", debug: "log", warn: "warning", error: "error" };
function listenToConsole(remarks2) {
  const { console: browsers } = globalThis;
  for (const [name, kind] of Object.entries(kinds2)) {
    const original = browsers[name].bind(browsers);
    browsers[name] = (...values) => {
      original(...values);
      remarks2.add(kind, values.map(inWords).join(" "));
    };
  }
}
var chancy = [
  [Math, "random", "Math.random()", "random from the moment has a seed"],
  [Date, "now", "Date.now()", "seconds from the moment is the same in each run"],
  [performance, "now", "performance.now()", "seconds from the moment is the same in each run"]
];
function noteChance(remarks2) {
  for (const [holder, name, call, instead] of chancy) {
    const calls2 = holder;
    const original = calls2[name];
    calls2[name] = (...values) => {
      const source = sketchLine();
      if (source !== void 0) {
        calls2[name] = original;
        remarks2.add("note", `${call} gives another picture each time; ${instead}`, source);
      }
      return original.apply(holder, values);
    };
  }
}
function inWords(value) {
  if (typeof value === "string") return value;
  if (value instanceof Error) return `${value.name}: ${value.message}`;
  if (typeof value !== "object" || value === null) return String(value);
  try {
    return JSON.stringify(
      value,
      (_, part) => typeof part === "bigint" || typeof part === "function" || typeof part === "number" && !Number.isFinite(part) ? String(part) : ArrayBuffer.isView(part) && !(part instanceof DataView) ? Array.from(part) : part
    );
  } catch {
    return Object.prototype.toString.call(value);
  }
}

// packages/cli/src/viewer/worker/worker.ts
addHostCode(import.meta.url);
var scope = self;
var tell = (message) => scope.postMessage(message);
var remarks = new Remarks((said) => tell({ type: "remarks", remarks: said }));
var playback;
var calls = { begin: tellBegin, end: () => tell({ type: "running", call: void 0 }) };
var told = 0;
var canvas;
var handlers = {
  open: (message) => void open(message),
  play: () => playback?.play(),
  pause: () => playback?.pause(),
  restart: () => playback?.restart(),
  goTo: ({ frame, wish }) => playback?.goTo(frame, wish),
  speed: ({ speed }) => playback?.setSpeed(speed),
  range: ({ range }) => playback?.setRange(range),
  density: ({ density }) => playback?.setDensity(density),
  exact: ({ exact }) => playback?.setExact(exact),
  leaveOut: ({ items }) => playback?.leaveOut(items),
  input: ({ events }) => playback?.addInput(events),
  dial({ name, value }) {
    try {
      playback?.setDial(name, value);
    } catch (thrown) {
      tell({ type: "misfit", name, reason: asSketchError2(thrown).reason });
    }
    tellDials();
  },
  ask: ({ id, question }) => void answer(id, question)
};
var waiting2 = [];
var handle = (message) => handlers[message.type](message);
scope.onmessage = ({ data }) => {
  if (data.type === "open" || playback !== void 0) handle(data);
  else waiting2.push(data);
};
tell({ type: "ready" });
var idle = setTimeout(() => void loadFonts(), 500);
async function open(message) {
  clearTimeout(idle);
  ({ canvas } = message);
  if (message.calls !== void 0) calls = new Calls(message.calls);
  try {
    listenToConsole(remarks);
    noteChance(remarks);
    const sketch = await load(message);
    begin(sketch, message.beginning);
  } catch (thrown) {
    failed(asSketchError2(thrown));
  }
}
function tellBegin(kind, frame = 0) {
  tell({ type: "running", call: { kind, frame, number: ++told } });
}
async function load({ module, why }) {
  const problem = why === void 0 ? "" : await (await fetch(why)).text();
  if (problem !== "") throw new SketchError({ problem });
  calls.begin("load");
  try {
    const { default: sketch } = await import(
      /* @vite-ignore */
      module
    );
    if (isSketch(sketch)) return sketch;
  } finally {
    calls.end();
  }
  throw new SketchError({
    problem: "the file does not export a sketch as its default",
    expected: "expected export default defineSketch({ \u2026 })"
  });
}
function begin(sketch, beginning) {
  const { track } = beginning;
  const seed = beginning.seed ?? track?.seed ?? sketch.seed;
  const { values, misfits } = fitDials(sketch.dials, beginning.dials);
  for (const [name, text] of beginning.dialTexts)
    if (!Object.hasOwn(values, name)) values[name] = parseDial(sketch.dials, name, text);
  playback = new Playback(sketch, canvas, {
    seed,
    dials: values,
    density: beginning.density,
    exact: beginning.exact,
    track,
    limit,
    onLoad: (done, total) => tell({ type: "loading", done, total }),
    onShown: (shown) => tell({ type: "shown", shown }),
    onTheWay: (frame, target) => tell({ type: "onTheWay", frame, target }),
    onError: failed
  });
  tell({ type: "opened", facts: factsOf(sketch, playback.run) });
  tellDials();
  for (const { name, reason } of misfits) tell({ type: "misfit", name, reason });
  playback.setSpeed(beginning.speed);
  playback.setRange(beginning.range);
  playback.goTo(beginning.frame, beginning.wish);
  if (beginning.playing) playback.play();
  for (const message of waiting2) handle(message);
  waiting2 = [];
  setTimeout(() => void firstLook(playback), firstLookAfter);
}
var checkedFrames = 120;
var firstLookAfter = 400;
async function firstLook(playing) {
  try {
    for (const { text, source } of await notesOn(playing)) remarks.add("note", text, source);
  } catch {
  }
}
function limit(call, { name, frame }) {
  if (name === "load") return call();
  calls.begin(name, frame);
  let result;
  try {
    result = call();
  } catch (thrown) {
    calls.end();
    throw thrown;
  }
  if (result instanceof Promise) return result.finally(() => calls.end());
  calls.end();
  return result;
}
function failed(error) {
  remarks.flush();
  tell({ type: "failed", fault: faultOf(error) });
}
var faultOf = ({ reason, source, caller, frame }) => ({ reason, source, caller, frame });
function factsOf(sketch, run) {
  const { title, frameRate, frames, carry } = sketch;
  const { width, height, view, seed } = run;
  const dials = Object.entries(sketch.dials).map(([name, { label = name, control, initial }]) => ({
    name,
    label,
    control,
    initial: plainValue(sketch.dials[name], initial)
  }));
  return { title, width, height, view, frameRate, frames, carry, seed, dials };
}
function tellDials() {
  if (playback === void 0) return;
  const { sketch, run } = playback;
  const values = Object.entries(run.dials).map(([name, value]) => [name, plainValue(sketch.dials[name], value)]);
  tell({ type: "dials", values: Object.fromEntries(values) });
}
function plainValue({ control }, value) {
  return control.type === "color" && typeof value !== "string" ? cssColor(readColor("dials", "value", value).packed) : value;
}
var answers = {
  async variations({ seeds, width }, { sketch, run, frame }) {
    const pictures = [];
    for (const seed of seeds) {
      const own = new Run2(sketch, { seed, dials: run.dials, density: width / run.width, host: pageHost2, limit });
      const surface = new Canvas2dSurface2(new OffscreenCanvas(1, 1));
      await own.drawTo(frame, -1, (painted) => surface.draw(painted));
      pictures.push(surface.element.transferToImageBitmap());
    }
    return pictures;
  },
  png: () => canvas.convertToBlob({ type: "image/png" }),
  track(_, { sketch, run, input }) {
    const { title, frameRate } = sketch;
    const { width, height, seed } = run;
    return makeTrack({ title, width, height, frameRate, seed }, input.events);
  },
  checkup(_, { sketch, run: { seed, dials } }) {
    let told2 = 0;
    return checkSketch(sketch, {
      frames: [0, Math.min(sketch.frames, checkedFrames) - 1],
      open: (like) => new Run2(like, { seed, dials, host: pageHost2, limit }),
      now: () => performance.now(),
      onProgress(done, total) {
        if (performance.now() - told2 < 200) return;
        told2 = performance.now();
        tell({ type: "onTheWay", frame: done, target: total, checking: true });
      }
    });
  },
  description: async (_, playing) => describeFrame(await playing.trace()),
  itemsAt: async ({ x, y }, playing) => itemsAt(await playing.trace(), x, y).map((place) => place + 1),
  colorAt({ x, y }) {
    const { width = 1, height = 1 } = canvas ?? {};
    const place = [Math.floor(x * width), Math.floor(y * height), 1, 1];
    const data = canvas?.getContext("2d")?.getImageData(...place).data ?? [0, 0, 0, 0];
    const [red, green, blue, alpha] = data;
    return alpha === 255 ? `rgb(${red} ${green} ${blue})` : `rgb(${red} ${green} ${blue} / ${(alpha / 255).toFixed(3)})`;
  }
};
async function answer(id, { name, given }) {
  try {
    if (playback === void 0) throw new SketchError({ problem: "there is no sketch yet" });
    const found = await answers[name](given, playback);
    const pictures = Array.isArray(found) ? found.filter((one) => one instanceof ImageBitmap) : [];
    scope.postMessage({ type: "answer", id, answer: found }, pictures);
  } catch (thrown) {
    tell({ type: "answer", id, fault: faultOf(asSketchError2(thrown)) });
  }
}
