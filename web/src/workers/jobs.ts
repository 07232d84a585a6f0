import type {
  ColourPair,
  Finding,
  HoopTrial,
  LevelChoice,
  PaintWay,
  Recolouring,
  Remedy,
  Variation,
} from '@junctura/core/advice';
import type { PictureColour } from '@junctura/core/colour';
import type { PictureOptions, Tidied, TidiedDrawing, TidyRule } from '@junctura/core/drawing';
import type { FinishPlan } from '@junctura/core/finish';
import type { Shade, ShadeRef, ThreadBox } from '@junctura/core/materials';
import type { Outcome } from '@junctura/core/measure';
import type { Eye, PaintingReport, PictureJudgement, Ridge } from '@junctura/core/painting';
import type { Hoop, Level, Piece, PlanInput } from '@junctura/core/piece';
import type { OrderWay, Saving } from '@junctura/core/thread';
import type { Offer } from '@junctura/core/propose';
import type { StitchId } from '@junctura/core/stitches';
import type { CoarsePart, OwnFactors } from '@junctura/core/work';
import type { PlanNews } from './planNews.ts';

interface Job<Input, Output, Progress = never> {
  readonly input: Input;
  readonly output: Output;
  readonly progress: Progress;
}

/** A piece as the person works it. */
interface OfPiece {
  readonly piece: Piece;
  readonly factors: OwnFactors;
}

/** One part of it. */
interface OfPart extends OfPiece {
  readonly part: string;
}

/**
 * What is told while a plan is made: what will be painted, coarsely; how much of the paths is worked, 0–1; and the whole plan before its order of
 * work is searched for.
 */
export type PlanProgress =
  { readonly coarse: readonly CoarsePart[] } | { readonly share: number } | { readonly first: PlanNews };

/** Everything that the page has done in workers: what it asks, and what it is answered. */
export interface Jobs {
  /** The workings of a piece, without what this worker sent before. */
  plan: Job<{ readonly piece: PlanInput; readonly factors: OwnFactors }, PlanNews, PlanProgress>;
  /** A drawing as a new piece, in a hoop that suits it. */
  readDrawing: Job<{ readonly text: string; readonly id: string; readonly name: string }, Outcome<Piece>>;
  /** The parts and colours of a drawing tidied by the usual rules, or by those that are wanted, and what was found. */
  tidy: Job<
    { readonly piece: Piece; readonly except: readonly TidyRule[]; readonly also: readonly TidyRule[] },
    TidiedDrawing & { readonly tidied: readonly Tidied[] }
  >;
  /** What can be done about findings; told one by one, by their place in the list. */
  remedies: Job<
    OfPiece & { readonly findings: readonly Finding[] },
    null,
    { readonly index: number; readonly remedies: readonly Remedy[] }
  >;
  /** The best ways to work each of some parts, best first; empty for a part that is gone. */
  proposals: Job<OfPiece & { readonly parts: readonly string[] }, readonly (readonly Offer[])[]>;
  /** Where the hoop must be set so that everything is reached; null where it can't be. */
  positions: Job<OfPiece & { readonly hoop: Hoop }, Piece['positions'] | null>;
  /** The one shade whose change tells a pair of colours apart. */
  mendPair: Job<
    OfPiece & { readonly pair: ColourPair; readonly shades: readonly Shade[]; readonly wantsLightness: boolean },
    Recolouring | null
  >;
  varyPalette: Job<OfPiece & { readonly shades: readonly Shade[] }, readonly Variation[]>;
  /** What each way to order the work costs; told one by one. */
  orderWays: Job<OfPiece, readonly OrderWay[], OrderWay>;
  /** How the piece is finished, and how it will look. */
  finish: Job<OfPiece, FinishPlan>;
  /** How often everything reaches, where a piece is worked many times: the share of runs, 0–1. */
  odds: Job<
    {
      /** For each colour its loads, and what is had over what is planned. */
      readonly needs: readonly { readonly loads: number; readonly share: number }[];
      readonly runs: number;
      readonly factors: OwnFactors;
    },
    number
  >;
  /** What saves thread of one shade, as `range code lot`, each way with its effect. */
  savings: Job<
    OfPiece & { readonly done: ReadonlySet<string>; readonly box: ThreadBox; readonly shade: string },
    readonly Saving[]
  >;
  /** Shades to paint a part in, from the picture below it, grown one by one with what error is left after each; null where it has no picture. */
  paintShades: Job<
    OfPart & {
      readonly owned: readonly Shade[];
      readonly toBuy: readonly Shade[];
      readonly pinned: readonly Shade[];
      readonly eyes: readonly Eye[];
      readonly count: number;
    },
    {
      readonly shades: readonly Shade[];
      readonly errors: readonly number[];
      readonly picture: PictureJudgement | null;
    } | null
  >;
  /** Ways to work a part from the picture below it, each with a picture of the part alone, told one by one: painted in the first so many of some shades, then in flat regions. */
  paintWays: Job<
    OfPart & { readonly shades: readonly Shade[]; readonly counts: readonly number[]; readonly pixels: number },
    null,
    { readonly way: PaintWay; readonly picture: ImageBitmap }
  >;
  /** How near a painted part comes to its picture; null where it is not painted. */
  judgePainting: Job<OfPart, PaintingReport | null>;
  /** Lights and hairs that are finer than what lies about them. */
  onTop: Job<OfPart, readonly Ridge[]>;
  /** The lie of what the picture shows below a part, as short lines `x0, y0, x1, y1, …`, mm on the cloth. */
  lie: Job<OfPart, Float32Array | null>;
  /** A piece stitched as much as each level says, and as some hours allow, each with its picture; told one by one, the usual one first. */
  versions: Job<
    OfPiece & { readonly box: ThreadBox; readonly hours: number | null; readonly pixels: number },
    null,
    ShownVersion
  >;
  /** The design as it would be in another hoop, with its picture. */
  tryHoop: Job<OfPiece & { readonly hoop: Hoop }, { readonly trial: HoopTrial; readonly picture: ImageBitmap }>;
  /** The front of a piece in its hoop. */
  thumbnail: Job<OfPiece & { readonly pixels: number }, { readonly picture: ImageBitmap; readonly reachMm: number }>;
  /** Opens a picture, and keeps it open for what is asked next. */
  openPicture: Job<{ readonly file: Blob }, Outcome<OpenedPicture>>;
  /** The parts of the picture that is open; told how far it is, 0–1. */
  readPicture: Job<
    { readonly file: Blob; readonly options: PictureOptions; readonly id: string; readonly name: string },
    Outcome<Piece>,
    number
  >;
  /** What stands out in the picture below a drawing: its outline on the cloth as path data, mm, and the colour there; null where nothing does. */
  subject: Job<{ readonly piece: Piece }, { readonly path: string; readonly hex: string } | null>;
  /** The colours of a picture. */
  palette: Job<{ readonly file: Blob; readonly colours: number }, Outcome<PalettePicture>>;
}

