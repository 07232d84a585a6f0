import { expect, it } from 'vitest';
import { Planner } from '../advice/index.ts';
import { seededRandom } from '../measure/index.ts';
import { workAtEnd, applyEdit, workBefore, type Piece } from '../piece/index.ts';
import { svgPiece } from '../testing/pieces.ts';
import type { Plan } from '../thread/index.ts';
import { USUAL_FACTORS } from '../work/index.ts';
import { inTheWay, notKept } from './index.ts';

const planOf = (piece: Piece): Plan => new Planner().plan(piece, USUAL_FACTORS).plan;
const name = (part: string): string => part;
/** Squares of 12 mm that lie on each other here and there. */
function heap(seed: number): Piece {
  const random = seededRandom(seed);
  const at = (): string => random.between(0, 40).toFixed(1);
  const colours = ['#aa3333', '#33aa44', '#3344aa', '#bbaa33'];
  const squares = Array.from(
    { length: 8 },
    (_, i) => `<rect x="${at()}" y="${at()}" width="12" height="12" fill="${colours[i % 4]!}"/>`,
  );
  return svgPiece(squares.join(''));
}
function wanted(piece: Piece, part: string, end: 'first' | 'last'): Piece {
  const outcome = applyEdit(piece, workAtEnd(piece, [part], end)!);
  if (!outcome.ok) throw new Error(outcome.problem);
  return outcome.value;
}

it('what is named as in the way of a part is all that is worked before the part that is to come first, or after the last one', () => {
  let named = 0;
  for (let seed = 1; seed <= 6; seed++) {
    const piece = heap(seed);
    for (const end of ['first', 'last'] as const) {
      for (const part of ['part-2', 'part-5', 'part-8']) {
        const { order, rules } = planOf(wanted(piece, part, end));
        const own = order.flatMap((step, i) => (step.part === part ? [i] : []));
        if (own.length === 0) continue;
        const beyond = end === 'first' ? order.slice(0, own[0]) : order.slice(own.at(-1)! + 1);
        const found = inTheWay(rules.rules, order, part, end, [part], name);
        expect(new Set(found?.parts ?? []), `${seed} ${part} ${end}`).toEqual(new Set(beyond.map((step) => step.part)));
        if (found) expect(found.reasons.length).toBeGreaterThan(0);
        named += found ? 1 : 0;
      }
    }
  }
  expect(named).toBeGreaterThan(5);
});

it('parts that are wanted first together stand in no other’s way', () => {
  const piece = svgPiece(
    '<rect width="20" height="20" fill="#a33"/><rect x="5" y="5" width="10" height="10" fill="#3a3"/>',
  );
  const { order, rules } = planOf(piece);
  expect(inTheWay(rules.rules, order, 'part-2', 'first', ['part-2'], name)?.parts).toEqual(['part-1']);
  expect(inTheWay(rules.rules, order, 'part-2', 'first', ['part-1', 'part-2'], name)).toBeNull();
});

it('of what was fixed in a circle, what gave way is named', () => {
  const piece = svgPiece('<rect width="9" height="9" fill="#a33"/><rect x="20" width="9" height="9" fill="#3a3"/>');
  const whole = (part: string) => ({ part, layer: null, shade: null });
  const pair = (before: string, after: string) => ({ before: whole(before), after: whole(after) });
  const once = applyEdit(piece, workBefore(piece, [pair('part-1', 'part-2')])!);
  if (!once.ok) throw new Error(once.problem);
  const circle = {
    ...once.value,
    order: { ...once.value.order, pairs: [pair('part-1', 'part-2'), pair('part-2', 'part-1')] },
  };
  const { order, rules } = planOf(circle);
  const gone = [...rules.gaveWay, ...rules.broken];
  expect(notKept(gone, order, 'part-1', name)).toHaveLength(1);
  expect(notKept([], order, 'part-1', name)).toEqual([]);
});
