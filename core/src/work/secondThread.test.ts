import { becauseOf, stitchOfStep } from '../order/index.ts';
import { describe, expect, it } from 'vitest';
import { Planner } from '../advice/index.ts';
import { laidWidthMm, threadKind, type ThreadId } from '../materials/index.ts';
import { plainPass, readPiece, writePiece, type Piece } from '../piece/index.ts';
import { STITCHES, stitchKind, type StitchId } from '../stitches/index.ts';
import type { Plan } from '../thread/index.ts';
import { svgPiece } from '../testing/pieces.ts';
import { USUAL_FACTORS } from './index.ts';

const BODIES = {
  line: '<path d="M0 0H100" stroke="#a33"/><path d="M0 40H9" stroke="#33a"/>',
  area: '<rect width="30" height="20" fill="#a33"/><path d="M0 40H9" stroke="#33a"/>',
  spot: '<path d="M0 0h0" stroke="#a33" stroke-linecap="round"/><path d="M0 40H9" stroke="#33a"/>',
} as const;

/** One part in a stitch; its second thread in the other colour of the drawing. */
function withSecond(
  stitch: StitchId,
  second: { thread: ThreadId; strands: number } | null,
): { piece: Piece; plan: Plan } {
  const piece = svgPiece(BODIES[stitchKind(stitch).worksOn]);
  const [part, other] = piece.drawing.parts;
  const pass = {
    ...plainPass(stitch, 'stranded-cotton', 2),
    second: second && { ...second, colour: other!.colour },
  };
  const only = { ...piece, drawing: { ...piece.drawing, parts: [{ ...part!, passes: [pass] }] } };
  return { piece: only, plan: new Planner().plan(only, USUAL_FACTORS).plan };
}
const TWO = STITCHES.filter(({ secondThread }) => secondThread !== null).map(({ id }) => id);

describe('a second thread', () => {
  it('is had by what is whipped, laced, woven, tied and couched', () => {
    expect([...TWO].sort()).toEqual(
      [
        'buttonhole-wheel',
        'couched-fill',
        'couching',
        'lattice-fill',
        'pekingese',
        'thorn',
        'tied-arc',
        'whipped-back',
        'woven-fill',
        'woven-wheel',
      ].sort(),
    );
  });

  it.each(TWO)(
    '%s: each thread is counted in its own colour, kind and strands, and both are the whole path',
    (stitch) => {
      const alone = withSecond(stitch, null).plan.parts[0]!.passes[0]!;
      const { piece, plan } = withSecond(stitch, { thread: 'pearl-8', strands: 1 });
      const pass = plan.parts[0]!.passes[0]!;
      expect(alone.threads).toHaveLength(stitchKind(stitch).laysThread ? 2 : 1);
      expect(pass.threads.map(({ own }) => own?.thread ?? pass.thread)).toEqual(['stranded-cotton', 'pearl-8']);
      const [first, second] = pass.threads;
      expect(first!.quantities.stitches + second!.quantities.stitches).toBe(alone.quantities.stitches);
      // In front both cover the same ways as one thread would, but for what a thicker thread climbs over.
      const frontMm = first!.quantities.frontMm + second!.quantities.frontMm;
      expect(Math.abs(frontMm / alone.quantities.frontMm - 1)).toBeLessThan(0.05);
      expect(pass.quantities.threadMm).toBeCloseTo(first!.quantities.threadMm + second!.quantities.threadMm, 6);
      expect(second!.own!.laidMm).toBeCloseTo(laidWidthMm(threadKind('pearl-8'), 1), 9);
      // It is bought, threaded and ordered for itself.
      expect(plan.colours.map(({ thread }) => thread).sort()).toEqual(['pearl-8', 'stranded-cotton']);
      expect(plan.colours.every(({ loads }) => loads > 0)).toBe(true);
      expect(plan.order).toHaveLength(2);
      expect(pass.needles.length).toBe(2);
      expect(readPiece(writePiece(piece))).toEqual({ ok: true, value: piece });
    },
  );

  it.each(TWO)('%s: its two journeys have names of their own, and the order says why one comes first', (stitch) => {
    const { plan } = withSecond(stitch, { thread: 'pearl-8', strands: 1 });
    const [first, second] = plan.order.map((step) => stitchOfStep(step));
    expect([first, second]).toEqual(stitchKind(stitch).journeys);
    const because = (step: number): string =>
      becauseOf(plan.rules.rules, plan.order, step, () => 'Part')
        .map(({ text }) => text)
        .join(' ');
    expect(because(1)).toBe(`After ${first!.inSentence}, which it is worked on.`);
    expect(because(0)).toBe(`Before ${second!.inSentence}, worked on top of it.`);
    // In one thread it is one step, called by its stitch; what is laid whole and tied takes two needles even so.
    const { name, journeys, laysThread } = stitchKind(stitch);
    const alone = withSecond(stitch, null).plan.order;
    expect(alone.map((step) => stitchOfStep(step).name)).toEqual(
      laysThread ? journeys!.map((one) => one.name) : [name],
    );
  });

  it('a couched line of 240 mm is one length, and its 60 ties are lengths of their own', () => {
    const piece = svgPiece('<path d="M0 0H240" stroke="#a33"/>');
    const parts = [{ ...piece.drawing.parts[0]!, passes: [plainPass('couching', 'stranded-cotton', 2)] }];
    const { plan } = new Planner().plan({ ...piece, drawing: { ...piece.drawing, parts } }, USUAL_FACTORS);
    const [laid, ties] = plan.order.map((_, i) => plan.work[i]!);
    expect(laid!.portions).toHaveLength(1);
    expect(Math.abs(laid!.portions[0]!.usedMm / 1.03 / 240 - 1)).toBeLessThan(0.01);
    expect(new Set(ties!.portions.map(({ load }) => load)).has(laid!.portions[0]!.load)).toBe(false);
    expect(plan.order[1]!.stitches).toBe(60);
  });

  it('is told of by all stitches that have one, and by no other', () => {
    for (const { secondThread, journeys } of STITCHES) expect(journeys === null).toBe(secondThread === null);
  });

  it('whips a back stitch of 100 mm in about 1.2 times its length, the back stitch itself in three', () => {
    const { plan } = withSecond('whipped-back', { thread: 'pearl-8', strands: 1 });
    const [first, second] = plan.parts[0]!.passes[0]!.threads;
    expect(Math.abs((first!.quantities.frontMm + first!.quantities.backMm) / 300 - 1)).toBeLessThan(0.05);
    expect(second!.quantities.frontMm).toBeGreaterThan(105);
    expect(second!.quantities.frontMm).toBeLessThan(150);
    expect(second!.quantities.backMm).toBeLessThan(2);
  });

  it('is refused in strands that its kind can’t be worked in', () => {
    const { piece } = withSecond('whipped-back', { thread: 'pearl-8', strands: 1 });
    const text = writePiece(piece).replace(/("second":\s*\{[^}]*"strands":\s*)1/, '$14');
    const read = readPiece(text);
    expect(read.ok ? '' : read.detail).toMatch(/strands/);
  });
});
