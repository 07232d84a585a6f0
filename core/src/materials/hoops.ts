import { formatLength, formatNumber, MM_PER_INCH, type UnitSystem } from '../measure/index.ts';

/** Nominal sizes of round hoops in mm (about 4 to 12 in). */
export const HOOP_SIZES_MM = [100, 125, 150, 180, 200, 230, 250, 300] as const;
/** Usual ovals, long by short, mm. */
export const OVAL_SIZES_MM = [
  { nominalMm: 145, shortMm: 95 },
  { nominalMm: 200, shortMm: 130 },
  { nominalMm: 260, shortMm: 180 },
] as const;

/** The inside of a ring is smaller than its nominal size by about this much. */
const RING_MM = 6;
/** The outer ring stands this far outside the nominal size all round, and its screw a little more. */
const OUTER_RING_MM = 4;

/** Air between the design and the ring. */
export const AIR_MM = { least: 10, usual: 12, raised: 20 } as const;

export const HOOP_RANGE_MM = { min: 50, max: 600 } as const;

export function innerDiameterMm(nominalMm: number): number {
  return nominalMm - RING_MM;
}

/** The size of a hoop: round, or an oval whose long way lies across. */
export interface HoopSize {
  readonly nominalMm: number;
  /** The short way of an oval; null: round. */
  readonly shortMm: number | null;
}

/** A hoop this near to whole inches is sold by them. */
const NEAR_INCH = 0.13;

/** The size of a hoop as it is sold: “15 cm”, “20 × 13 cm”, “6 in”, “4 1/2 in”. */
export function hoopSizeText({ nominalMm, shortMm }: HoopSize, units: UnitSystem): string {
  const size = units === 'inch' ? inches : (mm: number): string => formatNumber(mm / 10, 1);
  const across = shortMm === null ? size(nominalMm) : `${size(nominalMm)} × ${size(shortMm)}`;
  return units === 'inch' ? `${across} in` : `${across} cm`;
}

function inches(mm: number): string {
  const whole = Math.round(mm / MM_PER_INCH);
  return Math.abs(mm / MM_PER_INCH - whole) < NEAR_INCH
    ? formatNumber(whole)
    : formatLength(mm, 'inch').replace(' in', '');
}

/** Half the inside of a ring, across and up and down, mm. */
export function innerHalvesMm({ nominalMm, shortMm }: HoopSize): readonly [across: number, upright: number] {
  return [innerDiameterMm(nominalMm) / 2, innerDiameterMm(shortMm ?? nominalMm) / 2];
}

/** What a ring covers of the cloth: half its outside, mm. */
export function outerHalvesMm({ nominalMm, shortMm }: HoopSize): readonly [across: number, upright: number] {
  return [nominalMm / 2 + OUTER_RING_MM, (shortMm ?? nominalMm) / 2 + OUTER_RING_MM];
}

/** How far round an ellipse is (Ramanujan 1914, second formula: right to a millionth for any hoop). */
export function ellipseRoundMm(a: number, b: number): number {
  const h = ((a - b) / (a + b)) ** 2;
  return Math.PI * (a + b) * (1 + (3 * h) / (10 + Math.sqrt(4 - 3 * h)));
}

/** Room to work in all round a hoop. */
const WORKING_ROOM_MM = 50;
/** Left past the ring when the cloth is trimmed to be gathered behind. */
const GATHERED_MM = 13.5;
/** The gathering thread is longer than its round by this, to draw up and tie. */
const GATHERING_ENDS_MM = 200;
/** A wooden ring in section, and how a tape is wound round it. */
const RING_SECTION_MM = { width: 8, height: 11 };
export const TAPE = { widthMm: 15, overlap: 1 / 3, endsMm: 60 } as const;

/** What a hoop takes besides thread, mm. Positions side by side widen the cloth. */
export interface HoopNeeds {
  readonly clothAcrossMm: number;
  readonly clothUprightMm: number;
  /** From the ring to the edge when trimmed for gathering. */
  readonly trimMm: number;
  readonly gatheringMm: number;
  /** Tape to bind both rings. */
  readonly tapeMm: number;
}

/** @param spread how far the middles of the positions lie apart, across and up and down, mm */
export function hoopNeeds(hoop: HoopSize, spread: readonly [number, number] = [0, 0]): HoopNeeds {
  const [a, b] = outerHalvesMm(hoop);
  const section = 2 * (RING_SECTION_MM.width + RING_SECTION_MM.height);
  const wound = TAPE.widthMm * (1 - TAPE.overlap);
  return {
    clothAcrossMm: 2 * a + spread[0] + 2 * WORKING_ROOM_MM,
    clothUprightMm: 2 * b + spread[1] + 2 * WORKING_ROOM_MM,
    trimMm: GATHERED_MM,
    gatheringMm: ellipseRoundMm(a + GATHERED_MM / 2, b + GATHERED_MM / 2) + GATHERING_ENDS_MM,
    tapeMm: 2 * ((ellipseRoundMm(a, b) * section) / wound + TAPE.endsMm),
  };
}

/** Diameters of a drawn circle that differ by more than this share mean that the cloth is pulled out of true. */
export const WARP_LIMIT = 0.02;

/** How far cloth is pulled out of true: its length up and down over that across, less one. */
export function warpOf({ uprightMm, acrossMm }: { uprightMm: number; acrossMm: number }): number {
  return uprightMm / acrossMm - 1;
}

/** Up to these widths a hoop is light in the hand, is reached to its middle, and can still be held, mm. */
const HELD_MM = { light: 130, easy: 185, far: 235 } as const;

/** How a hoop is held: light in the hand; easily, as the fingers reach its middle; with a stretch to its far middle; or on a stand or table. */
export type HoopHolding = 'light' | 'easy' | 'far' | 'stand';

/** How a hoop is held, by its shorter way: from there the hand reaches in. */
export function holdingOf({ nominalMm, shortMm }: HoopSize): HoopHolding {
  const mm = shortMm ?? nominalMm;
  return mm <= HELD_MM.light ? 'light' : mm <= HELD_MM.easy ? 'easy' : mm <= HELD_MM.far ? 'far' : 'stand';
}
