import type { PlannedPart } from './plannedPart.ts';
import { stitchKind } from '../stitches/index.ts';

/** The stitches that a ring crushes stand higher than this over the cloth, mm. */
const RAISED_MM = 0.8;

/** Whether a part is raised work: its stitches stand up, or lie over padding. */
export function isRaised({ passes }: PlannedPart): boolean {
  return passes.some((pass) => pass.liftMm > RAISED_MM || stitchKind(pass.stitch).isRaised);
}
