import papaparse from 'papaparse';

/** One row of a table, by the names of its columns; what reads as a number becomes a number. */
export type TableRow = Readonly<Record<string, string | number>>;

/**
 * A CSV file's text as rows by the names in its first line. Throws an Error that names the row at fault. The build packs
 * this file with the package.
 */
export function parseTable(source: string): readonly TableRow[] {
  const [names, ...rows] = papaparse.parse<string[]>(source.replace(/\r?\n$/, ''), { delimiter: ',' }).data;
  if (names === undefined || names.join('') === '')
    throw new Error('the table is empty; expected a line of column names');
  const twice = names.find((name, column) => names.findIndex((other) => other.trim() === name.trim()) < column);
  if (twice !== undefined) throw new Error(`the column ${JSON.stringify(twice.trim())} is there twice`);
  return rows
    .filter((row) => row.length > 1 || row[0] !== '')
    .map((row, index) => {
      if (row.length !== names.length)
        throw new Error(`row ${index + 2} has ${row.length} values; the table has ${names.length} columns`);
      return Object.fromEntries(names.map((name, column) => [name.trim(), readCell(row[column])]));
    });
}

function readCell(cell: string): string | number {
  const trimmed = cell.trim();
  return trimmed !== '' && Number.isFinite(Number(trimmed)) ? Number(trimmed) : cell;
}
