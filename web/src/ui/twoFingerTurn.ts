/** Fingers that only enlarge turn a little, too: less than this is not meant, degrees. */
const MEANT_DEG = 8;

/** Listens to fingers and tells how far two of them turn. */
export interface TwoFingerTurn {
  down(event: PointerEvent): void;
  /** @returns degrees clockwise since it was told last; nought until the turn is meant */
  move(event: PointerEvent): number;
  up(event: PointerEvent): void;
}

/** Two fingers that go round each other turn what is below them. */
export function twoFingerTurn(): TwoFingerTurn {
  const fingers = new Map<number, { x: number; y: number }>();
  let untold = 0;
  let isMeant = false;
  return {
    down({ pointerId, clientX, clientY }) {
      fingers.set(pointerId, { x: clientX, y: clientY });
      untold = 0;
      isMeant = false;
    },
    move({ pointerId, clientX, clientY }) {
      const before = fingers.get(pointerId);
      const other = [...fingers].find(([id]) => id !== pointerId)?.[1];
      if (!before) return 0;
      const now = { x: clientX, y: clientY };
      fingers.set(pointerId, now);
      if (!other || fingers.size !== 2) return 0;
      const heading = ({ x, y }: { x: number; y: number }): number => Math.atan2(y - other.y, x - other.x);
      const by = heading(now) - heading(before);
      untold += (Math.atan2(Math.sin(by), Math.cos(by)) * 180) / Math.PI;
      isMeant ||= Math.abs(untold) > MEANT_DEG;
      if (!isMeant) return 0;
      const told = untold;
      untold = 0;
      return told;
    },
    up: ({ pointerId }) => void fingers.delete(pointerId),
  };
}
