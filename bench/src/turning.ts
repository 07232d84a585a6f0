import { Planner } from '@junctura/core/advice';
import { emptyPiece, newColour, newPart, plainPass, type Pass, type Piece } from '@junctura/core/piece';
import { USUAL_FACTORS } from '@junctura/core/work';
import { median } from './median.ts';

/** Areas of the kind that turn: an arch, a drop, a bean, a crescent. */
const PATHS = [
  'M0 0A30 30 0 0 1 60 0L50 0A20 20 0 0 0 10 0Z',
  'M0 30C0 10 12 4 18 0C24 4 36 10 36 30C36 44 0 44 0 30Z',
  'M0 10C4 -6 40 -8 50 8C60 24 46 34 38 24C30 14 16 30 6 26C0 24 -2 16 0 10Z',
  'M0 0C14 18 14 40 0 58C34 48 34 10 0 0Z',
] as const;
const KINDS = ['satin', 'split-fill', 'brick', 'long-short'] as const;
const TURNS: readonly Pass['direction'][] = ['along', 'across', 'radial'];

function pieceOf(stitch: (typeof KINDS)[number], direction: Pass['direction']): Piece {
  const piece = emptyPiece('turning', 'Turning');
  const pass = { ...plainPass(stitch, 'stranded-cotton', 2), direction, angleDeg: 30 };
  const parts = PATHS.map((path, i) =>
    newPart({ id: `p${i}`, name: 'p', kind: 'area', path, colour: 'c1', passes: [pass] }),
  );
  const drawing = { ...piece.drawing, hidden: 'keep' as const, parts };
  return { ...piece, palette: [newColour({ id: 'c1', hex: '#aa3333' })], drawing };
}

/** What planning takes for each stitch where directions turn, against straight ones on the same areas; and against the paths of these alone. */
export function benchTurning(): string[] {
  const straightOnes = KINDS.map((stitch) => pieceOf(stitch, 'straight'));
  const turningOnes = KINDS.flatMap((stitch) => TURNS.map((direction) => pieceOf(stitch, direction)));
  /** Microseconds for each stitch, by the median of the rounds. */
  const perStitch = (pieces: readonly Piece[]): number =>
    median(
      Array.from({ length: 15 }, () => {
        const began = performance.now();
        const stitches = pieces.reduce(
          (sum, piece) => sum + new Planner().plan(piece, USUAL_FACTORS).plan.totals.stitches,
          0,
        );
        return ((performance.now() - began) * 1000) / stitches;
      }),
    );
  perStitch(straightOnes);
  const [turning, straight] = [perStitch(turningOnes), perStitch(straightOnes)];
  return [
    `planning a stitch on directions that turn / on straight ones: ${(turning / straight).toFixed(2)} (${turning.toFixed(0)} and ${straight.toFixed(0)} µs)`,
  ];
}
