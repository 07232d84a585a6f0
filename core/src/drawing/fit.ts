import type { Circle } from '../geometry/index.ts';
import { AIR_MM, HOOP_SIZES_MM, innerDiameterMm } from '../materials/index.ts';
import type { Piece, Placement } from '../piece/index.ts';

/** The placement under which a design, now within `circle`, fills a hoop up to its air, in the middle. */
export function fitToHoop(placement: Placement, circle: Circle, hoop: { nominalMm: number; airMm: number }): Placement {
  const radius = innerDiameterMm(hoop.nominalMm) / 2 - hoop.airMm;
  return centred(placement, circle, radius / circle.r);
}

/** The placement under which a design becomes `factor` times as large, in the middle of the hoop. */
export function centred(placement: Placement, circle: Circle, factor: number): Placement {
  const bounded = Math.min(1e4, Math.max(1e-4, placement.scale * factor)) / placement.scale;
  return {
    ...placement,
    scale: placement.scale * bounded,
    xMm: (placement.xMm - circle.x) * bounded,
    yMm: (placement.yMm - circle.y) * bounded,
  };
}

/** The placement turned about the middle of the hoop, anticlockwise as seen. */
export function turned(placement: Placement, byDeg: number): Placement {
  const turn = (-byDeg * Math.PI) / 180;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
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
 * A hoop for a new drawing: the smallest that takes it at its own size with the usual air, or else the usual hoop with the
 * drawing made to fit. Very small drawings are enlarged to the smallest hoop.
 */
export function settleInHoop(piece: Piece, circle: Circle): Piece {
  const room = (nominalMm: number): number => innerDiameterMm(nominalMm) / 2 - AIR_MM.usual;
  const own = HOOP_SIZES_MM.find((nominalMm) => room(nominalMm) >= circle.r);
  const isTiny = circle.r < room(HOOP_SIZES_MM[0]) / 2;
  const hoop = { nominalMm: own ?? USUAL_HOOP_MM, airMm: AIR_MM.usual };
  const placement =
    own !== undefined && !isTiny ? centred(piece.placement, circle, 1) : fitToHoop(piece.placement, circle, hoop);
  return { ...piece, hoop, placement };
}
