import { pow } from '../maths/power.ts';

/** WCAG 2.2's relative luminance of a color with channels from 0 to 255. */
export function relativeLuminance(red: number, green: number, blue: number): number {
  return 0.2126 * linear(red) + 0.7152 * linear(green) + 0.0722 * linear(blue);
}

const linears = Float32Array.from({ length: 256 }, (_, value) => {
  const part = value / 255;
  return part <= 0.04045 ? part / 12.92 : pow((part + 0.055) / 1.055, 2.4);
});
const linear = (value: number): number => linears[Math.round(value)];

/** WCAG 2.2's contrast of two luminances, 1 to 21. */
export function contrast(one: number, other: number): number {
  return (Math.max(one, other) + 0.05) / (Math.min(one, other) + 0.05);
}
