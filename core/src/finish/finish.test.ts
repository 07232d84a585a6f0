import type { ShadeNeed } from '../thread/index.ts';
import { describe, expect, it } from 'vitest';
import { Planner } from '../advice/index.ts';
import {
  boxOf,
  isInside,
  offset,
  regionArea,
  regionPerimeter,
  ringArea,
  unite,
  type Region,
} from '../geometry/index.ts';
import { CLOTHS, clothOf, innerDiameterMm, laidWidthMm, MARKS, markOf, threadKind } from '../materials/index.ts';
import { seededRandom } from '../measure/index.ts';
import { ENDS, type End, plainHoop, plainPass, USUAL_FINISH, type Finish, type Piece } from '../piece/index.ts';
import { svgPiece } from '../testing/pieces.ts';
import { USUAL_FACTORS } from '../work/index.ts';
import { Memory } from '../measure/index.ts';
import { ornamentOutline } from './ornamentShape.ts';
import { circleRing, patchOutline, rectangleRing, type WorkedPiece } from './outlines.ts';
import { brokenFinishRules, finishPlan, priceOf, type FinishPlan } from './index.ts';
import { puffedHeights, puffedVolumeMm3 } from './puffed.ts';
import { scallopsAround } from './scallops.ts';

/** A drawing in two strands of stranded cotton, on quilting cotton 0.28 mm thick. */
function pieceOf(body: string, finish: Partial<Finish>, change: Partial<Piece> = {}): Piece {
  const piece = svgPiece(body, { hoop: plainHoop(150, 12), ...change });
  const parts = piece.drawing.parts.map((part) => ({
    ...part,
    passes: [plainPass(part.kind === 'area' ? 'satin' : 'back', 'stranded-cotton', 2)],
  }));
  return {
    ...piece,
    cloth: { kind: 'quilting-cotton', colour: '#f0ece0', ...change.cloth },
    drawing: { ...piece.drawing, parts },
    finish: { ...USUAL_FINISH, ...finish },
  };
}

function planned(piece: Piece): FinishPlan {
  return finishPlan(piece, new Planner().plan(piece, USUAL_FACTORS).plan, USUAL_FACTORS);
}

const disc = (mm: number): string => `<circle cx="0" cy="0" r="${mm / 2}" fill="#a33"/>`;
const step = (plan: FinishPlan, id: string): FinishPlan['steps'][number] => plan.steps.find((one) => one.id === id)!;
const amounts = (plan: FinishPlan, id: string): Record<string, number> => step(plan, id).amounts;

const asWorked = (worked: Region): WorkedPiece => ({ worked, memory: new Memory() });

