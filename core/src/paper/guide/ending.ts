import { ACT_NAMES, amountsInWords, type FinishAct } from '../../finish/index.ts';
import { markOf } from '../../materials/index.ts';
import { formatThread } from '../../measure/index.ts';
import { nameOfLaying, needleName, numberedAt } from '../../order/index.ts';
import { sittingsOf } from '../../thread/index.ts';
import { layOut } from '../../transfer/index.ts';
import type { Block, GuideContext } from './blocks.ts';
import * as say from './words.ts';

/** What is worked as an edge, in a thread of the piece. */
const EDGES: ReadonlySet<FinishAct> = new Set<FinishAct>(['edge', 'scallops']);

/** The thread, strands and needle of an edge. */
function edgeThread({ finish, plan, letters }: GuideContext): string[] {
  const [edge] = finish.look.edges;
  const thread = finish.materials.find((material) => material.thread !== null)?.thread;
  const need = thread && plan.colours.find((own) => own.colour === thread.colour && own.thread === thread.kind);
  if (!edge || !need) return [];
  const needles = say.needlesInTurn(edge.pass.needles.map(needleName));
  return [say.edgeWorkedIn(need.name, letters.of(need).letter, edge.pass.strands, needles)];
}

/** The finish, whole: every step with its amounts and cautions, and how the thing is cared for. */
export function finishBlocks(context: GuideContext): Block[] {
  const { finish, options } = context;
  const { steps, care } = finish;
  if (steps.length === 0) return [];
  return [
    { type: 'heading', text: say.HEADINGS.finish },
    ...steps.map((step, i): Block => ({
      type: 'step',
      step: say.finishNumber(i + 1),
      title: say.stepTitle(say.finishNumber(i + 1), ACT_NAMES[step.id]),
      lines: [
        say.doneIn(step.text, say.amountAndTime(amountsInWords(step, options.units), step.seconds)),
        ...(EDGES.has(step.id) ? edgeThread(context) : []),
      ],
      figures: [],
      caution: step.caution,
      sample: null,
      drawing: null,
    })),
    { type: 'paragraph', text: say.care(care), tone: 'plain' },
  ];
}

/** Sittings as the person will have them: what to lay out for each, and what it holds. */
export function sittingBlocks({ piece, plan, notes, letters, options }: GuideContext): Block[] {
  const sittings = sittingsOf(piece, plan);
  if (sittings.length === 0) return [];
  return [
    { type: 'heading', text: say.HEADINGS.sittings },
    ...sittings.flatMap((sitting): Block[] => {
      const { lengths, needles, positions, drawn } = layOut(piece, plan, sitting);
      return [
        { type: 'subheading', text: say.sittingTitle(sitting.number, sitting.seconds) },
        {
          type: 'list',
          items: [
            ...(drawn.length > 0 ? [say.drawAgain(drawn)] : []),
            ...(piece.positions.length > 1 ? [say.hoopPositions(positions)] : []),
            lengths.length === 0
              ? say.NO_NEW_LENGTH
              : say.layOutLengths(
                  lengths.map(({ key, count, strands, cutMm }) => {
                    const need = plan.colours.find(({ id }) => key === `${id} ${strands}`)!;
                    return say.needlefuls(count, strands, formatThread(cutMm, options.units), letters.of(need).letter);
                  }),
                ),
            say.layOutNeedles(needles),
            say.sittingSteps(sharesOf(sitting, notes)),
          ],
          isNumbered: false,
        },
      ];
    }),
  ];
}

/** The steps of a sitting by their numbers: whole, or which of them lies in it. */
function sharesOf({ steps }: ReturnType<typeof sittingsOf>[number], notes: GuideContext['notes']): string[] {
  const spans = new Map<number, { from: number; to: number; count: number }>();
  for (const { step, from, to } of steps) {
    const { number, from: first, to: last, lays } = numberedAt(notes, step);
    if (step === first && from <= 0) for (const laying of lays) spans.set(laying.number, { from: 0, to: 1, count: 1 });
    const count = last - first;
    const span = spans.get(number) ?? { from: 1, to: 0, count };
    spans.set(number, {
      count,
      from: Math.min(span.from, (step - first + from) / count),
      to: Math.max(span.to, (step - first + to) / count),
    });
  }
  const words: string[] = [];
  let run: [number, number] | null = null;
  const close = (): void => {
    if (run) words.push(say.stepRun(...run));
    run = null;
  };
  for (const [number, { from, to }] of spans) {
    const isWhole = from <= 0 && to >= 1;
    if (isWhole && run && run[1] === number - 1) run = [run[0], number];
    else {
      close();
      if (isWhole) run = [number, number];
      else words.push(say.stepShare(number, from, to));
    }
  }
  close();
  return words;
}

/** All that is done, to be ticked off. */
export function tickBlocks({ notes, plan, finish }: GuideContext): Block[] {
  if (notes.length === 0) return [];
  return [
    { type: 'heading', text: say.HEADINGS.ticks },
    {
      type: 'ticks',
      items: [
        say.HEADINGS.mounting,
        say.HEADINGS.transfer,
        ...notes.flatMap(({ number, name, lays }) => [
          ...lays.map((laying) => say.stepTitle(laying.number, nameOfLaying(plan.parts[laying.depth]!.part.name))),
          say.stepTitle(number, name),
        ]),
        ...finish.steps.map(({ id }, i) => say.stepTitle(say.finishNumber(i + 1), ACT_NAMES[id])),
      ],
    },
  ];
}

/** The pattern and the templates of the finish at true size, on pages of their own at the end. */
export function templateBlocks({ finish, piece, notes }: GuideContext): Block[] {
  const isMirrored = markOf(piece.mark).mirrored;
  const pattern: Block[] =
    notes.length === 0
      ? []
      : [
          { type: 'heading', text: say.HEADINGS.pattern },
          { type: 'paragraph', text: say.patternNote(isMirrored), tone: 'small' },
          { type: 'pattern', isMirrored },
        ];
  if (finish.templates.length === 0) return pattern;
  return [
    ...pattern,
    { type: 'heading', text: say.HEADINGS.templates },
    { type: 'paragraph', text: say.TEMPLATES_NOTE, tone: 'small' },
    { type: 'templates', finish },
  ];
}
