import {
  guidedField,
  regionArea,
  simplifyRegion,
  splitByLine,
  WOBBLE_MM,
  type Region,
} from '../../../geometry/index.ts';
import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { keepsOf, shadesOf } from '../../shared/shading.ts';
import { workSatin } from '../../shared/satinSpans.ts';
import { WIDEST_FIELD_MM2 } from '../../shared/limits.ts';
import { veinOf, type Vein } from '../../shared/vein.ts';

/** A vein that turns by less than this from end to end is straight, and so are the stitches on either side of it. */
const STRAIGHT_RAD = 0.14;

/** Two halves of satin, each from its edge slanting down to the vein. */
export function workSatinLeaf(
  { region }: StitchShape,
  { spacingMm, slantDeg, tip }: { spacingMm: number; slantDeg: number; tip: 'narrow' | 'other' },
  context: StitchContext,
  sink: MoveSink,
): void {
  const vein = veinOf(region, context.vein, tip === 'other');
  if (!vein) return workSatin(region, { spacingMm, from: 'edge' }, context, sink);
  const { left, right } = splitByLine(simplifyRegion(region, WOBBLE_MM), vein.line.points);
  const slant = (slantDeg * Math.PI) / 180;
  const shadeAt = shadesOf(context);
  const top = vein.place(vein.lengthMm);
  const shadeOf = shadeAt && ((x: number, y: number): number => shadeAt(x, y, fromTip(vein, x, y), top));
  const keeps = keepsOf(context);
  const half = (side: Region, turn: number): void =>
    workSatin(side, { spacingMm, from: 'edge' }, { ...context, ...slanting(vein, side, turn) }, sink, shadeOf, keeps);
  half(left, slant);
  half(right, -slant);
}

/** The vein is looked at in this many places. */
const LOOKS = 60;

/** How far down the vein from its tip the nearest place of it lies, as a share. */
function fromTip({ lengthMm, place }: Vein, x: number, y: number): number {
  const wayTo = (k: number): number => {
    const at = place((k / LOOKS) * lengthMm);
    return (at.x - x) ** 2 + (at.y - y) ** 2;
  };
  let best = 0;
  for (let k = 1; k <= LOOKS; k++) if (wayTo(k) < wayTo(best)) best = k;
  return Math.min(1 - 1e-9, 1 - best / LOOKS);
}

/** The direction of one half: at one angle to the vein, all along it. */
function slanting(vein: Vein, side: Region, turn: number): Pick<StitchContext, 'angleRad' | 'field'> {
  const angles = [0.1, 0.3, 0.5, 0.7, 0.9].map((share) => {
    const { dx, dy } = vein.place(share * vein.lengthMm);
    return Math.atan2(-dy, dx);
  });
  const [first] = angles;
  const apart = angles.map((angle) => Math.atan2(Math.sin(angle - first!), Math.cos(angle - first!)));
  const turns = Math.max(...apart) - Math.min(...apart);
  const isStraight = turns < STRAIGHT_RAD || regionArea(side) > WIDEST_FIELD_MM2;
  if (isStraight) return { angleRad: first! + apart[2]! + turn, field: undefined };
  return { angleRad: 0, field: guidedField([vein.line], side, turn) };
}
