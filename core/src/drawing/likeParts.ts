import {
  flattenPath,
  polylineLength,
  regionArea,
  ringArea,
  unite,
  type Polyline,
  segmentsOf,
} from '../geometry/index.ts';
import type { Part } from '../piece/index.ts';

/** Shapes whose measures differ by less than this share look alike to the eye. */
const ALIKE = 0.04;
const TOLERANCE_MM = 0.05;

interface Measures {
  readonly part: Part;
  readonly figures: readonly number[];
}

/**
 * Puts parts into groups that are worked alike: of one kind and colour, and alike in area, outline and how far that lies
 * from its middle, whichever way they are turned or mirrored.
 */
export function groupLikeParts(parts: readonly Part[]): Part[] {
  const groups: Measures[][] = [];
  for (const part of parts) {
    const measures = { part, figures: measure(part) };
    const group = groups.find(([first]) => isLike(first!, measures));
    if (group) group.push(measures);
    else groups.push([measures]);
  }
  const groupOf = new Map<string, string>();
  let count = 0;
  for (const group of groups.filter((members) => members.length > 1)) {
    const id = `g${++count}`;
    for (const { part } of group) groupOf.set(part.id, id);
  }
  return parts.map((part) => ({ ...part, group: groupOf.get(part.id) ?? null }));
}

function measure(part: Part): number[] {
  const runs = flattenPath(part.path, TOLERANCE_MM);
  const rings = runs.map((run) => run.points);
  const area = part.kind === 'area' ? areaOf(rings, part.fillRule) : 0;
  const length = runs.reduce((sum, run) => sum + polylineLength(run), 0);
  return [Math.sqrt(area), length, reachOf(runs), part.strokeMm ?? 0];
}

/** The root of the mean square of the distance of lines from their common middle; the corners themselves where they have no length. */
function reachOf(runs: readonly Polyline[]): number {
  let [weight, sumX, sumY, squares] = [0, 0, 0, 0];
  for (const run of runs) {
    for (const [[ax, ay], [bx, by]] of segmentsOf(run)) {
      const length = Math.sqrt((bx - ax) ** 2 + (by - ay) ** 2);
      const [mx, my] = [(ax + bx) / 2, (ay + by) / 2];
      weight += length;
      sumX += mx * length;
      sumY += my * length;
      // A segment's own spread about its middle is a twelfth of its length squared.
      squares += (mx * mx + my * my + (length * length) / 12) * length;
    }
  }
  if (weight === 0) return 0;
  return Math.sqrt(Math.max(0, squares / weight - (sumX / weight) ** 2 - (sumY / weight) ** 2));
}

function areaOf(rings: readonly Float64Array[], rule: Part['fillRule']): number {
  return rings.length === 1 ? Math.abs(ringArea(rings[0]!)) : regionArea(unite(rings, rule));
}

/**
 * Parts that are alike in shape to one of some, but in other colours: petals of two shades. What such sets share can be set for all of them at once.
 */
export function likeInOtherColours(parts: readonly Part[], some: readonly Part[]): Part[] {
  const measures = some.map((part) => ({ part, figures: measure(part) }));
  const colours = new Set(some.map(({ colour }) => colour));
  return parts.filter((part) => {
    const rivals = measures.filter((own) => own.part.kind === part.kind);
    if (!part.shown || colours.has(part.colour) || rivals.length === 0) return false;
    const measured = { part, figures: measure(part) };
    return rivals.some((own) => isOneShape(own, measured));
  });
}

/** Parts in sets that are worked alike: their groups, and parts of one shape in other colours. */
export function likeSets(parts: readonly Part[]): Part[][] {
  const sets: { first: Measures; parts: Part[] }[] = [];
  for (const part of parts) {
    const own = { part, figures: measure(part) };
    const set = sets.find(({ first }) => {
      if (first.part.kind !== part.kind || first.part.dashed !== part.dashed) return false;
      return (part.group !== null && first.part.group === part.group) || isOneShape(first, own);
    });
    if (set) set.parts.push(part);
    else sets.push({ first: own, parts: [part] });
  }
  return sets.map((set) => set.parts);
}

function isLike(a: Measures, b: Measures): boolean {
  const sameKind = a.part.kind === b.part.kind && a.part.colour === b.part.colour && a.part.dashed === b.part.dashed;
  return sameKind && isOneShape(a, b);
}

function isOneShape(a: Measures, b: Measures): boolean {
  return a.figures.every((figure, i) => Math.abs(figure - b.figures[i]!) <= ALIKE * Math.max(figure, b.figures[i]!));
}
