import { describe, expect, it } from 'vitest';
import { looseShape } from '../drawing/index.ts';
import { emptyPiece, plainPass } from '../piece/index.ts';
import { STITCHES } from '../stitches/index.ts';
import { circle, rectangle } from '../testing/shapes.ts';
import { bundleDiameterMm, laidWidthMm, threadKind } from '../materials/index.ts';
import { explained, planPass, stitchSays, USUAL_FACTORS, workSettings } from './index.ts';

const NONE = new Float64Array(0);
const settings = workSettings(emptyPiece('x', 'X'), 1, USUAL_FACTORS);

const placedFor = (worksOn: string) =>
  worksOn === 'area'
    ? looseShape('a', 'area', { region: [rectangle(20, 12)], lines: [], spots: NONE })
    : worksOn === 'line'
      ? looseShape('a', 'line', { region: [], lines: [{ points: circle(9), closed: true }], spots: NONE })
      : looseShape('a', 'spot', { region: [], lines: [], spots: Float64Array.of(0, 0) });

/** A length of thread as it is written, in mm, and how far off writing it so may be. */
function lengthOf(text: string): { mm: number; offMm: number } {
  const [, value, unit] = /([\d.]+) (cm|m)/.exec(text)!;
  return unit === 'm' ? { mm: Number(value) * 1000, offMm: 500 } : { mm: Number(value) * 10, offMm: 5 };
}

it.each(STITCHES.map((kind) => [kind.id, kind] as const))('what %s says of its figures adds up to them', (id, kind) => {
  const placed = placedFor(kind.worksOn);
  const pass = planPass(placed, { ...plainPass(id, 'stranded-cotton', 2), angleDeg: 0, reason: '' }, settings);
  const [thread, ...rest] = explained(pass, placed.areaMm2, 'metric');
  const ways = [...thread!.matchAll(/[\d.]+ c?m (on the front|on the back|round the needle|through the cloth)/g)].map(
    ([way]) => lengthOf(way),
  );
  const slack = Number(/([\d.]+)% more/.exec(thread!)![1]) / 100;
  const sum = ways.reduce((all, { mm }) => all + mm, 0) * (1 + slack);
  const off = ways.reduce((all, { offMm }) => all + offMm, 1);
  expect(Math.abs(sum - pass.quantities.threadMm)).toBeLessThanOrEqual(off * 1.1);
  const seconds = Number(/^One stitch takes ([\d.]+) s/.exec(rest.at(-1)!)![1]);
  expect(Math.abs(seconds * pass.quantities.stitches - pass.quantities.seconds)).toBeLessThanOrEqual(
    0.051 * pass.quantities.stitches,
  );
});

describe('what a stitch says of itself in its own thread', () => {
  const spot = looseShape('a', 'spot', { region: [], lines: [], spots: Float64Array.of(0, 0) });
  const said = (
    stitch: 'bullion' | 'french' | 'long-short' | 'block-shading' | 'daisy-ring',
    params: Record<string, number>,
    strands = 2,
  ): string => {
    const placed =
      stitch === 'long-short' || stitch === 'block-shading'
        ? looseShape('a', 'area', { region: [rectangle(18, 9)], lines: [], spots: NONE })
        : spot;
    const pass = planPass(
      placed,
      { ...plainPass(stitch, 'stranded-cotton', strands), params, angleDeg: 0, reason: '' },
      settings,
    );
    return stitchSays(pass, placed).join(' ');
  };
  // Two strands are a round bundle of w₁ · √2 = 0.453 mm; a wrap takes 0.85 of it.
  const covers = (mm: number): number => Math.round(mm / (0.85 * bundleDiameterMm(threadKind('stranded-cotton'), 2)));

  it.each([4, 8, 12])('a coil over %i mm: how many wraps cover it, and what other numbers do', (lengthMm) => {
    const full = covers(lengthMm);
    expect(said('bullion', { lengthMm })).toBe(
      `In this thread ${full} wraps cover ${lengthMm} mm; yours, ${full}, sit close and flat.`,
    );
    expect(said('bullion', { lengthMm, wraps: Math.floor(full * 0.7) })).toContain('lie sparse');
    expect(said('bullion', { lengthMm, wraps: Math.ceil(full * 1.4) })).toContain('arch up into a loop');
  });

  it('a knot: its diameter, larger with every wrap and strand', () => {
    const mm = (text: string): number => Number(/([\d.]+) mm/.exec(text)![1]);
    expect(mm(said('french', { wraps: 2 }))).toBeGreaterThan(mm(said('french', { wraps: 1 })));
    expect(mm(said('french', { wraps: 2 }, 4))).toBeGreaterThan(mm(said('french', { wraps: 2 }, 2)));
    expect(mm(said('french', { wraps: 2 }))).toBeGreaterThan(1);
    expect(mm(said('french', { wraps: 2 }))).toBeLessThan(2);
  });

  it('an area: how many shades it holds along and across, three millimetres for each', () => {
    // 18 × 9 mm: its middle line is pruned where it only runs into corners, so that it is no longer than the area.
    const [, along, across] = /room for (\d) shades? along it, and (\d) across/.exec(said('long-short', {}))!;
    expect(Number(across)).toBe(3);
    expect(Number(along)).toBeGreaterThan(3);
    expect(Number(along)).toBeLessThanOrEqual(6);
    // Bands of 4 mm: two of them across 9 mm.
    expect(said('block-shading', { bandMm: 4 })).toMatch(/and 2 across/);
  });

  it('a ring of petals: how many each quarter takes, and whether they crowd on its inside', () => {
    const ring = { innerMm: 3, outerMm: 8 };
    expect(said('daisy-ring', { ...ring, petals: 12 })).toContain('Each quarter takes 3 petals.');
    expect(said('daisy-ring', { ...ring, petals: 14 })).toMatch(/the quarters take 4, 3, 4,? and 3 petals\./);
    // Round a ring of 1 mm there are 6.3 mm, and each takes as much as its thread lies wide.
    const room = Math.floor((2 * Math.PI) / laidWidthMm(threadKind('stranded-cotton'), 2));
    expect(said('daisy-ring', { innerMm: 1, outerMm: 8, petals: room })).not.toContain('crowd');
    expect(said('daisy-ring', { innerMm: 1, outerMm: 8, petals: room + 1 })).toContain(
      `the inner ring has room for ${room}.`,
    );
  });
});
