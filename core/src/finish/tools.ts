import { needleName } from '../order/index.ts';
import type { FinishAct, FinishPlan } from './kinds.ts';

/** What hands take up for a finish besides what it uses up. */
export interface FinishTools {
  /** Needles by their names, each once. */
  readonly needles: readonly string[];
  readonly pins: number;
  /** Whether something is pressed or fused. */
  readonly hasIron: boolean;
}

const [SHARP, STRONG, BLUNT] = ['sharp sewing 9', 'sharp sewing 5', 'blunt tapestry 22'];

/** The needle of what is sewn by hand; edges are worked in the thread of the piece, with its own needle. */
const NEEDLES: Partial<Readonly<Record<FinishAct, string>>> = {
  gather: STRONG,
  disc: SHARP,
  lace: BLUNT,
  'sew-on': STRONG,
  corners: STRONG,
  seam: SHARP,
  close: SHARP,
  panels: SHARP,
  'sew-fringe': BLUNT,
};
const SEWN_BACKING = SHARP;

const HOT: ReadonlySet<FinishAct> = new Set<FinishAct>(['heat', 'press', 'web', 'iron-on']);

/** Needles, pins and iron that the steps of a finish take. */
export function finishTools({ steps, look, materials }: FinishPlan): FinishTools {
  const isSewn = materials.some(({ id }) => id === 'sewing-thread');
  const ofEdges = look.edges.flatMap(({ pass }) => pass.needles.map(needleName));
  const ofSteps = steps.flatMap(({ id }) => {
    if (id === 'backing' && isSewn) return [SEWN_BACKING];
    return NEEDLES[id] ?? [];
  });
  return {
    needles: [...new Set([...ofEdges, ...ofSteps])],
    pins: Math.max(0, ...steps.map(({ amounts }) => amounts['pins'] ?? 0)),
    hasIron: steps.some(({ id }) => HOT.has(id)),
  };
}
