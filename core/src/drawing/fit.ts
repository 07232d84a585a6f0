import { boxOf, convexHull, mapPoints, smallestCircle, turning, type Circle } from '../geometry/index.ts';
import { AIR_MM, HOOP_SIZES_MM, innerDiameterMm, innerHalvesMm, type HoopSize } from '../materials/index.ts';
import { plainHoop, SCALES, type Piece, type Placement, type PlanInput } from '../piece/index.ts';
import { designPoints } from './designCircle.ts';
import { clearInHoopMm } from './hoopRoom.ts';

/** A hoop to fit into, with the air that is wanted to its ring. */
export interface Room extends HoopSize {
  readonly airMm: number;
}

/** The room that is left where more air is wanted than there is, mm. */
const LEAST_ROOM_MM = 0.5;

/** Half the room that is left inside the air, across and up and down, mm; no less than a hair. */
export function roomHalvesMm(hoop: Room): readonly [across: number, upright: number] {
  const [a, b] = innerHalvesMm(hoop);
  return [Math.max(LEAST_ROOM_MM, a - hoop.airMm), Math.max(LEAST_ROOM_MM, b - hoop.airMm)];
}

/** Whether a design keeps its size whatever the hoop does: it was set, or lies in several positions, or there is no hoop. */
export function keepsSize({ placement, positions, hoop }: Pick<Piece, 'placement' | 'positions' | 'hoop'>): boolean {
  return placement.isSizeSet || positions.length > 1 || hoop === null;
}

/** The placement under which a design fills a hoop up to its air, in the middle: an oval by its best turn. */
export function fitToHoop(piece: PlanInput, hoop: Room): Placement {
  const points = designPoints(piece);
  const [a, b] = roomHalvesMm(hoop);
  const circle = smallestCircle([points]);
  if (!circle || circle.r === 0) return piece.placement;
  if (a === b) return centred(piece.placement, circle, a / circle.r);
  const best = bestTurn(points, a / b);
  const hull = hullOf(points);
  const aboutMiddle = mapPoints(turning(best.turnDeg), hull).map((value, k) => value - (k % 2 ? best.y : best.x));
  const factor = largestFactor(aboutMiddle, hoop);
  return centred(turned(piece.placement, best.turnDeg), best, factor);
}

/** Halvings of a range of sizes: enough for a thousandth of a millimetre. */
const HALVINGS = 40;

/** How many times as large points about the middle may become to keep the air to a ring: an oval less its air is no oval, so it is tried. */
function largestFactor(points: Float64Array, hoop: Room): number {
  const airMm = Math.min(hoop.airMm, Math.min(...innerHalvesMm(hoop)) - LEAST_ROOM_MM);
  const keepsAir = (factor: number): boolean =>
    clearInHoopMm([points.map((value) => value * factor)], hoop, [[0, 0]]) >= airMm;
  let [low, high] = [0, 1];
  while (keepsAir(high) && high < 1e6) [low, high] = [high, high * 2];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    if (keepsAir(middle)) low = middle;
    else high = middle;
  }
  return low;
}

function hullOf(points: Float64Array): Float64Array {
  return Float64Array.from(convexHull([points]).flatMap(({ x, y }) => [x, y]));
}

/** A full turn brings nothing new after a half. */
const TURN_STEP_DEG = 3;

/**
 * The turn under which points take least room in an oval. Squeezed by its aspect the oval is a circle, so that for any turn the smallest
 * circle around the squeezed points says how large it must be.
 */
function bestTurn(points: Float64Array, aspect: number): Circle & { turnDeg: number } {
  const hull = hullOf(points);
  const at = (turnDeg: number): Circle & { turnDeg: number } => {
    const [a, b, c, d] = turning(turnDeg);
    const squeezed = mapPoints([a, b * aspect, c, d * aspect, 0, 0], hull);
    const { x, y, r } = smallestCircle([squeezed])!;
    return { x, y: y / aspect, r, turnDeg };
  };
  let best = at(0);
  for (let step = TURN_STEP_DEG; step > 0.05; step /= 4) {
    const around = best.turnDeg;
    const reach = step === TURN_STEP_DEG ? 90 : step * 4;
    for (let turnDeg = around - reach; turnDeg <= around + reach; turnDeg += step) {
      const tried = at(turnDeg);
      // A turn off the grain must be worth it.
      if (tried.r < best.r * 0.9999) best = tried;
    }
  }
  return best;
}

