import { positionsOf, spreadOfPositions } from '../../drawing/index.ts';
import { stepsAfterStitching } from '../../finish/index.ts';
import {
  clothOf,
  hoopNeeds,
  hoopSizeText,
  innerHalvesMm,
  markOf,
  RANGES,
  threadKind,
  type ShadeRef,
} from '../../materials/index.ts';
import {
  formatDuration,
  formatDurationRange,
  formatLength,
  formatThread,
  plural,
  type UnitSystem,
  valueOf,
} from '../../measure/index.ts';
import { becauseOf, linesOf, nameOfStep, needleName, stitchOfStep, type Step } from '../../order/index.ts';
import { colourOf, shadesOf, type Piece } from '../../piece/index.ts';
import { stitchKind, type StitchId } from '../../stitches/index.ts';
import { firstSittings, stepSeconds, sittingsOf, type Plan } from '../../thread/index.ts';
import { cuttingList, type CutInWords } from '../cuttingPages.ts';
import * as say from '../words.ts';

/** Who a guide is for. */
export interface GuideOptions {
  readonly hand: 'right' | 'left';
  readonly units: UnitSystem;
}

export interface GuideMaterial {
  readonly name: string;
  readonly detail: string;
  readonly amount: string;
  readonly hex: string | null;
}

/** A line of the table: like parts one after the other are one. */
export interface GuideRow {
  /** Its number in the table, and the number of its motif on the map. */
  readonly step: number;
  readonly number: number;
  readonly part: string;
  readonly count: number;
  readonly layer: string;
  readonly stitch: string;
  readonly colour: string;
  readonly hex: string;
  readonly strands: number;
  readonly needle: string;
  readonly minutes: string;
  readonly because: string;
  readonly position: number;
  readonly sitting: number;
}

export interface GuideStitch {
  readonly id: StitchId;
  readonly name: string;
  readonly steps: readonly string[];
  readonly start: string;
  readonly end: string;
}

/** All that a guide says; how it is laid out is another matter. */
export interface Guide {
  readonly piece: Piece;
  readonly plan: Plan;
  readonly options: GuideOptions;
  readonly title: string;
  readonly intro: readonly string[];
  readonly materials: readonly GuideMaterial[];
  /** The number of each part on the map, by its id. */
  readonly numbers: ReadonlyMap<string, number>;
  readonly rows: readonly GuideRow[];
  readonly stitches: readonly GuideStitch[];
  readonly cutting: readonly string[];
  readonly thread: readonly string[];
  readonly finishing: readonly { readonly text: string; readonly caution: string | null }[];
}

const KNOTS = ['french', 'colonial'] as const;

/** The words of a guide that are the same for every piece. */
const WORDS = {
  start: {
    'waste-knot':
      'Start with a waste knot: knot the thread, go down from the front a few centimetres away, work over the thread on the back, then snip the knot off.',
    knot: 'Start with a small knot on the back.',
    'tiny-stitches': 'Start with two or three tiny stitches where your stitching will cover them.',
  },
  end: 'Finish by sliding the thread under stitches on the back, there and back again; trim it close. Don’t carry thread across open cloth.',
  stop: 'Stop while about 11 cm is left on the needle; 14 cm for knots, 16 cm for bullions.',
  untwist: 'Let the needle hang now and then, so that the thread untwists.',
  knots: {
    french: 'French knots: wind the thread round the needle, and go down one thread away from where it came up.',
    colonial:
      'Colonial knots: wind the thread in a figure of eight round the needle, and go down one thread away from where it came up.',
  },
  safe: 'Needles are sharp: count them out and back in, above all on things for children. Rest your eyes, neck and wrists; if pain lasts, see a doctor.',
} as const;

const ROLES: Readonly<Record<Step['role'], string>> = {
  padding: 'padding',
  edge: 'firm edge',
  filling: '',
  beside: 'second line',
  outline: 'outline',
  vein: 'vein',
  accent: 'highlights',
};

export function makeGuide(piece: Piece, plan: Plan, options: GuideOptions): Guide {
  const { order } = plan;
  const numbers = numbersOf(order);
  const kinds = [...new Set(order.map(({ stitch }) => stitch))];
  return {
    piece,
    plan,
    options,
    title: piece.name || 'A piece',
    intro: introOf(piece, plan, options),
    materials: materialsOf(piece, plan, options),
    numbers,
    rows: rowsOf(piece, plan, numbers),
    stitches: kinds.map((id) => {
      const { name, steps, start, end } = stitchKind(id);
      return { id, name, steps, start, end };
    }),
    cutting: plan.colours.flatMap((need) => [
      `${need.name}:`,
      ...foldedCuts(cuttingList(piece, need, options.units)).map((line) => `    ${line}`),
    ]),
    thread: [
      WORDS.start[piece.worker.start],
      WORDS.stop,
      WORDS.end,
      WORDS.untwist,
      ...KNOTS.filter((knot) => order.some(({ stitch }) => stitch.startsWith(knot))).map((knot) => WORDS.knots[knot]),
      WORDS.safe,
    ],
    finishing: stepsAfterStitching(piece),
  };
}

/** Motifs are numbered as they are worked first. */
function numbersOf(order: readonly Step[]): Map<string, number> {
  const motifs = new Map<string, number>();
  const numbers = new Map<string, number>();
  for (const { part, motif } of order) {
    const number = motifs.get(motif) ?? motifs.size + 1;
    motifs.set(motif, number);
    numbers.set(part, number);
  }
  return numbers;
}

