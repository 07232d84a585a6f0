import { describe, expect, it } from 'vitest';
import { seededRandom } from '@junctura/core/measure';
import { twoFingerTurn } from './twoFingerTurn.ts';

const finger = (pointerId: number, clientX: number, clientY: number): PointerEvent =>
  ({ pointerId, clientX, clientY }) as PointerEvent;

describe('two fingers', () => {
  it('turn by as much as they go round each other, whichever moves, however often, past half a turn', () => {
    for (let seed = 1; seed <= 30; seed++) {
      const random = seededRandom(seed);
      const turn = twoFingerTurn();
      const reach = random.between(40, 200);
      let angle = random.between(0, 6.28);
      const at = (id: number): PointerEvent => {
        const half = id === 0 ? reach / 2 : -reach / 2;
        return finger(id, 300 + half * Math.cos(angle), 300 + half * Math.sin(angle));
      };
      turn.down(at(0));
      turn.down(at(1));
      const from = angle;
      let told = 0;
      for (let k = 0; k < 40; k++) {
        angle += random.between(0.02, 0.15);
        told += turn.move(at(0)) + turn.move(at(1));
      }
      expect(told).toBeCloseTo(((angle - from) * 180) / Math.PI, 6);
    }
  });

  it('do not turn where they only enlarge, with a tremble; one finger never turns', () => {
    const turn = twoFingerTurn();
    turn.down(finger(0, 300, 300));
    expect(turn.move(finger(0, 320, 390))).toBe(0);
    turn.down(finger(1, 400, 390));
    for (let k = 1; k < 30; k++) {
      expect(turn.move(finger(1, 400 + 5 * k, 390 + (k % 2)))).toBe(0);
      expect(turn.move(finger(0, 320 - 5 * k, 390 - (k % 2)))).toBe(0);
    }
    turn.up(finger(1, 0, 0));
    expect(turn.move(finger(0, 10, 900))).toBe(0);
  });
});
