import { seededRandom, type Random } from '../../../measure/index.ts';
import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { straightRowsOf, type StraightRow } from '../../shared/crossedRows.ts';

/** The two sides of a loop lie so far apart at its end, as a share of the step. */
const OPEN = 0.3;
/** No two lie quite alike: how far they differ to the side and in length, as shares of their length. */
const ASTRAY = 0.16;
const UNEVEN = 0.08;

/** Rows of loops that lie along the direction, each over the foot of the row before it, and each held by a small tight stitch. */
export function workCutPile(
  { region }: StitchShape,
  { stepMm, rowMm, pileMm }: { stepMm: number; rowMm: number; pileMm: number },
  { angleRad, seed }: StitchContext,
  sink: MoveSink,
): void {
  // Rows run across the lie of the pile: in their frame it lies towards where `at` falls.
  const { rows, toCloth } = straightRowsOf(region, angleRad - Math.PI / 2, rowMm);
  const inOrder = [...rows].sort((a, b) => a.at - b.at || a.from - b.from);
  const random = seededRandom(seed);
  inOrder.forEach((row, k) => {
    sink.travel();
    workLoops(row, k % 2 === 1, { stepMm, reach: -pileMm, random }, toCloth, sink);
  });
}

function workLoops(
  { from, to, at }: StraightRow,
  isBack: boolean,
  { stepMm, reach, random }: { stepMm: number; reach: number; random: Random },
  toCloth: (along: number, across: number) => [number, number],
  sink: MoveSink,
): void {
  const count = Math.max(1, Math.round((to - from) / stepMm));
  const step = ((to - from) / count) * (isBack ? -1 : 1);
  for (let i = 0; i < count; i++) {
    const start = (isBack ? to : from) + i * step;
    const foot = (share: number): [number, number] => toCloth(start + share * step, at);
    const long = reach * (1 + random.between(-UNEVEN, UNEVEN));
    const aside = Math.abs(reach) * random.between(-ASTRAY, ASTRAY);
    const loop = (share: number, out: number): [number, number] =>
      toCloth(start + share * step + out * aside, at + out * long);
    sink.stitch();
    sink.up(...foot(0.15));
    sink.via(...loop(0.5 - OPEN / 2, 0.6));
    sink.via(...loop(0.5, 1));
    sink.via(...loop(0.5 + OPEN / 2, 0.6));
    sink.down(...foot(0.85));
    sink.stitch();
    sink.up(...foot(0.1));
    sink.down(...foot(0.9));
  }
}
