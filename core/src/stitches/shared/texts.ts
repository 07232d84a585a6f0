/** Faults that several stitches share, with their cures. */
export const CLOTH_SHOWS = {
  fault: 'Cloth shows between stitches',
  cure: 'Slip in one more stitch where it gapes; keep the needle upright.',
} as const;
export const EDGE_RAGGED = {
  fault: 'The edge is ragged',
  cure: 'Work a firm line of split stitch under it, and stab just outside that line.',
} as const;
export const PULLED_IN = {
  fault: 'The shape is pulled in',
  cure: 'Pull each stitch less, and tighten the cloth until it is drum-tight.',
  lesson: 'mounting',
} as const;
export const THREAD_TWISTS = {
  fault: 'The thread twists and goes dull',
  cure: 'Let the needle hang now and then until the thread has unwound.',
  lesson: 'hanging',
} as const;
export const CORNERS_CUT = {
  fault: 'Curves come out angular',
  cure: 'Make shorter stitches where the line bends.',
} as const;

// Starts, ends and steps that several stitches share.

export const KNOT_BESIDE_LINE = 'A waste knot beside the line.';
export const TAIL_UNDER_STITCHES = 'Slide the tail under the stitches on the back.';
export const TAIL_BACK_UNDER_STITCHES = 'Weave the tail back under the stitches on the back.';
export const TINY_UNDER_CENTRE = 'Make two tiny stitches under the centre.';
export const LOOP_STILL_ROUND = 'Stop pulling while the loop is still round.';
export const KNOT_OUTSIDE_SHAPE = 'A waste knot outside the shape.';
export const ARM_REACH = 'How far the arms reach out to either side.';
export const KNOT_AHEAD_HELD = 'A waste knot ahead on the line: the first stitches hold its thread.';
export const TAIL_WHIPPED = 'Whip the tail round the long stitches on the back.';
export const UP_AHEAD_OF_LAST = 'Come up one stitch ahead of the last.';
export const TO_THE_INSIDE = 'to the inside; left of an open line';
export const UP_AT_START = 'Come up at the start of the line.';
export const KNOT_ON_LOWER_SIDE = 'A waste knot on the lower side of the band.';
export const LOWER_TO_UPPER = 'Come up on the lower side and go down on the upper side, further along.';
export const BAND_HEIGHT = 'From one side of the band to the other.';
export const DOWN_A_THREAD_AWAY = 'Go down one thread of the cloth away from where you came up.';
export const LAY_EDGE_TO_EDGE = 'Lay threads from edge to edge, coming up beside where you went down.';
export const LOOP_TIE = 'The small stitch over the end of the loop.';
export const UP_LEFT_DOWN_RIGHT = 'Come up on the left and go down on the right, leaving a loop.';
export const FASTEN_OFF_EACH = 'Fasten off after each stitch that stands alone.';
export const TAIL_ALONG_EDGE = 'Weave the tail in along the edge, on the back.';
export const GAP_BETWEEN = 'The cloth left open between two stitches.';
export const ROW_BY_ROW = 'Carry on, row by row, to the far edge.';
export const KNOT_AHEAD = 'A waste knot ahead on the line.';
