import papaparse from 'papaparse';

/** One row of a table, by the names of its columns; what reads as a number becomes a number. */
export type TableRow = Readonly<Record<string, string | number>>;

/** What parts the cells of a row: the comma of RFC 4180, and what spreadsheets write where that is a decimal's. */
const delimiters = [',', ';', '\t'] as const;

/**
 * A CSV file's text as rows by the names in its first line, which tell what parts the cells. Throws an Error that names
 * the row at fault. The build packs this file with the package.
 */
export function parseTable(source: string): readonly TableRow[] {
  const [head] = source.split('\n', 1);
  const countIn = (delimiter: string): number => head.split(delimiter).length;
  const delimiter = delimiters.reduce((most, other) => (countIn(other) > countIn(most) ? other : most));
  const [names, ...rows] = papaparse.parse<string[]>(source.replace(/\r?\n$/, ''), { delimiter }).data;
  if (names === undefined || names.join('') === '')
    throw new Error('the table is empty; expected a line of column names');
  const twice = names.find((name, column) => names.findIndex((other) => other.trim() === name.trim()) < column);
  if (twice !== undefined) throw new Error(`the column ${JSON.stringify(twice.trim())} is there twice`);
  const readCell = delimiter === ';' ? withComma : withPoint;
  return rows.flatMap((row, index) => {
    if (row.length === 1 && row[0] === '') return [];
    if (row.length !== names.length)
      throw new Error(`row ${index + 2} has ${row.length} values; the table has ${names.length} columns`);
    return [Object.fromEntries(names.map((name, column) => [name.trim(), readCell(row[column])]))];
  });
}

/** What reads as a number becomes one. */
function withPoint(cell: string): string | number {
  const trimmed = cell.trim();
  return trimmed !== '' && Number.isFinite(Number(trimmed)) ? Number(trimmed) : cell;
}

/** Between semicolons a comma is a decimal's, `2,6`: it is what they are written for. Between tabs it may part thousands. */
function withComma(cell: string): string | number {
  return withPoint(/^\s*[-+]?\d+,\d+\s*$/.test(cell) ? cell.replace(',', '.') : cell);
}
