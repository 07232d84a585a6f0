import { describe, expect, it } from 'vitest';
import { bundleDiameterMm, laidWidthMm, threadKind } from '../materials/index.ts';
import { circle, rectangle } from '../testing/shapes.ts';
import { clothShowing } from './coverage.ts';
import {
  measurePath,
  Move,
  workStitch,
  type GivenParams,
  type StitchId,
  type StitchPath,
  type StitchShape,
} from './index.ts';

const COTTON = threadKind('stranded-cotton');
const LAID = laidWidthMm(COTTON, 2);
const NONE = new Float64Array(0);

function work(id: StitchId, shape: Partial<StitchShape>, given: GivenParams = {}, angleDeg = 0): StitchPath {
  return workStitch(id, { region: [], lines: [], spots: NONE, ...shape }, given, {
    laidMm: LAID,
    bundleMm: bundleDiameterMm(COTTON, 2),
    coreMm: 0.69,
    angleRad: (angleDeg * Math.PI) / 180,
    seed: 5,
    heightMm: 0.32,
  });
}

const lengths = (path: StitchPath): { frontMm: number; backMm: number; stitches: number } =>
  measurePath(path, { clothMm: 0, bundleMm: 0, slack: 0, travelMm: 10, pace: { findSeconds: 0, care: 1 } }).quantities;
const straight = (mm: number): Partial<StitchShape> => ({
  lines: [{ points: Float64Array.of(0, 0, mm, 0), closed: false }],
});
/** Where the needle goes through the cloth, in order. */
const holes = ({ codes, xy }: StitchPath): [x: number, y: number][] =>
  [...codes].flatMap((code, i) =>
    code === Move.up || code === Move.down ? [[xy[2 * i]!, xy[2 * i + 1]!] as [number, number]] : [],
  );

