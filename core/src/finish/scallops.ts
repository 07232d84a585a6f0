import type { Polyline } from '../geometry/index.ts';

/** How deep a scallop is, of its width. */
const DEPTH = 0.28;
/** Points along the arc of one. */
const STEPS = 16;

export interface Scallops {
  /** The edge, with the cloth on its left hand. */
  readonly line: Polyline;
  readonly across: number;
  readonly upright: number;
  readonly count: number;
  readonly deepMm: number;
}

/** A whole number of scallops on each side of a cloth, of the width nearest to the one that is wished, so that they meet in the corners. */
export function scallopsAround(widthMm: number, heightMm: number, wishedMm: number, x = 0, y = 0): Scallops {
  // Nearest by width, not by count: of a side of 86 mm, two of 43 are nearer to 60 than one of 86.
  const whole = (side: number): number => {
    const fewer = Math.max(1, Math.floor(side / wishedMm));
    const off = (count: number): number => Math.abs(side / count - wishedMm);
    return off(fewer + 1) < off(fewer) ? fewer + 1 : fewer;
  };
  const [across, upright] = [whole(widthMm), whole(heightMm)];
  const [a, b] = [widthMm / 2, heightMm / 2];
  // Round by the left: down, along, up, back, so that the cloth lies to the left of the line.
  const sides = [
    { from: [x - a, y - b], to: [x - a, y + b], count: upright },
    { from: [x - a, y + b], to: [x + a, y + b], count: across },
    { from: [x + a, y + b], to: [x + a, y - b], count: upright },
    { from: [x + a, y - b], to: [x - a, y - b], count: across },
  ] as const;
  const points: number[] = [];
  for (const { from, to, count } of sides) {
    const [dx, dy] = [(to[0] - from[0]) / count, (to[1] - from[1]) / count];
    for (let k = 0; k < count; k++) {
      for (let i = 0; i < STEPS; i++) {
        const share = i / STEPS;
        const [px, py] = [from[0] + (k + share) * dx, from[1] + (k + share) * dy];
        // The arc stands out to the right.
        const out = 4 * DEPTH * share * (1 - share);
        points.push(px - out * dy, py + out * dx);
      }
    }
  }
  const deepest = Math.max(widthMm / across, heightMm / upright);
  return {
    line: { points: Float64Array.from(points), closed: true },
    across,
    upright,
    count: 2 * (across + upright),
    deepMm: DEPTH * deepest,
  };
}
