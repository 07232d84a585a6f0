import {
  BACK_UNDER_ROWS,
  CLOTH_SHOWS,
  EDGE_RAGGED,
  KNOT_OUTSIDE_CUT_OFF,
  PULLED_IN,
  ROW_BY_ROW,
  TAIL_UNDER_STITCHES,
} from './texts.ts';

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
  followsCurves: true,
  isRaised: false,
  snags: false,
  loosens: false,
  coverWidths: 1,
  findSeconds: MEETS_HOLE_SECONDS,
  secondThread: null,
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

/** A filling of rows of a line stitch. */
export const ROW_FILLING = {
  ...FLAT_FILLING,
  findSeconds: MEETS_HOLE_SECONDS,
  canFollowOutline: true,
  followsCurves: true,
  start: KNOT_OUTSIDE_CUT_OFF,
  end: BACK_UNDER_ROWS,
  faults: [CLOTH_SHOWS, EDGE_RAGGED, PULLED_IN],
  steps: [
    'Work the first row along the edge or through the middle.',
    'Turn and work the next row close beside it.',
    ROW_BY_ROW,
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
  followsCurves: true,
  isRaised: true,
  snags: true,
  loosens: false,
  coverWidths: 3,
  findSeconds: 0,
  secondThread: null,
  care: EVEN_CARE,
  start: 'Make two tiny stitches where the knot will cover them.',
  end: 'Fasten off after each knot that stands alone.',
} as const;
