import type { PlannedPart } from '../work/index.ts';
import type { Plan } from '../thread/index.ts';
import { edgesOf, hoopAt, positionsOf, veinLineOf } from '../drawing/index.ts';
import { drawnOnce, ellipseRing, type Box, type Polyline, placesOf } from '../geometry/index.ts';
import { innerHalvesMm, markOf } from '../materials/index.ts';
import { shadePatches, type ShadePatch } from '../painting/index.ts';
import { colourName, type Marking, type Piece } from '../piece/index.ts';
import { stitchKind, type StitchPath } from '../stitches/index.ts';
import { numberedSteps } from '../order/index.ts';
import { calloutsFor, type PlacedCallouts } from './guide/callouts.ts';
import { placesOfSteps } from './guide/stepPlaces.ts';
import type { Page, PrinterScale, Sheet } from './sheets.ts';
import * as say from './words.ts';
import { HAIR_MM, tiledPages, type Artwork, type Ink, type Label } from './tiles.ts';

export interface PatternOptions {
  readonly sheet: Sheet;
  /** What the printer makes of a length; the file is stretched so that it comes out true. */
  readonly printer: PrinterScale;
  readonly outlines: boolean;
  /** An arrow along the grain of the cloth. */
  readonly grain: boolean;
  /** Left and right exchanged, for ways that press or trace from behind. */
  readonly mirrored: boolean;
  readonly numbers: boolean;
  readonly directions: boolean;
  /** Where a part is painted from a picture: the borders of its shades, each with its number, and the key to them. */
  readonly shades: boolean;
  readonly ring: boolean;
}

/**
 * The pattern at true size, page by page: one page where it fits, else tiles that overlap and join at crosses, with a map of them
 * before. Every page has a bar of 100 mm to measure across, and one of 50 mm down.
 */
export function patternPages(piece: Piece, plan: Plan, options: PatternOptions): Page[] {
  const { mirrored } = options;
  const what = mirrored ? 'true size · MIRRORED, left and right swapped: lay it face down' : 'true size';
  const design = artwork(piece, plan, options);
  const laidOut = (drawn: Artwork): Page[] => tiledPages(drawn, options, piece.name, what);
  const pages = laidOut(design);
  if (!options.ring || !piece.hoop) return pages;
  // The ring only where it asks for no more paper than the design does.
  const ringed = laidOut({ ...design, inks: [...design.inks, ...ringInks(piece, piece.hoop, mirrored)] });
  return ringed.length > pages.length ? pages : ringed;
}

/** The inner ring of the hoop in each of its positions. */
function ringInks(piece: Piece, hoop: NonNullable<Piece['hoop']>, mirrored: boolean): Ink[] {
  return positionsOf(piece).map((place): Ink => {
    const [x, y] = place;
    const [a, b] = innerHalvesMm(hoopAt(hoop, place));
    const points = ellipseRing(mirrored ? -x : x, y, a, b, ROUND_CORNERS);
    return { line: { points, closed: true }, widthMm: HAIR_MM, grey: 0.4, dashMm: 3 };
  });
}

/** The number of corners of the polygons by which rings and dots are drawn. */
const ROUND_CORNERS = 72;

/** What a guide prints of the pattern: all that helps. */
export const WHOLE_PATTERN = {
  outlines: true,
  grain: true,
  numbers: true,
  directions: true,
  shades: true,
  ring: true,
} as const satisfies Partial<PatternOptions>;

