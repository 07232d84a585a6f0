/** What a drawing is tidied by, as a teacher would; mm on the cloth unless it says otherwise. */
export const TIDY = {
  /** Colours this near to each other are one colour; those within the second are asked about (ΔE2000). */
  sameColour: 3,
  similarColour: 6,
  /** An area this near to the colour of the cloth is left to the cloth (ΔE2000). */
  clothColour: 12,
  /** Where this share of a line lies on another, the line was drawn twice, unless one of the two is more than this many times as wide. */
  doubledShare: 0.6,
  likeWidths: 2,
  /** Lines this near to each other lie on each other: a length, or a share of the wider one's drawn width. */
  onLineMm: 0.25,
  onLineShare: 0.35,
  /** Two lines share a border where they run together for at least this length (mm) and for this many times their width. */
  sharedBorderMm: 3,
  sharedBorderWidths: 3,
  /** A stroke that runs along an area for this share of it bounds it. */
  boundsShare: 0.6,
  /** Strokes in one width are drawn by one pen: this many at least, and this share of all; widths within the last are one. */
  leastPenLines: 2,
  oneWidthShare: 0.6,
  oneWidth: 0.08,
  /** Thinner lines are worked alike, whether a pen drew them or not. */
  leastPenMm: 0.8,
  /** An area is hidden where the lines over it leave less than this share of it in sight. */
  leftOfHidden: 0.02,
  /** Areas narrower than this across are specks; what lies nearer to one than the second is beside it. */
  speckMm: 1.5,
  isolatedMm: 3,
  /** How much darker than what it lies in a speck is that is an eye (L). */
  darkInLight: 25,
  /** More islands than this in one path are a texture: it stays whole. */
  mostIslands: 24,
  /** An area this many times as long as wide, of even width, can be worked as a line. */
  ribbonLength: 7,
  ribbonUneven: 0.35,
} as const;