/** A version of a piece as it is shown beside others. */
export interface ShownVersion {
  readonly kind: Level | 'within';
  /** What makes it of the piece. */
  readonly choice: LevelChoice;
  readonly hours: { readonly p10: number; readonly p50: number; readonly p90: number };
  readonly stitches: readonly StitchId[];
  readonly colours: number;
  readonly threadMm: number;
  /** What is still to buy: each shade with its skeins. */
  readonly toBuy: readonly { readonly shade: ShadeRef; readonly skeins: number }[];
  /** For the version within some hours: those hours, the parts that are stitched less than usual, and those that one more hour would add to. */
  readonly within: {
    readonly hours: number;
    readonly less: readonly string[];
    readonly nextHour: readonly string[];
  } | null;
  readonly picture: ImageBitmap;
}

export type JobName = keyof Jobs;
export type JobInput<Name extends JobName> = Jobs[Name]['input'];
export type JobOutput<Name extends JobName> = Jobs[Name]['output'];
export type JobProgress<Name extends JobName> = Jobs[Name]['progress'];

/** What the page sends, and what comes back with the same ticket: how far it is, then how it ended. */
export interface JobRequest {
  readonly ticket: number;
  readonly name: JobName;
  readonly input: unknown;
}
export type JobReply =
  | { readonly ticket: number; readonly type: 'progress'; readonly progress: unknown }
  | { readonly ticket: number; readonly type: 'done'; readonly output: unknown }
  | { readonly ticket: number; readonly type: 'failed'; readonly problem: string };

export interface OpenedPicture {
  readonly width: number;
  readonly height: number;
  /** The picture made small, to be looked at. */
  readonly preview: Blob;
}

export interface PalettePicture {
  readonly colours: readonly PictureColour[];
  /** The picture made small, to be looked at and recoloured: its pixels, row by row. */
  readonly small: { readonly width: number; readonly height: number; readonly rgba: Uint8ClampedArray<ArrayBuffer> };
}
