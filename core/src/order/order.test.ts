import { describe, expect, it } from 'vitest';
import { readSvg, roomHalvesMm } from '../drawing/index.ts';
import { CLOTHS, MARKS } from '../materials/index.ts';
import { seededRandom } from '../measure/index.ts';
import { plainHoop, type Hoop, type Piece } from '../piece/index.ts';
import type { Plan } from '../plan/index.ts';
import { planOf } from '../testing/plans.ts';
import { fewestCovering } from './positions.ts';
import {
  checkRemoval,
  crushedParts,
  fadedParts,
  findPositions,
  orderPositions,
  redrawPlan,
  removalSteps,
  tackingFor,
  worksOf,
} from './index.ts';

function pieceOf(body: string, change: Partial<Piece> = {}): Piece {
  const read = readSvg(
    `<svg xmlns="http://www.w3.org/2000/svg" width="900mm" viewBox="0 0 900 900">${body}</svg>`,
    'x',
    'x',
  );
  if (!read.ok) throw new Error(read.problem);
  return { ...read.value, ...change };
}
/** Discs strewn over a cloth. */
function strewn(seed: number, count: number, spread: number): { piece: Piece; plan: Plan } {
  const random = seededRandom(seed);
  const discs = Array.from(
    { length: count },
    () =>
      `<circle cx="${random.between(0, spread)}" cy="${random.between(0, spread)}" r="${random.between(2, 8)}" fill="#a33"/>`,
  );
  const piece = pieceOf(discs.join(''));
  return { piece, plan: planOf(piece) };
}
const hoop = plainHoop(150, 12);
const oval: Hoop = { ...hoop, nominalMm: 200, shortMm: 130 };

describe('the fewest rows that cover all columns', () => {
  it.each([1, 2, 3, 4, 5, 6, 7, 8])('are as few as trying every choice finds (seed %i)', (seed) => {
    const random = seededRandom(seed);
    const [rows, columns] = [11, 9];
    const covers = Array.from({ length: rows }, () =>
      Uint8Array.from({ length: columns }, () => Number(random.next() < 0.3)),
    );
    const isCover = (mask: number): boolean =>
      Array.from({ length: columns }, (_, c) => c).every((c) => covers.some((row, r) => mask & (1 << r) && row[c]));
    let fewest = Infinity;
    for (let mask = 0; mask < 1 << rows; mask++) {
      if (isCover(mask)) fewest = Math.min(fewest, mask.toString(2).replace(/0/g, '').length);
    }
    const found = fewestCovering(covers, columns);
    expect(found?.length ?? Infinity).toBe(fewest);
    if (found) expect(isCover(found.reduce((mask, r) => mask | (1 << r), 0))).toBe(true);
  });
});

