import { degreesApart, straightFilling, type Neighbours, TREATMENT } from '../propose/index.ts';
import type { PlannedPart, PlannedPass } from '../work/index.ts';
import type { Plan } from '../thread/index.ts';
import { tooClose } from './closeness.ts';
import { hundredths, type Finding } from './finding.ts';

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
