import type { MoveSink } from '../moves.ts';

/** One straight stitch with its middle at a place. */
export function workStroke(x: number, y: number, lengthMm: number, angleRad: number, sink: MoveSink): void {
  const [dx, dy] = [(Math.cos(angleRad) * lengthMm) / 2, (-Math.sin(angleRad) * lengthMm) / 2];
  sink.travel();
  sink.stitch();
  sink.up(x - dx, y - dy);
  sink.down(x + dx, y + dy);
}
