import type { Workings } from '@junctura/core/advice';
import { hoopAboutAll } from '@junctura/core/drawing';
import type { Piece } from '@junctura/core/piece';
import { Growth, type Sheet } from './growth.ts';
import { lensOf } from './paintPicture.ts';
import { clipToHoop } from './paintRing.ts';
import { growingScene } from './scene.ts';
import { frame, viewOfAll } from './shownPiece.ts';

/** The film is so large, px, so long, and so rich, that it stays under ten megabytes. */
const SIDE_PX = 720;
const GROWS_MS = 10_000;
const STANDS_MS = 1600;
const BITS_A_SECOND = 5_000_000;
const FRAMES_A_SECOND = 25;
const GROUND = '#eae2d2';
const SHOWING = { ring: true, cloth: true } as const;
const TYPES = ['video/webm;codecs=vp9', 'video/webm;codecs=vp8', 'video/webm', 'video/mp4'];

/** The kind of film that this browser can record; null: none. */
export function filmType(): string | null {
  if (typeof MediaRecorder === 'undefined') return null;
  return TYPES.find((type) => MediaRecorder.isTypeSupported(type)) ?? null;
}

/**
 * The piece growing in the order of its work, recorded by the browser as it is painted.
 * @param tell hears how much is recorded, 0–1
 * @param signal stops it
 * @returns null where it was stopped
 * @throws Error where this browser records no films
 */
export async function growingFilm(
  piece: Piece,
  workings: Workings,
  tell: (share: number) => void,
  signal: AbortSignal,
): Promise<Blob | null> {
  const type = filmType();
  if (!type) throw new Error('This browser records no films.');
  const size = { width: SIDE_PX, height: SIDE_PX };
  const view = viewOfAll(piece, workings, SIDE_PX, SHOWING);
  const sheet = (): Sheet => {
    const image = Object.assign(document.createElement('canvas'), size);
    return { ...size, image, brush: image.getContext('2d')! };
  };
  const scene = growingScene(piece, workings, workings.plan.order);
  const growth = new Growth(scene, view, sheet);
  const shown = sheet();
  const lens = lensOf(view, size, false);
  const show = (): void => {
    const { brush } = shown;
    brush.fillStyle = GROUND;
    brush.fillRect(0, 0, SIDE_PX, SIDE_PX);
    brush.save();
    const hoop = hoopAboutAll(piece);
    if (hoop) clipToHoop(brush, hoop, lens);
    brush.drawImage(growth.sheet.image, 0, 0);
    brush.restore();
    frame(brush, piece, lens, SHOWING);
  };
  show();
  const recorder = new MediaRecorder((shown.image as HTMLCanvasElement).captureStream(FRAMES_A_SECOND), {
    mimeType: type,
    videoBitsPerSecond: BITS_A_SECOND,
  });
  const chunks: Blob[] = [];
  recorder.ondataavailable = ({ data }) => chunks.push(data);
  const ended = new Promise<void>((resolve) => (recorder.onstop = () => resolve()));
  recorder.start(1000);
  const begun = performance.now();
  const whole = GROWS_MS + STANDS_MS;
  for (let now = 0; now < whole && !signal.aborted; now = performance.now() - begun) {
    const place = Math.min(1, now / GROWS_MS) * scene.threads.length;
    for (const _ of growth.towards(() => place));
    show();
    tell(now / whole);
    await new Promise((resolve) => setTimeout(resolve, 1000 / FRAMES_A_SECOND));
  }
  recorder.stop();
  await ended;
  return signal.aborted ? null : new Blob(chunks, { type: type.split(';')[0]! });
}
