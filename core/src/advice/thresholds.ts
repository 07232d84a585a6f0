/** From where on something is said. Craft judgement unless said otherwise. */
export const THRESHOLDS = {
  /** A design turned by less is on the grain, by more it was turned on purpose, degrees. */
  offGrainDeg: { least: 0.4, most: 12 },
  /** An area must be this many laid widths across somewhere. */
  leastWidths: 1.5,
  /** Neighbours further apart than this many laid widths show the cloth. */
  openWidths: 1.02,
  /** Closer to the cloth than this (ΔE2000) a colour is lost. */
  lostInCloth: 8,
  /** Parts that touch and are meant to be told apart lie at least this far apart, ΔE2000 and CIELAB lightness. */
  tooAlike: 6,
  tooAlikeLightness: 5,
  /** Shades of one ladder nearer than this are not worth two skeins, ΔE2000. */
  ladderStep: 3,
  /** Colours nearer than this in a kind of colour blindness are confused, ΔE2000. */
  confusable: 4,
  /** A bend tighter than this many laid widths cannot be drawn with the bundle. */
  drawableRadiusWidths: 0.8,
} as const;
