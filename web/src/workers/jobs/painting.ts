import { colourBelow, subjectOf, type PictureBelow } from '@junctura/core/drawing';
import { inverse, isInside, movedPath } from '@junctura/core/geometry';
import {
  judgePicture,
  coloursPainted,
  findRidges,
  groundBelow,
  growShades,
  paintingOf,
  pictureBelow,
  type Pictures,
} from '@junctura/core/painting';
import { tryFlat, tryPainted, type TriedPaintWay } from '@junctura/core/advice';
import { DEFAULT_THREAD, laidWidthMm, refOf, threadKind } from '@junctura/core/materials';
import { judgePainted, type PlannedPart } from '@junctura/core/work';
import type { JobInput, JobOutput, JobProgress } from '../jobs.ts';
import { picturesOf } from './learning.ts';
import { pictureOf, reachOf } from './pieces.ts';
import { planner, workingsOf } from './planning.ts';

interface AskedPart {
  readonly planned: PlannedPart | null;
  readonly pictures: Pictures;
  readonly below: PictureBelow | null;
}

async function partOf(input: JobInput<'judgePainting'>): Promise<AskedPart> {
  const pictures = await picturesOf(input.piece);
  const { plan } = await workingsOf(input);
  const planned = plan.parts.find(({ part }) => part.id === input.part) ?? null;
  return { planned, pictures, below: pictureBelow(input.piece, pictures) };
}

export async function paintShades(input: JobInput<'paintShades'>): Promise<JobOutput<'paintShades'>> {
  const { planned, below } = await partOf(input);
  if (!planned || !below) return null;
  const { region } = planned.placed.shape;
  const laidMm = laidWidthMm(threadKind(DEFAULT_THREAD), 1);
  const colours = coloursPainted(region, below, laidMm, input.eyes, planner.memory);
  const shades = [...input.owned, ...input.toBuy];
  const owned = new Set(input.owned);
  const { shades: chosen, errors } = growShades(colours, shades, input.count, {
    pinned: input.pinned,
    isOwned: (shade) => owned.has(shade),
  });
  return { shades: chosen, errors, picture: judgePicture(region, below, laidMm, colours, shades, planner.memory) };
}

export async function judge(input: JobInput<'judgePainting'>): Promise<JobOutput<'judgePainting'>> {
  const { planned, pictures } = await partOf(input);
  return planned && judgePainted(input.piece, planned, pictures, planner.memory);
}

export async function ways(
  { shades, counts, pixels, ...input }: JobInput<'paintWays'>,
  tell: (progress: JobProgress<'paintWays'>) => void,
): Promise<null> {
  const { planned, pictures } = await partOf(input);
  if (!planned) return null;
  const show = (tried: TriedPaintWay | null): void => {
    if (!tried) return;
    const { way, piece, workings } = tried;
    tell({
      way,
      picture: pictureOf(piece, workings, reachOf({ ...piece, hoop: null }, workings.plan.design.circle), pixels),
    });
  };
  for (const count of counts)
    show(tryPainted(input.piece, planned, shades.slice(0, count).map(refOf), input.factors, pictures));
  show(tryFlat(input.piece, planned, Math.max(...counts), input.factors, pictures));
  return null;
}

/** Chalk lines stand so far apart and are so long, mm. */
const CHALK_EVERY_MM = 3.4;
const CHALK_MM = 2.6;

export async function lie(input: JobInput<'lie'>): Promise<JobOutput<'lie'>> {
  const { planned, below } = await partOf(input);
  const box = planned?.placed.box;
  if (!planned || !below || !box) return null;
  const { region } = planned.placed.shape;
  const painting = paintingOf(
    region,
    below,
    planned.placed.guides,
    [],
    laidWidthMm(threadKind(DEFAULT_THREAD), 1),
    planner.memory,
  );
  if (!painting) return null;
  const lines: number[] = [];
  const { field } = painting;
  const along = { dx: 1, dy: 0 };
  for (let y = box.minY; y < box.maxY; y += CHALK_EVERY_MM) {
    for (let x = box.minX; x < box.maxX; x += CHALK_EVERY_MM) {
      if (!isInside(region, x, y)) continue;
      field.directionAt(x, y, along);
      const [dx, dy] = [(along.dx * CHALK_MM) / 2, (along.dy * CHALK_MM) / 2];
      lines.push(x - dx, y - dy, x + dx, y + dy);
    }
  }
  return Float32Array.from(lines);
}

export async function onTop(input: JobInput<'onTop'>): Promise<JobOutput<'onTop'>> {
  const { planned, below } = await partOf(input);
  const laidMm = laidWidthMm(threadKind(DEFAULT_THREAD), 1);
  const ground = planned && below && groundBelow(planned.placed.shape.region, below, laidMm, planner.memory);
  return ground ? findRidges(ground, planned.placed.shape.region, laidMm) : [];
}

const DECIMALS = 2;

export async function subject({ piece }: JobInput<'subject'>): Promise<JobOutput<'subject'>> {
  const below = pictureBelow(piece, await picturesOf(piece));
  const outline = below && subjectOf(below.picture);
  if (!below || !outline) return null;
  const path = movedPath(outline, inverse(below.toPicture), DECIMALS);
  return { path, hex: colourBelow('area', path, below) ?? '#808080' };
}
