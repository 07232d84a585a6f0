import { USUAL_FACTORS } from '@junctura/core/work';
import { finishPlan } from '@junctura/core/finish';
import { needleRuns, stepSeconds, type Plan } from '@junctura/core/thread';
import { Planner } from '@junctura/core/advice';
import type { Step } from '@junctura/core/order';
import { nearestShade, refOf } from '@junctura/core/materials';
import { roundTo, seededRandom, seedFrom } from '@junctura/core/measure';
import {
  plainHoop,
  USUAL_FINISH,
  type Piece,
  type PieceFile,
  type RecordEntry,
  type ThreadUse,
} from '@junctura/core/piece';
import { area, dots, drawing, group, line, pieceOf, worked } from './draw.ts';

const BERRY = '#4d2450';
const RIPENING = '#a8324a';
const LEAF = '#4f6b3c';
const PALE_LEAF = '#7f9a5c';
const STEM = '#6b4a3a';
const BLOSSOM = '#ecc9cf';
const STAMEN = '#d2a53f';
const PAPER = '#f4ecd8';
const SHADED = '#d8c8a4';
const SEA = '#3f7f8a';
const DEEP_SEA = '#2b5d70';
const NAVY = '#26324f';

/** A leaf from its stalk's end, its tip drawn out. */
function leaf(id: string, x: number, y: number, turn: number, long: number, fill: string): string {
  const at = (along: number, out: number): string => `${roundTo(along * long, 2)} ${roundTo(out * long, 2)}`;
  const d = `M0 0C${at(0.14, -0.3)} ${at(0.56, -0.36)} ${at(1, 0)}C${at(0.56, 0.36)} ${at(0.14, 0.3)} 0 0Z`;
  return group(`translate(${x} ${y}) rotate(${turn})`, area(id, d, fill));
}

/** A berry that hangs from its crown: its fruit in knots, three sepals over it. */
function berry(n: number, x: number, y: number, turn: number, fill: string): string {
  return group(
    `translate(${x} ${y}) rotate(${turn}) scale(1.25)`,
    area(
      `berry-${n}`,
      'M0 0.4C4.6 0.2 5.6 4 4.6 6.8C3.8 9.2 1.8 10.6 0 10.6C-1.8 10.6 -3.8 9.2 -4.6 6.8C-5.6 4 -4.6 0.2 0 0.4Z',
      fill,
    ),
    line(`sepals-${n}`, 'M0 0L-3.6 1.8M0 0L0.2 3.2M0 0L3.7 1.6', PALE_LEAF, 0.6),
  );
}

