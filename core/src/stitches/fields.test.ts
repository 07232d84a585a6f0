import { describe, expect, it } from 'vitest';
import {
  distanceToOutline,
  guidedField,
  isInside,
  middleLine,
  placesOf,
  radialField,
  regionArea,
  subtract,
  unite,
  type DirectionField,
  type Polyline,
  type Region,
} from '../geometry/index.ts';
import { bundleDiameterMm, laidWidthMm, threadKind } from '../materials/index.ts';
import { coverage } from '../testing/coverage.ts';
import { blob, circle, rectangle } from '../testing/shapes.ts';
import {
  clothShowing,
  measurePath,
  Move,
  splitByShade,
  STITCHES,
  workStitch,
  type GivenParams,
  type StitchContext,
  type StitchId,
  type StitchPath,
} from './index.ts';
import { rowsAsLines } from './shared/rowsAsLines.ts';

const COTTON = threadKind('stranded-cotton');
const LAID = laidWidthMm(COTTON, 2);
const SEEDS = [1, 2, 3, 4, 5, 6, 7, 8];

function work(id: StitchId, region: Region, more: Partial<StitchContext> = {}, given: GivenParams = {}): StitchPath {
  const context = {
    laidMm: LAID,
    bundleMm: bundleDiameterMm(COTTON, 2),
    coreMm: 0.69,
    heightMm: 0.32,
    angleRad: 0.3,
    seed: 5,
  };
  return workStitch(id, { region, lines: [], spots: new Float64Array(0) }, given, { ...context, ...more });
}
const measured = (path: StitchPath) =>
  measurePath(path, {
    clothMm: 0.3,
    bundleMm: bundleDiameterMm(COTTON, 2),
    slack: 0.03,
    travelMm: 10,
    pace: { findSeconds: 0, care: 1 },
  }).quantities;

/** A half ring of the given width. */
function arch(outer: number, inner: number): Region {
  const half = (r: number, way: 1 | -1): number[] =>
    Array.from({ length: 61 }, (_, i) => (Math.PI * (way > 0 ? i : 60 - i)) / 60).flatMap((a) => [
      r * Math.cos(a),
      -r * Math.sin(a),
    ]);
  return [Float64Array.from([...half(outer, 1), ...half(inner, -1)])];
}
const SHAPES: readonly (readonly [name: string, region: Region])[] = [
  ['an arch', arch(20, 14)],
  ['a wedge', [Float64Array.of(0, 0, 20, -6, 20, 6)]],
  ['a disc', [circle(9)]],
  ['a ring', unite([circle(10), circle(4)], 'evenodd')],
  ...[3, 5, 8].map((seed) => [`blob ${seed}`, blob(seed)] as const),
];
const fieldsOf = (region: Region): readonly (readonly [name: string, field: DirectionField])[] => {
  const middle = middleLine(region)!;
  return [
    ['along', guidedField([middle], region)],
    ['across', guidedField([middle], region, Math.PI / 2)],
    ['radial', radialField(0, 0)],
  ];
};

