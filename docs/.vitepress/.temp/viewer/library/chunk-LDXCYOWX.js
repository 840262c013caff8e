import {
  between,
  convertedLater,
  finite,
  fraction,
  listOf,
  missing
} from "./chunk-BTP6WEQV.js";
import {
  atan2,
  fail,
  nearest,
  show,
  sinCos
} from "./chunk-IWQLMP55.js";

// packages/frame-juggler/dist/paint/color-names.js
var table = `
  aliceblue f0f8ff, antiquewhite faebd7, aqua 00ffff, aquamarine 7fffd4, azure f0ffff, beige f5f5dc, bisque ffe4c4,
  black 000000, blanchedalmond ffebcd, blue 0000ff, blueviolet 8a2be2, brown a52a2a, burlywood deb887,
  cadetblue 5f9ea0, chartreuse 7fff00, chocolate d2691e, coral ff7f50, cornflowerblue 6495ed, cornsilk fff8dc,
  crimson dc143c, cyan 00ffff, darkblue 00008b, darkcyan 008b8b, darkgoldenrod b8860b, darkgray a9a9a9,
  darkgreen 006400, darkgrey a9a9a9, darkkhaki bdb76b, darkmagenta 8b008b, darkolivegreen 556b2f,
  darkorange ff8c00, darkorchid 9932cc, darkred 8b0000, darksalmon e9967a, darkseagreen 8fbc8f,
  darkslateblue 483d8b, darkslategray 2f4f4f, darkslategrey 2f4f4f, darkturquoise 00ced1, darkviolet 9400d3,
  deeppink ff1493, deepskyblue 00bfff, dimgray 696969, dimgrey 696969, dodgerblue 1e90ff, firebrick b22222,
  floralwhite fffaf0, forestgreen 228b22, fuchsia ff00ff, gainsboro dcdcdc, ghostwhite f8f8ff, gold ffd700,
  goldenrod daa520, gray 808080, green 008000, greenyellow adff2f, grey 808080, honeydew f0fff0, hotpink ff69b4,
  indianred cd5c5c, indigo 4b0082, ivory fffff0, khaki f0e68c, lavender e6e6fa, lavenderblush fff0f5,
  lawngreen 7cfc00, lemonchiffon fffacd, lightblue add8e6, lightcoral f08080, lightcyan e0ffff,
  lightgoldenrodyellow fafad2, lightgray d3d3d3, lightgreen 90ee90, lightgrey d3d3d3, lightpink ffb6c1,
  lightsalmon ffa07a, lightseagreen 20b2aa, lightskyblue 87cefa, lightslategray 778899, lightslategrey 778899,
  lightsteelblue b0c4de, lightyellow ffffe0, lime 00ff00, limegreen 32cd32, linen faf0e6, magenta ff00ff,
  maroon 800000, mediumaquamarine 66cdaa, mediumblue 0000cd, mediumorchid ba55d3, mediumpurple 9370db,
  mediumseagreen 3cb371, mediumslateblue 7b68ee, mediumspringgreen 00fa9a, mediumturquoise 48d1cc,
  mediumvioletred c71585, midnightblue 191970, mintcream f5fffa, mistyrose ffe4e1, moccasin ffe4b5,
  navajowhite ffdead, navy 000080, oldlace fdf5e6, olive 808000, olivedrab 6b8e23, orange ffa500, orangered ff4500,
  orchid da70d6, palegoldenrod eee8aa, palegreen 98fb98, paleturquoise afeeee, palevioletred db7093,
  papayawhip ffefd5, peachpuff ffdab9, peru cd853f, pink ffc0cb, plum dda0dd, powderblue b0e0e6, purple 800080,
  rebeccapurple 663399, red ff0000, rosybrown bc8f8f, royalblue 4169e1, saddlebrown 8b4513, salmon fa8072,
  sandybrown f4a460, seagreen 2e8b57, seashell fff5ee, sienna a0522d, silver c0c0c0, skyblue 87ceeb,
  slateblue 6a5acd, slategray 708090, slategrey 708090, snow fffafa, springgreen 00ff7f, steelblue 4682b4,
  tan d2b48c, teal 008080, thistle d8bfd8, tomato ff6347, turquoise 40e0d0, violet ee82ee, wheat f5deb3,
  white ffffff, whitesmoke f5f5f5, yellow ffff00, yellowgreen 9acd32
`;
var colorNames = /* @__PURE__ */ new Map(table.split(",").map((entry) => entry.trim().split(" ")));

// packages/frame-juggler/dist/maths/bits.js
var view = new DataView(new ArrayBuffer(8));
function powerOfTwo(power) {
  view.setInt32(0, power + 1023 << 20);
  view.setInt32(4, 0);
  return view.getFloat64(0);
}
function scaleByTwo(value, power) {
  if (power > -1022 && power < 1023)
    return value * powerOfTwo(power);
  const half = power >> 1;
  return value * powerOfTwo(half) * powerOfTwo(power - half);
}
function splitNumber(value) {
  const lift = value < 22250738585072014e-324 ? 54 : 0;
  view.setFloat64(0, lift === 0 ? value : value * 18014398509481984);
  const high = view.getInt32(0);
  view.setInt32(0, high & 1048575 | 1072693248);
  return { mantissa: view.getFloat64(0), exponent: (high >> 20) - 1023 - lift };
}

