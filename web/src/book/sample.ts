import type { PlacedShape } from '@junctura/core/drawing';
import { boxOf, inscribedCircle, regionArea, type Box } from '@junctura/core/geometry';
import { emptyPiece } from '@junctura/core/piece';
import { planPass, workSettings, type PlannedPass } from '@junctura/core/plan';
import { stitchKind, type StitchId, type StitchShape } from '@junctura/core/stitches';

/** What a stitch is shown on in the book, mm. */
const NONE = new Float64Array(0);

/** A leaf lying along the x axis. */
function leaf(lengthMm: number, widthMm: number): Float64Array {
  const corners = 48;
  return Float64Array.from({ length: corners * 2 }, (_, i) => {
    const t = (i >> 1) / corners;
    const along = t < 0.5 ? t * 2 : 2 - t * 2;
    const side = t < 0.5 ? -1 : 1;
    return i % 2 ? (side * widthMm * Math.sin(Math.PI * along ** 0.85)) / 2 : lengthMm * (along - 0.5);
  });
}

/** A gentle wave along the x axis. */
function wave(lengthMm: number, heightMm: number): Float64Array {
  const points = 60;
  return Float64Array.from({ length: points * 2 }, (_, i) => {
    const t = (i >> 1) / (points - 1);
    return i % 2 ? heightMm * Math.sin(2 * Math.PI * t) : lengthMm * (t - 0.5);
  });
}

function shapeFor(id: StitchId): StitchShape {
  const { worksOn } = stitchKind(id);
  if (worksOn === 'area') return { region: [leaf(20, 11)], lines: [], spots: NONE };
  if (worksOn === 'line') return { region: [], lines: [{ points: wave(24, 2.4), closed: false }], spots: NONE };
  return { region: [], lines: [], spots: Float64Array.of(-6, 0, 0, -1.2, 6, 0.6) };
}

/** A stitch worked on the book's own leaf, wave or spots. */
export interface Sample {
  readonly pass: PlannedPass;
  readonly box: Box;
}

const ROOM_MM = 3.4;
const piece = emptyPiece('book', 'Stitch book');
const THREAD = 'stranded-cotton';

export function sampleOf(id: StitchId, strands = stitchKind(id).usualStrands): Sample {
  const shape = shapeFor(id);
  const arrays = [
    ...shape.region,
    ...shape.lines.map((line) => line.points),
    ...(shape.spots.length > 0 ? [shape.spots] : []),
  ];
  const bounds = boxOf(arrays)!;
  const placed: PlacedShape = {
    partId: 'sample',
    kind: stitchKind(id).worksOn,
    shape,
    areaMm2: regionArea(shape.region),
    lengthMm: 0,
    box: bounds,
    widest: inscribedCircle(shape.region),
    meanWidthMm: 0,
    isPartlyHidden: false,
  };
  const pass = { stitch: id, params: {}, angleDeg: 60, thread: THREAD, strands, reason: '' };
  return {
    pass: planPass(placed, pass, workSettings(piece, 1)),
    box: {
      minX: bounds.minX - ROOM_MM,
      minY: bounds.minY - ROOM_MM * 1.4,
      maxX: bounds.maxX + ROOM_MM,
      maxY: bounds.maxY + ROOM_MM,
    },
  };
}

/** What 100 mm of a line, 10 cm² of an area or ten spots take, worked out on a shape of that size, mm of needle thread. */
export function threadFor(id: StitchId, strands: number): { amount: string; threadMm: number; seconds: number } {
  const { worksOn } = stitchKind(id);
  const square = Float64Array.of(0, 0, 31.62, 0, 31.62, 31.62, 0, 31.62);
  const shapes: Record<typeof worksOn, { amount: string; shape: StitchShape }> = {
    area: { amount: '10 cm²', shape: { region: [square], lines: [], spots: NONE } },
    line: {
      amount: '100 mm',
      shape: { region: [], lines: [{ points: Float64Array.of(0, 0, 100, 0), closed: false }], spots: NONE },
    },
    spot: {
      amount: 'ten',
      shape: { region: [], lines: [], spots: Float64Array.from({ length: 20 }, (_, i) => (i % 2 ? 0 : i * 2)) },
    },
  };
  const { amount, shape } = shapes[worksOn];
  const placed: PlacedShape = {
    partId: 'measure',
    kind: worksOn,
    shape,
    areaMm2: worksOn === 'area' ? 1000 : 0,
    lengthMm: 100,
    box: null,
    widest: null,
    meanWidthMm: 0,
    isPartlyHidden: false,
  };
  const pass = { stitch: id, params: {}, angleDeg: 0, thread: THREAD, strands, reason: '' };
  const { quantities } = planPass(placed, pass, workSettings(piece, 1));
  return { amount, threadMm: quantities.threadMm, seconds: quantities.seconds };
}
