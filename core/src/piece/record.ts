import { z } from '../measure/index.ts';
import { FOLDED_STRANDS } from '../materials/index.ts';
import { STITCH_IDS } from '../stitches/index.ts';

/** More than a person notes of one piece in years. */
export const MOST_ENTRIES = 50_000;

const id = z.string().min(1).max(120);
const count = z.number().int().min(0).max(1000);
/** The latest instant that JavaScript knows, ms since 1970. */
const LATEST_MS = 8.64e15;
/**
 * What every entry has: an id of its own, and when it was noted, as an ISO time. Where the clock of its device stood before what it follows, `order`
 * says where it stands: right after the entries of that instant, by a count.
 */
const noted = {
  id,
  at: z.iso.datetime(),
  order: z
    .strictObject({
      ms: z.number().int().min(-LATEST_MS).max(LATEST_MS),
      n: z.number().int().min(0).max(Number.MAX_SAFE_INTEGER),
    })
    .optional(),
};
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

/** The key of a step in the order of work: part, layer, shade, position. */
const stepKey = z.string().min(1).max(160);
const share = z.number().min(0).max(1);
const text = z.string().max(2000);

/** A sitting begins, with the needles and pins that are laid out; null: not counted. */
const sittingBegun = z.strictObject({ ...noted, type: z.literal('sitting-begun'), needles: count.nullable() });
/** It ends, with those that are counted in again. */
const sittingEnded = z.strictObject({ ...noted, type: z.literal('sitting-ended'), needles: count.nullable() });
const stepDone = z.strictObject({ ...noted, type: z.literal('step-done'), step: stepKey });
/** How much of a step is worked in all. */
const portionDone = z.strictObject({ ...noted, type: z.literal('portion-done'), step: stepKey, share });
/** A step is left for later. */
const stepLater = z.strictObject({ ...noted, type: z.literal('step-later'), step: stepKey });
/** All of a step was taken out again. */
const unpicked = z.strictObject({ ...noted, type: z.literal('unpicked'), step: stepKey });
/** A new length is on the needle. */
const lengthTaken = z.strictObject({
  ...noted,
  type: z.literal('length-taken'),
  colour: id,
  strands: z.number().int().min(1).max(FOLDED_STRANDS),
});
/** Something to look at again, and that it was looked at. */
const lookAgain = z.strictObject({ ...noted, type: z.literal('look-again'), step: stepKey, text });
const lookedAt = z.strictObject({ ...noted, type: z.literal('looked-at'), entry: id });
/** A long time without a tap was spent stitching, or away. */
const longGap = z.strictObject({ ...noted, type: z.literal('long-gap'), stitched: z.boolean(), before: id });
const hoopChange = z.strictObject({
  ...noted,
  type: z.enum(['cloth-mounted', 'cloth-taken-off', 'mark-redrawn', 'break-taken']),
});
const note = z.strictObject({ ...noted, type: z.literal('note'), text });
/** A photograph was taken; it lies in the browser that took it. */
const photographed = z.strictObject({ ...noted, type: z.literal('photographed'), photo: id });

/** A scrap is laid and held, by the id of its part. */
const scrapLaid = z.strictObject({ ...noted, type: z.literal('scrap-laid'), scrap: id });

/** Something of the finishing is done, by its name; and the piece is ended, with a note to oneself. */
const finishDone = z.strictObject({ ...noted, type: z.literal('finish-done'), act: z.string().min(1).max(60) });
const pieceEnded = z.strictObject({ ...noted, type: z.literal('piece-ended'), text });

/** Another entry was wrong, and no longer counts. It stays readable. */
const voided = z.strictObject({ ...noted, type: z.literal('voided'), entry: id });

/** One thing that was noted at the hoop. Entries are only ever added: what was wrong is voided by another. */
export const recordEntrySchema = z.discriminatedUnion('type', [
  partDone,
  threadUsed,
  sittingBegun,
  sittingEnded,
  stepDone,
  portionDone,
  stepLater,
  unpicked,
  lengthTaken,
  lookAgain,
  lookedAt,
  longGap,
  hoopChange,
  note,
  photographed,
  scrapLaid,
  finishDone,
  pieceEnded,
  voided,
]);

/** The record of a piece: a document of its own beside the drawing. It means the same in whatever order its entries come. */
export const recordSchema = z.array(recordEntrySchema).max(MOST_ENTRIES);

export type RecordEntry = z.infer<typeof recordEntrySchema>;
export type PieceRecord = readonly RecordEntry[];
export type ThreadUse = z.infer<typeof threadUsed>;
