import { fewestCovering } from './positions/covering.ts';
import { describe, expect, it } from 'vitest';
import { fitToHoop, roomHalvesMm } from '../drawing/index.ts';
import { seededRandom } from '../measure/index.ts';
import { crushedParts, drawingOrder, findPositions, orderOfWork, orderPositions, worksOf } from './index.ts';
import { plainHoop, type Hoop } from '../piece/index.ts';
import { strewnDiscs, svgPiece } from '../testing/pieces.ts';
import { planOf } from '../testing/plans.ts';

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
    const { plan } = strewnDiscs(seed, 14, 260);
    for (const ring of [hoop, oval]) {
      const middles = findPositions(plan.parts, ring)!;
      const held = new Set(worksOf(plan.parts, ring, middles).flatMap(({ whole }) => whole));
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
    const plan = planOf(svgPiece('<rect width="300" height="20" fill="#a33"/>'));
    const middles = findPositions(plan.parts, hoop)!;
    expect(middles.length).toBeGreaterThan(2);
    expect(middles.length).toBeLessThanOrEqual(4);
    const [left, right] = [Math.min(...middles.map(([x]) => x)), Math.max(...middles.map(([x]) => x))];
    const [a] = roomHalvesMm(hoop);
    expect(left - a).toBeLessThanOrEqual(plan.design.box!.minX);
    expect(right + a).toBeGreaterThanOrEqual(plan.design.box!.maxX);
  });

  it('are one where the design fits, none where nothing is drawn, and not found where too many would be needed', () => {
    expect(findPositions(planOf(svgPiece('<circle r="50" fill="#a33"/>')).parts, hoop)).toHaveLength(1);
    const far = planOf(svgPiece('<circle r="5" fill="#a33"/><circle cx="9000" cy="9000" r="5" fill="#a33"/>'));
    expect(findPositions(far.parts, plainHoop(60, 10))).toBeNull();
  });

  it.each([1, 2, 3, 4, 5])(
    'are one where the design was made to fit its hoop exactly, round or oval (seed %i)',
    (seed) => {
      const { piece } = strewnDiscs(seed, 9, 120);
      for (const ring of [hoop, oval]) {
        const fitted = { ...piece, hoop: ring, placement: fitToHoop({ ...piece, hoop: ring }, ring) };
        const middles = findPositions(planOf(fitted).parts, ring);
        expect(middles).toHaveLength(1);
        const wider = { ...fitted, placement: { ...fitted.placement, scale: fitted.placement.scale * 1.03 } };
        expect(findPositions(planOf(wider).parts, ring)!.length).toBeGreaterThan(1);
      }
    },
  );

  it('are worked so that no ring is laid on raised work, in whatever order they come', () => {
    const { piece, plan } = strewnDiscs(4, 16, 240);
    const middles = orderPositions(plan.parts, hoop, findPositions(plan.parts, hoop)!);
    for (let turn = 0; turn < middles.length; turn++) {
      const positions = [...middles.slice(turn), ...middles.slice(0, turn)];
      const inPlaces = { ...piece, hoop, positions };
      const asDrawn = drawingOrder(inPlaces, plan.parts).steps;
      const { steps, gaveWay } = orderOfWork(inPlaces, plan.parts);
      const crushed = crushedParts(steps, plan.parts, hoop, positions);
      // Only what lies under each other's rings can't be helped.
      if (!gaveWay.some(({ id }) => id === 'raised-last')) expect(crushed).toEqual([]);
      expect(crushed.length).toBeLessThanOrEqual(crushedParts(asDrawn, plan.parts, hoop, positions).length);
    }
  });
});
