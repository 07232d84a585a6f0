import { pictureBelow, shareBeside } from '../../painting/index.ts';
import { isPainting, type PlanInput } from '../../piece/index.ts';
import type { Plan } from '../../thread/index.ts';
import type { Finding, FindingKinds } from '../finding.ts';

/** Less of a part beside its picture than this is its edge, %. */
const LEAST_PERCENT = 2;

/** What is wrong with parts that are painted from a picture. */
export function paintingFindings(piece: PlanInput, plan: Plan): Finding[] {
  return plan.parts.flatMap(({ part, placed, passes }): Finding[] => {
    const pass = passes.find(isPainting);
    if (!pass || !placed.box) return [];
    const below = pictureBelow(piece);
    if (!below) return [{ id: 'picture-gone', part: part.id, figures: { shades: pass.shades.length } }];
    const percent = Math.round(100 * shareBeside(placed.shape.region, below));
    return percent < LEAST_PERCENT ? [] : [{ id: 'picture-beside', part: part.id, figures: { percent } }];
  });
}

/** What is said of each. */
export const PAINTING_KINDS = {
  'picture-gone': {
    step: 'stitches',
    severity: 'warn',
    say: () => 'It is painted from the picture below, and there is no such picture: its stitches are in one shade.',
    why: 'Bring the picture back with undo, lay another below the drawing, or work the part in another stitch.',
  },
  'picture-beside': {
    step: 'stitches',
    severity: 'warn',
    say: ({ percent }) =>
      `${percent} % of its box lies beside the picture: there the colours of the picture’s edge go on.`,
    why: 'Draw the part within the picture, or lay the picture so that it reaches all of it.',
  },
} satisfies Partial<FindingKinds>;
