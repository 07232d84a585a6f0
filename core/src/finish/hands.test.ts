import { describe, expect, it } from 'vitest';
import { Planner } from '../advice/index.ts';
import { isInside, placesOf, regionArea, regionPerimeter } from '../geometry/index.ts';
import { CLOTHS, clothOf, markOf, STABILISERS } from '../materials/index.ts';
import {
  ENDS,
  FINISH_RANGES,
  plainHoop,
  setUse,
  applyEdit,
  setMarking,
  USUAL_FINISH,
  type Edit,
  type End,
  type Finish,
  type Piece,
} from '../piece/index.ts';
import { svgPiece } from '../testing/pieces.ts';
import { USUAL_FACTORS } from '../work/index.ts';
import { amountsInWords, brokenFinishRules, finishPlan, type FinishPlan } from './index.ts';
import { knotPlaces, scallopsRound } from './scallops.ts';

const DISC = '<circle r="30" fill="#a33"/>';
/** A line, a gap and a ring about both: what someone draws who wants an outline of her own. */
const RINGED = `${DISC}<circle r="44" fill="none" stroke="#333"/>`;

function ended(
  end: End,
  finish: Partial<Finish> = {},
  { body = DISC, ...change }: Partial<Piece> & { readonly body?: string } = {},
): FinishPlan {
  const piece = {
    ...svgPiece(body, { hoop: plainHoop(150, 12), mark: 'heat-pen' }),
    cloth: { kind: 'quilting-cotton', colour: '#f0ece0' },
    ...change,
    finish: { ...USUAL_FINISH, end, ...finish },
  } as const;
  return finishPlan(piece, new Planner().plan(piece, USUAL_FACTORS).plan, USUAL_FACTORS);
}

function changed(piece: Piece, edit: Edit): Piece {
  const next = applyEdit(piece, edit);
  if (!next.ok) throw new Error(next.problem);
  return next.value;
}

const idsOf = ({ steps }: FinishPlan): string[] => steps.map(({ id }) => id);
const stepOf = (plan: FinishPlan, id: string): FinishPlan['steps'][number] => plan.steps.find((one) => one.id === id)!;
const amountOf = (plan: FinishPlan, id: string, name: string): number => stepOf(plan, id).amounts[name]!;

describe('a damp stretch', () => {
  it('is wished only where water took the marks out, or no iron may take the creases out', () => {
    expect(idsOf(ended('framed'))).not.toContain('stretch');
    expect(idsOf(ended('framed', {}, { mark: 'water-pen' }))).toContain('stretch');
    expect(idsOf(ended('framed', { stretching: 'always' }))).toContain('stretch');
    expect(idsOf(ended('framed', { stretching: 'never' }, { mark: 'water-pen' }))).toContain('dry');
    for (const end of ['garment', 'hemmed'] as const) {
      expect(idsOf(ended(end, { stretching: 'always' }, { mark: 'water-pen' }))).not.toContain('stretch');
    }
  });

  it('leaves it dry: what is pressed after it is not damp', () => {
    const texts = (stretching: Finish['stretching']): string =>
      stepOf(ended('framed', { stretching }, { mark: 'water-pen' }), 'press').text;
    expect(texts('always')).not.toMatch(/damp/);
    expect(texts('never')).toMatch(/damp/);
  });

  it('stands along the shape of the cloth, a pin every 20 mm: circle, rectangle, oval', () => {
    const pins = (end: End, finish: Partial<Finish> = {}): number =>
      amountOf(ended(end, { stretching: 'always', ...finish }), 'stretch', 'pins');
    // 10 mm outside a disc of 60 mm, in a round hoop and on a rectangle.
    expect(Math.abs(pins('framed') - (Math.PI * 80) / 20)).toBeLessThanOrEqual(1);
    expect(Math.abs(pins('board') - (4 * 80) / 20)).toBeLessThanOrEqual(1);
    const sizeMm: [number, number] = [300, 200];
    expect(Math.abs(pins('whitework', { sizeMm }) - 1000 / 20)).toBeLessThanOrEqual(1);
    // An ellipse of half axes 150 and 100 is 793.3 mm round (Ramanujan).
    expect(Math.abs(pins('whitework', { sizeMm, clothShape: 'oval' }) - 793.3 / 20)).toBeLessThanOrEqual(1);
  });
});

