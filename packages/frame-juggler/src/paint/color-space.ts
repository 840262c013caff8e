/*
 * Colors from one space to another, by the sample code of CSS Color 4 (section 10) and Ottosson's Oklab. sRGB has
 * channels from 0 to 1, and beyond for what it cannot show. The powers are our own, so that a color is the same in every
 * engine.
 */
import { atan2 } from '../maths/arc.ts';
import { sinCos } from '../maths/degrees.ts';
import { cbrt, pow } from '../maths/power.ts';

/** The three channels of a color, in the order in which CSS writes them. */
export type Channels = readonly [number, number, number];

/** A matrix of three rows. */
type Matrix3 = readonly [Channels, Channels, Channels];

function multiply(matrix: Matrix3, [x, y, z]: Channels): Channels {
  const [a, b, c] = matrix;
  return [a[0] * x + a[1] * y + a[2] * z, b[0] * x + b[1] * y + b[2] * z, c[0] * x + c[1] * y + c[2] * z];
}

/** By cofactors. */
function inverse([[a, b, c], [d, e, f], [g, h, i]]: Matrix3): Matrix3 {
  const det = a * (e * i - f * h) - b * (d * i - f * g) + c * (d * h - e * g);
  return [
    [(e * i - f * h) / det, (c * h - b * i) / det, (b * f - c * e) / det],
    [(f * g - d * i) / det, (a * i - c * g) / det, (c * d - a * f) / det],
    [(d * h - e * g) / det, (b * g - a * h) / det, (a * e - b * d) / det],
  ];
}

function each([a, b, c]: Channels, convert: (value: number) => number): Channels {
  return [convert(a), convert(b), convert(c)];
}

/** A power of a number's size, with the number's sign. */
function signedPower(value: number, power: number): number {
  return Math.sign(value) * pow(Math.abs(value), power);
}

const encode = (value: number): number =>
  Math.abs(value) > 0.0031308 ? 1.055 * signedPower(value, 1 / 2.4) - 0.055 * Math.sign(value) : value * 12.92;
const decode = (value: number): number =>
  Math.abs(value) <= 0.04045 ? value / 12.92 : signedPower((value + 0.055 * Math.sign(value)) / 1.055, 2.4);

/** Linear sRGB to sRGB. */
export const linearToRgb = (linear: Channels): Channels => each(linear, encode);
/** sRGB to linear sRGB. */
export const rgbToLinear = (rgb: Channels): Channels => each(rgb, decode);

const xyzToLinear: Matrix3 = [
  [3.2409699419045226, -1.537383177570094, -0.4986107602930034],
  [-0.9692436362808796, 1.8759675015077202, 0.04155505740717559],
  [0.05563007969699366, -0.20397695888897652, 1.0569715142428786],
];
/** Linear sRGB from XYZ under D50: adapted after Bradford. */
const xyzD50ToLinear: Matrix3 = [
  [3.1341359569958707, -1.6173863321612538, -0.4906619460083532],
  [-0.978795502912089, 1.916254567259524, 0.03344273116131949],
  [0.07195537988411677, -0.2289768264158322, 1.405386058324125],
];
const linearToXyzD50: Matrix3 = [
  [0.436065742824811, 0.3851514688337912, 0.14307845442264197],
  [0.22249319175623702, 0.7168870538238823, 0.06061979053616537],
  [0.013923904500943465, 0.09708128566574634, 0.7140993584005155],
];

/** CIE XYZ under D65 to sRGB. */
export const xyzToRgb = (xyz: Channels): Channels => linearToRgb(multiply(xyzToLinear, xyz));
/** CIE XYZ under D50 to sRGB. */
export const xyzD50ToRgb = (xyz: Channels): Channels => linearToRgb(multiply(xyzD50ToLinear, xyz));

const linearToXyz = /* @__PURE__ */ inverse(xyzToLinear);

/** sRGB to CIE XYZ under D65. */
export const rgbToXyz = (rgb: Channels): Channels => multiply(linearToXyz, rgbToLinear(rgb));
/** sRGB to CIE XYZ under D50. */
export const rgbToXyzD50 = (rgb: Channels): Channels => multiply(linearToXyzD50, rgbToLinear(rgb));

/** From a space of three lights to sRGB, by what makes its channels linear and by its matrix to XYZ. */
const lights =
  (linearize: (value: number) => number, toXyz: Matrix3, xyzTo: (xyz: Channels) => Channels) =>
  (color: Channels): Channels =>
    xyzTo(multiply(toXyz, each(color, linearize)));

