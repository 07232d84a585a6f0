import Papa from 'papaparse';

/** A table as it was read: its headings, and its rows with the line in which each begins. */
export interface Table {
  readonly headings: readonly string[];
  readonly rows: readonly TableRow[];
}

export interface TableRow {
  /** From 1, as a text editor counts. */
  readonly line: number;
  readonly cells: readonly string[];
  /** Whether it has more cells than there are headings: its quotes or separators are not what they seem. */
  readonly isTorn: boolean;
}

/** A cell of more lines than this is none: its quote was never closed. */
const MOST_LINES = 20;
const SEPARATORS = [',', ';', '\t', '|'] as const;

/**
 * A table in which separators, line ends and quotes are as people's programs and hands write them. A row is what stands in one line; a cell in
 * quotes can go on over several, where that makes a whole row. Quotes that are no such quotes, as in a nickname, are signs like any others.
 */
export function readTable(text: string): Table {
  const lines = text
    .replace(/^\uFEFF/, '')
    .replace(/\r\n?/g, '\n')
    .split('\n');
  const first = lines.findIndex((line) => line.trim() !== '');
  const separator = separatorOf(lines[first] ?? '');
  const headings = cellsOf(lines[first] ?? '', separator) ?? asTheyStand(lines[first] ?? '', separator);
  const rows: TableRow[] = [];
  for (let i = first + 1; i < lines.length;) {
    const { cells, count } = rowFrom(lines, i, separator, headings.length);
    if (cells.some((cell) => cell.trim() !== '')) {
      const isTorn = cells.slice(headings.length).some((cell) => cell.trim() !== '');
      rows.push({ line: i + 1, cells, isTorn });
    }
    i += count;
  }
  return { headings, rows };
}

/** The separator that makes the most cells of the heading. */
function separatorOf(heading: string): string {
  const counts = SEPARATORS.map((separator) => (cellsOf(heading, separator) ?? heading.split(separator)).length);
  return SEPARATORS[counts.indexOf(Math.max(...counts))]!;
}

/** The row that begins in a line, and the number of lines that it takes. */
function rowFrom(
  lines: readonly string[],
  from: number,
  separator: string,
  most: number,
): { cells: readonly string[]; count: number } {
  const line = lines[from]!;
  const whole = cellsOf(line, separator);
  if (whole) return { cells: whole, count: 1 };
  for (let count = 2; count <= MOST_LINES && from + count <= lines.length; count++) {
    const cells = cellsOf(lines.slice(from, from + count).join('\n'), separator);
    if (cells && cells.length <= most) return { cells, count };
  }
  return { cells: asTheyStand(line, separator), count: 1 };
}

/** The cells of a row whose quotes are as they should be; null where they are not. */
function cellsOf(text: string, separator: string): string[] | null {
  if (!text.includes('"')) return text.split(separator);
  const { data, errors } = Papa.parse<string[]>(text, { delimiter: separator, newline: '\n' });
  const isOneRow = data.length === 1 && !errors.some(({ type }) => type === 'Quotes');
  // A quote within a cell that does not begin with one is a sign.
  return isOneRow ? data[0]! : null;
}

/** Cells of a row with quotes that are signs: a cell is in quotes only where one closes right before the next separator. */
function asTheyStand(line: string, separator: string): string[] {
  const cells: string[] = [];
  for (let at = 0; at <= line.length;) {
    const quoted = /^\s*"((?:[^"]|"")*)"\s*$/.exec(line.slice(at, endOfQuoted(line, at, separator)));
    const end = quoted ? endOfQuoted(line, at, separator) : endOf(line, at, separator);
    cells.push(quoted ? quoted[1]!.replaceAll('""', '"') : line.slice(at, end));
    at = end + separator.length;
  }
  return cells;
}

function endOf(line: string, from: number, separator: string): number {
  const end = line.indexOf(separator, from);
  return end < 0 ? line.length : end;
}

/** Where a cell ends if it is in quotes: behind the first quote that is not doubled. */
function endOfQuoted(line: string, from: number, separator: string): number {
  let at = line.indexOf('"', from);
  do {
    at = line.indexOf('"', at + 1);
    if (at < 0) return endOf(line, from, separator);
    if (line[at + 1] !== '"') return endOf(line, at, separator);
    at++;
  } while (at < line.length);
  return line.length;
}
