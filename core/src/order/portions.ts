import { placeAt } from '../geometry/index.ts';
import { innerHalvesMm } from '../materials/index.ts';
import { Memory, stage } from '../measure/index.ts';
import type { Hoop } from '../piece/index.ts';
import type { PlannedPart, WorkedThread } from '../work/index.ts';
import { insideEllipseMm } from '../drawing/index.ts';
import type { WorkStep } from './workOrder.ts';
import { threadWhere } from './threadWhere.ts';
import { zonesOf } from './zones.ts';

/** The portion of a thread that is worked in one position of the hoop. */
export interface Portion {
  readonly position: number;
  readonly thread: WorkedThread;
}

interface ThreadInPositions {
  readonly thread: WorkedThread;
  readonly room: readonly [a: number, b: number];
  readonly middles: readonly (readonly [number, number])[];
}

/** A thread that no one position holds, by positions: each stitch in the first that holds where it begins, else in the nearest. */
export const PORTIONS = stage<ThreadInPositions>()(
  'portions',
  ['thread', 'room', 'middles'],
  (given): readonly Portion[] => {
    const positions = positionsOfStitches(given);
    return given.middles.flatMap((_, position): Portion[] => {
      const portion = threadWhere(given.thread, (stitch) => positions[stitch] === position);
      return portion ? [{ position, thread: portion }] : [];
    });
  },
);

/** The portions of a thread of a part, by positions of the hoop. */
export function portionsOf(
  { part, passes }: PlannedPart,
  { layer, shade }: Pick<WorkStep, 'layer' | 'shade'>,
  hoop: Hoop,
  middles: readonly (readonly [number, number])[],
  memory: Memory,
): readonly Portion[] {
  const thread = passes[layer]!.threads[shade]!;
  return memory.made(PORTIONS, [part.id], { thread, room: innerHalvesMm(hoop), middles }, `${layer} ${shade}`);
}

/** The thread of a step: all of it, or what of it lies in its position or zone; undefined where there is no such step. */
export function threadOfStep(
  planned: PlannedPart | undefined,
  step: Pick<WorkStep, 'layer' | 'shade' | 'position' | 'isPortion' | 'zone'>,
  hoop: Hoop | null,
  middles: readonly (readonly [number, number])[],
  memory = new Memory(),
): WorkedThread | undefined {
  const pass = planned?.passes[step.layer];
  const thread = pass?.threads[step.shade];
  if (!planned || !pass) return undefined;
  if (step.zone > 0) {
    return zonesOf(planned, step.layer, memory)?.[step.shade]?.find(({ zone }) => zone === step.zone)?.thread;
  }
  if (!thread || !step.isPortion || !hoop) return thread;
  return portionsOf(planned, step, hoop, middles, memory).find(({ position }) => position === step.position)?.thread;
}

function positionsOfStitches({ thread, room: [a, b], middles }: ThreadInPositions): Uint8Array {
  const { xy, starts } = thread.path;
  return Uint8Array.from(starts, (move) => {
    const [x, y] = placeAt(xy, move);
    const inside = middles.map(([mx, my]) => insideEllipseMm(x - mx, y - my, a, b));
    const held = inside.findIndex((mm) => mm >= 0);
    return held >= 0 ? held : inside.indexOf(Math.max(...inside));
  });
}
