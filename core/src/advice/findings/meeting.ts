import { type Pass, setPasses } from '../../piece/index.ts';
import { onPart, leftOut, withStrands } from './onParts.ts';
import { formatFine } from '../../measure/index.ts';
import { nudgeParts, joinParts } from '../../drawing/index.ts';
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

/** Lines and edges that come nearer to each other than their thread is wide. */
export function closeFindings(plan: Plan): Finding[] {
  return tooClose(plan).map(({ a, b, gap, laidMm }) => ({
    id: 'line-too-close',
    part: a.part.id,
    figures: { other: b.part.name, otherId: b.part.id, gapMm: hundredths(gap.mm), laidMm: hundredths(laidMm) },
  }));
}

/** Touching areas in near-equal colours whose stitches lie nearly the same way. */
export function neighbourFindings({ parts }: Plan, neighbours: Neighbours): Finding[] {
  const seenFilling = ({ passes }: PlannedPart): PlannedPass | undefined =>
    passes.some(({ role }) => role === 'outline') ? undefined : straightFilling(passes);
  return parts.flatMap((one, i): Finding[] => {
    const filling = seenFilling(one);
    if (!filling) return [];
    for (const j of neighbours.alikeBefore(i)) {
      const other = seenFilling(parts[j]!);
      const apartDeg = other ? hundredths(degreesApart(filling.angleDeg, other.angleDeg)) : Infinity;
      if (apartDeg >= TREATMENT.leastTurnDeg) continue;
      return [{ id: 'direction-vanishes', part: one.part.id, figures: { other: parts[j]!.part.name, apartDeg } }];
    }
    return [];
  });
}

/** Turned by this much, stitches stand out from any neighbour that they lie like, degrees. */
const STANDS_OUT_DEG = 50;

function movedAway({ finding }: Case<'line-too-close'>, { piece, plan, planned }: PartCase): Offer[] {
  const close = tooClose(plan).find(
    ({ a, b }) => a.part.id === planned.part.id && b.part.id === finding.figures.otherId,
  );
  const way = close && wayOut(plan, close);
  if (!way) return [];
  const edit = nudgeParts(piece, [planned.part.id], ...way);
  return [[`Move it ${Math.ceil(Math.hypot(...way) * 10) / 10} mm away`, edit]];
}

const mm = formatFine;

/** What is said of each. */
export const MEETING_KINDS = {
  'line-too-close': {
    step: 'drawing',
    severity: 'note',
    say: ({ other, gapMm, laidMm }) =>
      `It comes within ${mm(gapMm)} of “${other}”; the thread is ${mm(laidMm)} wide, so they merge.`,
    why: 'No cloth shows between them. Move them apart, join them, take strands out, or leave one out.',
  },
  'direction-vanishes': {
    step: 'stitches',
    severity: 'note',
    say: ({ other, apartDeg }) =>
      `It touches “${other}” in a near-equal colour, and their stitches lie only ${apartDeg}° apart.`,
    why: 'Without a line between them two such areas look like one. Turn one of them, or outline it.',
  },
} satisfies Partial<FindingKinds>;

/** What can be done about each, worked out only when it is asked for. */
export const MEETING_REMEDIES = {
  'line-too-close': (of) =>
    onPart(of, (part) => [
      leftOut(part),
      ...movedAway(of, part),
      ['Join the two', joinParts(of.piece, [of.finding.figures.otherId, part.planned.part.id])],
      ['Take a strand out', withStrands(part, -1)],
    ]),
  'direction-vanishes': (of) =>
    onPart(of, ({ piece, planned }) => {
      const turn = (pass: Pass): Pass =>
        pass.role === 'filling' ? { ...pass, angleDeg: ((pass.angleDeg ?? 0) + STANDS_OUT_DEG) % 180 } : pass;
      const turned = passesAsWorked(planned).map(turn);
      return [['Turn its stitches', setPasses(piece, new Map([[planned.part.id, turned]]), 'Turn the stitches')]];
    }),
} satisfies Partial<FindingRemedies>;
