import { onScopeDispose, watch, type Ref } from 'vue';
import { paintPicture, type Side } from '../picture/paintPicture.ts';
import type { Scene } from '../picture/scene.ts';
import type { View } from '../picture/view.ts';

/** Painting takes at most this much of a frame, ms. */
const BUDGET_MS = 9;

export interface Painting {
  readonly canvas: Ref<HTMLCanvasElement | null>;
  readonly scene: Ref<Scene | null>;
  readonly view: Ref<View>;
  readonly side: Ref<Side>;
  /** Size in CSS pixels. */
  readonly size: Ref<{ width: number; height: number }>;
}

/**
 * Keeps a canvas painted. While the view moves, the last picture moves with it; the sharp one is painted behind in
 * slices and put in its place when it is done.
 */
export function usePainting({ canvas, scene, view, side, size }: Painting): void {
  let paintedView: View | null = null;
  let frame = 0;
  let spare: HTMLCanvasElement | null = null;

  function follow(): void {
    const shown = canvas.value;
    if (!shown || !paintedView) return;
    const factor = view.value.pxPerMm / paintedView.pxPerMm;
    const dx = (paintedView.centreX - view.value.centreX) * view.value.pxPerMm;
    const dy = (paintedView.centreY - view.value.centreY) * view.value.pxPerMm;
    shown.style.transform = `translate(${dx}px, ${dy}px) scale(${factor})`;
  }

  function start(): void {
    cancelAnimationFrame(frame);
    const shown = canvas.value;
    const now = scene.value;
    const { width, height } = size.value;
    if (!shown || !now || width < 1 || height < 1) return;
    const ratio = window.devicePixelRatio || 1;
    const pixels = { width: Math.round(width * ratio), height: Math.round(height * ratio) };
    spare ??= document.createElement('canvas');
    spare.width = pixels.width;
    spare.height = pixels.height;
    const wanted = view.value;
    const brush = spare.getContext('2d')!;
    const strokes = paintPicture(brush, now, { ...wanted, pxPerMm: wanted.pxPerMm * ratio }, pixels, side.value);
    const paintOn = (): void => {
      const until = performance.now() + BUDGET_MS;
      while (performance.now() < until) {
        if (strokes.next().done) return finish(shown, spare!, wanted);
      }
      frame = requestAnimationFrame(paintOn);
    };
    paintOn();
  }

  function finish(shown: HTMLCanvasElement, painted: HTMLCanvasElement, forView: View): void {
    shown.width = painted.width;
    shown.height = painted.height;
    shown.getContext('2d')!.drawImage(painted, 0, 0);
    shown.dataset['painted'] = String(Number(shown.dataset['painted'] ?? 0) + 1);
    paintedView = forView;
    follow();
  }

  watch(view, follow, { flush: 'sync' });
  watch([canvas, scene, view, side, size], start, { flush: 'post', immediate: true });
  onScopeDispose(() => cancelAnimationFrame(frame));
}
