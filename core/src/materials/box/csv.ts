import Papa from 'papaparse';
import { deltaE, hexOfLab, labOf, readCssColour } from '../../colour/index.ts';
import { failure, shortened, success, type Outcome } from '../../measure/index.ts';
import { RANGES, type ShadeRef, type ThreadRange } from '../ranges.ts';
import { DEFAULT_THREAD, THREAD_KINDS, threadKind, type ThreadId } from '../threads.ts';
import * as say from '../words.ts';
import { inSkeins } from './amounts.ts';
import { readAmount, readPrice, type Amount } from './list/amount.ts';
import { COLUMNS, findColumns, type Column, type MatchedColumns } from './list/columns.ts';
import { readTable, type TableRow } from './list/table.ts';
import { entrySchema, MOST_ENTRIES, newEntry, type BoxEntry } from './schema.ts';

/** A row of a list that was read. */
export interface ListRow {
  readonly line: number;
  readonly entry: BoxEntry;
  /** What could not be read of it, and is left open. */
  readonly notes: readonly string[];
  /** Skeins and metres that can't both be right: the entry goes by the skeins. */
  readonly doubt: { readonly skeins: number; readonly metres: number } | null;
}

/** A row that can't be used, and why. */
export interface LeftOutRow {
  readonly line: number;
  readonly text: string;
  readonly why: string;
}

/** All that was read of a list: every row is among `rows` or among `leftOut`. */
export interface ReadList {
  readonly rows: readonly ListRow[];
  readonly leftOut: readonly LeftOutRow[];
  /** Whether the file says how much there is of any shade. */
  readonly hasAmounts: boolean;
  /** Headings of columns that are not known. */
  readonly unknown: readonly string[];
}

/** What is known when a list is read. */
export interface ListWays {
  /** The name of the card, where the file has no column for it. */
  readonly name: string;
  /** The cards that are known: a row with card and code is a shade of one of them. */
  readonly ranges?: readonly ThreadRange[];
  /** What the person said of columns. */
  readonly matched?: MatchedColumns;
}

/**
 * Reads a shade card or the list of a thread box: a heading, then a shade in each row, with a card and code that are known, or a colour as hex or in
 * CIELAB (D65). Separators, line ends and quotes are as people's programs write them. No row is passed over without a word.
 */
export function readCsv(text: string, { name, ranges = RANGES, matched = {} }: ListWays): Outcome<ReadList> {
  if (text.includes('\uFFFD')) {
    return failure(
      'the file is not in UTF-8, so some letters can’t be read. Save it as “CSV UTF-8” and import it again.',
    );
  }
  const { headings, rows } = readTable(text);
  if (rows.length === 0) return failure('there are no rows below the headings.');
  const { at, unknown } = findColumns(headings, matched);
  if (at.code === undefined && at.name === undefined) {
    return failure(
      'no column is headed “code” or “name”: the first row must name the columns, for example name, code, hex, lot, metres.',
    );
  }
  const hasColour = at.colour !== undefined || (at.l !== undefined && at.a !== undefined && at.b !== undefined);
  if (!hasColour && at.range === undefined) {
    return failure(
      'no column gives a colour: call one “hex” (such as #2b3a67), or three “L”, “a” and “b”, or one “card” for a shade card that is known here.',
    );
  }
  if (rows.length > MOST_ENTRIES) return failure(say.tooManyRows(rows.length, MOST_ENTRIES));
  const known = knownShades(ranges);
  const hasAmounts = at.metres !== undefined || at.whole !== undefined || at.begun !== undefined;
  const read: ListRow[] = [];
  const leftOut: LeftOutRow[] = [];
  const seen = new Set<string>();
  for (const row of rows) {
    const cell = (column: Column): string => (at[column] === undefined ? '' : plainCell(row.cells[at[column]] ?? ''));
    const found = row.isTorn ? failure(say.TORN_ROW) : readRow(cell, row, name, known);
    if (!found.ok) leftOut.push({ line: row.line, text: textOfRow(row), why: found.problem });
    else {
      const { range, code } = found.value.entry.shade;
      const key = `${range}\n${code}`;
      // A card has each shade once; of thread that is owned there may be more in another place.
      if (!hasAmounts && seen.has(key)) leftOut.push({ line: row.line, text: textOfRow(row), why: say.TWICE_IN_LIST });
      else read.push(found.value);
      seen.add(key);
    }
  }
  if (read.length === 0) return failure(say.noUsableRow(leftOut[0]!.why));
  return success({ rows: read, leftOut, hasAmounts, unknown });
}

