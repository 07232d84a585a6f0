import { bisectRight } from 'd3-array';
import { stopMm, type PlannedPass, type WorkedThread } from '../work/index.ts';
import { FOLDED_STRANDS, WORKING_LENGTH } from '../materials/index.ts';
import { firstPlace, lastPlace } from '../stitches/index.ts';

/** How working lengths are cut and lost, from the person's schools. */
export interface LoadSettings {
  readonly cutMm: number;
  readonly startMm: number;
  readonly travelMm: number;
}

/** What of a needle path decides its working lengths. */
export type LoadedRun = Pick<WorkedThread, 'path' | 'usedMm' | 'breaks'> & {
  readonly pass: Pick<PlannedPass, 'stitch' | 'strands'>;
  /** Whether the needle was given away before it: what was left of its thread is threaded again. */
  readonly isThreaded?: boolean;
};

/** What lies on the way of one run beside its stitches. */
export interface RunWay {
  /** How often one load is fastened off and begun anew elsewhere. */
  readonly restarts: number;
  /** Whether it begins with what was left of a length that had been taken off the needle. */
  readonly isRethreaded: boolean;
  /** Thread carried behind from place to place, mm. */
  readonly carriedMm: number;
  /** The longest of these ways, mm. */
  readonly longestMm: number;
}

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
  /** How many lengths are threaded. */
  readonly loads: number;
  /** How often one load is fastened off and begun anew elsewhere. */
  readonly restarts: number;
  /** How often what was left of a length is threaded again. */
  readonly rethreadings: number;
  /** An entry for each run. */
  readonly ways: readonly RunWay[];
  /** The length of each cut, mm. */
  readonly cutMm: number;
  /** Needle thread that is not on the piece: starts, ends, what was too short to go on with. */
  readonly lostMm: number;
}

/** Thread is added up in single precision, mm. */
const ROUNDING_MM = 0.05;

/**
 * Follows the needle through passes in their order of working: a length serves until what must stay for fastening off is
 * all that is left, at the end of a stitch; a stitch too long for one length takes several, joined. Near places are reached behind the cloth, far ones by fastening off.
 */
export function countLoads(runs: readonly LoadedRun[], settings: LoadSettings): Loads {
  const { travelMm } = settings;
  const [takenMm, needleMm] = lengthOf(
    runs.some(({ pass }) => pass.strands === FOLDED_STRANDS),
    settings,
  );
  const portions: LoadPortion[][] = [];
  const ways: RunWay[] = [];
  let [left, worked] = [0, 0];
  let [lastX, lastY] = [0, 0];
  for (const [number, run] of runs.entries()) {
    const usable = needleMm - settings.startMm - stopMm(run.pass.stitch);
    const bounds = [0, ...run.breaks, run.usedMm.length];
    let [restarts, carriedMm, longestMm, isRethreaded] = [0, 0, 0, false];
    for (let i = 0; i + 1 < bounds.length; i++) {
      const [from, to] = [bounds[i]!, bounds[i + 1]!];
      if (from >= to) continue;
      const [x, y] = firstPlace(run.path, from);
      const way = Math.hypot(x - lastX, y - lastY);
      if (left > 0) {
        const afterRestart = left - WORKING_LENGTH.workedInMm - WORKING_LENGTH.restartMm;
        const isTaken = i === 0 && run.isThreaded === true;
        if (way <= travelMm && left - way > 0 && !isTaken) {
          left -= way;
          carriedMm += way;
          longestMm = Math.max(longestMm, way);
        } else if (afterRestart >= WORKING_LENGTH.leastToRestartMm) {
          if (isTaken) isRethreaded = true;
          else restarts++;
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
        let used = run.usedMm[next - 1]! - before;
        worked += used;
        // A laid thread that is longer than one length takes several, joined end to end; each of them is used up before the next.
        for (; used > left + ROUNDING_MM; left = usable) {
          portions.at(-1)!.push({ run: number, from: done, to: done, usedMm: left });
          portions.push([]);
          used -= left;
        }
        portions.at(-1)!.push({ run: number, from: done, to: next, usedMm: used });
        left = Math.max(0, left - used);
        done = next;
      }
      [lastX, lastY] = lastPlace(run.path, to);
    }
    ways.push({ restarts, isRethreaded, carriedMm, longestMm });
  }
  const loads = portions.length;
  const restarts = ways.reduce((sum, way) => sum + way.restarts, 0);
  const rethreadings = ways.filter((way) => way.isRethreaded).length;
  return {
    portions,
    loads,
    restarts,
    rethreadings,
    ways,
    cutMm: takenMm,
    lostMm: Math.max(0, loads * needleMm - worked),
  };
}

/** A length as it is cut, and as it is on the needle: twelve strands are six, folded. */
function lengthOf(isFolded: boolean, { cutMm }: LoadSettings): [takenMm: number, needleMm: number] {
  return isFolded ? [WORKING_LENGTH.foldedCutMm, WORKING_LENGTH.foldedCutMm / 2] : [cutMm, cutMm];
}

/** How much of a length can be worked in a stitch, mm. */
export function usableMm({ stitch, strands }: LoadedRun['pass'], settings: LoadSettings): number {
  const [, needleMm] = lengthOf(strands === FOLDED_STRANDS, settings);
  return needleMm - settings.startMm - stopMm(stitch);
}
