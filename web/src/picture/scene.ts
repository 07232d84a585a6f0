import { workedIn, type PlannedPass, type WorkedThread } from '@junctura/core/work';
import type { Workings } from '@junctura/core/advice';
import { threadTones, type ThreadTones } from '@junctura/core/colour';
import { clothOf, WORKING_LENGTH, type Cloth } from '@junctura/core/materials';
import { threadOfStep, type Step } from '@junctura/core/order';
import { type Piece, colourName } from '@junctura/core/piece';

/** One thread of a pass to be painted, in its tones. */
export interface PaintedThread {
  readonly pass: PlannedPass;
  readonly thread: WorkedThread;
  readonly tones: ThreadTones;
  /** How much of a working length is worked before it is fastened off, mm; null: shown without its tails. */
  readonly usableMm: number | null;
}

/** What a picture shows, from back to front. */
export interface Scene {
  readonly cloth: Cloth;
  readonly clothColour: string;
  readonly threads: readonly PaintedThread[];
}

/** What is worked of a cut before it is fastened off. */
function usableMm({ cutMm, start }: Piece['worker']): number {
  return Math.max(60, cutMm - WORKING_LENGTH.startMm[start] - WORKING_LENGTH.stopMm);
}

/** The threads of a pass, painted in the tones that its colours have. */
function threadsOf(
  pass: PlannedPass,
  tonesOf: (colour: string | null) => ThreadTones,
  usable: number | null,
): PaintedThread[] {
  return pass.threads.map((thread) => ({
    pass: workedIn(pass, thread),
    thread,
    tones: tonesOf(thread.colour),
    usableMm: usable,
  }));
}

/**
 * @param only paint just these parts; null for all
 * @param onlyColour paint just what is worked in this colour; null for all
 * @param seen how each colour is seen: as it is, by a lamp …
 */
export function sceneOf(
  piece: Piece,
  { plan }: Workings,
  only: ReadonlySet<string> | null = null,
  onlyColour: string | null = null,
  seen: (hex: string) => string = (hex) => hex,
): Scene {
  const tones = new Map(piece.palette.map((colour) => [colour.id, threadTones(seen(colourName(colour).hex))]));
  const usable = usableMm(piece.worker);
  return {
    cloth: clothOf(piece.cloth.kind)!,
    clothColour: seen(piece.cloth.colour),
    threads: plan.parts
      .filter(({ part }) => only === null || only.has(part.id))
      .flatMap(({ part, passes }) =>
        passes.flatMap((pass) =>
          threadsOf(pass, (colour) => tones.get(colour ?? part.colour)!, usable).filter(
            ({ thread }) => onlyColour === null || (thread.colour ?? part.colour) === onlyColour,
          ),
        ),
      ),
  };
}

/** What a picture of the piece shows as it is worked: its threads are the steps of the order, in their order. */
export function growingScene(piece: Piece, { plan }: Workings, steps: readonly Step[]): Scene {
  const tones = new Map(piece.palette.map((colour) => [colour.id, threadTones(colourName(colour).hex)]));
  const usable = usableMm(piece.worker);
  return {
    cloth: clothOf(piece.cloth.kind)!,
    clothColour: piece.cloth.colour,
    threads: steps.map((step): PaintedThread => {
      const planned = plan.parts[step.depth]!;
      const thread = threadOfStep(planned, step, piece.hoop, piece.positions)!;
      const pass = workedIn(planned.passes[step.layer]!, thread);
      return { pass, thread, tones: tones.get(step.colour)!, usableMm: usable };
    }),
  };
}

/** A picture of passes that belong to no piece, all in one colour. */
export function looseScene(cloth: Cloth, clothColour: string, passes: readonly PlannedPass[], hex: string): Scene {
  const tones = threadTones(hex);
  return { cloth, clothColour, threads: passes.flatMap((pass) => threadsOf(pass, () => tones, null)) };
}
