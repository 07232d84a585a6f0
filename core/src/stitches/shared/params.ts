import { roundTo } from '../../measure/index.ts';
import type { NumberParam } from '../params.ts';
import * as say from '../words.ts';

/** The length of one stitch. */
export function stitchLength(standardMm: NumberParam['default'], min: number, max: number): NumberParam {
  return {
    type: 'number',
    label: 'Stitch length',
    symbol: 's',
    unit: 'mm',
    min,
    max,
    step: 0.1,
    default: standardMm,
    hint: 'Made a little shorter or longer so that the last stitch ends on the line, and shorter where the line bends.',
  };
}

/** Neighbouring threads touch when they lie nine tenths of their width apart. */
const TOUCHING = 0.9;

/** The distance of neighbouring threads in a filling, in laid widths. */
export function spacing(widths = TOUCHING): NumberParam {
  return {
    type: 'number',
    label: 'Spacing',
    symbol: 'p',
    unit: 'mm',
    min: 0.1,
    max: 10,
    step: 0.01,
    default: (laidMm) => laidMm * widths,
    hint:
      widths === TOUCHING
        ? 'Nine tenths of the thread’s width, so that stitches just touch.'
        : say.timesLaidWidth(widths),
  };
}

/** Any other length of a stitch. */
export function lengthParam(
  label: string,
  standardMm: NumberParam['default'],
  [min, max]: readonly [number, number],
  hint: string,
  symbol?: string,
): NumberParam {
  return {
    type: 'number',
    label,
    unit: 'mm',
    min,
    max,
    step: 0.1,
    default: standardMm,
    hint,
    ...(symbol === undefined ? {} : { symbol }),
  };
}

/** Laid width of two strands of stranded cotton, for which usual lengths are given, mm. */
const USUAL_LAID_MM = 0.5;

/** A length that grows with the thread: what is usual with two strands of stranded cotton, in its range. */
export function scaledWithThread(usualMm: number, [min, max]: readonly [number, number]): (laidMm: number) => number {
  return (laidMm) => Math.min(max, Math.max(min, roundTo((usualMm * laidMm) / USUAL_LAID_MM, 1)));
}

/** How often the thread goes round the needle for a knot. */
export function wrapsParam(hint: string): NumberParam {
  return { type: 'number', label: 'Wraps', symbol: 'n', unit: 'turns', min: 1, max: 3, step: 1, default: 2, hint };
}

/** How close packed knots lie. */
export const closenessParam: NumberParam = {
  type: 'number',
  label: 'Knot spacing',
  unit: 'widths',
  min: 0.8,
  max: 3,
  step: 0.05,
  default: 0.95,
  hint: 'In widths of a knot: below 1 they press against each other.',
};

/** Which end of a leaf is its tip: what stitches that have a vein can be told. */
export const tipParam = {
  type: 'choice',
  label: 'Tip',
  options: [
    { value: 'narrow', label: 'the narrower end' },
    { value: 'other', label: 'the other end' },
  ],
  default: 'narrow',
  hint: 'Stitches slant towards the tip.',
} as const;
