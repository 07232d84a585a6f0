import svgpath from 'svgpath';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '../measure/index.ts';
import { blob, circle, rectangle, wander } from '../testing/shapes.ts';
import { offset, subtract, subtractFromLines, unite } from './clip.ts';
import { clipToBox } from './clipToBox.ts';
import { flattenPath } from './flatten.ts';
import { inscribedCircle } from './inscribedCircle.ts';
import { lengthsOf, placeOn, reversedLine, wayRound } from './alongPolyline.ts';
import { compose, inverse, mapPoints } from './matrix.ts';
import { cellRows, scanCells, scanFrame } from './scanCells.ts';
import { isInside, polylineLength, regionArea, ringArea } from './shapes.ts';
import { scanRows } from './scanRows.ts';
import { simplifyRegion, WOBBLE_MM } from './simplify.ts';
import { convexHull, smallestCircle } from './smallestCircle.ts';
import { farthestCoordinate, movedPath, pathPoints, readPath, reversedPath } from './pathOps.ts';
import { runsOf, RunWalker, stationsAlong, tightestRadiusMm } from './stations.ts';

const SEEDS = Array.from({ length: 40 }, (_, i) => i + 1);

describe('smallestCircle', () => {
  /** The slow, obvious way: the smallest of all circles through two or three points that hold the rest. */
  function byTrying(points: readonly (readonly [number, number])[]): number {
    let best = Infinity;
    const holdsAll = (x: number, y: number, r: number): boolean =>
      points.every(([px, py]) => Math.hypot(px - x, py - y) <= r + 1e-9);
    for (const [ax, ay] of points) {
      for (const [bx, by] of points) {
        const r = Math.hypot(ax - bx, ay - by) / 2;
        if (r < best && holdsAll((ax + bx) / 2, (ay + by) / 2, r)) best = r;
        for (const [cx, cy] of points) {
          const d = 2 * (ax * (by - cy) + bx * (cy - ay) + cx * (ay - by));
          if (Math.abs(d) < 1e-9) continue;
          const [a2, b2, c2] = [ax * ax + ay * ay, bx * bx + by * by, cx * cx + cy * cy];
          const x = (a2 * (by - cy) + b2 * (cy - ay) + c2 * (ay - by)) / d;
          const y = (a2 * (cx - bx) + b2 * (ax - cx) + c2 * (bx - ax)) / d;
          const radius = Math.hypot(ax - x, ay - y);
          if (radius < best && holdsAll(x, y, radius)) best = radius;
        }
      }
    }
    return best;
  }

  it.each(SEEDS.slice(0, 25))('agrees with trying every circle (seed %i)', (seed) => {
    const random = seededRandom(seed);
    const points = Array.from({ length: 12 }, () => [random.between(-50, 50), random.between(-9, 9)] as const);
    const found = smallestCircle([Float64Array.from(points.flat())])!;
    expect(found.r).toBeCloseTo(byTrying(points), 6);
  });

  it('holds for one point, two points and none', () => {
    expect(smallestCircle([Float64Array.of(3, 4)])).toEqual({ x: 3, y: 4, r: 0 });
    // Far out, and all but on a line: found all the same.
    const random = seededRandom(4);
    for (let i = 0; i < 200; i++) {
      const far = 10 ** random.between(0, 6);
      const places = Array.from(
        { length: 12 },
        (_, k) => (k === 0 ? far : 0) + random.between(-1, 1) * (k % 2 ? 40 : 1e-4),
      );
      const { x, y, r } = smallestCircle([Float64Array.from(places)])!;
      for (let k = 0; k < places.length; k += 2) {
        expect(Math.hypot(places[k]! - x, places[k + 1]! - y)).toBeLessThanOrEqual(r * (1 + 1e-6) + 1e-6);
      }
    }
    expect(smallestCircle([Float64Array.of(0, 0, 6, 8)])).toEqual({ x: 3, y: 4, r: 5 });
    expect(smallestCircle([])).toBeNull();
  });
});

