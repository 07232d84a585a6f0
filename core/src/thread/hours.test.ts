import { describe, expect, it } from 'vitest';
import { Planner } from '../advice/index.ts';
import { SECONDS } from '../materials/index.ts';
import { plainHoop, plainPass, type Pass, type Piece } from '../piece/index.ts';
import { svgPiece } from '../testing/pieces.ts';
import { stitchKind, type StitchId } from '../stitches/index.ts';
import { USUAL_FACTORS } from '../work/index.ts';
import { hoopMoves, type Plan } from './plan.ts';

const planOf = (piece: Piece): Plan => new Planner().plan(piece, USUAL_FACTORS).plan;

/** A drawing all of whose parts are worked in one pass. */
function worked(body: string, pass: Pass, change: Partial<Piece> = {}): Piece {
  const piece = svgPiece(body, change);
  const parts = piece.drawing.parts.map((part) => ({ ...part, passes: [pass] }));
  return { ...piece, drawing: { ...piece.drawing, parts } };
}
const SHAPES = {
  area: '<rect width="40" height="8" fill="#a33"/>',
  line: '<path d="M0 0Q40 30 80 0T160 0" fill="none" stroke="#a33"/>',
  spot: '<path d="M0 0h0M9 0h0M18 0h0M0 9h0" stroke="#a33" stroke-linecap="round"/>',
} as const;

function perMinute(stitch: StitchId, more: Partial<Pass> = {}): number {
  const { worksOn } = stitchKind(stitch);
  const plan = planOf(worked(SHAPES[worksOn], { ...plainPass(stitch, 'stranded-cotton', 2), angleDeg: 90, ...more }));
  const quantities = plan.parts.flatMap(({ passes }) => passes.map((pass) => pass.quantities));
  const sum = (pick: (q: (typeof quantities)[number]) => number): number =>
    quantities.reduce((all, q) => all + pick(q), 0);
  return sum((q) => q.stitches) / (sum((q) => q.seconds) / 60);
}

