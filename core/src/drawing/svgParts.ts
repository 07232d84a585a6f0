import { parseJson, shortened } from '../measure/index.ts';
import {
  boxOf,
  intersect,
  pathData,
  polylineLength,
  regionArea,
  ringArea,
  subtractFromLines,
  unite,
  type FlatRun,
  type Polyline,
  type Region,
} from '../geometry/index.ts';
import { flattenPath } from '../geometry/index.ts';
import { newColour, newPart, type PaletteColour, type Part } from '../piece/index.ts';
import { isMadeUpName, namedByPlace, type ReadPart } from './nameByPlace.ts';
import type { ClipShape, DrawnShape } from './svg/walk.ts';

/** Curves that must be flattened for cutting keep within this, mm on the drawing. */
const CUT_TOLERANCE_MM = 0.01;
/** Areas and lines below this are not there to be stitched. */
const LEAST_AREA_MM2 = 1e-3;
const LEAST_LENGTH_MM = 1e-3;

/** Makes parts of drawn shapes: a fill becomes an area, a stroke a line (or spots where it has no length). */
export function partsOf(
  shapes: readonly DrawnShape[],
  keptPalette: readonly PaletteColour[] | null = null,
): { parts: Part[]; palette: PaletteColour[] } {
  const known = keptPalette ?? [];
  const parts: ReadPart[] = [];
  const palette = new Map<string, PaletteColour>(known.map((colour) => [colour.hex, colour]));
  const colourIds = new Set(known.map(({ id }) => id));
  const nextColour = (): string => {
    let n = palette.size + 1;
    while (colourIds.has(`c${n}`)) n++;
    colourIds.add(`c${n}`);
    return `c${n}`;
  };
  const ids = new Set<string>();
  const colourOf = (hex: string): string => {
    const colour = palette.get(hex) ?? newColour({ id: nextColour(), hex });
    palette.set(hex, colour);
    return colour.id;
  };
  const uniqueId = (wanted: string): string => {
    let id = wanted;
    for (let n = 2; ids.has(id); n++) id = `${wanted}-${n}`;
    ids.add(id);
    return id;
  };
  const add = (
    shape: DrawnShape,
    runs: readonly FlatRun[],
    kind: Part['kind'],
    path: string,
    hex: string,
    outlined: number | null = null,
  ): void => {
    const base = shape.id === null ? `part-${parts.length + 1}` : shortened(shape.id, 100);
    const given = shape.label ?? shape.id ?? '';
    const part = newPart({
      id: uniqueId(outlined === null ? base : `${base}-outline`),
      name: shortened(given || kind, 200),
      kind,
      path,
      colour: colourOf(hex),
    });
    const kept = keptPalette ? keptOf(shape) : null;
    const own: Partial<Part> = kept
      ? { ...kept, id: part.id, kind, path }
      : {
          fillRule: shape.fillRule,
          opaque: kind === 'area' && shape.fill!.isOpaque,
          strokeMm: kind === 'area' ? null : Math.min(1000, Math.round(shape.strokeMm * 1000) / 1000),
          dashed: kind === 'line' && shape.dashed,
        };
    const box = boxOf(runs.map(({ points }) => points)) ?? { minX: 0, minY: 0, maxX: 0, maxY: 0 };
    const isKept = kept !== null;
    parts.push({ part: { ...part, ...own }, hex, box, outlined, isKept, isNameless: !isKept && isMadeUpName(given) });
  };
  for (const shape of shapes) {
    const runs = flattenPath(shape.path, CUT_TOLERANCE_MM);
    const clip = clipRegion(shape.clips);
    const area = shape.fill && areaPath(shape, runs, clip);
    const outlined = area ? parts.length : null;
    if (area) add(shape, runs, 'area', area, shape.fill!.hex);
    if (!shape.stroke) continue;
    const line = linePath(shape, runs, clip);
    if (line) add(shape, runs, 'line', line, shape.stroke.hex, outlined);
    const spots = spotPath(runs);
    if (spots && shape.roundCaps) add(shape, runs, 'spot', spots, shape.stroke.hex);
  }
  const added = [...palette.values()].filter((colour) => !known.includes(colour));
  return { parts: namedByPlace(parts), palette: [...known, ...added] };
}

/** What the file keeps of a part besides its shape. Whether it makes sense is checked with the whole piece. */
function keptOf({ kept }: DrawnShape): Partial<Part> | null {
  if (kept === null) return null;
  try {
    const value = parseJson(kept);
    return typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as Partial<Part>) : null;
  } catch {
    return null;
  }
}

function areaPath(shape: DrawnShape, runs: readonly FlatRun[], clip: Region | null): string | null {
  const rings = runs.filter((run) => run.points.length >= 6).map((run) => run.points);
  if (rings.length === 0) return null;
  // One plain ring needs no uniting to be seen to have an area.
  const isPlain =
    rings.length === 1 && shape.fillRule === 'nonzero' && Math.abs(ringArea(rings[0]!)) > 10 * LEAST_AREA_MM2;
  if (isPlain && !clip) return shape.path;
  const region = unite(rings, shape.fillRule);
  if (regionArea(region) < LEAST_AREA_MM2) return null;
  if (!clip) return shape.path;
  const cut = intersect(region, clip);
  return regionArea(cut) < LEAST_AREA_MM2 ? null : cut.map((ring) => pathData({ points: ring, closed: true })).join('');
}

function linePath(shape: DrawnShape, runs: readonly FlatRun[], clip: Region | null): string | null {
  const lines = runs.filter((run) => !run.isDot && polylineLength(run) > LEAST_LENGTH_MM);
  if (lines.length === 0) return null;
  if (!clip && lines.length === runs.length) return shape.path;
  const kept = clip ? lines.flatMap((line) => insideOf(line, clip)) : lines;
  return kept.length === 0 ? null : kept.map(pathData).join('');
}

/** The pieces of a line inside a region: what is left when the rest of its surroundings is cut away. */
function insideOf(line: Polyline, region: Region): Polyline[] {
  const far = 1e6;
  const outside = unite([Float64Array.of(-far, -far, far, -far, far, far, -far, far), ...region], 'evenodd');
  return subtractFromLines([line], outside);
}

function spotPath(runs: readonly FlatRun[]): string | null {
  const dots = runs.filter((run) => run.isDot);
  return dots.length === 0 ? null : dots.map(({ points }) => `M${points[0]} ${points[1]}h0`).join('');
}

function clipRegion(clips: readonly ClipShape[]): Region | null {
  let region: Region | null = null;
  for (const { paths } of clips) {
    const rings = paths.flatMap(({ path, rule }) =>
      unite(
        flattenPath(path, CUT_TOLERANCE_MM).map((run) => run.points),
        rule,
      ),
    );
    const one = unite(rings, 'nonzero');
    region = region ? intersect(region, one) : one;
  }
  return region;
}
