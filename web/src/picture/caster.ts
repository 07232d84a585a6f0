import type { Region } from '@junctura/core/geometry';
import type { WorkStep } from '@junctura/core/order';
import type { PlannedPart, PlannedPass } from '@junctura/core/work';

/** What throws shade on what lies below: each run of a thread, or all that a layer covers, as one; null: that is thrown by another thread of it. */
export type Caster = 'runs' | Region | null;

/** Stitches that lie this close, as a share of what they lie on, throw their shade as one. */
const CLOSE_FROM = 0.75;

/** What throws the shade of a step’s thread. */
export function casterOf({ placed }: PlannedPart, pass: PlannedPass, { shade, isPortion, zone }: WorkStep): Caster {
  const { areaMm2 } = placed;
  const isClose = areaMm2 > 0 && pass.role !== 'edge' && pass.quantities.frontMm * pass.laidMm > CLOSE_FROM * areaMm2;
  if (!isClose || isPortion || zone > 0) return 'runs';
  return shade === 0 ? placed.shape.region : null;
}