describe('scanCells', () => {
  it.each(SEEDS)('covers a region once: rows times pitch give its area (seed %i)', (seed) => {
    const region = blob(seed);
    const random = seededRandom(seed);
    const cells = scanCells(region, scanFrame(random.between(0, Math.PI)));
    let covered = 0;
    for (const cell of cells) {
      const rows = cellRows(cell, 0.02, true);
      const pitch = (cell.bottomV - cell.topV) / (rows.length / 3);
      for (let i = 0; i < rows.length; i += 3) covered += (rows[i + 1]! - rows[i]!) * pitch;
    }
    expect(covered / regionArea(region)).toBeCloseTo(1, 3);
  });

  it.each(SEEDS)('lays every row inside the region (seed %i)', (seed) => {
    const region = blob(seed);
    const frame = scanFrame(seed);
    for (const cell of scanCells(region, frame)) {
      const rows = cellRows(cell, 0.7, false);
      for (let i = 0; i < rows.length; i += 3) {
        const [u, v] = [(rows[i]! + rows[i + 1]!) / 2, rows[i + 2]!];
        expect(isInside(region, u * frame.ux - v * frame.uy, u * frame.uy + v * frame.ux)).toBe(true);
      }
    }
  });

  it('makes one cell of a convex shape and four of a ring', () => {
    expect(scanCells([circle(5)], scanFrame(0.3))).toHaveLength(1);
    expect(scanCells(unite([circle(9), circle(4)], 'evenodd'), scanFrame(0.3))).toHaveLength(4);
  });
});

describe('cutting', () => {
  it.each(SEEDS.slice(0, 12))('what is cut off and what is left add up (seed %i)', (seed) => {
    const region = blob(seed);
    const cover = [circle(6, 4, 2)];
    const left = regionArea(subtract(region, cover));
    const both = regionArea(unite([...region, ...cover], 'nonzero'));
    expect(left + regionArea(cover)).toBeCloseTo(regionArea(region).valueOf() >= 0 ? both : NaN, 1);
  });

  it('cuts lines where they go behind, and leaves others whole', () => {
    const line = { points: Float64Array.of(-10, 0, 10, 0), closed: false };
    const pieces = subtractFromLines([line], [circle(4)]);
    expect(pieces).toHaveLength(2);
    expect(pieces.reduce((sum, piece) => sum + polylineLength(piece), 0)).toBeCloseTo(12, 1);
    expect(subtractFromLines([line], [circle(4, 0, 20)])).toEqual([line]);
    const ring = { points: circle(5), closed: true };
    expect(subtractFromLines([ring], [circle(3, 5, 0)])).toHaveLength(1);
  });

  it('does not write into what it is given', () => {
    const [region, cover] = [blob(3), [circle(6, 4, 2)]];
    const before = JSON.stringify([region.map((ring) => [...ring]), [...cover[0]!]]);
    subtract(region, cover);
    offset(region, 1);
    simplifyRegion(region, 0.1);
    inscribedCircle(region);
    expect(JSON.stringify([region.map((ring) => [...ring]), [...cover[0]!]])).toBe(before);
  });

  it.each(SEEDS.slice(0, 12))('keeps inside a box just what is inside (seed %i)', (seed) => {
    const line = wander(seed);
    const box = { minX: -4, minY: -6, maxX: 5, maxY: 3 };
    const kept = clipToBox(line, box).reduce((sum, points) => sum + polylineLength({ points, closed: false }), 0);
    let sampled = 0;
    const step = 0.01;
    for (const run of runsOf(line)) {
      const stations = stationsAlong(run, step, 0);
      for (let i = 0; i + 1 < stations.length; i++) {
        const at = (stations[i]! + stations[i + 1]!) / 2;
        const edge = run.lengths.findIndex((length) => length >= at);
        const share = (at - run.lengths[edge - 1]!) / (run.lengths[edge]! - run.lengths[edge - 1]!);
        const mix = (k: number): number =>
          run.points[2 * edge - 2 + k]! * (1 - share) + run.points[2 * edge + k]! * share;
        const [x, y] = [mix(0), mix(1)];
        if (x > box.minX && x < box.maxX && y > box.minY && y < box.maxY) sampled += stations[i + 1]! - stations[i]!;
      }
    }
    expect(kept).toBeCloseTo(sampled, 0);
  });
});

