import { planPass, workSettings, USUAL_FACTORS } from '@junctura/core/work';
import { Planner } from '@junctura/core/advice';
import { plainPass, type Piece } from '@junctura/core/piece';
import { groundPiece } from './grounds.ts';
import { medianMs, medianRatio } from './median.ts';

/** What takes a few milliseconds is measured more often. */
const MANY_ROUNDS = 61;
const MB = 1024 * 1024;

/** Lines for the bench: planning a piece whole, and again after an edit of one part. */
export function benchPlanning(piece: Piece): string[] {
  let sink = 0;
  const whole = medianMs(() => {
    sink += new Planner().plan(piece, USUAL_FACTORS).plan.totals.stitches;
  });
  const area = piece.drawing.parts.findIndex((part) => part.kind === 'area');
  const planner = new Planner();
  let strands = 1;
  const again = medianMs(() => {
    strands = (strands % 6) + 1;
    const parts = piece.drawing.parts.with(area, {
      ...piece.drawing.parts[area]!,
      passes: [plainPass('satin', 'stranded-cotton', strands)],
    });
    sink += planner.plan({ ...piece, drawing: { ...piece.drawing, parts } }, USUAL_FACTORS).plan.totals.stitches;
  }, MANY_ROUNDS);
  const settings = workSettings(piece, 1, USUAL_FACTORS);
  const { parts: planned } = new Planner().plan(piece, USUAL_FACTORS).plan;
  const ofPaths = medianRatio(
    () => (sink += new Planner().plan(piece, USUAL_FACTORS).plan.totals.stitches),
    () => {
      for (const { placed, passes } of planned) {
        for (const pass of passes) sink += planPass(placed, pass, settings).quantities.stitches;
      }
    },
    MANY_ROUNDS,
  );
  if (!Number.isFinite(sink)) throw new Error('benchPlanning: a figure is not a number');
  return [
    `planning ${piece.name} / writing and measuring the paths of its stitches alone: ${ofPaths.toFixed(2)}`,
    `planning ${piece.name} again after an edit of one part / planning it whole: ${(again / whole).toFixed(3)}`,
  ];
}

/** How planning grows with the number of stitches: the exponent between the smallest and the largest ground. */
export function benchGrowth(): string[] {
  const sizes = [1000, 10_000, 100_000];
  const times = sizes.map((stitches) => {
    const piece = groundPiece(stitches, 1);
    return medianMs(() => new Planner().plan(piece, USUAL_FACTORS), 7);
  });
  const exponent = Math.log(times.at(-1)! / times[0]!) / Math.log(sizes.at(-1)! / sizes[0]!);
  return [`growth of planning time from 1,000 to 100,000 stitches, exponent: ${exponent.toFixed(2)}`];
}

/** An edit of one among many parts of many colours: nothing may look at every pair of them again. */
export function benchManyParts(): string[] {
  const piece = groundPiece(60_000, 2025);
  const loose = {
    ...piece,
    drawing: { ...piece.drawing, parts: piece.drawing.parts.map((part) => ({ ...part, passes: null })) },
  };
  const planner = new Planner();
  const whole = medianMs(() => new Planner().plan(loose, USUAL_FACTORS), 7);
  let turn = 0;
  const again = medianMs(() => {
    const parts = loose.drawing.parts.with(7, { ...loose.drawing.parts[7]!, name: `Ground ${turn++}` });
    planner.plan({ ...loose, drawing: { ...loose.drawing, parts } }, USUAL_FACTORS);
  }, 7);
  return [
    `planning ${loose.drawing.parts.length} parts again after an edit of one / planning them whole: ${(again / whole).toFixed(3)}`,
  ];
}

/** The memory that planning a thousand parts takes; run with the collector in hand (`node --expose-gc`). */
export function benchMemory(): string[] {
  const piece = groundPiece(60_000, 1024);
  globalThis.gc?.();
  const before = process.memoryUsage().rss;
  const planner = new Planner();
  const workings = planner.plan(piece, USUAL_FACTORS);
  const taken = (process.memoryUsage().rss - before) / MB;
  return [
    `memory for planning ${workings.plan.parts.length} parts (${workings.plan.totals.stitches} stitches) / 400 MB: ${(taken / 400).toFixed(2)}`,
  ];
}
