/** How a step is come to: with the needle in hand, with one that is parked, or with one that is threaded for it. */
export const Needle = { inHand: 0, parked: 1, threaded: 2 } as const;

/**
 * How each step of an order is come to, where so many needles stay threaded. A needle that must be freed is the one whose thread
 * is wanted latest, which threads least often.
 * Source: L. A. Belady, A study of replacement algorithms for a virtual-storage computer (1966).
 * @param setUps what each step in turn is threaded with, numbered from 0
 * @param into gets one of {@link Needle} for each step
 */
export function followNeedles(
  setUps: ArrayLike<number>,
  kinds: number,
  needles: number,
  into: Uint8Array = new Uint8Array(setUps.length),
): Uint8Array {
  const count = setUps.length;
  const nextUse = new Int32Array(count);
  const next = new Int32Array(kinds).fill(count);
  for (let i = count - 1; i >= 0; i--) {
    const setUp = setUps[i]!;
    nextUse[i] = next[setUp]!;
    next[setUp] = i;
  }
  // From here on `next` holds for each kind when it is wanted after now.
  const isOut = new Uint8Array(kinds);
  const out: number[] = [];
  let inHand = -1;
  for (let i = 0; i < count; i++) {
    const setUp = setUps[i]!;
    if (setUp === inHand) into[i] = Needle.inHand;
    else if (isOut[setUp]) into[i] = Needle.parked;
    else {
      into[i] = Needle.threaded;
      if (out.length === needles) {
        let latest = 0;
        for (let k = 1; k < out.length; k++) if (next[out[k]!]! > next[out[latest]!]!) latest = k;
        isOut[out[latest]!] = 0;
        out[latest] = setUp;
      } else out.push(setUp);
      isOut[setUp] = 1;
    }
    next[setUp] = nextUse[i]!;
    inHand = setUp;
  }
  return into;
}
