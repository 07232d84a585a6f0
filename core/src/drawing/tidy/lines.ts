import { deltaE } from '../../colour/index.ts';
import {
  boxesMeet,
  distanceToLines,
  lengthsOf,
  offset,
  offsetLine,
  placeOn,
  polylineLength,
  regionArea,
  regionPerimeter,
  subtract,
  wayRound,
  type Polyline,
} from '../../geometry/index.ts';
import type { Part } from '../../piece/index.ts';
import {
  boxOfPart,
  colourOfPart,
  dropping,
  pathOfRegion,
  regionOfPart,
  runsOfPart,
  type Drawn,
  type TidyContext,
  type TidyStep,
} from './drawn.ts';
import { TIDY } from './thresholds.ts';

/** The share of a line that lies on others, looked at in as many places. */
const LOOKS = 60;

/** How much of a line lies within a distance of some lines, 0–1. */
function shareOn(line: readonly Polyline[], others: readonly Polyline[], withinMm: number): number {
  let [on, all] = [0, 0];
  for (const { points, closed } of line) {
    const way = closed ? wayRound(points) : points;
    const lengths = lengthsOf(way);
    const length = lengths.at(-1) ?? 0;
    for (let k = 0; k <= LOOKS; k++) {
      all += length;
      const [x, y] = placeOn(way, lengths, (k / LOOKS) * length);
      if (distanceToLines(others, x, y) <= withinMm) on += length;
    }
  }
  return all > 0 ? on / all : 0;
}

const lengthOf = (part: Part): number => runsOfPart(part).reduce((sum, run) => sum + polylineLength(run), 0);

/** Lines drawn twice: where most of a line lies on another of about the same width, the shorter one is dropped; of two equally long, the one behind. */
export function doubledLines(drawn: Drawn, { scale }: TidyContext): TidyStep {
  const lines = drawn.parts.flatMap((part, depth) =>
    part.kind === 'line'
      ? [{ part, depth, runs: runsOfPart(part), lengthMm: lengthOf(part), box: boxOfPart(part)! }]
      : [],
  );
  const dropped = new Set<Part>();
  // Shorter ones first, of two alike the lower: what goes is never what another lies on.
  const inTurn = [...lines].sort((a, b) => a.lengthMm - b.lengthMm || a.depth - b.depth);
  inTurn.forEach((line, i) => {
    const [width, least] = [line.part.strokeMm ?? 0, TIDY.onLineMm / scale];
    const isOnAnother = inTurn.slice(i + 1).some((other) => {
      if (!boxesMeet(line.box, other.box)) return false;
      const wide = other.part.strokeMm ?? 0;
      if (Math.max(width, wide) > TIDY.likeWidths * Math.min(width, wide)) return false;
      const withinMm = Math.max(least, TIDY.onLineShare * Math.max(width, wide));
      return shareOn(line.runs, other.runs, withinMm) >= TIDY.doubledShare;
    });
    if (isOnAnother) dropped.add(line.part);
  });
  return dropping(drawn, [...dropped]);
}

/** A stroke in the colour of the area that it goes round: the area is widened by half of it, and it goes. */
export function ownStrokes(drawn: Drawn): TidyStep {
  const areas = new Map(drawn.parts.filter(({ kind }) => kind === 'area').map((part) => [part.path, part]));
  const widened = new Map<string, number>();
  const dropped: Part[] = [];
  for (const part of drawn.parts) {
    const area = part.kind === 'line' && !part.dashed ? areas.get(part.path) : undefined;
    if (!area || deltaE(colourOfPart(drawn, area), colourOfPart(drawn, part)) >= TIDY.sameColour) continue;
    widened.set(area.id, part.strokeMm ?? 0);
    dropped.push(part);
  }
  const { drawn: left, found } = dropping(drawn, dropped);
  const parts = left.parts.map((part): Part => {
    const width = widened.get(part.id);
    if (width === undefined) return part;
    return { ...part, path: pathOfRegion(offset(regionOfPart(part), width / 2)), fillRule: 'evenodd' };
  });
  return { drawn: { ...left, parts }, found };
}

/** Slivers: areas that the drawn width of the lines in front of them covers. */
export function underLines(drawn: Drawn): TidyStep {
  const lines = drawn.parts.flatMap((part, depth) => {
    const box = part.kind === 'line' ? boxOfPart(part) : null;
    return box ? [{ part, depth, box }] : [];
  });
  const dropped = drawn.parts.filter((part, depth) => {
    if (part.kind !== 'area' || lines.length === 0) return false;
    const region = regionOfPart(part);
    const area = regionArea(region);
    const box = area > 0 ? boxOfPart(part) : null;
    if (!box) return false;
    const broadMm = (2 * area) / regionPerimeter(region);
    const over = lines.filter(
      (line) => line.depth > depth && (line.part.strokeMm ?? 0) >= broadMm && boxesMeet(line.box, box),
    );
    if (over.length === 0) return false;
    const under = over.flatMap(({ part: line }) =>
      runsOfPart(line).flatMap((run) => offsetLine(run, (line.strokeMm ?? 0) / 2)),
    );
    return regionArea(subtract(region, under)) < TIDY.leftOfHidden * area;
  });
  return dropping(drawn, dropped);
}

/** Lines whose width is that of the pen that drew them: many in one width, or round areas. */
export function penLines(drawn: Drawn, { scale }: TidyContext): TidyStep {
  const lines = drawn.parts.filter(({ kind, dashed }) => kind === 'line' && !dashed);
  const widths = lines.map(({ strokeMm }) => strokeMm ?? 0);
  const inWidth = (width: number): number =>
    widths.filter((other) => Math.abs(other - width) <= TIDY.oneWidth * width).length;
  const isOneWidth = (width: number): boolean =>
    inWidth(width) >= TIDY.leastPenLines && inWidth(width) >= TIDY.oneWidthShare * lines.length;
  const broad = lines.filter(({ strokeMm, pen }) => !pen && (strokeMm ?? 0) * scale > TIDY.leastPenMm);
  if (broad.length === 0) return { drawn, found: [] };
  const areas = drawn.parts.flatMap((part) =>
    part.kind === 'area' ? [{ box: boxOfPart(part), lines: outlineOf(part), path: part.path }] : [],
  );
  const bounds = (line: Part): boolean => {
    const [box, runs] = [boxOfPart(line), runsOfPart(line)];
    const withinMm = Math.max(TIDY.onLineMm / scale, (line.strokeMm ?? 0) / 2);
    return areas.some((area) => {
      if (area.path === line.path) return true;
      if (!box || !area.box || !boxesMeet(area.box, box)) return false;
      return shareOn(runs, area.lines, withinMm) >= TIDY.boundsShare;
    });
  };
  const found = broad.filter((line) => isOneWidth(line.strokeMm ?? 0) || bounds(line));
  const pens = new Set(found);
  return {
    drawn: { ...drawn, parts: drawn.parts.map((part) => (pens.has(part) ? { ...part, pen: true } : part)) },
    found: found.map(({ name }) => name),
  };
}

function outlineOf(part: Part): Polyline[] {
  return regionOfPart(part).map((points) => ({ points, closed: true }));
}
