import { OWN } from '../finding.ts';
import { type Pass, setPasses, setShown } from '../../piece/index.ts';
import { onPart, leftOut, withStrands } from './onParts.ts';
import { stage, type Memory } from '../../measure/index.ts';
import {
  boxesMeet,
  distanceToLines,
  distanceToOutline,
  earlierMeeting,
  lengthsOf,
  placeOn,
  type Polyline,
  placeAt,
} from '../../geometry/index.ts';
import { edgesOf, nudgeParts, joinParts, type PlacedShape } from '../../drawing/index.ts';
import { degreesApart, straightFilling, type Neighbours, TREATMENT } from '../../propose/index.ts';
import { type PlannedPart, type PlannedPass, passesAsWorked } from '../../work/index.ts';
import type { Plan } from '../../thread/index.ts';
import { tooClose, wayOut } from '../closeness.ts';
import {
  hundredths,
  type Finding,
  type Case,
  type PartCase,
  type Offer,
  type FindingKinds,
  type FindingRemedies,
} from '../finding.ts';
import * as say from '../words.ts';

/** Lines and edges that come nearer to each other than their thread is wide. */
export function closeFindings(plan: Plan, memory: Memory): Finding[] {
  return tooClose(plan, memory).map(({ a, b, gap, laidMm }) => ({
    id: 'line-too-close',
    part: a.part.id,
    figures: {
      other: b.part.name,
      otherId: a === b ? OWN : b.part.id,
      gapMm: hundredths(gap.mm),
      laidMm: hundredths(laidMm),
    },
  }));
}

/** Touching areas in near-equal colours whose stitches lie nearly the same way. */
export function neighbourFindings({ parts }: Plan, neighbours: Neighbours): Finding[] {
  const lines = parts.filter(({ placed }) => placed.kind === 'line' && placed.box);
  const hasLineBetween = (a: PlannedPart, b: PlannedPart): boolean =>
    lines.some(
      ({ placed }) =>
        boxesMeet(placed.box!, a.placed.box!, TREATMENT.touchingMm) && runsBetween(placed, a.placed, b.placed),
    );
  const seenFilling = ({ passes }: PlannedPart): PlannedPass | undefined =>
    passes.some(({ role }) => role === 'outline') ? undefined : straightFilling(passes);
  return parts.flatMap((one, i): Finding[] => {
    const filling = seenFilling(one);
    if (!filling) return [];
    for (const j of neighbours.alikeBefore(i)) {
      const other = seenFilling(parts[j]!);
      const apartDeg = other ? hundredths(degreesApart(filling.angleDeg, other.angleDeg)) : Infinity;
      if (apartDeg >= TREATMENT.leastTurnDeg || hasLineBetween(one, parts[j]!)) continue;
      return [{ id: 'direction-vanishes', part: one.part.id, figures: { other: parts[j]!.part.name, apartDeg } }];
    }
    return [];
  });
}

/** Lines that lie on each other this closely are one to the eye, mm; and looked at in steps of this. */
const UPON_MM = 0.3;
const LOOK_MM = 0.5;
/** Lying on another for more than this share of its length, a line is drawn twice. */
const TWICE = 0.6;

/** Lines that lie on another line for most of their length: worked, they would be stitched twice. */
export function twiceFindings({ parts }: Plan, memory: Memory): Finding[] {
  const lines = parts.map(({ placed }) => (placed.kind === 'line' ? placed.box : null));
  return earlierMeeting(lines, UPON_MM).flatMap((earlier, i): Finding[] => {
    const one = parts[i]!;
    for (const j of earlier) {
      const other = parts[j]!;
      // The shorter may lie on the longer.
      const [short, long] = one.placed.lengthMm <= other.placed.lengthMm ? [one, other] : [other, one];
      const share = memory.made(SHARED_LINE, [short.part.id, long.part.id], { short: short.placed, long: long.placed });
      if (share <= TWICE) continue;
      const figures = { other: long.part.name, otherId: long.part.id, percent: Math.round(100 * share) };
      return [{ id: 'drawn-twice', part: short.part.id, figures }];
    }
    return [];
  });
}

interface TwoLines {
  readonly short: PlacedShape;
  readonly long: PlacedShape;
}

