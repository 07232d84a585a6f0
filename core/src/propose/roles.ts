import { type ParamTable, type WorkedOn, type StitchId, stitchKind } from '../stitches/index.ts';
import type { Part, PassRole } from '../piece/index.ts';
import { WIDEST_SPOT_MM, type PlacedShape } from '../drawing/index.ts';
import { equalCircleMm } from '../geometry/index.ts';

/** An area is round where its widest circle fills at least this share of it. */
const ROUND_SHARE = 0.8;

/** Whether an area is so small and round that one spot stitch can stand for it. */
export function isSmallRound({ kind, areaMm2, widest }: PlacedShape): boolean {
  if (kind !== 'area' || !widest) return false;
  const isRound = Math.PI * widest.r ** 2 >= ROUND_SHARE * areaMm2;
  return isRound && equalCircleMm(areaMm2) <= WIDEST_SPOT_MM;
}

/** The roles that a pass can have on a part of a kind. */
export function rolesOn(kind: Part['kind']): readonly PassRole[] {
  if (kind === 'area') return ['padding', 'edge', 'filling', 'outline', 'vein', 'accent'];
  return kind === 'line' ? ['padding', 'filling', 'beside', 'accent'] : ['filling'];
}

/** What a pass of a role is worked on. */
function target(role: PassRole, kind: Part['kind']): WorkedOn {
  if (role === 'accent') return 'spot';
  if (role === 'padding' || role === 'filling') return kind;
  return 'line';
}

/** Whether a stitch can be worked on a part, as a layer of a role. */
export function canWork(stitch: StitchId, placed: PlacedShape, role: PassRole = 'filling'): boolean {
  if (!rolesOn(placed.kind).includes(role)) return false;
  const { worksOn } = stitchKind(stitch);
  if (worksOn === target(role, placed.kind)) return true;
  return role === 'filling' && worksOn === 'spot' && (isSmallRound(placed) || isShortLine(placed, stitch));
}

/** A line up to this long can be one knot, mm; one stitch as long as it can be. */
const SHORT_LINE_MM = 12;

/** Whether a line is so short that one stitch can stand for it. */
export function isShortLine({ kind, lengthMm }: PlacedShape, stitch: StitchId): boolean {
  const { lengthMm: length } = stitchKind(stitch).params as ParamTable;
  const most = length?.type === 'number' ? Math.max(SHORT_LINE_MM, length.max) : SHORT_LINE_MM;
  return kind === 'line' && lengthMm > 0 && lengthMm <= most;
}
