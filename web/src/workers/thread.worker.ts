import { Planner, savings, willReach, type Reach } from '@junctura/core/advice';
import { applyEdit } from '@junctura/core/piece';
import { drawNeeds, USUAL_SPREAD } from '@junctura/core/plan';
import type { ThreadReply, ThreadRequest } from './threadMessages.ts';

const keyOf = ({ need }: Reach): string => `${need.shade.range} ${need.shade.code} ${need.lot ?? ''}`;

function answer(request: ThreadRequest): ThreadReply {
  const { ticket } = request;
  try {
    if (request.type === 'odds') {
      const { needs, runs, handSpread } = request;
      const drawn = drawNeeds(
        needs.map(({ loads }) => loads),
        runs,
        { ...USUAL_SPREAD, hand: handSpread },
      );
      let enough = 0;
      for (let run = 0; run < runs; run++) {
        if (needs.every(({ share }, i) => drawn[i]![run]! <= share)) enough++;
      }
      return { type: 'odds', ticket, all: enough / runs };
    }
    const { piece, box, own, shade } = request;
    const planner = new Planner();
    const { plan } = planner.plan(piece, 1, own);
    const reach = willReach(piece, plan, box, own.handSpread).find((entry) => keyOf(entry) === shade);
    if (!reach) return { type: 'savings', ticket, savings: [] };
    const found = savings(piece, plan, reach, box, (edit) => {
      const outcome = applyEdit(piece, edit);
      if (!outcome.ok) throw new Error(outcome.problem);
      return { piece: outcome.value, plan: planner.plan(outcome.value, 1, own).plan };
    });
    return { type: 'savings', ticket, savings: found };
  } catch (error) {
    return { type: 'failed', ticket, problem: error instanceof Error ? error.message : String(error) };
  }
}

self.onmessage = ({ data }: MessageEvent<ThreadRequest>) => self.postMessage(answer(data));