/** Which share of a line lies on another. */
export const SHARED_LINE = stage<TwoLines>()('shared line', ['short', 'long'], ({ short, long }) => {
  const places = placesAlong(short.shape.lines, LOOK_MM);
  const upon = places.filter(([x, y]) => distanceToLines(long.shape.lines, x, y) < UPON_MM).length;
  return places.length > 0 ? upon / places.length : 0;
});

/** Whether a line runs along where two areas touch, for most of that stretch. */
function runsBetween(line: PlacedShape, a: PlacedShape, b: PlacedShape): boolean {
  const meeting = placesAlong(edgesOf(a.shape), LOOK_MM).filter(
    ([x, y]) => distanceToOutline(b.shape.region, x, y) < TREATMENT.touchingMm,
  );
  const drawn = meeting.filter(([x, y]) => distanceToLines(line.shape.lines, x, y) < TREATMENT.touchingMm);
  return meeting.length > 0 && drawn.length >= TWICE * meeting.length;
}

/** Places along lines, in even steps. */
function placesAlong(lines: readonly Polyline[], stepMm: number): [x: number, y: number][] {
  return lines.flatMap(({ points, closed }) => {
    const way = closed ? Float64Array.of(...points, ...placeAt(points, 0)) : points;
    const lengths = lengthsOf(way);
    const count = Math.max(1, Math.ceil(lengths.at(-1)! / stepMm));
    return Array.from({ length: count }, (_, i) => placeOn(way, lengths, ((i + 0.5) * lengths.at(-1)!) / count));
  });
}

/** Turned by this much, stitches stand out from any neighbour that they lie like, degrees. */
const STANDS_OUT_DEG = 50;

function movedAway({ finding, memory }: Case<'line-too-close'>, { piece, plan, planned }: PartCase): Offer[] {
  const close = tooClose(plan, memory).find(
    ({ a, b }) => a.part.id === planned.part.id && b.part.id === finding.figures.otherId,
  );
  const way = close && wayOut(plan, close, memory);
  if (!way) return [];
  const edit = nudgeParts(piece, [planned.part.id], ...way);
  return [[say.moveAway(Math.ceil(Math.hypot(...way) * 10) / 10), edit]];
}

/** Areas that merge anyway can be one; lines that are joined stay as near to each other. */
function joined({ finding }: Case<'line-too-close'>, { piece, plan, planned }: PartCase): Offer[] {
  const other = plan.parts.find(({ part }) => part.id === finding.figures.otherId);
  if (other?.placed.kind !== 'area' || planned.placed.kind !== 'area') return [];
  return [['Join the two', joinParts(piece, [other.part.id, planned.part.id])]];
}

/** Where each is looked at, and how bad it is. */
export const MEETING_KINDS = {
  'line-too-close': { step: 'drawing', severity: 'note' },
  'drawn-twice': { step: 'drawing', severity: 'warn' },
  'direction-vanishes': { step: 'stitches', severity: 'note' },
} satisfies Partial<FindingKinds>;

/** What can be done about each, worked out only when it is asked for. */
export const MEETING_REMEDIES = {
  'line-too-close': (of) =>
    onPart(of, (part) =>
      of.finding.figures.otherId === OWN
        ? [['Use one strand fewer', withStrands(part, -1)]]
        : [leftOut(part), ...movedAway(of, part), ...joined(of, part), ['Use one strand fewer', withStrands(part, -1)]],
    ),
  'drawn-twice': (of) =>
    onPart(of, (part) => {
      const twice = twiceFindings(of.plan, of.memory).flatMap(({ part: id }) => (id === null ? [] : [id]));
      return [
        ...(twice.length > 1 ? [[say.leaveAllOut(twice.length), setShown(part.piece, twice, false)] as const] : []),
        ['Leave this one out', setShown(part.piece, [part.planned.part.id], false)],
      ];
    }),
  'direction-vanishes': (of) =>
    onPart(of, ({ piece, planned }) => {
      const turn = (pass: Pass): Pass =>
        pass.role === 'filling' ? { ...pass, angleDeg: ((pass.angleDeg ?? 0) + STANDS_OUT_DEG) % 180 } : pass;
      const turned = passesAsWorked(planned).map(turn);
      return [['Turn its stitches', setPasses(piece, new Map([[planned.part.id, turned]]), 'Turn the stitches')]];
    }),
} satisfies Partial<FindingRemedies>;
