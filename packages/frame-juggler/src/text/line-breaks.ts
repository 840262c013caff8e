/** What is asked of the package that tells where lines break. */
export type Breaker = new (text: string) => { nextBreak(): { readonly position: number } | null };

/** Where a line may be broken: places in its string, its end among them. */
export type LineBreaks = (line: string) => readonly number[];

/** Where the Unicode Line Breaking Algorithm (UAX 14) has a line broken. */
export function lineBreaksBy(Rules: Breaker): LineBreaks {
  return (line) => {
    const breaker = new Rules(line);
    const places: number[] = [];
    for (let next = breaker.nextBreak(); next !== null; next = breaker.nextBreak()) places.push(next.position);
    return places;
  };
}

/** Words of Latin letters, digits and full stops are broken behind spaces, so few texts need the algorithm's tables. */
export const breakAtSpaces: LineBreaks = (line) => [
  ...[...line.matchAll(/ +(?=[^ ])/g)].map((spaces) => spaces.index + spaces[0].length),
  ...(line === '' ? [] : [line.length]),
];

/** Whether a text breaks elsewhere than at spaces. */
export function breaksElsewhere(text: string): boolean {
  return /[^a-z\d .,:;'\r\n]|(?:^|[ \r\n])[.,:;']/i.test(text);
}
