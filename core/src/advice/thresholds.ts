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

export const THRESHOLDS = {
  /** Satin under this is better a line stitch, mm. */
  shortestSatinMm: 1.5,
  /** Satin looks its best up to this, whatever the use allows, mm. */
  easySatinMm: 12,
  /** An area must be this many laid widths across somewhere. */
  leastWidths: 1.5,
  /** Curves tighter than this want split stitch, mm radius. */
  tightRadiusMm: 3,
  /** A line drawn this wide is worth a chain, mm. */
  boldLineMm: 1.6,
  fineLineMm: 0.45,
  /** Areas narrower than this want a single strand, mm. */
  narrowMm: 1.8,
  /** Areas smaller than this have no room for a scatter of seeds, mm². */
  leastSeededMm2: 60,
  /** From this width on an area has room for two rows of long-and-short, mm. */
  leastShadedMm: 8,
  /** Areas larger than this can take three strands, mm². */
  largeMm2: 1200,
  /** Neighbours further apart than this many laid widths show the cloth. */
  openWidths: 1.02,
  /** Closer to the cloth than this (ΔE2000) a colour is lost. */
  lostInCloth: 8,
  /** A bend tighter than this many laid widths cannot be drawn with the bundle. */
  drawableRadiusWidths: 0.8,
} as const;
