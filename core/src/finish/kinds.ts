import type { Polyline, Region } from '../geometry/index.ts';
import type { Cloth, ThreadId } from '../materials/index.ts';
import type { End } from '../piece/index.ts';
import type { RemovalAct } from '../transfer/index.ts';
import type { PlannedPass } from '../work/index.ts';
import type { Heights } from './puffed.ts';

/** What can be done with a piece after its last stitch. */
export type FinishAct =
  | RemovalAct
  | 'look-over'
  | 'tails'
  | 'stretch'
  | 'pins-out'
  | 'bind-ring'
  | 'tighten'
  | 'trim'
  | 'gather'
  | 'disc'
  | 'loop'
  | 'board'
  | 'lace'
  | 'web'
  | 'backing'
  | 'edge'
  | 'cut-close'
  | 'peel'
  | 'iron-on'
  | 'corners'
  | 'sew-on'
  | 'cut-out'
  | 'seam'
  | 'notch'
  | 'turn'
  | 'stuff'
  | 'close'
  | 'cord'
  | 'window'
  | 'mount'
  | 'fold'
  | 'panels'
  | 'anchor-knots'
  | 'scallops'
  | 'scallop-knots'
  | 'fringe'
  | 'sew-fringe'
  | 'care';

/** Amounts by name: the end of the name is the unit (`Mm`, `Mm2`, `Mm3`, `G`), a name without one counts. */
export type Amounts = Readonly<Record<string, number>>;

/** One thing to do, in its place. */
export interface FinishStep {
  readonly id: FinishAct;
  readonly text: string;
  readonly amounts: Amounts;
  readonly seconds: number;
  /** What can hurt or spoil here. */
  readonly caution: string | null;
}

/** Something that is needed besides what is stitched. */
export interface FinishMaterial {
  readonly id: string;
  readonly name: string;
  readonly quantity: number;
  readonly unit: 'mm' | 'mm2' | 'g' | 'pieces';
  /** Its size or kind, in words; lengths in mm are told by `sizeMm`. */
  readonly sizeMm: readonly [number, number] | null;
  /** The id of a shop's goods that it is, where shops have it. */
  readonly goods: string | null;
  /** Thread of the piece: its colour in the palette, its kind, and its needle loads; null: something else. */
  readonly thread: { readonly colour: string; readonly kind: ThreadId; readonly loads: number } | null;
}

/** What a line of a template says: sew here, cut here, fold, stitch over it, or only a mark. */
export type TemplateLineKind = 'seam' | 'cut' | 'fold' | 'stitch' | 'mark';

export interface TemplateLine {
  readonly kind: TemplateLineKind;
  readonly line: Polyline;
}

/** A shape to cut or draw by, at true size, in mm. */
export interface Template {
  readonly id: string;
  readonly name: string;
  readonly lines: readonly TemplateLine[];
}

/** What stands against an end, or must be known first. */
export interface FinishProblem {
  readonly id:
    | 'no-hoop'
    | 'out-of-the-hoop'
    | 'two-islands'
    | 'closed-bay'
    | 'cuts-into-work'
    | 'cloth-too-small'
    | 'card-too-small'
    | 'panel-too-small'
    | 'scallop-too-wide'
    | 'board-too-small'
    | 'water-needed'
    | 'no-iron'
    | 'nothing-stitched';
  /** Whether the end can't be worked so. */
  readonly stops: boolean;
  readonly text: string;
}

/** How the finished thing looks, for its picture. */
export interface FinishLook {
  /** Its outline with its holes, on the cloth, mm. */
  readonly form: Region;
  /** What it lies, hangs or stands on. */
  readonly ground: { readonly kind: 'wall' | 'table' | 'cloth'; readonly cloth: Cloth | null; readonly colour: string };
  /** Stitches along its edge, over everything. */
  readonly edges: readonly { readonly pass: PlannedPass; readonly colour: string }[];
  /** How high a stuffed thing stands. */
  readonly heights: Heights | null;
  /** Where a cord or loop hangs it, and lines of fringe and seams about it. */
  readonly lines: readonly {
    readonly kind: 'cord' | 'fringe' | 'seam';
    readonly line: Polyline;
    readonly widthMm: number;
  }[];
  /** Card or board about a window. */
  readonly frame: { readonly form: Region; readonly colour: string } | null;
  readonly isHooped: boolean;
}

export interface FinishPlan {
  readonly end: End;
  readonly steps: readonly FinishStep[];
  readonly materials: readonly FinishMaterial[];
  readonly templates: readonly Template[];
  readonly problems: readonly FinishProblem[];
  readonly look: FinishLook;
  /** The piece of the stitched cloth that it takes, across and upright, mm; null: any that holds the work. */
  readonly clothMm: readonly [number, number] | null;
  /** Whether a line that was drawn to sew along holds the design. */
  readonly hasDrawn: boolean;
  /** How it is cared for. */
  readonly care: string;
  readonly seconds: number;
  /** Thread of the piece's colours that its edges take, with slack; sewing thread is a material, mm. */
  readonly threadMm: number;
}
