import { Planner } from '../advice/index.ts';
import { finishPlan } from '../finish/index.ts';
import { pictureBelow } from '../painting/index.ts';
import { colourName, colourOf, type Piece } from '../piece/index.ts';
import { CoarseFirst, USUAL_FACTORS, type OwnFactors } from '../work/index.ts';
import { pictures } from './everyKind.ts';

/** What a piece is planned with. */
export interface Planned {
  readonly piece: Piece;
  readonly own: OwnFactors;
  readonly seed: number;
}

/** All that a planner works out of a piece. */
export function everything({ piece, own, seed }: Planned, planner: Planner): object {
  const below = pictureBelow(piece, pictures);
  const hexOf = (id: string): string => colourName(colourOf(piece, id)).hex;
  const workings = planner.plan(piece, own, { pictures, seed });
  const { parts } = workings.plan;
  const coarse =
    below &&
    new CoarseFirst(planner.memory).paint(
      parts.map(({ part }) => part),
      parts.map(({ placed }) => placed),
      { below, hexOf },
      own.width,
    );
  return { workings, coarse, finish: finishPlan(piece, workings.plan, own, planner.memory) };
}

/** The same by a planner that knows nothing, of a clone. */
export function afresh(planned: Planned): object {
  return everything(structuredClone(planned), new Planner());
}

export const usual = (piece: Piece): Planned => ({ piece, own: USUAL_FACTORS, seed: 1 });
