import { expect, it } from 'vitest';
import { Planner } from '../advice/index.ts';
import { laidWidthMm, threadKind } from '../materials/index.ts';
import { plainPass } from '../piece/index.ts';
import { STITCHES, type GivenParams, type StitchId } from '../stitches/index.ts';
import { svgPiece } from '../testing/pieces.ts';
import { USUAL_FACTORS, wholeWidth, type WholeWidth } from './index.ts';

const LAID = laidWidthMm(threadKind('stranded-cotton'), 2);

function widthOf(
  stitch: StitchId,
  params: GivenParams = {},
  body = '<path d="M0 0C20 0 20 20 40 20" stroke="#a33"/>',
): WholeWidth | null {
  const piece = svgPiece(body);
  const pass = { ...plainPass(stitch, 'stranded-cotton', 2), params };
  const parts = [{ ...piece.drawing.parts[0]!, passes: [pass] }];
  const { plan } = new Planner().plan({ ...piece, drawing: { ...piece.drawing, parts } }, USUAL_FACTORS);
  return wholeWidth(plan.parts[0]!.passes[0]!);
}

it.each([
  // A thread that lies on its line is as wide as it is.
  ['running', {}, LAID],
  ['back', {}, LAID],
  // Up a little to one side of the line, down as far on the other: 0.22 laid widths each.
  ['stem', {}, 1.44 * LAID],
  // Uprights of a height, from the edge.
  ['buttonhole', { heightMm: 4 }, 4 + LAID],
  ['overcast', { heightMm: 3 }, 3 + LAID],
  // Arms to both sides.
  ['fly-column', { armMm: 5 }, 10 + LAID],
] as const)('the line of %s is as wide as all that it lays, bent or straight', (stitch, params, widthMm) => {
  const whole = widthOf(stitch, params)!;
  expect(whole.of).toBe('line');
  expect(Math.abs(whole.widthMm / widthMm - 1)).toBeLessThan(0.08);
});

it('a laced, whipped or looped line is wider than its thread, and no line is narrower', () => {
  for (const { id, worksOn } of STITCHES) {
    if (worksOn !== 'line') continue;
    expect(widthOf(id)!.widthMm, id).toBeGreaterThanOrEqual(LAID - 1e-9);
  }
  for (const id of ['chain', 'whipped-back', 'pekingese', 'feather', 'cable-plait'] as const) {
    expect(widthOf(id)!.widthMm, id).toBeGreaterThan(1.5 * LAID);
  }
});

it('a filling is told by its thread', () => {
  expect(widthOf('satin', {}, '<rect width="20" height="8" fill="#a33"/>')).toBeNull();
});
