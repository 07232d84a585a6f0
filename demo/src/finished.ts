import { USUAL_FACTORS } from '@junctura/core/work';
import { finishPlan } from '@junctura/core/finish';
import { needleRuns, stepSeconds, type Plan } from '@junctura/core/thread';
import { Planner } from '@junctura/core/advice';
import type { Step } from '@junctura/core/order';
import { nearestShade, refOf } from '@junctura/core/materials';
import { seededRandom, seedFrom } from '@junctura/core/measure';
import {
  plainHoop,
  USUAL_FINISH,
  type Piece,
  type PieceFile,
  type RecordEntry,
  type ThreadUse,
} from '@junctura/core/piece';
import { area, dots, drawing, line, pieceOf, worked } from './draw.ts';

const BERRY = '#7a2f5d';
const LEAF = '#5f7f46';
const STEM = '#59472f';
const PAPER = '#f0e6cf';
const SEA = '#3f7f8a';
const NAVY = '#26324f';

/** A spray of bramble: leaves, berries of knots, a stem. */
export function brambleSvg(): string {
  const leaf = (id: string, x: number, y: number, turn: number, long: number): string =>
    `<g transform="translate(${x} ${y}) rotate(${turn})">${area(id, `M0 0C${long * 0.25} ${-long * 0.3} ${long * 0.7} ${-long * 0.28} ${long} 0C${long * 0.7} ${long * 0.28} ${long * 0.25} ${long * 0.3} 0 0Z`, LEAF)}</g>`;
  const berry = (id: string, x: number, y: number): string =>
    area(
      id,
      `M${x - 4.4} ${y}C${x - 4.4} ${y - 6} ${x + 4.4} ${y - 6} ${x + 4.4} ${y}C${x + 4.4} ${y + 6.4} ${x - 4.4} ${y + 6.4} ${x - 4.4} ${y}Z`,
      BERRY,
    );
  return drawing('Bramble spray', 90, [
    line('stem', 'M-34 26C-20 12 -6 8 6 -2C16 -10 22 -20 34 -28', STEM, 1.1),
    line('side-stem', 'M-8 9C-10 0 -14 -8 -22 -14', STEM, 0.8),
    leaf('leaf-1', -20, 14, -120, 17),
    leaf('leaf-2', -6, 8, 60, 18),
    leaf('leaf-3', 8, -4, -105, 16),
    leaf('leaf-4', 20, -17, 55, 15),
    berry('berry-1', -24, -18),
    berry('berry-2', -15, -22),
    berry('berry-3', 30, -34),
    dots(
      'thorns',
      [
        [-27, 21],
        [-14, 10],
        [14, -9],
        [26, -23],
      ],
      STEM,
    ),
  ]);
}

/** A paper boat on three waves. */
export function boatSvg(): string {
  return drawing('Paper boat', 80, [
    area('hull', 'M-28 4L28 4L17 18L-17 18Z', PAPER),
    area('sail-left', 'M-1 2L-1 -26L-17 2Z', PAPER),
    area('sail-right', 'M1 2L1 -26L17 2Z', PAPER),
    line('fold', 'M-28 4L0 -26L28 4', NAVY, 0.8),
    line('keel', 'M-28 4L-17 18L17 18L28 4Z', NAVY, 0.8),
    ...[0, 1, 2].map((i) =>
      line(`wave-${i + 1}`, `M${-34 + 3 * i} ${22 + 5 * i}q5 -4 10 0t10 0t10 0t10 0t10 0t10 0`, SEA, 0.9),
    ),
  ]);
}

/** How the one who worked them truly uses thread: a loose hand, looser in knots. A made-up embroiderer. */
const HAND: Readonly<Record<string, number>> = { french: 1.3, 'french-fill': 1.3, stem: 1.08, satin: 1.17 };
const USUAL = 1.13;

/** A sitting of this embroiderer is so long, and comes so often, ms. */
const SITTING_MS = 70 * 60_000;
const BETWEEN_MS = 2.4 * 24 * 3600_000;

