import { expect, it } from 'vitest';
import { looseShape } from '../drawing/index.ts';
import { emptyPiece, plainPass } from '../piece/index.ts';
import { STITCHES } from '../stitches/index.ts';
import { circle, rectangle } from '../testing/shapes.ts';
import { explained, planPass, USUAL_FACTORS, workSettings } from './index.ts';

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
  const ways = [...thread!.matchAll(/[\d.]+ c?m (in front|behind|round the needle|through the cloth)/g)].map(([way]) =>
    lengthOf(way),
  );
  const slack = Number(/([\d.]+) % more/.exec(thread!)![1]) / 100;
  const sum = ways.reduce((all, { mm }) => all + mm, 0) * (1 + slack);
  const off = ways.reduce((all, { offMm }) => all + offMm, 1);
  expect(Math.abs(sum - pass.quantities.threadMm)).toBeLessThanOrEqual(off * 1.1);
  const seconds = Number(/^([\d.]+) s a stitch/.exec(rest.at(-1)!)![1]);
  expect(Math.abs(seconds * pass.quantities.stitches - pass.quantities.seconds)).toBeLessThanOrEqual(
    0.051 * pass.quantities.stitches,
  );
});
