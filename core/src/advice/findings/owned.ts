import { usesColour } from '../../work/index.ts';
import { risingFactors, shareWithin, type Plan, type Owned, ENOUGH } from '../../thread/index.ts';
import { Memory, roundTo } from '../../measure/index.ts';
import type { Finding, FindingKinds } from '../finding.ts';

/** Thread that is owned, but does not cover the need with good odds. */
export function ownedFindings({ colours, parts, spread }: Plan, owned: Owned, memory = new Memory()): Finding[] {
  return colours.flatMap((need): Finding[] => {
    const metres = owned[need.id];
    if (metres === undefined || need.wholeM === 0) return [];
    const odds = shareWithin(risingFactors(need.loads, spread, memory), metres / need.wholeM);
    if (odds >= ENOUGH) return [];
    const part = parts.find((planned) => usesColour(planned, need.colour))?.part.id ?? null;
    const figures = {
      colour: need.name,
      ownedM: roundTo(metres, 1),
      needM: roundTo(need.wholeM, 1),
      percent: Math.round(odds * 100),
    };
    return [{ id: 'runs-out', part, figures }];
  });
}

/** Where it is looked at, and how bad it is. */
export const OWNED_KINDS = {
  'runs-out': { step: 'thread', severity: 'warn' },
} satisfies Partial<FindingKinds>;
