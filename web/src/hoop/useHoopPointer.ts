import { roundTo } from '@junctura/core/measure';
import { setHoop, setPositions, type HoopPlace } from '@junctura/core/piece';
import type { ComputedRef } from 'vue';
import { useOpenedPiece } from '../session/openedPiece.ts';
import { useSelection } from '../session/selection.ts';
import { twoFingerTurn } from '../ui/twoFingerTurn.ts';
import type { HoopCamera } from './useHoopCamera.ts';
import type { KeyCross } from './useKeyCross.ts';
import type { usePen } from './usePen.ts';

/** What the hoop shows: the drawing alone, its fit, the stitches, the lines to be transferred, the work as it grows, as it stands, or finished. */
export type HoopShows = 'drawing' | 'fit' | 'stitches' | 'lines' | 'order' | 'work' | 'finished';

/** What a pointer and keys do on the hoop. */
export interface HoopPointer {
  press(event: PointerEvent): void;
  move(event: PointerEvent): void;
  release(event: PointerEvent): void;
  cancel(event: PointerEvent): void;
  key(event: KeyboardEvent): void;
}

/**
 * A press picks a part, a drag moves the view; a hoop position is dragged by its number, and with the pen out a drag draws. Keys
 * move the view, and where the fit is shown the design; with the pen out they draw.
 */
export function useHoopPointer(
  camera: HoopCamera,
  pen: ReturnType<typeof usePen>,
  cross: KeyCross,
  isPenOut: ComputedRef<boolean>,
  show: () => HoopShows,
): HoopPointer {
  const opened = useOpenedPiece();
  const selection = useSelection();
  let drag: { x: number; y: number; moved: boolean } | null = null;
  /** The hoop position that is being dragged, and where it was taken hold of. */
  let gripped: { index: number; x: number; y: number; from: HoopPlace } | null = null;
  /** Fingers that are down, and whether there were two since the first came: then they enlarge, and nothing is picked, drawn or dragged. */
  const down = new Set<number>();
  let isPinch = false;
  /** Where the fit is shown, two fingers turn the design about the middle of the hoop. */
  const fingers = twoFingerTurn();
  function press(event: PointerEvent): void {
    down.add(event.pointerId);
    fingers.down(event);
    if (down.size > 1) {
      isPinch = true;
      drag = gripped = null;
      pen.drop();
    }
    if (isPinch) return;
    if (isPenOut.value) return pen.start(...camera.onCloth(event));
    const grip = (event.target as Element).closest('[data-position]');
    if (grip) {
      const index = Number(grip.getAttribute('data-position'));
      const [x, y] = camera.onCloth(event);
      gripped = { index, x, y, from: opened.piece.positions[index]! };
      return;
    }
    drag = { x: event.clientX, y: event.clientY, moved: false };
  }
  function move(event: PointerEvent): void {
    const byDeg = fingers.move(event);
    if (isPinch) {
      if (byDeg !== 0 && show() === 'fit') void turn(byDeg);
      return;
    }
    if (isPenOut.value) {
      if (event.buttons !== 0) pen.move(...camera.onCloth(event));
      return;
    }
    if (gripped && event.buttons !== 0) {
      const { index, x, y, from } = gripped;
      const [nowX, nowY] = camera.onCloth(event);
      movePosition(index, roundTo(from[0] + nowX - x, 1), roundTo(from[1] + nowY - y, 1));
      return;
    }
    if (!drag || event.buttons === 0) return;
    const [dx, dy] = [event.clientX - drag.x, event.clientY - drag.y];
    if (!drag.moved && Math.hypot(dx, dy) < 4) return;
    drag = { x: event.clientX, y: event.clientY, moved: true };
    camera.pan(dx, dy);
  }
  async function turn(byDeg: number): Promise<void> {
    // What measures designs is loaded when it is wanted.
    const { turned } = await import('@junctura/core/drawing');
    const { placement, hoop } = opened.piece;
    // A placement turns anticlockwise.
    opened.edit(setHoop(opened.piece, hoop, turned(placement, -byDeg), 'Turn the design'));
  }
  function movePosition(index: number, x: number, y: number): void {
    const moved = opened.piece.positions.map((position, i) =>
      i === index ? ([x, y, position[2]] as const) : position,
    );
    opened.edit(setPositions(opened.piece, moved));
  }
  /** Moves the design on the cloth by keys: a millimetre, or with Alt a tenth. */
  function nudge(way: readonly [number, number], byMm: number): void {
    const { placement, hoop } = opened.piece;
    const moved = { ...placement, xMm: placement.xMm + way[0] * byMm, yMm: placement.yMm + way[1] * byMm };
    opened.edit(setHoop(opened.piece, hoop, moved, 'Move the design'));
  }
  function release(event: PointerEvent): void {
    down.delete(event.pointerId);
    fingers.up(event);
    if (isPinch) {
      isPinch = down.size > 0;
      return;
    }
    if (gripped) {
      gripped = null;
      return;
    }
    if (isPenOut.value) return pen.end();
    const wasDrag = drag?.moved;
    drag = null;
    if (wasDrag) return;
    const id = (event.target as Element).getAttribute('data-part');
    const isAdding = event.shiftKey || event.ctrlKey || event.metaKey || selection.picksSeveral;
    if (id === null) return selection.picksSeveral ? undefined : selection.pick([]);
    if (!isAdding) return selection.pick([id]);
    selection.toggle(id);
    if (selection.picksSeveral) selection.isListing = true;
  }
  function key(event: KeyboardEvent): void {
    const step = 40;
    const pans: Record<string, [number, number]> = {
      ArrowLeft: [step, 0],
      ArrowRight: [-step, 0],
      ArrowUp: [0, step],
      ArrowDown: [0, -step],
    };
    if (isPenOut.value && !event.ctrlKey && !event.metaKey && cross.key(event)) {
      event.stopPropagation();
      event.preventDefault();
      return;
    }
    const pan = pans[event.key];
    if (pan && event.shiftKey && show() === 'fit' && !event.ctrlKey && !event.metaKey) {
      nudge([-pan[0] / step, -pan[1] / step], event.altKey ? 0.1 : 1);
      event.stopPropagation();
      event.preventDefault();
      return;
    }
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    if (pan) camera.pan(...pan);
    else if (event.key === '+' || event.key === '=') camera.zoom(1.4);
    else if (event.key === '-') camera.zoom(1 / 1.4);
    else if (event.key === '0') camera.showAll();
    else if (event.key === '1') camera.showTrueSize();
    else if ((event.key === 'Escape' || event.key === 'Enter') && selection.pen) selection.pen = null;
    else if (event.key === 'Escape') selection.pick([]);
    else return;
    event.stopPropagation();
    event.preventDefault();
  }
  /** The browser takes the finger for itself. */
  function cancel(event: PointerEvent): void {
    down.delete(event.pointerId);
    fingers.up(event);
    isPinch = isPinch && down.size > 0;
    drag = gripped = null;
    pen.drop();
  }
  return { press, move, release, cancel, key };
}
