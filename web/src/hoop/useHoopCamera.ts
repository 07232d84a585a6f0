import { MM_PER_INCH } from '@junctura/core/measure';
import { useEventListener } from '@vueuse/core';
import { computed, onScopeDispose, ref, shallowRef, watch, type ComputedRef, type Ref, type ShallowRef } from 'vue';
import { panned, truePxPerMm, viewOf, zoomed, type View } from '../picture/view.ts';
import type { HoopZoom } from './hoopZoom.ts';
import { useSettings } from '../session/settings.ts';

/** Which part of the cloth is seen, and how large. */
export interface HoopCamera {
  readonly view: ShallowRef<View>;
  /** Whether all of the hoop is kept in sight. */
  readonly isWhole: Ref<boolean>;
  readonly isTrueSize: ComputedRef<boolean>;
  showAll(): void;
  showTrueSize(): void;
  /** Moves the view by CSS pixels. */
  pan(dx: number, dy: number): void;
  /** Enlarges about a place of the frame, or its middle. */
  zoom(factor: number, x?: number, y?: number): void;
  wheel(event: WheelEvent): void;
  /** Where on the cloth the pointer is, mm from the middle of the hoop. */
  onCloth(event: PointerEvent): [x: number, y: number];
  /** The view as SVG wants it, in mm; and widths that look the same at any size. */
  readonly viewBox: ComputedRef<string>;
  readonly hairline: ComputedRef<number>;
  readonly stripe: ComputedRef<number>;
  /** The length of the rule that is shown beside the hoop, mm. */
  readonly ruleMm: ComputedRef<number>;
}

/**
 * @param reachMm how far from the middle there is something to see
 * @param middle of what is seen, mm on the cloth
 */
export function useHoopCamera(
  frame: Readonly<Ref<HTMLElement | null>>,
  size: ComputedRef<{ width: number; height: number }>,
  reachMm: ComputedRef<number>,
  middle: Readonly<Ref<readonly [x: number, y: number]>> = ref([0, 0] as const),
): HoopCamera {
  const settings = useSettings();
  const view = shallowRef<View>({ centreX: 0, centreY: 0, pxPerMm: 4 });
  const isWhole = ref(true);
  function showAll(): void {
    const [centreX, centreY] = middle.value;
    view.value = { ...viewOf(reachMm.value, size.value), centreX, centreY };
    isWhole.value = true;
  }
  watch([size, reachMm, middle], () => isWhole.value && showAll(), { immediate: true });

  /** CSS pixels that make a millimetre on this screen. */
  const truePx = computed(() => truePxPerMm(settings.screenBarMm));
  const isTrueSize = computed(() => Math.abs(view.value.pxPerMm / truePx.value - 1) < 0.001);
  function showTrueSize(): void {
    view.value = { ...view.value, pxPerMm: truePx.value };
    isWhole.value = false;
  }

  const viewBox = computed(() => {
    const { centreX, centreY, pxPerMm } = view.value;
    const [w, h] = [size.value.width / pxPerMm, size.value.height / pxPerMm];
    return `${centreX - w / 2} ${centreY - h / 2} ${w} ${h}`;
  });
  const hairline = computed(() => 1.2 / view.value.pxPerMm);
  const stripe = computed(() => 10 / view.value.pxPerMm);

  function onCloth(event: PointerEvent): [x: number, y: number] {
    const box = frame.value!.getBoundingClientRect();
    const { centreX, centreY, pxPerMm } = view.value;
    return [
      centreX + (event.clientX - box.left - size.value.width / 2) / pxPerMm,
      centreY + (event.clientY - box.top - size.value.height / 2) / pxPerMm,
    ];
  }

  /** Wheel and pinch are loaded when a pointer comes near; a wheel that turns before is followed all the same. */
  let wheelAndPinch: HoopZoom | null = null;
  let isAsked = false;
  async function begin(): Promise<void> {
    if (isAsked || !frame.value) return;
    isAsked = true;
    const { startZoom } = await import('./hoopZoom.ts');
    if (!frame.value) return;
    wheelAndPinch = startZoom(
      frame.value,
      () => ({ view: view.value, size: size.value }),
      (next) => {
        view.value = next;
        isWhole.value = false;
      },
    );
  }
  useEventListener(frame, ['pointerenter', 'pointerdown', 'focusin'], begin);
  watch([view, size], () => wheelAndPinch?.follow(view.value, size.value), { flush: 'sync' });
  onScopeDispose(() => wheelAndPinch?.stop());

  function wheel(event: WheelEvent): void {
    if (wheelAndPinch) return;
    void begin();
    const box = frame.value!.getBoundingClientRect();
    zoom(Math.exp(-event.deltaY * 0.0016), event.clientX - box.left, event.clientY - box.top);
  }
  function zoom(factor: number, x = size.value.width / 2, y = size.value.height / 2): void {
    view.value = zoomed(view.value, factor, x, y, size.value);
    isWhole.value = false;
  }
  /** Marks that a ruler has, in mm, and the longest of them that takes up to a quarter of the width. */
  const rulerMm = computed(() =>
    settings.units === 'inch'
      ? [4, 2, 1, 1 / 2, 1 / 4, 1 / 8, 1 / 16].map((inch) => inch * MM_PER_INCH)
      : [100, 50, 20, 10, 5, 2, 1],
  );
  const ruleMm = computed(
    () => rulerMm.value.find((mm) => mm * view.value.pxPerMm <= size.value.width / 4) ?? rulerMm.value.at(-1)!,
  );
  function pan(dx: number, dy: number): void {
    view.value = panned(view.value, dx, dy);
    isWhole.value = false;
  }
  return {
    view,
    isWhole,
    isTrueSize,
    showAll,
    showTrueSize,
    pan,
    zoom,
    wheel,
    onCloth,
    viewBox,
    hairline,
    stripe,
    ruleMm,
  };
}
