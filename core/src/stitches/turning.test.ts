import { describe, expect, it } from 'vitest';
import {
  guidedField,
  middleLine,
  radialField,
  regionArea,
  type DirectionField,
  type Region,
} from '../geometry/index.ts';
import { bundleDiameterMm, laidWidthMm, threadKind } from '../materials/index.ts';
import { coverage } from '../testing/coverage.ts';
import { circle, rectangle } from '../testing/shapes.ts';
import {
  measurePath,
  Move,
  STITCHES,
  stitchKind,
  workStitch,
  type GivenParams,
  type StitchId,
  type StitchShape,
} from './index.ts';

const COTTON = threadKind('stranded-cotton');
const LAID = laidWidthMm(COTTON, 2);
const SPACING = 0.9 * LAID;
const BUNDLE = bundleDiameterMm(COTTON, 2);
const CONTEXT = { laidMm: LAID, bundleMm: BUNDLE, coreMm: 0.69, heightMm: 0.32, angleRad: 0, seed: 5 };
const MEASURE = { clothMm: 0.3, bundleMm: BUNDLE, slack: 0, travelMm: 10, pace: { findSeconds: 0, care: 1 } };

/** Part of a ring between two radii, through an angle. */
function bend(outer: number, inner: number, angle: number): Region {
  const arc = (r: number, from: number, to: number): number[] =>
    Array.from({ length: 121 }, (_, i) => from + ((to - from) * i) / 120).flatMap((a) => [
      r * Math.cos(a),
      -r * Math.sin(a),
    ]);
  return [Float64Array.from([...arc(outer, 0, angle), ...arc(inner, angle, 0)])];
}

function worked(id: StitchId, region: Region, field: DirectionField | undefined, given: GivenParams = {}) {
  const path = workStitch(id, { region, lines: [], spots: new Float64Array(0) }, given, { ...CONTEXT, field });
  const { quantities, breaks } = measurePath(path, MEASURE);
  const { codes, xy } = path;
  const first = [xy[0]!, xy[1]!] as const;
  const spansMm = [...codes].flatMap((code, i) =>
    code === Move.down ? [Math.hypot(xy[2 * i]! - xy[2 * i - 2]!, xy[2 * i + 1]! - xy[2 * i - 1]!)] : [],
  );
  return {
    ...quantities,
    breaks: breaks.length,
    first,
    spansMm,
    /** Thread in front against the area over the spacing. */
    perArea: (quantities.frontMm * SPACING) / regionArea(region),
    ...coverage(path, region, LAID),
  };
}

/** A leaf between two arcs that meet in points. */
function leaf(lengthMm: number, halfMm: number, bendMm = 0): Region {
  const side = (way: 1 | -1): number[] =>
    Array.from({ length: 81 }, (_, i) => (way > 0 ? i : 80 - i) / 80).flatMap((t) => [
      t * lengthMm,
      4 * t * (1 - t) * (bendMm + way * halfMm),
    ]);
  return [Float64Array.from([...side(1), ...side(-1)])];
}

const across = (region: Region): DirectionField => guidedField([middleLine(region)!], region, Math.PI / 2);

