import { describe, expect, it } from 'vitest';
import { drawingOrder, type Step } from '../order/index.ts';
import { seededRandom } from '../measure/index.ts';
import { Planner } from '../advice/index.ts';
import { demoPiece, strewnDiscs } from '../testing/pieces.ts';
import { USUAL_FACTORS } from '../work/index.ts';
import type { Piece } from '../piece/index.ts';
import {
  parkedDuring,
  stepNeedle,
  colourNeeds,
  dayOf,
  needleRuns,
  SITTING_SLACK,
  sittingsOf,
  sumUp,
  timetable,
  type Plan,
} from './index.ts';

const SEEDS = [1, 2, 3, 4, 5, 6, 7, 8];

/** A plan with its steps in some other order. */
function shuffled(piece: Piece, { order, parts, spread }: Plan, seed: number): Plan {
  const random = seededRandom(seed);
  const steps = order
    .map((step) => ({ step, at: random.next() }))
    .sort((a, b) => a.at - b.at)
    .map(({ step }) => step);
  return sumUp(piece, parts, { steps, rules: [], gaveWay: [], broken: [] }, spread);
}

const keys = (steps: readonly Step[]): string[] => steps.map(({ key }) => key);

describe('what is on the needle for a step', () => {
  it.each(['rock-pool', 'night-tram', 'market-radishes'])(
    'follows each length from its beginning to its end (%s)',
    (name) => {
      const piece = demoPiece(name);
      const { plan } = new Planner().plan(piece, USUAL_FACTORS);
      /** How much of each length is used so far, in the order of work. */
      const used = new Map<string, number>();
      const all = new Map<string, number>();
      const portionsOf = (i: number) => plan.work[i]?.portions ?? [];
      plan.order.forEach((_, i) =>
        portionsOf(i).forEach(({ need, load, usedMm }) => {
          const length = `${need} ${load}`;
          all.set(length, (all.get(length) ?? 0) + usedMm);
        }),
      );
      let parkedAtAll = 0;
      plan.order.forEach((step, i) => {
        const [first] = portionsOf(i);
        const told = stepNeedle(plan, step);
        expect(told === null).toBe(first === undefined);
        const waiting = [...used].filter(([length, mm]) => mm < all.get(length)! - 1e-6);
        const own = new Set(portionsOf(i).map(({ need, load }) => `${need} ${load}`));
        const parked = parkedDuring(plan, step);
        parkedAtAll += parked.length;
        expect(parked).toHaveLength(waiting.filter(([length]) => !own.has(length)).length);
        expect(parked.length).toBeLessThan(piece.worker.needles + 1);
        if (!first || !told) return;
        const before = used.get(`${first.need} ${first.load}`) ?? 0;
        expect(told.share).toBeCloseTo(1 - before / all.get(`${first.need} ${first.load}`)!, 6);
        expect(told.begins === 'new').toBe(before === 0);
        for (const { need, load, usedMm } of portionsOf(i)) {
          used.set(`${need} ${load}`, (used.get(`${need} ${load}`) ?? 0) + usedMm);
        }
      });
      expect(parkedAtAll).toBeGreaterThan(0);
    },
  );
});

