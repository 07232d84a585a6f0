import { deltaE, labOf, type Lab } from './colours.ts';
import { mixed } from './seeing.ts';

export interface Match<T> {
  readonly item: T;
  readonly difference: number;
}

/**
 * The weight S_L by which CIEDE2000 divides a difference of lightness is greatest at black and white: no colour is nearer than its lightness
 * alone divided by this (Sharma, Wu and Dalal 2005, equation 15).
 */
const MOST_LIGHTNESS_WEIGHT = 1 + (0.015 * 50 ** 2) / Math.sqrt(20 + 50 ** 2);

/** The items nearest to a colour, nearest first. */
export function nearestColours<T extends { readonly lab: Lab }>(
  wanted: Lab,
  items: readonly T[],
  count: number,
): Match<T>[] {
  const best: Match<T>[] = [];
  for (const item of items) {
    const isFull = best.length === count;
    if (isFull && Math.abs(wanted.l - item.lab.l) >= MOST_LIGHTNESS_WEIGHT * best[count - 1]!.difference) continue;
    const difference = deltaE(wanted, item.lab);
    if (isFull && difference >= best[count - 1]!.difference) continue;
    let at = best.length;
    while (at > 0 && best[at - 1]!.difference > difference) at--;
    best.splice(at, 0, { item, difference });
    if (best.length > count) best.pop();
  }
  return best;
}

/** The number of the colour nearest to another by plain distance in Lab: quick, and near enough for a look. */
export function nearestLab({ l, a, b }: Pick<Lab, 'l' | 'a' | 'b'>, labs: readonly Lab[]): number {
  let [best, least] = [0, Infinity];
  for (let i = 0; i < labs.length; i++) {
    const other = labs[i]!;
    const distance = (l - other.l) ** 2 + (a - other.a) ** 2 + (b - other.b) ** 2;
    if (distance < least) [best, least] = [i, distance];
  }
  return best;
}

/** Strands that differ more than this do not mix in the eye: the stitch looks speckled. */
const SPECKLED = 28;
/** Only shades this near to the colour, in plain Lab, can be half of a mixture that meets it. */
const REACH = 30;
/** How many of the nearest shades are tried in pairs. */
const MOST = 24;

/** Two shades of different colours that, in one needle, come nearest to a colour. Null where no two mix. */
export function nearestBlend<T extends { readonly lab: Lab; readonly hex: string }>(
  wanted: Lab,
  items: readonly T[],
): Match<readonly [T, T]> | null {
  const near = nearestColours(wanted, items, MOST).filter(({ difference }) => difference < REACH);
  let best: Match<readonly [T, T]> | null = null;
  near.forEach(({ item: one }, i) => {
    for (const { item: two } of near.slice(i + 1)) {
      if (deltaE(one.lab, two.lab) > SPECKLED) continue;
      const difference = deltaE(wanted, labOf(mixed(one.hex, two.hex)));
      if (!best || difference < best.difference) best = { item: [one, two], difference };
    }
  });
  return best;
}