describe('a piece that is left in its hoop', () => {
  const plan = ended('framed', { mounting: 'left-in' });
  it('is neither dressed, stretched, pressed nor mounted a second time', () => {
    expect(idsOf(plan)).toEqual(['look-over', 'tails', 'heat', 'tighten', 'trim', 'gather', 'disc', 'loop']);
    expect(plan.problems).toEqual([]);
  });
  it('has to leave it where the marks come out in water, and says so', () => {
    const wet = ended('framed', { mounting: 'left-in' }, { mark: 'water-pen' });
    expect(wet.problems).toMatchObject([{ id: 'out-of-the-hoop', stops: false }]);
    expect(idsOf(wet)).toContain('stretch');
  });
  it('is trimmed before it is gathered, or after', () => {
    const at = (trimmed: 'before' | 'after', id: string): number => idsOf(ended('framed', { trimmed })).indexOf(id);
    expect(at('before', 'trim')).toBeLessThan(at('before', 'gather'));
    expect(at('after', 'trim')).toBeGreaterThan(at('after', 'gather'));
  });
});

describe('an end', () => {
  const MARKS = ['water-pen', 'heat-pen', 'film', 'tissue'] as const;
  it.each(ENDS)('“%s” comes in a sound order whatever is chosen of it, each thing once', (end) => {
    const choices: Partial<Finish>[] = [
      {},
      { mounting: 'left-in', trimmed: 'after' },
      { edgeOrder: 'after-cutting' },
      { attached: 'ironed', stretching: 'always' },
      { attached: 'ironed', edgeOrder: 'after-cutting', stretching: 'never' },
      { clothShape: 'round', knotted: true, fringe: 'knitted' },
    ];
    let sound = 0;
    for (const cloth of ['fine-linen', 'jersey'] as const) {
      for (const mark of MARKS) {
        for (const choice of choices) {
          const plan = ended(end, choice, { mark, cloth: { kind: cloth, colour: '#f0ece0' } });
          expect(brokenFinishRules(plan.steps, markOf(mark), clothOf(cloth)), JSON.stringify(choice)).toEqual([]);
          expect(new Set(idsOf(plan)).size).toBe(plan.steps.length);
          sound++;
        }
      }
    }
    expect(sound).toBe(48);
  });

  it('that was chosen stays, whatever the piece is for; washed often changes advice and not the end', () => {
    const piece = svgPiece(DISC, { hoop: plainHoop(150, 12), use: 'washed' });
    expect(finishPlan(piece, new Planner().plan(piece, USUAL_FACTORS).plan, USUAL_FACTORS).end).toBe('hemmed');
    const chosen = { ...piece, finish: { ...USUAL_FINISH, end: 'framed' as const } };
    const worn = changed(chosen, setUse(chosen, 'worn')!);
    expect(worn.finish.end).toBe('framed');
  });

  it('“hemmed” is pressed, its ends secured, and done', () => {
    const plan = ended('hemmed');
    expect(idsOf(plan)).toEqual(['look-over', 'tails', 'anchor-knots', 'heat', 'press', 'care']);
    expect(plan.materials).toEqual([]);
  });

  it('“card” is never washed once it is one', () => {
    expect(ended('card').care).toMatch(/dry/);
  });
});

describe('a patch', () => {
  it('may be cut first: its raw edge is whipped by the same stitches, and nothing is cut close', () => {
    const [usual, cut] = [ended('patch'), ended('patch', { edgeOrder: 'after-cutting' })];
    expect(idsOf(cut).slice(-4)).toEqual(['backing', 'cut-out', 'edge', 'sew-on']);
    expect(amountOf(cut, 'edge', 'stitches')).toBe(amountOf(usual, 'edge', 'stitches'));
    expect(stepOf(cut, 'edge').text).toMatch(/raw edge/);
  });

  it('may be ironed on: web with its paper, edge, cut, peeled, pressed, its corners held', () => {
    const square = '<rect x="-25" y="-25" width="50" height="50" fill="#a33"/>';
    const plan = ended('patch', { attached: 'ironed' }, { body: square });
    expect(idsOf(plan).slice(-7)).toEqual(['cut-out', 'web', 'edge', 'cut-close', 'peel', 'iron-on', 'corners']);
    expect(plan.materials.map(({ id }) => id)).not.toContain('felt');
    // Four corners, a holding stitch first, as for any patch that is sewn on.
    expect(amountOf(plan, 'edge', 'corners')).toBe(4);
    expect(amountOf(plan, 'corners', 'stitches')).toBe(6);
    // Cloth, web: no felt for the needle to go through.
    expect(amountOf(plan, 'edge', 'throughMm')).toBeCloseTo(0.28 + 0.1, 6);
  });

  it('is sewn on where its cloth or what it goes on bears no hot iron', () => {
    const plan = ended('patch', { attached: 'ironed', onto: 'jersey' });
    expect(idsOf(plan)).toContain('sew-on');
    expect(plan.problems).toMatchObject([{ id: 'no-iron', stops: false }]);
  });

  it('of a disc has no corners', () => {
    expect(amountOf(ended('patch'), 'edge', 'corners')).toBe(0);
  });
});

