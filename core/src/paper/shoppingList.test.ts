import { boxFor, demoPiece } from '../testing/pieces.ts';
import { USUAL_FACTORS } from '../work/index.ts';
import { willReach, risingFactors, shadeNeeds, shareWithin, skeinsToBuy } from '../thread/index.ts';
import { describe, expect, it } from 'vitest';
import { Planner } from '../advice/index.ts';
import { EMPTY_BOX, hoopNeeds, threadKind, type Basket, type ShopStock, type ThreadBox } from '../materials/index.ts';
import { costsOf, cuttingList, cuttingPages, shoppingCsv, shoppingList, shoppingPages } from './index.ts';

const pool = demoPiece('rock-pool');
const planner = new Planner();
const { plan } = planner.plan(pool, USUAL_FACTORS);
const needs = shadeNeeds(pool, plan.colours, plan.spread);
const boxOf = (skeins: number): ThreadBox => boxFor(needs, skeins);
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
const NOTHING: ReadonlySet<string> = new Set();

describe('the shopping list', () => {
  it('has as much cloth as the greater of hoop and finish takes, each way', () => {
    const { clothAcrossMm, clothUprightMm } = hoopNeeds(pool.hoop!);
    const clothOfList = (clothMm: [number, number] | null): string =>
      shoppingList(pool, plan, [], null, 'metric', { clothMm }).find(({ kind }) => kind === 'cloth')!.detail;
    const cm = (mm: number): number => Math.ceil(mm / 10);
    expect(clothOfList(null)).toBe(`${cm(clothAcrossMm)} cm × ${cm(clothUprightMm)} cm`);
    expect(clothOfList([500, 100])).toBe(`50 cm × ${cm(clothUprightMm)} cm`);
  });

  it('buys the fewest skeins that do in nine cases of ten, none where enough is owned', () => {
    for (const reach of willReach(pool, plan, NOTHING, boxOf(0))) {
      const skeins = skeinsToBuy(reach, plan.spread);
      const oddsOf = (count: number): number =>
        shareWithin(
          risingFactors(reach.need.loads, plan.spread),
          (reach.ownedM + count * threadKind(reach.need.thread).putUpM) / reach.need.wholeM,
        );
      expect(oddsOf(skeins)).toBeGreaterThanOrEqual(0.9);
      if (skeins > 0) expect(oddsOf(skeins - 1)).toBeLessThan(0.9);
    }
    expect(willReach(pool, plan, NOTHING, boxOf(9)).every((reach) => skeinsToBuy(reach, plan.spread) === 0)).toBe(true);
  });

  it('says what is out of stock, not sold or only from two lots, and adds up what it costs', () => {
    const rows = shoppingList(pool, plan, willReach(pool, plan, NOTHING, EMPTY_BOX), shop, 'metric');
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

  it('has what finishing takes, and more of the shade in which an edge is worked', () => {
    const reaches = willReach(pool, plan, NOTHING, EMPTY_BOX);
    const { need } = reaches[0]!;
    const colour = need.colours[0]!;
    const { putUpM } = threadKind(need.thread);
    const edge = {
      id: 'edge-thread',
      name: 'Edge',
      quantity: 3 * putUpM * 1000,
      unit: 'mm',
      sizeMm: null,
      goods: null,
      thread: { colour, kind: need.thread, loads: 30 },
    } as const;
    const felt = {
      ...edge,
      id: 'felt',
      name: 'Felt',
      quantity: 1,
      unit: 'pieces',
      sizeMm: [80, 90],
      goods: 'felt',
      thread: null,
    } as const;
    const rows = shoppingList(
      pool,
      plan,
      reaches,
      { ...shop, goods: [{ id: 'felt', kind: 'backing', price: 2, unit: 'cut', days: 1, stock: 3 }] },
      'metric',
      { finishing: [edge, felt] },
    );
    const before = shoppingList(pool, plan, reaches, shop, 'metric');
    expect(rows[0]!.toBuy).toBeGreaterThanOrEqual(before[0]!.toBuy + 3);
    expect(rows[1]).toEqual(before[1]);
    expect(rows.filter(({ kind }) => kind === 'finishing')).toMatchObject([
      { name: 'Felt', needed: '80 × 90 mm', price: 2 },
    ]);
  });

  it('asks for nothing that lies in the workbasket: hoop, needle, mark, cloth of which the cut can be had along the grain', () => {
    const reaches = willReach(pool, plan, NOTHING, EMPTY_BOX);
    const needles = plan.parts.flatMap(({ passes }) => passes.flatMap((pass) => pass.needles));
    const { clothAcrossMm, clothUprightMm } = hoopNeeds(pool.hoop!);
    const cloth = { id: 'c', kind: 'cloth', cloth: pool.cloth.kind, colour: '#ffffff' } as const;
    const basket: Basket = [
      { id: 'h', kind: 'hoop', nominalMm: pool.hoop!.nominalMm, shortMm: null },
      { id: 'm', kind: 'mark', mark: pool.mark },
      { ...cloth, widthMm: clothAcrossMm, heightMm: clothUprightMm },
      ...needles.map(({ family, size }, i) => ({ id: `n${i}`, kind: 'needle' as const, family, size, count: 2 })),
    ];
    const rows = shoppingList(pool, plan, reaches, shop, 'metric', { basket });
    const others = rows.filter(({ kind }) => kind !== 'thread');
    expect(others.filter(({ toBuy }) => toBuy > 0)).toEqual([]);
    expect(others.every(({ owned, price, trouble }) => owned !== '' && price === 0 && trouble === null)).toBe(true);
    const short = basket.map((item) => (item.kind === 'cloth' ? { ...item, widthMm: clothAcrossMm - 1 } : item));
    const kinds = shoppingList(pool, plan, reaches, shop, 'metric', { basket: short })
      .filter(({ kind, toBuy }) => kind !== 'thread' && toBuy > 0)
      .map(({ kind }) => kind);
    expect(kinds).toEqual(['cloth']);
  });

  it('can be made without a shop', () => {
    const rows = shoppingList(pool, plan, willReach(pool, plan, NOTHING, EMPTY_BOX), null, 'inch');
    expect(rows.every(({ trouble }) => trouble === null)).toBe(true);
  });
});

it('cutting lists share every cut out whole', () => {
  for (const need of plan.colours) {
    for (const { loads, kept } of cuttingList(pool, need, 'metric')) {
      expect(loads.reduce((sum, { count, strands }) => sum + count * strands, kept)).toBe(
        threadKind(need.thread).strands,
      );
    }
  }
  expect(cuttingPages(pool, plan.colours, 'metric').length).toBeGreaterThan(1);
});
