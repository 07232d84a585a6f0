import { expect, it } from 'vitest';
import {
  guidedField,
  middleLine,
  radialField,
  regionArea,
  subtract,
  type DirectionField,
  type Region,
} from '../geometry/index.ts';
import { bundleDiameterMm, laidWidthMm, threadKind } from '../materials/index.ts';
import { seededRandom } from '../measure/index.ts';
import { blob, circle, rectangle, turnedBy } from '../testing/shapes.ts';
import { measurePath, STITCHES, workStitch, type MeasuredPath, type StitchId } from './index.ts';

const COTTON = threadKind('stranded-cotton');
const [LAID, BUNDLE] = [laidWidthMm(COTTON, 1), bundleDiameterMm(COTTON, 1)];
const CARRIED = 10;
const FILLINGS = STITCHES.filter(({ worksOn }) => worksOn === 'area');
const WAYS = ['straight', 'along', 'across', 'radial'] as const;
/** A back stitch goes forward behind by two of its lengths for each in front, whatever the order of its rows. */
const FARTHER_BEHIND: Readonly<Record<string, number>> = { 'back-fill': 2 };

/** A shape with bends; most with a hole, many with a deep bay. */
function shapeOf(seed: number): Region {
  const random = seededRandom(seed);
  const size = random.between(0.6, 2.2);
  let region: Region = blob(seed).map((ring) => ring.map((value) => value * size));
  if (random.next() < 0.6) {
    region = subtract(region, [circle(random.between(1.5, 5), random.between(-6, 6), random.between(-6, 6))]);
  }
  if (random.next() < 0.5) {
    const bay = turnedBy(rectangle(random.between(2, 5), 40), random.between(0, 360));
    region = subtract(region, [bay.map((value, i) => (i % 2 === 0 ? value : value + 18))]);
  }
  return region;
}

function fieldOf(way: (typeof WAYS)[number], region: Region): DirectionField | undefined {
  if (way === 'straight') return undefined;
  if (way === 'radial') return radialField(0, 0);
  const middle = middleLine(region);
  return middle ? guidedField([middle], region, way === 'across' ? Math.PI / 2 : 0) : undefined;
}

/** A filling worked and measured, in one strand of cotton. */
function worked(id: StitchId, region: Region, seed: number, field: DirectionField | undefined): MeasuredPath {
  const context = { laidMm: LAID, bundleMm: BUNDLE, coreMm: 0.69, heightMm: 0.32, angleRad: seed, seed, field };
  const path = workStitch(id, { region, lines: [], spots: new Float64Array(0) }, {}, context);
  const pace = { findSeconds: 0, care: 1 };
  return measurePath(path, { clothMm: 0.3, bundleMm: BUNDLE, slack: 0, travelMm: CARRIED, pace });
}

it('what lies behind a filling is at most 1.3 of its front, ways to other places aside: 200 shapes with holes, bays and bends', () => {
  let tried = 0;
  for (let seed = 1; tried < 200; seed++) {
    const region = shapeOf(seed);
    if (regionArea(region) < 20) continue;
    const kind = FILLINGS[tried % FILLINGS.length]!;
    const way = kind.hasDirection ? WAYS[Math.floor(tried / FILLINGS.length) % WAYS.length]! : 'straight';
    const { quantities, carriedMm } = worked(kind.id, region, seed, fieldOf(way, region));
    tried++;
    if (quantities.frontMm === 0) continue;
    const most = FARTHER_BEHIND[kind.id] ?? 1.3;
    expect((quantities.backMm - carriedMm) / quantities.frontMm, `${kind.id} ${way} ${seed}`).toBeLessThanOrEqual(most);
  }
});

it('a broad bend shaded along itself takes its stitches and their returns, and little more', () => {
  // A third of a ring between two radii; rows lie 0.9 laid widths apart, so that the front is about area / spacing, with splits and a crowded rim.
  const arc = (r: number, back: boolean): number[] =>
    Array.from({ length: 61 }, (_, i) => (Math.PI * (back ? 60 - i : i)) / 90).flatMap((a) => [
      r * Math.cos(a),
      -r * Math.sin(a),
    ]);
  const region: Region = [Float64Array.from([...arc(40, false), ...arc(10, true)])];
  expect(regionArea(region)).toBeCloseTo((Math.PI * (40 ** 2 - 10 ** 2)) / 3, -1);
  const { quantities, breaks } = worked('long-short', region, 5, guidedField([middleLine(region)!], region));
  const frontMm = regionArea(region) / (0.9 * LAID);
  expect(quantities.frontMm / frontMm).toBeGreaterThan(0.9);
  expect(quantities.frontMm / frontMm).toBeLessThan(1.45);
  expect(quantities.backMm).toBeLessThan(1.3 * quantities.frontMm);
  // Four times a metre at the most: a length of half a metre ends about as often.
  expect(breaks.length / (quantities.threadMm / 1000)).toBeLessThan(4);
});

it.each([
  ['out of the middle', radialField(0, 0)],
  ['out of a place below', radialField(0, -30)],
  ['along two bent strokes', 'bent'],
] as const)('painting %s is as dense as painting straight, in stitches as long as they may be', (_, lie) => {
  const bent = [
    { points: Float64Array.of(-20, 0, 0, -10, 20, 0), closed: false },
    { points: Float64Array.of(-20, 15, 0, 5, 20, 15), closed: false },
  ];
  for (const region of [[circle(15)], [circle(25)], subtract([circle(20)], [circle(7)])]) {
    const field = lie === 'bent' ? guidedField(bent, region) : lie;
    const { frontMm, stitches } = worked('needle-painting', region, 5, field).quantities;
    // How often the thread, as wide as it lies, would cover the area.
    const times = (frontMm * LAID) / regionArea(region);
    expect(times).toBeGreaterThan(1.1);
    expect(times).toBeLessThan(1.7);
    expect(frontMm / stitches).toBeGreaterThan(3);
    expect(frontMm / stitches).toBeLessThan(9);
  }
});
