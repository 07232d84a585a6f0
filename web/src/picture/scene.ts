import type { Workings } from '@junctura/core/advice';
import { threadTones, type ThreadTones } from '@junctura/core/colour';
import { clothOf, type Cloth } from '@junctura/core/materials';
import type { Piece } from '@junctura/core/piece';
import { colourName, type PlannedPass } from '@junctura/core/plan';

/** One pass to be painted, in the tones of its thread. */
export interface PaintedPass {
  readonly pass: PlannedPass;
  readonly tones: ThreadTones;
}

/** What a picture shows, from back to front. */
export interface Scene {
  readonly cloth: Cloth;
  readonly clothColour: string;
  readonly passes: readonly PaintedPass[];
}

/** @param only paint just these parts; null for all */
export function sceneOf(piece: Piece, { plan }: Workings, only: ReadonlySet<string> | null = null): Scene {
  const tones = new Map(piece.palette.map((colour) => [colour.id, threadTones(colourName(colour).hex)]));
  return {
    cloth: clothOf(piece.cloth.kind)!,
    clothColour: piece.cloth.colour,
    passes: plan.parts
      .filter(({ part }) => only === null || only.has(part.id))
      .flatMap(({ part, passes }) => passes.map((pass) => ({ pass, tones: tones.get(part.colour)! }))),
  };
}