describe('a patch', () => {
  it('of a 70 mm disc with a border of 6 mm is edged round π · 82 mm, thread by thread through all layers', () => {
    const plan = planned(pieceOf(disc(70), { end: 'patch', borderMm: 6, edge: 'overcast' }));
    const edge = amounts(plan, 'edge');
    const outline = Math.PI * 82;
    expect(edge['outlineMm']! / outline).toBeCloseTo(1, 2);
    const pitch = laidWidthMm(threadKind('stranded-cotton'), 3);
    expect(edge['stitches']! / (outline / pitch)).toBeCloseTo(1, 1);
    // Each stitch goes 6 mm in front, about 6 mm behind, and twice through cloth, web and felt.
    const through = 0.28 + 0.1 + clothOf('felt').thicknessMm;
    const each = 6 + Math.hypot(6, pitch) + 2 * through;
    expect(edge['threadMm']! / (edge['stitches']! * each * 1.03)).toBeCloseTo(1, 1);
    expect(regionArea(plan.look.form) / (Math.PI * 41 ** 2)).toBeCloseTo(1, 2);
  });

  it('is sewn on with two holding stitches and one every 25 mm', () => {
    const plan = planned(pieceOf(disc(70), { end: 'patch' }));
    const outline = amounts(plan, 'edge')['outlineMm']!;
    expect(amounts(plan, 'sew-on')['stitches']).toBe(1 + Math.round(outline / 25));
  });

  it('has no corner more pointed than 3 mm, inside or out, and closes small holes', () => {
    const star: Region = unite(
      [
        Float64Array.of(0, -40, 9, -12, 38, -12, 15, 6, 24, 34, 0, 17, -24, 34, -15, 6, -38, -12, -9, -12),
        circleRing({ x: 0, y: 0, r: 5 }),
      ],
      'evenodd',
    );
    const { form } = patchOutline(asWorked(star), 6, false);
    expect(form).toHaveLength(1);
    // Opened and closed by a disc of nearly 3 mm it stays as it is.
    for (const r of [2.9, -2.9]) {
      const back = offset(offset(form, r), -r);
      expect(Math.abs(regionArea(back) - regionArea(form))).toBeLessThan(0.5);
    }
  });

  it('follows the design less closely by a wider radius, and never cuts into its border', () => {
    const notched: Region = [Float64Array.of(0, 0, 60, 0, 60, 60, 40, 60, 40, 20, 20, 20, 20, 60, 0, 60)];
    const areas = [3, 8, 20].map((corner) => regionArea(patchOutline(asWorked(notched), 5, false, corner).form));
    expect(areas[1]).toBeGreaterThan(areas[0]! + 10);
    expect(areas[2]).toBeGreaterThan(areas[1]! + 10);
    // The bay is 20 mm wide, 10 between its borders: a disc of 20 mm fills it but for its mouth.
    expect(areas[2]!).toBeGreaterThan(0.97 * (70 * 70));
  });

  it('keeps a hole that is wider than 15 mm after its border', () => {
    const ring = (hole: number): Region =>
      unite([circleRing({ x: 0, y: 0, r: 50 }), circleRing({ x: 0, y: 0, r: hole })], 'evenodd');
    expect(patchOutline(asWorked(ring(14)), 6, false).form).toHaveLength(2);
    expect(patchOutline(asWorked(ring(13)), 6, false).form).toHaveLength(1);
  });

  it('of two islands 40 mm apart is asked about, then bridged or made two', () => {
    const two = `<circle cx="0" cy="0" r="15" fill="#a33"/><circle cx="70" cy="0" r="15" fill="#a33"/>`;
    const asked = planned(pieceOf(two, { end: 'patch' }));
    expect(asked.problems.map(({ id }) => id)).toContain('two-islands');
    const bridged = planned(pieceOf(two, { end: 'patch', islands: 'bridge' }));
    expect(bridged.problems).toEqual([]);
    expect(bridged.look.form).toHaveLength(1);
    expect(planned(pieceOf(two, { end: 'patch', islands: 'apart' })).look.form).toHaveLength(2);
  });

  it('says where its border closes a bay that no needle could edge', () => {
    const c = `<path d="M0 0H60V40H0V24H40V16H0Z" fill="#a33"/>`;
    expect(planned(pieceOf(c, { end: 'patch', borderMm: 3 })).problems.map(({ id }) => id)).toContain('closed-bay');
    const round = planned(pieceOf(disc(70), { end: 'patch' }));
    expect(round.problems).toEqual([]);
    expect(amounts(round, 'edge')['bays']).toBe(0);
    const notched = `<path d="M0 0H60V60H37V25H23V60H0Z" fill="#a33"/>`;
    expect(amounts(planned(pieceOf(notched, { end: 'patch', borderMm: 3 })), 'edge')['bays']).toBe(1);
  });
});

