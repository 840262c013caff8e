/** Numbers from one to another, both of them among them; rounded, so that each can be typed again, to `step` where a dial has one. */
export function spread([from, to]: [number, number], step: number | undefined, count: number): number[] {
  if (count === 1 || from === to) return [from];
  const gap = (to - from) / (count - 1);
  const digits = Math.max(0, 1 - Math.floor(Math.log10(Math.abs(gap))));
  const round = (value: number): number =>
    step === undefined ? Number(value.toFixed(Math.min(digits, 100))) : from + Math.round((value - from) / step) * step;
  const [low, high] = from < to ? [from, to] : [to, from];
  const within = (value: number): number => Math.min(Math.max(value, low), high);
  const values = Array.from({ length: count }, (_, i) => Number(within(round(from + i * gap)).toPrecision(12)));
  return [...new Set(values)];
}
