import { seededRandom } from '@junctura/core/measure';
import { LIGHT_X, LIGHT_Y } from '../picture/light.ts';

/** A side of a fold: a sliver from the ring outward, in the light or away from it. */
export interface FoldSide {
  readonly d: string;
  readonly isLit: boolean;
}

/** The cloth outside the ring: its cut edge, and the folds in which it falls. Path data, mm from the middle of the hoop. */
export interface LooseCloth {
  readonly edge: string;
  readonly folds: readonly FoldSide[];
}

/** How far apart folds stand along the ring, and how far they open on either side, mm. */
const FOLD = { apartMm: 15, wideMm: 3.2 } as const;
/** The cut edge is never quite straight, mm. */
const UNEVEN_MM = 0.8;

/**
 * Cloth that is drawn tight in a ring falls in folds outside it: each begins in a point at the ring, opens and runs out. The same hoop always
 * has the same folds.
 * @param outerMm half of the ring from outside, across and upright
 * @param clothMm half of the cloth as it is cut, across and upright
 */
export function looseCloth(
  [outA, outB]: readonly [number, number],
  [clothA, clothB]: readonly [number, number],
): LooseCloth {
  const random = seededRandom(17);
  const corners = [
    [-1, -1],
    [1, -1],
    [1, 1],
    [-1, 1],
  ] as const;
  const uneven = (): number => random.between(-UNEVEN_MM, UNEVEN_MM);
  const round = (mm: number): string => mm.toFixed(2);
  let edge = '';
  corners.forEach(([x, y], i) => {
    const [nextX, nextY] = corners[(i + 1) % corners.length]!;
    edge += `${i === 0 ? 'M' : 'L'}${round(x * clothA)} ${round(y * clothB)}`;
    for (const share of [0.25, 0.5, 0.75]) {
      edge += `L${round((x + (nextX - x) * share) * clothA + uneven())} ${round((y + (nextY - y) * share) * clothB + uneven())}`;
    }
  });
  const count = Math.max(8, Math.round((Math.PI * (outA + outB)) / FOLD.apartMm));
  const folds = Array.from({ length: count }, (_, k) => {
    const angle = (2 * Math.PI * (k + random.between(-0.32, 0.32))) / count;
    const [wayX, wayY] = [Math.cos(angle), Math.sin(angle)];
    // To the edge of the cloth at the most, seldom all the way.
    const toEdge = Math.min(clothA / Math.abs(wayX || 1e-9), clothB / Math.abs(wayY || 1e-9));
    const from = 1 / Math.hypot(wayX / outA, wayY / outB);
    const to = from + (toEdge - from) * random.between(0.3, 0.8);
    const bend = random.between(-2, 2);
    const wide = FOLD.wideMm * random.between(0.6, 1.2);
    const at = (share: number, aside: number): string => {
      const along = from + (to - from) * share;
      return `${round(wayX * along - wayY * aside)} ${round(wayY * along + wayX * aside)}`;
    };
    return ([-1, 1] as const).map((side): FoldSide => {
      // From a point at the ring, widest before its middle, to nothing.
      const out = bend + side * wide;
      const d = `M${at(0, 0)}Q${at(0.5, bend)} ${at(1, bend)}C${at(0.7, out)} ${at(0.35, out)} ${at(0, 0)}Z`;
      return { d, isLit: side * (-wayY * LIGHT_X + wayX * LIGHT_Y) > 0 };
    });
  }).flat();
  return { edge: `${edge}Z`, folds };
}
