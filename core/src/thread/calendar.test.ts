import { describe, expect, it } from 'vitest';
import { dayFor, doneBy, hoursUntil } from './index.ts';
import { hourOdds } from './odds.ts';

/** The share of a standard normal law below z, by adding up its density. */
function below(z: number): number {
  let sum = 0;
  for (let x = -8; x < z; x += 1e-4) sum += Math.exp((-x * x) / 2) * 1e-4;
  return sum / Math.sqrt(2 * Math.PI);
}

describe('hours until a day', () => {
  const worker = { sittingMin: 60, sittingsPerWeek: 4 };

  it('half of all cases take no more than the hours that are reckoned: they ask for just as many sittings', () => {
    // Four weeks of seven days, today counted, for twelve hours in sittings of one: three a week.
    expect(doneBy('2026-05-28', '2026-05-01', 12, worker)).toMatchObject({ days: 27, perWeekP50: 3 });
    expect(doneBy('2026-05-28', '2026-05-01', 14, { ...worker, sittingMin: 105 })).toMatchObject({ perWeekP50: 2 });
  });

  it('the odds at the pace of now are a half where it is just enough, and as its spread says where it is more', () => {
    expect(doneBy('2026-05-28', '2026-05-01', 16, worker)).toMatchObject({ odds: expect.closeTo(0.5, 5) });
    const odds = doneBy('2026-05-28', '2026-05-01', 12, worker);
    expect(odds?.type === 'ahead' && odds.odds).toBeCloseTo(below(Math.log(16 / 12) / 0.3), 3);
  });

  it('nine in ten cases end within the range’s end, and one in ten before its beginning', () => {
    const { p10, p50, p90 } = hourOdds(10);
    expect(p50).toBe(10);
    expect(below(Math.log(p90 / 10) / 0.3)).toBeCloseTo(0.9, 3);
    expect(below(Math.log(p10 / 10) / 0.3)).toBeCloseTo(0.1, 3);
    const asked = doneBy('2026-05-28', '2026-05-01', 12, worker);
    expect(asked?.type === 'ahead' && asked.perWeekP90).toBe(Math.ceil((hourOdds(12).p90 / 4) * 10) / 10);
  });

  it('is past before today, and none where it is no day', () => {
    expect(doneBy('2026-04-30', '2026-05-01', 12, worker)).toEqual({ type: 'past' });
    expect(doneBy('soon', '2026-05-01', 12, worker)).toBeNull();
  });
});

describe('evenings until a day', () => {
  it('two weeks of four evenings of an hour and a half are twelve hours; a day that is over has none', () => {
    const worker = { sittingMin: 90, sittingsPerWeek: 4 };
    expect(hoursUntil('2026-12-14', '2026-12-01', worker)).toBeCloseTo(12, 9);
    expect(hoursUntil('2026-12-01', '2026-12-01', worker)).toBeCloseTo(12 / 14, 9);
    expect(hoursUntil('2026-11-30', '2026-12-01', worker)).toBe(0);
  });

  it('the day that is offered has the hours, and the day before has not', () => {
    for (const worker of [
      { sittingMin: 60, sittingsPerWeek: 3 },
      { sittingMin: 45, sittingsPerWeek: 0.5 },
      { sittingMin: 120, sittingsPerWeek: 7 },
    ]) {
      for (let hours = 0.5; hours < 40; hours += 3.7) {
        const day = dayFor(hours, '2026-12-01', worker);
        expect(hoursUntil(day, '2026-12-01', worker)).toBeGreaterThanOrEqual(hours - 1e-6);
        const before = new Date(Date.parse(`${day}T12:00:00Z`) - 86_400_000).toISOString().slice(0, 10);
        if (before >= '2026-12-01') expect(hoursUntil(before, '2026-12-01', worker)).toBeLessThan(hours);
      }
    }
  });
});
