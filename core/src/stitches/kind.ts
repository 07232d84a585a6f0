import type { DirectionField, Polyline, Region } from '../geometry/index.ts';
import type { NeedleUse } from '../materials/index.ts';
import type { Pace } from './measurePath.ts';
import type { MoveSink } from './moves.ts';
import type { GivenParams, ParamsOf, ParamTable } from './params.ts';

export type WorkedOn = 'line' | 'area' | 'spot';

/** What a stitch is worked on: the parts of it that its kind uses are filled, the others empty. All in mm on the cloth. */
export interface StitchShape {
  readonly region: Region;
  readonly lines: readonly Polyline[];
  /** Spots as `x0, y0, x1, y1, …`. */
  readonly spots: Float64Array;
}

/** What the path depends on besides shape and parameters. */
export interface StitchContext {
  /** Width of the needle thread as it lies on the cloth, mm. */
  readonly laidMm: number;
  /** The needle thread as a round bundle, mm. */
  readonly bundleMm: number;
  /** What wraps go round: the needle's shaft, mm. */
  readonly coreMm: number;
  /** The way the stitches lie, anticlockwise from the x axis as seen. */
  readonly angleRad: number;
  readonly seed: number;
  /** How high the thread stands on the cloth, mm. */
  readonly heightMm: number;
  /** Directions that change from place to place take the place of the angle. */
  readonly field?: DirectionField | undefined;
  /** Rows follow the outline inward instead of a direction. */
  readonly followsOutline?: boolean | undefined;
  /** The outline that they follow, where something lies on the area: that of all of it, so that rows stop at what lies on it and go on behind. */
  readonly outline?: Region | undefined;
  /** The line along the middle, where the person moved it. */
  readonly vein?: Polyline | undefined;
  /** Shades in which the area is worked, and the lines between them where they are drawn. */
  readonly shades?: { readonly count: number; readonly borders: readonly Polyline[] } | undefined;
  /** Whether its first row is worked in a thread of its own, which its path counts before all shades. */
  readonly firstRow?: boolean | undefined;
  /** How wide each thread of the path lies, as a share of the thinnest; all alike where it is not said. */
  readonly widths?: readonly number[] | undefined;
  /** The picture that the stitches are to show. */
  readonly picture?: PictureGuide | undefined;
  /** Hears how much of a path is written, 0–1, where that takes long. */
  readonly tell?: ((share: number) => void) | undefined;
}

/** What a picture below asks of the stitches that show it. */
export interface PictureGuide {
  /** The colour of the picture at a place on the cloth, CIELAB, written into `out`. */
  colourAt(x: number, y: number, out: Float64Array): void;
  /**
   * The shade of each stitch.
   * @param stitches where each lies: `x0, y0, x1, y1, …`, mm
   */
  shadesOf(stitches: Float32Array): Uint8Array;
}

/** What goes wrong with a stitch, what helps, and where handling is what helps the lesson that shows it. */
export interface Fault {
  readonly fault: string;
  readonly cure: string;
  readonly lesson?: 'mounting' | 'hanging' | 'fastening-off' | 'knots' | 'strands';
}

/** What something is called, by itself and within a sentence. */
export interface Called {
  readonly name: string;
  readonly inSentence: string;
}

/** What a stitch says of itself. */
export interface StitchKind {
  readonly id: string;
  readonly name: string;
  /** Its name within a sentence: names of people and places keep their capital. */
  readonly inSentence: string;
  readonly otherNames: readonly string[];
  readonly worksOn: WorkedOn;
  /** What it is good for, in a sentence. */
  readonly purpose: string;
  readonly params: ParamTable;
  readonly needle: NeedleUse;
  readonly usualStrands: number;
  readonly hasDirection: boolean;
  /** Whether its rows can follow the outline inward. */
  readonly canFollowOutline: boolean;
  /** Whether it lies by a vein along the middle of its shape, which the person can move. */
  readonly hasVein: boolean;
  /** Whether it can be worked in several shades. */
  readonly canShade: boolean;
  /** Whether it has a first row that can be worked in other strands than the rest. */
  readonly hasFirstRow: boolean;
  readonly followsCurves: boolean;
  /** Whether it stands up so high that a ring crushes it. */
  readonly isRaised: boolean;
  readonly snags: boolean;
  /** Whether it works loose on things that are worn and washed. */
  readonly loosens: boolean;
  /** What a second thread does, which may be of another colour, kind and thickness; null: it has none. */
  readonly secondThread: string | null;
  /** What each of its two journeys is called where it is worked in two threads; null: it has one. */
  readonly journeys: readonly [first: Called, second: Called] | null;
  /** Whether one thread is laid whole and another ties it, also where both are of one kind: each is cut and threaded for itself. */
  readonly laysThread: boolean;
  /** How long it takes to find the place for each stitch: nothing where it may lie anywhere, more where the needle must meet a hole or a thread, s. */
  readonly findSeconds: number;
  /** By how much longer it takes to see where each stitch belongs, worked in one shade and in several. */
  readonly care: { readonly oneShade: number; readonly shaded: number };
  /** The width that it covers, in laid widths. */
  readonly coverWidths: number;
  readonly start: string;
  readonly end: string;
  readonly faults: readonly Fault[];
  /** The steps by which it is worked, in order. */
  readonly steps: readonly string[];
}

/** Describes a stitch. */
export function describeStitch<const Id extends string>(
  kind: Omit<StitchKind, 'id'> & { readonly id: Id },
): StitchKind & { readonly id: Id } {
  return kind;
}

/** Writes the path of the needle over a shape. Pure: the same input gives the same moves. */
export type StitchWork = (shape: StitchShape, params: GivenParams, context: StitchContext, sink: MoveSink) => void;

/** A rule whose parameters are seen by name and type: it is only ever given parameters completed from its own table. */
export function pathBy<Table extends ParamTable>(
  _params: Table,
  work: (shape: StitchShape, params: ParamsOf<Table>, context: StitchContext, sink: MoveSink) => void,
): StitchWork {
  return work as unknown as StitchWork;
}

/** How a stitch is paced by the number of its shades. */
export function paceOf({ findSeconds, care }: StitchKind, shades: number): Pace {
  return { findSeconds, care: shades > 1 ? care.shaded : care.oneShade };
}