describe('a path turned round', () => {
  it('runs through the same places from its end to its start, and turned twice is as it was', () => {
    for (const seed of SEEDS) {
      const data = someCurve(seed);
      const [there, back] = [flattenPath(data, 0.01), flattenPath(reversedPath(data), 0.01)];
      const again = flattenPath(reversedPath(reversedPath(data)), 0.01);
      expect(back.length).toBe(there.length);
      there.forEach((run, i) => {
        const [turned, twice] = [back[i]!, again[i]!];
        expect(turned.closed).toBe(run.closed);
        expect(Math.abs(polylineLength(turned) - polylineLength(run))).toBeLessThan(0.05);
        expect(polylineLength(twice)).toBeCloseTo(polylineLength(run), 6);
        const ends = ({ points }: typeof run): number[] => [points[0]!, points[1]!, points.at(-2)!, points.at(-1)!];
        if (run.closed) return expect(Math.abs(ringArea(turned.points) + ringArea(run.points))).toBeLessThan(0.5);
        // A single stretch that was closed runs there and back: it has no direction.
        if (run.points.length === 4) return;
        const [ax, ay, bx, by] = ends(run);
        ends(turned).forEach((value, k) => expect(value).toBeCloseTo([bx, by, ax, ay][k]!, 6));
      });
    }
  });
});

/** Path data of every command, absolute and relative, with fixed seeds. */
function someCurve(seed: number): string {
  const random = seededRandom(seed);
  const n = (): string => random.between(-40, 40).toFixed(2);
  const commands = [
    () => `L${n()} ${n()}`,
    () => `h${n()}`,
    () => `V${n()}`,
    () => `c${n()} ${n()} ${n()} ${n()} ${n()} ${n()}`,
    () => `S${n()} ${n()} ${n()} ${n()}`,
    () => `q${n()} ${n()} ${n()} ${n()}`,
    () => `T${n()} ${n()}`,
    () => `a12 7 ${n()} ${random.next() < 0.5 ? 1 : 0} 1 ${n()} ${n()}`,
    () => `Zm${n()} ${n()}`,
  ];
  const body = Array.from({ length: 12 }, () => commands[Math.floor(random.next() * commands.length)]!());
  return `M${n()} ${n()}${body.join('')}l3 4`;
}

/** How far the corners of one polyline lie off another, at the most. */
function farthestOff(points: Float64Array, line: Float64Array): number {
  let most = 0;
  for (let i = 0; i < points.length; i += 2) {
    let nearest = Infinity;
    for (let k = 0; k < line.length; k += 2) {
      const n = (k + 2) % line.length;
      const [dx, dy] = [line[n]! - line[k]!, line[n + 1]! - line[k + 1]!];
      const [px, py] = [points[i]! - line[k]!, points[i + 1]! - line[k + 1]!];
      const t = Math.min(1, Math.max(0, (px * dx + py * dy) / (dx * dx + dy * dy || 1)));
      nearest = Math.min(nearest, Math.hypot(px - t * dx, py - t * dy));
    }
    most = Math.max(most, nearest);
  }
  return most;
}

