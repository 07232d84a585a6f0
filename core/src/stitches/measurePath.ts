import { LONG_SPAN_MM, LOOKING, SECONDS } from '../materials/index.ts';
import { Move, type StitchPath } from './moves.ts';
import { isOwnWay } from './ownWay.ts';

/** What a path is measured with. */
export interface MeasureSettings {
  readonly clothMm: number;
  /** The diameter of the needle thread as a round bundle, mm. */
  readonly bundleMm: number;
  readonly slack: number;
  /** The longest way behind that thread is carried, mm. */
  readonly travelMm: number;
  readonly pace: Pace;
}

/** How a stitch is paced beside its movements. */
export interface Pace {
  /** Finding the place for each stitch, s. */
  readonly findSeconds: number;
  /** By how much longer everything takes, to see where each stitch belongs. */
  readonly care: number;
}

/** Lengths are of the needle thread in mm, bare (without slack), except `threadMm`. */
export interface Quantities {
  readonly stitches: number;
  readonly frontMm: number;
  readonly backMm: number;
  readonly wrapMm: number;
  readonly throughMm: number;
  /** front + back + wraps + through, times (1 + slack). */
  readonly threadMm: number;
  readonly seconds: number;
}

/** The quantities of several paths together. */
export function quantitiesTogether(all: readonly Quantities[]): Quantities {
  const sum = (key: keyof Quantities): number => all.reduce((total, quantities) => total + quantities[key], 0);
  return {
    stitches: sum('stitches'),
    frontMm: sum('frontMm'),
    backMm: sum('backMm'),
    wrapMm: sum('wrapMm'),
    throughMm: sum('throughMm'),
    threadMm: sum('threadMm'),
    seconds: sum('seconds'),
  };
}

/** A path with its measures, and what is needed to cut its thread into working lengths. */
export interface MeasuredPath {
  readonly quantities: Quantities;
  /** Thread used, with slack, from the start of the path to the end of stitch k, mm. */
  readonly usedMm: Float32Array;
  /** The stitches before which the thread is fastened off, because the way there is too long. */
  readonly breaks: readonly number[];
  /** Thread carried behind from place to place, and the longest of these ways, mm. */
  readonly carriedMm: number;
  readonly longestCarryMm: number;
}

/** Reads lengths and time off a path in one pass over its moves. */
export function measurePath(path: StitchPath, settings: MeasureSettings): MeasuredPath {
  const { codes, xy, starts } = path;
  const { clothMm, bundleMm, travelMm, pace } = settings;
  const usedMm = new Float32Array(starts.length);
  const breaks: number[] = [];
  const withSlack = 1 + settings.slack;
  let [front, back, wrap, stabs, laid, turns, longSpans] = [0, 0, 0, 0, 0, 0, 0];
  let [x, y, isUnder, isTravel] = [0, 0, false, false];
  let [lift, passes, carriedMm, longestCarryMm] = [0, 0, 0, 0];
  let stitch = 0;
  // The way behind before the run that is under way, and how long that run and the one before are.
  let [way, run, lastRun] = [0, 0, 0];
  // Where the needle came up for the run before, and for the one that is under way.
  let [lastUpX, lastUpY, upX, upY] = [NaN, NaN, NaN, NaN];
  const endWay = (): void => {
    const isToPlace = isTravel || (way > travelMm && !isOwnWay(way, run, lastRun));
    if (isToPlace && way > travelMm) breaks.push(Math.max(0, stitch - 1));
    else {
      back += way;
      if (isToPlace) {
        carriedMm += way;
        if (way > longestCarryMm) longestCarryMm = way;
      }
    }
    [way, isTravel] = [0, false];
  };
  for (let i = 0; i < codes.length; i++) {
    while (stitch < starts.length && starts[stitch] === i) {
      if (stitch > 0) usedMm[stitch - 1] = (front + back + wrap + stabs * clothMm) * withSlack;
      stitch++;
    }
    const code = codes[i];
    if (code === Move.travel) {
      isTravel = true;
      continue;
    }
    const mx = xy[2 * i]!;
    const my = xy[2 * i + 1]!;
    if (code === Move.wrap) {
      wrap += mx * Math.PI * (my + bundleMm);
      turns += mx;
      // What was laid from the place where the needle has come up again is drawn up into the wraps.
      if (codes[i - 1] === Move.up && x === lastUpX && y === lastUpY) front -= lastRun;
      // Thread is laid ready once for every group of wraps, as for every loop; wound round a loop that is laid, it is laid already.
      if (codes[i - 1] !== Move.via) laid++;
      continue;
    }
    if (code === Move.lift) {
      lift = mx;
      continue;
    }
    const dx = mx - x;
    const dy = my - y;
    const mm = Math.sqrt(dx * dx + dy * dy);
    if (code === Move.up) {
      stabs++;
      if (isUnder) way = mm;
      else isTravel = false;
      [run, lastRun] = [0, run];
      [lastUpX, lastUpY, upX, upY] = [upX, upY, mx, my];
    } else {
      front += mm;
      run += mm;
      if (mm > LONG_SPAN_MM) longSpans++;
      if (lift > 0) front += archMm(mm, lift);
      if (code === Move.under) {
        front += bundleMm;
        passes++;
      }
      if (code === Move.down) {
        stabs++;
        isUnder = true;
        endWay();
      } else if (codes[i - 1] === Move.up) laid++;
    }
    x = mx;
    y = my;
  }
  const through = stabs * clothMm;
  const threadMm = (front + back + wrap + through) * withSlack;
  if (starts.length > 0) usedMm[starts.length - 1] = threadMm;
  return {
    quantities: {
      stitches: starts.length,
      frontMm: front,
      backMm: back,
      wrapMm: wrap,
      throughMm: through,
      threadMm,
      seconds:
        LOOKING *
        pace.care *
        (stabs * SECONDS.stab +
          laid * SECONDS.loop +
          turns * SECONDS.wrap +
          passes * SECONDS.under +
          longSpans * SECONDS.longSpan +
          starts.length * pace.findSeconds),
    },
    usedMm,
    breaks,
    carriedMm,
    longestCarryMm,
  };
}

/**
 * What a run over a mound takes more than its span: the arc of a flat parabola is longer by 8h² / 3a; over a steep one the
 * thread goes up and down, no more than 2h.
 */
function archMm(spanMm: number, heightMm: number): number {
  return spanMm > 0 ? Math.min(2 * heightMm, (8 * heightMm * heightMm) / (3 * spanMm)) : 0;
}
