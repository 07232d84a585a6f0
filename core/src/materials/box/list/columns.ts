/** What a column can say, with the words by which people head it; the first is the one that is written. */
export const COLUMNS = {
  name: ['name', 'shade', 'colour name', 'color name'],
  code: ['code', 'number', 'no', 'id'],
  colour: ['hex', 'colour', 'color', 'rgb'],
  l: ['l', 'lab l', 'l*'],
  a: ['a', 'lab a', 'a*'],
  b: ['b', 'lab b', 'b*'],
  range: ['range', 'card', 'brand', 'shade card'],
  thread: ['kind', 'thread', 'type'],
  lot: ['lot', 'dye lot', 'batch'],
  whole: ['skeins', 'whole', 'count'],
  metres: ['metres', 'meters', 'm', 'length'],
  begun: ['metres begun', 'begun', 'metres left', 'remainder'],
  place: ['place', 'where', 'box'],
  price: ['price', 'cost'],
  handDyed: ['hand-dyed', 'hand dyed', 'handdyed'],
  note: ['note', 'notes', 'comment', 'comments', 'remarks'],
} as const;
export type Column = keyof typeof COLUMNS;

/** What the person said of headings: which column each is; null: it is left out. */
export type MatchedColumns = Readonly<Record<string, Column | null>>;

export interface FoundColumns {
  /** The number of each column that was found, from 0. */
  readonly at: Readonly<Partial<Record<Column, number>>>;
  /** Headings that are not recognised and that the person has not matched to a column yet. */
  readonly unknown: readonly string[];
}

export function findColumns(headings: readonly string[], matched: MatchedColumns): FoundColumns {
  const saidOf = (heading: string): Column | null | undefined =>
    Object.hasOwn(matched, heading.trim()) ? matched[heading.trim()] : undefined;
  const plain = headings.map((title) => title.trim().toLowerCase());
  const at: Partial<Record<Column, number>> = {};
  headings.forEach((heading, i) => {
    const column = saidOf(heading);
    if (column) at[column] = i;
  });
  for (const [column, words] of Object.entries(COLUMNS) as [Column, readonly string[]][]) {
    const found = words.map((word) => plain.indexOf(word)).find((index) => index >= 0);
    if (found !== undefined && saidOf(headings[found]!) === undefined) at[column] ??= found;
  }
  const known = new Set(Object.values(at));
  const unknown = headings
    .map((heading) => heading.trim())
    .filter((heading, i) => heading !== '' && !known.has(i) && saidOf(heading) === undefined);
  return { at, unknown };
}
