import { innerHalvesMm } from '../materials/index.ts';
import type { Hoop } from '../piece/index.ts';
import type { StitchPath } from '../stitches/index.ts';
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

const known = new WeakMap<WorkedThread, { readonly key: string; readonly portions: readonly Portion[] }>();

/** A thread that no one position holds, by positions: each stitch in the first that holds where it begins, else in the nearest. */
export function portionsOf(
  thread: WorkedThread,
  hoop: Hoop,
  middles: readonly (readonly [number, number])[],
): readonly Portion[] {
  const key = JSON.stringify([hoop.nominalMm, hoop.shortMm, middles]);
  const before = known.get(thread);
  if (before?.key === key) return before.portions;
  const positions = positionsOfStitches(thread.path, hoop, middles);
  const portions = middles.flatMap((_, position): Portion[] => {
    const portion = threadWhere(thread, (stitch) => positions[stitch] === position);
    return portion ? [{ position, thread: portion }] : [];
  });
  known.set(thread, { key, portions });
  return portions;
}

/** The thread of a step: all of it, or what of it lies in its position or zone; undefined where there is no such step. */
export function threadOfStep(
  planned: PlannedPart | undefined,
  step: Pick<WorkStep, 'layer' | 'shade' | 'position' | 'isPortion' | 'zone'>,
  hoop: Hoop | null,
  middles: readonly (readonly [number, number])[],
): WorkedThread | undefined {
  const pass = planned?.passes[step.layer];
  const thread = pass?.threads[step.shade];
  if (pass && step.zone > 0) return zonesOf(pass)?.[step.shade]?.find(({ zone }) => zone === step.zone)?.thread;
  if (!thread || !step.isPortion || !hoop) return thread;
  return portionsOf(thread, hoop, middles).find(({ position }) => position === step.position)?.thread;
}

function positionsOfStitches(
  { xy, starts }: StitchPath,
  hoop: Hoop,
  middles: readonly (readonly [number, number])[],
): Uint8Array {
  const [a, b] = innerHalvesMm(hoop);
  return Uint8Array.from(starts, (move) => {
    const [x, y] = [xy[2 * move]!, xy[2 * move + 1]!];
    const inside = middles.map(([mx, my]) => insideEllipseMm(x - mx, y - my, a, b));
    const held = inside.findIndex((mm) => mm >= 0);
    return held >= 0 ? held : inside.indexOf(Math.max(...inside));
  });
}