// packages/frame-juggler/dist/maths/exponent.js
var ln2 = 0.6931471803691238;
var ln2Tail = 19082149292705877e-26;
function reducedSeries(r) {
  const t = r * r;
  return r - t * (0.16666666666666602 + t * (-0.0027777777777015593 + t * (6613756321437934e-20 + t * (-16533902205465252e-22 + t * 41381367970572385e-24))));
}
function exp(x) {
  if (x > 709.8)
    return Infinity;
  if (x < -745.2)
    return 0;
  if (Number.isNaN(x))
    return x;
  const power = Math.round(x * 1.4426950408889634);
  const high = x - power * ln2;
  const low = power * ln2Tail;
  const r = high - low;
  const c = reducedSeries(r);
  return scaleByTwo(1 - (low - r * c / (2 - c) - high), power);
}
function log(x) {
  if (!(x > 0 && x < Infinity))
    return x === 0 ? -Infinity : x > 0 ? x : NaN;
  let { mantissa, exponent } = splitNumber(x);
  if (mantissa > Math.SQRT2) {
    mantissa /= 2;
    exponent++;
  }
  const f = mantissa - 1;
  const s = f / (2 + f);
  const z = s * s;
  const w = z * z;
  const series = w * (0.3999999999940942 + w * (0.22222198432149784 + w * 0.15313837699209373)) + z * (0.6666666666666735 + w * (0.2857142874366239 + w * (0.1818357216161805 + w * 0.14798198605116586)));
  const half = 0.5 * f * f;
  return exponent * ln2 - (half - (s * (half + series) + exponent * ln2Tail) - f);
}

// packages/frame-juggler/dist/maths/power.js
function pow(x, y) {
  if (!Number.isFinite(x) || !Number.isFinite(y) || x === 0 || y === 0 || y === 1)
    return x ** y;
  if (y === 2)
    return x * x;
  if (y === 0.5)
    return Math.sqrt(x);
  if (x < 0 && !Number.isInteger(y))
    return NaN;
  const size = powerOf(Math.abs(x), y);
  return x < 0 && y % 2 !== 0 ? -size : size;
}
function powerOf(x, y) {
  if (Math.abs(y) > 18446744073709552e3)
    return x === 1 ? 1 : x > 1 === y > 0 ? Infinity : 0;
  const { high, low } = logOfTwo(x);
  const head = Math.fround(y);
  const tail = (y - head) * high + y * low;
  const product = head * high;
  const whole = Math.round(product + tail);
  if (whole > 1024)
    return Infinity;
  if (whole < -1080)
    return 0;
  const rest = product - whole;
  const near = Math.fround(rest + tail);
  const u = near * 0.6931471824645996;
  const v = (tail - (near - rest)) * 0.6931471805599453 + near * -1904654299957768e-24;
  const z = u + v;
  const lost = v - (z - u);
  const t = reducedSeries(z);
  return scaleByTwo(1 - (z * t / (t - 2) - (lost + z * lost) - z), whole);
}
function logOfTwo(x) {
  let { mantissa, exponent } = splitNumber(x);
  const isMiddle = mantissa > 1.224744871391589 && mantissa < 1.7320508075688772;
  if (mantissa >= 1.7320508075688772) {
    mantissa /= 2;
    exponent++;
  }
  const [base, known, knownTail] = isMiddle ? [1.5, 0.5849624872207642, 1350039202129749e-23] : [1, 0, 0];
  const difference = mantissa - base;
  const part = 1 / (mantissa + base);
  const s = difference * part;
  const sHigh = Math.fround(s);
  const sum = Math.fround(mantissa + base);
  const sLow = part * (difference - sHigh * sum - sHigh * (mantissa - (sum - base)));
  const square = s * s;
  const rest = square * square * (0.5999999999999946 + square * (0.4285714285785502 + square * (0.33333332981837743 + square * (0.272728123808534 + square * (0.23066074577556175 + square * 0.20697501780033842))))) + sLow * (sHigh + s);
  const squareHigh = sHigh * sHigh;
  const three = Math.fround(3 + squareHigh + rest);
  const threeTail = rest - (three - 3 - squareHigh);
  const u = sHigh * three;
  const v = sLow * three + threeTail * s;
  const cubic = Math.fround(u + v);
  const scaled = 0.9617967009544373 * cubic;
  const scaledTail = -7028461650952758e-24 * cubic + (v - (cubic - u)) * 0.9617966939259756 + knownTail;
  const high = Math.fround(scaled + scaledTail + known + exponent);
  return { high, low: scaledTail - (high - exponent - known - scaled) };
}
function cbrt(x) {
  if (!Number.isFinite(x) || x === 0)
    return x;
  const size = Math.abs(x);
  const near = exp(log(size) / 3);
  const root = near - (near - size / (near * near)) / 3;
  return x < 0 ? -root : root;
}
function log2(x) {
  return nearPower(2, x, log(x) * 1.4426950408889634);
}
function log10(x) {
  return nearPower(10, x, log(x) * 0.4342944819032518);
}
function nearPower(base, x, power) {
  const whole = Math.round(power);
  return Math.abs(power - whole) < 1e-12 && pow(base, whole) === x ? whole : power;
}
function hypot(...values) {
  let sum = 0;
  for (const value of values)
    sum += value * value;
  if (sum > 1e-280 && sum < 1e300)
    return Math.sqrt(sum);
  let max = 0;
  for (const value of values)
    max = Math.abs(value) > max ? Math.abs(value) : max;
  if (max === 0 || max === Infinity)
    return values.some(Number.isNaN) && max === 0 ? NaN : max;
  sum = 0;
  for (const value of values)
    sum += value / max * (value / max);
  return max * Math.sqrt(sum);
}

