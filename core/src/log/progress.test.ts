import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { RecordEntry } from '../piece/index.ts';
import { countingEntries, mergeRecords, progressOf, toWorkAgain } from './index.ts';

const SEED = { seed: 5, numRuns: 300 };
const id = fc.integer({ min: 0, max: 30 }).map((n) => `e${n}`);
const part = fc.constantFrom('p1', 'p2', 'p3', 'p4');

/** An entry is known by its id: what has the same id is the same, whoever has it. */
const kindOf = (entry: string, what: string, other: string): RecordEntry => {
  const n = Number(entry.slice(1));
  const at = new Date(Date.UTC(2026, 0, 1) + ((n * 7) % 31) * 86_400_000).toISOString();
  if (n % 3 === 0) return { id: entry, at, type: 'voided', entry: other };
  if (n % 3 === 1) return { id: entry, at, type: 'part-done', part: what };
  return {
    id: entry,
    at,
    type: 'thread-used',
    part: what,
    colour: 'c1',
    stitch: 'stem',
    strands: 2,
    usualMm: 400,
    usedMm: 400 + n,
    sure: false,
  };
};
/** Two devices that have some of the same entries. */
const pair = fc
  .array(fc.tuple(id, part, id), { maxLength: 40 })
  .map((drawn) => [...new Map(drawn.map(([entry, what, other]) => [entry, kindOf(entry, what, other)])).values()])
  .chain((all) => fc.tuple(fc.subarray(all), fc.subarray(all), fc.shuffledSubarray(all, { minLength: all.length })));

describe('a record', () => {
  it('merges to the same whoever merges, in whatever order, once or twice', () => {
    fc.assert(
      fc.property(pair, ([a, b, all]) => {
        const merged = mergeRecords(a, b);
        expect(mergeRecords(b, a)).toEqual(merged);
        expect(mergeRecords(merged, a)).toEqual(merged);
        expect(mergeRecords(mergeRecords(a, b), all)).toEqual(mergeRecords(a, mergeRecords(b, all)));
        expect(new Set(merged.map((entry) => entry.id))).toEqual(new Set([...a, ...b].map((entry) => entry.id)));
      }),
      SEED,
    );
  });

  it('says the same in whatever order its entries come', () => {
    fc.assert(
      fc.property(pair, ([, , all]) => {
        const sorted = [...all].sort((a, b) => a.id.localeCompare(b.id));
        expect(progressOf(all)).toEqual(progressOf(sorted));
      }),
      SEED,
    );
  });

  it('counts what no other entry voids, as looking through all of them for each says', () => {
    fc.assert(
      fc.property(pair, ([, , all]) => {
        const slowly = all.filter(
          (entry) =>
            entry.type === 'voided' || !all.some((other) => other.type === 'voided' && other.entry === entry.id),
        );
        expect(countingEntries(all)).toEqual(slowly);
        const done = new Set(slowly.flatMap((entry) => ('part' in entry ? [entry.part] : [])));
        expect(progressOf(all).done).toEqual(done);
      }),
      SEED,
    );
  });

  it('takes a part back into what is to work by adding entries, never by removing any', () => {
    fc.assert(
      fc.property(pair, part, ([, , all], again) => {
        let n = 0;
        const added = toWorkAgain(all, new Set([again]), () => ({ id: `v${n++}`, at: '2026-06-01T00:00:00.000Z' }));
        const after = progressOf([...all, ...added]);
        const before = progressOf(all).done;
        expect(after.done.has(again)).toBe(false);
        expect([...after.done].sort()).toEqual([...before].filter((one) => one !== again).sort());
      }),
      SEED,
    );
  });
});
