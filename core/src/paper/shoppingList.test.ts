import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { Planner, savings, willReach } from '../advice/index.ts';
import { EMPTY_BOX, newEntry, refOf, threadKind, type ShopStock, type ThreadBox } from '../materials/index.ts';
import { applyEdit, readPiece, setDone, type Piece } from '../piece/index.ts';
import { onTheNeedle, risingFactors, shadeNeeds, shareWithin } from '../plan/index.ts';
import { costsOf, cuttingList, cuttingPages, shoppingCsv, shoppingList, shoppingPages, skeinsToBuy } from './index.ts';

function demo(name: string): Piece {
  const read = readPiece(readFileSync(new URL(`../../../demo/pieces/${name}.junctura.json`, import.meta.url), 'utf8'));
  if (!read.ok) throw new Error(read.problem);
  return read.value;
}
const pool = demo('rock-pool');
const planner = new Planner();
const { plan } = planner.plan(pool);
const needs = shadeNeeds(pool, plan.colours);
/** A box that holds a number of skeins of every shade of the piece, in two lots. */
const boxOf = (skeins: number): ThreadBox => ({
  ...EMPTY_BOX,
  entries: needs.flatMap(({ shade, thread }, i) => [
    newEntry({ id: `e${i}`, shade: refOf(shade), thread, lot: 'A1', whole: skeins }),
    newEntry({ id: `f${i}`, shade: refOf(shade), thread, lot: 'B2', partM: 1 }),
  ]),
});
const shop: ShopStock = {
  simulated: true,
  name: 'Shop',
  coin: '€',
  threads: needs.slice(1).map(({ shade }, i) => ({
    range: shade.range,
    code: shade.code,
    price: 1.5,
    days: 3,
    lots:
      i === 0
        ? []
        : i === 1
          ? [
              { lot: 'X', skeins: 1 },
              { lot: 'Y', skeins: 40 },
            ]
          : [{ lot: 'Z', skeins: 50 }],
  })),
  goods: [],
};
const done = (piece: Piece, ids: string[]): Piece => {
  const outcome = applyEdit(piece, setDone(piece, ids, true)!);
  if (!outcome.ok) throw new Error(outcome.problem);
  return outcome.value;
};

describe('will it reach', () => {
  it('knows what is owned of each shade by lot, and the odds rise with it', () => {
    const [none, one, many] = [EMPTY_BOX, boxOf(1), boxOf(9)].map((box) => willReach(pool, plan, box));
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
    const half = willReach(done(pool, all.slice(0, 34)), plan, EMPTY_BOX);
    const metres = (reaches: typeof half): number => reaches.reduce((sum, { need }) => sum + need.wholeM, 0);
    expect(metres(half)).toBeLessThan(metres(willReach(pool, plan, EMPTY_BOX)));
    expect(willReach(done(pool, all), plan, EMPTY_BOX)).toEqual([]);
  });

  it('offers what saves thread, with what it truly saves', () => {
    const box = boxOf(0);
    for (const reach of willReach(pool, plan, box).slice(0, 5)) {
      for (const { edit, savedM, odds } of savings(pool, plan, reach, box, (change) => {
        const outcome = applyEdit(pool, change);
        if (!outcome.ok) throw new Error(outcome.problem);
        return { piece: outcome.value, plan: new Planner().plan(outcome.value).plan };
      })) {
        const outcome = applyEdit(pool, edit);
        expect(outcome.ok).toBe(true);
        expect(savedM).toBeGreaterThan(0);
        expect(odds).toBeGreaterThanOrEqual(reach.odds);
      }
    }
  });
});