/** A spray of bramble: a cane that bends under ripe and ripening berries, leaves in threes, one late blossom. */
export function brambleSvg(): string {
  const petal = (n: number): string =>
    area(
      `petal-${n}`,
      'M0 -1.8C3.6 -3.2 4.4 -7.6 1 -8.9C0.4 -8.3 -0.4 -8.3 -1 -8.9C-4.4 -7.6 -3.6 -3.2 0 -1.8Z',
      BLOSSOM,
    );
  return drawing('Bramble spray', 90, [
    line('cane', 'M-37 29C-27 24 -20 15 -8 8C6 0 20 -3 35 -19', STEM, 1.1),
    line(
      'berry-stem',
      'M-10 9C-16 2 -17 -6 -14 -15M-15.6 -3C-20 -5 -23 -8 -25 -12M22 -7.4C26 -5 28 -1 27.6 3',
      STEM,
      0.8,
    ),
    line('blossom-stem', 'M12 -2.5C12 -10 11 -14 13 -19', STEM, 0.8),
    line('leaf-stalk', 'M-3 5.2C2 9 5 13 8 16.5', STEM, 0.8),
    leaf('leaf-1', 8, 16.5, 48, 21, LEAF),
    leaf('leaf-2', 4.6, 12.6, -8, 15, PALE_LEAF),
    leaf('leaf-3', 5.4, 13.4, 112, 17, PALE_LEAF),
    leaf('leaf-4', -26.6, 22.2, -122, 19, LEAF),
    leaf('leaf-5', -24.5, 20.5, 66, 16, PALE_LEAF),
    leaf('leaf-6', 25.5, -10.4, -84, 14, LEAF),
    leaf('leaf-7', 35, -19, -62, 14, PALE_LEAF),
    berry(1, -14, -15, 172, BERRY),
    berry(2, -25, -12, 148, RIPENING),
    berry(3, -16.6, -6.4, -68, BERRY),
    berry(4, 27.6, 2.6, -6, RIPENING),
    ...[0, 1, 2, 3, 4].map((n) => group(`translate(13 -27) rotate(${72 * n + 180}) scale(1.15)`, petal(n + 1))),
    dots(
      'stamens',
      [0, 1, 2, 3, 4].map((n): [number, number] => {
        const angle = ((72 * n + 36) * Math.PI) / 180;
        return [roundTo(13 + 1.9 * Math.sin(angle), 2), roundTo(-27 - 1.9 * Math.cos(angle), 2)];
      }),
      STAMEN,
    ),
    line('thorns', 'M-31.4 25.8L-33 22.6M-17.4 13.4L-15.4 16M2.6 3L1.2 0.4M19.6 -6L21.6 -3.6M30 -14L28 -16', STEM, 0.6),
  ]);
}

/** A boat of folded paper on three waves, two gulls over it. */
export function boatSvg(): string {
  return drawing('Paper boat', 80, [
    area('peak-in-the-light', 'M0 -26L0 2.6L-14.6 -0.6Z', PAPER),
    area('peak-in-the-shade', 'M0 -26L14.6 -0.6L0 2.6Z', SHADED),
    area('hull-in-the-light', 'M-32 -4.4L0 2.6L0 16L-16 16Z', PAPER),
    area('hull-in-the-shade', 'M32 -4.4L16 16L0 16L0 2.6Z', SHADED),
    line('folds', 'M-32 -4.4L0 2.6L32 -4.4M0 -26L0 16M-14.6 -0.6L0 -26L14.6 -0.6', NAVY, 0.6),
    line('keel', 'M-32 -4.4L-16 16L16 16L32 -4.4', NAVY, 0.6),
    ...[0, 1, 2].map((i) =>
      line(
        `wave-${i + 1}`,
        `M${[-34, -28, -20][i]} ${[18.6, 23.4, 28.2][i]}q4.5 -3.6 9 0${'t9 0'.repeat([6, 5, 4][i]!)}`,
        [SEA, DEEP_SEA, SEA][i]!,
        0.9,
      ),
    ),
    line('gulls', 'M-27 -19q3.4 -3.4 5 0q1.6 -3.4 5 0M-31 -12q2.4 -2.4 3.6 0q1.2 -2.4 3.6 0', NAVY, 0.6),
    dots(
      'spray',
      [
        [33, 13],
        [30, 9.6],
        [-32, 12.4],
        [-29, 9],
      ],
      PAPER,
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
      /^berry-\d/.test(id)
        ? [worked('french-fill', 2)]
        : /^cane|stem$|stalk$/.test(id)
          ? [worked('stem', id === 'cane' ? 3 : 2)]
          : /^(leaf|petal)-\d/.test(id)
            ? [worked(id.startsWith('leaf') ? 'satin-leaf' : 'satin', 2)]
            : null,
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
      id.startsWith('wave')
        ? [worked('stem', 2)]
        : id.endsWith('the-light')
          ? [worked('split-fill', 2, { angleDeg: 100 })]
          : id.endsWith('the-shade')
            ? [worked('split-fill', 2, { angleDeg: 80 })]
            : id === 'spray'
              ? null
              : [worked('back', 2)],
  });
  return finished(piece, '2026-04-18T18:00:00Z');
}
