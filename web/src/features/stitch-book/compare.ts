import { explained, planPass, wholeWidth, workSettings, type PlannedPass, type OwnFactors } from '@junctura/core/work';
import { looseShape, type PlacedShape } from '@junctura/core/drawing';
import { boxOf } from '@junctura/core/geometry';
import type { UnitSystem } from '@junctura/core/measure';
import { emptyPiece, type Pass } from '@junctura/core/piece';
import { clothShowing } from '@junctura/core/stitches';
import { cropped } from '../../picture/cropped.ts';
import { loadSettings, timeAlone, type WorkTime } from '@junctura/core/thread';
import type { Sample } from '@junctura/core/paper';

/** How much of a large part is worked to be compared, mm. */
const SHOWN_MM = 30;
const ROOM_MM = 1.5;
const piece = emptyPiece('compare', 'Compare');
/** The direction where none was chosen, degrees. */
export const USUAL_DEG = 60;

function ring(corners: number, at: (turn: number) => [x: number, y: number]): Float64Array {
  return Float64Array.from({ length: corners * 2 }, (_, i) => at((2 * Math.PI * (i >> 1)) / corners)[i % 2]!);
}

const area = (id: string, outline: Float64Array): PlacedShape =>
  looseShape(id, 'area', { region: [outline], lines: [], spots: new Float64Array(0) });

/** Shapes that ship with the book, for when one has no part of one's own at hand. */
export const SHIPPED_SHAPES: readonly { readonly id: string; readonly name: string; readonly placed: PlacedShape }[] = [
  {
    id: 'leaf',
    name: 'A leaf',
    placed: area(
      'leaf',
      ring(96, (t) => [10 * Math.cos(t), 5.2 * Math.sin(t) * Math.abs(Math.sin(t)) ** 0.35]),
    ),
  },
  {
    id: 'petal',
    name: 'A petal',
    placed: area(
      'petal',
      ring(96, (t) => [9 * Math.cos(t), 5.5 * Math.sin(t) * (1 + 0.5 * Math.cos(t))]),
    ),
  },
  {
    id: 'disc',
    name: 'A disc',
    placed: area(
      'disc',
      ring(120, (t) => [6 * Math.cos(t), 6 * Math.sin(t)]),
    ),
  },
];

/** One way of working a shape, with what one compares. */
export interface Comparison {
  readonly sample: Sample;
  readonly pass: PlannedPass;
  readonly time: WorkTime;
  /** The share of the shape in which cloth shows. */
  readonly showing: number;
  /** What its figures are made of, in sentences. */
  readonly why: readonly string[];
}

/** @param as how the shape is worked: its stitch, thread and direction, and what differs from the usual */
export function compareOn(placed: PlacedShape, as: Pass, factors: OwnFactors, units: UnitSystem): Comparison {
  const shape = cropped(placed, SHOWN_MM);
  const angleDeg = as.angleDeg ?? USUAL_DEG;
  const pass = planPass(shape, { ...as, shades: [], angleDeg, reason: '' }, workSettings(piece, 1, factors));
  const box = boxOf(shape.shape.region) ?? { minX: 0, minY: 0, maxX: 1, maxY: 1 };
  const whole = wholeWidth(pass);
  const knotMm = whole?.of === 'knot' ? whole.widthMm : 0;
  return {
    pass,
    time: timeAlone(pass, loadSettings(piece)),
    why: explained(pass, shape.areaMm2, units),
    showing: clothShowing(pass.path, pass.laidMm, shape.shape.region, knotMm),
    sample: {
      pass,
      box: { minX: box.minX - ROOM_MM, minY: box.minY - ROOM_MM, maxX: box.maxX + ROOM_MM, maxY: box.maxY + ROOM_MM },
    },
  };
}
