import svgpath from 'svgpath';
import {
  flattenPath,
  mapPoints,
  offsetLine,
  pathData,
  polylineLength,
  regionArea,
  reversedPath,
  simplifyLine,
  splitByLine,
  subtractFromLines,
  unite,
  inverse,
  type Polyline,
  type Region,
} from '../geometry/index.ts';
import { editOf, type Edit, type Part, type Piece, freeId } from '../piece/index.ts';
import { placementMatrix } from './placedShape.ts';
import * as say from './words.ts';

/** Curves that must be flattened to be cut or joined keep within this on the drawing, mm. */
const FLAT_MM = 0.01;
const DECIMALS = 3;
/** What is left of a cut below this is no part, mm² and mm. */
const LEAST_AREA_MM2 = 0.01;
const LEAST_LENGTH_MM = 0.1;
/** The knife that cuts a line is this wide, mm. */
const KNIFE_MM = 0.02;

function regionOf(part: Part): Region {
  const rings = flattenPath(part.path, FLAT_MM).filter(({ points }) => points.length >= 6);
  return unite(
    rings.map(({ points }) => points),
    part.fillRule,
  );
}

function areaPath(region: Region): string {
  return region.map((points) => pathData({ points, closed: true }, DECIMALS)).join('');
}

function replaced(piece: Piece, label: string, ids: ReadonlySet<string>, by: readonly Part[]): Edit | null {
  const at = piece.drawing.parts.map(({ id }) => ids.has(id)).lastIndexOf(true);
  const parts = piece.drawing.parts.flatMap((part, i) => (i === at ? by : ids.has(part.id) ? [] : [part]));
  return editOf(piece, label, [[['drawing', 'parts'], parts]]);
}

/** What is chosen for a part is kept; strokes that belonged to its old shape are not. */
function reshaped(part: Part, kind: Part['kind'], path: string): Part {
  const isSameKind = part.kind === kind;
  return {
    ...part,
    kind,
    path,
    fillRule: 'evenodd',
    group: isSameKind ? part.group : null,
    vein: null,
    borders: [],
    passes: isSameKind ? part.passes : null,
    opaque: kind === 'area',
    strokeMm: kind === 'area' ? null : (part.strokeMm ?? 0.5),
  };
}

/**
 * Cuts a part in two along a line.
 * @param line on the cloth, mm; it is carried straight on beyond its ends
 * @returns null where it does not cut the part
 */
export function cutPart(piece: Piece, partId: string, line: Polyline): Edit | null {
  const part = piece.drawing.parts.find(({ id }) => id === partId);
  if (!part || part.locked || part.kind === 'spot' || polylineLength(line) === 0) return null;
  const knife = mapPoints(inverse(placementMatrix(piece.placement)), line.points);
  const sides = part.kind === 'area' ? cutArea(part, knife) : cutLine(part, knife);
  if (sides.length < 2) return null;
  const taken = new Set(piece.drawing.parts.map(({ id }) => id));
  const pieces = sides.map((path, i): Part => {
    const id = i === 0 ? part.id : freeId(`${part.id} ${i + 1}`, taken);
    taken.add(id);
    return { ...reshaped(part, part.kind, path), id, name: `${part.name}, ${i + 1}`, group: null };
  });
  return replaced(piece, 'Cut a part in two', new Set([part.id]), pieces);
}

function cutArea(part: Part, knife: Float64Array): string[] {
  const { left, right } = splitByLine(regionOf(part), knife);
  return [left, right].filter((side) => regionArea(side) > LEAST_AREA_MM2).map(areaPath);
}

function cutLine(part: Part, knife: Float64Array): string[] {
  const blade = offsetLine({ points: knife, closed: false }, KNIFE_MM);
  const pieces = subtractFromLines(flattenPath(part.path, FLAT_MM), blade);
  return pieces.filter((line) => polylineLength(line) > LEAST_LENGTH_MM).map((line) => pathData(line, DECIMALS));
}

