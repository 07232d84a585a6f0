import type { PlanInput } from '../../piece/index.ts';
import { loadSettings, usableMm, type Plan } from '../../thread/index.ts';
import { hundredths, type Finding, type FindingKinds, type FindingRemedies } from '../finding.ts';
import { onPart, switchTo } from './onParts.ts';

/** Threads that are laid in one piece and are too long for one length. */
export function joinedFindings(piece: PlanInput, { parts }: Plan): Finding[] {
  const settings = loadSettings(piece);
  return parts.flatMap(({ part, passes }): Finding[] => {
    let [laidMm, heldMm] = [0, Infinity];
    for (const { stitch, strands, threads } of passes) {
      const held = usableMm({ stitch, strands }, settings);
      for (const { usedMm } of threads) {
        usedMm.forEach((used, i) => {
          const own = used - (i === 0 ? 0 : usedMm[i - 1]!);
          if (own > held + 1 && own > laidMm) [laidMm, heldMm] = [own, held];
        });
      }
    }
    if (laidMm === 0) return [];
    const figures = { laidMm: hundredths(laidMm), heldMm: hundredths(heldMm), lengths: Math.ceil(laidMm / heldMm) };
    return [{ id: 'joined', part: part.id, figures }];
  });
}

/** Where each is looked at, and how bad it is. */
export const JOINED_KINDS = {
  joined: { step: 'stitches', severity: 'note' },
} satisfies Partial<FindingKinds>;

/** What can be done about each, worked out only when it is asked for. */
export const JOINED_REMEDIES = {
  joined: (of) =>
    onPart(of, (part) => (part.planned.part.kind === 'line' ? [['Use stem stitch', switchTo(part, 'stem')]] : [])),
} satisfies Partial<FindingRemedies>;