describe('the order of the drawing', () => {
  it.each(SEEDS)('works every thread of every pass that has a stitch once, from back to front (seed %i)', (seed) => {
    const { piece, plan } = strewnDiscs(seed, 12, 120);
    const all = plan.parts.flatMap(({ part, passes }) =>
      passes.flatMap(({ threads }, layer) =>
        threads.flatMap(({ path }, shade) => (path.starts.length > 0 ? [`${part.id}:${layer}:${shade}:0`] : [])),
      ),
    );
    expect(keys(drawingOrder(piece, plan.parts).steps)).toEqual(all);
    expect(keys(plan.order).sort()).toEqual(all.sort());
  });

  it.each(SEEDS)(
    'can be any other: the same runs come in that order, and take no less than what lies on the cloth (seed %i)',
    (seed) => {
      const { piece, plan } = strewnDiscs(seed, 10, 90);
      const { order } = shuffled(piece, plan, seed);
      const runs = needleRuns(piece, plan.parts, order);
      expect(runs.map(({ run }) => run.part)).toEqual(order.map(({ part }) => part));
      expect(new Set(runs.map(({ run }) => run.path)).size).toBe(needleRuns(piece, plan.parts, plan.order).length);
      const sum = (needs: ReturnType<typeof colourNeeds>, key: 'threadMm' | 'stitches'): number =>
        needs.reduce((total, need) => total + need[key], 0);
      const needs = colourNeeds(piece, plan.parts, order, plan.spread);
      expect(sum(needs, 'stitches')).toBe(sum([...plan.colours], 'stitches'));
      expect(sum(needs, 'threadMm')).toBeCloseTo(sum([...plan.colours], 'threadMm'), 3);
    },
  );

  it('leaves out what is asked of parts that are not there', () => {
    const { piece, plan } = strewnDiscs(3, 9, 90);
    const some = plan.parts.slice(2, 5);
    expect(new Set(needleRuns(piece, some, plan.order).map(({ run }) => run.part))).toEqual(
      new Set(some.map(({ part }) => part.id)),
    );
  });
});

describe('sittings', () => {
  it.each(SEEDS)('hold all of the work once, in its order, and all of its hours (seed %i)', (seed) => {
    const { piece, plan } = strewnDiscs(seed, 16, 160);
    for (const sittingMin of [10, 45, 90]) {
      const own = { ...piece, worker: { ...piece.worker, sittingMin } };
      for (const any of [plan, shuffled(piece, plan, seed)]) {
        const sittings = sittingsOf(own, any);
        const seconds = sittings.reduce((sum, sitting) => sum + sitting.seconds, 0);
        expect(seconds).toBeCloseTo(any.totals.hours.p50 * 3600, 3);
        let [step, share] = [0, 0];
        for (const worked of sittings.flatMap(({ steps }) => steps)) {
          if (share === 1) [step, share] = [step + 1, 0];
          expect([worked.step, worked.from]).toEqual([step, share]);
          share = worked.to;
        }
        expect([step, share]).toEqual([any.order.length - 1, 1]);
        const lengths = sittings.flatMap((sitting) => sitting.lengths);
        for (const { id, loads } of any.colours) {
          const begun = lengths.filter(({ need }) => need === id).flatMap((own) => own.loads);
          expect(begun).toEqual(Array.from({ length: loads }, (_, i) => i));
        }
      }
    }
  });

  it.each(SEEDS)('end within their time wherever a length of thread ends in it (seed %i)', (seed) => {
    const { piece, plan } = strewnDiscs(seed, 16, 160);
    for (const sittingMin of [20, 60, 120]) {
      const sittings = sittingsOf({ ...piece, worker: { ...piece.worker, sittingMin } }, plan);
      const longestLength = Math.max(
        ...plan.work.map(
          (own) => ((own?.stitchSeconds ?? 0) + (own?.aroundSeconds ?? 0)) / (own?.portions.length ?? 1),
        ),
      );
      for (const { seconds } of sittings.slice(0, -1)) {
        const off = Math.abs(seconds - sittingMin * 60) - SITTING_SLACK * sittingMin * 60;
        expect(off).toBeLessThanOrEqual(Math.max(longestLength, 600));
      }
    }
  });

  it.each(SEEDS)('tell when each part is begun and finished (seed %i)', (seed) => {
    const { piece, plan } = strewnDiscs(seed, 16, 160);
    const times = timetable(piece, plan);
    const stitched = plan.parts.filter(({ passes }) => passes.some(({ quantities }) => quantities.stitches > 0));
    expect(new Set(times.map(({ partId }) => partId))).toEqual(new Set(stitched.map(({ part }) => part.id)));
    times.forEach(({ from, to, day, endDay }, i) => {
      expect(from).toBeLessThanOrEqual(to);
      expect(from).toBeGreaterThanOrEqual(times[i - 1]?.from ?? 1);
      expect(day).toBeCloseTo(dayOf(from, piece.worker.sittingsPerWeek), 9);
      expect(endDay).toBeCloseTo(dayOf(to, piece.worker.sittingsPerWeek), 9);
    });
  });
});