/** As much of a row as tells which it is. */
function textOfRow({ cells }: TableRow): string {
  return shortened(
    cells
      .map((cell) => cell.trim())
      .filter((cell) => cell !== '')
      .slice(0, 3)
      .join(', '),
    60,
  );
}

/** Cells that a table would reckon with, or take blanks from, are written behind an apostrophe. */
const GUARDED = /^'*[=+\-@\s]|\s$/;

/** What a cell says: without the apostrophe that guards it, or else without blanks round it. */
function plainCell(cell: string): string {
  return cell.startsWith("'") && GUARDED.test(cell.slice(1)) ? cell.slice(1) : cell.trim();
}

interface KnownShade {
  readonly shade: ShadeRef;
  readonly thread: ThreadId;
}

/** Shades by the name or id of their card and their code, as people type them. */
function knownShades(ranges: readonly ThreadRange[]): ReadonlyMap<string, KnownShade> {
  return new Map(
    ranges.flatMap(({ id, name, thread, shades }) =>
      shades.flatMap(({ range, code, name: called, hex }) =>
        [id, name].map((card): [string, KnownShade] => [
          shadeKey(card, code),
          { shade: { range, code, name: called, hex }, thread },
        ]),
      ),
    ),
  );
}

function shadeKey(card: string, code: string): string {
  return `${card.trim().toLowerCase()}\n${code.trim().toLowerCase()}`;
}

/** A colour in a list that differs more than this from the card's is told of. */
const CLOSE_ENOUGH = 6;

function readRow(
  cell: (column: Column) => string,
  { line }: TableRow,
  card: string,
  known: ReadonlyMap<string, KnownShade>,
): Outcome<ListRow> {
  const code = cell('code') || cell('name');
  if (code === '') return failure('without a code or name');
  const notes: string[] = [];
  const hex = colourOf(cell);
  const found = known.get(shadeKey(cell('range'), code));
  if (hex === null && !found) {
    const isOnCard = cell('colour') === '' && cell('range') !== '' && cell('code') !== '';
    return failure(
      isOnCard ? say.notOnCard(shortened(code, 30), shortened(cell('range'), 30)) : 'without a colour that can be read',
    );
  }
  const thread = cell('thread') === '' ? (found?.thread ?? DEFAULT_THREAD) : kindOf(cell('thread'));
  if (thread === null) return failure(say.unknownThread(shortened(cell('thread'), 30)));
  if (found && hex !== null && deltaE(labOf(hex), labOf(found.shade.hex)) > CLOSE_ENOUGH) notes.push(say.OTHER_COLOUR);
  const price = readPrice(cell('price'));
  if (price === undefined) notes.push(say.priceLeftOpen(shortened(cell('price'), 20)));
  const amount = amountOf(cell, threadKind(thread).putUpM, notes);
  const entry = newEntry({
    id: `read-${line}`,
    shade: {
      range: found?.shade.range ?? shortened(cell('range') || card, 80),
      code: found?.shade.code ?? shortened(code, 60),
      name: shortened(cell('name') || (found?.shade.name ?? code), 200),
      hex: found?.shade.hex ?? hex!,
    },
    thread,
    lot: shortened(cell('lot'), 60),
    whole: amount.whole,
    partM: amount.partM,
    place: shortened(cell('place'), 80),
    price: price ?? null,
    handDyed: /^(yes|y|1|true|x)$/i.test(cell('handDyed')),
    note: shortened(cell('note'), 500),
  });
  // What is read must be what is kept: one set of bounds for both.
  const checked = entrySchema.safeParse(entry);
  if (checked.success) return success({ line, entry: checked.data, notes, doubt: amount.doubt });
  const field = String(checked.error.issues[0]?.path[0]);
  return failure(FIELD_FAULTS[field] ?? say.unusableField(field));
}

