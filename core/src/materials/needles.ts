import { FOLDED_STRANDS, type ThreadKind } from './threads.ts';

export type NeedleFamily = 'crewel' | 'chenille' | 'tapestry' | 'milliner' | 'darner';

export interface Needle {
  readonly family: NeedleFamily;
  readonly size: number;
  readonly shaftMm: number;
}

/** Shafts by size; the higher number is the finer needle. */
const SHAFTS_MM: Record<NeedleFamily, Readonly<Record<number, number>>> = {
  crewel: { 1: 1.02, 3: 0.86, 5: 0.76, 7: 0.69, 8: 0.61, 9: 0.56, 10: 0.51 },
  chenille: { 18: 1.27, 20: 1.09, 22: 0.91, 24: 0.76, 26: 0.61 },
  tapestry: { 18: 1.27, 20: 1.09, 22: 0.91, 24: 0.76, 26: 0.61 },
  milliner: { 3: 0.86, 5: 0.76, 7: 0.69, 9: 0.56 },
  darner: { 1: 1.1, 5: 0.9 },
};

export const NEEDLE_NAMES: Record<NeedleFamily, string> = {
  crewel: 'crewel',
  chenille: 'chenille',
  tapestry: 'blunt tapestry',
  milliner: "milliner's",
  darner: 'darner',
};

/** Strands of stranded cotton to the size of a crewel needle. */
const CREWEL_FOR_STRANDS: Readonly<Record<number, number>> = { 1: 10, 2: 9, 3: 7, 4: 5, 5: 3, 6: 3 };
/** The thickest bundle (tex) that passes the eye of a crewel needle; beyond it a chenille needle is used. */
const THICKEST_FOR_CREWEL_TEX = 200;

/** The needle that takes a bundle without fraying it and leaves no more of a hole than it must. */
export function needleFor(kind: ThreadKind, strands: number): Needle {
  if (strands === FOLDED_STRANDS) return needle('chenille', 20);
  const bundleTex = kind.tex * strands;
  if (bundleTex > THICKEST_FOR_CREWEL_TEX) return needle('chenille', bundleTex > 300 ? 20 : 22);
  const cottonStrands = Math.min(6, Math.max(1, Math.round(bundleTex / 30)));
  return needle('crewel', CREWEL_FOR_STRANDS[cottonStrands] ?? 7);
}

/** A blunt needle for whipping and weaving, which parts no thread that it passes. */
export function bluntNeedle(kind: ThreadKind, strands: number): Needle {
  const bundleTex = kind.tex * strands;
  return needle('tapestry', bundleTex > 300 ? 20 : bundleTex > 120 ? 22 : bundleTex > 60 ? 24 : 26);
}

/** A straight needle with a narrow eye, over which wraps slide off. */
export function wrappingNeedle(strands: number): Needle {
  return needle('milliner', strands <= 1 ? 9 : strands <= 2 ? 7 : strands <= 4 ? 5 : 3);
}

function needle(family: NeedleFamily, size: number): Needle {
  const shaftMm = SHAFTS_MM[family][size];
  if (shaftMm === undefined) throw new RangeError(`needle: no ${family} needle of size ${size}`);
  return { family, size, shaftMm };
}
