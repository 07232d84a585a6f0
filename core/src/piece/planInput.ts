import { isPainted, type Piece, type Underlay } from './schema.ts';

type Drawing = Omit<Piece['drawing'], 'source'>;

/** What a plan depends on. A whole piece is one, too; what is left out changes no figure. */
export type PlanInput = Omit<Piece, 'name' | 'accepted' | 'colourways' | 'calendar' | 'finish' | 'drawing'> & {
  readonly drawing: Drawing;
};

/**
 * What of a piece a plan depends on: no name, no colourways, no calendar, nothing accepted, not how it is finished; the picture below the
 * drawing only where something is painted from it.
 */
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
  const { source: _source, ...drawn } = drawing;
  return { ...rest, drawing: { ...drawn, underlay: isPainted(drawing) ? drawing.underlay : null } };
}

/** Whether two states of a piece have the same plan. Edits share what they leave alone, so objects are compared as they are. */
export function isSamePlanInput(a: PlanInput, b: PlanInput): boolean {
  return (
    sameValues(a, b, ['drawing']) &&
    sameValues(a.drawing, b.drawing, ['underlay']) &&
    (!isPainted(b.drawing) || isSamePicture(a.drawing.underlay, b.drawing.underlay))
  );
}

/** How strongly it is shown is nothing to the stitches. */
function isSamePicture(a: Underlay | null, b: Underlay | null): boolean {
  return a === b || (a !== null && b !== null && sameValues(a, b, ['strength']));
}

const LEFT_OUT: ReadonlySet<string> = new Set(['name', 'accepted', 'colourways', 'calendar', 'finish', 'source']);

function sameValues(a: object, b: object, apart: readonly string[]): boolean {
  const keys = [...new Set([...Object.keys(a), ...Object.keys(b)])].filter((key) => !LEFT_OUT.has(key));
  const [one, other] = [a, b] as Record<string, unknown>[];
  return keys.every((key) => apart.includes(key) || one![key] === other![key]);
}
