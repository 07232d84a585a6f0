import type { Piece } from './schema.ts';

type Drawing = Omit<Piece['drawing'], 'underlay' | 'source'>;

/** What a plan depends on. A whole piece is one, too; what is left out changes no figure. */
export type PlanInput = Omit<Piece, 'name' | 'accepted' | 'colourways' | 'calendar' | 'finish' | 'drawing'> & {
  readonly drawing: Drawing;
};

/** What of a piece a plan depends on: no name, no colourways, no calendar, nothing accepted, not how it is finished, no picture below the drawing. */
export function planInput(piece: Piece): PlanInput {
  const {
    name: _name,
    accepted: _accepted,
    colourways: _colourways,
    calendar: _calendar,
    finish: _finish,
    drawing,
    ...rest
  } = piece;
  const { underlay: _underlay, source: _source, ...drawn } = drawing;
  return { ...rest, drawing: drawn };
}

/** Whether two states of a piece have the same plan. Edits share what they leave alone, so objects are compared as they are. */
export function isSamePlanInput(a: PlanInput, b: PlanInput): boolean {
  return sameValues(a, b, ['drawing']) && sameValues(a.drawing, b.drawing, []);
}

const LEFT_OUT: ReadonlySet<string> = new Set([
  'name',
  'accepted',
  'colourways',
  'calendar',
  'finish',
  'underlay',
  'source',
]);

function sameValues(a: object, b: object, apart: readonly string[]): boolean {
  const keys = [...new Set([...Object.keys(a), ...Object.keys(b)])].filter((key) => !LEFT_OUT.has(key));
  const [one, other] = [a, b] as Record<string, unknown>[];
  return keys.every((key) => apart.includes(key) || one![key] === other![key]);
}