/** The lines and labels of a pattern, in mm on the cloth; the ring of the hoop is no part of it. */
export function artwork(
  piece: Piece,
  plan: Plan,
  {
    mirrored,
    numbers,
    directions,
    shades,
    outlines: isOutlined,
    grain,
  }: Omit<PatternOptions, 'sheet' | 'printer' | 'ring'>,
): Artwork {
  const flip = mirrored ? -1 : 1;
  const widthMm = Math.min(0.5, markOf(piece.mark).lineMm);
  const inks: Ink[] = [];
  const labels: Label[] = [];
  const add = (line: Polyline, ink: Omit<Ink, 'line'>): void => {
    inks.push({ line: mirrored ? { ...line, points: line.points.map((v, i) => (i % 2 ? v : -v)) } : line, ...ink });
  };
  // What two parts share is marked once: a mark drawn twice is hard to get out, and no truer.
  if (isOutlined) {
    const stitched = plan.parts.filter(({ part }) => part.marking === null);
    for (const line of drawnOnce(stitched.filter(({ part }) => !part.scrap).flatMap(outlines), widthMm / 2))
      add(line, { widthMm, grey: 0, dashMm: null });
    for (const planned of plan.parts) {
      const kind = planned.part.marking ?? (planned.part.scrap ? 'scrap' : null);
      if (kind === null) continue;
      const { wide, dashMm } = MARKED[kind];
      for (const line of outlines(planned)) add(line, { widthMm: wide * widthMm, grey: 0, dashMm });
    }
    for (const line of stitched.flatMap(ringMarks)) add(line, { widthMm, grey: 0, dashMm: MARKED.guide.dashMm });
  }
  if (directions) {
    for (const line of plan.parts.flatMap(directionStrokes)) add(line, { widthMm: HAIR_MM, grey: 0.45, dashMm: 1 });
  }
  const key = isOutlined ? keyOfLines(plan.parts) : [];
  if (numbers && plan.design.box) {
    const { callouts } = stepNumbers(plan, plan.design.box);
    for (const { discs, line } of callouts) {
      for (const { x, y, text } of discs) labels.push({ x: x * flip, y, text });
      if (line) add({ points: Float64Array.from(line), closed: false }, { widthMm: HAIR_MM, grey: 0.5, dashMm: null });
    }
  }
  if (shades) {
    const painted = plan.parts.flatMap((planned) => paintedPatches(piece, planned));
    for (const { outline } of painted.flatMap(({ patches }) => patches))
      for (const line of outline) add(line, { widthMm: HAIR_MM, grey: 0.3, dashMm: null });
    for (const { patches } of painted)
      for (const { x, y, shade } of patches) labels.push({ x: x * flip, y, text: String(shade + 1) });
    key.push(...painted.flatMap((one) => one.key));
  }
  const { minX = 0, maxX = 0, maxY = 0 } = plan.design.box ?? {};
  const left = flip < 0 ? -maxX : minX;
  key.forEach((text, i) => labels.push({ x: left, y: maxY + KEY_GAP_MM + i * KEY_LINE_MM, text, align: 'left' }));
  if (grain && plan.design.box) {
    for (const line of grainArrow(plan.design.box)) add(line, { widthMm: 0.25, grey: 0.3, dashMm: null });
  }
  return { inks, labels };
}

/** How lines that are not stitched are drawn: how wide, in widths of the marker’s line, and how long their dashes are, in mm. */
const MARKED: Readonly<Record<Marking | 'scrap', { readonly wide: number; readonly dashMm: number | null }>> = {
  guide: { wide: 1, dashMm: 0.8 },
  cut: { wide: 2.2, dashMm: null },
  sew: { wide: 1, dashMm: 2 },
  fold: { wide: 1, dashMm: 8 },
  scrap: { wide: 1.8, dashMm: 4 },
};

/** What the lines of a pattern mean, where it has others than those that are stitched. */
function keyOfLines(parts: readonly PlannedPart[]): string[] {
  const kinds = new Set(parts.map(({ part }) => part.marking ?? (part.scrap ? 'scrap' : null)));
  const told = (Object.keys(MARKED) as (keyof typeof MARKED)[]).filter((kind) => kinds.has(kind));
  return told.length === 0 ? [] : [say.lineKey(told.map((kind) => say.LINE_KINDS[kind]))];
}

/** Numbers of steps stand within this of the design, mm. */
const NUMBERS_AROUND_MM = 9;

/** The numbers of the steps at true size; what finds no place is on the map of the guide. */
function stepNumbers(plan: Plan, { minX, minY, maxX, maxY }: Box): PlacedCallouts {
  const places = placesOfSteps(plan, numberedSteps(plan));
  return calloutsFor(
    places.map(({ numbers, ...place }) => ({ ...place, texts: numbers })),
    {
      minX: minX - NUMBERS_AROUND_MM,
      minY: minY - NUMBERS_AROUND_MM,
      maxX: maxX + NUMBERS_AROUND_MM,
      maxY: maxY + NUMBERS_AROUND_MM,
    },
  );
}

/** The key to the shades stands so far below the design, line by line. */
const KEY_GAP_MM = 8;
const KEY_LINE_MM = 4.5;

