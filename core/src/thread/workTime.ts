import { sum } from 'd3-array';
import { SECONDS, UNPICKED_TIME } from '../materials/index.ts';
import type { PlannedPass } from '../work/index.ts';
import { countLoads, type LoadSettings } from './loads.ts';
import { stepSeconds } from './needs.ts';
import type { Plan } from './plan.ts';

/** The time that stitches take, with what is unpicked, and apart from it what their thread takes: threading, fastening off, changing, s. */
export interface WorkTime {
  readonly stitchSeconds: number;
  readonly aroundSeconds: number;
}

/** What one layer takes by itself, with nothing before or after it in the same thread. */
export function timeAlone(pass: PlannedPass, settings: LoadSettings): WorkTime {
  const counted = pass.threads.map((thread) => countLoads([{ ...thread, pass }], settings));
  const [lengths, restarts] = [sum(counted, ({ loads }) => loads), sum(counted, (one) => one.restarts)];
  return {
    stitchSeconds: pass.quantities.seconds * (1 + UNPICKED_TIME),
    aroundSeconds: lengths * (SECONDS.thread + SECONDS.fastenOff) + restarts * SECONDS.fastenOff,
  };
}

/** What a layer of a part takes in the order of work: all its steps, as the order counts them. */
export function timeOfLayer({ order, work }: Pick<Plan, 'order' | 'work'>, part: string, layer: number): WorkTime {
  let [stitchSeconds, aroundSeconds] = [0, 0];
  order.forEach((step, i) => {
    if (step.part !== part || step.layer !== layer) return;
    stitchSeconds += work[i]?.stitchSeconds ?? 0;
    aroundSeconds += work[i]?.aroundSeconds ?? 0;
  });
  return { stitchSeconds, aroundSeconds };
}

/** What each part takes in the order of work, by its id, s. */
export function secondsByPart({ order, work }: Pick<Plan, 'order' | 'work'>): Map<string, number> {
  const seconds = new Map<string, number>();
  order.forEach(({ part }, i) => seconds.set(part, (seconds.get(part) ?? 0) + stepSeconds(work[i])));
  return seconds;
}
