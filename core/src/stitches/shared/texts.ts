/** Faults that several stitches share, with their cures. */
export const CLOTH_SHOWS = {
  fault: 'Cloth shows between stitches',
  cure: 'Slip one more in where it gapes; keep the needle upright.',
} as const;
export const EDGE_RAGGED = {
  fault: 'The edge is ragged',
  cure: 'Work a firm line of split stitch under it and stab just outside that line.',
} as const;
export const PULLED_IN = {
  fault: 'The shape is pulled in',
  cure: 'Loosen the stitch and tighten the hoop until the cloth is drum-tight.',
  lesson: 'mounting',
} as const;
export const THREAD_TWISTS = {
  fault: 'The thread twists and dulls',
  cure: 'Let the needle hang now and then until it has unwound.',
  lesson: 'hanging',
} as const;
export const CORNERS_CUT = {
  fault: 'Curves come out angular',
  cure: 'Take shorter stitches where the line bends.',
} as const;