/** Makes one part of several of one kind: areas are united, lines and dots are taken together. The first picked names it. */
export function joinParts(piece: Piece, partIds: readonly string[]): Edit | null {
  const picked = partIds.flatMap((id) => piece.drawing.parts.find((part) => part.id === id && !part.locked) ?? []);
  const [first] = picked;
  if (!first || picked.length < 2 || picked.some(({ kind }) => kind !== first.kind)) return null;
  const path =
    first.kind === 'area'
      ? areaPath(unite(picked.flatMap(regionOf), 'nonzero'))
      : picked.map((part) => part.path).join('');
  return replaced(piece, say.joinParts(picked.length), new Set(picked.map(({ id }) => id)), [
    reshaped(first, first.kind, path),
  ]);
}

/** Turns areas into their outlines. */
export function outlineToLine(piece: Piece, partIds: readonly string[]): Edit | null {
  return eachPart(piece, partIds, 'Turn an area into its outline', (part) =>
    part.kind === 'area' ? reshaped(part, 'line', part.path) : null,
  );
}

/** Turns lines into areas: what goes round is filled, what does not is given its own drawn width. */
export function lineToArea(piece: Piece, partIds: readonly string[]): Edit | null {
  return eachPart(piece, partIds, 'Turn a line into an area', (part) => {
    if (part.kind !== 'line') return null;
    const runs = flattenPath(part.path, FLAT_MM);
    if (runs.every(({ closed }) => closed)) return reshaped(part, 'area', part.path);
    const widthMm = Math.max(0.2, part.strokeMm ?? 1);
    const broad = unite(
      runs.flatMap((run) => offsetLine(run, widthMm / 2)),
      'nonzero',
    );
    return regionArea(broad) > LEAST_AREA_MM2 ? reshaped(part, 'area', areaPath(broad)) : null;
  });
}

/** Leaves out of a part’s path what wobbles by less than a tolerance. */
export function simplifyParts(piece: Piece, partIds: readonly string[], toleranceMm: number): Edit | null {
  const onDrawing = toleranceMm / piece.placement.scale;
  return eachPart(piece, partIds, say.simplifyWithin(toleranceMm), (part) => {
    if (part.kind === 'spot') return null;
    const lines = flattenPath(part.path, Math.min(FLAT_MM, onDrawing / 4)).map((run) => simplifyLine(run, onDrawing));
    const kept = lines.filter((line) => polylineLength(line) > LEAST_LENGTH_MM / 10);
    return kept.length === 0 ? null : { ...part, path: kept.map((line) => pathData(line, DECIMALS)).join('') };
  });
}

/** Moves parts on the cloth, mm. */
export function nudgeParts(piece: Piece, partIds: readonly string[], dxMm: number, dyMm: number): Edit | null {
  const back = inverse(placementMatrix({ ...piece.placement, xMm: 0, yMm: 0 }));
  const [dx, dy] = mapPoints(back, Float64Array.of(dxMm, dyMm));
  const moved = (path: string): string =>
    svgpath(path)
      .abs()
      .translate(dx!, dy!)
      .round(DECIMALS + 1)
      .toString();
  return eachPart(
    piece,
    partIds,
    'Move a part',
    (part) => ({
      ...part,
      path: moved(part.path),
      guides: part.guides.map(moved),
      borders: part.borders.map(moved),
      vein: part.vein && moved(part.vein),
    }),
    'nudge',
  );
}

/** Turns lines round: they begin where they ended, and what stands on one side of them stands on the other. */
export function turnRound(piece: Piece, partIds: readonly string[]): Edit | null {
  return eachPart(piece, partIds, 'Reverse the line', (part) =>
    part.kind === 'line' ? { ...part, path: reversedPath(part.path) } : null,
  );
}

/** How many corners and curves a part’s path has. */
export function cornersOf(part: Part): number {
  return part.path.match(/[MLHVCQSTAmlhvcqsta]/g)?.length ?? 0;
}

function eachPart(
  piece: Piece,
  partIds: readonly string[],
  label: string,
  change: (part: Part) => Part | null,
  mergeKey: string | null = null,
): Edit | null {
  const parts = piece.drawing.parts.map((part) =>
    partIds.includes(part.id) && !part.locked ? (change(part) ?? part) : part,
  );
  return editOf(piece, label, [[['drawing', 'parts'], parts]], mergeKey);
}
