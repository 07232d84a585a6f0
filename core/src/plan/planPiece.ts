import { circleAround, clearInHoopMm, pointsOf, positionsOf, type PlacedShape } from '../drawing/index.ts';
import { boxOf, type Box, type Circle } from '../geometry/index.ts';
import { clothOf, innerDiameterMm } from '../materials/index.ts';
import { Remembered } from '../measure/index.ts';
import type { Piece } from '../piece/index.ts';
import { NOTHING_BELOW } from './layers.ts';
import { colourNeeds, travelMm, type ColourNeed } from './needs.ts';
import { hourOdds, USUAL_SPREAD } from './odds.ts';
import {
  planPass,
  USUAL_HAND,
  withPass,
  type OwnHand,
  type PlannedPart,
  type PlannedPass,
  type SettledPass,
  type WorkSettings,
} from './planPass.ts';

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
  readonly colours: readonly ColourNeed[];
  readonly totals: {
    readonly stitches: number;
    readonly threadMm: number;
    readonly hours: { readonly p10: number; readonly p50: number; readonly p90: number };
    readonly skeins90: number;
  };
}

/** Works the passes of a piece, and keeps them: only what an edit touches is worked again. */
export class PassWorker {
  private kept = new Map<string, { placed: PlacedShape; key: string; planned: PlannedPass }>();

  work(placed: PlacedShape, passes: readonly SettledPass[], settings: WorkSettings): PlannedPass[] {
    const shared = JSON.stringify(settings);
    let below = NOTHING_BELOW;
    return passes.map((pass, i) => {
      const slot = `${placed.partId}#${i}`;
      const key = shared + JSON.stringify([pass, below]);
      const before = this.kept.get(slot);
      const isSame = before?.placed === placed && before.key === key;
      const planned = isSame ? before.planned : planPass(placed, pass, settings, below);
      if (!isSame) this.kept.set(slot, { placed, key, planned });
      below = withPass(below, placed, planned);
      return planned;
    });
  }
}

/** @param own the person's figures, where the piece has none of its own */
export function workSettings(piece: Piece, seed: number, own: OwnHand = USUAL_HAND): WorkSettings {
  const cloth = clothOf(piece.cloth.kind)!;
  return {
    clothMm: cloth.thicknessMm,
    slack: piece.worker.slack,
    travelMm: travelMm(piece),
    satinFrom: piece.worker.satinFrom,
    hand: piece.worker.hand,
    own: { ...own, ...piece.worker.own },
    seed,
  };
}

/** Everything that is computed of a piece from its worked parts. */
export function sumUp(piece: Piece, parts: readonly PlannedPart[], handSpread = USUAL_SPREAD.hand): Plan {
  const shapes = parts.map((planned) => planned.placed);
  const { box, circle } = extents.get(shapes, '', () => ({
    box: boxOf(shapes.flatMap((placed) => [...pointsOf(placed.shape)])),
    circle: circleAround(shapes),
  }));
  const colours = colourNeeds(piece, parts, { ...USUAL_SPREAD, hand: handSpread });
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
    hoop: hoopRoom(piece, shapes),
    parts,
    colours,
    totals: {
      stitches: sum((pass) => pass.quantities.stitches),
      threadMm: sum((pass) => pass.quantities.threadMm),
      hours: hourOdds(
        (sum((pass) => pass.quantities.seconds) + colours.reduce((s, { aroundSeconds }) => s + aroundSeconds, 0)) /
          3600,
      ),
      skeins90: colours.reduce((total, { skeins }) => total + skeins.p90, 0),
    },
  };
}

/** Where nothing was moved, how far a design reaches was found before. */
const extents = new Remembered<PlacedShape, { box: Box | null; circle: Circle | null }>();
const rooms = new Remembered<PlacedShape, number>();

function hoopRoom(piece: Piece, shapes: readonly PlacedShape[]): Plan['hoop'] {
  const { hoop } = piece;
  if (!hoop) return null;
  const positions = positionsOf(piece);
  const clearMm = rooms.get(shapes, JSON.stringify([hoop, positions]), () =>
    clearInHoopMm(
      shapes.flatMap(({ shape }) => [...pointsOf(shape)]),
      hoop,
      positions,
    ),
  );
  return { nominalMm: hoop.nominalMm, innerMm: innerDiameterMm(hoop.nominalMm), clearMm };
}
