import { describe, expect, it } from 'vitest';
import { Planner } from '../advice/index.ts';
import { seededRandom } from '../measure/index.ts';
import { plainHoop, plainPass, type LayerRef, type Pass, type Piece } from '../piece/index.ts';
import { svgPiece } from '../testing/pieces.ts';
import type { Plan } from '../thread/index.ts';
import { USUAL_FACTORS } from '../work/index.ts';
import { becauseOf, keepsRules, orderOfWork, problemOf, RULE_IDS, stepsOf, type Rule } from './index.ts';
import { withoutCircles } from './precedence.ts';

const planOf = (piece: Piece): Plan => new Planner().plan(piece, USUAL_FACTORS).plan;
const pass = (role: Pass['role'], stitch: Pass['stitch']): Pass => ({
  ...plainPass(stitch, 'stranded-cotton', 2),
  role,
});
const worked = (piece: Piece, passes: readonly Pass[]): Piece => ({
  ...piece,
  drawing: { ...piece.drawing, parts: piece.drawing.parts.map((part) => ({ ...part, passes: [...passes] })) },
});
const told = ({ order, rules }: Plan): string[] =>
  rules.rules.map(
    ({ id, before, after }) =>
      `${id} ${order[before]!.part}:${order[before]!.layer} ${order[after]!.part}:${order[after]!.layer}`,
  );
const whole = (part: string): LayerRef => ({ part, layer: null, shade: null });
const school = (piece: Piece, worker: Partial<Piece['worker']>): Piece => ({
  ...piece,
  worker: { ...piece.worker, ...worker },
});

describe('what must come before what', () => {
  const sail = '<rect width="20" height="20" fill="#a33"/>';
  const across = '<path d="M2 2L18 18" fill="none" stroke="#3a3"/>';
  const around = '<path d="M-0.4 -0.4H20.4V20.4H-0.4Z" fill="none" stroke="#33a" stroke-width="0.4"/>';
  const round = '<path d="M0 0H20V20H0Z" fill="none" stroke="#33a"/>';

  it('layers come in their order, the outline where the school puts it', () => {
    const piece = worked(svgPiece(sail), [
      pass('padding', 'seed'),
      pass('edge', 'split'),
      pass('filling', 'satin'),
      pass('outline', 'stem'),
    ]);
    expect(told(planOf(piece)).sort()).toEqual([
      'layers part-1:0 part-1:1',
      'layers part-1:1 part-1:2',
      'outline part-1:2 part-1:3',
    ]);
    expect(told(planOf(school(piece, { outline: 'first' }))).sort()).toEqual([
      'layers part-1:0 part-1:1',
      'layers part-1:1 part-1:3',
      'outline part-1:3 part-1:2',
    ]);
  });

  it('and each says of the other what lies below and what on it', () => {
    const { order, rules } = planOf(worked(svgPiece(sail), [pass('padding', 'seed'), pass('filling', 'satin')]));
    const said = [0, 1].map((step) => becauseOf(rules.rules, order, step, () => 'the sail').map(({ text }) => text));
    expect(said[0]).toEqual([expect.stringMatching(/^Before .*, which lies on it\.$/)]);
    expect(said[1]).toEqual([expect.stringMatching(/^After .*, which lies below it\.$/)]);
    const pair = planOf(school(svgPiece(sail + across), { layers: 'plain' }));
    const front = [0, 1].map((step) => becauseOf(pair.rules.rules, pair.order, step, (part) => part)[0]!.text);
    expect(front).toEqual([expect.stringContaining('lies in front of it'), expect.stringContaining('lies behind it')]);
  });

  it('what lies behind comes before what meets it in front, and nothing else', () => {
    const apart = '<rect x="60" width="20" height="20" fill="#a33"/>';
    expect(told(planOf(school(svgPiece(sail + across + apart), { layers: 'plain' })))).toEqual([
      'behind part-1:0 part-2:0',
    ]);
    const beside = '<rect x="20" width="20" height="20" fill="#3a3"/>';
    const plan = planOf(school(svgPiece(sail + beside), { layers: 'plain' }));
    expect(told(plan)).toEqual(['behind part-1:0 part-2:0']);
  });

  it.each([
    ['after', null, 'pencil', sail + round, 'outline part-1:0 part-2:0'],
    ['before, by school', 'first', 'pencil', sail + round, 'outline part-2:0 part-1:0'],
    ['before, for a mark that fades', null, 'water-pen', sail + round, 'outline part-2:0 part-1:0'],
    ['after, though drawn behind', 'last', 'water-pen', around + sail, 'outline part-2:0 part-1:0'],
  ] as const)('a line that bounds an area comes %s', (_when, outline, mark, body, rule) => {
    const plan = planOf(school(svgPiece(body, { mark }), { outline, layers: 'plain' }));
    expect(told(plan)).toEqual([rule]);
  });

  it('a line that only crosses an area does not bound it', () => {
    expect(told(planOf(school(svgPiece(sail + across), { outline: 'first', layers: 'plain' })))).toEqual([
      'behind part-1:0 part-2:0',
    ]);
  });

  it('what the person fixed comes first of all, and what it breaks is told', () => {
    const piece = school(svgPiece(sail + across), { layers: 'plain' });
    const plan = planOf({
      ...piece,
      order: { pairs: [{ before: whole('part-2'), after: whole('part-1') }], first: [], last: [] },
    });
    expect(plan.order.map(({ part }) => part)).toEqual(['part-2', 'part-1']);
    expect(plan.rules.broken.map(({ id }) => id)).toEqual(['behind']);
    expect(plan.rules.gaveWay).toEqual([]);
  });

  it('begins with what shall be first, and all that must come before it; leaves the rest for last', () => {
    const discs = Array.from(
      { length: 6 },
      (_, i) => `<circle cx="${i * 30}" r="8" fill="#a33"/><path d="M${i * 30 - 6} 0h12" stroke="#3a3"/>`,
    ).join('');
    const piece = svgPiece(discs);
    const plan = planOf({ ...piece, order: { pairs: [], first: ['part-12'], last: ['part-1'] } });
    const parts = plan.order.map(({ part }) => part);
    const begun = new Set(['part-11', 'part-12']);
    const ends = new Set(['part-1', 'part-2']);
    const firstOther = parts.findIndex((part) => !begun.has(part));
    expect(new Set(parts.slice(0, firstOther))).toEqual(begun);
    const lastOther = parts.findLastIndex((part) => !ends.has(part));
    expect(new Set(parts.slice(lastOther + 1))).toEqual(ends);
  });

  it('what is done stays first, as it was done, whatever stands against it', () => {
    const piece = svgPiece(sail + across + round);
    const { order, parts } = planOf(piece);
    const done = [order.at(-1)!.key, order[1]!.key];
    const again = orderOfWork(piece, parts, { done });
    expect(again.steps.slice(0, 2).map(({ key }) => key)).toEqual(done);
    expect(again.steps).toHaveLength(order.length);
  });

  it('a part larger than the hoop is worked in portions, which together are all of it', () => {
    const piece = svgPiece('<rect width="300" height="14" fill="#a33"/>', {
      hoop: plainHoop(150, 12),
      placement: { scale: 1, isSizeSet: true, turnDeg: 0, mirrored: false, xMm: -150, yMm: -7 },
    });
    const whole = planOf(piece);
    const plan = planOf({
      ...piece,
      positions: [
        [-95, 0],
        [0, 0],
        [95, 0],
      ],
    });
    for (const key of ['stitches', 'threadMm'] as const) {
      const sum = (of: Plan): number => of.order.reduce((all, step) => all + step[key], 0);
      expect(sum(plan)).toBeCloseTo(sum(whole), 1);
    }
    expect(new Set(plan.order.map(({ position }) => position))).toEqual(new Set([0, 1, 2]));
    const moves = plan.order.filter(({ position }, i) => i > 0 && plan.order[i - 1]!.position !== position);
    expect(moves).toHaveLength(2);
    expect(plan.colours[0]!.threadMm).toBeCloseTo(whole.colours[0]!.threadMm, 1);
  });
});

