import { lastSitting } from '../../log/index.ts';
import { clothOf, type Cloth } from '../../materials/index.ts';
import { localDay } from '../../measure/index.ts';
import type { PieceRecord, PlanInput } from '../../piece/index.ts';
import type { Finding, FindingKinds } from '../finding.ts';

/** How many days a cloth may stay under the ring: what can be pressed hot gives up its crease, what cannot keeps it. General craft practice. */
const STAYS_DAYS: Readonly<Record<Cloth['iron'], number>> = { hot: 14, warm: 5, no: 2 };
const DAY_MS = 86_400_000;

/**
 * What a record gives cause to say between two sittings.
 * @param now an ISO time
 */
export function recordFindings({ hoop, cloth }: PlanInput, record: PieceRecord, now: string): Finding[] {
  const last = lastSitting(record);
  if (!last?.ended) return [];
  const found: Finding[] = [];
  if (last.needlesMissing > 0) {
    found.push({ id: 'needle-count', part: null, figures: { missing: last.needlesMissing } });
  }
  const kind = clothOf(cloth.kind);
  const mostDays = STAYS_DAYS[kind.iron];
  if (hoop && !last.isTakenOff && Date.parse(now) - Date.parse(last.ended) > mostDays * DAY_MS) {
    const figures = { since: localDay(new Date(last.ended)), mostDays, cloth: kind.name };
    found.push({ id: 'hoop-left', part: null, figures });
  }
  return found;
}

/** Where each is looked at, and how bad it is. */
export const RECORD_KINDS = {
  'needle-count': { step: 'at-the-hoop', severity: 'warn' },
  'hoop-left': { step: 'at-the-hoop', severity: 'note' },
} satisfies Partial<FindingKinds>;
