/** The part of the line-breaking package that is used. */
export type Breaker = new (text: string) => { nextBreak(): { readonly position: number } | null };

/** Where a line may be broken: indices into its string, including its end. */
export type LineBreaks = (line: string) => readonly number[];

/** Line breaks by the Unicode Line Breaking Algorithm (UAX 14). */
export function lineBreaksBy(Rules: Breaker): LineBreaks {
  return (line) => {
    const breaker = new Rules(line);
    const places: number[] = [];
    for (let next = breaker.nextBreak(); next !== null; next = breaker.nextBreak()) places.push(next.position);
    return places;
  };
}

/** Words of Latin letters, digits and full stops break after spaces only, so few texts need the algorithm's tables. */
export const breakAtSpaces: LineBreaks = (line) => [
  ...[...line.matchAll(/ +(?=[^ ])/g)].map((spaces) => spaces.index + spaces[0].length),
  ...(line === '' ? [] : [line.length]),
];

/** Whether a text may break at other places than spaces. */
export function breaksElsewhere(text: string): boolean {
  return /[^a-z\d .,:;'\r\n]|(?:^|[ \r\n])[.,:;']/i.test(text);
}
