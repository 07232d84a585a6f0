import type { PlacedShape } from '../drawing/index.ts';
import type { Part, Pass } from '../piece/index.ts';
import type { Needle, ThreadId } from '../materials/index.ts';
import type { SettledPass } from '../propose/index.ts';
import { stitchKind, type MeasuredPath, type StitchPath, type Quantities } from '../stitches/index.ts';

/** A needle path in one colour. */
export interface WorkedThread extends MeasuredPath {
  /** The id of its colour; null: the part's own. */
  readonly colour: string | null;
  readonly path: StitchPath;
  /** What it is worked in, where that is another thread than its layer's; null: the layer's own. */
  readonly own: OwnThread | null;
}

/** A thread, and how it lies. */
export interface OwnThread {
  readonly thread: ThreadId;
  readonly strands: number;
  readonly laidMm: number;
  readonly bundleMm: number;
  readonly needle: Needle;
}

/** A pass as one of its threads works it: with that thread's kind, strands and widths. */
export function workedIn<P extends OwnThread>(pass: P, { own }: WorkedThread): P {
  return own ? { ...pass, ...own } : pass;
}

/** A pass as it is worked: its path and what that takes. Its parameters are completed by their defaults. */
export interface PlannedPass extends SettledPass {
  /** The parameters that were chosen or proposed, without the defaults. */
  readonly given: SettledPass['params'];
  readonly laidMm: number;
  readonly bundleMm: number;
  readonly needle: Needle;
  /** All needles that it takes, in the order in which they are taken up: a blunt one for what is woven or whipped afterwards. */
  readonly needles: readonly Needle[];
  readonly path: StitchPath;
  readonly quantities: Quantities;
  /** The path as it is threaded: one in each shade, in working order. */
  readonly threads: readonly WorkedThread[];
  /** How high what it lies on stands, mm. */
  readonly liftMm: number;
}

/** Whether a pass is worked in two journeys, each with a thread of its own. */
export function isInJourneys({ stitch, shades, threads }: PlannedPass): boolean {
  return shades.length < 2 && threads.length > 1 && stitchKind(stitch).journeys !== null;
}

/** A part as it lies on the cloth, with its layers as they are worked. */
export interface PlannedPart {
  readonly part: Part;
  readonly placed: PlacedShape;
  readonly passes: readonly PlannedPass[];
  /** Why it could not be worked out; null: it was. */
  readonly fault: string | null;
}

/**
 * The passes of a part as they are worked now, ready to be changed and written into the piece: those that were chosen, whatever a plan
 * that is still to follow says of them, or those that are proposed.
 */
export function passesAsWorked({ part, passes }: { part: Part; passes: readonly PlannedPass[] }): Pass[] {
  if (part.passes !== null) return [...part.passes];
  return passes.map((pass): Pass => ({
    role: pass.role,
    stitch: pass.stitch,
    params: { ...pass.given },
    angleDeg: pass.angleDeg,
    direction: pass.direction,
    insetMm: pass.insetMm,
    points: pass.points,
    colour: pass.colour,
    shades: pass.shades,
    shadeStrands: pass.shadeStrands,
    firstRowStrands: pass.firstRowStrands,
    inTurn: pass.inTurn,
    second: pass.second,
    thread: pass.thread,
    strands: pass.strands,
  }));
}
