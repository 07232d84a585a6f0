import { FOLDED_STRANDS, markOf, WORKING_LENGTH } from '../materials/index.ts';
import { needleName } from '../order/index.ts';
import type { Piece } from '../piece/index.ts';
import type { Plan, Sitting } from '../thread/index.ts';
import { redrawPlan } from './redraw.ts';

/** Lengths of one colour and strand count that are begun in a sitting. */
export interface LaidLength {
  readonly key: string;
  readonly name: string;
  readonly hex: string;
  readonly strands: number;
  readonly count: number;
  readonly cutMm: number;
}

/** What to lay out for a sitting, and what it finishes. */
export interface LaidOut {
  readonly lengths: readonly LaidLength[];
  readonly needles: readonly string[];
  /** Positions of the hoop, counted from 1, in their order. */
  readonly positions: readonly number[];
  /** Names of parts whose mark is to be drawn anew before it, and of those that it finishes. */
  readonly drawn: readonly string[];
  readonly finishes: readonly string[];
}

/** What a sitting wants to have at hand. */
export function layOut(piece: Piece, plan: Plan, sitting: Sitting): LaidOut {
  const { order, colours, parts } = plan;
  const steps = sitting.steps.map(({ step }) => order[step]!);
  const nameOf = new Map(parts.map(({ part }) => [part.id, part.name]));
  const lastStep = new Map<string, number>();
  order.forEach(({ part }, at) => lastStep.set(part, at));
  const finished = sitting.steps.filter(({ step, to }) => to === 1 && lastStep.get(order[step]!.part) === step);
  const { staysDays } = markOf(piece.mark);
  const redrawn = staysDays === null ? [] : redrawPlan(piece, plan, staysDays);
  const drawn = redrawn.find(({ before }) => before === sitting.number && sitting.number > 1)?.partIds ?? [];
  return {
    lengths: sitting.lengths.flatMap(({ need: id, loads }) => {
      const need = colours.find((own) => own.id === id)!;
      const byStrands = new Map<number, number>();
      for (const load of loads) {
        const { strands } = need.loadList[load]!;
        byStrands.set(strands, (byStrands.get(strands) ?? 0) + 1);
      }
      return [...byStrands].map(([strands, count]) => ({
        key: `${id} ${strands}`,
        name: need.name,
        hex: need.hex,
        strands,
        count,
        cutMm: strands === FOLDED_STRANDS ? WORKING_LENGTH.foldedCutMm : need.cutMm,
      }));
    }),
    needles: [...new Set(steps.map(({ needle }) => needleName(needle)))],
    positions: steps.map(({ position }) => position + 1).filter((own, i, all) => own !== all[i - 1]),
    drawn: drawn.map((id) => nameOf.get(id) ?? id),
    finishes: finished.map(({ step }) => nameOf.get(order[step]!.part) ?? order[step]!.part),
  };
}
