import { MOST_NEEDLES, type PlanInput } from '../piece/index.ts';

/** How a step is come to: with the needle in hand, with one that is parked, or with one that is threaded for it. */
export const Needle = { inHand: 0, parked: 1, threaded: 2 } as const;

/** How many needles stay threaded at one time: as the person likes, and as many as take turns in one area. */
export function needlesThreaded({ worker, drawing }: PlanInput): number {
  const inTurn = drawing.parts.flatMap(({ passes }) => (passes ?? []).filter((pass) => pass.inTurn));
  return Math.max(worker.needles, ...inTurn.map(({ shades }) => Math.min(MOST_NEEDLES, shades.length)));
}

/**
 * How each step of an order is come to, where so many needles stay threaded. A needle that must be freed is the one whose thread
 * is wanted latest, which threads least often.
 * Source: L. A. Belady, A study of replacement algorithms for a virtual-storage computer (1966).
 */
export class Needles {
  private readonly nextUse: Int32Array;
  private readonly next: Int32Array;
  private readonly isOut: Uint8Array;
  private readonly out: Int32Array;
  private readonly comesBy: Uint8Array;

  /**
   * @param count steps of the order
   * @param kinds the number of kinds of threading
   * @param needles the number that stay threaded at once
   */
  constructor(count: number, kinds: number, needles: number) {
    this.nextUse = new Int32Array(count);
    this.next = new Int32Array(kinds);
    this.isOut = new Uint8Array(kinds);
    this.out = new Int32Array(Math.min(needles, kinds));
    this.comesBy = new Uint8Array(count);
  }

  /**
   * @param setUps what each step in turn is threaded with, numbered from 0
   * @returns one of {@link Needle} for each step; overwritten when the next order is followed
   */
  follow(setUps: ArrayLike<number>): Uint8Array {
    const { nextUse, next, isOut, out, comesBy } = this;
    const count = comesBy.length;
    next.fill(count);
    isOut.fill(0);
    for (let i = count - 1; i >= 0; i--) {
      const setUp = setUps[i]!;
      nextUse[i] = next[setUp]!;
      next[setUp] = i;
    }
    // From here on `next` holds for each kind when it is wanted after now.
    let inHand = -1;
    let threaded = 0;
    for (let i = 0; i < count; i++) {
      const setUp = setUps[i]!;
      if (setUp === inHand) comesBy[i] = Needle.inHand;
      else if (isOut[setUp]) comesBy[i] = Needle.parked;
      else {
        comesBy[i] = Needle.threaded;
        let freed = threaded;
        if (threaded < out.length) threaded++;
        else {
          freed = 0;
          for (let k = 1; k < threaded; k++) if (next[out[k]!]! > next[out[freed]!]!) freed = k;
          isOut[out[freed]!] = 0;
        }
        out[freed] = setUp;
        isOut[setUp] = 1;
      }
      next[setUp] = nextUse[i]!;
      inHand = setUp;
    }
    return comesBy;
  }
}
