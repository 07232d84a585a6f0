import Papa from 'papaparse';
import { hexOfLab, readCssColour } from '../../colour/index.ts';
import { failure, shortened, success, type Outcome } from '../../measure/index.ts';
import { THREAD_KINDS, threadKind } from '../threads.ts';
import { entrySchema, MOST_ENTRIES, newEntry, type BoxEntry } from './schema.ts';
import * as say from '../words.ts';

/** Words by which people head a column; the first is the one that is written. */
const COLUMNS = {
  name: ['name', 'shade', 'colour name', 'color name'],
  code: ['code', 'number', 'no', 'id'],
  colour: ['hex', 'colour', 'color', 'rgb'],
  l: ['l', 'lab l', 'l*'],
  a: ['a', 'lab a', 'a*'],
  b: ['b', 'lab b', 'b*'],
  range: ['range', 'card', 'brand'],
  thread: ['kind', 'thread', 'type'],
  lot: ['lot', 'dye lot', 'batch'],
  whole: ['skeins', 'whole', 'count'],
  metres: ['metres', 'meters', 'm', 'length'],
  place: ['place', 'where', 'box'],
  price: ['price', 'cost'],
  handDyed: ['hand-dyed', 'hand dyed', 'handdyed'],
} as const;
type Column = keyof typeof COLUMNS;

/** What was read of a file, and what was left out of it and why. */
export interface ReadCard {
  readonly entries: readonly BoxEntry[];
  /** Whether the file says how much there is of any shade. */
  readonly hasAmounts: boolean;
  readonly notes: readonly string[];
}

/** A file is named, not its hundred thousand rows. */
const MOST_NOTES = 6;

/**
 * Reads a shade card or the list of a thread box from CSV: a heading, then a shade in each row, with a colour as hex or
 * in CIELAB (D65). Commas, semicolons and tabs are told apart by themselves. Rows that make no sense are left out and named.
 * @param name of the card, where the file has no column for it
 */
export function readCsv(text: string, name: string): Outcome<ReadCard> {
  if (text.includes('\uFFFD')) {
    return failure(
      'the file is not in UTF-8, so some letters can’t be read. Save it as “CSV UTF-8” and import it again.',
    );
  }
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' });
  const [heading, ...rows] = data;
  if (!heading || rows.length === 0) return failure('there are no rows below the headings.');
  const at = columnsOf(heading);
  if (at.code === undefined && at.name === undefined) {
    return failure(
      'no column is headed “code” or “name”: the first row must name the columns, for example name, code, hex, lot, metres.',
    );
  }
  if (at.colour === undefined && (at.l === undefined || at.a === undefined || at.b === undefined)) {
    return failure('no column gives a colour: call one “hex” (such as #2b3a67), or three “L”, “a” and “b”.');
  }
  if (rows.length > MOST_ENTRIES) {
    return failure(say.tooManyRows(rows.length, MOST_ENTRIES));
  }
  const faults = new Map<string, number[]>();
  const seen = new Set<string>();
  const entries: BoxEntry[] = [];
  rows.forEach((row, i) => {
    const cell = (column: Column): string => (at[column] === undefined ? '' : plainCell(row[at[column]] ?? ''));
    const read = readRow(cell, name, i);
    const key = read.ok ? `${read.value.shade.range} ${read.value.shade.code} ${read.value.lot}` : '';
    const fault = !read.ok ? read.problem : seen.has(key) ? 'the code is in the list twice' : null;
    if (fault !== null) faults.set(fault, [...(faults.get(fault) ?? []).slice(0, 3), i + 2]);
    else if (read.ok) {
      seen.add(key);
      entries.push(read.value);
    }
  });
  if (entries.length === 0) {
    return failure(say.noUsableRow([...faults.keys()][0]!));
  }
  const notes = [...faults].slice(0, MOST_NOTES).map(([fault, lines]) => say.rowsLeftOut(fault, lines));
  return success({ entries, hasAmounts: at.metres !== undefined || at.whole !== undefined, notes });
}

/** Cells that a table would reckon with, or take blanks from, are written behind an apostrophe. */
const GUARDED = /^'*[=+\-@\s]|\s$/;

/** What a cell says: without the apostrophe that guards it, or else without blanks round it. */
function plainCell(cell: string): string {
  return cell.startsWith("'") && GUARDED.test(cell.slice(1)) ? cell.slice(1) : cell.trim();
}

