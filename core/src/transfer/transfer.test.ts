import { checkRemoval, fadedParts, redrawPlan, tackingFor } from '../transfer/index.ts';
import { describe, expect, it } from 'vitest';
import { stepsAfterStitching } from '../finish/index.ts';
import { CLOTHS, MARKS } from '../materials/index.ts';
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

describe('how marks come out', () => {
  it('goes by a sound sequence for every mark on every cloth that can take it', () => {
    for (const mark of MARKS) {
      for (const cloth of CLOTHS) {
        const piece = svgPiece('<circle r="5" fill="#a33"/>', {
          mark: mark.id,
          cloth: { kind: cloth.id, colour: '#ffffff' },
        });
        const acts = stepsAfterStitching(piece).map(({ act }) => act);
        const faults = checkRemoval(acts, mark, cloth);
        const isWet = ['cold-water', 'warm-water', 'washing'].includes(mark.comesOutBy);
        if (isWet && cloth.wash === 'no') expect(faults.join()).toBe('water-spoils');
        else expect(faults).toEqual([]);
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
