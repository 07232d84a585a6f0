import type { PieceUse } from '../piece/index.ts';

/** The longest span (mm) that satin may lie free, by what the piece is for: 10 worn, 25 in a frame that is handled. */
export const SPAN_LIMIT_MM: Readonly<Record<PieceUse, number>> = {
  framed: 25,
  handled: 15,
  worn: 10,
  washed: 10,
  patch: 10,
  ornament: 25,
  whitework: 15,
};

export const WORN_USES: ReadonlySet<PieceUse> = new Set(['worn', 'washed', 'handled', 'patch']);

/** From where on a treatment is proposed. Craft judgement unless said otherwise. */
export const TREATMENT = {
  /** Satin under this is better a line stitch, mm. */
  shortestSatinMm: 1.5,
  /** Satin looks its best up to this, whatever the use allows, mm. */
  easySatinMm: 12,
  /** On what is worn, washed and handled short satin holds, mm. */
  wornSatinMm: 7,
  /** What only looks better within a limit may go over it by this factor. */
  play: 1.15,
  /** Cords round and round are worked up to this, mm²; on worn things up to the second; above, rows that go faster. */
  quickRowsMm2: 1200,
  wornRoundsMm2: 600,
  /** Discs from this width on are padded, mm. */
  leastPaddedDiscMm: 3,
  /** In simple work areas up to this width and size are filled, in satin, mm and mm². */
  simpleSatinMm: 7,
  simpleSatinMm2: 150,
  /** A scatter of seeds wants this much room, mm. */
  leastLightMm: 5,
  /** Larger areas are shaded in two strands, mm². */
  shadedInTwoMm2: 600,
  /** Colours between these are shaded in rich work (L). */
  shadedLightness: { least: 28, most: 92 },
  /** Richly worked areas this wide are shaded, in three shades from the second on, mm. */
  leastRichMm: 6,
  threeShadesMm: 9,
  /** Curves tighter than this want split stitch, mm radius. */
  tightRadiusMm: 3,
  /** A line drawn this wide is worth a chain, mm. */
  boldLineMm: 1.6,
  /** A line of a pen is worked as if it were drawn as wide as the first, where a broad pen drew it as the second. */
  penMm: 0.9,
  broadPenMm: 1.05,
  fineLineMm: 0.45,
  /** Areas narrower than this want a single strand, mm. */
  narrowMm: 1.8,
  /** A line drawn this wide wants body, and one this wide is an area, mm. */
  bodyLineMm: 1.1,
  wideLineMm: 2.2,
  /** A straight line drawn this wide is a band that can be plaited, mm. */
  plaitedLineMm: 4,
  /** A line that touches a longer one of its colour is worked like it, unless one of the two was drawn more than this many times as wide. */
  likeWidths: 2,
  /** Bends wider than this are straight to the eye, mm radius. */
  straightRadiusMm: 60,
  /** A line this short, and as straight as this, may be a single stitch, mm and share. */
  strokeMm: { least: 1, most: 6 },
  strokeStraightness: 0.96,
  widestCoilMm: 3,
  /** A disc's widest circle fills at least this share of it. */
  discFullness: 0.86,
  /** How many times longer than wide a leaf is at the least, how narrow near its tip and at its foot, and what it fills of its length and width (an oval fills 0.79). */
  leafSlenderness: 1.6,
  leafTip: 0.56,
  leafFoot: 0.75,
  /** What is straight for more than this share of its length is a hill or a boat, not a leaf. */
  flatSide: 0.6,
  leafFullness: { least: 0.45, most: 0.76 },
  /** The two sides of a leaf or petal differ by no more than this share of its area. */
  uneven: 0.3,
  /** How many times longer than wide a slender leaf is at the least, and how wide at the most, mm. */
  slenderLeaf: 2.4,
  slenderLeafMm: 7,
  /** Leaves up to this width take fly stitches, mm. */
  widestFlyLeafMm: 14,
  /** What is wider than this is no leaf of a hoop piece: a hill, a cap, a boat, mm. */
  widestLeafMm: 30,
  /** A leaf this long shows its vein, mm. */
  leastVeinedMm: 18,
  /** A petal is longer than wide, this much narrower at its foot than at its head, and not as full as an oval. */
  petalSlenderness: 1.1,
  petalFoot: 0.8,
  petalFullness: 0.82,
  /** How many times longer than wide a strip is and what it fills of that, at the least; from this turn on its satin turns with it, degrees. */
  stripSlenderness: 3,
  stripFullness: 0.5,
  stripTurnDeg: 40,
  /** Up to this many times wider than satin likes a straight band is tied in its middle; wider, it is worked in bricks. */
  tiedBand: 1.5,
  /** A leaf fills this share of the outline without bays that holds it: hair on a head does not. */
  leafBay: 0.86,
  /** The least share of its box that a block fills; and how long one of its sides is, as a share of its size, where its corners are round. */
  blockFullness: 0.88,
  straightSide: 0.5,
  /** With three or four corners and slanting sides it has no bays at all. */
  slantingFullness: 0.97,
  /** How many times longer than it need be the outline of what is jagged is at the least, squared. */
  jagged: 3,
  /** From this many times longer than wide a form has a way along it. */
  longForm: 1.6,
  /** A broad area is worked along from here on; a shorter one, a cap or a coat, round and round. */
  longArea: 2,
  /** The least share of a spot's width that a knot must fill. */
  knotFills: 0.72,
  /** Satin on less than this, or narrower, has no room for a line below its edge, mm² and mm. */
  leastEdgedMm2: 20,
  leastEdgedWidthMm: 2,
  /** From this width on padding lifts satin, mm. */
  leastPaddedMm: 4,
  /** Larger areas are laid and tied down, mm². */
  laidMm2: 3000,
  /** A ground behind everything is at least this large, mm². */
  groundMm2: 2500,
  /** Touching areas in near-equal colours want directions this far apart, degrees. */
  leastTurnDeg: 20,
  /** Colours nearer than this (ΔE2000) are near-equal. */
  nearEqual: 6,
  /** Parts nearer than this touch, mm. */
  touchingMm: 0.5,
  /** Along less than this they only meet at a corner, mm. */
  touchingAlongMm: 3,
  /** Areas smaller than this have no room for a scatter of seeds, mm². */
  leastSeededMm2: 60,
  /** From this width on an area has room for two rows of long-and-short, mm. */
  leastShadedMm: 8,
  /** Areas larger than this can take three strands, mm². */
  largeMm2: 1200,
  /** The angle between vein and arm of a closed fly stitch where there is room for its arms, degrees. */
  steepFlyDeg: 16,
  /** One row of long-and-short needs this much to show its shade, mm. */
  shadeRowMm: 3,
} as const;

/**
 * How many shades an area can show over a width in which they follow each other, mm: one at the least.
 * @param params of its stitch: where it is worked in bands, each shade takes a whole one
 */
export function roomForShades(widthMm: number, params: Readonly<Record<string, number | string>>): number {
  const rowMm = Math.max(TREATMENT.shadeRowMm, Number(params['bandMm'] ?? 0));
  return Math.max(1, Math.floor(widthMm / rowMm));
}