describe('stitches that follow a field', () => {
  it.each(SHAPES)('cover %s as well as straight ones do, without piling up', (_name, region) => {
    for (const [way, field] of fieldsOf(region)) {
      for (const id of ['satin', 'brick', 'long-short', 'split-fill'] as const) {
        const { share, mostRuns } = coverage(work(id, region, { field }), region, LAID);
        expect(share, `${id} ${way}`).toBeGreaterThan(0.97);
        // Where rows draw together, the overlaps of two split stitches can fall into one cell.
        expect(mostRuns, `${id} ${way}`).toBeLessThanOrEqual(id === 'satin' || id === 'brick' ? 3 : 4);
      }
    }
  });

  it.each(SHAPES)('keep to their direction and stay within %s', (_name, region) => {
    for (const [way, field] of fieldsOf(region)) {
      for (const id of ['satin', 'brick', 'running-fill'] as const) {
        // A straight span along a line that bends cannot follow it: satin lies across.
        if (id === 'satin' && way === 'along') continue;
        const { codes, xy } = work(id, region, { field });
        const off: number[] = [];
        codes.forEach((code, i) => {
          if (code !== Move.down) return;
          const [ax, ay, bx, by] = [xy[2 * i - 2]!, xy[2 * i - 1]!, xy[2 * i]!, xy[2 * i + 1]!];
          for (const [x, y] of [
            [ax, ay],
            [bx, by],
          ] as const) {
            expect(isInside(region, x, y) || distanceToOutline(region, x, y) < LAID / 2, `${id} ${way}`).toBe(true);
          }
          const wanted = field.angleAt((ax + bx) / 2, (ay + by) / 2);
          // Radial fields turn about their point: close to it no straight stitch can follow.
          if (way === 'radial' && Math.hypot(ax + bx, ay + by) < 4) return;
          off.push(Math.abs(Math.sin(Math.atan2(-(by - ay), bx - ax) - wanted)));
        });
        off.sort((a, b) => a - b);
        expect(off[Math.floor(off.length * 0.9)]!, `${id} ${way}`).toBeLessThan(id === 'satin' ? 0.3 : 0.15);
      }
    }
  });

  it('follow the outline inward and leave no middle bare', () => {
    for (const [name, region] of SHAPES) {
      for (const id of ['split-fill', 'stem-fill', 'back-fill'] as const) {
        expect(
          coverage(work(id, region, { followsOutline: true }), region, LAID).share,
          `${id} on ${name}`,
        ).toBeGreaterThan(0.95);
      }
      const chains = work('chain-fill', region, { followsOutline: true });
      expect(clothShowing(chains, LAID, region), name).toBeLessThan(0.45);
    }
  });

  it('go round a hole and leave no ring of cloth, however wide the band round it is', () => {
    const spacingMm = 0.9;
    for (const wideMm of [1.5, 1.75, 2, 2.25, 2.5, 3, 3.75, 4, 4.25]) {
      const band = subtract([circle(6 + wideMm)], [circle(6)]);
      const { lines } = rowsAsLines(band, { angleRad: 0, followsOutline: true }, spacingMm);
      const radii = lines.map(({ points }) => Math.hypot(points[0]!, points[1]!)).sort((a, b) => a - b);
      const apart = radii.slice(1).map((radius, i) => radius - radii[i]!);
      expect(Math.max(...apart), `${wideMm} mm`).toBeLessThan(1.1 * spacingMm);
    }
  });

  it('follow the whole outline of an area on which something lies, and stop at what lies on it', () => {
    const [spacingMm, outline] = [0.9, [circle(12)]];
    const eye = circle(3).map((value, k) => (k % 2 === 0 ? value + 5 : value));
    const seen = subtract(outline, [eye]);
    const direction = { angleRad: 0, followsOutline: true };
    const radii = rowsAsLines(outline, direction, spacingMm).lines.map(({ points }) =>
      Math.hypot(points[0]!, points[1]!),
    );
    const { lines } = rowsAsLines(seen, { ...direction, outline }, spacingMm);
    let cut = 0;
    for (const { points, closed } of lines) {
      if (!closed) cut++;
      for (const [x, y] of placesOf(points)) {
        expect(Math.hypot(x - 5, y)).toBeGreaterThan(2.95);
        const off = Math.min(...radii.map((radius) => Math.abs(Math.hypot(x, y) - radius)));
        expect(off).toBeLessThan(spacingMm / 10);
      }
    }
    expect(cut).toBeGreaterThan(3);
    expect(coverage(work('stem-fill', seen, { followsOutline: true, outline }), seen, LAID).share).toBeGreaterThan(
      0.93,
    );
  });

  it('turn satin with a curved strip: every span crosses it, none is longer than the strip is wide', () => {
    const region = arch(20, 14);
    const { codes, xy } = work('satin', region, { field: guidedField([middleLine(region)!], region, Math.PI / 2) });
    const spans = [...codes].flatMap((code, i) =>
      code === Move.down ? [Math.hypot(xy[2 * i]! - xy[2 * i - 2]!, xy[2 * i + 1]! - xy[2 * i - 1]!)] : [],
    );
    expect(Math.max(...spans)).toBeLessThan(7);
    expect(spans.filter((span) => span > 5).length / spans.length).toBeGreaterThan(0.5);
  });

  it('average guides as axes: opposite strokes mean the same, and between two there is a smooth turn', () => {
    const stroke = (...points: number[]): Polyline => ({ points: Float64Array.from(points), closed: false });
    const region = [rectangle(20, 20)];
    const there = guidedField([stroke(0, 0, 0, 20), stroke(20, 0, 20, 20)], region);
    const back = guidedField([stroke(0, 20, 0, 0), stroke(20, 0, 20, 20)], region);
    const fan = guidedField([stroke(0, 0, 0, 20), stroke(20, 20, 14, 0)], region);
    for (const [x, y] of [
      [3, 4],
      [10, 10],
      [18, 2],
    ] as const) {
      expect(Math.abs(Math.sin(there.angleAt(x, y) - back.angleAt(x, y)))).toBeLessThan(1e-6);
      expect(Math.abs(Math.sin(there.angleAt(x, y) - Math.PI / 2))).toBeLessThan(1e-6);
      let before = fan.angleAt(0.5, y);
      for (let at = 1; at < 20; at += 0.5) {
        const now = fan.angleAt(at, y);
        expect(Math.abs(Math.sin(now - before))).toBeLessThan(0.1);
        before = now;
      }
    }
  });
});

