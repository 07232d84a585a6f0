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