/** The steps of a plan as they were tapped at the hoop: sittings of an hour and more, a slower hand than usual, part by part. */
export function tapped(
  piece: Piece,
  plan: Plan,
  share: number,
  from: string,
  isLeft: (step: Step) => boolean = () => false,
): RecordEntry[] {
  const random = seededRandom(seedFrom(5, piece.id));
  const speed = Math.exp(0.12 + 0.1 * random.normal());
  const entries: RecordEntry[] = [];
  let [sitting, at] = [0, Date.parse(from)];
  let begun = at;
  const note = (entry: { type: RecordEntry['type'] } & Record<string, unknown>): void =>
    void entries.push({ ...entry, id: `tap-${entries.length + 1}`, at: new Date(at).toISOString() } as RecordEntry);
  const last = Math.round(plan.order.length * share);
  const left = new Map<string, number>();
  for (const { part } of plan.order) left.set(part, (left.get(part) ?? 0) + 1);
  const worked = plan.order.map((step, i) => [step, i] as const).filter(([step]) => !isLeft(step));
  worked.slice(0, last).forEach(([step, i], nth) => {
    if (nth === 0 || at - begun > SITTING_MS) {
      if (nth > 0) note({ type: 'sitting-ended', needles: 2 });
      at = begun = Date.parse(from) + sitting++ * BETWEEN_MS;
      note({ type: 'sitting-begun', needles: 2 });
    }
    at += Math.round(stepSeconds(plan.work[i]) * 1000 * speed * Math.exp(0.2 * random.normal())) + 4000;
    note({ type: 'step-done', step: step.key });
    left.set(step.part, left.get(step.part)! - 1);
    if (left.get(step.part) === 0) note({ type: 'part-done', part: step.part });
  });
  at += 60_000;
  note({ type: 'sitting-ended', needles: 2 });
  return entries;
}

/** A piece that is a third worked. @param isLeft which steps are left for later */
export function begun(piece: Piece, from: string, isLeft: (step: Step) => boolean): PieceFile {
  const { plan } = new Planner().plan(piece, USUAL_FACTORS);
  return { piece, record: tapped(piece, plan, 1 / 3, from, isLeft) };
}

/** A piece that is finished, too, step by step, and ended with a note. */
function ended({ piece, record }: PieceFile, text: string): PieceFile {
  const { plan } = new Planner().plan(piece, USUAL_FACTORS);
  const last = record.reduce((latest, { at }) => (at > latest ? at : latest), '');
  let at = Date.parse(last) + BETWEEN_MS;
  const entries = finishPlan(piece, plan, USUAL_FACTORS).steps.map(({ id, seconds }): RecordEntry => {
    at += seconds * 1000;
    return { type: 'finish-done', id: `finish-${id}`, at: new Date(at).toISOString(), act: id };
  });
  const end: RecordEntry = { type: 'piece-ended', id: 'ended', at: new Date(at + 60_000).toISOString(), text };
  return { piece, record: [...record, ...entries, end] };
}

/** A piece with every part worked and what it took noted, one after the other over some weeks. */
function finished(drawn: Piece, from: string): PieceFile {
  const palette = drawn.palette.map((colour) => ({ ...colour, shade: refOf(nearestShade(colour.hex).item) }));
  const piece = { ...drawn, palette };
  const { plan } = new Planner().plan(piece, USUAL_FACTORS);
  const random = seededRandom(seedFrom(3, piece.id));
  const start = Date.parse(from);
  const uses = needleRuns(piece, plan.parts, plan.order)
    .filter(({ run }) => run.quantities.threadMm > 0)
    .map(({ colour, run }, i): ThreadUse => {
      const usualMm = Math.round(run.quantities.threadMm);
      const factor = (HAND[run.pass.stitch] ?? USUAL) * Math.exp(0.08 * random.normal());
      return {
        type: 'thread-used',
        id: `use-${i + 1}`,
        part: run.part,
        colour,
        stitch: run.pass.stitch,
        strands: run.pass.strands,
        usualMm,
        usedMm: Math.round(usualMm * factor),
        sure: false,
        at: new Date(start + i * 2.4 * 24 * 3600 * 1000).toISOString(),
      };
    });
  return { piece, record: [...tapped(piece, plan, 1, from), ...uses] };
}

export function bramblePiece(): PieceFile {
  const piece = pieceOf(brambleSvg(), 'bramble-spray.svg', {
    id: 'demo-bramble',
    name: 'Bramble spray',
    change: { hoop: plainHoop(125, 12) },
    shades: {},
    passes: (id) =>
      id.startsWith('berry') ? [worked('french-fill', 2)] : id.endsWith('stem') ? [worked('stem', 3)] : null,
  });
  return ended(
    finished(piece, '2026-02-07T19:30:00Z'),
    'A thinner needle for the berries next time; the stem wants two strands.',
  );
}

export function boatPiece(): PieceFile {
  const piece = pieceOf(boatSvg(), 'paper-boat.svg', {
    id: 'demo-boat',
    name: 'Paper boat',
    change: {
      use: 'ornament',
      hoop: plainHoop(100, 10),
      cloth: { kind: 'calico', colour: '#a9bfc4' },
      finish: { ...USUAL_FINISH, shape: 'drop', marginMm: 6 },
    },
    shades: {},
    passes: (id) =>
      id.startsWith('wave') ? [worked('stem', 2)] : id === 'fold' || id === 'keel' ? [worked('back', 2)] : null,
  });
  return finished(piece, '2026-04-18T18:00:00Z');
}