// packages/frame-juggler/dist/paint/color-space.js
function multiply(matrix, [x, y, z]) {
  const [a, b, c] = matrix;
  return [a[0] * x + a[1] * y + a[2] * z, b[0] * x + b[1] * y + b[2] * z, c[0] * x + c[1] * y + c[2] * z];
}
function inverse([[a, b, c], [d, e, f], [g, h, i]]) {
  const det = a * (e * i - f * h) - b * (d * i - f * g) + c * (d * h - e * g);
  return [
    [(e * i - f * h) / det, (c * h - b * i) / det, (b * f - c * e) / det],
    [(f * g - d * i) / det, (a * i - c * g) / det, (c * d - a * f) / det],
    [(d * h - e * g) / det, (b * g - a * h) / det, (a * e - b * d) / det]
  ];
}
function each([a, b, c], convert2) {
  return [convert2(a), convert2(b), convert2(c)];
}
function signedPower(value, power) {
  return Math.sign(value) * pow(Math.abs(value), power);
}
var encode = (value) => Math.abs(value) > 31308e-7 ? 1.055 * signedPower(value, 1 / 2.4) - 0.055 * Math.sign(value) : value * 12.92;
var decode = (value) => Math.abs(value) <= 0.04045 ? value / 12.92 : signedPower((value + 0.055 * Math.sign(value)) / 1.055, 2.4);
var linearToRgb = (linear) => each(linear, encode);
var rgbToLinear = (rgb2) => each(rgb2, decode);
var xyzToLinear = [
  [3.2409699419045226, -1.537383177570094, -0.4986107602930034],
  [-0.9692436362808796, 1.8759675015077202, 0.04155505740717559],
  [0.05563007969699366, -0.20397695888897652, 1.0569715142428786]
];
var xyzD50ToLinear = [
  [3.1341359569958707, -1.6173863321612538, -0.4906619460083532],
  [-0.978795502912089, 1.916254567259524, 0.03344273116131949],
  [0.07195537988411677, -0.2289768264158322, 1.405386058324125]
];
var linearToXyzD50 = [
  [0.436065742824811, 0.3851514688337912, 0.14307845442264197],
  [0.22249319175623702, 0.7168870538238823, 0.06061979053616537],
  [0.013923904500943465, 0.09708128566574634, 0.7140993584005155]
];
var xyzToRgb = (xyz) => linearToRgb(multiply(xyzToLinear, xyz));
var xyzD50ToRgb = (xyz) => linearToRgb(multiply(xyzD50ToLinear, xyz));
var linearToXyz = /* @__PURE__ */ inverse(xyzToLinear);
var rgbToXyz = (rgb2) => multiply(linearToXyz, rgbToLinear(rgb2));
var rgbToXyzD50 = (rgb2) => multiply(linearToXyzD50, rgbToLinear(rgb2));
var lights = (linearize, toXyz, xyzTo) => (color) => xyzTo(multiply(toXyz, each(color, linearize)));
var toLights = (encodeOne, fromXyz, toXyz) => (rgb2) => each(multiply(fromXyz, toXyz(rgb2)), encodeOne);
var displayP3ToXyz = [
  [0.486570948648216, 0.265667693169093, 0.1982172852343625],
  [0.2289745640697487, 0.6917385218365062, 0.079286914093745],
  [0, 0.0451133818589026, 1.043944368900976]
];
var displayP3ToRgb = /* @__PURE__ */ lights(decode, displayP3ToXyz, xyzToRgb);
var rgbToDisplayP3 = /* @__PURE__ */ toLights(encode, /* @__PURE__ */ inverse(displayP3ToXyz), rgbToXyz);
var a98ToXyz = [
  [0.5766690429101305, 0.1855582379065463, 0.1882286462349947],
  [0.297344975250536, 0.6273635662554661, 0.0752914584939979],
  [0.0270313613864123, 0.0706888525358272, 0.9913375368376386]
];
var a98ToRgb = /* @__PURE__ */ lights((value) => signedPower(value, 563 / 256), a98ToXyz, xyzToRgb);
var rgbToA98 = /* @__PURE__ */ toLights(
  (value) => signedPower(value, 256 / 563),
  /* @__PURE__ */ inverse(a98ToXyz),
  rgbToXyz
);
var prophotoToXyz = [
  [0.7977666449006423, 0.1351812974005331, 0.0313477341283922],
  [0.2880748288194013, 0.7118352342418731, 899369387256e-16],
  [0, 0, 0.8251046025104602]
];
var prophotoToRgb = /* @__PURE__ */ lights((value) => Math.abs(value) >= 16 / 512 ? signedPower(value, 1.8) : value / 16, prophotoToXyz, xyzD50ToRgb);
var rgbToProphoto = /* @__PURE__ */ toLights(
  (value) => Math.abs(value) >= 1 / 512 ? signedPower(value, 1 / 1.8) : value * 16,
  /* @__PURE__ */ inverse(prophotoToXyz),
  rgbToXyzD50
);
var alpha2020 = 1.09929682680944;
var beta2020 = 0.018053968510807;
var rec2020ToXyz = [
  [0.6369580483012911, 0.1446169035862083, 0.1688809751641721],
  [0.262700212011267, 0.6779980715188708, 0.059301716469862],
  [0, 0.0280726930490874, 1.0609850577107909]
];
var rec2020ToRgb = /* @__PURE__ */ lights((value) => Math.abs(value) < beta2020 * 4.5 ? value / 4.5 : signedPower((value + (alpha2020 - 1) * Math.sign(value)) / alpha2020, 1 / 0.45), rec2020ToXyz, xyzToRgb);
var rgbToRec2020 = /* @__PURE__ */ toLights(
  (value) => Math.abs(value) < beta2020 ? value * 4.5 : alpha2020 * signedPower(value, 0.45) - (alpha2020 - 1) * Math.sign(value),
  /* @__PURE__ */ inverse(rec2020ToXyz),
  rgbToXyz
);
function hslToRgb([hue, saturation, lightness2]) {
  const reach = saturation * Math.min(lightness2, 1 - lightness2);
  const twelfth = positive(hue, 360) / 30;
  return [
    lightness2 - reach * hslShare(twelfth),
    lightness2 - reach * hslShare(twelfth < 4 ? twelfth + 8 : twelfth - 4),
    lightness2 - reach * hslShare(twelfth < 8 ? twelfth + 4 : twelfth - 8)
  ];
}
function hslShare(twelfth) {
  return Math.max(-1, Math.min(twelfth - 3, 9 - twelfth, 1));
}
function rgbToHsl([r, g, b]) {
  const max = Math.max(r, g, b);
  const min = Math.min(r, g, b);
  const range = max - min;
  if (range === 0)
    return [0, 0, max];
  const sixth = max === r ? (g - b) / range : max === g ? (b - r) / range + 2 : (r - g) / range + 4;
  return [positive(sixth * 60, 360), range / (1 - Math.abs(max + min - 1)), (max + min) / 2];
}
function hwbToRgb([hue, white, black]) {
  const sum = white + black;
  if (sum >= 1)
    return [white / sum, white / sum, white / sum];
  return each(hslToRgb([hue, 1, 0.5]), (channel3) => channel3 * (1 - sum) + white);
}
function rgbToHwb(rgb2) {
  return [rgbToHsl(rgb2)[0], Math.min(...rgb2), 1 - Math.max(...rgb2)];
}
var white50 = [0.3457 / 0.3585, 1, (1 - 0.3457 - 0.3585) / 0.3585];
var kappa = 24389 / 27;
var epsilon = 216 / 24389;
function labToRgb([lightness2, a, b]) {
  const y = (lightness2 + 16) / 116;
  const light = (f, white) => (f * f * f > epsilon ? f * f * f : (116 * f - 16) / kappa) * white;
  return xyzD50ToRgb([light(y + a / 500, white50[0]), light(y, white50[1]), light(y - b / 200, white50[2])]);
}
function rgbToLab(rgb2) {
  const xyz = multiply(linearToXyzD50, rgbToLinear(rgb2));
  const f = (value) => value > epsilon ? cbrt(value) : (kappa * value + 16) / 116;
  const [x, y, z] = [f(xyz[0] / white50[0]), f(xyz[1] / white50[1]), f(xyz[2] / white50[2])];
  return [116 * y - 16, 500 * (x - y), 200 * (y - z)];
}
var oklabToCones = [
  [1, 0.3963377773761749, 0.2158037573099136],
  [1, -0.1055613458156586, -0.0638541728258133],
  [1, -0.0894841775298119, -1.2914855480194092]
];
var conesToLinear = [
  [4.076741636075957, -3.3077115392580616, 0.2309699031821044],
  [-1.2684379732850317, 2.6097573492876887, -0.3413193760026573],
  [-0.0041960761386756, -0.7034186179359362, 1.7076146940746117]
];
function oklabToRgb(oklab) {
  return linearToRgb(multiply(conesToLinear, each(multiply(oklabToCones, oklab), (value) => value * value * value)));
}
var linearToCones = [
  [0.412221469470763, 0.5363325372617348, 0.0514459932675022],
  [0.2119034958178252, 0.6806995506452344, 0.1073969535369406],
  [0.0883024591900564, 0.2817188391361215, 0.6299787016738222]
];
var conesToOklab = [
  [0.210454268309314, 0.7936177747023054, -0.0040720430116193],
  [1.9779985324311684, -2.42859224204858, 0.450593709617411],
  [0.0259040424655478, 0.7827717124575296, -0.8086757549230774]
];
function rgbToOklab(rgb2) {
  return multiply(conesToOklab, each(multiply(linearToCones, rgbToLinear(rgb2)), cbrt));
}
function fromPolar([lightness2, chroma2, hue]) {
  const { sin, cos } = sinCos(hue);
  return [lightness2, chroma2 * cos, chroma2 * sin];
}
function toPolar([lightness2, a, b]) {
  return [lightness2, Math.sqrt(a * a + b * b), positive(atan2(b, a) * 180 / Math.PI, 360)];
}
function positive(value, length) {
  const rest = value % length;
  return rest < 0 ? rest + length : rest;
}

