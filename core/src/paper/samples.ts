import { planPass, workSettings, type OwnFactors, type PlannedPass, USUAL_FACTORS } from '../work/index.ts';
import { looseShape } from '../drawing/index.ts';
import { boxOf, type Box } from '../geometry/index.ts';
import { DEFAULT_THREAD, type ThreadId } from '../materials/index.ts';
import { emptyPiece, plainPass } from '../piece/index.ts';
import { loadSettings, timeAlone, type WorkTime } from '../thread/index.ts';
import { placesOnPath, stitchKind, type GivenParams, type StitchId, type StitchShape } from '../stitches/index.ts';

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
  const isWide = 'radiusMm' in stitchKind(id).params || 'outerMm' in stitchKind(id).params;
  const spots = isWide ? Float64Array.of(0, 0) : Float64Array.of(-8, 0, 0, -1.2, 8, 0.6);
  return { region: [], lines: [], spots };
}

/** A stitch worked on the book's own leaf, wave or spots. */
export interface Sample {
  readonly pass: PlannedPass;
  readonly box: Box;
}

const ROOM_MM = 3;
const piece = emptyPiece('book', 'Stitch book');

export function sampleOf(
  id: StitchId,
  strands = stitchKind(id).usualStrands,
  thread: ThreadId = DEFAULT_THREAD,
): Sample {
  const shape = shapeFor(id);
  const arrays = [
    ...shape.region,
    ...shape.lines.map((line) => line.points),
    ...(shape.spots.length > 0 ? [shape.spots] : []),
  ];
  const placed = looseShape('sample', stitchKind(id).worksOn, shape);
  const pass = { ...plainPass(id, thread, strands), angleDeg: 60, reason: '' };
  const planned = planPass(placed, pass, workSettings(piece, 1, USUAL_FACTORS));
  return { pass: planned, box: framed(boxOf([...arrays, placesOnPath(planned.path)])!) };
}

/** A spot stitch alone, with a little room around it. */
export function oneSpot(id: StitchId, strands: number, params: GivenParams, thread: ThreadId = DEFAULT_THREAD): Sample {
  const placed = looseShape('spot', 'spot', { region: [], lines: [], spots: Float64Array.of(0, 0) });
  const pass = { ...plainPass(id, thread, strands), params, angleDeg: 0, reason: '' };
  return {
    pass: planPass(placed, pass, workSettings(piece, 1, USUAL_FACTORS)),
    box: { minX: -2, minY: -2, maxX: 2, maxY: 2 },
  };
}

/** A sample has air around it, and all of a family are seen at much the same size. */
const LEAST_MM = { width: 24, height: 11 } as const;

function framed({ minX, minY, maxX, maxY }: Box): Box {
  const halfX = Math.max(LEAST_MM.width, maxX - minX + ROOM_MM) / 2;
  const halfY = Math.max(LEAST_MM.height, maxY - minY + ROOM_MM) / 2;
  const [x, y] = [(minX + maxX) / 2, (minY + maxY) / 2];
  return { minX: x - halfX, minY: y - halfY, maxX: x + halfX, maxY: y + halfY };
}

/** What 100 mm of a line, 10 cm² of an area or ten spots take, worked out on a shape of that size, mm of needle thread. */
export function threadFor(
  id: StitchId,
  strands: number,
  thread: ThreadId,
  own: OwnFactors,
): { amount: string; threadMm: number; time: WorkTime } {
  const { worksOn } = stitchKind(id);
  // As wide as spans may be: a square would be spanned from side to side.
  const band = Float64Array.of(0, 0, 125, 0, 125, 8, 0, 8);
  const shapes: Record<typeof worksOn, { amount: string; shape: StitchShape }> = {
    area: { amount: '10 cm²', shape: { region: [band], lines: [], spots: NONE } },
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
  const placed = looseShape('measure', worksOn, shape);
  const pass = { ...plainPass(id, thread, strands), angleDeg: 90, reason: '' };
  const planned = planPass(placed, pass, workSettings(piece, 1, own));
  return { amount, threadMm: planned.quantities.threadMm, time: timeAlone(planned, loadSettings(piece)) };
}
