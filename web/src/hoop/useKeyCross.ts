import { ref, watch, type Ref } from 'vue';
import { useSelection } from '../session/selection.ts';
import type { HoopCamera } from './useHoopCamera.ts';
import type { usePen } from './usePen.ts';

/** Between two places the stroke is drawn in steps of this, mm, as a hand would. */
const STROKE_STEP_MM = 0.6;
const STEP_MM = 1;
const FINE_STEP_MM = 0.1;
const COARSE_STEP_MM = 5;
const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
/** What is drawn by one press. */
const ONE_PRESS: ReadonlySet<string> = new Set(['points', 'centre', 'spot']);

/** The pen led by keys. */
export interface KeyCross {
  /** Where the cross stands, mm on the cloth; null until a key moves it. */
  readonly at: Ref<readonly [x: number, y: number] | null>;
  /** What a key does with the pen out; false where it is not for the pen. */
  key(event: KeyboardEvent): boolean;
}

/**
 * Draws by keys: arrows move a cross, by 1 mm, with Shift by 5, with Alt by 0.1; the space bar sets a place of the stroke, Enter ends it, and
 * Escape lets go of it.
 */
export function useKeyCross(camera: HoopCamera, pen: ReturnType<typeof usePen>): KeyCross {
  const selection = useSelection();
  const at = ref<readonly [number, number] | null>(null);
  /** The last place of the stroke that is under way. */
  let last: readonly [number, number] | null = null;
  watch(
    () => selection.pen,
    () => {
      if (last) pen.drop();
      at.value = last = null;
    },
  );

  function key(event: KeyboardEvent): boolean {
    const { centreX, centreY } = camera.view.value;
    const here = at.value ?? ([centreX, centreY] as const);
    const way = ARROWS[event.key];
    if (way) {
      const step = event.shiftKey ? COARSE_STEP_MM : event.altKey ? FINE_STEP_MM : STEP_MM;
      at.value = [here[0] + way[0] * step, here[1] + way[1] * step];
      // What was taken hold of follows at once.
      if (last && selection.pen?.draws === 'vein') pen.move(...at.value);
    } else if (event.key === ' ') {
      at.value = here;
      if (last) drawTo(here);
      else {
        pen.start(...here);
        last = here;
        if (ONE_PRESS.has(selection.pen!.draws)) end();
      }
    } else if (event.key === 'Enter' && last) {
      drawTo(here);
      end();
    } else if (event.key === 'Escape' && last) {
      pen.drop();
      last = null;
    } else return false;
    return true;
  }

  function drawTo(to: readonly [number, number]): void {
    const from = last!;
    const count = Math.ceil(Math.hypot(to[0] - from[0], to[1] - from[1]) / STROKE_STEP_MM);
    for (let i = 1; i <= count; i++) {
      pen.move(from[0] + ((to[0] - from[0]) * i) / count, from[1] + ((to[1] - from[1]) * i) / count);
    }
    last = to;
  }

  function end(): void {
    last = null;
    pen.end();
  }

  return { at, key };
}
