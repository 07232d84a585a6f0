/** From where on something is said. Craft judgement unless said otherwise. */
export const THRESHOLDS = {
  /** A design turned by less is on the grain, by more it was turned on purpose, degrees. */
  offGrainDeg: { least: 0.4, most: 12 },
  /** An area must be this many laid widths across somewhere. */
  leastWidths: 1.5,
  /** Neighbours further apart than this many laid widths show the cloth. */
  openWidths: 1.02,
  /** Closer to the cloth than this (ΔE2000) a colour is lost; within the second it is pale on it. */
  lostInCloth: 8,
  closeToCloth: 10,
  /** What surrounds a part on less than this share of its outline lies on the cloth. */
  surrounded: 0.7,
  /** Stitches hide the cloth where their thread covers this share of it. */
  dense: 0.7,
  /** Dense stitches lie on others over this share of the upper part, and at least this, mm². */
  denseShare: 0.3,
  denseMm2: 20,
  /** A filling carries too much behind from this share of its thread on and from this length, mm; or where its thread ends this often on the way. */
  carriedShare: 0.3,
  carriedMm: 500,
  endsWithin: 12,
  /** Stitches that fan out round a corner: apart on the outside by this many laid widths, and on the inside or in the middle by no more than the second, turned by as much at least: at the tip of a leaf stitches grow shorter, and do not turn. */
  gapes: { outside: 2, inside: 1.3, leastTurnDeg: 20 },
  /** The hours that are usual in a hoop: a fixed number, and a share of an hour for each cm² inside it. */
  hoopHours: { least: 3, perCm2: 0.09 },
  /** Parts that touch and are meant to be told apart lie at least this far apart, ΔE2000 and CIELAB lightness. */
  tooAlike: 6,
  tooAlikeLightness: 5,
  /** Colours that differ by more than this (ΔE2000) need no difference in lightness. */
  clearColour: 18,
  /** Shades of one ladder nearer than this are not worth two skeins, ΔE2000. */
  ladderStep: 3,
  /** Colours nearer than this in a kind of colour blindness are confused, ΔE2000. */
  confusable: 4,
  /** A bend tighter than this many laid widths cannot be drawn with the bundle. */
  drawableRadiusWidths: 0.8,
} as const;
