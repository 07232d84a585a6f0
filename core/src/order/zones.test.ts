import { beforeAll, describe, expect, it } from 'vitest';
import { Planner } from '../advice/index.ts';
import type { Raster } from '../drawing/index.ts';
import { applyEdit, plainPass, type Piece } from '../piece/index.ts';
import { svgPiece } from '../testing/pieces.ts';
import type { Plan } from '../thread/index.ts';
import { paintInCotton, USUAL_FACTORS } from '../work/index.ts';
import { threadOfStep } from './index.ts';

const [SIDE_MM, PX] = [70, 280];
/** Fur that lies down the page, dark at its top and pale below. */
const PICTURE: Raster = {
  width: PX,
  height: PX,
  rgba: Uint8ClampedArray.from({ length: 4 * PX * PX }, (_, i) => {
    const [x, y] = [(i >> 2) % PX, Math.floor((i >> 2) / PX)];
    return i % 4 === 3 ? 255 : 60 + (120 * y) / PX + 30 * Math.sin(x);
  }),
};
const ADDRESS = 'data:image/png;base64,AAAA';
const pictures = new Map([[ADDRESS, PICTURE]]);
const planOf = (piece: Piece): Plan => new Planner().plan(piece, USUAL_FACTORS, { pictures }).plan;
const byArea = (piece: Piece, share: number): Piece => ({ ...piece, worker: { ...piece.worker, byArea: share } });

/** A square of fur with an eye and a mane on it: `fur`, `eye`, a large patch in front, and a hair that lies on all. */
function furPiece(): Piece {
  const drawn = svgPiece(
    `<rect id="fur" width="${SIDE_MM}" height="${SIDE_MM}" fill="#888"/>
     <circle id="eye" cx="50" cy="20" r="4" fill="#282"/>
     <rect id="patch" x="5" y="30" width="60" height="38" fill="#a33"/>
     <path id="hair" d="M10 10L60 14" fill="none" stroke="#fff"/>`,
  );
  const underlay = {
    picture: ADDRESS,
    widthPx: PX,
    heightPx: PX,
    mmPerPx: SIDE_MM / PX,
    xMm: 0,
    yMm: 0,
    strength: 0.5,
  };
  const parts = drawn.drawing.parts.map((part) => ({
    ...part,
    opaque: part.name !== 'patch',
    passes: part.name === 'patch' ? [plainPass('seed', 'stranded-cotton', 1)] : part.passes,
  }));
  return { ...drawn, drawing: { ...drawn.drawing, parts, underlay } };
}

describe('needles that take turns', () => {
  const shaded = (inTurn: boolean): Piece => {
    const drawn = svgPiece('<rect width="50" height="30" fill="#a33"/><path d="M0 50H9" stroke="#33a"/>');
    const [part, line] = drawn.drawing.parts;
    const shades = [part!.colour, line!.colour];
    const pass = { ...plainPass('long-short', 'stranded-cotton', 1), angleDeg: 90, shades, inTurn };
    return {
      ...drawn,
      drawing: {
        ...drawn.drawing,
        parts: [
          { ...part!, passes: [pass] },
          { ...line!, passes: [] },
        ],
      },
    };
  };

  it('work zone by zone, one parked while the other works, and take hardly more lengths than one after the other', () => {
    const [inTurn, after] = [planOf(shaded(true)), planOf(shaded(false))];
    expect(after.order.map(({ shade }) => shade)).toEqual([0, 1]);
    const zones = inTurn.order.map(({ zone }) => zone);
    expect(zones).toEqual([...zones].sort((a, b) => a - b));
    expect(new Set(zones).size).toBeGreaterThan(4);
    const changes = inTurn.order.filter(({ shade }, i) => i > 0 && shade !== inTurn.order[i - 1]!.shade).length;
    expect(changes).toBeGreaterThan(1);
    const loads = (plan: Plan): number => plan.colours.reduce((sum, need) => sum + need.loads, 0);
    // A needle that comes back further away than thread is carried is fastened off, and now and then too little is left to go on with.
    expect(loads(inTurn) / loads(after)).toBeLessThan(1.15);
    expect(inTurn.work.filter((step) => step!.isParked).length).toBeGreaterThanOrEqual(changes - 1);
    expect(inTurn.totals.stitches).toBe(after.totals.stitches);
  });
});