describe('a piece framed in its hoop', () => {
  const plan = planned(pieceOf(disc(70), { end: 'framed' }));

  it('is gathered in stitches of 7 mm, 6.75 mm outside the ring, by thread of that round and 200 mm', () => {
    const round = 2 * Math.PI * (75 + 4 + 6.75);
    // Seven millimetres in front, seven behind.
    expect(amounts(plan, 'gather')['stitches']).toBe(Math.ceil(Math.round(round / 7) / 2));
    expect(amounts(plan, 'gather')['threadMm']).toBeCloseTo(round + 200, 3);
    expect(amounts(planned(pieceOf(disc(70), { end: 'framed', doubled: true })), 'gather')['threadMm']).toBeCloseTo(
      2 * (round + 200),
      3,
    );
  });

  it('may be left open behind: then nothing is cut, whipped or bought for it', () => {
    const open = planned(pieceOf(disc(70), { end: 'framed', disc: 'none' }));
    expect(open.steps.map(({ id }) => id)).not.toContain('disc');
    expect(open.materials.map(({ id }) => id)).not.toContain('disc');
    expect(open.materials.map(({ id }) => id)).not.toContain('sewing-thread');
    expect(open.templates.map(({ id }) => id)).toEqual(['trim']);
  });

  it('is closed by a disc 4 mm smaller than the inside of the ring, whipped on every 5 mm', () => {
    const across = innerDiameterMm(150) - 4;
    const { acrossMm, stitches, threadMm } = amounts(plan, 'disc') as {
      acrossMm: number;
      stitches: number;
      threadMm: number;
    };
    expect(acrossMm).toBe(across);
    expect(stitches).toBe(Math.round((Math.PI * across) / 5));
    // Each bites 3 mm in and goes on 5 mm behind; two layers of cloth of 0.28 mm twice.
    const each = 3 + Math.hypot(3, 5) + 4 * 0.28;
    expect(threadMm / (stitches * each * 1.03 + 200)).toBeCloseTo(1, 1);
    const box = boxOf(plan.templates.find(({ id }) => id === 'disc')!.lines.map(({ line }) => line.points))!;
    expect(box.maxX - box.minX).toBeCloseTo(across, 2);
  });

  it('asks for a hoop where there is none', () => {
    const none = planned(pieceOf(disc(70), { end: 'framed' }, { hoop: null }));
    expect(none.problems).toMatchObject([{ id: 'no-hoop', stops: true }]);
  });
});

describe('a piece on a board', () => {
  it('is laced there and back every 12 mm, both ways', () => {
    const plan = planned(pieceOf(`<rect width="150" height="100" fill="#a33"/>`, { end: 'board', marginMm: 25 }));
    // 200 × 150 mm, 50 mm turned over of which 10 mm are gripped.
    const [one, other] = [Math.round(200 / 12) + 1, Math.round(150 / 12) + 1];
    const { threads, threadMm } = amounts(plan, 'lace') as { threads: number; threadMm: number };
    expect(threads).toBe(one + other);
    const bare = one * (150 - 80) + 200 + other * (200 - 80) + 150;
    expect(threadMm / (bare * 1.03 + 400)).toBeCloseTo(1, 1);
  });
});

