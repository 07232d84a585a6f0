import { spreadOfPositions } from '../drawing/index.ts';
import { hoopNeeds } from '../materials/index.ts';
import { Memory } from '../measure/index.ts';
import { endOf, type End, type Piece } from '../piece/index.ts';
import type { Plan } from '../thread/index.ts';
import type { OwnFactors } from '../work/index.ts';
import { careWords, stepsBefore } from './before.ts';
import { contextOf, plainLook, WALL, type EndPlan, type FinishContext } from './context.ts';
import { mounted } from './ends/board.ts';
import { card } from './ends/card.ts';
import { framed } from './ends/framed.ts';
import { ornament } from './ends/ornament.ts';
import { cushion, garment, hemmed } from './ends/panels.ts';
import { patch } from './ends/patch.ts';
import { whitework } from './ends/whitework.ts';
import type { FinishPlan, FinishProblem } from './kinds.ts';
import { lostMm2 } from './keptOf.ts';
import * as say from './words.ts';
import { scrapsOf } from './scraps.ts';

const PLANS: Readonly<Record<End, (context: FinishContext) => EndPlan>> = {
  framed,
  board: mounted,
  patch,
  ornament,
  card,
  cushion,
  garment,
  whitework,
  hemmed,
};

/**
 * How a piece is finished: steps in a sound order, what they take, templates, how it will look. Computed from its outline, cloth, mark and
 * thread; edges are worked as needle paths.
 * @param own how the person works, where the piece does not say
 */
export function finishPlan(piece: Piece, plan: Plan, own: OwnFactors, memory = new Memory()): FinishPlan {
  const context = contextOf(piece, plan, own, memory);
  if (!context) {
    return {
      end: endOf(piece),
      steps: [],
      materials: [],
      templates: [],
      problems: [{ id: 'nothing-stitched', stops: true, text: 'There is nothing to finish yet: add a drawing first.' }],
      look: plainLook([], WALL),
      clothMm: null,
      hasDrawn: false,
      care: '',
      seconds: 0,
      threadMm: 0,
    };
  }
  const before = stepsBefore(context);
  const ended = PLANS[context.end](context);
  const { first = [], anchors = [], steps: after, materials, templates, problems, look, clothMm } = ended;
  const scraps = scrapsOf(context);
  const dry = before.steps.findIndex(({ id }) => id === 'tails') + 1;
  const steps = [...first, ...before.steps.slice(0, dry), ...anchors, ...before.steps.slice(dry), ...after];
  return {
    end: context.end,
    steps,
    materials: [...materials, ...scraps.materials],
    templates: [...templates, ...scraps.templates],
    problems: [
      ...before.problems,
      ...problems,
      ...holdsNot(context, problems, look.form),
      ...clothShort(piece, clothMm),
    ],
    clothMm: clothMm ?? null,
    look,
    hasDrawn: context.drawn !== null,
    care: careWords(context),
    seconds: steps.reduce((sum, { seconds }) => sum + seconds, 0),
    threadMm: look.edges.reduce((sum, { pass }) => sum + pass.quantities.threadMm, 0),
  };
}

/** Nothing cuts into work: what would is said with how much is lost. */
function holdsNot(
  { worked, end }: FinishContext,
  problems: readonly FinishProblem[],
  form: FinishPlan['look']['form'],
): FinishProblem[] {
  const lost = problems.some(({ stops }) => stops) ? 0 : lostMm2(worked, form);
  return lost > 0 ? [{ id: 'cuts-into-work', stops: true, text: say.cutsInto(end === 'framed', lost / 100) }] : [];
}

/** The cloth that is cut for the hoop may be less than the finished thing takes. */
function clothShort(piece: Piece, clothMm: EndPlan['clothMm']): FinishProblem[] {
  if (!piece.hoop || !clothMm) return [];
  const { clothAcrossMm, clothUprightMm } = hoopNeeds(piece.hoop, spreadOfPositions(piece));
  if (clothMm[0] <= clothAcrossMm + 1 && clothMm[1] <= clothUprightMm + 1) return [];
  const text = say.cutLarger(clothMm, [clothAcrossMm, clothUprightMm]);
  return [{ id: 'cloth-too-small', stops: false, text }];
}
