import { describe, expect, it } from 'vitest';
import { looseCloth } from './clothFolds.ts';

/** The places that path data names, `x, y`. */
const placesOf = (d: string): [number, number][] =>
  [...d.matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].map(([, x, y]) => [Number(x), Number(y)]);

describe('cloth outside the ring', () => {
  it.each([
    [80, 80],
    [120, 70],
  ])('falls in folds that begin at the ring of %i by %i and end on the cloth', (a, b) => {
    const [clothA, clothB] = [a + 60, b + 60];
    const { folds, edge } = looseCloth([a, b], [clothA, clothB]);
    expect(folds.length).toBeGreaterThan(20);
    for (const { d } of folds) {
      const places = placesOf(d);
      const [x, y] = places[0]!;
      expect(Math.abs(Math.hypot(x / a, y / b) - 1)).toBeLessThan(1e-3);
      expect(places.at(-1)).toEqual(places[0]);
      for (const [px, py] of places) {
        expect(Math.hypot(px / a, py / b)).toBeGreaterThan(0.93);
        expect(Math.max(Math.abs(px) - clothA, Math.abs(py) - clothB)).toBeLessThan(0);
      }
    }
    for (const [x, y] of placesOf(edge)) expect(Math.max(Math.abs(x) / clothA, Math.abs(y) / clothB)).toBeCloseTo(1, 1);
  });

  it('has one side of every fold in the light, the other away from it, and is the same every time', () => {
    const { folds } = looseCloth([80, 80], [140, 140]);
    for (let i = 0; i < folds.length; i += 2) expect(folds[i]!.isLit).toBe(!folds[i + 1]!.isLit);
    expect(looseCloth([80, 80], [140, 140]).folds).toEqual(folds);
  });
});
