import { innerHalvesMm } from '../materials/index.ts';
import type { Hoop } from '../piece/index.ts';
import { MoveRecorder, type StitchPath } from '../stitches/index.ts';
import type { PlannedPart, WorkedThread } from '../work/index.ts';
import { insideEllipseMm } from '../drawing/index.ts';
import type { WorkStep } from './workOrder.ts';

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
    const portion = stitchesOf(thread, positions, position);
    return portion ? [{ position, thread: portion }] : [];
  });
  known.set(thread, { key, portions });
  return portions;
}

/** The thread of a step: all of it, or the portion that its position holds; undefined where there is no such step. */
export function threadOfStep(
  planned: PlannedPart | undefined,
  step: Pick<WorkStep, 'layer' | 'shade' | 'position' | 'isPortion'>,
  hoop: Hoop | null,
  middles: readonly (readonly [number, number])[],
): WorkedThread | undefined {
  const thread = planned?.passes[step.layer]?.threads[step.shade];
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

/** The stitches of one position as a thread of their own; its measures are its share. Null where none lie there. */
function stitchesOf(thread: WorkedThread, positions: Uint8Array, position: number): WorkedThread | null {
  const { path, usedMm, breaks, quantities } = thread;
  const { codes, xy, starts, shades } = path;
  const isBreak = new Set(breaks);
  const recorder = new MoveRecorder();
  const used: number[] = [];
  const ownBreaks: number[] = [];
  let sum = 0;
  let last = -1;
  for (let stitch = 0; stitch < starts.length; stitch++) {
    if (positions[stitch] !== position) continue;
    if (used.length > 0 && (last !== stitch - 1 || isBreak.has(stitch))) ownBreaks.push(used.length);
    last = stitch;
    sum += usedMm[stitch]! - (stitch > 0 ? usedMm[stitch - 1]! : 0);
    used.push(sum);
    recorder.shade(shades[stitch]!);
    recorder.stitch();
    const end = starts[stitch + 1] ?? codes.length;
    for (let i = starts[stitch]!; i < end; i++) recorder.push(codes[i]!, xy[2 * i]!, xy[2 * i + 1]!);
  }
  if (used.length === 0) return null;
  const share = quantities.threadMm > 0 ? sum / quantities.threadMm : 0;
  return {
    ...thread,
    path: recorder.path(),
    usedMm: Float32Array.from(used),
    breaks: ownBreaks,
    carriedMm: thread.carriedMm * share,
    quantities: {
      stitches: used.length,
      frontMm: quantities.frontMm * share,
      backMm: quantities.backMm * share,
      wrapMm: quantities.wrapMm * share,
      throughMm: quantities.throughMm * share,
      threadMm: sum,
      seconds: (quantities.seconds * used.length) / quantities.stitches,
    },
  };
}
