import { Planner, tryHoop, type Workings } from '@junctura/core/advice';
import { hoopAboutAll } from '@junctura/core/drawing';
import type { Circle } from '@junctura/core/geometry';
import { outerHalvesMm } from '@junctura/core/materials';
import { planInput, type Piece } from '@junctura/core/piece';
import { paintPicture } from '../../picture/paintPicture.ts';
import { hoopInSightMm } from '../../picture/ringShape.ts';
import { sceneOf } from '../../picture/scene.ts';
import { viewOf } from '../../picture/view.ts';
import type { JobInput, JobOutput } from '../jobs.ts';
import { paintedPicturesOf } from './learning.ts';

const TRIAL_PX = 300;

/** Kept from one job to the next: a design that only grows, or is only recoloured, is not cut anew. */
const planner = new Planner();

export async function hoopTrial({ piece, hoop, factors }: JobInput<'tryHoop'>): Promise<JobOutput<'tryHoop'>> {
  const pictures = await paintedPicturesOf(piece);
  const { trial, piece: tried, workings } = tryHoop(piece, hoop, planner, factors, pictures);
  return { trial, picture: pictureOf(tried, workings, Math.max(...outerHalvesMm(hoop)), TRIAL_PX) };
}

/** What is seen about a piece that lies in no hoop, and of one that is empty, mm. */
const ROOM = { freeMm: 12, emptyMm: 60 } as const;

export async function thumbnail({ piece, factors, pixels }: JobInput<'thumbnail'>): Promise<JobOutput<'thumbnail'>> {
  const pictures = await paintedPicturesOf(piece);
  const workings = planner.plan(planInput(piece), factors, { pictures });
  const reachMm = reachOf(piece, workings.plan.design.circle);
  return { picture: pictureOf(piece, workings, reachMm, pixels), reachMm };
}

/** How far from its middle there is something to see of a piece, mm. */
export function reachOf(piece: Piece, circle: Circle | null): number {
  const hoop = hoopAboutAll(piece);
  if (hoop) return hoopInSightMm(hoop);
  return circle ? Math.hypot(circle.x, circle.y) + circle.r + ROOM.freeMm : ROOM.emptyMm;
}

/** The front of a piece, as wide and as high. */
export function pictureOf(piece: Piece, workings: Workings, reachMm: number, pixels: number): ImageBitmap {
  const size = { width: pixels, height: pixels };
  const canvas = new OffscreenCanvas(pixels, pixels);
  const brush = canvas.getContext('2d')!;
  for (const slice of paintPicture(brush, sceneOf(piece, workings), viewOf(reachMm, size), size, 'front')) void slice;
  return canvas.transferToImageBitmap();
}