describe('a stuffed shape', () => {
  it('over a disc is an ellipsoid: two thirds of its area times its height', () => {
    for (const r of [20, 45]) {
      const volume = puffedVolumeMm3(puffedHeights([circleRing({ x: 3, y: -2, r })])!);
      expect(volume / ((2 / 3) * Math.PI * r * r * 0.9 * r)).toBeCloseTo(1, 1);
    }
  });

  it('grows with the third power of its size, whatever its shape', () => {
    const of = (scale: number): number =>
      puffedVolumeMm3(puffedHeights([rectangleRing(0, 0, 40 * scale, 25 * scale)])!);
    expect(of(2) / of(1) / 8).toBeCloseTo(1, 2);
  });

  it('is filled with 0.03 g for each cm³', () => {
    const plan = planned(pieceOf(disc(70), { end: 'ornament', shape: 'disc', marginMm: 8 }));
    const r = 43;
    const cm3 = ((2 / 3) * Math.PI * r * r * 0.9 * r) / 1000;
    expect(amounts(plan, 'stuff')['stuffingG']! / (0.03 * cm3)).toBeCloseTo(1, 1);
  });

  it.each(['disc', 'heart', 'drop', 'outline'] as const)(
    'in the shape of a %s holds the design with its margin',
    (shape) => {
      const worked: Region = [circleRing({ x: 10, y: 5, r: 30 })];
      const [ring] = ornamentOutline(shape, asWorked(worked), { x: 10, y: 5, r: 30 }, 8);
      for (const [x, y] of [
        [10, 5 - 37.5],
        [10 + 37.5, 5],
        [10, 5 + 37.5],
        [10 - 37.5, 5],
      ] as const) {
        expect(isInside([ring!], x, y)).toBe(true);
      }
    },
  );

  it('is left open for 40 mm where it is straightest, and its seam is the rest', () => {
    const plan = planned(pieceOf(`<rect width="60" height="60" fill="#a33"/>`, { end: 'ornament', shape: 'outline' }));
    const { seamLineMm, openingMm } = amounts(plan, 'seam') as { seamLineMm: number; openingMm: number };
    expect(openingMm / 40).toBeCloseTo(1, 1);
    expect((seamLineMm + openingMm) / regionPerimeter(plan.look.form)).toBeCloseTo(1, 2);
    const opening = plan.templates[0]!.lines.find(({ kind }) => kind === 'fold')!.line.points;
    const [dx, dy] = [opening.at(-2)! - opening[0]!, opening.at(-1)! - opening[1]!];
    expect(Math.hypot(dx, dy) / openingMm).toBeCloseTo(1, 3);
  });

  it('is notched every 10 mm where it bends more tightly than 25 mm, and nowhere else', () => {
    const notches = (mm: number): number =>
      amounts(planned(pieceOf(disc(mm), { end: 'ornament', marginMm: 0 })), 'notch')['notches']!;
    expect(notches(60)).toBe(0);
    // The seam of a disc of 40 mm is as long as its round.
    expect(notches(40)).toBe(Math.floor((Math.PI * 40) / 10));
  });
});

describe('a whitework cloth', () => {
  it('of 320 × 320 mm has a whole number of scallops on each side, nearest to the width that is wished', () => {
    const { across, upright, count, line } = scallopsAround(320, 320, 25);
    expect([across, upright, count]).toEqual([13, 13, 52]);
    for (const corner of [
      [-160, -160],
      [160, -160],
      [160, 160],
      [-160, 160],
    ]) {
      const meets = Array.from({ length: line.points.length / 2 }, (_, i) =>
        Math.hypot(line.points[2 * i]! - corner[0]!, line.points[2 * i + 1]! - corner[1]!),
      ).some((far) => far < 1e-9);
      expect(meets).toBe(true);
    }
    expect(Math.abs(ringArea(line.points))).toBeGreaterThan(320 * 320);
  });

  it('is edged two short, two long by turns, arms to the inside', () => {
    const plan = planned(pieceOf(disc(70), { end: 'whitework', sizeMm: [200, 160] }));
    const [{ pass }] = plan.look.edges as [FinishPlan['look']['edges'][number]];
    const { codes, xy, starts } = pass.path;
    const heights: number[] = [];
    for (let k = 0; k + 1 < starts.length; k++) {
      const last = starts[k + 1]! - 1;
      expect(codes[last]).toBe(2);
      expect(isInside(plan.look.form, xy[2 * last]!, xy[2 * last + 1]!)).toBe(true);
      heights.push(Math.round(Math.hypot(xy[2 * last]! - xy[2 * last - 4]!, xy[2 * last + 1]! - xy[2 * last - 3]!)));
    }
    expect(heights.slice(0, 8)).toEqual([4, 4, 6, 6, 4, 4, 6, 6]);
  });

  it('takes yarn for its fringe by loops, length and knots', () => {
    const plan = planned(pieceOf(disc(70), { end: 'whitework', sizeMm: [320, 320], fringe: 'looped', fringeMm: 50 }));
    expect(amounts(plan, 'fringe')['loops']).toBe(52 * 8);
    expect(plan.materials.find(({ id }) => id === 'yarn')!.quantity).toBeCloseTo(2 * 50 * 4 * 52 * 8 * 1.15, 6);
    const bought = planned(pieceOf(disc(70), { end: 'whitework', sizeMm: [320, 320], fringe: 'bought' }));
    expect(bought.materials.find(({ id }) => id === 'fringe')!.quantity).toBeCloseTo(4 * 320 * 1.1, 6);
  });

  it('has scallops of the width nearest to the wish, whatever the side', () => {
    expect(scallopsAround(86, 120, 60)).toMatchObject({ across: 2, upright: 2 });
    let met = 0;
    for (let side = 40; side <= 400; side += 13) {
      for (const wished of [20, 35, 60, 90]) {
        const { across } = scallopsAround(side, 300, wished);
        const off = (count: number): number => Math.abs(side / count - wished);
        for (let count = 1; count <= 40; count++) expect(off(across)).toBeLessThanOrEqual(off(count) + 1e-9);
        met++;
      }
    }
    expect(met).toBeGreaterThan(100);
  });

  it('says where scallops are wider than its side', () => {
    const plan = planned(pieceOf(disc(30), { end: 'whitework', sizeMm: [60, 60], scallopMm: 80 }));
    expect(plan.problems.map(({ id }) => id)).toEqual(['scallop-too-wide']);
    expect(amounts(plan, 'scallops')['scallops']).toBe(4);
  });
});

