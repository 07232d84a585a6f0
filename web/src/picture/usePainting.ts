import { onScopeDispose, watch, type Ref } from 'vue';
import { placeOfChange, viewAt, type Picture, type PixelBox } from './placeOfChange.ts';
import { paintPicture, type Side } from './paintPicture.ts';
import type { Scene } from './scene.ts';
import { followView, type Size, type View } from './view.ts';

/** Painting takes at most this much of a frame, ms. */
const BUDGET_MS = 9;
/** The first picture is painted small at once, for no longer than this, and shown again as it is painted sharp. */
const COARSE = 0.25;
const COARSE_MS = 60;
const SHOW_EVERY_MS = 120;

/** A picture that is had ready, small: what it shows from its middle to its edge, mm. */
export interface ReadyPicture {
  readonly picture: ImageBitmap;
  readonly reachMm: number;
}

export interface Painting {
  readonly canvas: Ref<HTMLCanvasElement | null>;
  readonly scene: Ref<Scene | null>;
  readonly view: Ref<View>;
  readonly side: Ref<Side>;
  /** Size in CSS pixels. */
  readonly size: Ref<{ width: number; height: number }>;
  /** Stands there until the first picture is painted. */
  readonly ready?: Readonly<Ref<ReadyPicture | null>>;
}

/**
 * Keeps a canvas painted. While the view moves, the last picture moves with it; the sharp one is painted behind in
 * slices and put in its place when it is done.
 */
export function usePainting({ canvas, scene, view, side, size, ready }: Painting): void {
  let paintedView: View | null = null;
  /** What the sharp picture that is shown shows; null: there is none yet. */
  let painted: Picture | null = null;
  let isFirst = true;
  /** Whether a picture that was had ready stands there. */
  let isReady = false;
  let frame = 0;
  let spare: HTMLCanvasElement | null = null;

  const follow = (): void => followView(canvas.value, paintedView, view.value);

  function start(): void {
    cancelAnimationFrame(frame);
    const shown = canvas.value;
    const now = scene.value;
    const { width, height } = size.value;
    if (!shown || !now || width < 1 || height < 1) return;
    const ratio = window.devicePixelRatio || 1;
    const pixels = { width: Math.round(width * ratio), height: Math.round(height * ratio) };
    const wanted = view.value;
    const sharp: Picture = { canvas: shown, scene: now, side: side.value, view: wanted, pixels, ratio };
    const place = placeOfChange(painted, sharp);
    if (place === null) {
      painted = sharp;
      return;
    }
    spare ??= document.createElement('canvas');
    Object.assign(spare, { width: place.width, height: place.height });
    const brush = spare.getContext('2d')!;
    const strokes = paintPicture(brush, now, viewAt(place, sharp), place, side.value);
    if (isFirst && !isReady) paintCoarse(shown, now, wanted, pixels);
    let shownAt = performance.now();
    const paintOn = (): void => {
      const until = performance.now() + BUDGET_MS;
      while (performance.now() < until) {
        if (strokes.next().done) return finish(shown, sharp, place, spare!);
      }
      // The first picture is seen growing.
      if (isFirst && !isReady && performance.now() - shownAt > SHOW_EVERY_MS) {
        shown.getContext('2d')!.drawImage(spare!, 0, 0);
        shownAt = performance.now();
      }
      frame = requestAnimationFrame(paintOn);
    };
    paintOn();
  }

  function showReady(): void {
    const [shown, had] = [canvas.value, ready?.value];
    const { width, height } = size.value;
    if (!isFirst || !shown || !had || width < 1 || height < 1) return;
    const ratio = window.devicePixelRatio || 1;
    Object.assign(shown, { width: Math.round(width * ratio), height: Math.round(height * ratio) });
    const { centreX, centreY, pxPerMm } = view.value;
    const [left, top] = [width / 2 - (had.reachMm + centreX) * pxPerMm, height / 2 - (had.reachMm + centreY) * pxPerMm];
    const across = 2 * had.reachMm * pxPerMm;
    const places = [left, top, across, across].map((value) => value * ratio) as [number, number, number, number];
    shown.getContext('2d')!.drawImage(had.picture, ...places);
    isReady = true;
    paintedView = view.value;
    follow();
  }

  /** At once, at a quarter of the size: enough to see what comes. */
  function paintCoarse(shown: HTMLCanvasElement, now: Scene, forView: View, pixels: Size): void {
    const small = { width: Math.ceil(size.value.width * COARSE), height: Math.ceil(size.value.height * COARSE) };
    const coarse = Object.assign(document.createElement('canvas'), small);
    const brush = coarse.getContext('2d')!;
    const until = performance.now() + COARSE_MS;
    const strokes = paintPicture(brush, now, { ...forView, pxPerMm: forView.pxPerMm * COARSE }, small, side.value);
    while (performance.now() < until && !strokes.next().done);
    Object.assign(shown, pixels);
    shown.getContext('2d')!.drawImage(coarse, 0, 0, shown.width, shown.height);
    paintedView = forView;
    follow();
  }

  function finish(
    shown: HTMLCanvasElement,
    sharp: Picture,
    { left, top, width, height }: PixelBox,
    fresh: HTMLCanvasElement,
  ): void {
    const { pixels } = sharp;
    isFirst = false;
    painted = sharp;
    // A canvas that is given its size is emptied: only where all of it is painted.
    if (width === pixels.width && height === pixels.height) Object.assign(shown, pixels);
    shown.getContext('2d')!.drawImage(fresh, left, top);
    shown.dataset['painted'] = String(Number(shown.dataset['painted'] ?? 0) + 1);
    paintedView = sharp.view;
    follow();
  }

  watch(view, follow, { flush: 'sync' });
  watch([canvas, scene, view, side, size], start, { flush: 'post', immediate: true });
  if (ready) watch([canvas, ready, size], showReady, { flush: 'post', immediate: true });
  onScopeDispose(() => cancelAnimationFrame(frame));
}
