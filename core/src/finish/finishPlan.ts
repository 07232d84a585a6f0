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
import { cushion, garment } from './ends/panels.ts';
import { patch } from './ends/patch.ts';
import { whitework } from './ends/whitework.ts';
import type { FinishPlan } from './kinds.ts';
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
      care: '',
      seconds: 0,
      threadMm: 0,
    };
  }
  const before = stepsBefore(context);
  const { first = [], steps: after, materials, templates, problems, look } = PLANS[context.end](context);
  const scraps = scrapsOf(context);
  const steps = [...first, ...before.steps, ...after];
  return {
    end: context.end,
    steps,
    materials: [...materials, ...scraps.materials],
    templates: [...templates, ...scraps.templates],
    problems: [...before.problems, ...problems],
    look,
    care: careWords(context),
    seconds: steps.reduce((sum, { seconds }) => sum + seconds, 0),
    threadMm: look.edges.reduce((sum, { pass }) => sum + pass.quantities.threadMm, 0),
  };
}
