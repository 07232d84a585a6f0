import type { NumberParam } from '../params.ts';

/** The length of one stitch. */
export function stitchLength(standardMm: number, min: number, max: number): NumberParam {
  return {
    type: 'number',
    label: 'Stitch length',
    symbol: 's',
    unit: 'mm',
    min,
    max,
    step: 0.1,
    default: standardMm,
    hint: 'Made a little shorter or longer so that the last stitch ends on the line, and shorter where it bends.',
  };
}

/** Neighbouring threads touch when they lie nine tenths of their width apart. */
const TOUCHING = 0.9;

/** The distance of neighbouring threads in a filling. */
export function spacing(): NumberParam {
  return {
    type: 'number',
    label: 'Distance of neighbours',
    symbol: 'p',
    unit: 'mm',
    min: 0.1,
    max: 10,
    step: 0.01,
    default: (laidMm) => laidMm * TOUCHING,
    hint: 'Nine tenths of the width of the thread as it lies: neighbours just touch.',
  };
}