function columnsOf(heading: readonly string[]): Partial<Record<Column, number>> {
  const plain = heading.map((title) => title.trim().toLowerCase());
  const found: Partial<Record<Column, number>> = {};
  for (const [column, words] of Object.entries(COLUMNS) as [Column, readonly string[]][]) {
    const at = words.map((word) => plain.indexOf(word)).find((index) => index >= 0);
    if (at !== undefined) found[column] = at;
  }
  return found;
}

function readRow(cell: (column: Column) => string, card: string, row: number): Outcome<BoxEntry> {
  const code = cell('code') || cell('name');
  if (code === '') return failure('without a code or name');
  const hex = colourOf(cell);
  if (hex === null) return failure('without a colour that can be read');
  const thread = kindOf(cell('thread'));
  if (thread === null) return failure(say.unknownThread(shortened(cell('thread'), 30)));
  const numbers = [cell('whole'), cell('metres'), cell('price')].map(numberOf);
  if (numbers.some((value) => value === undefined)) return failure('with an amount or price that is not a number');
  const [whole, metres, price] = numbers as (number | null)[];
  const putUp = threadKind(thread)!.putUpM;
  const skeins = Math.floor(whole ?? (metres ?? 0) / putUp);
  const partM =
    metres === null || metres === undefined
      ? ((whole ?? 0) - skeins) * putUp
      : whole === null
        ? metres - skeins * putUp
        : metres;
  const entry = newEntry({
    id: `read-${row}`,
    shade: {
      range: shortened(cell('range') || card, 80),
      code: shortened(code, 60),
      name: shortened(cell('name') || code, 200),
      hex,
    },
    thread,
    lot: shortened(cell('lot'), 60),
    whole: skeins,
    partM,
    place: shortened(cell('place'), 80),
    price: price ?? null,
    handDyed: /^(yes|y|1|true|x)$/i.test(cell('handDyed')),
  });
  // What is read must be what is kept: one set of bounds for both.
  const checked = entrySchema.safeParse(entry);
  if (checked.success) return success(checked.data);
  const field = String(checked.error.issues[0]?.path[0]);
  return failure(FIELD_FAULTS[field] ?? say.unusableField(field));
}

/** What is said of a figure that no one's box has. */
const FIELD_FAULTS: Readonly<Record<string, string>> = {
  whole: 'with a number of skeins below 0 or above 10,000',
  partM: 'with metres below 0 or above 10,000',
  price: 'with a price below 0 or above 100,000',
};

function colourOf(cell: (column: Column) => string): string | null {
  const text = cell('colour');
  if (text !== '') return readCssColour(/^[0-9a-f]{6}$/i.test(text) ? `#${text}` : text)?.hex ?? null;
  const [l, a, b] = [cell('l'), cell('a'), cell('b')].map(numberOf);
  if (l == null || a == null || b == null || l < 0 || l > 100 || Math.abs(a) > 150 || Math.abs(b) > 150) return null;
  return hexOfLab(l, a, b);
}

function kindOf(text: string): string | null {
  if (text === '') return 'stranded-cotton';
  const plain = text.toLowerCase();
  return THREAD_KINDS.find(({ id, name }) => id === plain || name.toLowerCase() === plain)?.id ?? null;
}

/** A number as people type it; null: nothing there; undefined: no number, or less than nought. */
function numberOf(text: string): number | null | undefined {
  if (text === '') return null;
  const value = Number(text.replace(',', '.').replace(/[^\d.eE+-]/g, ''));
  return /\d/.test(text) && Number.isFinite(value) ? value : undefined;
}

/** A thread box as CSV, to be opened by any table and read again. */
export function writeCsv(entries: readonly BoxEntry[]): string {
  const rows = entries.map(({ shade, thread, lot, whole, partM, place, price, handDyed }) => ({
    name: shade.name,
    code: shade.code,
    hex: shade.hex,
    range: shade.range,
    kind: threadKind(thread)!.name,
    lot,
    skeins: whole,
    metres: Math.round(partM * 100) / 100,
    place,
    price: price ?? '',
    'hand-dyed': handDyed ? 'yes' : '',
  }));
  return `${Papa.unparse(rows, { escapeFormulae: GUARDED })}\n`;
}