describe('the middle line', () => {
  it('lies where the nearest outline is equally far on both sides, and knows the width there', () => {
    for (const [name, region] of SHAPES) {
      const middle = middleLine(region)!;
      for (let i = 8; i < middle.widthsMm.length - 8; i++) {
        const [x, y] = [middle.points[2 * i]!, middle.points[2 * i + 1]!];
        expect(isInside(region, x, y), name).toBe(true);
        expect(middle.widthsMm[i]!, name).toBeCloseTo(2 * distanceToOutline(region, x, y), 1);
      }
    }
    const strip = middleLine([rectangle(40, 4)])!;
    for (let i = 8; i < 40; i++) expect(strip.points[2 * i + 1]!).toBeCloseTo(2, 1);
  });

  it('turns with its shape, runs from end to end, and narrows towards its end', () => {
    const leaf = [Float64Array.from([0, 0, 6, -4, 14, -3.4, 24, 0, 14, 3.4, 6, 4])];
    const middle = middleLine(leaf)!;
    expect(middle.points[0]!).toBeLessThan(1);
    expect(middle.points.at(-2)!).toBeGreaterThan(23);
    const quarter = middle.widthsMm.length / 4;
    const mean = (widths: Float64Array): number => widths.reduce((sum, width) => sum + width, 0) / widths.length;
    expect(mean(middle.widthsMm.slice(0, quarter))).toBeGreaterThan(mean(middle.widthsMm.slice(-quarter)));
  });
});

