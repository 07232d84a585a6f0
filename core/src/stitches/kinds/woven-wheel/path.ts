import { placesOf } from '../../../geometry/index.ts';
import type { StitchContext, StitchShape } from '../../kind.ts';
import type { MoveSink } from '../../moves.ts';
import { FIRST_THREAD, SECOND_THREAD } from '../../shared/twoThreads.ts';
/** Rounds of weaving lie so close, in laid widths. */
const CLOSE = 0.82;
/** The weaving begins so far from the middle, in laid widths. */
const MIDDLE = 0.8;
/** How far before and after a spoke the thread dives and comes out, in laid widths. */
const DIVE = 0.75;

/** Spokes from the rim into the middle, then a spiral woven over and under them, on top of the cloth. */
export function workWovenWheel(
  { spots }: StitchShape,
  { radiusMm, spokes, rounds }: { radiusMm: number; spokes: number; rounds: number },
  { laidMm, angleRad }: StitchContext,
  sink: MoveSink,
): void {
  const count = Math.round((spokes - 1) / 2) * 2 + 1;
  const full = Math.max(1, Math.floor((radiusMm - MIDDLE * laidMm) / (CLOSE * laidMm)));
  const turns = Math.min(full, Math.round(rounds) || full);
  for (const [x, y] of placesOf(spots)) {
    const at = (angle: number, r: number): [number, number] => [
      x + r * Math.cos(angleRad + angle),
      y - r * Math.sin(angleRad + angle),
    ];
    sink.shade(FIRST_THREAD);
    sink.travel();
    for (let k = 0; k < count; k++) {
      sink.stitch();
      sink.up(...at((2 * Math.PI * k) / count, radiusMm));
      sink.down(...at((2 * Math.PI * k) / count, laidMm * 0.2));
    }
    sink.shade(SECOND_THREAD);
    weave(count, turns, laidMm, at, sink);
  }
}

function weave(
  count: number,
  turns: number,
  laidMm: number,
  at: (angle: number, r: number) => [number, number],
  sink: MoveSink,
): void {
  const sector = (2 * Math.PI) / count;
  const radius = (angle: number): number => laidMm * (MIDDLE + (CLOSE * angle) / (2 * Math.PI));
  let isUp = false;
  for (let k = 0; k < count * turns; k++) {
    const [before, spoke] = [sector * (k + 0.5), sector * (k + 1)];
    const dive = Math.min(sector * 0.42, (DIVE * laidMm) / radius(spoke));
    if (k % count === 0) sink.stitch();
    if (!isUp) sink.up(...at(sector * 0.5, radius(sector * 0.5)));
    else sink.via(...at(before, radius(before)));
    isUp = true;
    sink.via(...at(spoke - dive, radius(spoke - dive)));
    if (k % 2 === 0) sink.via(...at(spoke, radius(spoke) + laidMm * 0.08));
    else sink.under(...at(spoke + dive, radius(spoke + dive)));
  }
  const end = sector * (count * turns + 0.5);
  sink.down(...at(end, radius(end) - laidMm * 0.5));
}