describe('a card', () => {
  it('holds the design with 8 mm all round, in the smallest size that does', () => {
    const plan = planned(pieceOf(disc(60), { end: 'card' }));
    const { acrossMm, uprightMm } = amounts(plan, 'window') as { acrossMm: number; uprightMm: number };
    expect(acrossMm).toBeCloseTo(76, 1);
    expect(uprightMm).toBeCloseTo(76, 1);
    expect(amounts(plan, 'fold')).toMatchObject({ acrossMm: 315, uprightMm: 148 });
  });

  it('is the smallest by area of all sizes that hold its window, whichever way the design is longer', () => {
    const designs = [20, 40, 60, 80, 100, 120].flatMap((width) =>
      [20, 50, 90, 120].map((height) => ({ width, height })),
    );
    const cards = designs.map(({ width, height }) => {
      const body = `<rect width="${width}" height="${height}" fill="#a33"/>`;
      const plan = planned(pieceOf(body, { end: 'card', cardFace: 'window' }));
      const [window, fold] = ['window', 'fold'].map(
        (id) => amounts(plan, id) as { acrossMm: number; uprightMm: number },
      );
      // Folded in three where it has a window, with 10 mm of card on every side of that.
      return {
        across: fold!.acrossMm / 3,
        upright: fold!.uprightMm,
        least: [window!.acrossMm + 20, window!.uprightMm + 20],
      };
    });
    expect(new Set(cards.map(({ across, upright }) => `${across} ${upright}`)).size).toBeGreaterThan(4);
    for (const { across, upright, least } of cards) {
      const holding = cards.filter((other) => other.across >= least[0]! - 1e-9 && other.upright >= least[1]! - 1e-9);
      expect(across * upright).toBe(Math.min(...holding.map((other) => other.across * other.upright)));
    }
  });

  it('that is smaller than the design is refused with what it takes', () => {
    const plan = planned(pieceOf(disc(90), { end: 'card', sizeMm: [80, 80] }));
    expect(plan.problems).toMatchObject([{ id: 'card-too-small', stops: true }]);
  });
});

/** Ends that have a backing. */
const FUSED: ReadonlySet<End> = new Set<End>(['patch', 'cushion', 'garment']);