describe('the hours, before a person’s own record', () => {
  it.each([
    ['satin', 10, 14],
    ['back', 6, 9],
    ['chain', 6, 9],
    ['french', 5, 7],
    ['running', 10, 14],
    ['split', 6, 9],
    ['stem', 6, 9],
  ] as const)('%s comes to what practised people report: %i to %i a minute', (stitch, least, most) => {
    const pace = perMinute(stitch);
    expect(pace).toBeGreaterThanOrEqual(least);
    expect(pace).toBeLessThanOrEqual(most);
  });

  it('a piece in one colour changes none: threading and fastening off are all that is done between the stitches', () => {
    const one = planOf(worked(SHAPES.line, plainPass('back', 'stranded-cotton', 2)));
    expect(one.colours).toHaveLength(1);
    const { loads, aroundSeconds } = one.colours[0]!;
    expect(aroundSeconds).toBe(loads * (SECONDS.thread + SECONDS.fastenOff));
    // Two lines far apart in two colours: the second one is changed to, the first is not.
    const lines = '<path d="M0 0H9" stroke="#a33"/><path d="M90 0H99" stroke="#3a3"/>';
    const two = planOf(worked(lines, plainPass('back', 'stranded-cotton', 2)));
    const around = two.colours.reduce((sum, own) => sum + own.aroundSeconds, 0);
    expect(around).toBe(2 * (SECONDS.thread + SECONDS.fastenOff) + SECONDS.changeColour);
  });

  it('long spans and care take longer: satin over 10 mm, long-and-short, and more of it in several shades', () => {
    const short = 60 / perMinute('satin');
    const wide = worked('<rect width="40" height="14" fill="#a33"/>', {
      ...plainPass('satin', 'stranded-cotton', 2),
      angleDeg: 90,
    });
    const { stitches, seconds } = planOf(wide).parts[0]!.passes[0]!.quantities;
    expect(seconds / stitches - short).toBeCloseTo(1.15, 1);
    const piece = svgPiece('<rect width="30" height="30" fill="#a33"/><rect x="40" width="9" height="9" fill="#c66"/>');
    const shades = [piece.palette[0]!.id, piece.palette[1]!.id];
    const painted = (of: readonly string[]): number => {
      const pass = { ...plainPass('long-short', 'stranded-cotton', 1), angleDeg: 90, shades: [...of] };
      const parts = piece.drawing.parts.map((part) => ({ ...part, passes: [pass] }));
      const { quantities } = planOf({ ...piece, drawing: { ...piece.drawing, parts } }).parts[0]!.passes[0]!;
      return quantities.seconds / quantities.stitches;
    };
    expect(painted(shades) / painted([])).toBeCloseTo(2.2 / 1.5, 1);
  });

  it('painting in one strand gets 1.2 to 2.2 cm² done in an hour, with its threading', () => {
    const body =
      '<path d="M0 0C10 -14 30 -14 40 0C46 18 30 34 20 36C6 32 -6 18 0 0Z" fill="#a33"/><rect x="60" width="4" height="4" fill="#c66"/><rect x="70" width="4" height="4" fill="#e99"/>';
    const piece = svgPiece(body);
    const shades = piece.palette.map(({ id }) => id);
    const pass = { ...plainPass('long-short', 'stranded-cotton', 1), angleDeg: 90, shades };
    const [part] = piece.drawing.parts;
    const only = { ...piece, drawing: { ...piece.drawing, parts: [{ ...part!, passes: [pass] }] } };
    const plan = planOf(only);
    const around = plan.colours.reduce((sum, { aroundSeconds }) => sum + aroundSeconds, 0);
    const stitching = plan.parts[0]!.passes[0]!.quantities.seconds;
    const perHour = plan.parts[0]!.placed.areaMm2 / 100 / ((stitching * 1.08 + around) / 3600);
    expect(perHour).toBeGreaterThanOrEqual(1.2);
    expect(perHour).toBeLessThanOrEqual(2.2);
  });

  it('whole pieces: a hoop of outlines in two colours, a dense one, a flower in satin', () => {
    const hours = (piece: Piece): number => planOf(piece).totals.hours.p50;
    const rings = (count: number, colour: string, from: number): string =>
      Array.from(
        { length: count },
        (_, i) => `<circle cx="80" cy="80" r="${from + i * 9}" fill="none" stroke="${colour}"/>`,
      ).join('');
    const outlines = worked(rings(2, '#a33', 20) + rings(2, '#3a3', 44), plainPass('back', 'stranded-cotton', 2));
    expect(hours(outlines)).toBeGreaterThan(1);
    expect(hours(outlines)).toBeLessThan(4.5);
    // A hoop of 15 cm, all of it covered: half in satin, half in rows of split stitch.
    const cells = Array.from({ length: 100 }, (_, i) => {
      const [x, y] = [(i % 10) * 11, Math.floor(i / 10) * 11];
      return `<rect x="${x}" y="${y}" width="11" height="11" fill="${['#a33', '#3a3', '#33a', '#aa3'][i % 4]!}"/>`;
    }).join('');
    const piece = svgPiece(cells);
    const parts = piece.drawing.parts.map((part, i) => ({
      ...part,
      passes: [{ ...plainPass(i % 2 ? 'satin' : 'split-fill', 'stranded-cotton', 2), angleDeg: 90 }],
    }));
    const dense = hours({ ...piece, drawing: { ...piece.drawing, parts } });
    expect(dense).toBeGreaterThan(15);
    expect(dense).toBeLessThan(30);
  });

  it('moving the hoop takes its time, as often as the order moves it', () => {
    const rects = [0, 200, 400].map((x) => `<rect x="${x}" width="40" height="8" fill="#a33"/>`).join('');
    const piece = worked(rects, plainPass('satin', 'stranded-cotton', 2), { hoop: plainHoop(150, 12) });
    const inOne = planOf(piece);
    const positions = inOne.parts.map(({ placed: { widest } }): [number, number] => [widest!.x, widest!.y]);
    const inThree = planOf({ ...piece, positions });
    const stitched = 2 * 180 + inThree.colours[0]!.aroundSeconds - inOne.colours[0]!.aroundSeconds;
    expect((inThree.totals.hours.p50 - inOne.totals.hours.p50) * 3600).toBeCloseTo(stitched, 6);
    expect(hoopMoves(inThree.order)).toBe(2);
  });
});
