import { boxOf, type Box } from '@junctura/core/geometry';
import { placesOnPath } from '@junctura/core/stitches';
import type { Side } from './paintPicture.ts';
import type { PaintedThread, Scene } from './scene.ts';
import type { Size, View } from './view.ts';

/** Where no more of the picture than this changes, as a share, only that is painted. */
const IN_PLACE_SHARE = 0.6;

/** A sharp picture on a canvas, and of what it is. */
export interface Picture {
  /** The canvas that it is on: another has not got it. */
  readonly canvas: unknown;
  readonly scene: Scene;
  readonly side: Side;
  readonly view: View;
  readonly pixels: Size;
  readonly ratio: number;
}

/** Some of a canvas, in its pixels. */
export interface PixelBox extends Size {
  readonly left: number;
  readonly top: number;
}

/** What of a canvas must be painted for a picture: all of it, or where threads changed since the one that is there; null: nothing. */
export function placeOfChange(there: Picture | null, wanted: Picture): PixelBox | null {
  const { width, height } = wanted.pixels;
  const whole = { left: 0, top: 0, width, height };
  if (!there || !isSameWindow(there, wanted)) return whole;
  const box = changedBox(there.scene, wanted.scene);
  if (box === null) return null;
  const place = box === 'all' ? whole : placeOf(box, wanted);
  return place && place.width * place.height > IN_PLACE_SHARE * width * height ? whole : place;
}

/** Whether two pictures show the same of the front, at the same size. */
function isSameWindow(a: Picture, b: Picture): boolean {
  return (
    a.canvas === b.canvas &&
    a.side === 'front' &&
    b.side === 'front' &&
    a.ratio === b.ratio &&
    a.pixels.width === b.pixels.width &&
    a.pixels.height === b.pixels.height &&
    a.view.centreX === b.view.centreX &&
    a.view.centreY === b.view.centreY &&
    a.view.pxPerMm === b.view.pxPerMm
  );
}

/** The whole pixels in which a box of the cloth is seen; null where it is out of sight. */
function placeOf(box: Box, { view, ratio, pixels: { width, height } }: Picture): PixelBox | null {
  const scale = view.pxPerMm * ratio;
  const toX = (x: number): number => (x - view.centreX) * scale + width / 2;
  const toY = (y: number): number => (y - view.centreY) * scale + height / 2;
  const [left, top] = [Math.max(0, Math.floor(toX(box.minX))), Math.max(0, Math.floor(toY(box.minY)))];
  const [right, bottom] = [Math.min(width, Math.ceil(toX(box.maxX))), Math.min(height, Math.ceil(toY(box.maxY)))];
  return right > left && bottom > top ? { left, top, width: right - left, height: bottom - top } : null;
}

/** The view in which a place of a picture is all there is. */
export function viewAt({ left, top, width, height }: PixelBox, { view, ratio, pixels }: Picture): View {
  const pxPerMm = view.pxPerMm * ratio;
  return {
    centreX: view.centreX + (left + width / 2 - pixels.width / 2) / pxPerMm,
    centreY: view.centreY + (top + height / 2 - pixels.height / 2) / pxPerMm,
    pxPerMm,
  };
}

/** Thread reaches this far beyond the holes of its stitches, with the shade that it throws, mm. */
const BEYOND_MM = 4;

/**
 * What of a picture's front changes from one scene to another: a box on the cloth that holds all threads that came, went or look otherwise, null
 * where it looks the same; 'all' where more than threads changed.
 */
function changedBox(before: Scene, now: Scene): Box | 'all' | null {
  if (!isSameGround(before, now)) return 'all';
  const places = new Map(before.threads.map((painted, place) => [painted.thread.path, place]));
  const left = new Set(before.threads);
  let last = -1;
  const changed: PaintedThread[] = [];
  for (const painted of now.threads) {
    const place = places.get(painted.thread.path);
    const same = place === undefined ? undefined : before.threads[place];
    if (place === undefined || !same || !left.has(same) || !looksSame(same, painted)) {
      changed.push(painted);
      continue;
    }
    left.delete(same);
    // Threads that stand in another order lie over others than before.
    if (place < last) return 'all';
    last = place;
  }
  return boxAbout([...changed, ...left]);
}

function isSameGround(a: Scene, b: Scene): boolean {
  return (
    a.otherwise === null &&
    b.otherwise === null &&
    a.cloth === b.cloth &&
    a.clothColour === b.clothColour &&
    a.light === b.light &&
    a.scraps.length === b.scraps.length &&
    a.scraps.every(({ region, scrap, hex, after }, i) => {
      const other = b.scraps[i]!;
      return region === other.region && scrap === other.scrap && hex === other.hex && after === other.after;
    })
  );
}

/** Whether a thread whose path is the same looks the same from the front. */
function looksSame(a: PaintedThread, b: PaintedThread): boolean {
  return (
    a.tones === b.tones &&
    a.light === b.light &&
    a.caster === b.caster &&
    a.pass.stitch === b.pass.stitch &&
    a.pass.strands === b.pass.strands &&
    a.pass.laidMm === b.pass.laidMm &&
    a.pass.bundleMm === b.pass.bundleMm &&
    a.pass.liftMm === b.pass.liftMm
  );
}

function boxAbout(threads: readonly PaintedThread[]): Box | null {
  const box = boxOf(threads.map(({ thread }) => placesOnPath(thread.path)));
  return (
    box && {
      minX: box.minX - BEYOND_MM,
      minY: box.minY - BEYOND_MM,
      maxX: box.maxX + BEYOND_MM,
      maxY: box.maxY + BEYOND_MM,
    }
  );
}
