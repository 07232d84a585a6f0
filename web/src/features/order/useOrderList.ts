import {
  becauseOf,
  inTheWay,
  notKept,
  fixedAt,
  nameOfLine,
  numberedSteps,
  standsAgainst,
  type Because,
  type Rule,
  type Step,
  type NumberedStep,
  type StepLine,
} from '@junctura/core/order';
import { shownColour, workBefore } from '@junctura/core/piece';
import { sittingsOf, stepSeconds, type Sitting } from '@junctura/core/thread';
import { computed, ref, watch, type ComputedRef, type Ref } from 'vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useSelection } from '../../session/selection.ts';
import { useWorkings } from '../../session/workings.ts';
import * as say from './words.ts';

/** Steps in a row that are told as one line, in the sitting in which it begins. */
export interface OrderLine extends NumberedStep {
  readonly key: string;
  readonly first: Step;
  readonly seconds: number;
  /** Its part, layer, shade or journey. */
  readonly name: string;
}

/** A sitting with what is begun in it. */
export interface SittingLines {
  readonly sitting: Sitting;
  readonly lines: readonly OrderLine[];
  /** The number of the step that it carries on with; null: it begins with a new one. */
  readonly carriesOn: number | null;
}

/** The order as a list that can be read and changed. */
export interface OrderList {
  readonly order: ComputedRef<readonly Step[]>;
  readonly sittings: ComputedRef<readonly SittingLines[]>;
  /** What the last move went against, in words; null: nothing. */
  readonly said: Ref<string | null>;
  nameOf(part: string): string;
  hexOf(step: Step): string;
  colourOf(step: Step): string;
  because(step: number): Because[];
  /** What keeps what she fixed of a part from being obeyed to the letter, in whole sentences. */
  unmet(part: string): string[];
  /** Moves steps in a row to before the step at a place, and says what stands against it. */
  move(line: StepLine, at: number): void;
}

/** The most rules that are named beside a wish. */
const MOST_REASONS = 3;

export function useOrderList(): OrderList {
  const opened = useOpenedPiece();
  const workings = useWorkings();
  const selection = useSelection();
  const plan = computed(() => workings.current!.plan);
  const order = computed(() => plan.value.order);
  const said = ref<string | null>(null);

  const numbered = computed(() => numberedSteps(plan.value));
  const sittings = computed(() => {
    const { work, parts } = plan.value;
    let next = 0;
    return sittingsOf(workings.piece, plan.value).map((sitting): SittingLines => {
      const [first] = sitting.steps;
      const before = numbered.value[next - 1];
      const carriesOn = before && first && first.step < before.to ? before.number : null;
      // A step that runs over into another sitting stands where it is begun.
      const lines: OrderLine[] = [];
      const last = sitting.steps.at(-1)?.step ?? -1;
      for (; next < numbered.value.length && numbered.value[next]!.from <= last; next++) {
        const line = numbered.value[next]!;
        const steps = order.value.slice(line.from, line.to);
        const passes = parts[steps[0]!.depth]?.passes ?? [];
        const seconds = work.slice(line.from, line.to).reduce((sum, own) => sum + stepSeconds(own), 0);
        lines.push({
          ...line,
          key: steps[0]!.key,
          first: steps[0]!,
          seconds,
          name: nameOfLine(steps, passes, opened.nameOf),
        });
      }
      return { sitting, lines, carriesOn };
    });
  });

  function against(rules: readonly Rule[], { from, to }: StepLine): string[] {
    const told = new Set(
      rules.map((rule) => {
        const isOurs = (place: number): boolean => place >= from && place < to;
        const other = order.value[isOurs(rule.before) ? rule.after : rule.before]!;
        const own = order.value[isOurs(rule.before) ? rule.before : rule.after]!;
        return say.against[rule.id](own.part === other.part ? 'Another layer of it' : `“${opened.nameOf(other.part)}”`);
      }),
    );
    return [...told];
  }

  function move(line: StepLine, at: number): void {
    const place = Math.max(0, Math.min(order.value.length, at));
    const pairs = fixedAt(order.value, line.from, line.to, place);
    if (pairs.length === 0) return;
    const broken = against(
      standsAgainst(plan.value.rules.rules, line.from, line.to, place).filter(({ id }) => id !== 'own'),
      line,
    );
    const edit = workBefore(opened.piece, pairs);
    if (!edit) {
      said.value = 'So many steps are fixed that no more can be. Unfix some first.';
      return;
    }
    opened.edit(edit);
    const name = opened.nameOf(order.value[line.from]!.part);
    said.value = say.fixedAgainst(name, broken);
  }
  function unmet(part: string): string[] {
    const { rules, gaveWay, broken } = plan.value.rules;
    const said = (['first', 'last'] as const).flatMap((end): string[] => {
      const wanted = opened.piece.order[end];
      const found = wanted.includes(part) ? inTheWay(rules, order.value, part, end, wanted, opened.nameOf) : null;
      if (!found) return [];
      return [say.asNearAsCanBe(end, found.parts.map(opened.nameOf)), ...found.reasons.slice(0, MOST_REASONS)];
    });
    return [
      ...said,
      ...notKept([...gaveWay, ...broken], order.value, part, opened.nameOf).map(({ text }) => say.notKept(text)),
    ];
  }
  watch(
    () => opened.piece.id,
    () => (said.value = null),
  );
  watch(
    () => selection.picked,
    () => (said.value = null),
  );

  return {
    order,
    sittings,
    said,
    nameOf: opened.nameOf,
    hexOf: (step) => shownColour(workings.piece, step.colour).hex,
    colourOf: (step) => shownColour(workings.piece, step.colour).name,
    because: (step) => becauseOf(plan.value.rules.rules, order.value, step, opened.nameOf),
    unmet,
    move,
  };
}
