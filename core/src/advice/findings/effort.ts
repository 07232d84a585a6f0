import { innerDiameterMm } from '../../materials/index.ts';
import { roundTo } from '../../measure/index.ts';
import type { PlanInput } from '../../piece/index.ts';
import { secondsByPart, type Plan } from '../../thread/index.ts';
import { outlineToLine } from '../../drawing/index.ts';
import type { Finding, FindingKinds, FindingRemedies } from '../finding.ts';
import { THRESHOLDS } from '../thresholds.ts';
import { onPart } from './onParts.ts';

/** A piece that takes far longer than others of its size, and the part that takes most of it. */
export function effortFindings({ positions }: PlanInput, plan: Plan): Finding[] {
  const { hoop, totals, parts } = plan;
  if (!hoop) return [];
  const clothCm2 = (Math.PI / 4) * (innerDiameterMm(hoop.nominalMm) / 10) ** 2 * Math.max(1, positions.length);
  const usualHours = Math.round(THRESHOLDS.hoopHours.least + THRESHOLDS.hoopHours.perCm2 * clothCm2);
  const hours = roundTo(totals.hours.p50, 1);
  if (hours <= usualHours) return [];
  const [heaviest, partSeconds] = [...secondsByPart(plan)].reduce(
    (most, one) => (one[1] > most[1] ? one : most),
    ['', 0],
  );
  const part = parts.find((planned) => planned.part.id === heaviest)?.part;
  if (!part) return [];
  return [
    {
      id: 'too-much',
      part: part.id,
      figures: {
        hours,
        hoopMm: hoop.nominalMm,
        usualHours,
        heaviest: part.name,
        partHours: roundTo(partSeconds / 3600, 1),
      },
    },
  ];
}

/** Where it is looked at, and how bad it is. */
export const EFFORT_KINDS = { 'too-much': { step: 'stitches', severity: 'note' } } satisfies Partial<FindingKinds>;

/** What can be done about it, worked out only when it is asked for. */
export const EFFORT_REMEDIES = {
  'too-much': (of) =>
    onPart(of, ({ piece, planned }) => [
      ['Stitch its outline only', planned.part.kind === 'area' ? outlineToLine(piece, [planned.part.id]) : null],
    ]),
} satisfies Partial<FindingRemedies>;
