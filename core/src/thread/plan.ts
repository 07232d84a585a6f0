import type { Hoop, HoopPlace, PlanInput } from '../piece/index.ts';
import { innerDiameterMm, SECONDS, UNPICKED_TIME } from '../materials/index.ts';
import { Memory, stage } from '../measure/index.ts';
import { hourOdds } from './odds.ts';
import { pointsOf, circleAround, type PlacedShape, positionsOf, clearInHoopMm } from '../drawing/index.ts';
import { type ColourNeed, type StepWork, threadWork } from './needs.ts';
import { shadeNeeds } from './shadeNeeds.ts';
import type { OrderOfWork, Step } from '../order/index.ts';
import type { PlannedPart, ThreadSpread, PlannedPass } from '../work/index.ts';
import { type Circle, type Box, boxOf } from '../geometry/index.ts';

export interface Plan {
  readonly design: {
    readonly widthMm: number;
    readonly heightMm: number;
    readonly scaleMmPerUnit: number;
    readonly circle: Circle | null;
    readonly box: Box | null;
  };
  readonly hoop: { readonly nominalMm: number; readonly innerMm: number; readonly clearMm: number } | null;
  readonly parts: readonly PlannedPart[];
  /** All steps in the order of work, what each takes, and the rules that the order was made by. */
  readonly order: readonly Step[];
  readonly work: readonly (StepWork | null)[];
  readonly rules: Omit<OrderOfWork, 'steps'>;
  /** How surely the thread is known. */
  readonly spread: ThreadSpread;
  readonly colours: readonly ColourNeed[];
  readonly totals: {
    readonly stitches: number;
    readonly threadMm: number;
    readonly hours: { readonly p10: number; readonly p50: number; readonly p90: number };
    readonly skeins90: number;
  };
}

/** Everything that is computed of a piece from its worked parts and their order. */
export function sumUp(
  piece: PlanInput,
  parts: readonly PlannedPart[],
  { steps: order, ...rules }: OrderOfWork,
  spread: ThreadSpread,
  memory = new Memory(),
): Plan {
  const shapes = parts.map((planned) => planned.placed);
  const { box, circle } = memory.made(EXTENT, [], { shapes });
  const { colours, steps: work } = threadWork(piece, parts, order, spread, memory);
  const passes = parts.flatMap((planned) => planned.passes);
  const sum = (pick: (pass: PlannedPass) => number): number => passes.reduce((total, pass) => total + pick(pass), 0);
  return {
    design: {
      widthMm: box ? box.maxX - box.minX : 0,
      heightMm: box ? box.maxY - box.minY : 0,
      scaleMmPerUnit: piece.drawing.unitMm * piece.placement.scale,
      circle,
      box,
    },
    hoop: hoopRoom(piece, shapes, memory),
    parts,
    order,
    work,
    rules,
    spread,
    colours,
    totals: {
      stitches: sum((pass) => pass.quantities.stitches),
      threadMm: sum((pass) => pass.quantities.threadMm),
      hours: hourOdds(
        secondsAtWork(
          sum((pass) => pass.quantities.seconds),
          colours.reduce((s, { aroundSeconds }) => s + aroundSeconds, 0),
          hoopMoves(order),
        ) / 3600,
      ),
      // Colours that come to one shade are bought as one.
      skeins90: shadeNeeds(piece, colours, spread, memory).reduce((total, { skeins }) => total + skeins.p90, 0),
    },
  };
}

/** How often an order moves the hoop. */
export function hoopMoves(order: readonly Pick<Step, 'position'>[]): number {
  return order.filter(({ position }, i) => i > 0 && position !== order[i - 1]!.position).length;
}

/** All that a piece takes: its stitches, some of them twice; threading; the cloth mounted, and the hoop moved from place to place. */
export function secondsAtWork(stitching: number, around: number, moves: number): number {
  if (stitching === 0) return 0;
  const mounting = SECONDS.mountCloth + SECONDS.moveHoop * moves;
  return stitching * (1 + UNPICKED_TIME) + around + mounting;
}

interface LaidDesign {
  readonly shapes: readonly PlacedShape[];
}

/** How far a design reaches. */
export const EXTENT = stage<LaidDesign>()(
  'extent',
  ['shapes'],
  ({ shapes }): Pick<Plan['design'], 'box' | 'circle'> => ({
    box: boxOf(shapes.flatMap((placed) => [...pointsOf(placed.shape)])),
    circle: circleAround(shapes),
  }),
);

interface DesignInHoop extends LaidDesign {
  readonly hoop: Hoop;
  readonly positions: readonly HoopPlace[];
}

/** How far a design stays clear of the ring. */
export const CLEAR_IN_HOOP = stage<DesignInHoop>()(
  'clear in the hoop',
  ['shapes', 'hoop', 'positions'],
  ({ shapes, hoop, positions }) =>
    clearInHoopMm(
      shapes.flatMap(({ shape }) => [...pointsOf(shape)]),
      hoop,
      positions,
    ),
);

function hoopRoom(piece: PlanInput, shapes: readonly PlacedShape[], memory: Memory): Plan['hoop'] {
  const { hoop } = piece;
  if (!hoop) return null;
  const clearMm = memory.made(CLEAR_IN_HOOP, [], { shapes, hoop, positions: positionsOf(piece) });
  return { nominalMm: hoop.nominalMm, innerMm: innerDiameterMm(hoop.nominalMm), clearMm };
}
