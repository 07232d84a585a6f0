import { readFileSync } from 'node:fs';
import { Planner } from '@junctura/core/advice';
import { readPiece } from '@junctura/core/piece';
import { Move } from '@junctura/core/stitches';
import { USUAL_FACTORS } from '@junctura/core/work';
import { describe, expect, it } from 'vitest';
import { growingScene } from './scene.ts';
import { tailsOf } from './tails.ts';

describe('tails on the back', () => {
  const read = readPiece(
    readFileSync(new URL('../../../demo/pieces/rock-pool.junctura.json', import.meta.url), 'utf8'),
  );
  if (!read.ok) throw new Error(read.problem);
  const workings = new Planner().plan(read.value, USUAL_FACTORS);
  const { plan } = workings;
  const { threads } = growingScene(read.value, workings, plan.order);

  it('stand where lengths begin and end, and nowhere else', () => {
    const stretches = threads.flatMap(({ lengths }) => lengths!);
    const restarts = threads.reduce((sum, { thread }) => sum + thread.breaks.length, 0);
    const loads = plan.colours.reduce((sum, need) => sum + need.loads, 0);
    const rethreaded = plan.work.reduce((sum, own) => sum + (own?.rethreadings ?? 0), 0);
    const begun = stretches.filter(({ begins }) => begins).length;
    // A way within a step that is too long to carry the thread over is a fastening off, or where a length ends anyway.
    expect(begun).toBeGreaterThanOrEqual(loads + rethreaded);
    expect(begun).toBeLessThanOrEqual(loads + rethreaded + restarts);
    expect(stretches.filter(({ ends }) => ends).length).toBeGreaterThanOrEqual(loads);
    for (const { lengths, thread } of threads) {
      expect(lengths!.map(({ from }) => from)).toEqual([0, ...lengths!.slice(0, -1).map(({ to }) => to)]);
      expect(lengths!.at(-1)!.to).toBe(thread.path.starts.length);
    }
  });

  it('never leave the runs that they are worked in under, so none crosses open cloth', () => {
    let tails = 0;
    for (const painted of threads) {
      const { codes, xy } = painted.thread.path;
      const places: [number, number][] = [];
      codes.forEach((code, i) => {
        if (code === Move.up || code === Move.down) places.push([xy[2 * i]!, xy[2 * i + 1]!]);
      });
      // In the middle of a run, half its length from both holes, no further off than a swing.
      const longest = places.reduce((most, [x, y], i) => {
        const [px, py] = places[i - 1] ?? [x, y];
        return Math.max(most, Math.hypot(x - px, y - py));
      }, 0);
      for (const tail of tailsOf(painted)) {
        tails++;
        for (let i = 0; i < tail.length; i += 2) {
          const nearest = Math.min(...places.map(([x, y]) => Math.hypot(x - tail[i]!, y - tail[i + 1]!)));
          expect(nearest).toBeLessThanOrEqual(longest / 2 + painted.pass.laidMm);
        }
      }
    }
    expect(tails).toBeGreaterThan(100);
  });
});
