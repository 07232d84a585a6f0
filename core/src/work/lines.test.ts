import { describe, expect, it } from 'vitest';
import { Planner } from '../advice/index.ts';
import { turnRound } from '../drawing/index.ts';
import { applyEdit, plainPass, setMarking } from '../piece/index.ts';
import { svgPiece } from '../testing/pieces.ts';
import { strandChoices, threadKind } from '../materials/index.ts';
import { USUAL_FACTORS, workAllIn } from './index.ts';

describe('what has a side', () => {
  /** How far buttonhole stitches reach out of a square of 30 mm and into it, mm, by how it is drawn. */
  function reach(
    path: string,
    role: 'filling' | 'outline',
    side: 'inside' | 'outside',
  ): { out: number; within: number } {
    const drawn = role === 'outline' ? 'fill="#a33"' : 'fill="none" stroke="#a33"';
    const piece = svgPiece(`<path d="${path}" ${drawn}/>`);
    const pass = { ...plainPass('buttonhole', 'stranded-cotton', 2), role, params: { heightMm: 4, side } };
    const parts = [{ ...piece.drawing.parts[0]!, passes: [pass] }];
    const [planned] = new Planner().plan({ ...piece, drawing: { ...piece.drawing, parts } }, USUAL_FACTORS).plan.parts;
    const { minX, minY, maxX, maxY } = planned!.placed.box!;
    const { xy } = planned!.passes[0]!.path;
    let [out, within] = [0, 0];
    for (let i = 0; i < xy.length; i += 2) {
      const inside = Math.min(xy[i]! - minX, maxX - xy[i]!, xy[i + 1]! - minY, maxY - xy[i + 1]!);
      out = Math.max(out, -inside);
      within = Math.max(within, inside);
    }
    return { out, within };
  }

  it.each(['M0 0H30V30H0Z', 'M0 0V30H30V0Z'])(
    'stands inside what goes round, whichever way it is drawn: %s',
    (path) => {
      for (const role of ['filling', 'outline'] as const) {
        const inside = reach(path, role, 'inside');
        expect(inside.out).toBeLessThan(1);
        expect(inside.within).toBeCloseTo(4, 1);
        const outside = reach(path, role, 'outside');
        expect(outside.out).toBeCloseTo(4, 1);
        expect(outside.within).toBeLessThan(1);
      }
    },
  );

  it('stands on the other side of an open line that is turned round', () => {
    const heights = (path: string): number[] => {
      const piece = svgPiece(`<path d="${path}" fill="none" stroke="#a33"/>`);
      const pass = plainPass('buttonhole', 'stranded-cotton', 2);
      const parts = [{ ...piece.drawing.parts[0]!, passes: [pass] }];
      const whole = { ...piece, drawing: { ...piece.drawing, parts } };
      const edit = turnRound(whole, [parts[0]!.id])!;
      const turned = applyEdit(whole, edit);
      if (!turned.ok) throw new Error(turned.problem);
      return [whole, turned.value].map((one) => {
        const { placed, passes } = new Planner().plan(one, USUAL_FACTORS).plan.parts[0]!;
        const ys = [...passes[0]!.path.xy].filter((_, i) => i % 2 === 1).map((y) => y - placed.box!.minY);
        return ys.reduce((far, y) => (Math.abs(y) > Math.abs(far) ? y : far), 0);
      });
    };
    const [there, back] = heights('M0 0H40');
    expect(there).toBeCloseTo(-4, 1);
    expect(back).toBeCloseTo(4, 1);
  });
});

describe('a line that is only marked', () => {
  it.each(['guide', 'cut', 'sew', 'fold'] as const)(
    '%s: is on the pattern, and takes no thread, time or step',
    (marking) => {
      const piece = svgPiece('<path d="M0 0H40" stroke="#a33"/><path d="M0 9H40" stroke="#33a"/>');
      const [first, second] = piece.drawing.parts;
      const edit = setMarking(piece, [second!.id], marking)!;
      const marked = applyEdit(piece, edit);
      if (!marked.ok) throw new Error(marked.problem);
      const { plan, findings } = new Planner().plan(marked.value, USUAL_FACTORS);
      const alone = new Planner().plan(
        { ...piece, drawing: { ...piece.drawing, parts: [first!] } },
        USUAL_FACTORS,
      ).plan;
      expect(plan.totals.threadMm).toBeCloseTo(alone.totals.threadMm, 6);
      expect(plan.order.map(({ part }) => part)).toEqual([first!.id]);
      expect(findings.filter(({ part }) => part === second!.id)).toEqual([]);
    },
  );
});

describe('the thread of a whole piece', () => {
  it('is changed at once, in about the width that each layer lies', () => {
    const piece = svgPiece('<rect width="9" height="30" fill="#a33"/><path d="M20 0H60" stroke="#33a"/>');
    const { plan } = new Planner().plan(piece, USUAL_FACTORS);
    const edit = workAllIn(piece, plan.parts, 'matt-cotton')!;
    const changed = applyEdit(piece, edit);
    if (!changed.ok) throw new Error(changed.problem);
    const after = new Planner().plan(changed.value, USUAL_FACTORS).plan;
    plan.parts.forEach(({ passes }, i) =>
      passes.forEach((pass, k) => {
        const now = after.parts[i]!.passes[k]!;
        expect([now.thread, now.stitch, now.role]).toEqual(['matt-cotton', pass.stitch, pass.role]);
        expect(strandChoices(threadKind('matt-cotton'))).toContain(now.strands);
      }),
    );
    expect(workAllIn(changed.value, after.parts, 'matt-cotton')).toBeNull();
  });

  it('is whitework thread where the piece is whitework', () => {
    const piece = svgPiece('<rect width="9" height="30" fill="#fff"/><path d="M20 0H60" stroke="#fff"/>', {
      use: 'whitework',
    });
    const { parts } = new Planner().plan(piece, USUAL_FACTORS).plan;
    expect(new Set(parts.flatMap(({ passes }) => passes.map(({ thread }) => thread)))).toEqual(
      new Set(['matt-cotton']),
    );
  });
});
