/** What a drawing of a lesson is made of; places are in a frame of 120 × 80, y downwards. */
export type Figure =
  | { readonly is: 'cloth'; readonly x: number; readonly y: number; readonly w: number; readonly h: number }
  | { readonly is: 'ring'; readonly x: number; readonly y: number; readonly rx: number; readonly ry: number }
  | { readonly is: 'thread'; readonly d: string; readonly strands: number; readonly behind: boolean }
  | { readonly is: 'needle'; readonly x: number; readonly y: number; readonly deg: number; readonly mm: number }
  | { readonly is: 'hand'; readonly x: number; readonly y: number; readonly deg: number; readonly holds: boolean }
  | { readonly is: 'scissors'; readonly x: number; readonly y: number; readonly deg: number }
  | { readonly is: 'line'; readonly d: string; readonly dashed: boolean }
  | { readonly is: 'arrow'; readonly d: string }
  | { readonly is: 'knot'; readonly x: number; readonly y: number; readonly r: number }
  | { readonly is: 'shape'; readonly d: string }
  | { readonly is: 'word'; readonly x: number; readonly y: number; readonly text: string };

export const cloth = (x: number, y: number, w: number, h: number): Figure => ({ is: 'cloth', x, y, w, h });
export const ring = (x: number, y: number, rx: number, ry = rx): Figure => ({ is: 'ring', x, y, rx, ry });
export const thread = (d: string, strands = 1): Figure => ({ is: 'thread', d, strands, behind: false });
/** Thread that runs below the cloth. */
export const behind = (d: string): Figure => ({ is: 'thread', d, strands: 1, behind: true });
/** A needle whose eye is at a place, pointing along an angle (0 to the right, 90 down). */
export const needle = (x: number, y: number, deg: number, mm = 34): Figure => ({ is: 'needle', x, y, deg, mm });
/** A hand that comes from where the angle points back to: thumb and finger meet at the place. */
export const hand = (x: number, y: number, deg: number): Figure => ({ is: 'hand', x, y, deg, holds: true });
/** A hand laid flat. */
export const palm = (x: number, y: number, deg: number): Figure => ({ is: 'hand', x, y, deg, holds: false });
export const scissors = (x: number, y: number, deg: number): Figure => ({ is: 'scissors', x, y, deg });
export const line = (d: string): Figure => ({ is: 'line', d, dashed: false });
export const dashes = (d: string): Figure => ({ is: 'line', d, dashed: true });
export const arrow = (d: string): Figure => ({ is: 'arrow', d });
export const knot = (x: number, y: number, r = 3): Figure => ({ is: 'knot', x, y, r });
export const shape = (d: string): Figure => ({ is: 'shape', d });
export const word = (x: number, y: number, text: string): Figure => ({ is: 'word', x, y, text });
