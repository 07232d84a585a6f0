import { onScopeDispose, watch, type Ref } from 'vue';
import { Growth, type Sheet } from './growth.ts';
import type { Scene } from './scene.ts';
import { followView, type Size, type View } from './view.ts';

/** Painting takes at most this much of a frame, ms. */
const BUDGET_MS = 9;
/** A picture on its way to a far place is shown now and then, ms. */
const SHOW_EVERY_MS = 60;

export interface Growing {
  readonly canvas: Ref<HTMLCanvasElement | null>;
  /** Its threads are the steps, in the order of work. */
  readonly scene: Ref<Scene | null>;
  /** How far the work is: whole steps and a share of the next. */
  readonly place: Ref<number>;
  readonly view: Ref<View>;
  /** Size in CSS pixels. */
  readonly size: Ref<Size>;
}

/** Keeps a canvas painted as the piece stands after any step. Going on paints only what is new. */
export function useGrowing({ canvas, scene, place, view, size }: Growing): void {
  let growth: Growth | null = null;
  let paintedView: View | null = null;
  let strokes: Generator<void> | null = null;
  let frame = 0;
  let shownAt = 0;

  const follow = (): void => followView(canvas.value, paintedView, view.value);

  function begin(): void {
    const { width, height } = size.value;
    const now = scene.value;
    if (!canvas.value || !now || width < 1 || height < 1) return;
    const ratio = window.devicePixelRatio || 1;
    const pixels = { width: Math.round(width * ratio), height: Math.round(height * ratio) };
    const sheet = (): Sheet => {
      const image = Object.assign(document.createElement('canvas'), pixels);
      return { ...pixels, image, brush: image.getContext('2d')! };
    };
    growth = new Growth(now, { ...view.value, pxPerMm: view.value.pxPerMm * ratio }, sheet);
    strokes = null;
    goOn();
  }

  function goOn(): void {
    if (!growth) return;
    strokes ??= growth.towards(() => place.value);
    cancelAnimationFrame(frame);
    paint();
  }

  function paint(): void {
    const until = performance.now() + BUDGET_MS;
    while (performance.now() < until) {
      if (!strokes!.next().done) continue;
      strokes = null;
      return show(true);
    }
    if (performance.now() - shownAt > SHOW_EVERY_MS && growth!.isOnItsWay) show(false);
    frame = requestAnimationFrame(paint);
  }

  function show(isThere: boolean): void {
    const shown = canvas.value;
    if (!shown || !growth) return;
    const { sheet } = growth;
    if (shown.width !== sheet.width || shown.height !== sheet.height) {
      shown.width = sheet.width;
      shown.height = sheet.height;
    }
    shown.getContext('2d')!.drawImage(growth.sheet.image, 0, 0);
    shownAt = performance.now();
    const ratio = window.devicePixelRatio || 1;
    paintedView = { ...growth.view, pxPerMm: growth.view.pxPerMm / ratio };
    follow();
    if (isThere) shown.dataset['place'] = String(place.value);
  }

  watch(view, follow, { flush: 'sync' });
  watch([canvas, scene, view, size], begin, { flush: 'post', immediate: true });
  watch(place, goOn);
  onScopeDispose(() => cancelAnimationFrame(frame));
}
