import { distanceToOutline, isInside, placesOf } from '../../geometry/index.ts';
import { seededRandom } from '../../measure/index.ts';
import { pointsOf, type PlacedShape } from '../placedShape.ts';
import { circlePath, dots, n, polar, polyline, type Helper, type HelperParam } from './helper.ts';
import * as say from '../words.ts';

const mm = (name: string, usual: number, min: number, max: number, step = 1): HelperParam => ({
  name,
  unit: 'mm',
  usual,
  min,
  max,
  step,
});
const count = (name: string, usual: number, min: number, max: number): HelperParam => ({
  name,
  unit: '',
  usual,
  min,
  max,
  step: 1,
});
const range = (length: number): number[] => Array.from({ length }, (_, i) => i);

const rosette: Helper = {
  id: 'rosette',
  name: 'Petals round a ring',
  purpose: 'One ring inside another, with quarter marks and petals spread evenly between them.',
  params: {
    petals: count('Petals', 8, 3, 36),
    innerMm: mm('Inner ring, radius', 6, 1, 200),
    outerMm: mm('Outer ring, radius', 22, 2, 300),
    widthMm: mm('Petal width', 8, 1, 150, 0.5),
  },
  draw({ petals = 8, innerMm = 6, outerMm = 22, widthMm = 8 }) {
    const reach = Math.max(outerMm, innerMm + 1);
    // Two cubics from the inner ring to a tip; a cubic goes three quarters of the way to its control points.
    const petal = (turns: number): string => {
      const at = (along: number, aside: number): string => {
        const [x, y] = polar(innerMm + (reach - innerMm) * along, turns);
        const [dx, dy] = polar(aside, turns + 0.25);
        return `${n(x + dx)} ${n(y + dy)}`;
      };
      const half = (widthMm / 2) * (4 / 3);
      return `M${at(0, 0)}C${at(0.25, half)} ${at(0.75, half)} ${at(1, 0)}C${at(0.75, -half)} ${at(0.25, -half)} ${at(0, 0)}Z`;
    };
    const compass = range(petals).map((i) => polar(reach, i / petals));
    return [
      { name: 'Outer ring', kind: 'line', path: circlePath(reach), strokeMm: 0.6 },
      { name: 'Inner ring', kind: 'line', path: circlePath(innerMm), strokeMm: 0.6 },
      ...range(petals).map((i) => ({
        name: say.petalName(i + 1),
        kind: 'area' as const,
        path: petal(i / petals),
        alike: 'petal',
      })),
      { name: 'Quarter marks', kind: 'spot', path: dots(compass) },
    ];
  },
};

const borderRings: Helper = {
  id: 'border-rings',
  name: 'Border circles',
  purpose: 'One to five circles round the design, evenly spaced.',
  params: {
    radiusMm: mm('Radius', 55, 3, 400),
    rings: count('Circles', 2, 1, 5),
    gapMm: mm('Spacing', 2.5, 0.5, 40, 0.5),
  },
  draw({ radiusMm = 55, rings = 2, gapMm = 2.5 }) {
    return range(rings)
      .filter((i) => radiusMm - i * gapMm > 0.5)
      .map((i) => ({
        name: say.borderName(i + 1, rings),
        kind: 'line',
        path: circlePath(radiusMm - i * gapMm),
        strokeMm: 0.6,
      }));
  },
};

