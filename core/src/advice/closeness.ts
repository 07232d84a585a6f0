import { stitchKind } from '../stitches/index.ts';
import { isUnstitched } from '../piece/index.ts';
import type { PlannedPart } from '../work/index.ts';
import type { Plan } from '../thread/index.ts';
import { edgesOf, type PlacedShape, type ShapePair } from '../drawing/index.ts';
import { boxesMeet, earlierMeeting, mapPoints, narrowestGap, type Gap } from '../geometry/index.ts';
import { stage, type Memory } from '../measure/index.ts';

/** Parts nearer than this as drawn, with the widths that their lines are drawn in, were drawn to meet, mm. */
const MEETING_MM = 0.1;

/** Half of the width that a part is drawn in, mm on the cloth: an area has none. */
function halfDrawnMm({ part, placed }: PlannedPart): number {
  const [a, b] = placed.toCloth;
  return placed.kind === 'line' ? ((part.strokeMm ?? 0) * Math.hypot(a, b)) / 2 : 0;
}

/** Whether two parts whose middles or edges lie a gap apart touch or cross as they are drawn. */
function meetAsDrawn(a: PlannedPart, b: PlannedPart, gapMm: number): boolean {
  return gapMm - halfDrawnMm(a) - halfDrawnMm(b) <= MEETING_MM;
}

/** Two parts between which the cloth will not show. */
export interface TooClose {
  readonly a: PlannedPart;
  readonly b: PlannedPart;
  readonly gap: Gap;
  readonly laidMm: number;
}

interface NearPair extends ShapePair {
  readonly withinMm: number;
}

export const NARROWEST_GAP = stage<NearPair>()('narrowest gap', ['a', 'b', 'withinMm'], ({ a, b, withinMm }) =>
  narrowestGap(edgesOf(a.shape), edgesOf(b.shape), withinMm),
);

function gapBetween(a: PlacedShape, b: PlacedShape, withinMm: number, memory: Memory): Gap | null {
  return memory.made(NARROWEST_GAP, [a.partId, b.partId], { a, b, withinMm });
}

/** How wide a part’s edge is worked: the widest thread of it, or a line with the thread that whips or laces it, mm. */
function laidMm({ passes }: PlannedPart): number {
  const widths = passes.flatMap(({ role, stitch, laidMm: threadMm }) => {
    if (role === 'padding' || role === 'vein') return [];
    const { worksOn, secondThread, coverWidths } = stitchKind(stitch);
    return [worksOn === 'line' && secondThread ? threadMm * Math.max(1, coverWidths) : threadMm];
  });
  return Math.max(0, ...widths);
}

export const TOO_CLOSE = stage<Plan>()('too close', ['parts'], findTooClose);

/**
 * Pairs of lines and areas that do not meet, but come nearer to each other than their thread is wide. An area that lies within another
 * and parts that are drawn to touch are as they are wanted.
 */
export function tooClose(plan: Plan, memory: Memory): readonly TooClose[] {
  return memory.made(TOO_CLOSE, [], plan);
}

/** Lines of one part are looked at two by two as long as there are no more than this. */
const MOST_LINES = 40;

export const OWN_GAP = stage<PlacedShape>()('own gap', ['shape'], ({ shape }): Gap | null => {
  const { lines } = shape;
  if (lines.length < 2 || lines.length > MOST_LINES) return null;
  let least: Gap | null = null;
  lines.forEach((line, i) => {
    for (const other of lines.slice(0, i)) {
      const gap = narrowestGap([line], [other], least?.mm ?? WIDEST_LAID_MM);
      if (gap && gap.mm > MEETING_MM && gap.mm < (least?.mm ?? Infinity)) least = gap;
    }
  });
  return least;
});
/** No bundle lies wider than this, mm. */
const WIDEST_LAID_MM = 3;

/** Lines of one and the same part that come nearer to each other than their thread is wide. */
function closeWithin(part: PlannedPart, memory: Memory): TooClose[] {
  const wanted = laidMm(part);
  const gap = part.placed.kind === 'line' && wanted > 0 ? memory.made(OWN_GAP, [part.part.id], part.placed) : null;
  return gap && gap.mm < wanted && !meetAsDrawn(part, part, gap.mm) ? [{ a: part, b: part, gap, laidMm: wanted }] : [];
}

