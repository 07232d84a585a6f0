import { MoveRecorder } from '../stitches/index.ts';
import type { WorkedThread } from '../work/index.ts';

/** Some stitches of a thread as a thread of their own; its measures are its share. Null where there are none. */
export function threadWhere(thread: WorkedThread, isOfIt: (stitch: number) => boolean): WorkedThread | null {
  const { path, usedMm, breaks, quantities } = thread;
  const { starts, shades } = path;
  const isBreak = new Set(breaks);
  const recorder = new MoveRecorder();
  const used: number[] = [];
  const ownBreaks: number[] = [];
  let sum = 0;
  let last = -1;
  for (let stitch = 0; stitch < starts.length; stitch++) {
    if (!isOfIt(stitch)) continue;
    if (used.length > 0 && (last !== stitch - 1 || isBreak.has(stitch))) ownBreaks.push(used.length);
    last = stitch;
    sum += usedMm[stitch]! - (stitch > 0 ? usedMm[stitch - 1]! : 0);
    used.push(sum);
    recorder.shade(shades[stitch]!);
    recorder.copy(path, stitch);
  }
  if (used.length === 0) return null;
  const share = quantities.threadMm > 0 ? sum / quantities.threadMm : 0;
  return {
    ...thread,
    path: recorder.path(),
    usedMm: Float32Array.from(used),
    breaks: ownBreaks,
    carriedMm: thread.carriedMm * share,
    quantities: {
      stitches: used.length,
      frontMm: quantities.frontMm * share,
      backMm: quantities.backMm * share,
      wrapMm: quantities.wrapMm * share,
      throughMm: quantities.throughMm * share,
      threadMm: sum,
      seconds: (quantities.seconds * used.length) / quantities.stitches,
    },
  };
}
