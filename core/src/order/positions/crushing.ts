import { placesOf, placeAt } from '../../geometry/index.ts';
import { innerHalvesMm, outerHalvesMm } from '../../materials/index.ts';
import { type PlacedShape, hoopAt, pointsOf, insideEllipseMm } from '../../drawing/index.ts';
import { Memory } from '../../measure/index.ts';
import { holdingOf } from './units.ts';
import type { Hoop, HoopPlace } from '../../piece/index.ts';
import { type PlannedPart, isRaised } from '../../work/index.ts';
import { Move, type StitchPath } from '../../stitches/index.ts';
import { threadOfStep } from '../portions.ts';
import type { WorkOrder } from '../workOrder.ts';

/** A raised part on which a later position lays the ring. */
export interface Crushed {
  readonly partId: string;
  /** Positions by their number, from 1. */
  readonly workedIn: number;
  readonly crushedBy: number;
}

/** Of every raised part: the positions that hold some of it, and those whose ring lies on it. */
export interface RaisedPart {
  readonly partId: string;
  readonly heldBy: readonly number[];
  readonly underRingOf: readonly number[];
}

/** What the rings of all positions do to raised work. */
export function raisedParts(
  parts: readonly PlannedPart[],
  hoop: Hoop,
  middles: readonly HoopPlace[],
  memory: Memory,
): RaisedPart[] {
  const numbers = middles.map((_, k) => k);
  return parts.filter(isRaised).map(({ placed }) => ({
    partId: placed.partId,
    heldBy: holdingOf(placed, hoop, middles, memory).positions,
    underRingOf: numbers.filter((k) => isUnderRing(placed, hoop, middles[k]!)),
  }));
}

/** A raised part is worked in the first position that holds it; every later ring on it crushes it. */
export function crushedIn(positions: readonly number[], raised: readonly RaisedPart[]): Crushed[] {
  return raised.flatMap(({ partId, heldBy: holding, underRingOf }): Crushed[] => {
    const workedIn = positions.findIndex((k) => holding.includes(k));
    const crushedBy = positions.findIndex((k, at) => workedIn >= 0 && at > workedIn && underRingOf.includes(k));
    return crushedBy < 0 ? [] : [{ partId, workedIn: workedIn + 1, crushedBy: crushedBy + 1 }];
  });
}

/** Raised work on which an order lays the ring after it was worked. */
export function crushedParts(
  order: WorkOrder,
  parts: readonly PlannedPart[],
  hoop: Hoop,
  middles: readonly HoopPlace[],
  memory = new Memory(),
): Crushed[] {
  if (middles.length < 2) return [];
  const worked = new Map<string, number>();
  const lastWith = new Map<number, number>();
  order.forEach(({ part, position }, at) => {
    worked.set(part, at);
    lastWith.set(position, at);
  });
  const byId = new Map(parts.map((planned) => [planned.part.id, planned]));
  const isLater = (k: number, position: number, at: number): boolean => k !== position && (lastWith.get(k) ?? -1) > at;
  return raisedParts(parts, hoop, middles, memory).flatMap(({ partId, underRingOf }): Crushed[] => {
    const at = worked.get(partId);
    if (at === undefined) return [];
    const { position } = order[at]!;
    const crushedBy = underRingOf.find((k) => isLater(k, position, at));
    if (crushedBy !== undefined) return [{ partId, workedIn: position + 1, crushedBy: crushedBy + 1 }];
    // What is larger than the hoop: a portion that was worked, and the ring of a later one.
    for (const [place, step] of order.entries()) {
      if (step.part !== partId || !step.isPortion) continue;
      const { path } = threadOfStep(byId.get(partId), step, hoop, middles, memory)!;
      const ring = underRingOf.find(
        (k) => isLater(k, step.position, place) && liesUnderRing([needlePlaces(path)], hoop, middles[k]!),
      );
      if (ring !== undefined) return [{ partId, workedIn: step.position + 1, crushedBy: ring + 1 }];
    }
    return [];
  });
}

/** Where the needle goes through the cloth, `x, y` flat. */
function needlePlaces({ codes, xy }: StitchPath): Float64Array {
  const places: number[] = [];
  codes.forEach((code, i) => {
    if (code === Move.up || code === Move.down) places.push(...placeAt(xy, i));
  });
  return Float64Array.from(places);
}

function isUnderRing({ shape }: PlacedShape, hoop: Hoop, middle: HoopPlace): boolean {
  return liesUnderRing(pointsOf(shape), hoop, middle);
}

function liesUnderRing(arrays: Iterable<Float64Array>, hoop: Hoop, middle: HoopPlace): boolean {
  const [x, y] = middle;
  const ring = hoopAt(hoop, middle);
  const [innerA, innerB] = innerHalvesMm(ring);
  const [outerA, outerB] = outerHalvesMm(ring);
  for (const points of arrays) {
    for (const [ox, oy] of placesOf(points)) {
      const [px, py] = [ox - x, oy - y];
      if (insideEllipseMm(px, py, innerA, innerB) < 0 && insideEllipseMm(px, py, outerA, outerB) > 0) return true;
    }
  }
  return false;
}
