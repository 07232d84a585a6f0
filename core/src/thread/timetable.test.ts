import { describe, expect, it } from 'vitest';
import { raisedLast, type WorkOrder } from '../order/index.ts';
import { seededRandom } from '../measure/index.ts';
import { strewnDiscs } from '../testing/pieces.ts';
import { isRaised } from '../work/index.ts';
import { colourNeeds, dayOf, needleRuns, timetable, type Plan } from './index.ts';

const SEEDS = [1, 2, 3, 4, 5, 6, 7, 8];

/** The steps of a plan in some other order. */
function shuffled({ order }: Plan, seed: number): WorkOrder {
  const random = seededRandom(seed);
  return order
    .map((step) => ({ step, at: random.next() }))
    .sort((a, b) => a.at - b.at)
    .map(({ step }) => step);
}

/** Parts that have any stitch: a disc may be too small for one. */
function stitchedParts({ parts }: Plan): string[] {
  return parts
    .filter(({ passes }) => passes.some(({ quantities }) => quantities.seconds > 0))
    .map(({ part }) => part.id);
}

describe('the order of the drawing', () => {
  it.each(SEEDS)('works every thread of every pass once, from back to front (seed %i)', (seed) => {
    const { plan } = strewnDiscs(seed, 12, 120);
    const all = plan.parts.flatMap(({ part, passes }) =>
      passes.flatMap(({ threads }, layer) => threads.map((_, shade) => `${part.id} ${layer} ${shade}`)),
    );
    expect(plan.order.map(({ part, layer, shade }) => `${part} ${layer} ${shade}`)).toEqual(all);
    expect(plan.order.every(({ position }) => position === 0)).toBe(true);
  });

  it.each(SEEDS)(
    'can be any other: the same runs come in that order, and take no less than what lies on the cloth (seed %i)',
    (seed) => {
      const { piece, plan } = strewnDiscs(seed, 10, 90);
      const order = shuffled(plan, seed);
      const runs = needleRuns(plan.parts, order);
      expect(runs.map(({ run }) => run.part)).toEqual(order.map(({ part }) => part));
      expect(new Set(runs.map(({ run }) => run.path)).size).toBe(needleRuns(plan.parts, plan.order).length);
      const sum = (needs: ReturnType<typeof colourNeeds>, key: 'threadMm' | 'stitches'): number =>
        needs.reduce((total, need) => total + need[key], 0);
      const needs = colourNeeds(piece, plan.parts, order, plan.spread);
      expect(sum(needs, 'stitches')).toBe(sum([...plan.colours], 'stitches'));
      expect(sum(needs, 'threadMm')).toBeCloseTo(sum([...plan.colours], 'threadMm'), 3);
    },
  );

  it('leaves out what is asked of parts that are not there', () => {
    const { plan } = strewnDiscs(3, 9, 90);
    const some = plan.parts.slice(2, 5);
    expect(new Set(needleRuns(some, plan.order).map(({ run }) => run.part))).toEqual(
      new Set(some.map(({ part }) => part.id)),
    );
  });

  it.each(SEEDS)('with raised work last keeps all else as it was (seed %i)', (seed) => {
    const { plan } = strewnDiscs(seed, 12, 120);
    const raised = new Set(plan.parts.filter(isRaised).map(({ part }) => part.id));
    const order = raisedLast(plan.order, (part) => raised.has(part));
    const first = order.findIndex(({ part }) => raised.has(part));
    expect(raised.size).toBeGreaterThan(0);
    expect(order.slice(first).every(({ part }) => raised.has(part))).toBe(true);
    expect(order.slice(0, first)).toEqual(plan.order.filter(({ part }) => !raised.has(part)));
  });
});

describe('the timetable', () => {
  it.each(SEEDS)('follows the order without gaps, and ends with the hours of the piece (seed %i)', (seed) => {
    const { piece, plan } = strewnDiscs(seed, 16, 160);
    for (const sittingMin of [10, 45, 90]) {
      const worker = { ...piece.worker, sittingMin };
      for (const order of [plan.order, shuffled(plan, seed)]) {
        const times = timetable({ ...piece, worker }, { ...plan, order });
        const worked = new Set(stitchedParts(plan));
        expect(new Set(times.map(({ partId }) => partId))).toEqual(worked);
        const last = Math.max(...times.map(({ to }) => to));
        expect(last).toBe(Math.max(1, Math.ceil((plan.totals.hours.p50 * 60) / sittingMin - 1e-6)));
        times.forEach(({ from, to, day }, i) => {
          expect(from).toBeLessThanOrEqual(to);
          expect(from).toBeLessThanOrEqual((times[i - 1]?.to ?? 1) + 1);
          expect(from).toBeGreaterThanOrEqual(times[i - 1]?.from ?? 1);
          expect(day).toBeCloseTo(dayOf(from, worker.sittingsPerWeek), 9);
        });
      }
    }
  });

  it('comes to raised work after all that lies flat', () => {
    const { piece, plan } = strewnDiscs(5, 16, 160);
    const times = new Map(timetable(piece, plan).map((timed) => [timed.partId, timed]));
    const stitched = new Set(stitchedParts(plan));
    const [raised, flat] = [true, false].map((is) =>
      plan.parts.filter((planned) => isRaised(planned) === is && stitched.has(planned.part.id)),
    );
    const earliest = Math.min(...raised!.map(({ part }) => times.get(part.id)!.from));
    for (const { part } of flat!) expect(times.get(part.id)!.from).toBeLessThanOrEqual(earliest);
  });
});
