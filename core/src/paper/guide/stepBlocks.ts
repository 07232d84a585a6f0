import { hoopAt } from '../../drawing/index.ts';
import { formatLength } from '../../measure/index.ts';
import { nameOfLaying, type NumberedLaying } from '../../order/index.ts';
import { layScrap } from '../../transfer/index.ts';
import { closeUp, scrapPicture } from './closeUp.ts';
import type { Block, GuideContext, StepBlock } from './blocks.ts';
import { figureText, type LayerFigure } from './layerFigures.ts';
import { guideMap } from './guideMap.ts';
import type { StepNote } from './stepNotes.ts';
import * as say from './words.ts';

/** The room of the map on paper: a page of A4 or letter below a heading, mm. */
const MAP_ROOM_MM = { width: 180, height: 222 } as const;
/** The picture of a step on paper, mm. */
export const CLOSE_UP_MM = { width: 40, height: 31 } as const;

/** The map with the number of each step, and its lenses. */
export function mapBlocks({ piece, plan, notes }: GuideContext): Block[] {
  if (notes.length === 0) return [];
  const map = guideMap(piece, plan, notes, MAP_ROOM_MM);
  const { lenses } = map;
  return [
    { type: 'heading', text: say.HEADINGS.map },
    {
      type: 'paragraph',
      text: [
        say.MAP_NOTE,
        say.mapScale(map.scale),
        ...(lenses.length > 0 ? [say.lensNote(lenses.map(({ letter }) => letter))] : []),
      ].join(' '),
      tone: 'small',
    },
    { type: 'drawing', drawing: map, label: say.HEADINGS.map, title: null },
    ...lenses.map((lens): Block => {
      const title = say.lensTitle(lens.letter, lens.scale);
      return { type: 'drawing', drawing: lens, label: title, title };
    }),
  ];
}

/** Each step with its picture and all its figures, and where the hoop is moved between them. */
export function stepBlocks(context: GuideContext): Block[] {
  const { notes, piece, options } = context;
  if (notes.length === 0) return [];
  const blocks: Block[] = [{ type: 'heading', text: say.HEADINGS.steps }];
  let position = notes[0]!.first.position;
  const hasPositions = piece.positions.length > 1;
  if (hasPositions) blocks.push({ type: 'subheading', text: say.hoopPositions([position + 1]) });
  for (const note of notes) {
    if (note.first.position !== position) {
      const [before, now] = [sizeAt(piece, position), sizeAt(piece, note.first.position)];
      position = note.first.position;
      const size = before === now ? null : formatLength(now, options.units);
      blocks.push({ type: 'subheading', text: say.moveHoopTo(position + 1, size) });
    }
    blocks.push(...note.lays.map((laying) => layingBlock(context, laying)), stepBlock(context, note));
  }
  return blocks;
}

/** The nominal size of the hoop that is used at a position, mm. */
function sizeAt({ hoop, positions }: GuideContext['piece'], position: number): number {
  const place = positions[position];
  return hoop && place ? hoopAt(hoop, place).nominalMm : (hoop?.nominalMm ?? 0);
}

function stepBlock({ piece, plan, letters }: GuideContext, note: StepNote): StepBlock {
  const { first, thread } = note;
  const sample = letters.of(first);
  const { width, height } = CLOSE_UP_MM;
  return {
    type: 'step',
    step: String(note.number),
    title: say.stepTitle(note.number, note.name),
    lines: [
      say.inOneThread(
        say.stitchAndThread(note.stitch, thread.name, sample.letter, thread.strands),
        say.needleAndTime(note.needle, note.seconds),
      ),
      noteLines(note).join(' '),
    ],
    figures: note.figures.map(figureText),
    caution: null,
    sample,
    drawing: { items: closeUp(piece, plan, note, width, height), widthMm: width, heightMm: height },
  };
}

/** A scrap that is laid: how, with its outline as it is cut and as it is folded. */
function layingBlock({ piece, plan }: GuideContext, { number, depth }: NumberedLaying): StepBlock {
  const { part } = plan.parts[depth]!;
  const { steps, caution, seconds } = layScrap(piece, plan, depth);
  const { width, height } = CLOSE_UP_MM;
  return {
    type: 'step',
    step: String(number),
    title: say.stepTitle(number, nameOfLaying(part.name)),
    lines: [...steps, say.laidIn(seconds)],
    figures: [],
    caution,
    sample: null,
    drawing: { items: scrapPicture(plan, depth, width, height), widthMm: width, heightMm: height },
  };
}

/** What is done before the first stitch of a step. */
export function firstLines(note: StepNote): string[] {
  return [...(note.tails > 0 ? [say.tidyFirst(note.tails)] : []), note.needleful];
}

/** What is said of a step besides its figures, in the order in which it is done. */
export function noteLines(note: StepNote): string[] {
  return [
    ...firstLines(note),
    ...(note.start === null ? [] : [note.start]),
    ...(note.marks && note.marks.borders.length > 0 ? [say.BORDERS] : []),
    ...(note.because === null ? [] : [note.because]),
  ];
}

/** The figures of a step that are glanced at while it is worked: not how many stitches and how much thread it takes in all. */
export function glanced({ figures }: StepNote): LayerFigure[] {
  return figures.filter(({ label }) => label !== say.STITCHES && label !== say.THREAD);
}
