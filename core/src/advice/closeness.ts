import { edgesOf, type PlacedShape } from '../drawing/index.ts';
import { boxesMeet, earlierMeeting, narrowestGap, type Gap } from '../geometry/index.ts';
import type { Plan, PlannedPart } from '../plan/index.ts';

/** Parts nearer than this were drawn to meet, mm. */
const MEETING_MM = 0.06;

/** Two parts between which the cloth will not show. */
export interface TooClose {
  readonly a: PlannedPart;
  readonly b: PlannedPart;
  readonly gap: Gap;
  readonly laidMm: number;
}

const gaps = new WeakMap<PlacedShape, WeakMap<PlacedShape, { within: number; gap: Gap | null }>>();

/** Shapes never change, so how near two of them come is found once. */
function gapBetween(a: PlacedShape, b: PlacedShape, within: number): Gap | null {
  const known = gaps.get(a) ?? new WeakMap<PlacedShape, { within: number; gap: Gap | null }>();
  gaps.set(a, known);
  const before = known.get(b);
  if (before && before.within >= within) return before.gap;
  const gap = narrowestGap(edgesOf(a.shape), edgesOf(b.shape), within);
  known.set(b, { within, gap });
  return gap;
}

/** What a part’s edge is worked with: the widest thread of it, mm. */
function laidMm({ passes }: PlannedPart): number {
  return Math.max(0, ...passes.filter(({ role }) => role !== 'padding' && role !== 'vein').map((pass) => pass.laidMm));
}

const found = new WeakMap<Plan, readonly TooClose[]>();

/**
 * Pairs of lines and areas that do not meet, but come nearer to each other than their thread is wide. An area that lies within another
 * and parts that are drawn to touch are as they are wanted.
 */
export function tooClose(plan: Plan): readonly TooClose[] {
  const known = found.get(plan) ?? findTooClose(plan);
  found.set(plan, known);
  return known;
}

function findTooClose({ parts }: Plan): TooClose[] {
  const widest = Math.max(0, ...parts.map(laidMm));
  const earlier = earlierMeeting(
    parts.map(({ placed }) => (placed.kind === 'spot' ? null : placed.box)),
    widest,
  );
  return parts.flatMap((a, i) =>
    earlier[i]!.flatMap((j): TooClose[] => {
      const b = parts[j]!;
      const wanted = (laidMm(a) + laidMm(b)) / 2;
      if (wanted === 0 || !boxesMeet(a.placed.box!, b.placed.box!, wanted)) return [];
      const gap = gapBetween(a.placed, b.placed, wanted);
      return gap && gap.mm > MEETING_MM && gap.mm < wanted ? [{ a, b, gap, laidMm: wanted }] : [];
    }),
  );
}
