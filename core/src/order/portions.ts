import { placeAt } from '../geometry/index.ts';
import { innerHalvesMm, type HoopSize } from '../materials/index.ts';
import { Memory, stage } from '../measure/index.ts';
import type { Hoop, HoopPlace } from '../piece/index.ts';
import type { PlannedPart, WorkedThread } from '../work/index.ts';
import { hoopAt, insideEllipseMm } from '../drawing/index.ts';
import { sizeOf } from './positions/units.ts';
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
  readonly size: HoopSize;
  readonly middles: readonly HoopPlace[];
}

/** A thread that no one position holds, by positions: each stitch in the first that holds where it begins, else in the nearest. */
export const PORTIONS = stage<ThreadInPositions>()(
  'portions',
  ['thread', 'size', 'middles'],
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
  middles: readonly HoopPlace[],
  memory: Memory,
): readonly Portion[] {
  const thread = passes[layer]!.threads[shade]!;
  return memory.made(PORTIONS, [part.id], { thread, size: sizeOf(hoop), middles }, `${layer} ${shade}`);
}

/** The thread of a step: all of it, or what of it lies in its position or zone; undefined where there is no such step. */
export function threadOfStep(
  planned: PlannedPart | undefined,
  step: Pick<WorkStep, 'layer' | 'shade' | 'position' | 'isPortion' | 'zone'>,
  hoop: Hoop | null,
  middles: readonly HoopPlace[],
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

function positionsOfStitches({ thread, size, middles }: ThreadInPositions): Uint8Array {
  const { xy, starts } = thread.path;
  const rings = middles.map((place) => ({ place, halves: innerHalvesMm(hoopAt(size, place)) }));
  return Uint8Array.from(starts, (move) => {
    const [x, y] = placeAt(xy, move);
    const inside = rings.map(({ place, halves }) => insideEllipseMm(x - place[0], y - place[1], ...halves));
    const held = inside.findIndex((mm) => mm >= 0);
    return held >= 0 ? held : inside.indexOf(Math.max(...inside));
  });
}
