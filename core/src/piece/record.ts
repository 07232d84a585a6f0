import { z } from '../measure/index.ts';
import { FOLDED_STRANDS } from '../materials/index.ts';
import { STITCH_IDS } from '../stitches/index.ts';

/** More than a person notes of one piece in years. */
export const MOST_ENTRIES = 50_000;

const id = z.string().min(1).max(120);
/** What every entry has: an id of its own, and when it was noted, as an ISO time. */
const noted = { id, at: z.iso.datetime() };
/** No piece takes more of one thread, mm. */
const longThread = z.number().positive().max(1e8);

const partDone = z.strictObject({ ...noted, type: z.literal('part-done'), part: id });

/** Thread that a part truly took in one stitch and strand count, beside what is usual for it, mm of needle thread. */
const threadUsed = z.strictObject({
  ...noted,
  type: z.literal('thread-used'),
  part: id,
  colour: id,
  stitch: z.enum(STITCH_IDS),
  strands: z.number().int().min(1).max(FOLDED_STRANDS),
  usualMm: longThread,
  usedMm: longThread,
  /** The person was asked whether so unusual a figure is right, and said yes. */
  sure: z.boolean(),
});

/** Another entry was wrong, and no longer counts. It stays readable. */
const voided = z.strictObject({ ...noted, type: z.literal('voided'), entry: id });

/** One thing that was noted at the hoop. Entries are only ever added: what was wrong is voided by another. */
export const recordEntrySchema = z.discriminatedUnion('type', [partDone, threadUsed, voided]);

/** The record of a piece: a document of its own beside the drawing. It means the same in whatever order its entries come. */
export const recordSchema = z.array(recordEntrySchema).max(MOST_ENTRIES);

export type RecordEntry = z.infer<typeof recordEntrySchema>;
export type PieceRecord = readonly RecordEntry[];
export type ThreadUse = z.infer<typeof threadUsed>;
