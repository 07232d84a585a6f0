import { SECONDS, WORKING_LENGTH } from '../materials/index.ts';
import { Needle, Needles } from './needlesInPlay.ts';

/** What an order is weighed by. Seconds, but for what is taste. */
export const ORDER_WEIGHTS = {
  /** What a metre of thread is worth in time, s. */
  metreSeconds: 40,
  /** Another needle in hand: one of another size, a blunt one for a sharp one. */
  otherSize: 4,
  otherFamily: 10,
  /** Worked by colour, one stays with a colour even where another needle is parked, s. */
  otherColour: 20,
  /** The way of the eye across the cloth, s for each mm: by colour, and by area. */
  eye: { byColour: 0.02, byArea: 0.5 },
  /** Leaving a motif for another, worked by area, s. */
  otherMotif: 90,
  /** What threading counts where work goes by area, as a share. */
  threadingByArea: 0.25,
  /** Taste: what shall come early counts this at the very end, s. */
  taste: 40,
} as const;

/** An order to be found: steps as numbers, so that thousands of orders can be weighed. Arrays have an entry for each step. */
export interface Problem {
  readonly count: number;
  readonly setUp: Int32Array;
  readonly setUps: number;
  readonly colour: Int32Array;
  readonly needle: Int32Array;
  readonly family: Int32Array;
  readonly position: Int32Array;
  readonly motif: Int32Array;
  readonly depth: Int32Array;
  /** Where each begins and ends: x, y, mm. */
  readonly from: Float64Array;
  readonly to: Float64Array;
  /** How early it is wanted, −1 to 1. */
  readonly early: Float64Array;
  /** What belongs at the beginning has the lowest, what is left for last the highest: steps come in rising order. */
  readonly rank: Int32Array;
  /** For each step those that come before it, and those that come after it. */
  readonly before: readonly (readonly number[])[];
  readonly after: readonly (readonly number[])[];
  /** Thread that each takes, with what it loses on its own way, and what is worked of a length in its stitch, mm. */
  readonly usedMm: Float64Array;
  readonly usableMm: Float64Array;
  readonly needles: number;
  readonly travelMm: number;
  readonly byArea: number;
}

/** Weighs orders of one problem. */
export class Scale {
  private readonly setUps: Int32Array;
  private readonly needles: Needles;
  /** The most that taste can take off, s. */
  private readonly mostTaken: number;
  /** What is left of the length of each threading, mm. */
  private readonly left: Float64Array;
  private readonly otherColour: number;
  private readonly lastX: Float64Array;
  private readonly lastY: Float64Array;
  private readonly eye: number;
  private readonly threading: number;
  private readonly motif: number;

  constructor(private readonly problem: Problem) {
    const { count, setUps, byArea } = problem;
    this.setUps = new Int32Array(count);
    this.needles = new Needles(count, setUps, problem.needles);
    this.mostTaken = ORDER_WEIGHTS.taste * problem.early.reduce((sum, early) => sum + Math.max(0, -early), 0);
    this.left = new Float64Array(setUps);
    this.lastX = new Float64Array(setUps);
    this.lastY = new Float64Array(setUps);
    const { eye, threadingByArea, otherColour, otherMotif } = ORDER_WEIGHTS;
    this.otherColour = otherColour * (1 - byArea);
    this.eye = eye.byColour * (eye.byArea / eye.byColour) ** byArea;
    this.threading = 1 - byArea * (1 - threadingByArea);
    this.motif = otherMotif * byArea;
  }

  /**
   * What an order costs, s.
   * @param most an order that costs more need not be weighed to its end: it costs infinitely much
   */
  weigh(steps: ArrayLike<number>, most = Infinity): number {
    const { problem: p, setUps } = this;
    const count = p.count;
    // One kind of list only: engines read it twice as fast.
    const order = steps instanceof Int32Array ? steps : Int32Array.from(steps);
    for (let i = 0; i < count; i++) setUps[i] = p.setUp[order[i]!]!;
    const comesBy = this.needles.follow(setUps);
    const tooMuch = most + this.mostTaken;
    const metre = ORDER_WEIGHTS.metreSeconds / 1000;
    const left = this.left.fill(0);
    let [seconds, threading, metres, early] = [0, 0, 0, 0];
    for (let i = 0; i < count; i++) {
      const step = order[i]!;
      const setUp = setUps[i]!;
      const [x, y] = [p.from[2 * step]!, p.from[2 * step + 1]!];
      if (comesBy[i] === Needle.parked) threading += SECONDS.parkedNeedle;
      let rest = left[setUp]!;
      if (rest > 0) {
        const way = distance(x - this.lastX[setUp]!, y - this.lastY[setUp]!);
        if (comesBy[i] !== Needle.threaded && way <= p.travelMm && way < rest) {
          rest -= way;
          metres += way;
        } else if (rest - LOST_MM >= WORKING_LENGTH.leastToRestartMm) {
          threading += SECONDS.fastenOff + (comesBy[i] === Needle.threaded ? SECONDS.thread : 0);
          rest -= LOST_MM;
          metres += LOST_MM;
        } else {
          metres += rest;
          rest = 0;
        }
      }
      const wanted = p.usedMm[step]! - rest;
      const lengths = wanted > 0 ? Math.ceil(wanted / p.usableMm[step]!) : 0;
      threading += lengths * (SECONDS.thread + SECONDS.fastenOff);
      left[setUp] = lengths * p.usableMm[step]! - wanted;
      this.lastX[setUp] = p.to[2 * step]!;
      this.lastY[setUp] = p.to[2 * step + 1]!;
      early += p.early[step]! * i;
      if (i === 0) continue;
      const last = order[i - 1]!;
      if (p.colour[step] !== p.colour[last]) {
        seconds += this.otherColour;
        if (comesBy[i] === Needle.threaded) threading += SECONDS.changeColour;
      }
      if (p.needle[step] !== p.needle[last]) {
        seconds += p.family[step] === p.family[last] ? ORDER_WEIGHTS.otherSize : ORDER_WEIGHTS.otherFamily;
      }
      if (p.position[step] !== p.position[last]) seconds += SECONDS.moveHoop;
      if (p.motif[step] !== p.motif[last]) seconds += this.motif;
      seconds += this.eye * distance(x - p.to[2 * last]!, y - p.to[2 * last + 1]!);
      if (seconds + this.threading * threading + metres * metre > tooMuch) return Infinity;
    }
    const taste = count > 1 ? (ORDER_WEIGHTS.taste * early) / (count - 1) : 0;
    return seconds + this.threading * threading + metres * metre + taste;
  }
}

function distance(x: number, y: number): number {
  return Math.sqrt(x * x + y * y);
}

/** What fastening off and beginning again takes of a length, mm. */
export const LOST_MM = WORKING_LENGTH.workedInMm + WORKING_LENGTH.restartMm;
