import { finishPlan } from '@junctura/core/finish';
import { roundTo } from '@junctura/core/measure';
import type { Piece } from '@junctura/core/piece';
import type { Plan } from '@junctura/core/thread';
import { USUAL_FACTORS } from '@junctura/core/work';

/** How a piece is finished, as the headless planner tells it. */
export function finishReport(piece: Piece, plan: Plan): object {
  const { end, steps, materials, problems, templates, care, seconds, threadMm } = finishPlan(
    piece,
    plan,
    USUAL_FACTORS,
  );
  return {
    end,
    steps: steps.map((step) => ({
      id: step.id,
      text: step.text,
      amounts: Object.fromEntries(Object.entries(step.amounts).map(([name, value]) => [name, roundTo(value, 4)])),
      seconds: roundTo(step.seconds, 1),
      caution: step.caution,
    })),
    materials: materials.map((material) => ({ ...material, quantity: roundTo(material.quantity, 4) })),
    templates: templates.map(({ id, name }) => ({ id, name })),
    problems,
    care,
    seconds: roundTo(seconds, 1),
    threadMm: roundTo(threadMm, 4),
  };
}