describe('rules in a circle', () => {
  it.each(Array.from({ length: 60 }, (_, i) => i + 1))(
    'the weakest give way, and no more than must (seed %i)',
    (seed) => {
      const random = seededRandom(seed);
      const count = 3 + Math.floor(random.next() * 9);
      const any = (below: number): number => Math.floor(random.next() * below);
      const rules = Array.from({ length: 2 * count }, (): Rule => ({
        id: RULE_IDS[any(RULE_IDS.length)]!,
        before: any(count),
        after: any(count),
      })).filter(({ before, after }) => before !== after);
      const { kept, gaveWay } = withoutCircles(rules, count);
      expect(kept.length + gaveWay.length).toBe(rules.length);
      expect(reachable(kept, count).every((reach, i) => !reach.has(i))).toBe(true);
      // Each that gave way would close a circle of rules that are no weaker.
      for (const rule of gaveWay) {
        const strength = RULE_IDS.indexOf(rule.id);
        const noWeaker = kept.filter(({ id }) => RULE_IDS.indexOf(id) <= strength);
        expect(reachable(noWeaker, count)[rule.after]!.has(rule.before)).toBe(true);
      }
    },
  );

  function reachable(rules: readonly Rule[], count: number): Set<number>[] {
    return Array.from({ length: count }, (_, start) => {
      const seen = new Set<number>();
      const open = [start];
      for (let at = open.pop(); at !== undefined; at = open.pop()) {
        for (const { before, after } of rules)
          if (before === at && !seen.has(after)) open.push((seen.add(after), after));
      }
      return seen;
    });
  }
});

describe('the order of strewn pieces', () => {
  it.each([1, 2, 3, 4, 5, 6])('keeps its rules, holds each step once, and is found again (seed %i)', (seed) => {
    const random = seededRandom(seed);
    const shapes = Array.from({ length: 24 }, () => {
      const [x, y, size] = [random.between(0, 90), random.between(0, 90), random.between(3, 16)];
      const colour = ['#a33', '#3a3', '#33a'][Math.floor(random.next() * 3)];
      return random.next() < 0.6
        ? `<circle cx="${x}" cy="${y}" r="${size / 2}" fill="${colour}"/>`
        : `<path d="M${x} ${y}l${size} ${size / 3}" stroke="${colour}"/>`;
    });
    const piece = svgPiece(shapes.join(''));
    const plan = planOf(piece);
    const steps = stepsOf(piece, plan.parts);
    const { problem } = problemOf(piece, plan.parts, steps, []);
    const numbers = new Map(steps.map(({ key }, i) => [key, i]));
    expect(
      keepsRules(
        problem,
        plan.order.map(({ key }) => numbers.get(key)!),
      ),
    ).toBe(true);
    expect(planOf(piece).order.map(({ key }) => key)).toEqual(plan.order.map(({ key }) => key));
    for (const { before, after } of plan.rules.rules) expect(before).toBeLessThan(after);
  });
});
