/*
 * Tables for a terminal, in columns of letters.
 */

/** A column: its heading, and whether its cells stand at its right edge. */
export interface TableColumn {
  readonly title: string;
  readonly right?: boolean;
  /** It may be cut where the table is too wide; the first such columns are cut last. */
  readonly cut?: boolean;
}

/** A row of cells, or a line of its own across the table. */
export type TableRow = readonly string[] | string;

const gap = '  ';
/** The least a column is cut to. */
const least = 8;

/** A table as lines of text, no wider than `width` where its columns that may be cut allow that. */
export function tableLines(columns: readonly TableColumn[], rows: readonly TableRow[], width: number): string[] {
  const cells = rows.filter((row) => typeof row !== 'string');
  const widths = columns.map(({ title }, i) =>
    cells.reduce((most, row) => Math.max(most, row[i].length), title.length),
  );
  let over = widths.reduce((sum, one) => sum + one, gap.length * (columns.length - 1)) - width;
  for (let i = columns.length - 1; i >= 0 && over > 0; i--) {
    if (columns[i].cut !== true) continue;
    const cut = Math.min(over, Math.max(0, widths[i] - least));
    widths[i] -= cut;
    over -= cut;
  }
  const line = (row: readonly string[]): string =>
    row
      .map((cell, i) => {
        const text = clip(cell, widths[i]);
        return columns[i].right === true ? text.padStart(widths[i]) : text.padEnd(widths[i]);
      })
      .join(gap)
      .trimEnd();
  return [
    line(columns.map(({ title }) => title)),
    ...rows.map((row) => (typeof row === 'string' ? clip(row, width) : line(row))),
  ];
}

/** A text no longer than `length`, with a sign where something is left out. */
export function clip(text: string, length: number): string {
  return text.length <= length ? text : `${text.slice(0, Math.max(0, length - 1))}…`;
}

/** A text in lines no longer than `width`, broken between words. */
export function wrapLines(text: string, width: number, indent = ''): string[] {
  const lines: string[] = [];
  let line = indent;
  for (const word of text.split(' ')) {
    if (line.length > indent.length && line.length + 1 + word.length > width) {
      lines.push(line);
      line = indent;
    }
    line += (line.length > indent.length ? ' ' : '') + word;
  }
  return [...lines, line];
}