describe('a painted part worked by area', () => {
  let piece: Piece;
  let plan: Plan;
  const fur = (): Plan['parts'][number] => plan.parts[0]!;
  const named = (name: string): string => piece.drawing.parts.find((part) => part.name === name)!.id;
  beforeAll(() => {
    const bare = furPiece();
    const outcome = applyEdit(bare, paintInCotton(bare, planOf(bare).parts[0]!, 5, pictures)!);
    if (!outcome.ok) throw new Error(outcome.problem);
    piece = byArea(outcome.value, 1);
    plan = planOf(piece);
  });

  it('is cut into zones that together are all of its stitches, each no larger than it may be', () => {
    const steps = plan.order.filter(({ part }) => part === fur().part.id);
    const seen = new Map<number, number>();
    for (const step of steps) {
      const { path, quantities } = threadOfStep(fur(), step, piece.hoop, piece.positions)!;
      expect(quantities.stitches).toBeGreaterThanOrEqual(4);
      seen.set(step.shade, (seen.get(step.shade) ?? 0) + quantities.stitches);
      expect(step.stitches).toBe(path.starts.length);
    }
    fur().passes[0]!.threads.forEach(({ path }, shade) => expect(seen.get(shade) ?? 0).toBe(path.starts.length));
    // Four by four zones of 20 mm lie over 70 mm.
    const zones = new Set(steps.map(({ zone }) => zone));
    expect(zones.size).toBeGreaterThanOrEqual(9);
    expect(zones.size).toBeLessThanOrEqual(25);
  });

  it('goes from back to front: where the hair ends first, and never back to a zone that was left', () => {
    const steps = plan.order.filter(({ part }) => part === fur().part.id);
    const numbers = steps.map(({ zone }) => zone);
    expect(numbers).toEqual([...numbers].sort((a, b) => a - b));
    // The hair hangs down: the lowest zone is the furthest back.
    const middleOf = (zone: number): number => {
      const ys = steps.filter((step) => step.zone === zone).map(({ from }) => from[1]);
      return ys.reduce((sum, y) => sum + y, 0) / ys.length;
    };
    expect(middleOf(numbers[0]!)).toBeGreaterThan(middleOf(numbers.at(-1)!) + 40);
    expect(plan.rules.rules.every(({ before, after }) => before < after)).toBe(true);
  });

  it('comes after the eye in it, and before what is large or a line in front of it', () => {
    const ruleOf = (a: string, b: string): string | undefined =>
      plan.rules.rules.find(
        ({ before, after }) => plan.order[before]!.part === named(a) && plan.order[after]!.part === named(b),
      )?.id;
    expect(ruleOf('eye', 'fur')).toBe('features');
    expect(ruleOf('fur', 'patch')).toBe('behind');
    expect(ruleOf('fur', 'hair')).toBe('behind');
  });

  it('takes as much thread on the cloth by colour, in one step a shade', () => {
    const byColour = planOf(byArea(piece, 0));
    const own = byColour.order.filter(({ part }) => part === fur().part.id);
    expect(own.every(({ zone }) => zone === 0)).toBe(true);
    expect(new Set(own.map(({ shade }) => shade)).size).toBe(own.length);
    expect(own.reduce((sum, { threadMm }) => sum + threadMm, 0)).toBeCloseTo(
      plan.order.filter(({ part }) => part === fur().part.id).reduce((sum, { threadMm }) => sum + threadMm, 0),
      1,
    );
  });
});