/** The placement under which a design becomes `factor` times as large, in the middle of the hoop. */
export function centred(placement: Placement, circle: Circle, factor: number): Placement {
  // What is kept is within its bounds to the last bit, so it is not reckoned back from the factor.
  const scale = Math.min(SCALES.most, Math.max(SCALES.least, placement.scale * factor));
  const bounded = scale / placement.scale;
  return {
    ...placement,
    scale,
    xMm: (placement.xMm - circle.x) * bounded,
    yMm: (placement.yMm - circle.y) * bounded,
  };
}

/**
 * The placement under which a design is so wide, or so high, in the middle of the hoop. It is measured as the piece stands now, not as it was
 * planned last.
 */
export function resized(piece: PlanInput, sizeMm: number, side: 'width' | 'height'): Placement {
  const points = designPoints(piece);
  const [box, circle] = [boxOf([points]), smallestCircle([points])];
  if (!box || !circle) return piece.placement;
  const nowMm = side === 'width' ? box.maxX - box.minX : box.maxY - box.minY;
  return nowMm > 0 ? { ...centred(piece.placement, circle, sizeMm / nowMm), isSizeSet: true } : piece.placement;
}

/** The placement under which the middle of a design lies so far right of the hoop's, or below it, mm. */
export function movedTo(piece: PlanInput, axis: 'xMm' | 'yMm', toMm: number): Placement {
  const circle = smallestCircle([designPoints(piece)]);
  if (!circle) return piece.placement;
  const byMm = toMm - (axis === 'xMm' ? circle.x : circle.y);
  return { ...piece.placement, [axis]: piece.placement[axis] + byMm };
}

/** The placement turned back onto the straight grain: as it was drawn. */
export function onTheGrain(placement: Placement): Placement {
  return turned(placement, -placement.turnDeg);
}

/** The placement turned about the middle of the hoop, anticlockwise as seen. */
export function turned(placement: Placement, byDeg: number): Placement {
  const [cos, sin] = turning(byDeg);
  const turnDeg = ((((placement.turnDeg + byDeg) % 360) + 540) % 360) - 180;
  return {
    ...placement,
    turnDeg,
    xMm: cos * placement.xMm - sin * placement.yMm,
    yMm: sin * placement.xMm + cos * placement.yMm,
  };
}

/** The placement mirrored left to right about the middle of the hoop. */
export function mirrored(placement: Placement): Placement {
  return { ...placement, mirrored: !placement.mirrored, turnDeg: -placement.turnDeg, xMm: -placement.xMm };
}

const USUAL_HOOP_MM = 150;

/**
 * A hoop for a new drawing: the smallest that takes it at its own size with the usual air. A drawing whose size was set keeps it: where no
 * hoop takes it, it has none. Any other is made to fit the usual hoop, and very small ones are enlarged to the smallest.
 */
export function settleInHoop(piece: Piece, circle: Circle): Piece {
  const room = (nominalMm: number): number => innerDiameterMm(nominalMm) / 2 - AIR_MM.usual;
  const own = HOOP_SIZES_MM.find((nominalMm) => room(nominalMm) >= circle.r);
  if (piece.placement.isSizeSet) {
    const hoop = own === undefined ? null : plainHoop(own, AIR_MM.usual);
    return { ...piece, hoop, placement: centred(piece.placement, circle, 1) };
  }
  const isTiny = circle.r < room(HOOP_SIZES_MM[0]) / 2;
  const hoop = plainHoop(own ?? USUAL_HOOP_MM, AIR_MM.usual);
  const placement = own !== undefined && !isTiny ? centred(piece.placement, circle, 1) : fitToHoop(piece, hoop);
  return { ...piece, hoop, placement };
}
