import { spreadOfPositions } from '../../drawing/index.ts';
import { END_NAMES, finishTools, isMade, materialInWords } from '../../finish/index.ts';
import {
  clothOf,
  hoopNeeds,
  hoopSizeText,
  innerHalvesMm,
  markOf,
  shippedRange,
  threadKind,
  type ShadeRef,
} from '../../materials/index.ts';
import { formatLength, formatThread, plural } from '../../measure/index.ts';
import { needleName } from '../../order/index.ts';
import { colourOf, shadesOf } from '../../piece/index.ts';
import { stitchKind } from '../../stitches/index.ts';
import { behindCloth, markingSteps } from '../../transfer/index.ts';
import { cuttingList } from '../cuttingPages.ts';
import { foldedCuts } from './cutsInWords.ts';
import type { Block, GuideContext, MaterialRow } from './blocks.ts';
import { taughtStitches } from './stitchBlocks.ts';
import * as say from './words.ts';
import * as sayPaper from '../words.ts';

const paragraph = (text: string, tone: 'plain' | 'small' | 'caution' = 'plain'): Block => ({
  type: 'paragraph',
  text,
  tone,
});

/** Title, picture, what it becomes, how long it takes, what hands must know first, and the usual cautions. */
export function beginningBlocks(context: GuideContext): Block[] {
  const { piece, plan, finish, options } = context;
  const { widthMm, heightMm } = plan.design;
  const { p10, p90 } = plan.totals.hours;
  const mm = (length: number): string => formatLength(length, options.units);
  const names = taughtStitches(context).map((id) => stitchKind(id).inSentence);
  return [
    { type: 'title', text: piece.name || 'A piece' },
    { type: 'picture' },
    paragraph(
      [
        say.measures(mm(widthMm), mm(heightMm)),
        say.becomes(END_NAMES[finish.end].name),
        say.hours(p10, p90, finish.seconds),
        say.LEVELS[piece.level],
      ].join(' '),
    ),
    ...(names.length > 0 ? [paragraph(say.learnFirst(names))] : []),
    paragraph(say.SAFE, 'caution'),
    paragraph(say.REST, 'caution'),
    { type: 'contents' },
  ];
}

/** What to lay out, the lengths to cut, how the cloth is mounted and marked. */
export function materialBlocks(context: GuideContext): Block[] {
  const { piece, plan, options } = context;
  const marking = markingSteps(piece, plan);
  const list = (items: readonly string[]): Block => ({ type: 'list', items, isNumbered: true });
  return [
    { type: 'heading', text: say.HEADINGS.materials },
    { type: 'materials', rows: [...threadRows(context), ...otherRows(context)] },
    { type: 'heading', text: say.HEADINGS.cutting },
    ...plan.colours
      .filter(({ loads }) => loads > 0)
      .flatMap((need): Block[] => [
        { type: 'subheading', text: say.withLetter(context.letters.of(need).letter, need.name) },
        { type: 'list', items: foldedCuts(cuttingList(piece, need, options.units)), isNumbered: false },
      ]),
    ...(plan.colours.some(({ thread }) => threadKind(thread).strands > 1)
      ? [paragraph(say.DRAW_STRANDS, 'small')]
      : []),
    { type: 'heading', text: say.HEADINGS.mounting },
    list(mountingSteps(context)),
    { type: 'heading', text: say.HEADINGS.transfer },
    paragraph(say.markedWith(markOf(piece.mark).name)),
    list(marking),
  ];
}

function threadRows({ piece, plan, letters, options }: GuideContext): MaterialRow[] {
  return plan.colours
    .filter(({ loads }) => loads > 0)
    .map((need): MaterialRow => {
      const { first, second } = shadesOf(colourOf(piece, need.colour));
      const kind = threadKind(need.thread);
      return {
        sample: letters.of(need),
        name: need.name,
        detail: [...[first, second].flatMap((shade) => (shade ? [cardAndCode(shade)] : [])), kind.name].join(', '),
        amount: say.skeinsAndLength(
          plural(need.skeins.p90, kind.putUp),
          formatThread(need.wholeM * 1000, options.units),
        ),
      };
    });
}

/** A shade whole: its card and its code; a card of one’s own goes by its code. */
function cardAndCode({ range, code }: ShadeRef): string {
  const known = shippedRange(range);
  return known ? say.rangeAndCode(known.name, code) : code;
}