describe('an outline that was drawn to sew along', () => {
  const ringed = (change: Partial<Piece> = {}): Piece => {
    const piece = { ...svgPiece(RINGED, { hoop: plainHoop(150, 12) }), ...change };
    const ring = piece.drawing.parts.at(-1)!.id;
    return changed(piece, setMarking(piece, [ring], 'sew')!);
  };
  it.each(['ornament', 'patch'] as const)('is that of the %s', (end) => {
    const { drawing } = ringed();
    const plan = ended(end, {}, { drawing, palette: ringed().palette });
    expect(plan.hasDrawn).toBe(true);
    expect(regionPerimeter(plan.look.form) / (2 * Math.PI * 44)).toBeCloseTo(1, 2);
    // Another shape is a choice.
    const other = ended(end, { shape: 'outline' }, { drawing, palette: ringed().palette });
    expect(regionArea(other.look.form) / regionArea(plan.look.form)).toBeLessThan(0.95);
  });
  it('is passed over where it does not hold what is stitched', () => {
    const piece = svgPiece('<circle r="30" fill="#a33"/><circle r="20" fill="none" stroke="#333"/>', {});
    const cut = changed(piece, setMarking(piece, [piece.drawing.parts.at(-1)!.id], 'sew')!);
    expect(ended('ornament', {}, { drawing: cut.drawing, palette: cut.palette }).hasDrawn).toBe(false);
  });
});

describe('a cloth with a worked edge', () => {
  it('that is round has scallops all of one width, as near to the wish as a whole number allows', () => {
    const { count, line, deepMm } = scallopsRound(200, 200, 25);
    expect(count).toBe(Math.round((Math.PI * 200) / 25));
    // Between scallops the line is on the circle, and it lies outside it all round.
    for (let k = 0; k < count; k++) {
      expect(Math.hypot(line.points[32 * k]!, line.points[32 * k + 1]!)).toBeCloseTo(100, 1);
      expect(Math.hypot(line.points[32 * k + 16]!, line.points[32 * k + 17]!)).toBeCloseTo(100 + deepMm, 1);
    }
  });

  it('that is oval holds the design with its margin', () => {
    const plan = ended(
      'whitework',
      { clothShape: 'oval', marginMm: 20 },
      { body: '<rect width="90" height="40" fill="#a33"/>' },
    );
    const [form] = plan.look.form;
    for (const [x, y] of [
      [-19, 20],
      [109, 20],
      [45, -19],
      [45, 59],
      [0, 0],
      [90, 40],
    ] as const) {
      expect(isInside([form!], x - 45, y - 20) || isInside([form!], x, y)).toBe(true);
    }
  });

  it('may have a knot inside each scallop, clear of its edge', () => {
    const plan = ended('whitework', { knotted: true, clothShape: 'round', sizeMm: [200, 200] });
    const scallops = amountOf(plan, 'scallops', 'scallops');
    expect(amountOf(plan, 'scallop-knots', 'stitches')).toBe(scallops);
    // The thread runs on from knot to knot, 25 mm apart under the edge: a few lengths do for all of them.
    expect(amountOf(plan, 'scallop-knots', 'threadMm')).toBeGreaterThan(scallops * 25);
    expect(amountOf(plan, 'scallop-knots', 'loads')).toBeLessThan(scallops / 4);
    const round = scallopsRound(200, 200, 25);
    for (const [x, y] of placesOf(knotPlaces(round))) expect(Math.hypot(x, y)).toBeLessThan(98);
  });

  it('is washed once, after its edge and before it is cut', () => {
    for (const mark of ['heat-pen', 'cloth-pencil', 'water-pen'] as const) {
      const ids = idsOf(ended('whitework', {}, { mark, cloth: { kind: 'fine-linen', colour: '#f0ece0' } }));
      expect(ids.filter((id) => id === 'wash')).toHaveLength(1);
      expect(ids.indexOf('scallops')).toBeLessThan(ids.indexOf('wash'));
      expect(ids.indexOf('wash')).toBeLessThan(ids.indexOf('cut-close'));
    }
  });

  it('tells what is cut from what lies on the edge', () => {
    const plan = ended('whitework', { sizeMm: [200, 200] });
    const { cutMm, threadMm, loads } = stepOf(plan, 'scallops').amounts;
    expect(cutMm! / loads!).toBe(500);
    expect(cutMm!).toBeGreaterThan(threadMm!);
    expect(amountsInWords(stepOf(plan, 'scallops'), 'metric')).toMatch(/m of thread cut, [\d.]+ m of it on the edge/);
  });

  it('with a knitted fringe says what to cast on, how many to drop, and rows by one’s own count', () => {
    const plan = ended('whitework', { sizeMm: [320, 320], fringe: 'knitted', rowsIn10Cm: 24, fringeMm: 60 });
    const { castOn, dropped, rows, yarnMm } = stepOf(plan, 'fringe').amounts;
    expect(rows).toBe(Math.round(((4 * 320 * 1.1) / 100) * 24));
    // 17 stitches in 10 cm: each 5.9 mm wide takes 20 mm of yarn, so three of them hang 60 mm deep; three more hold the edge.
    expect([dropped, castOn]).toEqual([3, 6]);
    expect(yarnMm! / (rows! * 6 * 20 * 4)).toBeCloseTo(1, 2);
    expect(plan.materials.map(({ id }) => id)).toContain('knitting-needles');
  });
});

