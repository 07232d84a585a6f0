import { boxFor, demoPiece } from '../testing/pieces.ts';
import { partsToDo } from './reach.ts';
import { USUAL_FACTORS } from '../work/index.ts';
import { savings, willReach, onTheNeedle, shadeNeeds } from '../thread/index.ts';
import { describe, expect, it } from 'vitest';
import { Planner } from '../advice/index.ts';
import { EMPTY_BOX, type ThreadBox } from '../materials/index.ts';
import { applyEdit } from '../piece/index.ts';

const pool = demoPiece('rock-pool');
const planner = new Planner();
const { plan } = planner.plan(pool, USUAL_FACTORS);
const needs = shadeNeeds(pool, plan.colours, plan.spread);
const boxOf = (skeins: number): ThreadBox => boxFor(needs, skeins);
const NOTHING: ReadonlySet<string> = new Set();

describe('will it reach', () => {
  it('knows what is owned of each shade by lot, and the odds rise with it', () => {
    const [none, one, many] = [EMPTY_BOX, boxOf(1), boxOf(9)].map((box) => willReach(pool, plan, NOTHING, box));
    none!.forEach((reach, i) => {
      expect(reach.odds).toBe(0);
      expect(one![i]!.odds).toBeGreaterThanOrEqual(reach.odds);
      expect(many![i]!.odds).toBe(1);
      expect(many![i]!.shortM).toBe(0);
      expect(one![i]!.lots.map(({ lot }) => lot)).toEqual(['A1', 'B2']);
    });
  });

  it('asks for less with every part that is done, and for nothing at the end', () => {
    const all = pool.drawing.parts.map(({ id }) => id);
    const half = willReach(pool, plan, new Set(all.slice(0, 34)), EMPTY_BOX);
    const metres = (reaches: typeof half): number => reaches.reduce((sum, { need }) => sum + need.wholeM, 0);
    expect(metres(half)).toBeLessThan(metres(willReach(pool, plan, NOTHING, EMPTY_BOX)));
    expect(willReach(pool, plan, new Set(all), EMPTY_BOX)).toEqual([]);
  });

  it('offers what saves thread, with what it truly saves', () => {
    const box = boxOf(0);
    for (const reach of willReach(pool, plan, NOTHING, box).slice(0, 5)) {
      for (const { edit, savedM, odds } of savings(pool, plan, NOTHING, reach, box, (change) => {
        const outcome = applyEdit(pool, change);
        if (!outcome.ok) throw new Error(outcome.problem);
        return { piece: outcome.value, plan: new Planner().plan(outcome.value, USUAL_FACTORS).plan };
      })) {
        const outcome = applyEdit(pool, edit);
        expect(outcome.ok).toBe(true);
        expect(savedM).toBeGreaterThan(0);
        expect(odds).toBeGreaterThanOrEqual(reach.odds);
      }
    }
  });
});

describe('on the needle', () => {
  const [need] = plan.colours;
  const strands = need!.loadList[0]!.strands;

  it('agrees with following the thread stitch by stitch', () => {
    for (const leftMm of [120, 250, 400, 900, 5000]) {
      for (const { part, share, needMm, stitches } of onTheNeedle(
        pool,
        plan.parts,
        plan.order,
        need!.colour,
        strands,
        leftMm,
      ).reaches) {
        const runs = plan.parts.find((entry) => entry.part.id === part)!.passes.flatMap(({ threads }) => threads);
        const run = runs.find(({ usedMm }) => Math.abs((usedMm.at(-1) ?? 0) - needMm) < 1e-6)!;
        expect(share).toBeCloseTo(stitches / run.usedMm.length, 9);
        if (stitches > 0) expect(run.usedMm[stitches - 1]!).toBeLessThanOrEqual(leftMm - 110);
        if (stitches < run.usedMm.length) expect(run.usedMm[stitches]!).toBeGreaterThan(leftMm - 160);
      }
    }
  });

  it('says to fasten off when hardly anything is left, and leaves out what is done', () => {
    expect(onTheNeedle(pool, plan.parts, plan.order, need!.colour, strands, 90).fastenOff).toBe(true);
    const all = onTheNeedle(pool, plan.parts, plan.order, need!.colour, strands, 3000).reaches;
    const fewer = onTheNeedle(
      pool,
      partsToDo(plan, new Set([all[0]!.part])),
      plan.order,
      need!.colour,
      strands,
      3000,
    ).reaches;
    expect(fewer.length).toBeLessThan(all.length);
  });
});
