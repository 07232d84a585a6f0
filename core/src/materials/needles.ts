import type { Cloth } from './cloths.ts';
import { bundleDiameterMm, FOLDED_STRANDS, type ThreadKind } from './threads.ts';

export type NeedleFamily = 'crewel' | 'ball-point' | 'chenille' | 'tapestry' | 'milliner' | 'darner';

/** How a needle is used: through cloth, under threads, first one and then the other, or with thread wound round it. */
export type NeedleUse = 'sharp' | 'blunt' | 'sharp-then-blunt' | 'wrapping';

export interface Needle {
  readonly family: NeedleFamily;
  readonly size: number;
  readonly shaftMm: number;
}

/** Shafts by size; the higher number is the finer needle. */
const SHAFTS_MM: Record<NeedleFamily, Readonly<Record<number, number>>> = {
  crewel: { 1: 1.02, 3: 0.86, 5: 0.76, 7: 0.69, 8: 0.61, 9: 0.56, 10: 0.51 },
  'ball-point': { 3: 0.86, 5: 0.76, 7: 0.69, 9: 0.56, 10: 0.51 },
  chenille: { 18: 1.27, 20: 1.09, 22: 0.91, 24: 0.76, 26: 0.61 },
  tapestry: { 18: 1.27, 20: 1.09, 22: 0.91, 24: 0.76, 26: 0.61 },
  milliner: { 3: 0.86, 5: 0.76, 7: 0.69, 9: 0.56 },
  darner: { 1: 1.1, 5: 0.9 },
};

export const NEEDLE_NAMES: Record<NeedleFamily, string> = {
  crewel: 'crewel',
  'ball-point': 'ball-point',
  chenille: 'chenille',
  tapestry: 'blunt tapestry',
  milliner: 'milliner’s',
  darner: 'darner',
};

/** Strands of stranded cotton to the size of a crewel needle. */
const CREWEL_FOR_STRANDS: Readonly<Record<number, number>> = { 1: 10, 2: 9, 3: 7, 4: 5, 5: 3, 6: 3 };
/** The thickest bundle (tex) that passes the eye of a crewel needle; beyond it a chenille needle is used. */
const THICKEST_FOR_CREWEL_TEX = 200;

/** Heavy cloth bends a needle finer than this, mm. */
const STRONG_MM = 0.76;
const HEAVY_GSM = 330;
/** On cloth lighter than this, a needle one size finer leaves less of a hole. */
const LIGHT_GSM = 120;
/** Wound thread slides off a needle whose eye is no wider than its shaft, and the bundle must pass that eye: shaft over bundle. */
const LEAST_EYE = 1.3;
/** Long eyes take a bundle this much thicker than the shaft. */
const LONG_EYE = 1.35;

/**
 * The needles that a stitch is worked with, in the order in which they are taken up: by its thread and strands, by how it is used, and by
 * the cloth (ball points part the loops of knits, fine cloth takes a finer needle, heavy cloth a stronger one).
 */
export function needlesFor(kind: ThreadKind, strands: number, use: NeedleUse, cloth: Cloth): readonly Needle[] {
  if (use === 'wrapping') return [wrappingNeedle(kind, strands)];
  if (use === 'blunt') return [bluntNeedle(kind, strands)];
  const sharp = sharpNeedle(kind, strands, cloth);
  return use === 'sharp-then-blunt' ? [sharp, bluntNeedle(kind, strands)] : [sharp];
}

/** The needle that takes a bundle through a cloth without fraying it and leaves no more of a hole than it must. */
function sharpNeedle(kind: ThreadKind, strands: number, cloth: Cloth): Needle {
  const usual = needleFor(kind, strands);
  if (usual.family !== 'crewel') return usual;
  if (cloth.stretches) return nearest('ball-point', usual.shaftMm);
  if (cloth.weightGsm >= HEAVY_GSM && usual.shaftMm < STRONG_MM) return nearest('crewel', STRONG_MM);
  const bundleMm = bundleDiameterMm(kind, strands);
  const finer = finerThan(usual);
  return cloth.weightGsm < LIGHT_GSM && finer && !isTooThickFor(finer, bundleMm) ? finer : usual;
}

/** The needle for a bundle on cloth of middling weight. */
function needleFor(kind: ThreadKind, strands: number): Needle {
  if (strands === FOLDED_STRANDS) return needle('chenille', kind.tex * strands > 300 ? 20 : 22);
  const bundleTex = kind.tex * strands;
  if (bundleTex > THICKEST_FOR_CREWEL_TEX) return needle('chenille', bundleTex > 300 ? 20 : 22);
  const cottonStrands = Math.min(6, Math.max(1, Math.round(bundleTex / 30)));
  return needle('crewel', CREWEL_FOR_STRANDS[cottonStrands] ?? 7);
}

/** A blunt needle for whipping and weaving, which parts no thread that it passes. */
function bluntNeedle(kind: ThreadKind, strands: number): Needle {
  const bundleTex = kind.tex * strands;
  return needle('tapestry', bundleTex > 300 ? 20 : bundleTex > 120 ? 22 : bundleTex > 60 ? 24 : 26);
}

/** A straight needle over which wraps slide off: the finest whose eye the thread passes, a darner or chenille for thick thread. */
export function wrappingNeedle(kind: ThreadKind, strands: number): Needle {
  const bundleMm = bundleDiameterMm(kind, strands);
  const straight = [...sizesOf('milliner'), ...sizesOf('darner')].find((one) => !isTooThickFor(one, bundleMm));
  return straight ?? needle('chenille', 18);
}

/** Whether a bundle is too thick for a needle's eye: it would fray, or not pass at all. */
export function isTooThickFor({ family, shaftMm }: Needle, bundleMm: number): boolean {
  return bundleMm > shaftMm * (family === 'milliner' ? 1 / LEAST_EYE : LONG_EYE);
}

/** All sizes of a family, the finest first. */
function sizesOf(family: NeedleFamily): Needle[] {
  return Object.entries(SHAFTS_MM[family])
    .map(([size, shaftMm]) => ({ family, size: Number(size), shaftMm }))
    .sort((a, b) => a.shaftMm - b.shaftMm);
}

function nearest(family: NeedleFamily, shaftMm: number): Needle {
  return sizesOf(family).reduce((a, b) => (Math.abs(b.shaftMm - shaftMm) < Math.abs(a.shaftMm - shaftMm) ? b : a));
}

function finerThan({ family, shaftMm }: Needle): Needle | undefined {
  return sizesOf(family).findLast((other) => other.shaftMm < shaftMm);
}

function needle(family: NeedleFamily, size: number): Needle {
  const shaftMm = SHAFTS_MM[family][size];
  if (shaftMm === undefined) throw new RangeError(`needle: no ${family} needle of size ${size}`);
  return { family, size, shaftMm };
}
