import { boxOf, flattenPath, pathData, unite, type Box, type FlatRun, type Region } from '../../geometry/index.ts';
import type { Part, PaletteColour } from '../../piece/index.ts';
import { labOf, type Lab } from '../../colour/index.ts';

/** Curves are looked at within this, mm on the drawing. */
const FLAT_MM = 0.01;
const DECIMALS = 3;

/** A drawing while it is tidied: its parts from back to front, its colours. */
export interface Drawn {
  readonly parts: readonly Part[];
  readonly palette: readonly PaletteColour[];
}

/** What a rule of tidying is told of the piece. */
export interface TidyContext {
  /** How large the drawing is on the cloth: mm for one of the drawing. */
  readonly scale: number;
  /** The colour of the cloth. */
  readonly cloth: Lab;
}

/** What a rule did: the drawing afterwards, and the names of the parts that it found. */
export interface TidyStep {
  readonly drawn: Drawn;
  readonly found: readonly string[];
}

export function runsOfPart({ path }: Part): FlatRun[] {
  return flattenPath(path, FLAT_MM);
}

/** The region of an area; nothing for any other part. */
export function regionOfPart(part: Part): Region {
  if (part.kind !== 'area') return [];
  const rings = runsOfPart(part).filter(({ points }) => points.length >= 6);
  return unite(
    rings.map(({ points }) => points),
    part.fillRule,
  );
}

export function pathOfRegion(region: Region): string {
  return region.map((points) => pathData({ points, closed: true }, DECIMALS)).join('');
}

/** The box round a part, with its drawn width. */
export function boxOfPart(part: Part): Box | null {
  const box = boxOf(runsOfPart(part).map(({ points }) => points));
  const half = (part.strokeMm ?? 0) / 2;
  return box && { minX: box.minX - half, minY: box.minY - half, maxX: box.maxX + half, maxY: box.maxY + half };
}

export function colourOfPart({ palette }: Drawn, part: Part): Lab {
  return labOf(palette.find(({ id }) => id === part.colour)?.hex ?? '#000000');
}

/** The drawing without some parts. */
export function without(drawn: Drawn, ids: ReadonlySet<string>): Drawn {
  return { ...drawn, parts: drawn.parts.filter(({ id }) => !ids.has(id)) };
}

/** A rule that drops parts. */
export function dropping(drawn: Drawn, dropped: readonly Part[]): TidyStep {
  return { drawn: without(drawn, new Set(dropped.map(({ id }) => id))), found: dropped.map(({ name }) => name) };
}