describe('stitches that cross from side to side of a band', () => {
  it('herringbone takes one slant for each step, as long as its height and its reach make it', () => {
    const [steps, pitchMm, heightMm] = [40, 3, 5];
    const { frontMm, backMm, stitches } = lengths(
      work('herringbone', straight(steps * pitchMm), { pitchMm, heightMm }),
    );
    expect(stitches).toBe(steps);
    // Each reaches half a step beyond its own, but for the last, which ends with the band.
    expect(frontMm).toBeCloseTo((steps - 1) * Math.hypot(1.5 * pitchMm, heightMm) + Math.hypot(pitchMm, heightMm), 3);
    expect(backMm).toBeCloseTo((steps - 1) * 0.5 * pitchMm, 3);
  });

  it('closed herringbone makes two unbroken rows of back stitch behind, and hides the band in front', () => {
    const path = work('closed-herringbone', straight(60), { heightMm: 5 });
    const behind = holes(path).slice(1, -1);
    const covered = [-2.5, 2.5].map((side) => {
      let sum = 0;
      for (let i = 0; i + 1 < behind.length; i += 2) {
        if (Math.abs(behind[i]![1] - side) < 1e-4) sum += Math.abs(behind[i + 1]![0] - behind[i]![0]);
      }
      return sum;
    });
    covered.forEach((mm) => expect(Math.abs(mm / 60 - 1)).toBeLessThan(0.03));
    expect(
      clothShowing(path, LAID, [rectangle(50, 4.6).map((value, i) => value + (i % 2 === 0 ? 5 : -2.3))]),
    ).toBeLessThan(0.03);
  });

  it('a row of crosses crosses all the same way, two slants to each', () => {
    const path = work('cross-row', straight(50), { stitchMm: 2.5, heightMm: 2.5 });
    const { frontMm, backMm, stitches } = lengths(path);
    expect(stitches).toBe(2 * 20);
    expect(frontMm).toBeCloseTo(40 * 2.5 * Math.SQRT2, 3);
    // Straight down behind each half but the first, and down once where it turns back: to the other lower corner, which is right below.
    expect(backMm).toBeCloseTo(39 * 2.5, 3);
    const slopes = [...path.starts].map((start) => Math.sign(path.xy[2 * start + 2]! - path.xy[2 * start]!));
    expect(slopes.slice(0, 20)).toEqual(Array(20).fill(1));
    expect(slopes.slice(20)).toEqual(Array(20).fill(-1));
  });

  it('thorns come in pairs that cross over a thread laid along the whole line', () => {
    const { codes, xy, starts } = work('thorn', straight(40), { stitchMm: 4, armMm: 2 });
    expect(starts).toHaveLength(1 + 2 * 10);
    const thorns = [...starts].slice(1).map((start) => [start, [...codes].indexOf(Move.down, start)] as const);
    for (const [up, down] of thorns) expect(xy[2 * up + 1]! * xy[2 * down + 1]!).toBeLessThan(0);
    thorns.forEach(([up], i) => expect(Math.sign(xy[2 * up + 1]!)).toBe(i % 2 === 0 ? -1 : 1));
  });

  it('an arc is tied where it turns: at the bend of a hook, in the middle of an even bow', () => {
    const tieOf = (points: Float64Array): [number, number] => {
      const path = work('tied-arc', { lines: [{ points, closed: false }] });
      expect([...path.shades]).toEqual([0, 1]);
      const [from, to] = holes(path).slice(-2);
      return [(from![0] + to![0]) / 2, (from![1] + to![1]) / 2];
    };
    // 20 mm straight, a quarter of a circle of 4 mm, 4 mm straight.
    const quarter = Array.from({ length: 21 }, (_, i) => {
      const angle = (i / 20) * (Math.PI / 2);
      return [20 + 4 * Math.sin(angle), 4 - 4 * Math.cos(angle)];
    });
    const [hookX, hookY] = tieOf(Float64Array.from([[0, 0], ...quarter, [24, 8]].flat()));
    expect(Math.hypot(hookX - (20 + 4 * Math.SQRT1_2), hookY - (4 - 4 * Math.SQRT1_2))).toBeLessThan(1);
    const bow = Array.from({ length: 41 }, (_, i) => {
      const angle = (i / 40) * Math.PI;
      return [10 - 10 * Math.cos(angle), 10 * Math.sin(angle)];
    });
    const [bowX, bowY] = tieOf(Float64Array.from(bow.flat()));
    expect(Math.hypot(bowX - 10, bowY - 10)).toBeLessThan(0.3);
  });
});

describe('a single fly stitch', () => {
  it('is two arms and a tail, along its direction', () => {
    const path = work('fly', { spots: Float64Array.of(3, 4) }, { widthMm: 6, depthMm: 4, tailMm: 2 }, 90);
    const { frontMm, stitches } = lengths(path);
    expect(stitches).toBe(2);
    expect(frontMm).toBeCloseTo(2 * Math.hypot(3, 4) + 2, 4);
    // The direction is upwards as seen: the tail ends above the spot, the arms begin below.
    const ends = holes(path);
    expect(ends.at(-1)).toEqual([3, 2].map((value) => expect.closeTo(value, 4) as number));
    expect(ends[0]![1]).toBeCloseTo(8, 4);
  });
});

