import { onDrawing, type PlacedShape } from '../drawing/index.ts';
import { PASS_ROLES, plainPass, type Pass, type PassRole } from '../piece/index.ts';
import type { StitchId } from '../stitches/index.ts';
import { rolesOn } from './roles.ts';

/** The stitch that a new layer of a role begins with, and its strands. */
const FIRST_CHOICE: Readonly<Record<PassRole, readonly [stitch: StitchId, strands: number]>> = {
  padding: ['satin', 2],
  edge: ['split', 1],
  filling: ['satin', 2],
  outline: ['stem', 1],
  vein: ['stem', 1],
  accent: ['straight', 1],
};
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
    ...plainPass(stitch, filling?.thread ?? 'stranded-cotton', strands),
    role,
    // Padding lies across what covers it.
    angleDeg: role === 'padding' && filling?.angleDeg != null ? (filling.angleDeg + 90) % 180 : null,
    points: role === 'accent' && widest ? [onDrawing(toCloth, widest.x, widest.y)] : [],
  };
  const order = (given: PassRole): number => PASS_ROLES.indexOf(given);
  const at = passes.findIndex((pass) => order(pass.role) > order(role));
  return at < 0 ? [...passes, layer] : [...passes.slice(0, at), layer, ...passes.slice(at)];
}