describe('the rules of single stitches', () => {
  it.each(SEEDS)('leaves cover their shape (seed %i)', (seed) => {
    const region = [Float64Array.from(circle(1, 0, 0, 80), (v, i) => (i % 2 ? v * (3 + (seed % 4)) : v * (9 + seed)))];
    expect(coverage(work('satin-leaf', region), region, LAID).share).toBeGreaterThan(0.96);
    expect(clothShowing(work('fly-leaf', region), LAID, region)).toBeLessThan(0.1);
    const { frontMm, backMm } = measured(work('satin-leaf', region, {}, { spacingMm: 0.45 }));
    expect(((frontMm + backMm) * 0.45) / regionArea(region) / 2).toBeCloseTo(1, 0.7);
  });

  it('a side of a leaf that bulges is filled by extra straight stitches, whichever end is its tip', () => {
    const side = (height: number): number[] =>
      Array.from({ length: 40 }, (_, i) => [i * 0.6, height * Math.sin((Math.PI * i) / 39) ** 1.3]).flat();
    const backwards = (points: number[]): number[] =>
      points.map((_, i) => points[points.length - 2 - (i - (i % 2)) + (i % 2)]!);
    /** Straight stitches that lie wholly on one side of the vein. */
    const slipped = ({ codes, xy }: StitchPath, way: 1 | -1): number =>
      [...codes].filter((code, i) => {
        const isStraight = code === Move.down && codes[i - 1] === Move.up;
        return isStraight && xy[2 * i - 1]! * way > 0.4 && xy[2 * i + 1]! * way > 0.4;
      }).length;
    for (const vein of [Float64Array.of(0, 0, 23.4, 0), Float64Array.of(23.4, 0, 0, 0)]) {
      for (const [upper, lower, way] of [
        [4, 9, 1],
        [9, 4, -1],
      ] as const) {
        const region = [Float64Array.from([...side(-upper), ...backwards(side(lower))])];
        const path = work('fly-leaf', region, { vein: { points: vein, closed: false } });
        expect(clothShowing(path, LAID, region)).toBeLessThan(0.02);
        expect(slipped(path, way)).toBeGreaterThan(3);
      }
    }
  });

  it('a slender leaf of flies needs no stitch slipped in: its arms are its area over the spacing, each goes behind once, ties reach down its vein', () => {
    const edge = (way: 1 | -1): number[] =>
      Array.from({ length: 81 }, (_, i) => (way > 0 ? i : 80 - i) / 80).flatMap((t) => [
        40 * t,
        way * 12 * t * (1 - t),
      ]);
    const region = [Float64Array.from([...edge(1), ...edge(-1)])];
    const path = work('fly-leaf', region);
    // 40 × 6 mm of parabolas are 160 mm²; measured bare, without cloth and slack.
    const armsMm = regionArea(region) / (0.9 * LAID);
    const { frontMm, backMm } = measured(path);
    expect(frontMm / (armsMm + 40)).toBeGreaterThan(0.95);
    expect(frontMm / (armsMm + 40)).toBeLessThan(1.05);
    expect(backMm / armsMm).toBeGreaterThan(0.95);
    expect(backMm / armsMm).toBeLessThan(1.05);
    // Away from tip and foot there are arms and ties alone: no straight stitch lies wholly on one side of the vein.
    const aside = [...path.codes].filter((code, i) => {
      const [ax, ay, bx, by] = [path.xy[2 * i - 2]!, path.xy[2 * i - 1]!, path.xy[2 * i]!, path.xy[2 * i + 1]!];
      const isStraight = code === Move.down && path.codes[i - 1] === Move.up;
      return isStraight && ay * by > 0.1 && Math.min(ax, bx) > 6 && Math.max(ax, bx) < 34;
    });
    expect(aside).toHaveLength(0);
    expect(clothShowing(path, LAID, region)).toBeLessThan(0.02);
  });

  it.each([
    ['block-shading', 2, 0.2],
    ['romanian', 2.3, 0.15],
  ] as const)('%s takes about %f times area / spacing', (id, factor, tolerance) => {
    const region = [rectangle(40, 16)];
    const { frontMm, backMm } = measured(work(id, region, { angleRad: Math.PI / 2 }, { spacingMm: 0.45 }));
    expect(Math.abs(((frontMm + backMm) * 0.45) / 640 / factor - 1)).toBeLessThan(tolerance);
  });

  it('padding lifts the satin over it, and that costs thread', () => {
    const region = [circle(4)];
    const flat = work('satin', region);
    const raised = work('satin-padded', region, {}, { layers: 2, edge: 'none' });
    const lifts = [...raised.codes].flatMap((code, i) => (code === Move.lift ? [raised.xy[2 * i]!] : []));
    expect(lifts[0]!).toBeGreaterThan(0);
    expect(Math.max(...lifts)).toBeGreaterThan(lifts[0]! * 1.5);
    const layers = [1, 2, 3].map(
      (n) => measured(work('satin-padded', region, {}, { layers: n, edge: 'none' })).threadMm,
    );
    expect(layers[0]!).toBeGreaterThan(measured(flat).threadMm * 1.3);
    expect(layers[2]!).toBeGreaterThan(layers[1]!);
    expect(layers[1]!).toBeGreaterThan(layers[0]!);
  });

  it('a bullion has one span in front and one behind: the first run is drawn up into its wraps', () => {
    const path = workStitch(
      'bullion',
      { region: [], lines: [], spots: Float64Array.of(0, 0) },
      { lengthMm: 12, wraps: 20 },
      { laidMm: LAID, bundleMm: 0.45, coreMm: 0.69, heightMm: 0.3, angleRad: 0, seed: 1 },
    );
    const { frontMm, backMm, wrapMm, throughMm } = measured(path);
    expect(frontMm).toBeCloseTo(12, 4);
    expect(backMm).toBeCloseTo(12, 4);
    expect(wrapMm).toBeCloseTo(20 * Math.PI * (0.69 + bundleDiameterMm(COTTON, 2)), 3);
    // Up, down, up, down.
    expect(throughMm).toBeCloseTo(4 * 0.3, 6);
  });

  it('bullions take the wraps that cover their span', () => {
    const bundleMm = bundleDiameterMm(COTTON, 2);
    const context = { laidMm: LAID, bundleMm, coreMm: 0.69, heightMm: 0.3, angleRad: 0, seed: 1 };
    const { codes, xy } = workStitch(
      'bullion',
      { region: [], lines: [], spots: Float64Array.of(0, 0) },
      { lengthMm: 8 },
      context,
    );
    const at = codes.indexOf(Move.wrap);
    expect(xy[2 * at]!).toBe(Math.round(8 / (0.85 * bundleMm)));
  });

  it('daisy rings lie evenly from the top for any number, one beside the last all the way round', () => {
    const context = { laidMm: LAID, bundleMm: 0.45, coreMm: 0.69, heightMm: 0.3, angleRad: 0, seed: 1 };
    for (const petals of [4, 5, 7, 8, 12, 13, 18]) {
      const { codes, xy } = workStitch(
        'daisy-ring',
        { region: [], lines: [], spots: Float64Array.of(0, 0) },
        { petals, innerMm: 3 },
        context,
      );
      /** Turns from the top, anticlockwise. */
      const feet = [...codes].flatMap((code, i) => {
        const r = Math.hypot(xy[2 * i]!, xy[2 * i + 1]!);
        if (code !== Move.up || Math.abs(r - 3) > 0.01) return [];
        return [(Math.atan2(-xy[2 * i + 1]!, xy[2 * i]!) / (2 * Math.PI) + 0.75 + 1e-9) % 1];
      });
      expect(feet).toHaveLength(petals);
      feet.forEach((turn, k) => expect(turn).toBeCloseTo(k / petals, 6));
    }
  });

  it('shades follow each other along the rows, and together they are the whole path', () => {
    const region = [rectangle(12, 30)];
    for (const id of ['long-short', 'block-shading'] as const) {
      const path = work(id, region, { angleRad: -Math.PI / 2, shades: { count: 4, borders: [] } });
      const parts = splitByShade(path, 4);
      const ups = (p: StitchPath): number => [...p.codes].filter((code) => code === Move.up).length;
      expect(parts.reduce((sum, part) => sum + ups(part), 0)).toBe(ups(path));
      const middles = parts.map(({ codes, xy }) => {
        const ys = [...codes].flatMap((code, i) => (code === Move.down ? [(xy[2 * i + 1]! + xy[2 * i - 1]!) / 2] : []));
        return ys.reduce((sum, y) => sum + y, 0) / ys.length;
      });
      for (let k = 1; k < 4; k++) expect(middles[k]!).toBeGreaterThan(middles[k - 1]! + 4);
    }
    const border: Polyline = { points: Float64Array.of(-1, 8, 13, 8), closed: false };
    const path = work('long-short', region, { angleRad: -Math.PI / 2, shades: { count: 2, borders: [border] } });
    path.starts.forEach((start, k) => {
      const y = (path.xy[2 * start + 1]! + path.xy[2 * start + 3]!) / 2;
      expect(path.shades[k]).toBe(y > 8 ? 1 : 0);
    });
  });
});