/** The way back: from sRGB to a space of three lights. */
const toLights =
  (encodeOne: (value: number) => number, fromXyz: Matrix3, toXyz: (rgb: Channels) => Channels) =>
  (rgb: Channels): Channels =>
    each(multiply(fromXyz, toXyz(rgb)), encodeOne);

const displayP3ToXyz: Matrix3 = [
  [0.486570948648216, 0.265667693169093, 0.1982172852343625],
  [0.2289745640697487, 0.6917385218365062, 0.079286914093745],
  [0, 0.0451133818589026, 1.043944368900976],
];
/** Display P3 to sRGB, and back. */
export const displayP3ToRgb = /* @__PURE__ */ lights(decode, displayP3ToXyz, xyzToRgb);
export const rgbToDisplayP3 = /* @__PURE__ */ toLights(encode, /* @__PURE__ */ inverse(displayP3ToXyz), rgbToXyz);

const a98ToXyz: Matrix3 = [
  [0.5766690429101305, 0.1855582379065463, 0.1882286462349947],
  [0.297344975250536, 0.6273635662554661, 0.0752914584939979],
  [0.0270313613864123, 0.0706888525358272, 0.9913375368376386],
];
/** A98 RGB to sRGB, and back. */
export const a98ToRgb = /* @__PURE__ */ lights((value) => signedPower(value, 563 / 256), a98ToXyz, xyzToRgb);
export const rgbToA98 = /* @__PURE__ */ toLights(
  (value) => signedPower(value, 256 / 563),
  /* @__PURE__ */ inverse(a98ToXyz),
  rgbToXyz,
);

const prophotoToXyz: Matrix3 = [
  [0.7977666449006423, 0.1351812974005331, 0.0313477341283922],
  [0.2880748288194013, 0.7118352342418731, 0.0000899369387256],
  [0, 0, 0.8251046025104602],
];
/** ProPhoto RGB to sRGB, and back. */
export const prophotoToRgb = /* @__PURE__ */ lights(
  (value) => (Math.abs(value) >= 16 / 512 ? signedPower(value, 1.8) : value / 16),
  prophotoToXyz,
  xyzD50ToRgb,
);
export const rgbToProphoto = /* @__PURE__ */ toLights(
  (value) => (Math.abs(value) >= 1 / 512 ? signedPower(value, 1 / 1.8) : value * 16),
  /* @__PURE__ */ inverse(prophotoToXyz),
  rgbToXyzD50,
);

const alpha2020 = 1.09929682680944;
const beta2020 = 0.018053968510807;
const rec2020ToXyz: Matrix3 = [
  [0.6369580483012911, 0.1446169035862083, 0.1688809751641721],
  [0.262700212011267, 0.6779980715188708, 0.059301716469862],
  [0, 0.0280726930490874, 1.0609850577107909],
];
/** Rec. 2020 to sRGB, and back. */
export const rec2020ToRgb = /* @__PURE__ */ lights(
  (value) =>
    Math.abs(value) < beta2020 * 4.5
      ? value / 4.5
      : signedPower((value + (alpha2020 - 1) * Math.sign(value)) / alpha2020, 1 / 0.45),
  rec2020ToXyz,
  xyzToRgb,
);
export const rgbToRec2020 = /* @__PURE__ */ toLights(
  (value) =>
    Math.abs(value) < beta2020
      ? value * 4.5
      : alpha2020 * signedPower(value, 0.45) - (alpha2020 - 1) * Math.sign(value),
  /* @__PURE__ */ inverse(rec2020ToXyz),
  rgbToXyz,
);

/** Hue in degrees, saturation and lightness from 0 to 1, to sRGB. */
export function hslToRgb([hue, saturation, lightness]: Channels): Channels {
  const reach = saturation * Math.min(lightness, 1 - lightness);
  const twelfth = positive(hue, 360) / 30;
  return [
    lightness - reach * hslShare(twelfth),
    lightness - reach * hslShare(twelfth < 4 ? twelfth + 8 : twelfth - 4),
    lightness - reach * hslShare(twelfth < 8 ? twelfth + 4 : twelfth - 8),
  ];
}

/** How far below the lightness a channel lies, −1 to 1, so many twelfths of the round away from its own hue. */
function hslShare(twelfth: number): number {
  return Math.max(-1, Math.min(twelfth - 3, 9 - twelfth, 1));
}