/** The patches of a part that is painted, and what their numbers stand for. */
function paintedPatches(
  piece: Piece,
  { part, placed, passes }: PlannedPart,
): { patches: readonly ShadePatch[]; key: readonly string[] }[] {
  const pass = passes.find(({ stitch, shades }) => stitchKind(stitch).canShade && shades.length > 1);
  if (placed.kind !== 'area') return [];
  if (!pass) return [];
  const patches = shadePatches(placed.shape.region, pass.path, pass.laidMm);
  const used = new Set(patches.map(({ shade }) => shade));
  const key = pass.shades.flatMap((id, i) => {
    // A plan may be older than the palette by an edit.
    const colour = piece.palette.find((one) => one.id === id);
    return colour && used.has(i) ? [`${i + 1}  ${colourName(colour).name}`] : [];
  });
  return [{ patches, key: [`${part.name}:`, ...key] }];
}

/** An arrow up and down beside the design: this way the threads of the cloth run. */
function grainArrow({ minX, minY, maxY }: Box): Polyline[] {
  const [x, half, head] = [minX - 6, Math.min(25, (maxY - minY) / 2), 2.5];
  const y = (minY + maxY) / 2;
  const open = (...points: number[]): Polyline => ({ points: Float64Array.from(points), closed: false });
  return [
    open(x, y - half, x, y + half),
    open(x - head / 2, y - half + head, x, y - half, x + head / 2, y - half + head),
    open(x - head / 2, y + half - head, x, y + half, x + head / 2, y + half - head),
  ];
}

function outlines({ placed }: PlannedPart): Polyline[] {
  const dots: Polyline[] = [];
  const { spots } = placed.shape;
  for (const [x, y] of placesOf(spots)) dots.push(circleLine(0.6, x, y));
  return [...edgesOf(placed.shape), ...dots];
}

/** How far the marks of the compass points reach past a ring on either side, mm. */
const COMPASS_MM = 0.8;

/** The two rings between which a ring of loops is worked, with its compass points. */
function ringMarks({ placed, passes }: PlannedPart): Polyline[] {
  return passes.flatMap((pass) => {
    if (pass.stitch !== 'daisy-ring') return [];
    const [innerMm, outerMm] = [Number(pass.params['innerMm']), Number(pass.params['outerMm'])];
    const turnRad = (pass.angleDeg * Math.PI) / 180;
    const marks: Polyline[] = [];
    for (const [x, y] of placesOf(placed.shape.spots)) {
      for (const r of [innerMm, outerMm]) if (r > 0) marks.push(circleLine(r, x, y));
      for (let quarter = 0; quarter < 4; quarter++) {
        const [dx, dy] = [Math.cos(turnRad + (quarter * Math.PI) / 2), Math.sin(turnRad + (quarter * Math.PI) / 2)];
        const at = (r: number): [number, number] => [x + r * dx, y - r * dy];
        marks.push({
          points: Float64Array.of(...at(outerMm - COMPASS_MM), ...at(outerMm + COMPASS_MM)),
          closed: false,
        });
      }
    }
    return marks;
  });
}

/** A short stroke through the widest place, along the stitches; where they follow strokes or the middle line, those. */
function directionStrokes({ placed, passes }: PlannedPart): Polyline[] {
  const pass = passes.find(({ role }) => role === 'filling');
  const { widest } = placed;
  if (!pass || !widest) return [];
  if (pass.stitch === 'needle-painting') return chalked(pass.path);
  if (pass.direction === 'guides' && placed.guides.length > 0) return [...placed.guides];
  if (pass.direction === 'along' || stitchKind(pass.stitch).hasVein) {
    const middle = veinLineOf(placed);
    return middle ? [{ points: middle.points, closed: false }] : [];
  }
  if (!stitchKind(pass.stitch).hasDirection || pass.direction !== 'straight') return [];
  const angle = (pass.angleDeg * Math.PI) / 180;
  const [dx, dy] = [Math.cos(angle) * widest.r * 0.6, -Math.sin(angle) * widest.r * 0.6];
  const points = Float64Array.of(widest.x - dx, widest.y - dy, widest.x + dx, widest.y + dy);
  return [{ points, closed: false }];
}

/** A painting marks every stitch of some forty, so that its lie is seen everywhere. */
const CHALKED = 40;

function chalked({ xy, starts }: StitchPath): Polyline[] {
  return [...starts]
    .filter((_, i) => i % CHALKED === 0)
    .map((start) => ({ points: Float64Array.from(xy.subarray(2 * start, 2 * start + 4)), closed: false }));
}

function circleLine(r: number, x = 0, y = 0): Polyline {
  return { points: ellipseRing(x, y, r, r, ROUND_CORNERS), closed: true };
}
