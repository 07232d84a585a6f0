import { DEFAULT_THREAD } from '../materials/index.ts';
import { onDrawing, type PlacedShape } from '../drawing/index.ts';
import { PASS_ROLES, plainPass, type Pass, type PassRole } from '../piece/index.ts';
import type { StitchId } from '../stitches/index.ts';
import { rolesOn } from './roles.ts';
import type { SettledPass } from './settled.ts';

/** The stitch that a new layer of a role begins with, and its strands. */
const FIRST_CHOICE: Readonly<Record<PassRole, readonly [stitch: StitchId, strands: number]>> = {
  padding: ['satin', 2],
  edge: ['split', 1],
  filling: ['satin', 2],
  beside: ['stem', 1],
  outline: ['stem', 1],
  vein: ['stem', 1],
  accent: ['straight', 1],
};
/** A second line begins so far to the left of the first, mm. */
const BESIDE_MM = 1.5;
/** Padding under a line is a running stitch along it. */
const UNDER_A_LINE: readonly [stitch: StitchId, strands: number] = ['running', 2];

/**
 * The passes of a part with one more layer, put where it is usually worked: padding first, then the firm edge, the filling, the
 * outline, the vein, accents last.
 */
export function withNewPass(passes: readonly Pass[], role: PassRole, { kind, widest, toCloth }: PlacedShape): Pass[] {
  if (!rolesOn(kind).includes(role)) return [...passes];
  const [stitch, strands] = role === 'padding' && kind === 'line' ? UNDER_A_LINE : FIRST_CHOICE[role];
  const filling = passes.find((pass) => pass.role === 'filling');
  const layer: Pass = {
    ...plainPass(stitch, filling?.thread ?? DEFAULT_THREAD, strands),
    role,
    insetMm: role === 'beside' ? BESIDE_MM : 0,
    // Padding lies across what covers it.
    angleDeg: role === 'padding' && filling?.angleDeg != null ? (filling.angleDeg + 90) % 180 : null,
    points: role === 'accent' && widest ? [onDrawing(toCloth, widest.x, widest.y)] : [],
  };
  return inWorkingOrder([...passes, layer]);
}

/** Layers in the order in which they are usually worked; those of one role stay in theirs. */
export function inWorkingOrder(passes: readonly Pass[]): Pass[] {
  return [...passes].sort((a, b) => PASS_ROLES.indexOf(a.role) - PASS_ROLES.indexOf(b.role));
}

/** A proposed layer as a part keeps it. */
export function asPass({ reason: _reason, ...pass }: SettledPass): Pass {
  return pass;
}