describe('satin that turns', () => {
  it.each([
    [30, 19, Math.PI],
    [30, 19, 2],
    [20, 14, Math.PI],
    [12, 11, Math.PI],
    [24, 20, 4.5],
  ])('lies at the spacing along the outer edge of a bend: radii %f and %f', (outer, inner, angle) => {
    const region = bend(outer, inner, angle);
    const { stitches, frontMm, backMm, perArea, breaks } = worked('satin', region, radialField(0, 0), {
      from: 'edge',
    });
    const spans = (angle * outer) / SPACING;
    expect(Math.abs(stitches / spans - 1)).toBeLessThan(0.03);
    // Full spans on radii r and k: 2r / (r + k) times area over spacing.
    expect(Math.abs(perArea / ((2 * outer) / (outer + inner)) - 1)).toBeLessThan(0.02);
    expect(Math.abs(frontMm / (spans * (outer - inner)) - 1)).toBeLessThan(0.03);
    // Behind, each span goes back to the first side: as long as in front, a little aslant.
    expect(backMm / frontMm).toBeGreaterThan(0.97);
    expect(backMm / frontMm).toBeLessThan(1.1);
    expect(breaks).toBeLessThanOrEqual(1);
    // From the middle the same spans are laid either way, and at most one thread more is begun for the other half.
    const either = worked('satin', region, radialField(0, 0), { from: 'middle' });
    expect(either.stitches).toBe(stitches);
    expect(either.frontMm).toBeCloseTo(frontMm, 3);
    expect(either.breaks).toBeLessThanOrEqual(breaks + 1);
    const [x, y] = either.first;
    expect(Math.abs(Math.atan2(-y, x) / angle - 0.5)).toBeLessThan(0.02);
  });

  it('has no middle to begin in all round a ring', () => {
    const ring: Region = [bend(20, 14, 2 * Math.PI)[0]!.slice(0, 242), bend(20, 14, 2 * Math.PI)[0]!.slice(242)];
    const [edge, middle] = (['edge', 'middle'] as const).map((from) =>
      worked('satin', ring, radialField(0, 0), { from }),
    );
    expect(middle).toEqual(edge);
  });

  it.each([
    [10, 5, 2],
    [10, 2, Math.PI / 2],
    [14, 1, Math.PI / 2],
    [9, 3, 5],
  ])('stops short in turn where the inner edge is too narrow for all: radii %f and %f', (outer, inner, angle) => {
    const region = bend(outer, inner, angle);
    const { perArea, share, mostRuns, spansMm } = worked('satin', region, radialField(0, 0));
    expect(perArea).toBeGreaterThan(1);
    expect(perArea).toBeLessThanOrEqual(1.25);
    expect(share).toBeGreaterThan(0.97);
    expect(mostRuns).toBeLessThanOrEqual(3);
    // Every second span goes all the way, or nearly.
    const short = spansMm.filter((mm) => mm < 0.9 * (outer - inner)).length / spansMm.length;
    expect(short).toBeGreaterThan(0.3);
    expect(short).toBeLessThan(0.85);
  });

  it('follows the middle line of a bend as it follows its centre', () => {
    for (const [outer, inner, angle] of [
      [30, 19, Math.PI],
      [20, 14, 2],
      [12, 11, 3],
    ] as const) {
      const region = bend(outer, inner, angle);
      const { perArea, share, mostRuns } = worked('satin', region, across(region));
      expect(perArea).toBeGreaterThan(1);
      expect(perArea).toBeLessThanOrEqual(1.25);
      expect(share).toBeGreaterThan(0.97);
      expect(mostRuns).toBeLessThanOrEqual(3);
    }
  });

  it('runs to a point without piling up on it', () => {
    const disc = [circle(9)];
    for (const [x, y] of [
      [0, 0],
      [6, 0],
      [9, 0],
      [20, 5],
    ] as const) {
      const { perArea, share, mostRuns } = worked('satin', disc, radialField(x, y));
      expect(perArea).toBeLessThanOrEqual(1.3);
      expect(share).toBeGreaterThan(0.97);
      expect(mostRuns).toBeLessThanOrEqual(3);
    }
  });

  it('takes area over spacing where it is straight, and hardly more on the halves of a leaf', () => {
    for (const region of [[circle(9)], leaf(40, 6), [rectangle(30, 8)]]) {
      expect(Math.abs(worked('satin', region, undefined).perArea - 1)).toBeLessThan(0.03);
    }
    for (const region of [leaf(40, 6), leaf(25, 5), leaf(40, 5, 6), leaf(30, 7, 4)]) {
      const { perArea, share } = worked('satin-leaf', region, undefined);
      expect(perArea).toBeGreaterThan(0.97);
      expect(perArea).toBeLessThanOrEqual(1.15);
      expect(share).toBeGreaterThan(0.96);
    }
  });
});

describe('the way behind', () => {
  const line = {
    points: Float64Array.from(Array.from({ length: 30 }, (_, i) => [i, Math.sin(i / 5)]).flat()),
    closed: false,
  };

  it.each(STITCHES.map(({ id }) => id))('%s: what a stitch returns by is thread, however long its spans are', (id) => {
    const { worksOn } = stitchKind(id);
    // On one piece without a corner there is hardly anywhere else to go: to its second thread, its second half, or its ties.
    for (const lengthMm of [14, 28]) {
      const shape: StitchShape = {
        region: worksOn === 'area' ? [rectangle(30, lengthMm)] : [],
        lines: worksOn === 'line' ? [line] : [],
        spots: worksOn === 'spot' ? Float64Array.of(0, 0) : new Float64Array(0),
      };
      const path = workStitch(id, shape, {}, { ...CONTEXT, angleRad: Math.PI / 2 });
      const { breaks } = measurePath(path, { ...MEASURE, travelMm: 10 });
      expect(breaks.length, `${lengthMm} mm`).toBeLessThanOrEqual(6);
    }
  });
});