const scallops: Helper = {
  id: 'scallops',
  name: 'Scallops',
  purpose: 'A round edge of even scallops, as for a buttonholed border.',
  params: {
    radiusMm: mm('Radius', 50, 5, 400),
    scallops: count('Scallops', 18, 3, 120),
    depthMm: mm('Depth', 5, 0.5, 60, 0.5),
  },
  draw({ radiusMm = 50, scallops: scallopCount = 18, depthMm = 5 }) {
    const foot = Math.max(1, radiusMm - depthMm);
    const points = range(scallopCount).map((i) => polar(foot, i / scallopCount));
    // The bulge reaches the radius: a cubic comes three quarters as far out as its control points.
    const out = foot + (4 / 3) * depthMm;
    const arcs = range(scallopCount).map((i) => {
      const control = (share: number): string =>
        polar(out, (i + share) / scallopCount)
          .map(n)
          .join(' ');
      return `C${control(0.12)} ${control(0.88)} ${points[(i + 1) % scallopCount]!.map(n).join(' ')}`;
    });
    return [
      { name: 'Scalloped edge', kind: 'line', path: `M${points[0]!.map(n).join(' ')}${arcs.join('')}Z`, strokeMm: 0.6 },
    ];
  },
};

const hexagons: Helper = {
  id: 'hexagons',
  name: 'Hexagon grid',
  purpose: 'Hexagons side by side within a circle, each a part of its own.',
  params: { sideMm: mm('Side', 8, 1.5, 80, 0.5), radiusMm: mm('Within a radius of', 34, 3, 300) },
  draw({ sideMm = 8, radiusMm = 34 }) {
    const reach = Math.ceil(radiusMm / sideMm) + 1;
    const cells = range(2 * reach + 1).flatMap((i) => range(2 * reach + 1).map((j) => [i - reach, j - reach] as const));
    return cells
      .map(([q, r]): [number, number] => [sideMm * 1.5 * q, sideMm * Math.sqrt(3) * (r + q / 2)])
      .filter(([x, y]) => Math.hypot(x, y) + sideMm <= radiusMm + 1e-6)
      .slice(0, MOST_CELLS)
      .map(([x, y], i) => ({
        name: say.hexagonName(i + 1),
        kind: 'area',
        path: polyline(
          range(6).map((k) => polar(sideMm, k / 6 + 1 / 12, x, y)),
          true,
        ),
        alike: 'hexagon',
      }));
  },
};
/** More cells than this make a list that nobody reads. */
const MOST_CELLS = 400;

const squares: Helper = {
  id: 'squares',
  name: 'Square grid',
  purpose: 'Straight lines crossing at right angles, to couch, lace or count along.',
  params: {
    cellMm: mm('Spacing', 6, 1, 80, 0.5),
    widthMm: mm('Width', 60, 2, 500),
    heightMm: mm('Height', 60, 2, 500),
  },
  draw({ cellMm = 6, widthMm = 60, heightMm = 60 }) {
    const along = (size: number): number[] => {
      const cells = Math.min(100, Math.max(1, Math.round(size / cellMm)));
      return range(cells + 1).map((i) => -size / 2 + (size * i) / cells);
    };
    const upright = along(widthMm).map((x) => `M${n(x)} ${n(-heightMm / 2)}V${n(heightMm / 2)}`);
    const level = along(heightMm).map((y) => `M${n(-widthMm / 2)} ${n(y)}H${n(widthMm / 2)}`);
    return [
      { name: 'Vertical lines', kind: 'line', path: upright.join(''), strokeMm: 0.5 },
      { name: 'Horizontal lines', kind: 'line', path: level.join(''), strokeMm: 0.5 },
    ];
  },
};

const spiral: Helper = {
  id: 'spiral',
  name: 'Spiral',
  purpose: 'A line that winds outwards evenly, as for a shell or a fern.',
  params: {
    turns: count('Turns', 4, 1, 30),
    radiusMm: mm('Radius', 20, 2, 300),
    startMm: mm('Starts at', 0.5, 0, 100, 0.5),
  },
  draw({ turns = 4, radiusMm = 20, startMm = 0.5 }) {
    const steps = turns * 36;
    const places = range(steps + 1).map((i) =>
      polar(startMm + ((radiusMm - startMm) * i) / steps, (turns * i) / steps),
    );
    return [{ name: 'Spiral', kind: 'line', path: polyline(places), strokeMm: 0.6 }];
  },
};

