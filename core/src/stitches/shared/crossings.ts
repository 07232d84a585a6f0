import type { StitchShape } from '../kind.ts';
import type { MoveSink } from '../moves.ts';
import { forEachRun } from './alongLines.ts';

/** How stitches cross from one side of a line to the other and back. */
export interface Crossing {
  /** Along the line, from one to the next, mm. */
  readonly pitchMm: number;
  /** From one side to the other, mm. */
  readonly heightMm: number;
  /** How far the needle goes back along the side before it comes up again, as a share of the pitch. */
  readonly back: number;
}

/** Slanting stitches from side to side of a line by turns; each comes up behind where the last went down, so that they cross. */
export function workHerringbone({ lines }: StitchShape, { pitchMm, heightMm, back }: Crossing, sink: MoveSink): void {
  let side = 1;
  forEachRun(lines, pitchMm, 0, ({ stations, place, isFirst }) => {
    if (isFirst) sink.travel();
    const end = stations.at(-1)!;
    const pitch = end / Math.max(1, stations.length - 1);
    for (let i = 0; i + 1 < stations.length; i++) {
      const from = place(stations[i]!);
      const to = place(Math.min(end, stations[i + 1]! + back * pitch));
      const out = (side * heightMm) / 2;
      sink.stitch();
      sink.up(from.x - from.dy * out, from.y + from.dx * out);
      sink.down(to.x + to.dy * out, to.y - to.dx * out);
      side = -side;
    }
  });
}
