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
  /** Curves tighter than this want split stitch, mm radius. */
  tightRadiusMm: 3,
  /** A line drawn this wide is worth a chain, mm. */
  boldLineMm: 1.6,
  fineLineMm: 0.45,
  /** Areas narrower than this want a single strand, mm. */
  narrowMm: 1.8,
  /** A leaf is so many times longer than wide, this narrow near its tip, and fills so much of its length and width (an oval fills 0.79). */
  leafSlenderness: 1.6,
  leafTip: 0.32,
  leafFullness: { least: 0.45, most: 0.73 },
  /** Leaves up to this width take fly stitches, mm. */
  widestFlyLeafMm: 14,
  /** A strip is so many times longer than wide; from this turn on its satin turns with it, degrees. */
  stripSlenderness: 3,
  stripTurnDeg: 40,
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
  /** One row of long-and-short needs this much to show its shade, mm. */
  shadeRowMm: 3,
} as const;

/** How many shades an area can show over a width in which they follow each other, mm: one at the least. */
export function roomForShades(widthMm: number): number {
  return Math.max(1, Math.floor(widthMm / TREATMENT.shadeRowMm));
}
