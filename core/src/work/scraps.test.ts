import { describe, expect, it } from 'vitest';
import { Planner } from '../advice/index.ts';
import { finishPlan } from '../finish/index.ts';
import { boxOf } from '../geometry/index.ts';
import { clothOf } from '../materials/index.ts';
import { plainPass, plainScrap, USUAL_FINISH, type Part, type Piece, type Scrap } from '../piece/index.ts';
import { svgPiece } from '../testing/pieces.ts';
import { USUAL_FACTORS, type PlannedPart } from './index.ts';

/** A square of 40 mm, a smaller square of 10 mm upon it, and one beside it. */
const BODY =
  '<rect width="40" height="40" fill="#a74"/><rect x="15" y="15" width="10" height="10" fill="#3a3"/><rect x="60" width="10" height="10" fill="#33a"/>';

function pieceOf(scrap: Partial<Scrap> | null, change: Partial<Part> = {}): Piece {
  const piece = svgPiece(BODY, { cloth: { kind: 'calico', colour: '#eeeeee' } });
  const parts = piece.drawing.parts.map((part, i): Part => {
    if (i > 0) return { ...part, passes: [plainPass('satin', 'stranded-cotton', 2)] };
    return { ...part, scrap: scrap && { ...plainScrap('#aa7744'), ...scrap }, ...change };
  });
  return { ...piece, drawing: { ...piece.drawing, parts } };
}
const planned = (piece: Piece): readonly PlannedPart[] => new Planner().plan(piece, USUAL_FACTORS).plan.parts;
const passOf = (parts: readonly PlannedPart[], i: number): PlannedPart['passes'][number] => parts[i]!.passes[0]!;

describe('cloth on cloth', () => {
  it('is gone through by what lies upon it, and by nothing beside it', () => {
    const bare = planned(pieceOf(null));
    const laid = planned(pieceOf({ cloth: 'denim' }));
    const [upon, besideIt] = [1, 2].map((i) => {
      const stabs = (part: PlannedPart['passes'][number]): number => 2 * part.quantities.stitches;
      const grown = passOf(laid, i).quantities.throughMm - passOf(bare, i).quantities.throughMm;
      return grown / stabs(passOf(laid, i));
    });
    expect(upon).toBeCloseTo(clothOf('denim').thicknessMm, 6);
    expect(besideIt).toBe(0);
  });

  it('of heavy cloth is worked with a stronger needle', () => {
    const shaftOf = (scrap: Partial<Scrap>): number => passOf(planned(pieceOf(scrap)), 1).needle.shaftMm;
    expect(shaftOf({ cloth: 'denim' })).toBeGreaterThan(shaftOf({ cloth: 'lawn' }));
    expect(shaftOf({ cloth: 'lawn' })).toBe(passOf(planned(pieceOf(null)), 1).needle.shaftMm);
  });

  it('is worked down 2 mm inside a raw edge, whatever lies on it', () => {
    const { path, stitch } = passOf(planned(pieceOf({ edge: 'raw' })), 0);
    expect(stitch).toBe('running');
    const box = boxOf([Float64Array.from(path.xy)])!;
    const size = [box.maxX - box.minX, box.maxY - box.minY];
    for (const mm of size) expect(Math.abs(mm - 36)).toBeLessThan(0.3);
  });

  it('is whipped over a turned edge: half of each stitch on it, half beside it', () => {
    const { path, stitch } = passOf(planned(pieceOf({ edge: 'turned' })), 0);
    expect(stitch).toBe('overcast');
    const box = boxOf([Float64Array.from(path.xy)])!;
    expect(Math.abs(box.maxX - box.minX - 42)).toBeLessThan(0.2);
  });

  it('is cut whole from its template, 5 mm larger all round where its edge is turned', () => {
    const sizeOf = (edge: Scrap['edge']): number => {
      const piece = { ...pieceOf({ edge }), finish: { ...USUAL_FINISH, end: 'card' as const } };
      const { templates } = finishPlan(piece, new Planner().plan(piece, USUAL_FACTORS).plan, USUAL_FACTORS);
      const template = templates.find(({ id }) => id.startsWith('scrap-'))!;
      const cut = template.lines.filter(({ kind }) => kind === 'cut');
      // What lies upon it cuts no hole into it.
      expect(cut).toHaveLength(1);
      const box = boxOf(cut.map(({ line }) => line.points))!;
      return box.maxX - box.minX;
    };
    expect(sizeOf('raw')).toBeCloseTo(40, 1);
    expect(sizeOf('turned')).toBeCloseTo(50, 1);
  });
});

describe('colours on a scrap', () => {
  const lost = (piece: Piece): string[] =>
    new Planner()
      .plan(piece, USUAL_FACTORS)
      .findings.flatMap(({ id, part }) => (id === 'lost-in-cloth' ? [part!] : []));

  it('are told apart against it, and no longer against the cloth below', () => {
    const upon = pieceOf(null).drawing.parts[1]!.id;
    expect(lost(pieceOf({ hex: '#33aa33' }))).toEqual([upon]);
    const green = { cloth: { kind: 'calico', colour: '#33aa33' } } as const;
    // Upon an area that is stitched in another colour it does not touch the cloth.
    expect(lost({ ...pieceOf(null), ...green })).toEqual([]);
    expect(lost({ ...pieceOf({ hex: '#eeddcc' }), ...green })).toEqual([]);
  });
});

describe('nothing but print', () => {
  it('has no thread in which an edge could be worked: that is said', () => {
    const piece = svgPiece('<rect width="30" height="30" fill="#a33"/>');
    const parts = piece.drawing.parts.map((part) => ({ ...part, printed: true }));
    const printed = {
      ...piece,
      drawing: { ...piece.drawing, parts },
      finish: { ...USUAL_FINISH, end: 'patch' as const },
    };
    const { plan } = new Planner().plan(printed, USUAL_FACTORS);
    expect(finishPlan(printed, plan, USUAL_FACTORS).problems).toMatchObject([{ id: 'nothing-stitched', stops: true }]);
  });
});

describe('a planner that remembers', () => {
  it('works an area anew when it is filled with something else, and what lies upon it too', () => {
    const planner = new Planner();
    const ways = [null, { edge: 'raw' }, { edge: 'turned', cloth: 'denim' }] as const;
    for (const piece of [...ways.map((scrap) => pieceOf(scrap)), pieceOf(null, { printed: true }), pieceOf(null)]) {
      const again = planner.plan(piece, USUAL_FACTORS).plan;
      const anew = new Planner().plan(piece, USUAL_FACTORS).plan;
      const told = (plan: typeof anew): unknown =>
        plan.parts.map(({ passes }) => passes.map(({ stitch, quantities }) => [stitch, quantities]));
      expect(told(again)).toEqual(told(anew));
    }
  });
});

describe('printed cloth', () => {
  it('takes no thread, and what lies on it is stitched as before', () => {
    const piece = pieceOf(null, { printed: true });
    const parts = planned(piece);
    // It is of the design all the same: a card's window shows it.
    const { look } = finishPlan(
      { ...piece, finish: { ...USUAL_FINISH, end: 'card' } },
      new Planner().plan(piece, USUAL_FACTORS).plan,
      USUAL_FACTORS,
    );
    const window = boxOf(look.form)!;
    expect([window.maxX - window.minX, window.maxY - window.minY].map(Math.round)).toEqual([70 + 16, 40 + 16]);
    expect(parts[0]!.passes).toEqual([]);
    expect(passOf(parts, 1).quantities).toEqual(passOf(planned(pieceOf(null)), 1).quantities);
  });
});