function otherRows({ piece, plan, finish, letters, options }: GuideContext): MaterialRow[] {
  const cloth = clothOf(piece.cloth.kind);
  const mm = (length: number): string => formatLength(length, options.units);
  const needs = piece.hoop ? hoopNeeds(piece.hoop, spreadOfPositions(piece)) : null;
  const tools = finishTools(finish);
  const behind = behindCloth(piece, plan);
  // A blunt needle that is only taken up for the second half of a stitch is laid out, too.
  const ofPasses = plan.parts.flatMap(({ passes }) => passes.flatMap((pass) => pass.needles.map(needleName)));
  const stitched = [...new Set([...ofPasses, ...plan.order.map(({ needle }) => needleName(needle))])];
  const needles = [...new Set([...stitched, ...tools.needles])].sort();
  const row = (name: string, detail: string, amount: string): MaterialRow => ({ sample: null, name, detail, amount });
  // The hoop and the finish both ask for cloth: as much as the greater.
  const [ownX, ownY] = finish.clothMm ?? [0, 0];
  const size = say.clothSides(
    mm(Math.max(ownX, needs?.clothAcrossMm ?? plan.design.widthMm + AROUND_MM)),
    mm(Math.max(ownY, needs?.clothUprightMm ?? plan.design.heightMm + AROUND_MM)),
  );
  const mark = markOf(piece.mark);
  return [
    isMade(finish.end)
      ? row(cloth.name, say.STITCHED_ON, '1')
      : row(cloth.name, cloth.weave === 'felt' ? '' : say.CUT_BY_THREAD, size),
    ...(piece.hoop
      ? [row(sayPaper.hoopOf(hoopSizeText(piece.hoop, options.units)), insideText(piece.hoop, mm), '1')]
      : []),
    ...(piece.hoop?.bound && needs ? [row(say.BINDING_TAPE, '', mm(needs.tapeMm))] : []),
    ...needles.map((name) => row(say.needleOf(name), stitched.includes(name) ? '' : say.FOR_FINISH, '1')),
    row(mark.name, mark.traced ? say.AND_WINDOW : '', '1'),
    row(say.OTHER_TOOLS, '', '1'),
    ...(behind.sizeMm
      ? [row(behind.stabiliser.name, say.BEHIND_FIRST, say.clothSides(mm(behind.sizeMm[0]), mm(behind.sizeMm[1])))]
      : []),
    ...finish.materials.map((material) => {
      const { thread } = material;
      const used = thread && plan.colours.find((need) => need.colour === thread.colour && need.thread === thread.kind);
      return row(
        material.name,
        used ? say.sameThread(letters.of(used).letter, used.name) : say.FOR_FINISH,
        materialInWords(material, options.units),
      );
    }),
    ...(tools.pins > 0 ? [row(say.PINS, say.FOR_FINISH, say.pins(tools.pins))] : []),
    ...(tools.hasIron ? [row(say.IRON, say.FOR_FINISH, '1')] : []),
  ];
}

/** Cloth round a design without a hoop, both sides together, mm. */
const AROUND_MM = 100;

function insideText(hoop: NonNullable<GuideContext['piece']['hoop']>, mm: (length: number) => string): string {
  const [a, b] = innerHalvesMm(hoop);
  return sayPaper.insideSize(mm(2 * a), a === b ? null : mm(2 * b));
}

function mountingSteps({ piece, plan, finish, options }: GuideContext): string[] {
  const cloth = clothOf(piece.cloth.kind);
  const { hoop } = piece;
  const { steps: laidBehind } = behindCloth(piece, plan);
  const first = [isMade(finish.end) ? say.MOUNT_MADE : say.mountFirst(cloth.weave === 'felt'), ...laidBehind];
  if (!hoop) return [...first, cloth.stretches ? say.HOLD_KNIT : say.MOUNT_NONE, say.HELD_IN_HAND];
  if (cloth.stretches) return [...first, say.MOUNT_KNIT, say.TAKE_OFF];
  const tape = formatLength(hoopNeeds(hoop).tapeMm / 2, options.units);
  return [
    ...first,
    ...(hoop.bound ? [say.bindRing(tape)] : []),
    ...say.MOUNT_HOOP,
    ...(piece.positions.length > 1 ? [say.positions(piece.positions.length)] : [say.TAKE_OFF]),
  ];
}
