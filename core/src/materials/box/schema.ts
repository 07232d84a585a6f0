import { hexColour } from '../../colour/index.ts';
import * as say from '../words.ts';
import { z } from '../../measure/index.ts';
import { THREAD_IDS } from '../threads.ts';
import { basketItemSchema } from './basket.ts';

export const BOX_FORMAT = 'junctura-thread-box';
export const BOX_VERSION = 1;
/** More entries than this are in no one's box. */
export const MOST_ENTRIES = 20_000;
export const MOST_CARDS = 40;
export const MOST_ITEMS = 2000;
const MOST_SHADES = 5000;

const text = (most: number) => z.string().max(most);
const id = z.string().min(1).max(200);

/** A shade of thread, kept whole: a person's own card is not there where the file is opened. */
export const shadeSchema = z.strictObject({
  range: id,
  code: z.string().min(1).max(60),
  name: text(200),
  hex: hexColour,
});

const kindId = z.enum(THREAD_IDS, { error: 'no such kind of thread' });

/** Thread that the person owns of one shade and lot. */
export const entrySchema = z.strictObject({
  id,
  shade: shadeSchema,
  thread: kindId,
  /** The dye lot on the band; empty: not known. */
  lot: text(60),
  /** Whole skeins, balls or bobbins. */
  whole: z.number().int().min(0).max(10_000),
  /** What is left of the one begun, metres, and how surely that is known. */
  partM: z.number().min(0).max(10_000),
  plusMinusM: z.number().min(0).max(10_000),
  /** Dyed by hand: no other lot matches it. */
  handDyed: z.boolean(),
  /** Where it is kept. */
  place: text(80),
  /** Of one skein, in the person's own coin; null: not known. */
  price: z.number().min(0).max(100_000).nullable(),
  /** What the person wrote of it. Boxes from before it could be kept have none. */
  note: text(500).default(''),
  /** Metres kept for pieces. */
  reserved: z
    .array(z.strictObject({ piece: id, name: text(200), metres: z.number().positive().max(100_000) }))
    .max(200),
});

/** A person's own shade card: shades that she can buy, read from a file or a photograph. */
export const cardSchema = z.strictObject({
  id,
  name: z.string().min(1).max(80),
  thread: kindId,
  shades: z.array(shadeSchema).max(MOST_SHADES),
});

export const boxSchema = z.strictObject({
  format: z.literal(BOX_FORMAT),
  version: z.literal(BOX_VERSION),
  entries: z.array(entrySchema).max(MOST_ENTRIES),
  cards: z.array(cardSchema).max(MOST_CARDS),
  /** The workbasket: what she owns besides thread. Boxes from before there was one have none. */
  basket: z.array(basketItemSchema).max(MOST_ITEMS).default([]),
});

export type BoxEntry = z.infer<typeof entrySchema>;
export type OwnCard = z.infer<typeof cardSchema>;
export type ThreadBox = z.infer<typeof boxSchema>;

export const EMPTY_BOX: ThreadBox = { format: BOX_FORMAT, version: BOX_VERSION, entries: [], cards: [], basket: [] };

/** An entry of a shade, with nothing else said of it. */
export function newEntry(entry: Pick<BoxEntry, 'id' | 'shade' | 'thread'> & Partial<BoxEntry>): BoxEntry {
  return {
    lot: '',
    whole: 0,
    partM: 0,
    plusMinusM: 0,
    handDyed: false,
    place: '',
    price: null,
    note: '',
    reserved: [],
    ...entry,
  };
}

/**
 * What is wrong with a box, or null. What it shares with one that is known to be right is not looked at again.
 * @returns a sentence that says what to do
 */
export function boxProblem(box: ThreadBox, right: ThreadBox): string | null {
  if (box.entries.length > MOST_ENTRIES) {
    return say.tooManyEntries(MOST_ENTRIES, box.entries.length);
  }
  if (box.cards.length > MOST_CARDS) {
    return say.tooManyCards(MOST_CARDS);
  }
  if (box.basket.length > MOST_ITEMS) {
    return say.tooManyItems(MOST_ITEMS);
  }
  for (const item of box.basket) {
    if (!basketItemSchema.safeParse(item).success)
      return 'This can’t be saved: check its sizes and how many there are.';
  }
  const [entries, cards] = [new Set(right.entries), new Set(right.cards)];
  for (const entry of box.entries) {
    if (entries.has(entry)) continue;
    if (!entrySchema.safeParse(entry).success) return say.badEntry(entry.shade.name);
  }
  for (const card of box.cards) {
    if (cards.has(card)) continue;
    if (card.shades.length > MOST_SHADES) {
      return say.tooManyShades(MOST_SHADES, card.name, card.shades.length);
    }
    if (!cardSchema.safeParse(card).success) return say.badCard(card.name);
  }
  return null;
}
