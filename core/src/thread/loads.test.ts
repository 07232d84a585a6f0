import { describe, expect, it } from 'vitest';
import { WORKING_LENGTH } from '../materials/index.ts';
import { seededRandom } from '../measure/index.ts';
import { MoveRecorder } from '../stitches/index.ts';
import { countLoads, type LoadedRun, type Loads } from './loads.ts';

const SETTINGS = { cutMm: 500, startMm: 80, travelMm: 10 };

/** A pass of separate stitches at given places, each taking a given length. */
function passOf(stitches: readonly { x: number; takesMm: number; isBreak: boolean }[], strands = 2): LoadedRun {
  const recorder = new MoveRecorder();
  let used = 0;
  const usedMm = Float32Array.from(stitches, ({ x, takesMm }) => {
    recorder.stitch();
    recorder.up(x, 0);
    recorder.down(x + 1, 0);
    return (used += takesMm);
  });
  const breaks = stitches.flatMap(({ isBreak }, i) => (isBreak && i > 0 ? [i] : []));
  return { pass: { stitch: 'back', strands }, path: recorder.path(), usedMm, breaks };
}

/** The slow, obvious way: one stitch after the other, with what is on the needle in hand. */
function slowly(passes: readonly LoadedRun[]): Pick<Loads, 'loads' | 'restarts' | 'lostMm'> {
  const usable = SETTINGS.cutMm - SETTINGS.startMm - WORKING_LENGTH.stopMm;
  let [loads, restarts, left, lastX] = [0, 0, 0, -1e9];
  /** Put down one by one: starts, what stays to fasten off, what is worked in or carried, what was too short to go on with. */
  let lostMm = 0;
  for (const { usedMm, breaks, path } of passes) {
    usedMm.forEach((used, i) => {
      const takes = used - (i === 0 ? 0 : usedMm[i - 1]!);
      const x = path.xy[4 * i]!;
      if (left > 0 && (i === 0 || breaks.includes(i))) {
        const way = Math.abs(x - lastX);
        const anew = left - WORKING_LENGTH.workedInMm - WORKING_LENGTH.restartMm;
        if (way <= SETTINGS.travelMm && left - way > 0) [left, lostMm] = [left - way, lostMm + way];
        else if (anew >= 60) [left, restarts, lostMm] = [anew, restarts + 1, lostMm + left - anew];
        else [left, lostMm] = [0, lostMm + left];
      }
      if (takes > left + 1e-3) {
        lostMm += left + SETTINGS.cutMm - usable;
        [loads, left] = [loads + 1, usable];
      }
      left = Math.max(0, left - takes);
      lastX = x + 1;
    });
  }
  return { loads, restarts, lostMm: lostMm + left };
}

describe('countLoads', () => {
  it.each(Array.from({ length: 40 }, (_, i) => i + 1))(
    'agrees with following the needle stitch by stitch (seed %i)',
    (seed) => {
      const random = seededRandom(seed);
      const passes = Array.from({ length: 1 + Math.floor(random.next() * 4) }, () => {
        let x = random.between(0, 50);
        return passOf(
          Array.from({ length: 5 + Math.floor(random.next() * 80) }, () => {
            const isBreak = random.next() < 0.06;
            x += isBreak ? random.between(5, 60) : random.between(0, 3);
            return { x: Math.round(x), takesMm: Math.round(random.between(2, 30)), isBreak };
          }),
        );
      });
      const { lostMm, ...slow } = slowly(passes);
      const counted = countLoads(passes, SETTINGS);
      expect(counted).toMatchObject(slow);
      expect(counted.lostMm).toBeCloseTo(lostMm, 1);
    },
  );

  it.each([
    [300, 1],
    [800, 3],
    [1300, 5],
  ])(
    'no length works more than it holds: a thread of %i mm that is laid in one piece is joined of %i lengths',
    (mm, lengths) => {
      const usable = SETTINGS.cutMm - SETTINGS.startMm - WORKING_LENGTH.stopMm;
      const { loads, portions, lostMm } = countLoads([passOf([{ x: 0, takesMm: mm, isBreak: false }])], SETTINGS);
      expect(loads).toBe(lengths);
      const held = portions.map((own) => own.reduce((sum, { usedMm }) => sum + usedMm, 0));
      held.forEach((usedMm) => expect(usedMm).toBeLessThanOrEqual(usable + 0.1));
      expect(held.reduce((sum, usedMm) => sum + usedMm, 0)).toBeCloseTo(mm, 1);
      expect(lostMm).toBeCloseTo(loads * SETTINGS.cutMm - mm, 1);
    },
  );

  it('goes on with one load while it lasts, and takes a new one when it does not', () => {
    const stitches = (count: number): LoadedRun =>
      passOf(Array.from({ length: count }, (_, i) => ({ x: i, takesMm: 10, isBreak: false })));
    expect(countLoads([stitches(31)], SETTINGS)).toMatchObject({ loads: 1, restarts: 0 });
    expect(countLoads([stitches(32)], SETTINGS)).toMatchObject({ loads: 2, restarts: 0 });
    expect(countLoads([], SETTINGS)).toMatchObject({ loads: 0, lostMm: 0 });
  });

  it('takes a longer cut for a folded length, of which half is on the needle', () => {
    const pass = passOf([{ x: 0, takesMm: 100, isBreak: false }], 12);
    expect(countLoads([pass], SETTINGS)).toMatchObject({ loads: 1, cutMm: 900, lostMm: 350 });
  });
});
