/** The part of the bidirectional-text package that is used. */
export type BidiFactory = () => {
  getEmbeddingLevels(text: string): Levels;
  getReorderedIndices(text: string, levels: Levels, start: number, end: number): number[];
  getMirroredCharactersMap(text: string, levels: Uint8Array, start: number, end: number): Map<number, string>;
};

/** The embedding level of each letter; even levels run from left to right. */
interface Levels {
  levels: Uint8Array;
  paragraphs: { start: number; end: number; level: number }[];
}

/** A run: a part of a line in one direction. */
export interface DirectedRun {
  readonly text: string;
  readonly rightToLeft: boolean;
}

/** The runs of a line between two places, in visual order from left to right; brackets are mirrored where needed. */
export type DirectedRuns = (start: number, end: number) => readonly DirectedRun[];

/** Finds the runs of a paragraph. */
export type Directions = (paragraph: string) => DirectedRuns;

/** By the Unicode Bidirectional Algorithm (UAX 9). The first letter decides the direction of a paragraph. */
export function directionsBy(factory: BidiFactory): Directions {
  const bidi = factory();
  return (paragraph) => {
    const embedding = bidi.getEmbeddingLevels(paragraph);
    const { levels } = embedding;
    return (start, end) => {
      if (start === end) return [];
      const mirrored = bidi.getMirroredCharactersMap(paragraph, levels, start, end - 1);
      const seen = bidi.getReorderedIndices(paragraph, embedding, start, end - 1).slice(start, end);
      const runs: DirectedRun[] = [];
      for (let i = 0; i < seen.length;) {
        const level = levels[seen[i]];
        const step = level % 2 === 0 ? 1 : -1;
        let next = i + 1;
        while (next < seen.length && seen[next] === seen[next - 1] + step && levels[seen[next]] === level) next++;
        const [from, to] = step === 1 ? [seen[i], seen[next - 1]] : [seen[next - 1], seen[i]];
        let text = '';
        for (let at = from; at <= to; at++) text += mirrored.get(at) ?? paragraph[at];
        runs.push({ text, rightToLeft: step === -1 });
        i = next;
      }
      return runs;
    };
  };
}

/** Whether a text has letters that run from right to left, or characters that control direction. */
export function runsRightToLeft(text: string): boolean {
  return /[\u0590-\u08ff\u200f\u202a-\u202e\u2066-\u2069\ufb1d-\ufdff\ufe70-\ufefc\u{10800}-\u{10fff}\u{1e800}-\u{1efff}]/u.test(text); // prettier-ignore
}
