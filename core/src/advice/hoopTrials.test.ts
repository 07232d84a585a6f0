import { describe, expect, it } from 'vitest';
import { keepsSize } from '../drawing/index.ts';
import { HOOP_SIZES_MM, holdingOf, hoopSizeText, innerDiameterMm } from '../materials/index.ts';
import { plainHoop, type Piece } from '../piece/index.ts';
import { svgPiece } from '../testing/pieces.ts';
import { USUAL_FACTORS } from '../work/index.ts';
import { inHoop, Planner, tryHoop } from './index.ts';

/** Two discs of 20 mm, their middles 90 mm apart: together they fill a circle of 110 mm. */
const drawn = svgPiece('<circle cx="-45" r="10" fill="#a33"/><circle cx="45" r="10" fill="#36a"/>', {
  hoop: plainHoop(150, 10),
});
const sized = (isSizeSet: boolean): Piece => ({ ...drawn, placement: { ...drawn.placement, isSizeSet } });
const [twoDiscs, kept] = [sized(false), sized(true)];
const trialIn = (piece: Piece, nominalMm: number) =>
  tryHoop(piece, plainHoop(nominalMm, 10), new Planner(), USUAL_FACTORS).trial;

describe('a design that keeps its size, in other hoops', () => {
  it('is as large in each of them, and they differ by what they leave free and how often they are set on', () => {
    expect([keepsSize(twoDiscs), keepsSize(kept)]).toEqual([false, true]);
    for (const nominalMm of HOOP_SIZES_MM) {
      const trial = trialIn(kept, nominalMm);
      expect(trial.factor).toBe(1);
      expect(trial.widthMm).toBeCloseTo(110, 1);
      const clearMm = innerDiameterMm(nominalMm) / 2 - 55;
      expect(trial.held!.clearMm).toBeCloseTo(clearMm, 1);
      // One disc after the other where both do not fit at once.
      expect(trial.held!.positions).toBe(clearMm >= 10 ? 1 : 2);
      expect(inHoop(kept, plainHoop(nominalMm, 10)).placement).toBe(kept.placement);
    }
  });

  it('has the ring lie on what reaches past it, and on nothing where all fits', () => {
    expect(trialIn(kept, 150).held!.underRing).toBe(0);
    // A bar of 110 mm that is set on twice in a hoop of 100 mm lies under the ring.
    const bar = svgPiece('<rect x="-55" y="-4" width="110" height="8" fill="#a33"/>', { hoop: plainHoop(150, 10) });
    const held = trialIn({ ...bar, placement: kept.placement }, 100).held!;
    expect(held.positions).toBeGreaterThan(1);
    expect(held.underRing).toBe(1);
  });

  it('fills each hoop where it keeps none', () => {
    for (const nominalMm of HOOP_SIZES_MM) {
      const trial = trialIn(twoDiscs, nominalMm);
      expect(trial.held).toBeNull();
      expect(trial.widthMm).toBeCloseTo(innerDiameterMm(nominalMm) - 20, 1);
    }
  });
});

describe('a hoop', () => {
  it('is called by the size that it is sold in: 12.5 cm is never 13', () => {
    expect(hoopSizeText({ nominalMm: 125, shortMm: null }, 'metric')).toBe('12.5 cm');
    expect(hoopSizeText({ nominalMm: 150, shortMm: null }, 'metric')).toBe('15 cm');
    expect(hoopSizeText({ nominalMm: 200, shortMm: 130 }, 'metric')).toBe('20 × 13 cm');
    expect(hoopSizeText({ nominalMm: 150, shortMm: null }, 'inch')).toBe('6 in');
  });

  it('is held the less easily the wider it is; an oval by its short way', () => {
    const held = HOOP_SIZES_MM.map((nominalMm) => holdingOf({ nominalMm, shortMm: null }));
    const order = ['light', 'easy', 'far', 'stand'];
    expect(held.map((how) => order.indexOf(how))).toEqual(held.map((how) => order.indexOf(how)).sort());
    expect(new Set(held).size).toBe(4);
    expect(holdingOf({ nominalMm: 200, shortMm: 130 })).toBe('light');
  });
});
