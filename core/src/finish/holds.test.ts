import { describe, expect, it } from 'vitest';
import { distanceToLines, isInside, placesOf, type Region } from '../geometry/index.ts';
import { Memory, seededRandom, type Random } from '../measure/index.ts';
import { ENDS, plainHoop, USUAL_FINISH, type End, type Finish, type Piece } from '../piece/index.ts';
import { Planner } from '../advice/index.ts';
import { DEMO_NAMES, demoPiece, svgPiece } from '../testing/pieces.ts';
import { lostMm2 } from './keptOf.ts';
import { WORKED_AREA } from './outlines.ts';
import { planOf } from '../testing/plans.ts';
import { USUAL_FACTORS } from '../work/index.ts';
import { finishPlan, type FinishPlan } from './index.ts';

/** What is painted from a picture is planned with that picture alone. */
const DEMOS = DEMO_NAMES.filter((name) => name !== 'harbour-cat');

/** Blobs and bars strewn about a middle, in a hoop that may be too small for them. */
function strewn(random: Random, hoopMm: number): Piece {
  const shapes = Array.from({ length: 5 }, () => {
    const [x, y] = [random.between(-45, 45), random.between(-45, 45)];
    return random.next() < 0.5
      ? `<circle cx="${x}" cy="${y}" r="${random.between(3, 14)}" fill="#a33"/>`
      : `<rect x="${x}" y="${y}" width="${random.between(4, 30)}" height="${random.between(4, 12)}" fill="#33a"/>`;
  });
  return svgPiece(shapes.join(''), { hoop: plainHoop(hoopMm, 5) });
}

const ending = (piece: Piece, finish: Partial<Finish>): FinishPlan =>
  finishPlan({ ...piece, finish: { ...USUAL_FINISH, ...finish } }, planOf(piece), USUAL_FACTORS);

/** Places of what is stitched that lie outside a form by more than a thread. */
function outside(piece: Piece, form: Region): number {
  const lines = form.map((points) => ({ points, closed: true }));
  let found = 0;
  for (const { placed } of planOf(piece).parts) {
    for (const ring of placed.shape.region) {
      for (const [x, y] of placesOf(ring)) if (!isInside(form, x, y) && distanceToLines(lines, x, y) > 0.6) found++;
    }
  }
  return found;
}

describe('nothing cuts into what is stitched', () => {
  const HELD: readonly End[] = ENDS.filter((end) => end !== 'garment' && end !== 'hemmed');
  const CHOICES: Partial<Record<End, readonly Partial<Finish>[]>> = {
    framed: [{}, { mounting: 'left-in' }],
    ornament: [{ shape: 'disc' }, { shape: 'heart' }, { shape: 'drop' }, { shape: 'outline' }],
    whitework: [{}, { clothShape: 'round' }, { clothShape: 'oval' }],
  };
  it.each([1, 2, 3, 4])(
    'whatever the design, the end, the shape and the hoop: it holds, or it is said (seed %i)',
    (seed) => {
      const random = seededRandom(seed);
      let [held, said] = [0, 0];
      for (const hoopMm of [100, 150, 200]) {
        const piece = strewn(random, hoopMm);
        for (const end of HELD) {
          for (const choice of CHOICES[end] ?? [{}]) {
            const { problems, look } = ending(piece, { end, ...choice });
            if (problems.some(({ stops }) => stops)) said++;
            else {
              expect(outside(piece, look.form), `${end} ${JSON.stringify(choice)} in ${hoopMm}`).toBe(0);
              held++;
            }
          }
        }
      }
      expect(held).toBeGreaterThan(15);
      expect(said).toBeGreaterThan(0);
    },
  );

  it.each(DEMOS)('of the demo, %s is held by what it ends as', (name) => {
    const piece = demoPiece(name);
    const plan = new Planner().plan(piece, USUAL_FACTORS).plan;
    const { problems, look } = finishPlan(piece, plan, USUAL_FACTORS);
    expect(problems.filter(({ stops }) => stops)).toEqual([]);
    expect(lostMm2(new Memory().made(WORKED_AREA, [], plan), look.form)).toBe(0);
  });

  const bar = '<rect x="-60" y="-5" width="120" height="10" fill="#a33"/>';
  it('a piece that is larger than its hoop is mounted on a board, unless its end was chosen', () => {
    const large = svgPiece(bar, { hoop: plainHoop(100, 5), use: 'framed' });
    expect(ending(large, { end: null }).end).toBe('board');
    const framed = ending(large, { end: 'framed' });
    expect(framed.problems).toMatchObject([{ id: 'cuts-into-work', stops: true }]);
    // The bar is 120 mm long and 10 high; of the 94 mm inside the hoop some 93 hold it.
    const [, lost] = /(\d+) cm²/.exec(framed.problems[0]!.text)!;
    expect(Number(lost)).toBeGreaterThanOrEqual(2);
    expect(Number(lost)).toBeLessThanOrEqual(4);
    expect(ending({ ...large, hoop: plainHoop(150, 5) }, { end: null }).end).toBe('framed');
  });
});

describe('the shape of an ornament', () => {
  const leaf = '<rect x="-32.5" y="-28" width="65" height="56" fill="#a33"/>';
  const acrossOf = (form: Region): [number, number] => {
    const places = form.flatMap((ring) => [...placesOf(ring)]);
    const [xs, ys] = [places.map(([x]) => x), places.map(([, y]) => y)];
    return [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)];
  };

  it.each(['heart', 'drop', 'disc'] as const)('is the smallest %s that holds the design with its room', (shape) => {
    // An oval of 65 × 56 mm, as hearts are drawn.
    const oval = '<ellipse rx="32.5" ry="28" fill="#a33"/>';
    const piece = svgPiece(oval);
    const marginMm = 6;
    const { look } = ending(piece, { end: 'ornament', shape, marginMm });
    const lines = look.form.map((points) => ({ points, closed: true }));
    const gaps: number[] = [];
    for (const [x, y] of placesOf(planOf(piece).parts[0]!.placed.shape.region[0]!)) {
      expect(isInside(look.form, x, y)).toBe(true);
      gaps.push(distanceToLines(lines, x, y));
    }
    expect(Math.min(...gaps)).toBeGreaterThan(marginMm - 0.5);
    // It touches: nowhere is there more room than was asked for all round.
    expect(Math.min(...gaps)).toBeLessThan(marginMm + 1.5);
    expect(Math.max(...acrossOf(look.form))).toBeLessThan(shape === 'drop' ? 135 : 100);
  });

  it('that takes more cloth than the hoop needs says so, with both', () => {
    const piece = svgPiece(leaf, { hoop: plainHoop(100, 5) });
    const { problems, clothMm } = ending(piece, { end: 'ornament', shape: 'drop', marginMm: 60 });
    expect(problems.map(({ id }) => id)).toContain('cloth-too-small');
    expect(problems.find(({ id }) => id === 'cloth-too-small')!.text).toContain(
      `${Math.ceil(clothMm![0] / 10)} × ${Math.ceil(clothMm![1] / 10)} cm`,
    );
  });
});
