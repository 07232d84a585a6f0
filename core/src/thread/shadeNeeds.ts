import type { ThreadSpread } from '../work/index.ts';
import { isSameShade, threadKind, type ShadeRef, type ThreadId } from '../materials/index.ts';
import { shadesOf, type PlanInput } from '../piece/index.ts';
import { Memory } from '../measure/index.ts';
import type { ColourNeed } from './needs.ts';
import { needOdds, type Odds } from './odds.ts';

/** What all colours of a piece that are worked in one shade take of it. */
export interface ShadeNeed {
  readonly shade: ShadeRef;
  readonly thread: ThreadId;
  /** The dye lot that was chosen; null: any. */
  readonly lot: string | null;
  /** Ids in the palette. */
  readonly colours: readonly string[];
  /** Metres of the whole thread that are cut, as planned. */
  readonly wholeM: number;
  readonly loads: number;
  readonly skeins: Odds;
}

/** Needs by the shade that is bought: two strands of different shades take half of either. */
export function shadeNeeds(
  piece: PlanInput,
  needs: readonly ColourNeed[],
  spread: ThreadSpread,
  memory = new Memory(),
): ShadeNeed[] {
  const found: ShadeNeed[] = [];
  for (const need of needs) {
    const colour = piece.palette.find(({ id }) => id === need.colour);
    if (!colour || need.wholeM === 0) continue;
    const { first, second } = shadesOf(colour);
    const share = second ? 0.5 : 1;
    for (const shade of second ? [first, second] : [first]) {
      const lot = shade === first ? colour.lot : null;
      const at = found.findIndex(
        (entry) => entry.thread === need.thread && entry.lot === lot && isSameShade(entry.shade, shade),
      );
      const before = found[at];
      const merged: ShadeNeed = {
        shade,
        thread: need.thread,
        lot,
        colours: [...(before?.colours ?? []), need.colour],
        wholeM: (before?.wholeM ?? 0) + need.wholeM * share,
        loads: (before?.loads ?? 0) + need.loads,
        skeins: { p50: 0, p90: 0, p95: 0 },
      };
      if (at < 0) found.push(merged);
      else found[at] = merged;
    }
  }
  return found.map((need) => ({ ...need, skeins: wholeSkeins(need, spread, memory) }));
}

function wholeSkeins({ wholeM, loads, thread }: ShadeNeed, spread: ThreadSpread, memory: Memory): Odds {
  const { p50, p90, p95 } = needOdds(wholeM / threadKind(thread).putUpM, loads, spread, memory);
  const up = (share: number): number => Math.max(1, Math.ceil(share - 1e-9));
  return { p50: up(p50), p90: up(p90), p95: up(p95) };
}
