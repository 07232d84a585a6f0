import { expect, it } from 'vitest';
import { Planner } from '../advice/index.ts';
import { laidWidthMm, threadKind } from '../materials/index.ts';
import { plainPass, readPiece, writePiece, type Pass, type Piece } from '../piece/index.ts';
import { STITCHES, type StitchId } from '../stitches/index.ts';
import type { Plan } from '../thread/index.ts';
import { svgPiece } from '../testing/pieces.ts';
import { USUAL_FACTORS, type WorkedThread } from './index.ts';

const COTTON = threadKind('stranded-cotton');
const BODY = '<ellipse cx="24" cy="9" rx="24" ry="9" fill="#a33"/><path d="M0 40H9" stroke="#33a"/>';

function worked(stitch: StitchId, change: Partial<Pass>): { piece: Piece; plan: Plan } {
  const drawn = svgPiece(BODY);
  const [part, other] = drawn.drawing.parts;
  const shades = change.shadeStrands ? [part!.colour, other!.colour] : [];
  const pass = { ...plainPass(stitch, 'stranded-cotton', 1), shades, ...change };
  const piece = {
    ...drawn,
    drawing: {
      ...drawn.drawing,
      parts: [
        { ...part!, passes: [pass] },
        { ...other!, passes: [] },
      ],
    },
  };
  return { piece, plan: new Planner().plan(piece, USUAL_FACTORS).plan };
}
/** How much a thread covers, mm². */
const covers = ({ own, quantities }: WorkedThread): number =>
  quantities.frontMm * (own?.laidMm ?? laidWidthMm(COTTON, 1));

const HAND_ON = STITCHES.filter(
  ({ id, canShade, worksOn }) => canShade && worksOn === 'area' && id !== 'needle-painting',
);

it.each(HAND_ON.map(({ id }) => id))(
  '%s covers as much in two strands of one shade and one of the other as in one of both',
  (id) => {
    const [alike, other] = [worked(id, { shadeStrands: [1, 1] }), worked(id, { shadeStrands: [2, 1] })];
    const [thin, mixed] = [alike, other].map(({ plan }) => plan.parts[0]!.passes[0]!.threads);
    expect(mixed!.map(({ own }) => own?.strands ?? 1)).toEqual([2, 1]);
    thin!.forEach((thread, i) => {
      const share = covers(mixed![i]!) / covers(thread);
      expect(share, `thread ${i}`).toBeGreaterThan(0.8);
      expect(share, `thread ${i}`).toBeLessThan(1.25);
    });
    // Each is cut, threaded and bought in its strands.
    expect(new Set(other.plan.order.map(({ strands }) => strands))).toEqual(new Set([2, 1]));
    expect(readPiece(writePiece(other.piece))).toEqual({ ok: true, value: other.piece });
  },
);

it('a first row in two strands is a step of its own, in the colour of the first shade, with half the stitches', () => {
  const plain = worked('long-short', {}).plan;
  const { plan, piece } = worked('long-short', { firstRowStrands: 2 });
  expect(plan.order.map(({ strands, shade }) => [shade, strands])).toEqual([
    [0, 2],
    [1, 1],
  ]);
  expect(new Set(plan.order.map(({ colour }) => colour)).size).toBe(1);
  const [first, rest] = plan.parts[0]!.passes[0]!.threads;
  const whole = plain.parts[0]!.passes[0]!.quantities.stitches;
  const rows = whole - rest!.quantities.stitches;
  // Two strands lie 2^(2/3) times as wide as one.
  expect(Math.abs((first!.quantities.stitches / rows) * 2 ** (2 / 3) - 1)).toBeLessThan(0.1);
  expect(readPiece(writePiece(piece))).toEqual({ ok: true, value: piece });
});

it('other stitches know no first row', () => {
  expect(worked('satin', { firstRowStrands: 2 }).plan.order).toHaveLength(1);
});
