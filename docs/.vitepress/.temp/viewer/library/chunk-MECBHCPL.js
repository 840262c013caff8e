import {
  Color,
  readColor
} from "./chunk-LDXCYOWX.js";
import {
  whole
} from "./chunk-BTP6WEQV.js";
import {
  fail
} from "./chunk-IWQLMP55.js";

// packages/frame-juggler/dist/paint/picture.js
var pictureCount = 0;
var anyIndex = whole(0);
var Picture = class _Picture {
  width;
  height;
  data;
  id = ++pictureCount;
  version = 0;
  constructor(width, height, data) {
    this.width = width;
    this.height = height;
    this.data = data;
  }
  /** The color of a pixel, counted from the top left. @throws SketchError where there is none */
  colorAt(x, y) {
    const at = this.offset("colorAt", x, y);
    return new Color(this.data[at], this.data[at + 1], this.data[at + 2], this.data[at + 3] / 255);
  }
  /** Gives a pixel a color. @throws SketchError where there is none, or the color cannot be read */
  setColorAt(x, y, color) {
    const at = this.offset("setColorAt", x, y);
    const { packed } = readColor("setColorAt", "color", color);
    for (let channel = 0; channel < 4; channel++)
      this.data[at + channel] = packed >>> 8 * channel;
    this.version++;
  }
  /** To be called after `data` itself was written to. */
  changed() {
    this.version++;
  }
  /** The same picture with pixels of its own. */
  copy() {
    return new _Picture(this.width, this.height, this.data.slice());
  }
  offset(call, x, y) {
    this.within(call, "x", x, this.width);
    this.within(call, "y", y, this.height);
    return (y * this.width + x) * 4;
  }
  within(call, option, value, size) {
    if (anyIndex.read(call, option, value) < size)
      return;
    fail({ call, option, value, problem: "lies outside the picture", expected: `expected 0 to ${size - 1}` });
  }
};
function readPicture(call, value) {
  if (value instanceof Picture)
    return value;
  return fail({
    call,
    option: "picture",
    value,
    problem: "is not a picture",
    expected: "expected one of assets, or what picture(\u2026) gives, first"
  });
}

export {
  Picture,
  readPicture
};
