import type { End } from '../piece/index.ts';
import type { FinishAct } from './kinds.ts';

/** What each end is called, and what it is in a few words. */
export const END_NAMES: Readonly<Record<End, { readonly name: string; readonly says: string }>> = {
  framed: { name: 'Framed in its hoop', says: 'cloth gathered at the back, with a disc over it' },
  board: { name: 'On a board', says: 'padded, laced at the back, ready to frame' },
  patch: { name: 'Patch', says: 'edged through all layers, sewn onto something' },
  ornament: { name: 'Stuffed ornament', says: 'two pieces, filled, on a cord' },
  card: { name: 'Card', says: 'in a window, or on the whole front' },
  cushion: { name: 'Cushion or bag', says: 'a backed panel with a seam all round' },
  garment: { name: 'On a garment', says: 'backed, with all knots secured' },
  whitework: { name: 'Edged cloth', says: 'scallops all round, a fringe if you like' },
  hemmed: { name: 'Already hemmed', says: 'a napkin, bag or cover: pressed, and done' },
};

/** Whether a piece was made before it was stitched on, so that no cloth is cut for it. */
export function isMade(end: End): boolean {
  return end === 'garment' || end === 'hemmed';
}

/** What each act is called in a list. */
export const ACT_NAMES: Readonly<Record<FinishAct, string>> = {
  untack: 'Take out the tacks',
  tear: 'Tear the tissue away',
  'tear-backing': 'Tear the backing away',
  'trim-backing': 'Trim the backing',
  'rinse-cold': 'Rinse it cold',
  'rinse-warm': 'Rinse the film out',
  wash: 'Wash it',
  check: 'Check for marks',
  dry: 'Dry it',
  heat: 'Warm the lines away',
  press: 'Press it',
  'look-over': 'Look it over',
  tails: 'Tails in',
  stretch: 'Pin it out damp',
  'pins-out': 'Take the pins out',
  'bind-ring': 'Dress the outer hoop',
  tighten: 'Tighten the hoop',
  trim: 'Trim the cloth',
  gather: 'Gather it behind',
  disc: 'Cover the back',
  loop: 'Hang it',
  board: 'Pad the board',
  lace: 'Lace it',
  web: 'Fuse the back',
  backing: 'Back it',
  edge: 'Work the edge',
  'cut-close': 'Cut close to the edge',
  peel: 'Peel the paper off',
  'iron-on': 'Iron it on',
  corners: 'Hold the corners',
  'sew-on': 'Sew it on',
  'cut-out': 'Cut it out',
  seam: 'Sew the seam',
  notch: 'Notch the curves',
  turn: 'Turn it right side out',
  stuff: 'Stuff it',
  close: 'Close the opening',
  cord: 'Add the cord',
  window: 'Cut the window',
  mount: 'Mount it behind the window',
  fold: 'Fold the card',
  panels: 'Join the panels',
  'anchor-knots': 'Secure the knots',
  scallops: 'Work the scallops',
  'scallop-knots': 'Work a knot in each scallop',
  fringe: 'Make the fringe',
  'sew-fringe': 'Sew the fringe on',
  care: 'Label it',
};
