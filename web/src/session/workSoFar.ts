import { countingEntries, forecast, hoursInAll, learnPace, paceIn, workSoFar } from '@junctura/core/log';
import {
  countSteps,
  layerOfStep,
  nameOfLine,
  nameOfStep,
  numberedAt,
  numberedSteps,
  stitchOfStep,
  type NumberedLaying,
  type Step,
} from '@junctura/core/order';
import type { RecordEntry } from '@junctura/core/piece';
import { shownColour } from '@junctura/core/piece';
import { sittingsOf, stepSeconds, type Sitting, type StepWork } from '@junctura/core/thread';
import { layOut } from '@junctura/core/transfer';
import { defineStore } from 'pinia';
import { computed, ref, watch, type ComputedRef } from 'vue';
import { useOpenedPiece } from './openedPiece.ts';
import { useRecord, type Noted } from './record.ts';
import { useWorkings } from './workings.ts';

/** The open piece as it is worked: what is done, what is to do now, and what a tap notes. */
export const useWorkSoFar = defineStore('workSoFar', () => {
  const opened = useOpenedPiece();
  const workings = useWorkings();
  const record = useRecord();
  const plan = computed(() => workings.current?.plan ?? null);
  const soFar = computed(() => (plan.value ? workSoFar(record.entries, plan.value) : null));
  const pace = computed(() => learnPace(soFar.value?.done ?? []));
  const left = computed(() => (soFar.value && plan.value ? forecast(soFar.value, plan.value, pace.value) : null));
  /** The hours that the piece takes in all; null: nothing is planned. */
  const hours = computed(() => {
    if (!plan.value) return null;
    const { hours: planned } = plan.value.totals;
    return soFar.value && left.value ? hoursInAll(soFar.value, left.value, planned) : planned;
  });
  const present = computed(() => soFar.value?.left[0] ?? null);
  const next = computed(() => soFar.value?.left[1] ?? null);
  const isOpen = computed(() => soFar.value?.openSince != null);
  const numbers = computed(() => new Map(plan.value?.order.map(({ key }, i) => [key, i])));
  /** The place of the present step in the planned order; undefined: there is none. */
  const presentAt = computed(() => (present.value ? numbers.value.get(present.value.key) : undefined));
  const doneKeys = computed(() => new Set(soFar.value?.done.map(({ step }) => step.key)));

  /** All steps as they are worked here: what is done in its order, then what is left. The same list where nothing moved. */
  const steps: ComputedRef<readonly Step[]> = computed((before?: readonly Step[]) => {
    const now = [...(soFar.value?.done.map(({ step }) => step) ?? []), ...(soFar.value?.left ?? [])];
    const isSame = before?.length === now.length && before.every((step, i) => step === now[i]);
    return isSame ? before : now;
  });
  /** The step at which the desk shows the piece in place of the present; null: the present. */
  const lookAt = ref<number | null>(null);
  const place = computed(() => {
    if (lookAt.value !== null) return Math.min(lookAt.value, steps.value.length);
    const begun = present.value ? (soFar.value?.begun.get(present.value.key) ?? 0) : 0;
    return (soFar.value?.done.length ?? 0) + begun;
  });

  function workOf(step: Step | null): StepWork | null {
    const at = step ? numbers.value.get(step.key) : undefined;
    return at === undefined ? null : (plan.value?.work[at] ?? null);
  }
  function secondsOf(step: Step | null): number {
    const work = workOf(step);
    if (!step || !work) return 0;
    return stepSeconds(work) * paceIn(pace.value, step.stitch);
  }
  /** The planned sitting to which the present step belongs. */
  const sitting = computed((): Sitting | null => {
    const at = presentAt.value;
    if (!plan.value || at === undefined) return null;
    return sittingsOf(workings.piece, plan.value).find(({ steps: own }) => own.some(({ step }) => step === at)) ?? null;
  });

  const nameOf = (step: Step | null): string =>
    step ? nameOfLine([step], plan.value?.parts[step.depth]?.passes ?? [], opened.nameOf) : '';
  const partNameOf = (step: Step | null): string => (step ? nameOfStep(opened.nameOf(step.part), step) : '');
  const layerOf = (step: Step | null): string =>
    step ? layerOfStep(step, plan.value?.parts[step.depth]?.passes ?? []) : '';
  /** The steps as the guide numbers them. */
  const numbered = computed(() => (plan.value ? numberedSteps(plan.value) : []));
  /** Which step of the guide the present one is, and which of how many alike. */
  const numberOfPresent = computed(() => {
    const at = presentAt.value;
    if (at === undefined) return null;
    const line = numberedAt(numbered.value, at);
    const of = countSteps(numbered.value);
    return { number: line.number, of, part: at - line.from + 1, parts: line.to - line.from, at };
  });
  /** How many of the numbered steps are done, and of how many. */
  const stepsDone = computed(() => {
    const order = plan.value?.order ?? [];
    const isDone = ({ from, to }: { from: number; to: number }): boolean =>
      order.slice(from, to).every(({ key }) => doneKeys.value.has(key));
    const layings = numbered.value.flatMap(({ lays, ...line }) =>
      lays.map(({ part }) => laid.value.has(part) || isDone(line)),
    );
    const worked = numbered.value.filter(isDone).length;
    return { done: worked + layings.filter(Boolean).length, of: countSteps(numbered.value) };
  });
  /** The scraps that were noted as laid. */
  const laid = computed(
    () =>
      new Set(countingEntries(record.entries).flatMap((entry) => (entry.type === 'scrap-laid' ? [entry.scrap] : []))),
  );
  /** The scrap that is laid before the present step; null: none, or it lies there already. */
  const laying = computed((): NumberedLaying | null => {
    const at = presentAt.value;
    if (at === undefined) return null;
    const { lays, from, to } = numberedAt(numbered.value, at);
    const isBegun = plan.value!.order.slice(from, to).some(({ key }) => doneKeys.value.has(key));
    return isBegun ? null : (lays.find(({ part }) => !laid.value.has(part)) ?? null);
  });
  const colourBy = (id: string | undefined): ReturnType<typeof shownColour> => shownColour(workings.piece, id);
  /** What to lay out for the sitting that comes. */
  const needs = computed(() =>
    plan.value && sitting.value ? layOut(workings.piece, plan.value, sitting.value) : null,
  );
  const needlesWanted = computed(() => Math.max(1, needs.value?.needles.length ?? 1));
  const stitchName = (step: Step | null): string => (step ? stitchOfStep(step).name : '');

  /** What the last taps noted, to be taken back one after the other. */
  const noted = ref<string[][]>([]);
  watch(
    () => opened.piece.id,
    () => {
      noted.value = [];
      lookAt.value = null;
    },
  );
  /** What can be taken back is known at once: whoever presses again does not wait for what is being kept. */
  function note(...entries: Noted<RecordEntry>[]): Promise<void> {
    const { ids, kept } = record.noteAll(entries);
    noted.value = [...noted.value, ids];
    return kept;
  }
  /** The present step is done; with the last of a part the part is, too. */
  async function done(): Promise<void> {
    const step = present.value;
    if (!step || !soFar.value) return;
    const isLastOfPart = soFar.value.left.every(({ part, key }) => part !== step.part || key === step.key);
    const begin: Noted<RecordEntry>[] = isOpen.value ? [] : [{ type: 'sitting-begun', needles: null }];
    if (laying.value) return note(...begin, { type: 'scrap-laid', scrap: laying.value.part });
    const whole: Noted<RecordEntry>[] = isLastOfPart ? [{ type: 'part-done', part: step.part }] : [];
    await note(...begin, { type: 'step-done', step: step.key }, ...whole);
  }
  async function takeBack(): Promise<void> {
    const last = noted.value.at(-1) ?? lastNoted(record.entries);
    if (!last) return;
    noted.value = noted.value.slice(0, -1);
    await record.takeBack(...last.toReversed());
  }
  /** Takes one entry back; with a step that is no longer done, its part is not either. */
  async function takeBackEntry(id: string): Promise<void> {
    const entry = record.entries.find((own) => own.id === id);
    const part = entry?.type === 'step-done' ? entry.step.split(':').slice(0, -3).join(':') : null;
    const whole = countingEntries(record.entries).filter((own) => own.type === 'part-done' && own.part === part);
    await record.takeBack(id, ...whole.map((other) => other.id));
  }
  const canTakeBack = computed(() => noted.value.length > 0 || lastNoted(record.entries) !== null);

  return {
    plan,
    soFar,
    pace,
    left,
    hours,
    present,
    next,
    isOpen,
    steps,
    place,
    lookAt,
    sitting,
    workOf,
    secondsOf,
    nameOf,
    partNameOf,
    layerOf,
    numbered,
    numberOfPresent,
    laying,
    stepsDone,
    colourBy,
    needs,
    needlesWanted,
    stitchName,
    note,
    done,
    takeBack,
    takeBackEntry,
    canTakeBack,
  };
});

/** What can be taken back after the page was opened anew: the last step that was done, with what was noted of its part. */
function lastNoted(entries: readonly RecordEntry[]): string[] | null {
  const counting = countingEntries(entries).filter(({ type }) => type !== 'voided');
  const at = counting.findLastIndex(({ type }) => type === 'step-done' || type === 'scrap-laid');
  if (at < 0) return null;
  return counting
    .slice(at)
    .flatMap(({ id, type }) => (type === 'step-done' || type === 'part-done' || type === 'scrap-laid' ? [id] : []));
}
