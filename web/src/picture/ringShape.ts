import { innerDiameterMm } from '@junctura/core/materials';
import type { Hoop } from '@junctura/core/piece';

/** What the bands of a ring are made of. */
export type RingTone = 'wood' | 'light' | 'dark' | 'tape' | 'grain';

/** A band about the inside of the hoop: how far out its middle lies, and how wide it is, in thicknesses of the ring. */
export interface RingBand {
  readonly tone: RingTone;
  readonly out: number;
  readonly width: number;
}

/** How thick the two rings are together, as a share of the inner half, and at the least, mm. */
const THICK = { share: 0.075, leastMm: 3.4 } as const;

export function ringMm(innerHalfMm: number): number {
  return Math.max(THICK.leastMm, innerHalfMm * THICK.share);
}

/** How far out one sees, in inner halves, where the ring and a little of what lies about it are in sight. */
const ROOM = 1.17;

/** How far from its middle there is something to see of a hoop, mm. */
export function hoopInSightMm(hoop: Hoop): number {
  return (innerDiameterMm(hoop.nominalMm) / 2) * ROOM;
}

const grain = (outs: readonly number[]): RingBand[] => outs.map((out) => ({ tone: 'grain', out, width: 0.018 }));
const OUTER: readonly RingBand[] = [
  { tone: 'dark', out: 0.52, width: 0.05 },
  { tone: 'wood', out: 0.77, width: 0.46 },
  { tone: 'light', out: 0.68, width: 0.12 },
  ...grain([0.84, 0.92]),
];

/** A ring of plastic is moulded: no grain, a lip inside, a sharp line of light along its round. */
const MOULDED: readonly RingBand[] = [
  { tone: 'dark', out: 0.51, width: 0.05 },
  { tone: 'wood', out: 0.77, width: 0.46 },
  { tone: 'dark', out: 0.97, width: 0.05 },
  { tone: 'light', out: 0.7, width: 0.05 },
  { tone: 'light', out: 0.62, width: 0.03 },
];

/** The inner ring, bare or under its tape, and the outer one, in the order in which they are laid. */
export function ringBands({ ring, bound: isBound }: Pick<Hoop, 'ring' | 'bound'>): readonly RingBand[] {
  if (ring === 'plastic') {
    const inner: RingBand[] = isBound
      ? [{ tone: 'tape', out: 0.26, width: 0.52 }]
      : [
          { tone: 'wood', out: 0.26, width: 0.52 },
          { tone: 'light', out: 0.06, width: 0.05 },
          { tone: 'dark', out: 0.16, width: 0.03 },
        ];
    return [...inner, ...MOULDED];
  }
  if (isBound) return [{ tone: 'tape', out: 0.26, width: 0.52 }, ...OUTER];
  return [
    { tone: 'wood', out: 0.26, width: 0.52 },
    { tone: 'light', out: 0.08, width: 0.09 },
    ...OUTER,
    ...grain([0.3, 0.42]),
  ];
}

/** Turns of tape lie side by side over the inner ring, mm. */
export const TAPE_TURN_MM = 6;

/** The screw as boxes about the top of the outer ring, in thicknesses of the ring. */
export const SCREW: readonly {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}[] = [
  { x: -0.5, y: -0.5, width: 1, height: 1 },
  { x: -1.05, y: -0.28, width: 2.3, height: 0.3 },
  { x: 1.1, y: -0.46, width: 0.4, height: 0.66 },
];
