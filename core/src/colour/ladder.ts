import { deltaE, type Lab } from './colours.ts';

/** What a ladder weighs: how many of ΔE off its hue a step off its lightness counts for. */
const HUE_WEIGHT = 0.35;
/** Steps of lightness that are tried between rungs. */
const STEPS = { least: 4, most: 30, by: 1 } as const;

/**
 * Shades from dark to light through a chosen one, as even in lightness as the shades allow, near its hue.
 * Every place of the chosen one and every step is tried; each rung takes the shade that fits it best.
 * @returns fewer than `count` where there are fewer shades; the chosen one is always among them
 */
export function ladder<T extends { readonly lab: Lab }>(through: T, shades: readonly T[], count: number): T[] {
  const others = shades.filter((shade) => shade !== through);
  let best: { rungs: T[]; cost: number } = { rungs: [through], cost: Infinity };
  for (let place = 0; place < count; place++) {
    for (let step = STEPS.least; step <= STEPS.most; step += STEPS.by) {
      const lowest = through.lab.l - place * step;
      if (lowest < 0 || lowest + (count - 1) * step > 100) continue;
      const rungs: T[] = [];
      let cost = 0;
      for (let rung = 0; rung < count && cost < best.cost; rung++) {
        if (rung === place) {
          rungs.push(through);
          continue;
        }
        const found = fitting(others, rungs, through.lab, lowest + rung * step);
        if (!found) cost = Infinity;
        else {
          rungs.push(found.shade);
          cost += found.cost;
        }
      }
      // Of ladders that fit as well, the longer one shows more.
      cost /= step;
      if (rungs.length === count && cost < best.cost) best = { rungs, cost };
    }
  }
  if (best.cost < Infinity || count <= 1) return best.rungs.sort((a, b) => a.lab.l - b.lab.l);
  return ladder(through, shades, count - 1);
}

function fitting<T extends { readonly lab: Lab }>(
  shades: readonly T[],
  taken: readonly T[],
  { a, b }: Lab,
  l: number,
): { shade: T; cost: number } | null {
  let found: { shade: T; cost: number } | null = null;
  for (const shade of shades) {
    if (taken.includes(shade)) continue;
    // Dyes pale towards white and dull towards black: a rung's colour is drawn in with its distance from the middle.
    const draw = Math.min(1, Math.min(l, 100 - l) / 35 + 0.25);
    const wanted: Lab = { mode: 'lab65', l: shade.lab.l, a: a * draw, b: b * draw };
    const cost = Math.abs(shade.lab.l - l) + HUE_WEIGHT * deltaE(shade.lab, wanted);
    if (!found || cost < found.cost) found = { shade, cost };
  }
  return found;
}

/** How much lighter or darker the next rung is, about and at the least, L*. */
const NEXT = { step: 10, least: 3 } as const;

/**
 * The shade that goes on from a ladder: a step lighter where it rises, darker where it falls, near the hue of its last; where there is none
 * beyond, a step the other way from its first.
 * @returns undefined where there is no shade left on either side
 */
export function nextRung<T extends { readonly lab: Lab }>(rungs: readonly T[], shades: readonly T[]): T | undefined {
  const [first, last] = [rungs[0], rungs.at(-1)];
  if (!first || !last) return undefined;
  const way = rungs.length === 1 || last.lab.l >= first.lab.l ? 1 : -1;
  const left = shades.filter((shade) => !rungs.includes(shade));
  return beyond(last, left, way) ?? beyond(first, left, -way);
}

/** The shade about a step lighter (1) or darker (−1) than another that keeps best to its hue. */
function beyond<T extends { readonly lab: Lab }>({ lab: from }: T, shades: readonly T[], way: number): T | undefined {
  const cost = ({ lab }: T): number =>
    Math.abs(way * (lab.l - from.l) - NEXT.step) + Math.hypot(lab.a - from.a, lab.b - from.b);
  const there = shades.filter(({ lab }) => way * (lab.l - from.l) >= NEXT.least);
  return there.length === 0 ? undefined : there.reduce((best, shade) => (cost(shade) < cost(best) ? shade : best));
}
