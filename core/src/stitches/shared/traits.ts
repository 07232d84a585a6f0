import { CLOTH_SHOWS, EDGE_RAGGED, PULLED_IN, ROW_BY_ROW, TAIL_UNDER_STITCHES } from './texts.ts';

/** The needle must meet a hole or a thread; a loop must be caught, s. */
const MEETS_HOLE_SECONDS = 2.5;
export const CATCHES_LOOP_SECONDS = 1.5;
const EVEN_CARE = { oneShade: 1, shaded: 1 } as const;

/** What most stitches share; each names only what is its own. */
export const FLAT_LINE = {
  worksOn: 'line',
  needle: 'sharp',
  usualStrands: 2,
  hasDirection: false,
  canFollowOutline: false,
  hasVein: false,
  canShade: false,
  hasFirstRow: false,
  followsCurves: true,
  isRaised: false,
  snags: false,
  loosens: false,
  coverWidths: 1,
  findSeconds: MEETS_HOLE_SECONDS,
  secondThread: null,
  journeys: null,
  laysThread: false,
  care: EVEN_CARE,
} as const;

export const FLAT_FILLING = {
  ...FLAT_LINE,
  worksOn: 'area',
  hasDirection: true,
  followsCurves: false,
  findSeconds: 0,
} as const;

/** A filling that shades softly, its ends split into each other. */
export const SOFT_SHADING = {
  ...FLAT_FILLING,
  canShade: true,
  usualStrands: 1,
  start: 'A line of split stitch along the edge, started with tiny stitches inside.',
  end: TAIL_UNDER_STITCHES,
} as const;

/** A filling of rows, each beside the last. */
export const ROWS = {
  ...FLAT_FILLING,
  canFollowOutline: true,
  canShade: true,
  start: 'A waste knot outside the shape, cut off once its thread is held.',
  end: 'Weave back under the rows on the back.',
  faults: [CLOTH_SHOWS, EDGE_RAGGED, PULLED_IN],
} as const;

/** A filling of rows of a line stitch. */
export const ROW_FILLING = {
  ...ROWS,
  findSeconds: MEETS_HOLE_SECONDS,
  followsCurves: true,
  steps: [
    'Work the first row along the edge or through the middle.',
    'Turn and work the next row close beside it.',
    ROW_BY_ROW,
  ],
} as const;

/** A filling of knots, packed from the edge inwards. */
export const KNOT_FILLING = {
  ...FLAT_FILLING,
  needle: 'wrapping',
  hasDirection: false,
  followsCurves: true,
  isRaised: true,
  snags: true,
  start: 'Make two tiny stitches at the edge.',
  end: 'Weave the tail in among the knots on the back.',
  steps: [
    'Work a row of knots close together along the edge.',
    'Work the next row inside it, each knot in a hollow of the last row.',
    'Carry on inwards; close the last gaps with smaller knots.',
  ],
} as const;

/** A knot that stands on a spot. */
export const RAISED_SPOT = {
  worksOn: 'spot',
  needle: 'wrapping',
  usualStrands: 2,
  hasDirection: false,
  canFollowOutline: false,
  hasVein: false,
  canShade: false,
  hasFirstRow: false,
  followsCurves: true,
  isRaised: true,
  snags: true,
  loosens: false,
  coverWidths: 3,
  findSeconds: 0,
  secondThread: null,
  journeys: null,
  laysThread: false,
  care: EVEN_CARE,
  start: 'Make two tiny stitches where the knot will cover them.',
  end: 'Fasten off after each knot that stands alone.',
} as const;