// packages/frame-juggler/dist/paint/css-calc.js
var degreesPer = { deg: 1, grad: 0.9, rad: 180 / Math.PI, turn: 360 };
var numberPattern = /^([+-]?(?:\d+(?:\.\d+)?|\.\d+)(?:e[+-]?\d+)?)(%|deg|grad|rad|turn)?$/;
function readQuantity(word) {
  const [, digits, unit2] = numberPattern.exec(word) ?? [];
  if (digits === void 0)
    return void 0;
  if (unit2 === void 0 || unit2 === "%")
    return { value: Number(digits), unit: unit2 ?? "" };
  return { value: Number(digits) * degreesPer[unit2], unit: "deg" };
}
var deepest = 32;
var token = /\s*(calc\(|[()*/]|\s[+-]\s|[^\s()*/]+)/y;
function calculate(text, names) {
  const tokens = [];
  token.lastIndex = 0;
  while (token.lastIndex < text.length) {
    const [, found] = token.exec(text) ?? [];
    if (found === void 0)
      return void 0;
    tokens.push(found.trim());
  }
  let at = 0;
  let depth = 0;
  const value = () => {
    const word = tokens[at++];
    if (word === void 0)
      return void 0;
    if (word !== "calc(" && word !== "(") {
      const named = names.get(word) ?? (word === "pi" ? Math.PI : word === "e" ? Math.E : void 0);
      return named === void 0 ? readQuantity(word) : { value: named, unit: "" };
    }
    if (++depth > deepest)
      return void 0;
    const inside = sum();
    depth--;
    return tokens[at++] === ")" ? inside : void 0;
  };
  const product = () => {
    let left = value();
    while (left !== void 0 && (tokens[at] === "*" || tokens[at] === "/")) {
      const isTimes = tokens[at++] === "*";
      const right = value();
      if (right === void 0 || right.unit !== "" && (left.unit !== "" || !isTimes))
        return void 0;
      left = { value: isTimes ? left.value * right.value : left.value / right.value, unit: left.unit || right.unit };
    }
    return left;
  };
  const sum = () => {
    let left = product();
    while (left !== void 0 && (tokens[at] === "+" || tokens[at] === "-")) {
      const sign = tokens[at++] === "+" ? 1 : -1;
      const right = product();
      if (right?.unit !== left.unit)
        return void 0;
      left = { value: left.value + sign * right.value, unit: left.unit };
    }
    return left;
  };
  const result = value();
  return at === tokens.length ? result : void 0;
}

// packages/frame-juggler/dist/paint/color-functions.js
var farthest = 1e9;
var channel = (whole, divisor = 1, min = -farthest, max = farthest) => ({
  divisor,
  whole,
  min,
  max
});
var angle = channel(void 0);
var unit = channel(1);
var alphaChannel = channel(1, 1, 0, 1);
var percent = channel(1, 100);
var byte = channel(1, 255);
var chroma = (whole) => channel(whole, 1, 0);
var lightness = (whole) => channel(whole, 1, 0, whole);
var same = (rgb2) => rgb2;
var chromaUpTo = (limit) => ([, chroma2]) => chroma2 <= limit;
var colorFunctions = {
  rgb: { names: "rgb", channels: [byte, byte, byte], toRgb: same, fromRgb: same },
  hsl: {
    names: "hsl",
    channels: [angle, channel(1, 100, 0), percent],
    toRgb: hslToRgb,
    fromRgb: rgbToHsl,
    hue: 0,
    isGray: chromaUpTo(1e-5)
  },
  hwb: {
    names: "hwb",
    channels: [angle, percent, percent],
    toRgb: hwbToRgb,
    fromRgb: rgbToHwb,
    hue: 0,
    isGray: ([, white, black]) => white + black >= 1 - 1e-5
  },
  lab: { names: "lab", channels: [lightness(100), channel(125), channel(125)], toRgb: labToRgb, fromRgb: rgbToLab },
  lch: {
    names: "lch",
    channels: [lightness(100), chroma(150), angle],
    toRgb: (lch) => labToRgb(fromPolar(lch)),
    fromRgb: (rgb2) => toPolar(rgbToLab(rgb2)),
    hue: 2,
    isGray: chromaUpTo(15e-4)
  },
  oklab: { names: "lab", channels: [lightness(1), channel(0.4), channel(0.4)], toRgb: oklabToRgb, fromRgb: rgbToOklab },
  oklch: {
    names: "lch",
    channels: [lightness(1), chroma(0.4), angle],
    toRgb: (lch) => oklabToRgb(fromPolar(lch)),
    fromRgb: (rgb2) => toPolar(rgbToOklab(rgb2)),
    hue: 2,
    isGray: chromaUpTo(4e-6)
  }
};
var inUnits = (toRgb, fromRgb, names = "rgb") => ({
  names,
  channels: [unit, unit, unit],
  toRgb,
  fromRgb
});
var colorSpaces = {
  srgb: inUnits(same, same),
  "srgb-linear": inUnits(linearToRgb, rgbToLinear),
  "display-p3": inUnits(displayP3ToRgb, rgbToDisplayP3),
  "a98-rgb": inUnits(a98ToRgb, rgbToA98),
  "prophoto-rgb": inUnits(prophotoToRgb, rgbToProphoto),
  rec2020: inUnits(rec2020ToRgb, rgbToRec2020),
  xyz: inUnits(xyzToRgb, rgbToXyz, "xyz"),
  "xyz-d50": inUnits(xyzD50ToRgb, rgbToXyzD50, "xyz"),
  "xyz-d65": inUnits(xyzToRgb, rgbToXyz, "xyz")
};
function rowOf(table2, name) {
  return Object.hasOwn(table2, name) ? table2[name] : void 0;
}

// packages/frame-juggler/dist/paint/interpolate.js
var hueWays = {
  shorter: (way) => way > 180 ? way - 360 : way < -180 ? way + 360 : way,
  longer: (way) => way > 0 && way < 180 ? way - 360 : way > -180 && way <= 0 ? way + 360 : way,
  increasing: (way) => way < 0 ? way + 360 : way,
  decreasing: (way) => way > 0 ? way - 360 : way
};
function interpolate(space, a, b, part, way) {
  const alpha = between2(a.alpha, b.alpha, part);
  const [ofA, ofB] = alpha === 0 ? [1, 1] : [a.alpha / alpha, b.alpha / alpha];
  const channel3 = (index) => index === space.hue ? mixHue(space, a.channels, b.channels, part, way) : between2(a.channels[index] * ofA, b.channels[index] * ofB, part);
  return { channels: [channel3(0), channel3(1), channel3(2)], alpha };
}
function between2(a, b, part) {
  return a + (b - a) * part;
}
function mixHue({ hue = 0, isGray }, a, b, part, way) {
  const from = isGray?.(a) ? b[hue] : a[hue];
  const to = isGray?.(b) ? from : b[hue];
  return from + hueWays[way](to - from) * part;
}

// packages/frame-juggler/dist/paint/css-color.js
var deepest2 = 16;
function parseCssColor(css, depth = 0) {
  const text = withoutComments(css).trim().toLowerCase();
  if (text.startsWith("#"))
    return hexDigits(text.slice(1));
  const open = text.indexOf("(");
  if (open === -1)
    return namedColor(text);
  if (!text.endsWith(")") || depth > deepest2)
    return void 0;
  const name = text.slice(0, open);
  const inside = text.slice(open + 1, -1);
  const parts = split(inside, ",");
  if (name === "color-mix")
    return parts && mix(parts, depth);
  const plain = name === "rgba" || name === "hsla" ? name.slice(0, -1) : name;
  if (parts === void 0)
    return void 0;
  if (parts.length > 1)
    return plain === "rgb" || plain === "hsl" ? parseLegacy(plain, parts) : void 0;
  const [before = "", alpha, ...rest] = split(inside, "/") ?? [];
  const words = split(before.trim(), " ");
  if (words === void 0 || rest.length > 0)
    return void 0;
  const origin = words[0] === "from" ? parseCssColor(words.splice(0, 2)[1] ?? "", depth + 1) : void 0;
  if (before.trim().startsWith("from") && origin === void 0)
    return void 0;
  const row = name === "color" ? rowOf(colorSpaces, words.shift() ?? "") : rowOf(colorFunctions, plain);
  return row && convert(row, words, alpha, origin);
}
function withoutComments(css) {
  return css.includes("/*") ? css.replace(/\/\*[^]*?\*\//g, " ") : css;
}
function split(text, separator) {
  const parts = [];
  let depth = 0;
  let from = 0;
  const end = (to) => {
    if (separator !== " " || to > from)
      parts.push(text.slice(from, to));
    from = to + 1;
  };
  for (let at = 0; at < text.length; at++) {
    const character = text[at];
    if (character === "(")
      depth++;
    else if (character === ")" && --depth < 0)
      return void 0;
    else if (depth === 0 && (character === separator || separator === " " && /\s/.test(character)))
      end(at);
  }
  end(text.length);
  return depth === 0 ? parts : void 0;
}
function namedColor(name) {
  if (name === "transparent")
    return { rgb: [0, 0, 0], alpha: 0 };
  const digits = colorNames.get(name);
  return digits === void 0 ? void 0 : hexDigits(digits);
}
function hexDigits(digits) {
  if (!/^(?:[0-9a-f]{3,4}|[0-9a-f]{6}|[0-9a-f]{8})$/.test(digits))
    return void 0;
  const short = digits.length < 6;
  const at = (index) => short ? parseInt(digits[index], 16) / 15 : parseInt(digits.slice(index * 2, index * 2 + 2), 16) / 255;
  return { rgb: [at(0), at(1), at(2)], alpha: digits.length % 4 === 0 ? at(3) : 1 };
}
function parseLegacy(name, written) {
  const parts = written.map((part) => part.trim());
  const percents = parts.slice(0, 3).map((word) => word.endsWith("%"));
  const fits = name === "hsl" ? percents[1] && percents[2] : percents[0] === percents[1] && percents[1] === percents[2];
  const isCalculated = parts.some((part) => part.includes("("));
  if (!(fits || isCalculated) || parts.includes("none") || parts.length > 4)
    return void 0;
  return convert(colorFunctions[name], parts.slice(0, 3), parts[3]);
}
var noNames = /* @__PURE__ */ new Map();
function convert(row, words, alphaWord, origin) {
  if (words.length !== 3)
    return void 0;
  const names = origin === void 0 ? noNames : namesOf(row, origin);
  const read = (index) => readChannel(words[index], row.channels[index], names);
  const channels = [read(0), read(1), read(2)];
  const alpha = alphaWord === void 0 ? origin?.alpha ?? 1 : readChannel(alphaWord.trim(), alphaChannel, names);
  return Number.isNaN(channels[0] + channels[1] + channels[2] + alpha) ? void 0 : { rgb: row.toRgb(channels), alpha };
}
function namesOf(row, { rgb: rgb2, alpha }) {
  const channels = row.fromRgb(rgb2);
  const value = (index) => index === row.hue && row.isGray?.(channels) ? 0 : channels[index] * row.channels[index].divisor;
  return new Map([...[...row.names].map((name, index) => [name, value(index)]), ["alpha", alpha]]);
}
function wholeNumber(word) {
  if (word.length === 0 || word.length > 9)
    return NaN;
  let number = 0;
  for (let i = 0; i < word.length; i++) {
    const digit = word.charCodeAt(i) - 48;
    if (digit < 0 || digit > 9)
      return NaN;
    number = number * 10 + digit;
  }
  return number;
}
function readChannel(word, channel3, names) {
  if (word === "none")
    return 0;
  const plain = wholeNumber(word);
  const value = plain >= 0 ? { value: plain, unit: "" } : quantityOf(word, names);
  return value === void 0 ? NaN : Math.min(channel3.max, Math.max(channel3.min, inChannel(value, channel3)));
}
function quantityOf(word, names) {
  if (word.startsWith("calc("))
    return calculate(word, names);
  const named = names.get(word);
  return named === void 0 ? readQuantity(word) : { value: named, unit: "" };
}
function inChannel({ value, unit: unit2 }, { divisor, whole }) {
  if (unit2 === "")
    return value / divisor;
  if (unit2 === "%" === (whole === void 0))
    return NaN;
  return unit2 === "%" ? value * whole / 100 : value;
}
function mix([how = "", one = "", other = "", ...rest], depth) {
  const [inWord, spaceName = "", way = "shorter", hueWord, ...more] = how.trim().split(/\s+/);
  const space = rowOf(colorSpaces, spaceName) ?? (spaceName === "rgb" ? void 0 : rowOf(colorFunctions, spaceName));
  const isRound = Object.hasOwn(hueWays, way) && hueWord === (how.includes("hue") ? "hue" : void 0);
  if (inWord !== "in" || space === void 0 || !isRound || more.length + rest.length > 0)
    return void 0;
  if (hueWord !== void 0 && space.hue === void 0)
    return void 0;
  const [a, b] = [partOf(one, depth), partOf(other, depth)];
  if (a === void 0 || b === void 0)
    return void 0;
  const shareA = a.share ?? 100 - (b.share ?? 50);
  const shareB = b.share ?? 100 - shareA;
  const sum = shareA + shareB;
  if (sum === 0)
    return { rgb: [0, 0, 0], alpha: 0 };
  const inSpace = ({ rgb: rgb2, alpha }) => ({ channels: space.fromRgb(rgb2), alpha });
  const mixed = interpolate(space, inSpace(a.color), inSpace(b.color), shareB / sum, way);
  return { rgb: space.toRgb(mixed.channels), alpha: mixed.alpha * Math.min(1, sum / 100) };
}
function partOf(text, depth) {
  const words = split(text.trim(), " ");
  if (words === void 0 || words.length > 2 || /\bnone\b/.test(text))
    return void 0;
  const shareAt = words.findIndex((word) => word.endsWith("%"));
  const share = shareAt === -1 ? void 0 : readQuantity(words[shareAt])?.value;
  if (words.length !== (shareAt === -1 ? 1 : 2) || shareAt !== -1 && !(share >= 0 && share <= 100))
    return void 0;
  const color = parseCssColor(words[shareAt === 0 ? 1 : 0], depth + 1);
  return color && { color, share };
}

// packages/frame-juggler/dist/paint/color.js
var Color = class {
  red;
  green;
  blue;
  alpha;
  /** As one number, as frames keep it. */
  packed;
  constructor(red, green, blue, alpha) {
    this.red = red;
    this.green = green;
    this.blue = blue;
    this.alpha = alpha;
    this.packed = pack(red, green, blue, alpha * 255);
  }
  /** The color in CSS, so that it can be put into a string. */
  toString() {
    return cssColor(this.packed);
  }
};
function pack(red, green, blue, alpha) {
  return byte2(red) | byte2(green) << 8 | byte2(blue) << 16 | byte2(alpha) << 24;
}
function byte2(value) {
  return value <= 0 ? 0 : value >= 255 ? 255 : value + 0.5 | 0;
}
var redOf = (packed) => packed & 255;
var greenOf = (packed) => packed >>> 8 & 255;
var blueOf = (packed) => packed >>> 16 & 255;
var alphaOf = (packed) => packed >>> 24;
function cssColor(packed) {
  const digits = (value, count) => value.toString(16).padStart(count, "0");
  const color = `#${digits(redOf(packed) << 16 | greenOf(packed) << 8 | blueOf(packed), 6)}`;
  return alphaOf(packed) === 255 ? color : color + digits(alphaOf(packed), 2);
}
function readColor(call, option, value) {
  if (value instanceof Color)
    return value;
  return (typeof value === "string" ? parseCss(value) : void 0) ?? unknownColor(call, option, value);
}
var packedByText = /* @__PURE__ */ new Map();
var cacheLimit = 1 << 17;
function readPacked(call, option, value) {
  if (value instanceof Color)
    return value.packed;
  if (typeof value !== "string")
    return readColor(call, option, value).packed;
  const known = packedByText.get(value);
  if (known !== void 0)
    return known;
  const { packed } = readColor(call, option, value);
  if (packedByText.size === cacheLimit)
    packedByText.clear();
  packedByText.set(value, packed);
  return packed;
}
function parseCss(text) {
  const color = parseCssColor(text);
  return color && fromUnits(color.rgb, color.alpha);
}
function fromUnits([red, green, blue], alpha) {
  return new Color(clampChannel(red), clampChannel(green), clampChannel(blue), Math.min(1, Math.max(0, alpha)));
}
function clampChannel(unit2) {
  return Math.min(255, Math.max(0, Math.round(unit2 * 255e8) / 1e8));
}
function unknownColor(call, option, value) {
  if (value === void 0)
    missing(call, option, 'a color, "teal" or "#0f2a3d"');
  return fail({ call, option, value, problem: "is not a color", expected: colorHint(value) });
}
function colorHint(value) {
  if (typeof value === "number")
    return `a gray is gray(${show(value)}), other colors are strings like "teal" or "#0f2a3d"`;
  if (typeof value === "string") {
    if (/^[0-9a-f]{3,8}$/i.test(value))
      return `did you mean "#${value}"?`;
    const near = nearest(value.trim(), [...colorNames.keys(), "transparent"]);
    if (near !== void 0)
      return `did you mean ${show(near)}?`;
  }
  return 'expected a CSS color: "teal", "#0f2a3d", "rgb(15 42 61 / 50%)"';
}
var channel2 = between(0, 255);
var percent2 = between(0, 100);
function rgb(red, green, blue, alpha = 1) {
  return new Color(channel2.read("rgb", "red", red), channel2.read("rgb", "green", green), channel2.read("rgb", "blue", blue), fraction.read("rgb", "alpha", alpha));
}
function gray(level, alpha = 1) {
  const value = channel2.read("gray", "level", level);
  return new Color(value, value, value, fraction.read("gray", "alpha", alpha));
}
function hsl(hue, saturation, lightness2, alpha = 1) {
  const channels = [
    finite.read("hsl", "hue", hue),
    percent2.read("hsl", "saturation", saturation) / 100,
    percent2.read("hsl", "lightness", lightness2) / 100
  ];
  return fromUnits(hslToRgb(channels), fraction.read("hsl", "alpha", alpha));
}
function oklch(lightness2, chroma2, hue, alpha = 1) {
  const channels = [
    fraction.read("oklch", "lightness", lightness2),
    fraction.read("oklch", "chroma", chroma2),
    finite.read("oklch", "hue", hue)
  ];
  return fromUnits(oklabToRgb(fromPolar(channels)), fraction.read("oklch", "alpha", alpha));
}
var stops = listOf(convertedLater("a color, or [offset, color]"), "colors", 2);
function readStops(call, given) {
  stops.read(call, "stops", given);
  let last = 0;
  return given.map((stop, index) => {
    const option = `stops[${index}]`;
    if (!Array.isArray(stop))
      return { offset: index / (given.length - 1), color: readColor(call, option, stop) };
    const offset = fraction.read(call, `${option} offset`, stop[0]);
    if (offset < last)
      fail({
        call,
        option,
        value: offset,
        problem: "comes before the stop ahead of it",
        expected: "expected rising offsets"
      });
    last = offset;
    return { offset, color: readColor(call, option, stop[1]) };
  });
}

export {
  splitNumber,
  exp,
  log,
  pow,
  cbrt,
  log2,
  log10,
  hypot,
  colorFunctions,
  interpolate,
  Color,
  pack,
  redOf,
  greenOf,
  blueOf,
  alphaOf,
  cssColor,
  readColor,
  readPacked,
  fromUnits,
  rgb,
  gray,
  hsl,
  oklch,
  stops,
  readStops
};