/** What is said of a figure that no one's box has. */
const FIELD_FAULTS: Readonly<Record<string, string>> = {
  whole: 'with a number of skeins below 0 or above 10,000',
  partM: 'with metres below 0 or above 10,000',
  price: 'with a price below 0 or above 100,000',
};

/** Skeins and metres that differ by less than this share of a skein say the same. */
const SAME_SHARE = 0.05;

/**
 * How much a row says there is. What can't be read for sure is left open and noted.
 * @param putUpM metres of a whole skein
 */
function amountOf(
  cell: (column: Column) => string,
  putUpM: number,
  notes: string[],
): Pick<BoxEntry, 'whole' | 'partM'> & Pick<ListRow, 'doubt'> {
  const [counted, measured, begun] = (['whole', 'metres', 'begun'] as const).map((column): Amount | null => {
    const read = readAmount(cell(column), column === 'whole' ? 'skeins' : 'metres');
    if (read === undefined) notes.push(say.amountLeftOpen(shortened(cell(column), 20)));
    return read ?? null;
  });
  if (begun?.metres != null) {
    const { whole, partM } = inSkeins((counted?.skeins ?? 0) * putUpM, putUpM);
    return { whole, partM: partM + begun.metres, doubt: null };
  }
  const skeins = counted?.skeins ?? measured?.skeins ?? null;
  const metres = measured?.metres ?? counted?.metres ?? null;
  if (metres === null) return { ...inSkeins((skeins ?? 0) * putUpM, putUpM), doubt: null };
  if (skeins === null || skeins === 0) return { ...inSkeins(metres, putUpM), doubt: null };
  if (Math.abs(skeins * putUpM - metres) <= SAME_SHARE * putUpM)
    return { ...inSkeins(skeins * putUpM, putUpM), doubt: null };
  // Less than a skein, beside whole ones, is what is left of the one begun.
  if (Number.isInteger(skeins) && metres < putUpM) return { whole: skeins, partM: metres, doubt: null };
  return { ...inSkeins(skeins * putUpM, putUpM), doubt: { skeins, metres } };
}

function colourOf(cell: (column: Column) => string): string | null {
  const text = cell('colour');
  if (text !== '') return readCssColour(/^[0-9a-f]{6}$/i.test(text) ? `#${text}` : text)?.hex ?? null;
  const [l, a, b] = (['l', 'a', 'b'] as const).map((column) => coordinateOf(cell(column)));
  if (l == null || a == null || b == null || l < 0 || l > 100 || Math.abs(a) > 150 || Math.abs(b) > 150) return null;
  return hexOfLab(l, a, b);
}

/** A coordinate of a colour, with a decimal point or comma; null: none. */
function coordinateOf(text: string): number | null {
  return /^[-−]?\d+([.,]\d+)?$/.test(text) ? Number(text.replace(',', '.').replace('−', '-')) : null;
}

function kindOf(text: string): ThreadId | null {
  const plain = text.toLowerCase();
  return THREAD_KINDS.find(({ id, name }) => id === plain || name.toLowerCase() === plain)?.id ?? null;
}

/** A thread box as CSV, to be opened by any table and read again. */
export function writeCsv(entries: readonly BoxEntry[]): string {
  const rows = entries.map(({ shade, thread, lot, whole, partM, place, price, handDyed, note }) => {
    const says: Readonly<Partial<Record<Column, string | number>>> = {
      name: shade.name,
      code: shade.code,
      colour: shade.hex,
      range: shade.range,
      thread: threadKind(thread).name,
      lot,
      whole,
      begun: Math.round(partM * 100) / 100,
      place,
      price: price ?? '',
      handDyed: handDyed ? 'yes' : '',
      note,
    };
    return Object.fromEntries(Object.entries(says).map(([column, cell]) => [COLUMNS[column as Column][0], cell]));
  });
  return `${Papa.unparse(rows, { escapeFormulae: GUARDED })}\n`;
}
