import { ref, type Ref } from 'vue';

/** Shares of the room below the tape that the card takes on a phone: lowered, half, drawn up. */
const HEIGHTS = [0.14, 0.55, 0.9] as const;
/** A drag shorter than this was a press, CSS pixels. */
const SLIP_PX = 5;

interface CardSheet {
  /** Share of the height that the card takes, from 0 to 1. */
  readonly share: Ref<number>;
  press(event: PointerEvent): void;
  move(event: PointerEvent): void;
  release(): void;
  key(event: KeyboardEvent): void;
}

/** The card of a narrow window as a sheet: drawn up and down by its handle, by finger, by press or by arrow keys. */
export function useCardSheet(): CardSheet {
  const share = ref<number>(HEIGHTS[1]);
  let held: { y: number; share: number; roomPx: number; moved: boolean } | null = null;

  function press(event: PointerEvent): void {
    const handle = event.currentTarget as HTMLElement;
    handle.setPointerCapture(event.pointerId);
    held = { y: event.clientY, share: share.value, roomPx: handle.parentElement!.clientHeight, moved: false };
  }
  function move(event: PointerEvent): void {
    if (!held) return;
    const up = held.y - event.clientY;
    held.moved ||= Math.abs(up) > SLIP_PX;
    if (held.moved) share.value = Math.min(HEIGHTS[2], Math.max(HEIGHTS[0], held.share + up / held.roomPx));
  }
  function release(): void {
    // A press goes to the next height; a drag stays where it was let go.
    if (held && !held.moved) share.value = next(1, true);
    held = null;
  }
  function key(event: KeyboardEvent): void {
    const way = ({ ArrowUp: 1, ArrowDown: -1, Enter: 1, ' ': 1 } as const)[event.key];
    if (!way) return;
    event.preventDefault();
    event.stopPropagation();
    share.value = next(way, event.key === 'Enter' || event.key === ' ');
  }
  function next(way: 1 | -1, goesRound: boolean): number {
    const further = HEIGHTS.filter((height) => (height - share.value) * way > 0.01);
    return (way > 0 ? further[0] : further.at(-1)) ?? (goesRound ? HEIGHTS[0] : share.value);
  }
  return { share, press, move, release, key };
}