describe('paths', () => {
  it.each(Array.from({ length: 25 }, (_, i) => i + 1))(
    'moved lie where the path library puts them (seed %i)',
    (seed) => {
      const matrix = [0.8, 0.6, -0.6, 0.8, 12.5, -3] as const;
      const ours = flattenPath(movedPath(someCurve(seed), matrix, 6), 0.01);
      const theirs = flattenPath(
        svgpath(someCurve(seed))
          .matrix([...matrix])
          .toString(),
        0.01,
      );
      expect(ours).toHaveLength(theirs.length);
      // Curves may be divided elsewhere: each corner of one lies on the other, as far as chords do.
      ours.forEach((run, i) => {
        expect(run.closed).toBe(theirs[i]!.closed);
        expect(farthestOff(run.points, theirs[i]!.points)).toBeLessThan(0.03);
        expect(farthestOff(theirs[i]!.points, run.points)).toBeLessThan(0.03);
      });
    },
  );

  it.each([1, 2, 3, 4, 5])(
    'lie within the hull of their points, and reach no further than the farthest (seed %i)',
    (seed) => {
      const data = someCurve(seed);
      const hull = convexHull([pathPoints(data)]);
      const most = farthestCoordinate(data);
      for (const { points } of flattenPath(data, 0.05)) {
        for (let i = 0; i < points.length; i += 2) {
          expect(Math.max(Math.abs(points[i]!), Math.abs(points[i + 1]!))).toBeLessThanOrEqual(most + 1e-6);
          hull.forEach((corner, k) => {
            const next = hull[(k + 1) % hull.length]!;
            const side =
              (next.x - corner.x) * (points[i + 1]! - corner.y) - (next.y - corner.y) * (points[i]! - corner.x);
            expect(side).toBeGreaterThan(-1e-6);
          });
        }
      }
    },
  );

  it.each([1, 2, 3, 4, 5, 6])('that were moved are known as what their text says (seed %i)', (seed) => {
    const moved = movedPath(someCurve(seed), [-1.7, 0.4, 0.9, 2.1, 5.123, -80], 3);
    // A space more makes it another text, which is read from the beginning.
    expect(flattenPath(moved, 0.01)).toEqual(flattenPath(`${moved} `, 0.01));
    expect(pathPoints(moved)).toEqual(pathPoints(`${moved} `));
  });

  it('written here are read to the same bits as any path data is, and nothing else is taken for them', () => {
    const asAny = (data: string): number[] => {
      const out: number[] = [];
      svgpath(data)
        .abs()
        .iterate(([command, ...numbers]) => {
          out.push({ M: 0, L: 1, C: 2, Z: 3 }[command as string]!, ...(numbers as unknown as number[]));
        });
      return out;
    };
    let read = 0;
    for (let seed = 1; seed <= 40; seed++) {
      const data = movedPath(someCurve(seed), [0.371, 0.2, -0.3, 0.41, 1 / seed, -7], 1 + (seed % 9));
      expect([...readPath(data)], data).toEqual(asAny(data));
      read += data.length;
    }
    expect(read).toBeGreaterThan(2000);
    // What only looks so goes to the parser: more numbers than one command takes, exponents, too many digits, no move first.
    for (const data of [
      'M1 2 3 4',
      'M1 2L3 4 5 6',
      'M1e2 3L4 5',
      'M1 2L0.12345678901234567 4',
      'M1  2L3 4',
      'M.5 -.25L3. 4',
    ]) {
      expect([...readPath(data)], data).toEqual(asAny(data.replace(/M1 2 3 4/, 'M1 2L3 4')));
    }
    for (const data of ['L1 2', 'M1', 'M1 2L3', 'M- 2', 'Z', 'M1 2X']) expect(() => readPath(data), data).toThrow();
  });

  it('stay to the letter where nothing is to be done', () => {
    const data = 'M1 2H5.25Q7 8 9 2Z';
    expect(movedPath(data, [1, 0, 0, 1, 0, 0], 3)).toBe(data);
    expect(movedPath('m1 2h4', [1, 0, 0, 1, 0, 0], 3)).toBe('M1 2L5 2');
    expect(movedPath('M1.23456 2L3 4', [1, 0, 0, 1, 0, 0], 3)).toBe('M1.235 2L3 4');
  });
});

