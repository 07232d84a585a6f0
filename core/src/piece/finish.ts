import { z } from '../measure/index.ts';
import { CLOTH_IDS } from '../materials/index.ts';

/** What a piece can end as. */
export const ENDS = [
  'framed',
  'board',
  'patch',
  'ornament',
  'card',
  'cushion',
  'garment',
  'whitework',
  'hemmed',
] as const;
export type End = (typeof ENDS)[number];

const mm = (least: number, most: number) => z.number().min(least).max(most);
const id = z.string().min(1).max(120);

/** Ranges of what can be set, mm; the fields read them, too. */
export const FINISH_RANGES = {
  marginMm: { min: 0, max: 300 },
  borderMm: { min: 3, max: 15 },
  cornerMm: { min: 3, max: 40 },
  seamMm: { min: 3, max: 30 },
  openingMm: { min: 15, max: 200 },
  sizeMm: { min: 20, max: 2000 },
  scallopMm: { min: 8, max: 80 },
  fringeMm: { min: 10, max: 200 },
  rowsIn10Cm: { min: 8, max: 80 },
  stitchesIn10Cm: { min: 5, max: 60 },
} as const;
const ranged = (key: keyof typeof FINISH_RANGES): z.ZodNumber => mm(FINISH_RANGES[key].min, FINISH_RANGES[key].max);

/** How a piece is finished. Nothing of it changes a stitch of the design. */
export const finishSchema = z.strictObject({
  /** What it ends as; null: as what it is for says. */
  end: z.enum(ENDS).nullable(),
  /** Room between the design and the edge, mm; null: the usual for the end. */
  marginMm: ranged('marginMm').nullable(),
  /** The border of a patch, its stitch and colour; null: the colour of which most is stitched. */
  borderMm: ranged('borderMm'),
  /** Bays of a patch are no tighter than this: how far its outline follows the design. */
  cornerMm: ranged('cornerMm'),
  edge: z.enum(['overcast', 'buttonhole']),
  edgeColour: id.nullable(),
  /** Whether the islands of a patch are bridged or become patches of their own; null: not yet asked. */
  islands: z.enum(['bridge', 'apart']).nullable(),
  /** How what is behind the work is held; null: as is usual for the cloth. */
  backing: z.enum(['sewn', 'fusible']).nullable(),
  /** Whether the edge of a patch is worked before it is cut out, or whipped over the raw edge afterwards. */
  edgeOrder: z.enum(['before-cutting', 'after-cutting']),
  /** How a patch gets onto its cloth. */
  attached: z.enum(['sewn', 'ironed']),
  /** The cloth that a patch is sewn onto. */
  onto: z.enum(CLOTH_IDS, { error: 'no such cloth' }),
  /** The shape of an ornament or patch; null: a drawn line to sew along, where there is one, else a disc or the design’s own outline. */
  shape: z.enum(['disc', 'heart', 'drop', 'outline', 'drawn']).nullable(),
  seamMm: ranged('seamMm').nullable(),
  openingMm: ranged('openingMm'),
  /** Across and upright, as finished: the folded card, the panel, the cloth; null: as the design asks for. */
  sizeMm: z.tuple([ranged('sizeMm'), ranged('sizeMm')]).nullable(),
  cardFace: z.enum(['window', 'whole']),
  /** What closes the back of a hoop. */
  disc: z.enum(['felt', 'card', 'none']),
  /** Whether the piece stays in the hoop that it was stitched in, or is mounted again in a ring that was dressed. */
  mounting: z.enum(['again', 'left-in']),
  /** Whether the cloth behind a hoop is trimmed before it is gathered, or after. */
  trimmed: z.enum(['before', 'after']),
  /** Whether it is pinned out damp: where the mark or the cloth asks for it, always, or never. */
  stretching: z.enum(['as-needed', 'always', 'never']),
  /** A weak gathering thread is taken double. */
  doubled: z.boolean(),
  /** What a cloth with a scalloped edge is cut to. */
  clothShape: z.enum(['rectangle', 'round', 'oval']),
  scallopMm: ranged('scallopMm'),
  /** Whether a knot is worked inside each scallop. */
  knotted: z.boolean(),
  fringe: z.enum(['none', 'bought', 'looped', 'knitted']),
  fringeMm: ranged('fringeMm'),
  /** The person's own count of knitted rows in 10 cm. */
  rowsIn10Cm: ranged('rowsIn10Cm'),
  /** Their own count of knitted stitches in 10 cm. */
  stitchesIn10Cm: ranged('stitchesIn10Cm'),
  price: z.strictObject({
    /** What comes on top for light, tools and fees, as a share of materials and hours. */
    overhead: z.number().min(0).max(5),
    /** A price that was named; null: none. */
    asked: z.number().min(0).max(1_000_000).nullable(),
  }),
});

export type Finish = z.infer<typeof finishSchema>;

/** How most pieces are finished. */
export const USUAL_FINISH: Finish = {
  end: null,
  marginMm: null,
  borderMm: 6,
  cornerMm: 3,
  edge: 'overcast',
  edgeColour: null,
  islands: null,
  backing: null,
  edgeOrder: 'before-cutting',
  attached: 'sewn',
  onto: 'denim',
  shape: null,
  seamMm: null,
  openingMm: 40,
  sizeMm: null,
  cardFace: 'window',
  disc: 'felt',
  mounting: 'again',
  trimmed: 'before',
  stretching: 'as-needed',
  doubled: false,
  clothShape: 'rectangle',
  scallopMm: 25,
  knotted: false,
  fringe: 'none',
  fringeMm: 40,
  rowsIn10Cm: 24,
  stitchesIn10Cm: 17,
  price: { overhead: 0.1, asked: null },
};
