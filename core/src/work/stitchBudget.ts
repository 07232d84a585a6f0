import type { PlacedShape } from '../drawing/index.ts';

/** No one works more stitches into a hoop piece. */
export const MOST_STITCHES = 300_000;

/** What a stitch fills of an area, mm², and of a line, mm, at the least that is usual. */
const STITCH_MM2 = 1;
const STITCH_MM = 2;

/** Roughly how many stitches a shape takes, by its area or length. */
export function roughStitches({ kind, areaMm2, lengthMm, shape }: PlacedShape): number {
  if (kind === 'area') return areaMm2 / STITCH_MM2;
  return kind === 'line' ? lengthMm / STITCH_MM : shape.spots.length / 2;
}

/**
 * The shapes, by their place in the list, that would take the stitches of all beyond {@link MOST_STITCHES}: the largest first. Their paths are not
 * worked out, so that all others can be.
 */
export function beyondBudget(shapes: readonly PlacedShape[]): ReadonlySet<number> {
  const rough = shapes.map(roughStitches);
  let sum = rough.reduce((all, own) => all + own, 0);
  const left = new Set<number>();
  if (sum <= MOST_STITCHES) return left;
  const largest = rough.map((_, i) => i).sort((a, b) => rough[b]! - rough[a]!);
  for (const i of largest) {
    if (sum <= MOST_STITCHES) break;
    left.add(i);
    sum -= rough[i]!;
  }
  return left;
}
