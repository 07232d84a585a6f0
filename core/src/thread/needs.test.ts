import { demoPiece } from '../testing/pieces.ts';
import { Planner } from '../advice/index.ts';
import { shadeParts, threadFactor, USUAL_FACTORS, USUAL_SPREAD } from '../work/index.ts';
import { shadeNeeds } from './shadeNeeds.ts';
import { needOdds } from './odds.ts';
import { colourNeeds } from './needs.ts';
import { describe, expect, it } from 'vitest';
import { nearestShade, refOf, THRUMWICK, threadKind } from '../materials/index.ts';
import { applyEdit, setShade, type Edit, type Piece } from '../piece/index.ts';

function after(piece: Piece, edit: Edit | null): Piece {
  const outcome = applyEdit(piece, edit!);
  if (!outcome.ok) throw new Error(outcome.problem);
  return outcome.value;
}
const pool = demoPiece('rock-pool');
const { plan } = new Planner().plan(pool, USUAL_FACTORS);
const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);

describe('what colours take', () => {
  it.each([0, 10, 33, 60])('of some parts and of the others is what all take (first %i)', (count) => {
    const [some, others] = [plan.parts.slice(0, count), plan.parts.slice(count)].map((parts) =>
      colourNeeds(pool, parts, plan.order, USUAL_SPREAD),
    );
    const all = colourNeeds(pool, plan.parts, plan.order, USUAL_SPREAD);
    for (const key of ['threadMm', 'stitches', 'strandMetres'] as const) {
      expect(sum([...some!, ...others!].map((need) => need[key]))).toBeCloseTo(sum(all.map((need) => need[key])), 3);
    }
    // Worked apart, remainders cannot be shared: it never takes less.
    expect(sum([...some!, ...others!].map(({ wholeM }) => wholeM))).toBeGreaterThanOrEqual(
      sum(all.map(({ wholeM }) => wholeM)) - 1e-9,
    );
  });

  it('is cut in whole lengths, with what lies on the piece and what is lost accounted for', () => {
    for (const need of plan.colours) {
      const strands = threadKind(need.thread).strands;
      const inLoads = sum(need.loadList.map(({ strands: count }) => count));
      expect(inLoads + need.strandsKept).toBe(need.cuts * strands);
      expect(need.wholeM).toBeCloseTo((need.cuts * need.cutMm) / 1000, 9);
      const odds = needOdds(need.wholeM / threadKind(need.thread).putUpM, need.loads, plan.spread);
      expect(need.skeins.p90).toBeGreaterThanOrEqual(Math.floor(odds.p90));
    }
  });
});

describe('what shades take', () => {
  it('is what their colours take: two in one needle share it, one shade in two colours adds it up', () => {
    const [one, two] = pool.palette;
    const all = (piece: Piece): number => sum(shadeNeeds(piece, plan.colours, plan.spread).map(({ wholeM }) => wholeM));
    const whole = sum(plan.colours.map(({ wholeM }) => wholeM));
    expect(all(pool)).toBeCloseTo(whole, 9);
    const blended = after(pool, setShade(pool, one!.id, one!.shade, refOf(THRUMWICK.shades[70]!)));
    expect(all(blended)).toBeCloseTo(whole, 9);
    expect(shadeNeeds(blended, plan.colours, plan.spread)).toHaveLength(
      shadeNeeds(pool, plan.colours, plan.spread).length + 1,
    );
    const alike = after(pool, setShade(pool, one!.id, two!.shade));
    const [merged] = shadeNeeds(alike, plan.colours, plan.spread);
    expect(merged!.colours).toEqual([one!.id, two!.id]);
    expect(all(alike)).toBeCloseTo(whole, 9);
  });
});

describe('a person’s own hand', () => {
  it('takes more or less thread by stitch, and nothing else changes', () => {
    const hand = { ...USUAL_FACTORS, thread: { '': 1.1, satin: 1.25 } };
    expect(['satin', 'stem'].map((stitch) => threadFactor(hand, stitch))).toEqual([1.25, 1.1]);
    const own = new Planner().plan(pool, hand).plan;
    own.parts.forEach(({ passes }, i) =>
      passes.forEach((pass, k) => {
        const usual = plan.parts[i]!.passes[k]!;
        expect(pass.quantities.threadMm / usual.quantities.threadMm).toBeCloseTo(threadFactor(hand, pass.stitch), 6);
        expect(pass.quantities.stitches).toBe(usual.quantities.stitches);
        expect(pass.quantities.frontMm).toBe(usual.quantities.frontMm);
      }),
    );
  });

  it('that is well known asks for no more skeins than one that is not', () => {
    const known = new Planner().plan(pool, { ...USUAL_FACTORS, handSpread: 0.02 }).plan;
    known.colours.forEach(({ skeins }, i) => expect(skeins.p95).toBeLessThanOrEqual(plan.colours[i]!.skeins.p95));
  });
});

describe('shading parts', () => {
  it('works areas from shade to shade, putting into the palette only what it lacks', () => {
    const kite = demoPiece('kite');
    const planned = new Planner().plan(kite, USUAL_FACTORS).plan;
    const known = kite.palette[0]!.shade!;
    const fresh = refOf(nearestShade('#88aa44').item);
    const areas = planned.parts.filter(({ part }) => part.kind === 'area').slice(0, 2);
    const shaded = after(kite, shadeParts(kite, areas, [known, fresh]));
    expect(shaded.palette).toHaveLength(kite.palette.length + 1);
    const { plan: again } = new Planner().plan(shaded, USUAL_FACTORS);
    for (const { part } of areas) {
      const passes = again.parts.find((entry) => entry.part.id === part.id)!.passes;
      expect(passes.find(({ role }) => role === 'filling')!.threads.map(({ colour }) => colour)).toHaveLength(2);
    }
    expect(shadeParts(kite, areas, [known])).toBeNull();
    expect(
      shadeParts(
        kite,
        planned.parts.filter(({ part }) => part.kind === 'line'),
        [known, fresh],
      ),
    ).toBeNull();
  });
});
