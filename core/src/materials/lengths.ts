/** What working lengths are and what each loses, in mm of needle thread. Craft defaults. */
export const WORKING_LENGTH = {
  /** Half a metre; the other school takes an arm's length. */
  cutMm: 500,
  armsLengthMm: 700,
  /** A length that is folded through the needle. */
  foldedCutMm: 900,
  /** Lost at the start of a length, by the way it is begun. */
  startMm: { 'waste-knot': 80, knot: 20, 'tiny-stitches': 20 },
  /** Stop when this is left: about three needle lengths. */
  stopMm: 110,
  /** Knots need more room to wrap. */
  stopForKnotsMm: 140,
  stopForBullionsMm: 160,
  /** Worked in under stitches on fastening off. */
  workedInMm: 40,
  /** Starting again from worked stitches with what is left on the needle. */
  restartMm: 20,
  /** With less than this to work with, a new length is taken rather than the old one begun again. */
  leastToRestartMm: 60,
  /** The share of all thread that is unpicked and lost. */
  unpicked: 0.04,
} as const;

/** Seconds for each movement, before the person's own record. */
export const SECONDS = {
  /** A span longer than 10 mm is laid with more care. */
  longSpan: 1,
  stab: 2.2,
  loop: 2,
  wrap: 1.3,
  under: 3,
  thread: 60,
  fastenOff: 45,
  changeColour: 30,
  parkedNeedle: 8,
  moveHoop: 180,
  mountCloth: 600,
} as const;

/** From this length on a span takes longer to lay, mm. */
export const LONG_SPAN_MM = 10;

/** What everything takes more than the movements alone: turning the hoop, untangling and looking. */
export const LOOKING = 1.15;

/** The share of stitches that is unpicked, and takes its time twice more: out, and in again. */
export const UNPICKED_TIME = 2 * WORKING_LENGTH.unpicked;

/** Slack of thread on the cloth, until the person's own figure is known. */
export const DEFAULT_SLACK = 0.03;
