import type { ColorFunction } from './color-functions.ts';
import type { Channels } from './color-space.ts';

/** The ways round from one hue to another, by the difference of the two (CSS Color 4, 12.4). */
export const hueWays = {
  shorter: (way: number) => (way > 180 ? way - 360 : way < -180 ? way + 360 : way),
  longer: (way: number) => (way > 0 && way < 180 ? way - 360 : way > -180 && way <= 0 ? way + 360 : way),
  increasing: (way: number) => (way < 0 ? way + 360 : way),
  decreasing: (way: number) => (way > 0 ? way - 360 : way),
};
export type HueWay = keyof typeof hueWays;

/** A color in the channels of some space. */
export interface InSpace {
  readonly channels: Channels;
  readonly alpha: number;
}

/**
 * The color a part of the way from one to another in their space: premultiplied, all but a hue, so that what cannot be seen
 * does not color the rest (CSS Color 4, 12.3).
 */
export function interpolate(space: ColorFunction, a: InSpace, b: InSpace, part: number, way: HueWay): InSpace {
  const alpha = between(a.alpha, b.alpha, part);
  const [ofA, ofB] = alpha === 0 ? [1, 1] : [a.alpha / alpha, b.alpha / alpha];
  const channel = (index: number): number =>
    index === space.hue
      ? mixHue(space, a.channels, b.channels, part, way)
      : between(a.channels[index] * ofA, b.channels[index] * ofB, part);
  return { channels: [channel(0), channel(1), channel(2)], alpha };
}

function between(a: number, b: number, part: number): number {
  return a + (b - a) * part;
}

/** A hue a part of the way round; a gray has none and takes that of the other. */
function mixHue({ hue = 0, isGray }: ColorFunction, a: Channels, b: Channels, part: number, way: HueWay): number {
  const from = isGray?.(a) ? b[hue] : a[hue];
  const to = isGray?.(b) ? from : b[hue];
  return from + hueWays[way](to - from) * part;
}
