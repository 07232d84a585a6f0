import { expect, it } from 'vitest';
import { flattenPath, runsOf, type Polyline } from '../geometry/index.ts';
import { bundleDiameterMm, laidWidthMm, threadKind } from '../materials/index.ts';
import { circle, wander } from '../testing/shapes.ts';
import { Move, workStitch, type StitchId } from './index.ts';

const COTTON = threadKind('stranded-cotton');
/** Letters of a running hand, one unit high: an e, an s, a g with its tail, an m. */
const LETTERS = [
  'M0 .5 H.55 C.55 .1 0 .1 0 .5 C0 1 .4 1.1 .55 .85',
  'M.5 .12 C.3 -.1 0 0 0 .25 C0 .6 .5 .4 .5 .75 C.5 1.05 .1 1.05 0 .85',
  'M.5 .3 C.5 -.1 0 -.1 0 .3 C0 .7 .5 .7 .5 .3 V.9 C.5 1.4 0 1.3 0 1.05',
  'M0 1 V.3 C0 0 .35 0 .35 .3 V1 M.35 .3 C.35 0 .7 0 .7 .3 V1',
];

function letters(heightMm: number): Polyline[] {
  return LETTERS.flatMap((d) => flattenPath(d, 0.005)).map(({ points, closed }) => ({
    points: points.map((value) => value * heightMm),
    closed,
  }));
}

/** How far a place is from a line, mm. */
function fromLine({ points, closed }: Polyline, x: number, y: number): number {
  let nearest = Infinity;
  const count = points.length / 2;
  for (let i = closed ? 0 : 1; i < count; i++) {
    const [ax, ay] = [points[2 * ((i + count - 1) % count)]!, points[2 * ((i + count - 1) % count) + 1]!];
    const [dx, dy] = [points[2 * i]! - ax, points[2 * i + 1]! - ay];
    const share = Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy || 1)));
    nearest = Math.min(nearest, Math.hypot(x - ax - share * dx, y - ay - share * dy));
  }
  return nearest;
}

/** From where to where each stitch runs on the front; a loop from where it begins to where the next one does. */
function chords(id: StitchId, line: Polyline, strands: number): (readonly [number, number, number, number])[] {
  const context = {
    laidMm: laidWidthMm(COTTON, strands),
    bundleMm: bundleDiameterMm(COTTON, strands),
    coreMm: 0.6,
    heightMm: 0.3,
    angleRad: 0,
    seed: 1,
  };
  const { codes, xy } = workStitch(id, { region: [], lines: [line], spots: new Float64Array(0) }, {}, context);
  const found: [number, number, number, number][] = [];
  let [x, y] = [NaN, NaN];
  codes.forEach((code, i) => {
    const [mx, my] = [xy[2 * i]!, xy[2 * i + 1]!];
    if (code === Move.up && id === 'chain' && !Number.isNaN(x)) found.push([x, y, mx, my]);
    if (code === Move.up) [x, y] = [mx, my];
    if (code === Move.down && id !== 'chain') found.push([x, y, mx, my]);
  });
  return found;
}

const SHORTEST_MM = 0.62;

it.each([
  ['back', 0, 1],
  ['split', 0, 1],
  // Stem stitch comes up beside its line, and reaches over two of its steps.
  ['stem', 0.22, 2],
  ['chain', 0, 1],
] as const)(
  '%s follows bends: no stitch leaves its line by more than 0.2 mm or half its thread',
  (id, asideWidths, reach) => {
    let tried = 0;
    const lines: Polyline[] = [
      ...letters(5),
      ...letters(12),
      ...[0.8, 1.5, 3, 10].map((r) => ({ points: circle(r), closed: true })),
      ...Array.from({ length: 12 }, (_, seed) => wander(seed + 1))
        .flatMap(runsOf)
        .map(({ points }) => ({ points, closed: false })),
    ];
    for (const strands of [1, 2, 3]) {
      const laidMm = laidWidthMm(COTTON, strands);
      const allowedMm = Math.min(0.2, laidMm / 2) + asideWidths * laidMm + 0.01;
      for (const [which, line] of lines.entries()) {
        for (const [ax, ay, bx, by] of chords(id, line, strands)) {
          if (Math.hypot(bx - ax, by - ay) < SHORTEST_MM * reach) continue;
          for (const share of [0.25, 0.5, 0.75]) {
            const away = fromLine(line, ax + share * (bx - ax), ay + share * (by - ay));
            expect(away, `line ${which}, ${strands} strands at ${ax}, ${ay}`).toBeLessThanOrEqual(allowedMm);
            tried++;
          }
        }
      }
    }
    expect(tried).toBeGreaterThan(2000);
  },
);
