import { bisectRight } from 'd3-array';
import type { PlannedPass, WorkedThread } from '../work/index.ts';
import { FOLDED_STRANDS, SECONDS, UNPICKED_TIME, WORKING_LENGTH } from '../materials/index.ts';
import { Move, stitchKind } from '../stitches/index.ts';

/** How working lengths are cut and lost, from the person's schools. */
export interface LoadSettings {
  readonly cutMm: number;
  readonly startMm: number;
  readonly travelMm: number;
}

/** What of a needle path decides its working lengths. */
export type LoadedRun = Pick<WorkedThread, 'path' | 'usedMm' | 'breaks'> & {
  readonly pass: Pick<PlannedPass, 'stitch' | 'strands'>;
};

/** A stretch of a run that one load works: stitches `from` to just before `to`. */
export interface LoadPortion {
  /** The number of the run. */
  readonly run: number;
  readonly from: number;
  readonly to: number;
  /** Needle thread that it takes, mm. */
  readonly usedMm: number;
}

/** The needle loads that a run of passes in one colour, thread and strand count takes. */
export interface Loads {
  /** What each load works, in the order of working. */
  readonly portions: readonly (readonly LoadPortion[])[];
  /** How often a needle is threaded. */
  readonly loads: number;
  /** How often one load is fastened off and begun anew elsewhere. */
  readonly restarts: number;
  /** The length of each cut, mm. */
  readonly cutMm: number;
  /** Needle thread that is not on the piece: starts, ends, what was too short to go on with. */
  readonly lostMm: number;
}

/** With less than this to work with, a new length is taken rather than the old one begun again. */
const LEAST_TO_RESTART_MM = 60;

/**
 * Follows the needle through passes in their order of working: a length serves until what must stay for fastening off is
 * all that is left, at the end of a stitch. Near places are reached behind the cloth, far ones by fastening off.
 */
export function countLoads(runs: readonly LoadedRun[], { cutMm, startMm, travelMm }: LoadSettings): Loads {
  const isFolded = runs.some(({ pass }) => pass.strands === FOLDED_STRANDS);
  const takenMm = isFolded ? WORKING_LENGTH.foldedCutMm : cutMm;
  const needleMm = isFolded ? takenMm / 2 : takenMm;
  const portions: LoadPortion[][] = [];
  let [restarts, left, worked] = [0, 0, 0];
  let [lastX, lastY] = [0, 0];
  for (const [number, run] of runs.entries()) {
    const usable = needleMm - startMm - stopMm(run.pass.stitch);
    const bounds = [0, ...run.breaks, run.usedMm.length];
    for (let i = 0; i + 1 < bounds.length; i++) {
      const [from, to] = [bounds[i]!, bounds[i + 1]!];
      if (from >= to) continue;
      const [x, y] = firstPoint(run, from);
      const way = Math.hypot(x - lastX, y - lastY);
      if (left > 0) {
        const afterRestart = left - WORKING_LENGTH.workedInMm - WORKING_LENGTH.restartMm;
        if (way <= travelMm && left - way > 0) left -= way;
        else if (afterRestart >= LEAST_TO_RESTART_MM) {
          restarts++;
          left = afterRestart;
        } else left = 0;
      }
      let done = from;
      while (done < to) {
        const before = done === 0 ? 0 : run.usedMm[done - 1]!;
        let next = left > 0 ? bisectRight(run.usedMm, before + left, done, to) : done;
        if (next === done) {
          portions.push([]);
          left = usable;
          next = Math.max(done + 1, bisectRight(run.usedMm, before + left, done, to));
        }
        const used = run.usedMm[next - 1]! - before;
        worked += used;
        portions.at(-1)!.push({ run: number, from: done, to: next, usedMm: used });
        left = Math.max(0, left - used);
        done = next;
      }
      [lastX, lastY] = lastPoint(run, to);
    }
  }
  const loads = portions.length;
  return { portions, loads, restarts, cutMm: takenMm, lostMm: Math.max(0, loads * needleMm - worked) };
}

/** What one layer takes by itself, with threading, fastening off and what is unpicked, s. */
export function secondsAlone(pass: PlannedPass, settings: LoadSettings): number {
  const { loads } = countLoads([{ ...pass.threads[0]!, pass }], settings);
  return pass.quantities.seconds * (1 + UNPICKED_TIME) + loads * (SECONDS.thread + SECONDS.fastenOff);
}

/** What must be left on the needle to fasten off; wraps need room. */
export function stopMm(stitch: PlannedPass['stitch']): number {
  if (stitch === 'bullion') return WORKING_LENGTH.stopForBullionsMm;
  return stitchKind(stitch).needle === 'wrapping' ? WORKING_LENGTH.stopForKnotsMm : WORKING_LENGTH.stopMm;
}

function firstPoint({ path }: LoadedRun, stitch: number): [number, number] {
  const move = path.starts[stitch]!;
  return [path.xy[2 * move]!, path.xy[2 * move + 1]!];
}

/** Moves at which a stitch ends. */
const PLACES: ReadonlySet<number> = new Set([Move.down, Move.via, Move.under]);

function lastPoint({ path }: LoadedRun, stitch: number): [number, number] {
  let move = (path.starts[stitch] ?? path.codes.length) - 1;
  while (move > 0 && !PLACES.has(path.codes[move]!)) move--;
  return [path.xy[2 * move]!, path.xy[2 * move + 1]!];
}
