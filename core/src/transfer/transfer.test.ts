import {
  checkRemoval,
  fadedParts,
  inkOn,
  marksAt,
  markStrength,
  redrawPlan,
  showsOn,
  tackingFor,
} from '../transfer/index.ts';
import { describe, expect, it } from 'vitest';
import { stepsAfterStitching } from '../finish/index.ts';
import { deltaE, labOf } from '../colour/index.ts';
import { CLOTHS, MARKS, markOf, STABILISERS, type MarkId } from '../materials/index.ts';
import { strewnDiscs, svgPiece } from '../testing/pieces.ts';

describe('marks that fade', () => {
  const { piece, plan } = strewnDiscs(2, 25, 200);
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

describe('what is seen of marks', () => {
  const { piece: drawn, plan } = strewnDiscs(2, 25, 200);
  const piece = { ...drawn, worker: { ...drawn.worker, sittingsPerWeek: 1 } };
  const at = (mark: MarkId, step: number): ReadonlyMap<string, number> => marksAt({ ...piece, mark }, plan, step);
  const pen = markOf('water-pen');

  it('is all of them at any time, where the way does not fade by itself', () => {
    for (const step of [0, Math.floor(plan.order.length / 2), plan.order.length])
      expect([...at('pencil', step).values()]).toEqual(plan.parts.map(() => 1));
  });

  it('grows paler from day to day until nothing is left, and is a third at the end of its time', () => {
    const days = Array.from({ length: 20 }, (_, day) => markStrength(pen, day));
    expect(days[0]).toBe(1);
    expect(markStrength(pen, pen.staysDays!)).toBeCloseTo(1 / 3, 9);
    expect(days.every((left, day) => day === 0 || left < days[day - 1]! || left === 0)).toBe(true);
    expect(days.at(-1)).toBe(0);
  });

  it('is enough to stitch by whenever a part is worked, though not all parts are drawn from the start', () => {
    for (const [step, { part }] of plan.order.entries()) {
      expect(at('water-pen', step).get(part)).toBeGreaterThanOrEqual(markStrength(pen, pen.staysDays!) - 1e-9);
    }
    expect(at('water-pen', 0).size).toBeLessThan(plan.parts.length);
  });

  it('is a line that stands out from the cloth, wherever the way is said to show', () => {
    for (const mark of MARKS) {
      for (const cloth of ['#f5f1e6', '#c9d0d6', '#27304a']) {
        if (showsOn(mark, CLOTHS[0]!, cloth))
          expect(deltaE(labOf(inkOn(mark, cloth)), labOf(cloth))).toBeGreaterThan(18);
      }
    }
  });
});

describe('how marks come out', () => {
  it('goes by a sound sequence for every mark on every cloth that can take it', () => {
    for (const mark of MARKS) {
      for (const cloth of CLOTHS) {
        for (const behind of STABILISERS) {
          const piece = svgPiece('<circle r="5" fill="#a33"/>', {
            mark: mark.id,
            cloth: { kind: cloth.id, colour: '#ffffff' },
          });
          const acts = stepsAfterStitching(piece, behind).map(({ act }) => act);
          const faults = checkRemoval(acts, mark, cloth);
          const isWet =
            ['cold-water', 'warm-water', 'washing'].includes(mark.comesOutBy) || behind.leavesBy === 'water';
          if (isWet && cloth.wash === 'no') expect(faults.join()).toBe('water-spoils');
          else expect(faults).toEqual([]);
          expect(new Set(acts).size).toBe(acts.length);
        }
      }
    }
  });

  it('is refused where heat would set what is not yet rinsed', () => {
    const [pen, linen] = [MARKS.find(({ id }) => id === 'water-pen')!, CLOTHS.find(({ id }) => id === 'fine-linen')!];
    expect(checkRemoval(['press', 'rinse-cold'], pen, linen).join()).toBe('heat-sets');
    expect(checkRemoval(['rinse-cold', 'dry', 'press'], pen, linen)).toEqual([]);
  });

  it.each([1, 2, 3])('film is tacked in the middle and all round, no more than 40 mm apart (seed %i)', (seed) => {
    const { plan } = strewnDiscs(seed, 9, 150);
    const { round, count, middle } = tackingFor(plan)!;
    expect(count).toBe(round.length + 1);
    round.forEach(([x, y], i) => {
      const [u, v] = round[(i + 1) % round.length]!;
      expect(Math.hypot(u - x, v - y)).toBeLessThanOrEqual(40);
      expect(Math.hypot(x - middle[0], y - middle[1])).toBeGreaterThan(10);
    });
  });
});