describe('the shopping list', () => {
  it('buys the fewest skeins that do in nine cases of ten, none where enough is owned', () => {
    for (const reach of willReach(pool, plan, boxOf(0))) {
      const skeins = skeinsToBuy(reach);
      const oddsOf = (count: number): number =>
        shareWithin(
          risingFactors(reach.need.loads),
          (reach.ownedM + count * threadKind(reach.need.thread)!.putUpM) / reach.need.wholeM,
        );
      expect(oddsOf(skeins)).toBeGreaterThanOrEqual(0.9);
      if (skeins > 0) expect(oddsOf(skeins - 1)).toBeLessThan(0.9);
    }
    expect(willReach(pool, plan, boxOf(9)).every((reach) => skeinsToBuy(reach) === 0)).toBe(true);
  });

  it('says what is out of stock, not sold or only from two lots, and adds up what it costs', () => {
    const rows = shoppingList(pool, plan, willReach(pool, plan, EMPTY_BOX), shop, 'metric');
    const threads = rows.filter(({ kind }) => kind === 'thread');
    expect(threads[0]!.trouble).toBe('not-sold');
    expect(threads[1]!.trouble).toBe('out-of-stock');
    expect(rows.map(({ kind }) => kind)).toEqual(expect.arrayContaining(['cloth', 'hoop', 'needle', 'mark']));
    const costs = costsOf(rows, plan, 12);
    expect(costs.threads).toBeCloseTo(
      threads.reduce((sum, { price }) => sum + (price ?? 0), 0),
      6,
    );
    expect(costs.all).toBeCloseTo(costs.threads + costs.others + 12 * plan.totals.hours.p50, 6);
    expect(costs.unknown).toBeGreaterThan(0);
    const csv = shoppingCsv(rows, '€').trim().split('\r\n');
    expect(csv).toHaveLength(1 + rows.filter(({ toBuy }) => toBuy > 0).length);
    expect(shoppingPages(pool, rows, '€')[0]!.items.length).toBeGreaterThan(40);
  });

  it('can be made without a shop', () => {
    const rows = shoppingList(pool, plan, willReach(pool, plan, EMPTY_BOX), null, 'inch');
    expect(rows.every(({ trouble }) => trouble === null)).toBe(true);
  });
});

it('cutting lists share every cut out whole', () => {
  for (const need of plan.colours) {
    for (const { loads, kept } of cuttingList(pool, need, 'metric')) {
      expect(loads.reduce((sum, { count, strands }) => sum + count * strands, kept)).toBe(
        threadKind(need.thread)!.strands,
      );
    }
  }
  expect(cuttingPages(pool, plan.colours, 'metric').length).toBeGreaterThan(1);
});

describe('on the needle', () => {
  const [need] = plan.colours;
  const strands = need!.loadList[0]!.strands;

  it('agrees with following the thread stitch by stitch', () => {
    for (const leftMm of [120, 250, 400, 900, 5000]) {
      for (const { part, share, needMm, stitches } of onTheNeedle(pool, plan.parts, need!.colour, strands, leftMm)
        .reaches) {
        const runs = plan.parts.find((entry) => entry.part.id === part)!.passes.flatMap(({ threads }) => threads);
        const run = runs.find(({ usedMm }) => Math.abs((usedMm.at(-1) ?? 0) - needMm) < 1e-6)!;
        expect(share).toBeCloseTo(stitches / run.usedMm.length, 9);
        if (stitches > 0) expect(run.usedMm[stitches - 1]!).toBeLessThanOrEqual(leftMm - 110);
        if (stitches < run.usedMm.length) expect(run.usedMm[stitches]!).toBeGreaterThan(leftMm - 160);
      }
    }
  });

  it('says to fasten off when hardly anything is left, and leaves out what is done', () => {
    expect(onTheNeedle(pool, plan.parts, need!.colour, strands, 90).fastenOff).toBe(true);
    const all = onTheNeedle(pool, plan.parts, need!.colour, strands, 3000).reaches;
    const fewer = onTheNeedle(done(pool, [all[0]!.part]), plan.parts, need!.colour, strands, 3000).reaches;
    expect(fewer.length).toBeLessThan(all.length);
  });
});
