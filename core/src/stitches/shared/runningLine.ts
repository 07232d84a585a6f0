import { paceAlong, runsOf, RunWalker, type Run } from '../../geometry/index.ts';
import type { StitchShape } from '../kind.ts';
import type { MoveSink } from '../moves.ts';

interface Lengths {
  readonly stitchMm: number;
  readonly gapMm: number;
}

/** Up, down, a gap, and again; a corner is where a stitch begins, and an open line ends with a stitch. */
export function workRunning(shape: StitchShape, lengths: Lengths, sink: MoveSink): void {
  for (const line of shape.lines) {
    sink.travel();
    const runs = runsOf(line);
    runs.forEach((run, i) => workRun(run, lengths, line.closed || i < runs.length - 1, sink));
  }
}

function workRun(run: Run, { stitchMm, gapMm }: Lengths, endsWithGap: boolean, sink: MoveSink): void {
  const period = stitchMm + gapMm;
  const pace = paceAlong(run, period, stitchMm / period);
  const share = stitchMm / period;
  const lastGap = endsWithGap ? 0 : 1 - share;
  const count = Math.max(1, Math.round(pace.steps + lastGap));
  const stretch = pace.steps / (count - lastGap);
  const walker = new RunWalker(run);
  const place = { x: 0, y: 0, dx: 0, dy: 0 };
  for (let i = 0; i < count; i++) {
    sink.stitch();
    walker.at(pace.lengthAt(i * stretch), place);
    sink.up(place.x, place.y);
    walker.at(pace.lengthAt((i + share) * stretch), place);
    sink.down(place.x, place.y);
  }
}
