import type { Workings } from '@junctura/core/advice';
import { hoopAboutAll } from '@junctura/core/drawing';
import { pictureCircle } from '@junctura/core/paper';
import type { Hoop, Piece } from '@junctura/core/piece';
import type { Brush, Lens } from './brush.ts';
import { lensOf, paintPicture, paintWork } from './paintPicture.ts';
import { clipToHoop, paintRing, ringReachMm, type RingTones } from './paintRing.ts';
import { sceneOf, type Scene } from './scene.ts';
import type { Size, View } from './view.ts';

/** What of a piece is shown to others: with its hoop, on its cloth, or the stitches alone. */
export interface Showing {
  readonly ring: boolean;
  readonly cloth: boolean;
}

export const WOOD: RingTones = {
  wood: '#c79b66',
  light: '#dfbd8f',
  dark: '#98703f',
  brass: '#b79a4a',
  tape: '#f2ecdf',
};

/** Sea-green plastic, its screw of brass like any other. */
const PLASTIC: RingTones = { ...WOOD, wood: '#8fb3a8', light: '#d9ebe4', dark: '#5f8379' };

export const RING_TONES: Readonly<Record<Hoop['ring'], RingTones>> = { wood: WOOD, plastic: PLASTIC };

/** The view that shows all of a piece in a square, by the pixels to its side. */
export function viewOfAll(piece: Piece, { plan }: Workings, pixels: number, showing: Showing): View {
  const { x, y, r } = pictureCircle(piece, plan);
  const hoop = hoopAboutAll(piece);
  const reachMm = hoop && showing.ring ? ringReachMm(hoop) : r;
  return { centreX: x, centreY: y, pxPerMm: pixels / (2 * reachMm) };
}

/** Paints a piece as it is shown to others, slice by slice; where neither ring nor cloth is, nothing is painted. */
export function* paintShown(
  brush: Brush,
  piece: Piece,
  workings: Workings,
  view: View,
  size: Size,
  showing: Showing,
): Generator<void> {
  const lens = lensOf(view, size, false);
  const scene = sceneOf(piece, workings);
  brush.save();
  const hoop = hoopAboutAll(piece);
  if (hoop && showing.ring) clipToHoop(brush, hoop, lens);
  yield* paintPicture(brush, showing.cloth ? scene : withoutCloth(scene), view, size, 'front');
  brush.restore();
  frame(brush, piece, lens, showing);
}

/** The ring about what is painted, where it is shown. */
export function frame(brush: Brush, piece: Piece, lens: Lens, { ring }: Showing): void {
  const hoop = hoopAboutAll(piece);
  brush.setTransform(1, 0, 0, 1, 0, 0);
  if (hoop && ring) paintRing(brush, hoop, lens, RING_TONES[hoop.ring]);
}

function withoutCloth(scene: Scene): Scene {
  return { ...scene, otherwise: (brush, lens) => paintWork(brush, scene, lens) };
}
