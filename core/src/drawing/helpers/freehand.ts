import {
  inverse,
  mapPoints,
  meanScale,
  narrowestGap,
  polylineLength,
  type Matrix,
  placesOf,
  placeAt,
  type Place,
} from '../../geometry/index.ts';
import { edgesOf, type PlacedShape } from '../placedShape.ts';
import { alongEdges } from '../pictures/alongEdges.ts';
import { smoothPath, smoothRing } from '../pictures/smoothPath.ts';
import type { PictureBelow } from './colourBelow.ts';
import { dots, type HelperPart } from './helper.ts';

export interface FreehandOptions {
  /** What wobbles by less is smoothed away, mm. */
  readonly smoothMm: number;
  /** Ends this near to what is there, or to where the stroke began, are set upon it, mm. */
  readonly snapMm: number;
  /** The picture below, to whose edges and lines the stroke keeps where it runs near them. */
  readonly edges?: EdgesBelow | null;
}

/** A picture as it lies below the hoop. */
export interface EdgesBelow extends PictureBelow {
  /** A stroke is moved by no more than this, mm. */
  readonly reachMm: number;
}

/** Shorter than this a stroke was a slip, mm. */
const SHORTEST_MM = 1.5;

/**
 * What a person drew by hand as a part, smoothed, its ends set upon what is there.
 * @param points `x, y` flat, mm on the cloth
 * @returns null where it was a slip
 */
export function drawFreehand(
  kind: HelperPart['kind'],
  points: readonly number[],
  there: readonly PlacedShape[],
  { smoothMm, snapMm, edges }: FreehandOptions,
): HelperPart | null {
  const places = [...placesOf(points)];
  if (kind === 'spot') return places.length === 0 ? null : { name: 'Dot', kind, path: dots(places.slice(-1)) };
  const drawn = { points: Float64Array.from(points), closed: false };
  if (places.length < 2 || polylineLength(drawn) < SHORTEST_MM) return null;
  const [first, last] = [places[0]!, places.at(-1)!];
  const isRing = places.length > 3 && Math.hypot(first[0] - last[0], first[1] - last[1]) < snapMm;
  if (kind === 'area' || isRing) {
    if (places.length < 3) return null;
    const ring = onEdges(isRing ? places.slice(0, -1) : places, true, edges);
    const path = smoothRing(ring, smoothMm);
    return path === '' ? null : { name: kind === 'area' ? 'Area' : 'Circle', kind, path };
  }
  const line = onEdges(places, false, edges);
  line[0] = snapped(line[0]!, there, snapMm);
  line[line.length - 1] = snapped(line.at(-1)!, there, snapMm);
  return { name: 'Line', kind, path: smoothPath(line, smoothMm), strokeMm: 0.6 };
}

/** Places on the cloth set upon the edges of the picture below, if there is one to keep to. */
function onEdges(places: readonly Place[], closed: boolean, edges: EdgesBelow | null | undefined): Place[] {
  if (!edges) return [...places];
  const { picture, toPicture, reachMm } = edges;
  const moved = (matrix: Matrix, list: readonly Place[]): Place[] => {
    const points = mapPoints(matrix, Float64Array.from(list.flat()));
    return list.map((_, i) => placeAt(points, i));
  };
  return moved(
    inverse(toPicture),
    alongEdges(picture, moved(toPicture, places), closed, reachMm * meanScale(toPicture)),
  );
}

/** A place set upon the nearest edge or line of what is there. */
function snapped([x, y]: Place, there: readonly PlacedShape[], snapMm: number): Place {
  const here = [{ points: Float64Array.of(x, y, x, y), closed: false }];
  let [place, reach]: [Place, number] = [[x, y], snapMm];
  for (const { shape, box } of there) {
    if (!box || x < box.minX - reach || x > box.maxX + reach || y < box.minY - reach || y > box.maxY + reach) continue;
    const gap = narrowestGap(here, edgesOf(shape), reach);
    if (gap && gap.mm < reach) [place, reach] = [[gap.to[0], gap.to[1]], gap.mm];
  }
  return place;
}