describe('fillings that are laid, woven and looped', () => {
  it.each([0, 30, 90])('weaving covers a square and goes over and under by turns (%i°)', (angle) => {
    const region = [rectangle(20, 20)];
    const path = work('woven-fill', { region }, {}, angle);
    expect(clothShowing(path, LAID, region)).toBeLessThan(0.06);
    const woven = [...path.starts].filter((_, k) => path.shades[k] === 1);
    const rows = woven.map(
      (start, k) => [...path.codes.slice(start, woven[k + 1])].filter((code) => code === Move.under).length,
    );
    const laid = path.starts.length - woven.length;
    // Half of what a row crosses lies over it; turned, rows near the corners cross fewer.
    const most = angle % 90 === 0 ? laid / 2 : (laid / 2) * Math.SQRT2;
    expect(Math.max(...rows)).toBeLessThanOrEqual(Math.ceil(most));
    if (angle % 90 === 0) rows.forEach((count) => expect(Math.abs(count - laid / 2)).toBeLessThanOrEqual(1));
  });

  it('a lattice lays area over its squares both ways, and ties every crossing', () => {
    const [wide, high, squareMm] = [40, 24, 4];
    const path = work('lattice-fill', { region: [rectangle(wide, high)] }, { squareMm });
    const laid = [...path.shades].filter((shade) => shade === 0).length;
    expect(laid).toBe(wide / squareMm + high / squareMm);
    expect(path.starts.length - laid).toBe((wide / squareMm) * (high / squareMm));
    const ties = (path.starts.length - laid) * 2 * 0.9 * LAID * Math.SQRT2;
    const { frontMm } = lengths(path);
    // What is laid over the first threads and the ties climbs a little.
    expect(frontMm / ((2 * wide * high) / squareMm + ties)).toBeGreaterThan(1);
    expect(frontMm / ((2 * wide * high) / squareMm + ties)).toBeLessThan(1.25);
  });

  it('pile takes twice its length for each loop, lies to one side, and is worked from there', () => {
    const region = [rectangle(24, 16)];
    const [stepMm, rowMm, pileMm] = [1.2, 1.6, 5];
    const { codes, xy, starts } = work('cut-pile', { region }, { stepMm, rowMm, pileMm }, 270);
    const loops = (24 / stepMm) * (16 / rowMm);
    expect(starts).toHaveLength(2 * loops);
    const { frontMm } = lengths(work('cut-pile', { region }, { stepMm, rowMm, pileMm }, 270));
    expect(frontMm / (loops * (2 * pileMm + 0.8 * stepMm))).toBeGreaterThan(1);
    expect(frontMm / (loops * (2 * pileMm + 0.8 * stepMm))).toBeLessThan(1.06);
    // It hangs down as seen: each loop ends below its foot, and the lowest row is worked first.
    const feet = [...starts].filter((_, k) => k % 2 === 0);
    for (const up of feet)
      expect(Math.abs(xy[2 * (up + 2) + 1]! - xy[2 * up + 1]! - pileMm)).toBeLessThan(0.1 * pileMm);
    const rows = feet.map((up) => xy[2 * up + 1]!);
    expect(rows.every((y, i) => i === 0 || y <= rows[i - 1]! + 1e-4)).toBe(true);
    expect(codes.filter((code) => code === Move.via)).toHaveLength(3 * loops);
  });

  it('herringbone closes round a ring', () => {
    const { frontMm } = lengths(
      work('herringbone', { lines: [{ points: circle(20), closed: true }] }, { pitchMm: 3, heightMm: 4 }),
    );
    const steps = Math.round((2 * Math.PI * 20) / 3);
    expect(Math.abs(frontMm / (steps * Math.hypot(4.5, 4)) - 1)).toBeLessThan(0.05);
  });
});

describe('seeds that thin out', () => {
  it.each([
    [0, 100],
    [0, 40],
    [90, 0],
    [180, 25],
  ])('towards %i°, to %i %% at the far side', (angle, thinTo) => {
    const region = [rectangle(90, 90)];
    const path = work('seed', { region }, { densityPerCm2: 20, thinTo }, angle);
    const whole = work('seed', { region }, { densityPerCm2: 20 }, angle).starts.length;
    const along = (start: number): number => {
      const [x, y] = [path.xy[2 * start]! - 45, path.xy[2 * start + 1]! - 45];
      return x * Math.cos((angle * Math.PI) / 180) - y * Math.sin((angle * Math.PI) / 180);
    };
    const places = [...path.starts].map(along);
    // Falling evenly from all to a share: the near third holds (5 + share) / 6 of its seeds, the far third (1 + 5 · share) / 6.
    const share = thinTo / 100;
    const near = places.filter((at) => at < -15).length / (whole / 3);
    const far = places.filter((at) => at > 15).length / (whole / 3);
    expect(Math.abs(near - (5 + share) / 6)).toBeLessThan(0.09);
    expect(Math.abs(far - (1 + 5 * share) / 6)).toBeLessThan(0.09);
  });
});