const leaf: Helper = {
  id: 'leaf',
  name: 'Leaf with a vein',
  purpose: 'A leaf, curved to one side if you like, with the vein that leaf stitches follow.',
  params: {
    lengthMm: mm('Length', 32, 3, 300),
    widthMm: mm('Width', 13, 1, 200, 0.5),
    bendMm: mm('Curve', 2, -60, 60, 0.5),
    turnDeg: { name: 'Rotation', unit: '°', usual: 0, min: -180, max: 180, step: 5 },
  },
  draw({ lengthMm = 32, widthMm = 13, bendMm = 2, turnDeg = 0 }) {
    const turns = turnDeg / 360;
    const at = (along: number, aside: number): string => {
      const [x, y] = polar((along - 0.5) * lengthMm, -turns);
      const [dx, dy] = polar(aside, 0.25 - turns);
      return `${n(x + dx)} ${n(y + dy)}`;
    };
    const half = (widthMm / 2) * (4 / 3);
    const bend = bendMm * (4 / 3);
    const vein = `M${at(0, 0)}C${at(0.33, bend)} ${at(0.66, bend)} ${at(1, 0)}`;
    const outline = `M${at(0, 0)}C${at(0.2, bend + half)} ${at(0.7, bend + half)} ${at(1, 0)}C${at(0.7, bend - half)} ${at(0.2, bend - half)} ${at(0, 0)}Z`;
    return [{ name: 'Leaf', kind: 'area', path: outline, vein }];
  },
};

/** Throws in vain before the cloth counts as full. */
const MOST_MISSES = 60;
const MOST_SEEDS = 800;

const seeds: Helper = {
  id: 'seeds',
  name: 'Scattered seeds',
  purpose: 'Dots scattered evenly but at random round the design, clear of every part.',
  params: {
    radiusMm: mm('Within a radius of', 50, 3, 300),
    apartMm: mm('Spacing', 5, 1, 60, 0.5),
    clearMm: mm('Distance from parts', 2.5, 0, 40, 0.5),
    seed: count('Arrangement', 1, 1, 999),
  },
  draw({ radiusMm = 50, apartMm = 5, clearMm = 2.5, seed = 1 }, there, [atX, atY]) {
    const random = seededRandom(seed);
    const kept: [number, number][] = [];
    const isFree = (x: number, y: number): boolean =>
      kept.every(([kx, ky]) => Math.hypot(kx - x, ky - y) >= apartMm) &&
      there.every((placed) => isClear(placed, x + atX, y + atY, clearMm));
    // Darts by dead reckoning: each that keeps its distance stays (Cook 1986).
    for (let misses = 0; misses < MOST_MISSES && kept.length < MOST_SEEDS;) {
      const [x, y] = polar(radiusMm * Math.sqrt(random.next()), random.next());
      if (isFree(x, y)) {
        kept.push([x, y]);
        misses = 0;
      } else misses++;
    }
    return kept.length === 0 ? [] : [{ name: 'Seeds', kind: 'spot', path: dots(kept) }];
  },
};

function isClear({ shape, box }: PlacedShape, x: number, y: number, clearMm: number): boolean {
  if (!box) return true;
  const isFar = x < box.minX - clearMm || x > box.maxX + clearMm || y < box.minY - clearMm || y > box.maxY + clearMm;
  if (isFar) return true;
  if (isInside(shape.region, x, y)) return false;
  if (shape.region.length > 0 && distanceToOutline(shape.region, x, y) < clearMm) return false;
  for (const points of pointsOf({ ...shape, region: [] })) {
    for (const [px, py] of placesOf(points)) if (Math.hypot(px - x, py - y) < clearMm) return false;
  }
  return true;
}

/** Everything that draws parts by itself. */
export const HELPERS: readonly Helper[] = [rosette, leaf, borderRings, scallops, spiral, seeds, hexagons, squares];