describe('a price', () => {
  const need: ShadeNeed = {
    shade: { range: 'r', code: 'c', name: 'Rust', hex: '#a33' },
    thread: 'stranded-cotton',
    lot: null,
    colours: ['c1'],
    wholeM: 4,
    loads: 8,
    skeins: { p50: 1, p90: 1, p95: 1 },
  };
  const felt = {
    id: 'felt',
    name: 'Felt',
    quantity: 1,
    unit: 'pieces',
    sizeMm: [80, 80],
    goods: 'felt',
    thread: null,
  } as const;
  const edge = {
    ...felt,
    id: 'edge',
    goods: null,
    unit: 'mm',
    quantity: 2000,
    sizeMm: null,
    thread: { colour: 'c1', kind: 'stranded-cotton', loads: 4 },
  } as const;
  const options = {
    skeinPrice: () => 2,
    colourPrice: () => 2,
    goodsPrice: () => 1.5,
    hours: 9,
    finishingHours: 1,
    perHour: 10,
    overhead: 0.1,
    asked: 60,
  };

  it('counts thread by what is used, hours by what they are, and says what an hour earns', () => {
    // 4 m of a skein of 8 m at 2, 2 m more for the edge, felt at 1.5, ten hours at 10, a tenth on top.
    const price = priceOf([need], [felt, edge], options);
    expect(price).toMatchObject({ thread: 1, finishing: 2, work: 100, unknown: [] });
    expect(price.all).toBeCloseTo(103 * 1.1, 9);
    expect(price.earned).toBeCloseTo((60 - 3 * 1.1) / 10, 9);
  });

  it('names what has no price, and promises no earnings without a price or an hour', () => {
    const price = priceOf([need], [felt], { ...options, skeinPrice: () => null, goodsPrice: () => null, asked: null });
    expect(price.unknown).toEqual(['Rust', 'Felt']);
    expect(price.earned).toBeNull();
    expect(priceOf([], [], { ...options, hours: 0, finishingHours: 0 }).earned).toBeNull();
  });
});

describe('every end, with every mark, on every cloth', () => {
  const base = pieceOf(disc(16), {});
  const plan = new Planner().plan(base, USUAL_FACTORS).plan;

  it.each(ENDS)('%s: breaks no rule of order, and what a rule forbids is found', (end) => {
    for (const { id: mark } of MARKS) {
      for (const cloth of CLOTHS) {
        for (const backing of FUSED.has(end) ? (['sewn', 'fusible'] as const) : (['sewn'] as const)) {
          const piece: Piece = {
            ...base,
            mark,
            cloth: { kind: cloth.id, colour: '#eee8d8' },
            finish: { ...USUAL_FINISH, end, backing, fringe: 'looped' },
          };
          const { steps } = finishPlan(piece, plan, USUAL_FACTORS);
          expect(brokenFinishRules(steps, markOf(mark), cloth)).toEqual([]);
          expect(steps.every(({ seconds, text }) => seconds > 0 && text.length > 20)).toBe(true);
        }
      }
    }
  });

  it('turned round at random, the rules find what is wrong', () => {
    const random = seededRandom(3);
    const piece: Piece = { ...base, mark: 'water-pen', finish: { ...USUAL_FINISH, end: 'patch', backing: 'fusible' } };
    const { steps } = finishPlan(piece, plan, USUAL_FACTORS);
    const [water, cloth] = [markOf('water-pen'), clothOf('quilting-cotton')];
    const at = (list: readonly { id: string }[], id: string): number => list.findIndex((one) => one.id === id);
    for (let turn = 0; turn < 200; turn++) {
      const mixed = [...steps].sort(() => random.between(-1, 1));
      const broken = brokenFinishRules(mixed, water, cloth);
      const isHotFirst = Math.min(at(mixed, 'press'), at(mixed, 'web')) < at(mixed, 'rinse-cold');
      expect(broken.includes('water-before-heat')).toBe(isHotFirst);
      expect(broken.includes('edge-before-cutting-close')).toBe(
        Math.min(at(mixed, 'cut-close'), at(mixed, 'sew-on')) < at(mixed, 'edge'),
      );
    }
  });

  it('film on cloth that bears no water is refused, and felt is not fused', () => {
    const felt: Piece = {
      ...base,
      mark: 'film',
      cloth: { kind: 'felt', colour: '#eee8d8' },
      finish: { ...USUAL_FINISH, end: 'patch', backing: 'fusible' },
    };
    const ids = finishPlan(felt, plan, USUAL_FACTORS).problems.map(({ id }) => id);
    expect(ids).toContain('water-needed');
    expect(ids).toContain('no-iron');
  });

  it('with nothing stitched says so', () => {
    const empty = pieceOf(disc(60), {});
    const none = { ...empty, drawing: { ...empty.drawing, parts: [] } };
    expect(planned(none)).toMatchObject({ steps: [], problems: [{ id: 'nothing-stitched' }] });
  });
});