describe('what lies behind the cloth', () => {
  const behind = (kind: Piece['cloth']['kind'], body: string): FinishPlan =>
    ended('garment', {}, { cloth: { kind, colour: '#f0ece0' }, body, hoop: null });
  const LINE = '<path d="M0 0H60" stroke="#a33" fill="none"/>';

  it('is chosen by how the cloth stretches and how closely it is stitched, and leaves as it must', () => {
    expect(idsOf(behind('jersey', DISC))).toContain('trim-backing');
    expect(idsOf(behind('jersey', LINE))).toContain('rinse-warm');
    expect(idsOf(behind('lawn', DISC))).toContain('trim-backing');
    expect(idsOf(behind('lawn', LINE)).filter((id) => id.endsWith('backing'))).not.toContain('trim-backing');
    expect(idsOf(behind('fine-linen', DISC))).not.toContain('trim-backing');
  });

  it('is fused on a cotton knit, at low heat, and sewn every 7 mm where it is sewn', () => {
    const knit = { cloth: { kind: 'jersey', colour: '#f0ece0' }, hoop: null } as const;
    expect(idsOf(ended('garment', {}, knit))).not.toContain('web');
    expect(stepOf(ended('garment', {}, { ...knit, stabiliser: 'none' }), 'web').text).toMatch(/low heat/);
    const sewn = ended('garment', { backing: 'sewn' });
    const { stitches } = stepOf(sewn, 'backing').amounts;
    // Round the disc of 60 mm, 8 mm outside it.
    expect(stitches! / ((Math.PI * 76) / 7)).toBeCloseTo(1, 1);
  });

  it('stops the finish where water must take out what cloth or thread can’t bear, for every cloth', () => {
    for (const { id, wash } of CLOTHS) {
      for (const { id: stabiliser, leavesBy } of STABILISERS) {
        const { problems } = ended('garment', {}, { stabiliser, cloth: { kind: id, colour: '#f0ece0' } });
        const isSaid = problems.some((problem) => problem.id === 'water-needed' && problem.stops);
        expect(isSaid, `${stabiliser} behind ${id}`).toBe(wash === 'no' && leavesBy === 'water');
      }
    }
  });
});

describe('ranges of what is set', () => {
  it('hold what is usual', () => {
    for (const [key, { min, max }] of Object.entries(FINISH_RANGES)) {
      const value = USUAL_FINISH[key as keyof Finish];
      if (typeof value !== 'number') continue;
      expect(value).toBeGreaterThanOrEqual(min);
      expect(value).toBeLessThanOrEqual(max);
    }
    expect.hasAssertions();
  });
});