function findTooClose({ parts }: Pick<Plan, 'parts'>, memory: Memory): TooClose[] {
  const widest = widestOf(parts);
  const earlier = earlierMeeting(
    // What is printed or only marked has no thread that could merge.
    parts.map(({ part, placed }) => (placed.kind === 'spot' || isUnstitched(part) ? null : placed.box)),
    widest,
  );
  return parts.flatMap((a, i) => [
    ...closeWithin(a, memory),
    ...earlier[i]!.flatMap((j): TooClose[] => {
      const b = parts[j]!;
      const wanted = (laidMm(a) + laidMm(b)) / 2;
      if (wanted === 0 || !boxesMeet(a.placed.box!, b.placed.box!, wanted)) return [];
      const gap = gapBetween(a.placed, b.placed, wanted, memory);
      return gap && !meetAsDrawn(a, b, gap.mm) && gap.mm < wanted ? [{ a, b, gap, laidMm: wanted }] : [];
    }),
  ]);
}

/** The middle of the gap between a part and another, mm on the cloth. */
export interface NarrowPlace {
  readonly part: string;
  readonly x: number;
  readonly y: number;
}

export function narrowPlaces(plan: Plan, memory: Memory): NarrowPlace[] {
  return tooClose(plan, memory).map(({ a, gap: { from, to } }) => ({
    part: a.part.id,
    x: (from[0] + to[0]) / 2,
    y: (from[1] + to[1]) / 2,
  }));
}

/** Moved apart, parts leave this much of the cloth to be seen, mm. */
const APART_MM = 0.1;
/** Where there is no room straight away, a part is moved to the side of that by these angles, radians, and further by these factors. */
const ASIDE_RAD = [0, 0.4, -0.4, 0.8, -0.8, 1.2, -1.2] as const;
const FURTHER = [1, 1.5, 2.5] as const;

/**
 * How the first of two parts is moved, mm on the cloth, so that they no longer merge and it comes too near to no other; null where it
 * has no such room.
 */
export function wayOut(
  { parts }: Plan,
  { a, b, gap, laidMm: wanted }: TooClose,
  memory: Memory,
): [dx: number, dy: number] | null {
  const heading = Math.atan2(gap.from[1] - gap.to[1], gap.from[0] - gap.to[0]);
  const own = edgesOf(a.placed.shape);
  const others = parts.flatMap((other) => {
    const { placed } = other;
    if (placed.kind === 'spot' || placed === a.placed || !placed.box) return [];
    const room = (laidMm(a) + laidMm(other)) / 2;
    // What it lay upon or touched before it may go on touching.
    const touches = other !== b && (gapBetween(a.placed, placed, room, memory)?.mm ?? Infinity) <= MEETING_MM;
    return [{ box: placed.box, edges: edgesOf(placed.shape), room, touches }];
  });
  for (const further of FURTHER) {
    for (const aside of ASIDE_RAD) {
      const byMm = ((wanted - gap.mm + APART_MM) * further) / Math.cos(aside);
      const [dx, dy] = [byMm * Math.cos(heading + aside), byMm * Math.sin(heading + aside)];
      const { minX, minY, maxX, maxY } = a.placed.box!;
      const box = { minX: minX + dx, minY: minY + dy, maxX: maxX + dx, maxY: maxY + dy };
      const moved = own.map(({ points, closed }) => ({ points: mapPoints([1, 0, 0, 1, dx, dy], points), closed }));
      const isClear = others.every((other) => {
        if (!boxesMeet(other.box, box, other.room)) return true;
        const mm = narrowestGap(moved, other.edges, other.room)?.mm ?? Infinity;
        return mm >= other.room || (other.touches && mm <= MEETING_MM);
      });
      if (isClear) return [dx, dy];
    }
  }
  return null;
}

function widestOf(parts: readonly PlannedPart[]): number {
  return Math.max(0, ...parts.map(laidMm));
}