function introOf(piece: Piece, plan: Plan, { units, hand }: GuideOptions): string[] {
  const { widthMm, heightMm } = plan.design;
  const { p10, p90 } = plan.totals.hours;
  const mm = (length: number): string => formatLength(length, units);
  const sittings = sittingsOf(piece, plan).length;
  return [
    say.designMeasures(mm(widthMm), mm(heightMm)),
    piece.hoop
      ? say.workedInHoop(hoopSizeText(piece.hoop, units), positionsOf(piece).length)
      : 'Work it without a hoop, or in a padded one.',
    say.takesTime(formatDurationRange(p10, p90), sittings, piece.worker.sittingMin),
    say.forHand(hand),
  ];
}

function materialsOf(piece: Piece, plan: Plan, { units }: GuideOptions): GuideMaterial[] {
  const threads = plan.colours
    .filter(({ loads }) => loads > 0)
    .map((need): GuideMaterial => {
      const { first, second } = shadesOf(colourOf(piece, need.colour));
      const skeins = need.skeins.p90;
      return {
        name: need.name,
        detail: [
          threadKind(need.thread).name,
          ...[first, second].flatMap((shade) => (shade ? [shadeText(shade)] : [])),
        ].join(', '),
        amount: `${formatThread(need.wholeM * 1000, units)}, ${plural(skeins, threadKind(need.thread).putUp)}`,
        hex: need.hex,
      };
    });
  const cloth = clothOf(piece.cloth.kind);
  const mm = (length: number): string => formatLength(length, units);
  const needs = piece.hoop ? hoopNeeds(piece.hoop, spreadOfPositions(piece.positions)) : null;
  const needles = [...new Set(plan.order.map(({ needle }) => needleName(needle)))].sort();
  const cut = needs
    ? `${mm(needs.clothAcrossMm)} by ${mm(needs.clothUprightMm)}`
    : `${mm(plan.design.widthMm + 100)} by ${mm(plan.design.heightMm + 100)}`;
  return [
    ...threads,
    {
      name: cloth.name,
      detail: cloth.weave === 'felt' ? '' : 'cut with the grain',
      amount: cut,
      hex: piece.cloth.colour,
    },
    ...(piece.hoop
      ? [{ name: say.hoopOf(hoopSizeText(piece.hoop, units)), detail: insideText(piece, mm), amount: '1', hex: null }]
      : []),
    {
      name: 'Needles',
      detail: needles.join(', '),
      amount: 'at least one of each',
      hex: null,
    },
    { name: 'Transfer method', detail: markOf(piece.mark).name, amount: '1', hex: null },
  ];
}

function shadeText({ range, code }: ShadeRef): string {
  return `${RANGES.find(({ id }) => id === range)?.name ?? range} ${code}`;
}

function insideText({ hoop }: Piece, mm: (length: number) => string): string {
  const [a, b] = innerHalvesMm(hoop!);
  return a === b ? `${mm(2 * a)} inside` : say.insideSize(mm(2 * a), mm(2 * b));
}

function rowsOf(piece: Piece, plan: Plan, numbers: ReadonlyMap<string, number>): GuideRow[] {
  const { order, work, parts, colours, rules } = plan;
  const sittings = firstSittings(piece, plan);
  const nameOf = new Map(parts.map(({ part }) => [part.id, part.name]));
  return linesOf(order).map(({ from, to }, i): GuideRow => {
    const first = order[from]!;
    let seconds = 0;
    for (let k = from; k < to; k++) seconds += stepSeconds(work[k]);
    const need = colours.find(({ colour, thread }) => colour === first.colour && thread === first.thread)!;
    const reason = becauseOf(rules.rules, order, from, (part) => nameOf.get(part) ?? part)[0];
    return {
      step: i + 1,
      number: valueOf(numbers, first.part),
      part: nameOfStep(nameOf.get(first.part) ?? first.part, first),
      count: to - from,
      layer: ROLES[first.role],
      stitch: stitchOfStep(first).name,
      colour: need.name,
      hex: need.hex,
      strands: first.strands,
      needle: needleName(first.needle),
      minutes: formatDuration(seconds / 3600),
      because: reason?.text ?? '',
      position: first.position + 1,
      sitting: sittings.get(from) ?? 1,
    };
  });
}

/** Lengths that are shared out alike are one line: “12 lengths of 50 cm, each 3 needlefuls of 2 strands, for the star”. */
export function foldedCuts(cuts: readonly CutInWords[]): string[] {
  const folded = new Map<
    string,
    { count: number; first: CutInWords; byStrands: ReadonlyMap<number, number>; parts: Set<string> }
  >();
  for (const cut of cuts) {
    const byStrands = new Map<number, number>();
    for (const { strands, count } of cut.loads) byStrands.set(strands, (byStrands.get(strands) ?? 0) + count);
    const key = JSON.stringify([cut.length, cut.kept, [...byStrands].sort(([a], [b]) => a - b)]);
    const entry = folded.get(key) ?? { count: 0, first: cut, byStrands, parts: new Set<string>() };
    folded.set(key, entry);
    entry.count++;
    for (const { names } of cut.loads) for (const name of names) entry.parts.add(name);
  }
  return [...folded.values()].map(({ count, first, byStrands, parts }) => {
    const needlefuls = [...byStrands].map(([strands, own]) => say.needlefulsOf(own, strands));
    return say.lengthsToCut(count, first.length, needlefuls, first.kept, [...parts]);
  });
}
