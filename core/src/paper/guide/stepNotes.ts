import { placeWithin } from '../../geometry/index.ts';
import { formatNumber, formatThread, Memory, type UnitSystem } from '../../measure/index.ts';
import {
  becauseOf,
  nameOfLine,
  needleName,
  numberedSteps,
  stitchOfStep,
  type NumberedStep,
  type Step,
} from '../../order/index.ts';
import { shownColour, type Piece } from '../../piece/index.ts';
import { stepNeedle, stepSeconds, TIDY_AFTER, tidyTails, type Plan } from '../../thread/index.ts';
import { directionWords, layerFigures, type LayerFigure } from './layerFigures.ts';
import { stepMarks, type StepMarks } from './stepMarks.ts';
import * as say from './words.ts';

/** All that is said of a step, in the guide and at the hoop. */
export interface StepNote extends NumberedStep {
  readonly first: Step;
  /** Its part, with how many like it are worked one after the other, and the layer where the part has several. */
  readonly name: string;
  readonly stitch: string;
  readonly thread: StepThread;
  readonly needle: string;
  readonly figures: readonly LayerFigure[];
  /** Where to come up first, and which way to go. */
  readonly start: string | null;
  readonly needleful: string;
  readonly seconds: number;
  /** Loose tails that are woven in first; 0: none need be. */
  readonly tails: number;
  readonly because: string | null;
  readonly marks: StepMarks | null;
}

export interface StepThread {
  readonly name: string;
  readonly hex: string;
  readonly strands: number;
}

/** The steps of a plan with all that is said of them. */
export function stepNotes(piece: Piece, plan: Plan, units: UnitSystem): StepNote[] {
  const steps = numberedSteps(plan);
  const tails = tidyTails(plan, steps);
  const remembered = { memory: new Memory(), nameOf: namesIn(plan) };
  return steps.map((line) => noteOf(piece, plan, line, units, tails.get(line.number) ?? 0, remembered));
}

/** What a part is called, by its id. */
function namesIn({ parts }: Plan): (part: string) => string {
  const names = new Map(parts.map(({ part }) => [part.id, part.name]));
  return (part) => names.get(part) ?? part;
}

/**
 * What is said of one step.
 * @param tails loose tails that are woven in first
 * @param remembered what all steps of a plan share, where several are asked for
 */
export function noteOf(
  piece: Piece,
  plan: Plan,
  line: NumberedStep,
  units: UnitSystem,
  tails: number,
  { memory, nameOf } = { memory: new Memory(), nameOf: namesIn(plan) },
): StepNote {
  const { order, work, parts, rules } = plan;
  const first = order[line.from]!;
  const steps = order.slice(line.from, line.to);
  const works = work.slice(line.from, line.to);
  const planned = parts[first.depth]!;
  const pass = planned.passes[first.layer]!;
  const { name, hex } = shownColour(piece, first.colour);
  const lengthMm = steps.reduce((sum, { threadMm }) => sum + threadMm, 0);
  const stitches = steps.reduce((sum, step) => sum + step.stitches, 0);
  const loads = works.reduce((sum, own) => sum + (own?.loads ?? 0), 0);
  const marks = stepMarks(piece, plan, first, memory);
  const direction = directionOf(steps, parts);
  const begins = stepNeedle(plan, first)?.begins ?? 'new';
  return {
    ...line,
    first,
    name: nameOfLine(steps, planned.passes, nameOf),
    stitch: stitchOfStep(first).name,
    thread: { name, hex, strands: first.strands },
    needle:
      first.journey === null && pass.needles.length > 1
        ? say.needlesInTurn(pass.needles.map(needleName))
        : needleName(first.needle),
    figures: [
      ...layerFigures(pass, planned, first.journey),
      ...(direction === null || first.journey === 1 ? [] : [{ label: say.DIRECTION, value: direction }]),
      { label: say.STITCHES, value: formatNumber(stitches) },
      { label: say.THREAD, value: formatThread(lengthMm, units) },
    ],
    start: marks && say.comeUp(placeWithin(marks.box, ...marks.start), marks.way !== null),
    needleful: say.needleful(begins, loads - (begins === 'new' ? 1 : 0), loads >= TIDY_AFTER ? TIDY_AFTER : null),
    seconds: works.reduce((sum, own) => sum + stepSeconds(own), 0),
    tails,
    because: becauseOf(rules.rules, order, line.from, nameOf)[0]?.text ?? null,
    marks,
  };
}

/** Which way the stitches of like parts run: as in the first of them, and otherwise where one mirrors it. */
function directionOf(steps: readonly Step[], parts: Plan['parts']): string | null {
  const all = new Set(steps.map(({ depth, layer }) => directionWords(parts[depth]!.passes[layer]!)));
  const [first] = all;
  return first && all.size > 1 ? say.mirroredToo(first) : (first ?? null);
}