export function rgbToHsl([r, g, b]: Channels): Channels {
  const max = Math.max(r, g, b);
  const min = Math.min(r, g, b);
  const range = max - min;
  if (range === 0) return [0, 0, max];
  const sixth = max === r ? (g - b) / range : max === g ? (b - r) / range + 2 : (r - g) / range + 4;
  return [positive(sixth * 60, 360), range / (1 - Math.abs(max + min - 1)), (max + min) / 2];
}

/** Hue in degrees, whiteness and blackness from 0 to 1, to sRGB. */
export function hwbToRgb([hue, white, black]: Channels): Channels {
  const sum = white + black;
  if (sum >= 1) return [white / sum, white / sum, white / sum];
  return each(hslToRgb([hue, 1, 0.5]), (channel) => channel * (1 - sum) + white);
}

export function rgbToHwb(rgb: Channels): Channels {
  return [rgbToHsl(rgb)[0], Math.min(...rgb), 1 - Math.max(...rgb)];
}

const white50: Channels = [0.3457 / 0.3585, 1, (1 - 0.3457 - 0.3585) / 0.3585];
const kappa = 24389 / 27;
const epsilon = 216 / 24389;

/** CIE Lab to sRGB: lightness from 0 to 100. */
export function labToRgb([lightness, a, b]: Channels): Channels {
  const y = (lightness + 16) / 116;
  const light = (f: number, white: number): number =>
    (f * f * f > epsilon ? f * f * f : (116 * f - 16) / kappa) * white;
  return xyzD50ToRgb([light(y + a / 500, white50[0]), light(y, white50[1]), light(y - b / 200, white50[2])]);
}

export function rgbToLab(rgb: Channels): Channels {
  const xyz = multiply(linearToXyzD50, rgbToLinear(rgb));
  const f = (value: number): number => (value > epsilon ? cbrt(value) : (kappa * value + 16) / 116);
  const [x, y, z] = [f(xyz[0] / white50[0]), f(xyz[1] / white50[1]), f(xyz[2] / white50[2])];
  return [116 * y - 16, 500 * (x - y), 200 * (y - z)];
}

const oklabToCones: Matrix3 = [
  [1, 0.3963377773761749, 0.2158037573099136],
  [1, -0.1055613458156586, -0.0638541728258133],
  [1, -0.0894841775298119, -1.2914855480194092],
];
const conesToLinear: Matrix3 = [
  [4.0767416360759574, -3.3077115392580616, 0.2309699031821044],
  [-1.2684379732850317, 2.6097573492876887, -0.3413193760026573],
  [-0.0041960761386756, -0.7034186179359362, 1.7076146940746117],
];

/** Oklab to sRGB: lightness from 0 to 1. */
export function oklabToRgb(oklab: Channels): Channels {
  return linearToRgb(
    multiply(
      conesToLinear,
      each(multiply(oklabToCones, oklab), (value) => value * value * value),
    ),
  );
}

const linearToCones: Matrix3 = [
  [0.412221469470763, 0.5363325372617348, 0.0514459932675022],
  [0.2119034958178252, 0.6806995506452344, 0.1073969535369406],
  [0.0883024591900564, 0.2817188391361215, 0.6299787016738222],
];
const conesToOklab: Matrix3 = [
  [0.210454268309314, 0.7936177747023054, -0.0040720430116193],
  [1.9779985324311684, -2.4285922420485799, 0.450593709617411],
  [0.0259040424655478, 0.7827717124575296, -0.8086757549230774],
];

export function rgbToOklab(rgb: Channels): Channels {
  return multiply(conesToOklab, each(multiply(linearToCones, rgbToLinear(rgb)), cbrt));
}

/** Lightness, chroma and hue as lightness and two axes: Lch to Lab, Oklch to Oklab. */
export function fromPolar([lightness, chroma, hue]: Channels): Channels {
  const { sin, cos } = sinCos(hue);
  return [lightness, chroma * cos, chroma * sin];
}

/** Lightness and two axes as lightness, chroma and hue in degrees. */
export function toPolar([lightness, a, b]: Channels): Channels {
  return [lightness, Math.sqrt(a * a + b * b), positive((atan2(b, a) * 180) / Math.PI, 360)];
}

/** A value brought between 0 and `length` by whole rounds. */
function positive(value: number, length: number): number {
  const rest = value % length;
  return rest < 0 ? rest + length : rest;
}