describe('hard outlines', () => {
  const jagged = (corners: number, r: number, height: number): Region => [
    Float64Array.from(circle(r, 0, 0, corners), (v, i) => v * (1 + ((i >> 1) % 2 ? height / r : 0))),
  ];
  const HARD: readonly (readonly [name: string, region: Region])[] = [
    ['a sliver', [Float64Array.of(0, 0, 30, 0.02, 30, 0)]],
    ['a crossing outline', unite([Float64Array.of(0, 0, 20, 20, 20, 0, 0, 20)], 'evenodd')],
    ['a hole that touches the edge', unite([rectangle(20, 20), rectangle(6, 6)], 'evenodd')],
    ['a hundredth of a square millimetre', [rectangle(0.1, 0.1)]],
    ['repeated corners', [Float64Array.of(0, 0, 0, 0, 10, 0, 10, 0, 10, 10, 10, 10, 0, 10)]],
    ['fur of 300 hairs', jagged(600, 14, 0.9)],
    ['fifty thousand corners', jagged(50_000, 14, 0.12)],
  ];
  const AREA_STITCHES = STITCHES.filter(({ worksOn }) => worksOn === 'area');

  it.each(HARD)('%s: a sound path in every filling and direction', (_name, region) => {
    const middle = middleLine(region);
    const ways: Partial<StitchContext>[] = [{}, { followsOutline: true }, { field: radialField(3, 3) }];
    if (middle) ways.push({ field: guidedField([middle], region) });
    for (const { id } of AREA_STITCHES) {
      for (const way of ways) {
        const path = work(id, region, way);
        const { frontMm, threadMm } = measured(path);
        expect(Number.isFinite(frontMm + threadMm), id).toBe(true);
        for (const value of path.xy) if (!Number.isFinite(value)) expect.fail(`${id}: ${value}`);
      }
    }
  });

  it.each(HARD.slice(-2))('%s: filled as well as a smooth outline', (_name, region) => {
    const smooth = [circle(14)];
    for (const id of ['satin', 'split-fill', 'brick', 'french-fill', 'satin-padded'] as const) {
      const [rough, even] = [work(id, region), work(id, smooth)].map((path) => measured(path).threadMm);
      expect(rough! / even!, id).toBeGreaterThan(0.85);
      expect(rough! / even!, id).toBeLessThan(1.35);
    }
    expect(coverage(work('split-fill', region), smooth, LAID).share).toBeGreaterThan(0.95);
  });
});