describe('hoop positions', () => {
  it.each([1, 2, 3, 4, 5, 6])('hold every part whole, and no fewer could (seed %i)', (seed) => {
    const { plan } = strewn(seed, 14, 260);
    for (const ring of [hoop, oval]) {
      const middles = findPositions(plan, ring)!;
      const held = new Set(worksOf(plan, ring, middles).flatMap(({ whole }) => whole));
      expect(held.size).toBe(plan.parts.filter(({ placed }) => placed.box).length);
      // Parts further apart than any two places of one room need a position each.
      const reach = 2 * Math.max(...roomHalvesMm(ring));
      const apart: { x: number; y: number }[] = [];
      for (const { placed } of plan.parts) {
        const at = placed.widest;
        if (!at) continue;
        if (apart.every((other) => Math.hypot(other.x - at.x, other.y - at.y) > reach)) apart.push(at);
      }
      expect(middles.length).toBeGreaterThanOrEqual(apart.length);
      expect(middles.length).toBeLessThanOrEqual(9);
    }
  });

  it('reach all of a part that is larger than the hoop, in portions', () => {
    const plan = planOf(pieceOf('<rect width="300" height="20" fill="#a33"/>'));
    const middles = findPositions(plan, hoop)!;
    expect(middles.length).toBeGreaterThan(2);
    expect(middles.length).toBeLessThanOrEqual(4);
    const [left, right] = [Math.min(...middles.map(([x]) => x)), Math.max(...middles.map(([x]) => x))];
    const [a] = roomHalvesMm(hoop);
    expect(left - a).toBeLessThanOrEqual(plan.design.box!.minX);
    expect(right + a).toBeGreaterThanOrEqual(plan.design.box!.maxX);
  });

  it('are one where the design fits, none where nothing is drawn, and not found where too many would be needed', () => {
    expect(findPositions(planOf(pieceOf('<circle r="50" fill="#a33"/>')), hoop)).toHaveLength(1);
    const far = planOf(pieceOf('<circle r="5" fill="#a33"/><circle cx="9000" cy="9000" r="5" fill="#a33"/>'));
    expect(findPositions(far, plainHoop(60, 10))).toBeNull();
  });

  it('come in an order that crushes least', () => {
    const { plan } = strewn(4, 16, 240);
    const middles = findPositions(plan, hoop)!;
    const least = crushedParts(plan, hoop, orderPositions(plan, hoop, middles)).length;
    for (let turn = 0; turn < middles.length; turn++) {
      const other = [...middles.slice(turn), ...middles.slice(0, turn)];
      expect(crushedParts(plan, hoop, other).length).toBeGreaterThanOrEqual(least);
    }
  });
});

describe('marks that fade', () => {
  const { piece, plan } = strewn(2, 25, 200);
  it.each([0.5, 2, 5, 30])('are drawn anew so that every part is drawn when it is stitched (%d days)', (days) => {
    const plans = redrawPlan(piece, plan, days);
    const drawn = new Set(plans.flatMap(({ partIds }) => partIds));
    expect(drawn.size).toBe(plan.parts.length);
    for (const { before, until } of plans) {
      expect(((until - before) * 7) / piece.worker.sittingsPerWeek).toBeLessThanOrEqual(days);
    }
    expect(plans.every((entry, i) => i === 0 || entry.before === plans[i - 1]!.until + 1)).toBe(true);
    const late = fadedParts(piece, plan, days);
    expect(late.length > 0).toBe(plans.length > 1);
  });
});

describe('how marks come out', () => {
  it('goes by a sound sequence for every mark on every cloth that can take it', () => {
    for (const mark of MARKS) {
      for (const cloth of CLOTHS) {
        const piece = pieceOf('<circle r="5" fill="#a33"/>', {
          mark: mark.id,
          cloth: { kind: cloth.id, colour: '#ffffff' },
        });
        const acts = removalSteps(piece).map(({ act }) => act);
        const faults = checkRemoval(acts, mark, cloth);
        const isWet = ['cold-water', 'warm-water', 'washing'].includes(mark.comesOutBy);
        if (isWet && cloth.wash === 'no') expect(faults.join()).toMatch(/Water spoils/);
        else expect(faults).toEqual([]);
      }
    }
  });

  it('is refused where heat would set what is not yet rinsed', () => {
    const [pen, linen] = [MARKS.find(({ id }) => id === 'water-pen')!, CLOTHS.find(({ id }) => id === 'fine-linen')!];
    expect(checkRemoval(['press', 'rinse-cold'], pen, linen).join()).toMatch(/sets it/);
    expect(checkRemoval(['rinse-cold', 'dry', 'press'], pen, linen)).toEqual([]);
  });

  it.each([1, 2, 3])('film is tacked in the middle and all round, no more than 40 mm apart (seed %i)', (seed) => {
    const { plan } = strewn(seed, 9, 150);
    const { round, count, middle } = tackingFor(plan)!;
    expect(count).toBe(round.length + 1);
    round.forEach(([x, y], i) => {
      const [u, v] = round[(i + 1) % round.length]!;
      expect(Math.hypot(u - x, v - y)).toBeLessThanOrEqual(40);
      expect(Math.hypot(x - middle[0], y - middle[1])).toBeGreaterThan(10);
    });
  });
});
