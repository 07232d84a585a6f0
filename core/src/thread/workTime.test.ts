import { expect, it } from 'vitest';
import { Planner } from '../advice/index.ts';
import { SECONDS } from '../materials/index.ts';
import { threadFor } from '../paper/index.ts';
import { plainPass, type Piece } from '../piece/index.ts';
import type { StitchId } from '../stitches/index.ts';
import { svgPiece } from '../testing/pieces.ts';
import { USUAL_FACTORS } from '../work/index.ts';
import { loadSettings, timeAlone, timeOfLayer, type Plan, type WorkTime } from './index.ts';

function worked(body: string, stitch: StitchId): { piece: Piece; plan: Plan } {
  const piece = svgPiece(body);
  const parts = piece.drawing.parts.map((part) => ({ ...part, passes: [plainPass(stitch, 'stranded-cotton', 2)] }));
  const whole = { ...piece, drawing: { ...piece.drawing, parts } };
  return { piece: whole, plan: new Planner().plan(whole, USUAL_FACTORS).plan };
}
const sum = ({ stitchSeconds, aroundSeconds }: WorkTime): number => stitchSeconds + aroundSeconds;

it('what the card says of its layers adds up to what the order says of its steps', () => {
  const { plan } = worked(
    '<rect width="30" height="8" fill="#a33"/><rect y="20" width="30" height="8" fill="#33a"/>',
    'satin',
  );
  const layers = plan.parts.map(({ part }) => sum(timeOfLayer(plan, part.id, 0)));
  const steps = plan.work.map((step) => step!.stitchSeconds + step!.aroundSeconds);
  expect(layers.reduce((all, one) => all + one)).toBeCloseTo(
    steps.reduce((all, one) => all + one),
    9,
  );
});

it('one part that is all of its piece takes what it takes alone, but for taking up its colour', () => {
  for (const stitch of ['satin', 'couched-fill', 'french-fill'] as const) {
    const { piece, plan } = worked('<rect width="40" height="9" fill="#a33"/>', stitch);
    const [{ part, passes }] = plan.parts as [Plan['parts'][number]];
    const [here, alone] = [timeOfLayer(plan, part.id, 0), timeAlone(passes[0]!, loadSettings(piece))];
    expect(here.stitchSeconds).toBeCloseTo(alone.stitchSeconds, 9);
    expect(Math.abs(here.aroundSeconds - alone.aroundSeconds)).toBeLessThanOrEqual(SECONDS.changeColour);
  }
});

it('a knot takes as long in a filling, alone and in the book', () => {
  const each = (body: string, stitch: StitchId): number => {
    const { plan } = worked(body, stitch);
    const stitches = plan.parts.reduce((all, { passes }) => all + passes[0]!.quantities.stitches, 0);
    return plan.parts.reduce((all, { part }) => all + timeOfLayer(plan, part.id, 0).stitchSeconds, 0) / stitches;
  };
  const alone = each('<path d="M0 0h0" stroke="#a33" stroke-width="2" stroke-linecap="round"/>', 'french');
  expect(each('<rect width="20" height="12" fill="#a33"/>', 'french-fill') / alone).toBeCloseTo(1, 1);
  const { time } = threadFor('french', 2, 'stranded-cotton', USUAL_FACTORS);
  expect(time.stitchSeconds / 10 / alone).toBeCloseTo(1, 6);
  // Ten knots in two strands come out of one length, threaded and fastened off once.
  expect(time.aroundSeconds).toBe(SECONDS.thread + SECONDS.fastenOff);
});
