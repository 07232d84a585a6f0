import { pictureBelow, shareBeside, type Pictures } from '../../painting/index.ts';
import { isPainting, type PlanInput } from '../../piece/index.ts';
import type { Plan } from '../../thread/index.ts';
import type { Finding, FindingKinds } from '../finding.ts';

/** Less of a part beside its picture than this is its edge, %. */
const LEAST_PERCENT = 2;

/** What is wrong with parts that are painted from a picture. */
export function paintingFindings(piece: PlanInput, plan: Plan, pictures: Pictures): Finding[] {
  return plan.parts.flatMap(({ part, placed, passes }): Finding[] => {
    const pass = passes.find(isPainting);
    if (!pass || !placed.box) return [];
    const below = pictureBelow(piece, pictures);
    if (!below) return [{ id: 'picture-gone', part: part.id, figures: { shades: pass.shades.length } }];
    const percent = Math.round(100 * shareBeside(placed.shape.region, below));
    return percent < LEAST_PERCENT ? [] : [{ id: 'picture-beside', part: part.id, figures: { percent } }];
  });
}

/** Where each is looked at, and how bad it is. */
export const PAINTING_KINDS = {
  'picture-gone': { step: 'stitches', severity: 'warn' },
  'picture-beside': { step: 'stitches', severity: 'warn' },
} satisfies Partial<FindingKinds>;
