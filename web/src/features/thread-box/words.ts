import { PICTURE_DAMAGED } from '../../workers/words.ts';
import type { Column } from '@junctura/core/materials';
import { byCount, formatList, formatNumber, plural } from '@junctura/core/measure';

export const inAll = (length: string): string => `${length} in total`;

export const changeAll = (count: number): string => `Change all ${formatNumber(count)}`;

export const changeEntries = (count: number): string => `Change ${plural(count, 'entry', 'entries')}`;

export const putIn = (shade: string): string => `Add ${shade}`;

export const changeEntry = (shade: string): string => `Change ${shade}`;

export const codeAndLength = (code: string, length: string): string => `${code}, ${length} in total`;

export const wholeOnes = (putUp: string): string => (putUp === 'ball' ? 'Whole balls' : 'Whole skeins');

export const giveOrTake = (length: string, plusMinus: string): string => `${length}, give or take ${plusMinus}.`;

export const reservedFor = (length: string, piece: string): string => `${length} for ${piece}`;

export const sortBy = (column: string): string => `Sort by ${column}`;

export const select = (shade: string): string => `Select ${shade}`;

export const exampleIn = (place: string): string => `example, ${place}`;

export const pictureDamaged = (file: string): string => `${file}: ${PICTURE_DAMAGED}`;

export const threadN = (number: number): string => `Thread ${number}`;

export const saveCard = (card: string): string => `Save the shade card ${card}`;

export const nameOfThread = (number: number): string => `Name of thread ${number}`;

export const saveAsCard = (count: number): string => `Save as a card with ${plural(count, 'shade')}`;

export const removeEntries = (count: number): string => `Remove ${plural(count, 'entry', 'entries')}`;

export const examples = (count: number): string =>
  byCount(count, {
    one: 'One thing in the box and basket is an example.',
    other: `${formatNumber(count)} things in the box and basket are examples.`,
  });

export const roundHoop = (size: string): string => `${size}, round`;

export const ovalHoop = (size: string): string => `${size}, oval`;

export const listTooLarge = (file: string, megabytes: number): string =>
  `${file}: the file is too large (${formatNumber(megabytes)} MB); lists up to 12 MB can be read.`;

export const importEntries = (count: number): string => `Import ${plural(count, 'entry', 'entries')}`;

export const importCard = (card: string): string => `Import the shade card ${card}`;

export const scaleShows = (scale: string, grams: number): string => `${scale}: ${formatNumber(grams, 1)} g`;

export const needlesOf = (family: string, size: number, count: number): string =>
  `${family} ${size}, ${plural(count, 'needle')}`;

export const thingAndSize = (thing: string, size: string): string => `${thing}, ${size}`;

export const remove = (thing: string): string => `Remove ${thing}`;

export const nearest = (shade: string, difference: string): string => `${shade}: ${difference}`;

export const entriesAndLength = (entries: number, length: string): string =>
  `${plural(entries, 'entry', 'entries')}, ${length}`;

export const fileProblem = (file: string, problem: string): string => `${file}: ${problem}`;

/** How many rows of a list became what. */
export interface RowCounts {
  readonly rows: number;
  readonly added: number;
  readonly joined: number;
  readonly same: number;
  readonly leftOut: number;
}

const countOf = (count: number, what: string): string[] => (count > 0 ? [`${formatNumber(count)} ${what}`] : []);

export const listRead = ({ rows, added, joined, same, leftOut }: RowCounts): string => {
  const all = [
    ...countOf(added, 'new'),
    ...countOf(joined, 'more of a thread that is there'),
    ...countOf(same, 'there just so'),
    ...countOf(leftOut, 'left out'),
  ];
  return `${plural(rows, 'row')}: ${formatList(all)}.`;
};

export const listAdded = ({ rows, added, joined, same, leftOut }: RowCounts): string => {
  const all = [
    ...countOf(added, 'added to your box'),
    ...countOf(joined, 'joined to what was there'),
    ...countOf(same, 'there already'),
    ...countOf(leftOut, 'left out'),
  ];
  return `${plural(rows, 'row')}: ${formatList(all)}.`;
};

export const rowLeftOut = ({ line, why }: { readonly line: number; readonly why: string }): string =>
  `Line ${line} left out: ${why}.`;

export const shadesRead = (shades: number, leftOut: number): string =>
  leftOut > 0
    ? `${plural(shades, 'shade')} for a shade card; ${plural(leftOut, 'row')} left out.`
    : `${plural(shades, 'shade')} for a shade card.`;

export const importList = (list: string): string => `Import “${list}”`;

export const shadeAndAmount = (shade: string, amount: string | null): string =>
  amount === null ? `${shade}, no amount` : `${shade}, ${amount}`;

export const moreRows = (count: number): string =>
  byCount(count, { one: 'And 1 more row.', other: `And ${formatNumber(count)} more rows.` });

export const lineNumber = (line: number): string => `Line ${line}`;

export const columnIs = (heading: string): string => `“${heading}” is`;

export const BECAME = {
  added: 'new',
  joined: 'joins what is there',
  same: 'there just so',
} as const;

export const skeinsOrMetres = (count: number): string =>
  byCount(count, {
    one: 'In 1 row the skeins and the metres can’t both be right. Go by',
    other: `In ${formatNumber(count)} rows the skeins and the metres can’t both be right. Go by`,
  });

export const COLUMN_NAMES: Readonly<Record<Column, string>> = {
  name: 'Name of the shade',
  code: 'Code',
  colour: 'Colour (hex)',
  l: 'Lab L',
  a: 'Lab a',
  b: 'Lab b',
  range: 'Shade card',
  thread: 'Kind of thread',
  lot: 'Dye lot',
  whole: 'Skeins',
  metres: 'Metres',
  begun: 'Metres left of the opened one',
  place: 'Stored in',
  price: 'Price of one',
  handDyed: 'Dyed by hand',
  note: 'Note',
};

export const shadesAdded = (count: number, card: string): string =>
  byCount(count, {
    one: `1 shade added, on the shade card “${card}”.`,
    other: `${formatNumber(count)} shades added, on the shade card “${card}”.`,
  });

export const backToPiece = (name: string): string => `Back to “${name}”`;

export const addedThreads = (names: readonly string[]): string =>
  byCount(names.length, {
    one: `Added: ${names.at(-1)}.`,
    other: `${formatNumber(names.length)} threads added, ${names.at(-1)} last.`,
  });
