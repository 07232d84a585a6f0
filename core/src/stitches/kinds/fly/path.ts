import { placesOf } from '../../../geometry/index.ts';
import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';

/** The loop bends so near to where its arms meet, as a share of each arm. */
const BEND = 0.25;

/** A V whose arms meet on the spot, open against the direction, its tail along it. */
export function workFly(
  { spots }: StitchShape,
  { widthMm, depthMm, tailMm }: { widthMm: number; depthMm: number; tailMm: number },
  { angleRad }: StitchContext,
  sink: MoveSink,
): void {
  const [dx, dy] = [Math.cos(angleRad), -Math.sin(angleRad)];
  for (const [x, y] of placesOf(spots)) {
    const at = (along: number, out: number): [number, number] => [x + dx * along - dy * out, y + dy * along + dx * out];
    sink.travel();
    sink.stitch();
    sink.up(...at(-depthMm, -widthMm / 2));
    sink.via(...at(-depthMm * BEND, (-widthMm / 2) * BEND));
    sink.via(...at(0, 0));
    sink.via(...at(-depthMm * BEND, (widthMm / 2) * BEND));
    sink.down(...at(-depthMm, widthMm / 2));
    sink.stitch();
    sink.up(...at(0, 0));
    sink.down(...at(tailMm, 0));
  }
}
