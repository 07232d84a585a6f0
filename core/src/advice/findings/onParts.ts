import { longestFreeRun, passesAsWorked, type PlannedPart } from '../../work/index.ts';
import { middleLine } from '../../geometry/index.ts';
import { laidWidthMm, markOf, strandChoices, threadKind, type ThreadId } from '../../materials/index.ts';
import { coveringStrands, withNewPass } from '../../propose/index.ts';
import { type StitchId, stitchKind } from '../../stitches/index.ts';
import { setShown, type Edit, type Pass, plainPass, groupMembers, type Part, setPasses } from '../../piece/index.ts';
import type { PartCase, Offer, Case } from '../finding.ts';
import * as say from '../words.ts';

/** What a remedy does to one part; nothing where the part is not planned. */
export function onPart({ piece, plan, finding }: Case, offers: (of: PartCase) => Offer[]): Offer[] {
  const planned = plan.parts.find(({ part }) => part.id === finding.part);
  return planned ? offers({ piece, plan, planned }) : [];
}

/** The last thing that one does about a part. */
export const LEAVE_OUT = 'Leave it out';

export function leftOut({ piece, planned }: PartCase): Offer {
  return [LEAVE_OUT, setShown(piece, [planned.part.id], false)];
}

export function switchTo(of: PartCase, stitch: StitchId): Edit | null {
  const toPass = ({ thread, strands }: Pass): Pass => {
    const isLine = stitchKind(stitch).worksOn === 'line' && thread === 'stranded-cotton';
    const enough = isLine ? coveringStrands(stitch, strands, markOf(of.piece.mark).lineMm) : strands;
    return plainPass(stitch, thread, Math.max(strands, enough));
  };
  return changeFilling(of, toPass, say.useStitch(stitchKind(stitch).inSentence));
}

/** A line of stem stitch along the middle of a filling, over it; null where it would not tie what is too long, or lies there already. */
export function tiedAlong({ piece, planned }: PartCase, limitMm: number): Edit | null {
  const { part, placed, passes } = planned;
  const filling = passes.find(({ role }) => role === 'filling');
  const middle = middleLine(placed.shape.region);
  if (!filling || !middle || passes.some(({ role }) => role === 'vein')) return null;
  if (longestFreeRun(filling.path, [middle]) > limitMm) return null;
  const layers = withNewPass(passesAsWorked(planned), 'vein', placed);
  return setPasses(piece, new Map([[part.id, layers]]), say.TIE_ALONG);
}

export function withStrands(of: PartCase, by: 1 | -1): Edit | null {
  const filling = of.planned.passes.find(({ role }) => role === 'filling');
  const strands = filling && nextStrands(filling, by);
  if (!filling || !strands) return null;
  // Finer, a line would leave its mark in view.
  const isLine = of.planned.placed.kind === 'line';
  const coverMm = stitchKind(filling.stitch).coverWidths * laidWidthMm(threadKind(filling.thread), strands);
  if (by < 0 && isLine && coverMm < markOf(of.piece.mark).lineMm) return null;
  const change = (pass: Pass): Pass => ({ ...pass, strands: nextStrands(pass, by) ?? pass.strands });
  return changeFilling(of, change, by > 0 ? 'Add a strand' : 'Use one strand fewer');
}

export function without(params: Pass['params'], key: string): Pass['params'] {
  return Object.fromEntries(Object.entries(params).filter(([name]) => name !== key));
}

/** The same change of the filling for a part and its group, each from its own passes: like parts may be turned. */
export function changeFilling(of: PartCase, change: (pass: Pass) => Pass, label: string): Edit | null {
  const filled = (member: PlannedPart): Pass[] =>
    passesAsWorked(member).map((pass) => (pass.role === 'filling' ? change(pass) : pass));
  return changePasses(of, filled, label);
}

/** Other passes for a part and its group, each from its own. */
export function changePasses(
  { piece, plan, planned }: PartCase,
  change: (member: PlannedPart) => Pass[],
  label: string,
): Edit | null {
  const members = new Set(groupMembers(piece, planned.part).map(({ id }: Part) => id));
  const changed = plan.parts
    .filter(({ part }) => members.has(part.id))
    .map((member) => [member.part.id, change(member)] as const);
  return setPasses(piece, new Map(changed), label);
}

/** The next strand count that a thread can give, up or down; null where there is none. */
function nextStrands({ thread, strands }: { thread: ThreadId; strands: number }, by: 1 | -1): number | null {
  const choices = strandChoices(threadKind(thread));
  return choices[choices.indexOf(strands) + by] ?? null;
}
