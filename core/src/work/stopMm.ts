import { WORKING_LENGTH } from '../materials/index.ts';
import { stitchKind, type StitchId } from '../stitches/index.ts';

/** What must be left on the needle to fasten off; wraps need room. */
export function stopMm(stitch: StitchId): number {
  if (stitch === 'bullion') return WORKING_LENGTH.stopForBullionsMm;
  return stitchKind(stitch).needle === 'wrapping' ? WORKING_LENGTH.stopForKnotsMm : WORKING_LENGTH.stopMm;
}
