import { shallowRef, type Ref, type ShallowRef } from 'vue';

/** Where the middle of the hoop lies on the screen, mm from the middle of it, and how the pattern is turned. */
export interface TablePlace {
  readonly x: number;
  readonly y: number;
  /** Clockwise. */
  readonly turnDeg: number;
}

interface Hold {
  readonly place: ShallowRef<TablePlace>;
  nudge(xMm: number, yMm: number): void;
  turn(byDeg: number): void;
  reset(): void;
  down(event: PointerEvent): void;
  move(event: PointerEvent): void;
  up(event: PointerEvent): void;
  letGo(): void;
}

const MIDDLE: TablePlace = { x: 0, y: 0, turnDeg: 0 };

/** How a pattern lies on the light table: one finger moves it, two turn it, neither enlarges it. */
export function useTablePlace(pxPerMm: Readonly<Ref<number>>): Hold {
  const place = shallowRef(MIDDLE);
  /** Where fingers are, mm from the middle of the screen. */
  const fingers = new Map<number, { x: number; y: number }>();

  const onScreen = ({ clientX, clientY }: PointerEvent): { x: number; y: number } => ({
    x: (clientX - window.innerWidth / 2) / pxPerMm.value,
    y: (clientY - window.innerHeight / 2) / pxPerMm.value,
  });
  function nudge(xMm: number, yMm: number): void {
    place.value = { ...place.value, x: place.value.x + xMm, y: place.value.y + yMm };
  }
  function turn(byDeg: number, about: { x: number; y: number } = place.value): void {
    const { x, y, turnDeg } = place.value;
    const [cos, sin] = [Math.cos((byDeg * Math.PI) / 180), Math.sin((byDeg * Math.PI) / 180)];
    const [dx, dy] = [x - about.x, y - about.y];
    place.value = {
      x: about.x + cos * dx - sin * dy,
      y: about.y + sin * dx + cos * dy,
      turnDeg: (turnDeg + byDeg) % 360,
    };
  }

  function move(event: PointerEvent): void {
    const before = fingers.get(event.pointerId);
    if (!before) return;
    const now = onScreen(event);
    const other = [...fingers].find(([id]) => id !== event.pointerId)?.[1];
    fingers.set(event.pointerId, now);
    if (!other) return nudge(now.x - before.x, now.y - before.y);
    // The pattern turns about the finger that holds still; towards and away from it each finger moves it by half.
    const reach = ({ x, y }: { x: number; y: number }): number => Math.hypot(x - other.x, y - other.y) || 1;
    const heading = ({ x, y }: { x: number; y: number }): number => Math.atan2(y - other.y, x - other.x);
    const by = heading(now) - heading(before);
    turn((Math.atan2(Math.sin(by), Math.cos(by)) * 180) / Math.PI, other);
    const away = (reach(now) - reach(before)) / 2;
    nudge((away * (now.x - other.x)) / reach(now), (away * (now.y - other.y)) / reach(now));
  }

  return {
    place,
    nudge,
    turn: (byDeg) => turn(byDeg),
    reset: () => (place.value = MIDDLE),
    down: (event) => void fingers.set(event.pointerId, onScreen(event)),
    move,
    up: (event) => void fingers.delete(event.pointerId),
    letGo: () => fingers.clear(),
  };
}