describe('flattenPath', () => {
  it('keeps circles round: area and outline of π r² and 2 π r', () => {
    const [run] = flattenPath('M-10 0a10 10 0 1 1 20 0a10 10 0 1 1 -20 0Z', 0.004);
    expect(regionArea([run!.points]) / (Math.PI * 100)).toBeCloseTo(1, 3);
    expect(polylineLength(run!) / (2 * Math.PI * 10)).toBeCloseTo(1, 3);
  });

  it('tells dots from lines and closed from open', () => {
    const runs = flattenPath('M1 1h0M2 2L5 5M0 0L4 0L4 4Z', 0.01);
    expect(runs.map((run) => [run.isDot, run.closed])).toEqual([
      [true, false],
      [false, false],
      [false, true],
    ]);
  });

  it('says what is wrong with text that is not path data', () => {
    expect(() => flattenPath('M0 0 Lx', 0.1)).toThrow(/SvgPath/);
  });
});

describe('lines', () => {
  it.each(SEEDS.slice(0, 12))('stations rise from 0 to the length of every run (seed %i)', (seed) => {
    for (const run of runsOf(wander(seed))) {
      const stations = stationsAlong(run, 2.5, 1);
      expect(stations[0]).toBe(0);
      expect(stations.at(-1)).toBe(run.lengthMm);
      stations.forEach((at, i) => i > 0 && expect(at).toBeGreaterThan(stations[i - 1]!));
    }
  });

  it('cuts a square at its corners and a circle nowhere but where it begins', () => {
    expect(runsOf({ points: rectangle(10, 10), closed: true }).map((run) => run.lengthMm)).toEqual([10, 10, 10, 10]);
    expect(runsOf({ points: circle(10), closed: true })).toHaveLength(1);
  });

  it('finds the radius of a circle', () => {
    expect(tightestRadiusMm({ points: circle(7), closed: true })).toBeCloseTo(7, 0);
    expect(tightestRadiusMm({ points: Float64Array.of(0, 0, 50, 0), closed: false })).toBe(Infinity);
  });

  it('composes maps in the order in which they are applied', () => {
    const turn = [0, 1, -1, 0, 0, 0] as const;
    expect([...mapPoints(compose([1, 0, 0, 1, 5, 0], turn), Float64Array.of(1, 0))]).toEqual([5, 1]);
  });

  it('finds the widest place of a ring half-way between its edges', () => {
    expect(inscribedCircle(unite([circle(10), circle(4)], 'evenodd'))!.r).toBeCloseTo(3, 0);
  });
});

describe('ways along a polyline', () => {
  it.each(SEEDS.slice(0, 10))('places agree with walking along it (seed %i)', (seed) => {
    const line = wander(seed);
    const lengths = lengthsOf(line.points);
    expect(lengths.at(-1)!).toBeCloseTo(polylineLength({ ...line, closed: false }), 9);
    const place = { x: 0, y: 0, dx: 0, dy: 0 };
    let before = 0;
    for (const run of runsOf({ ...line, closed: false })) {
      const walker = new RunWalker(run);
      for (let mm = 0; mm <= run.lengthMm; mm += 0.37) {
        walker.at(mm, place);
        const [x, y] = placeOn(line.points, lengths, before + mm);
        expect(Math.hypot(x - place.x, y - place.y)).toBeLessThan(1e-6);
      }
      before += run.lengthMm;
    }
  });

  it('a way walked back is as long and ends where it began; one round a ring closes it', () => {
    const line = wander(4);
    const back = reversedLine(line);
    expect(polylineLength(back)).toBeCloseTo(polylineLength(line), 9);
    expect(reversedLine(back)).toEqual(line);
    const ring = rectangle(3, 4);
    expect(lengthsOf(wayRound(ring)).at(-1)).toBe(14);
  });
});

