/** Numbers from one to another, both of them among them; those between are rounded, so that each can be typed again, to `step` where a dial has one. */
export function spread([from, to]: [number, number], step: number | undefined, count: number): number[] {
  if (count === 1 || from === to) return [from];
  const gap = (to - from) / (count - 1);
  const digits = Math.max(0, 1 - Math.floor(Math.log10(Math.abs(gap))));
  const round = (value: number): number =>
    step === undefined ? Number(value.toFixed(Math.min(digits, 100))) : from + Math.round((value - from) / step) * step;
  const [low, high] = from < to ? [from, to] : [to, from];
  const within = (value: number): number => Math.min(Math.max(value, low), high);
  const between = Array.from({ length: count - 2 }, (_, i) => Number(round(from + (i + 1) * gap).toPrecision(12)));
  // The ends as they are: rounded, one could be beyond what the dial takes.
  return [...new Set([from, ...between.map(within), to])];
}