describe('rows on one grid', () => {
  it.each(SEEDS.slice(0, 20))('hold the area of any shape, each within it (seed %i)', (seed) => {
    const region = blob(seed);
    const frame = scanFrame(seed * 0.7);
    const pitch = 0.2;
    let covered = 0;
    for (const run of scanRows(region, frame, pitch)) {
      for (let i = 0; i < run.length; i += 3) {
        const [u0, u1, v] = [run[i]!, run[i + 1]!, run[i + 2]!];
        covered += (u1 - u0) * pitch;
        const middle = (u0 + u1) / 2;
        expect(isInside(region, middle * frame.ux - v * frame.uy, middle * frame.uy + v * frame.ux)).toBe(true);
        // Within a run every row is the next one of the last.
        if (i > 0) expect(v - run[i - 1]!).toBeCloseTo(pitch, 9);
      }
    }
    expect(covered / regionArea(region)).toBeCloseTo(1, 1);
  });
});

describe('an outline of too many corners', () => {
  it('is thinned to within what a hand can follow', () => {
    const r = 20;
    const rough = circle(r, 0, 0, 40_000).map((value, i) => value * (1 + ((i >> 1) % 2 ? 0.05 / r : 0)));
    const [thin] = simplifyRegion([rough], WOBBLE_MM);
    expect(thin!.length / 2).toBeLessThan(1500);
    for (let i = 0; i < thin!.length; i += 2) {
      expect(Math.abs(Math.hypot(thin![i]!, thin![i + 1]!) - r)).toBeLessThan(0.15);
    }
    expect(regionArea([thin!]) / (Math.PI * r * r)).toBeCloseTo(1, 2);
  });
});

describe('the inverse of a map', () => {
  it.each(SEEDS.slice(0, 10))('takes every place back (seed %i)', (seed) => {
    const random = seededRandom(seed);
    const matrix = [1.2, random.between(-1, 1), random.between(-1, 1), -0.8, seed, -seed] as const;
    const places = Float64Array.from({ length: 20 }, () => random.between(-50, 50));
    mapPoints(inverse(matrix), mapPoints(matrix, places)).forEach((value, i) =>
      expect(value).toBeCloseTo(places[i]!, 8),
    );
    expect(() => inverse([1, 2, 2, 4, 0, 0])).toThrow(RangeError);
  });
});

describe('uniting', () => {
  it('ends on rings that are all but lines, however they run, and keeps what is none', () => {
    const random = seededRandom(9);
    const sliver = Float64Array.of(3.89, -59.874, -3.805, -59.873, -3.88, -59.874, -3.889, -59.874, -3.89, -59.874);
    expect(unite([sliver, circle(9)], 'nonzero')).toHaveLength(1);
    for (let i = 0; i < 300; i++) {
      const angle = random.between(0, 7);
      const flat = Float64Array.from({ length: 2 * (3 + Math.floor(random.next() * 6)) }, () => 0);
      for (let k = 0; k < flat.length; k += 2) {
        const [along, off] = [random.between(-90, 90), random.between(-0.001, 0.001)];
        flat[k] = along * Math.cos(angle) - off * Math.sin(angle);
        flat[k + 1] = along * Math.sin(angle) + off * Math.cos(angle);
      }
      expect(regionArea(unite([flat, circle(9)], 'nonzero'))).toBeCloseTo(regionArea([circle(9)]), 0);
    }
    // Ways there and back along a level edge, and a thin one down from it.
    const spiked = Float64Array.of(3.89, -59.874, -3.805, 3.14159, -3.88, -59.874, -3.889, -59.874, -3.89, -59.874);
    expect(regionArea(unite([spiked], 'nonzero'))).toBeCloseTo((7.77 * 63.016) / 2, 0);
    // A figure of eight has no area in sum, and two discs of it in truth.
    const eight = Float64Array.of(-5, -5, 5, 5, 5, -5, -5, 5);
    expect(regionArea(unite([eight], 'nonzero'))).toBeCloseTo(50, 1);
  });
});
