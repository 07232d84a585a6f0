import { Memory } from '@junctura/core/measure';
import { ownedFindings, recordFindings, type Finding, type Workings } from '@junctura/core/advice';
import { isSamePlanInput, planInput, type Piece, type PlanInput } from '@junctura/core/piece';
import { ownedFor, skeinsToBuyInAll, willReach, type Reach } from '@junctura/core/thread';
import type { CoarsePart, OwnFactors, PlannedPart } from '@junctura/core/work';
import { defineStore } from 'pinia';
import { computed, markRaw, ref, shallowRef, watch } from 'vue';
import { PlannerClient } from '../workers/plannerClient.ts';
import { NONE, useOpenedPiece } from './openedPiece.ts';
import { useRecord } from './record.ts';
import { useSettings } from './settings.ts';
import { tallyOf, type Tally } from './tally.ts';
import { useThreadBox } from './threadBox.ts';
import * as say from './words.ts';

/** Planning that takes longer than this shows that it is under way, ms. */
const SHOW_BUSY_AFTER_MS = 500;
/** Planning that takes longer than this says that it does, ms. */
const LONG_AFTER_MS = 10_000;

/** What the planner made of the open piece. A change that no plan depends on makes no plan. */
export const useWorkings = defineStore('workings', () => {
  const opened = useOpenedPiece();
  const settings = useSettings();
  const threads = useThreadBox();
  const record = useRecord();
  const planner = markRaw(new PlannerClient());
  /** The plan, with what is found of the thread that the person owns; null: there is none yet. */
  const current = shallowRef<Workings | null>(null);
  /** What the page itself works out of one plan after another. */
  const memory = markRaw(new Memory());
  const isBusy = ref(false);
  /** Whether what is shown is of an earlier state than the piece. */
  const isStale = ref(false);
  /** How much of the plan that is under way is worked, 0–1. */
  const share = ref(0);
  /** What is being painted anew, as it will about come out. */
  const coarse = shallowRef<readonly CoarsePart[]>([]);
  /** Whether a plan was given up: what is shown stays that of the state before. */
  const isStopped = ref(false);
  const problem = ref<string | null>(null);
  /** Whether the plan takes so long that it may never end. */
  const isLong = ref(false);
  /** The tally before the last action. */
  const tallyBefore = shallowRef<Tally | null>(null);
  void threads.load();
  let planned: Workings | null = null;
  /** The piece as it was when the plan that is shown was asked for. */
  const plannedAs = shallowRef<Piece | null>(null);
  /**
   * The piece as it goes with its plan: as it is now, but where the plan still names a colour that is gone, as it was planned. Who reads both
   * reads this one.
   */
  const piece = computed(() =>
    plannedAs.value && hasLost(plannedAs.value.palette, opened.piece.palette) ? plannedAs.value : opened.piece,
  );
  /** What of the findings that are shown the record made. */
  let ofRecord: readonly Finding[] = [];
  let asked: { input: PlanInput; factors: OwnFactors } | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let longTimer: typeof timer;

  const plannedById = computed(() => new Map(current.value?.plan.parts.map((planned) => [planned.part.id, planned])));
  /** A part as it is planned, by its id; null where it is not. */
  function plannedOf(id: string | null | undefined): PlannedPart | null {
    return (id != null && plannedById.value.get(id)) || null;
  }

  /** For each shade, what is owned of it against what is left to do. */
  const reaches = computed(() =>
    current.value
      ? willReach(piece.value, current.value.plan, record.progress.done, threads.box, memory)
      : ([] as readonly Reach[]),
  );
  const tally = computed(() =>
    current.value
      ? tallyOf(piece.value, current.value, skeinsToBuyInAll(reaches.value, current.value.plan.spread, memory))
      : null,
  );
  /** What the last action made of the tally: its label, and the tally before it. */
  const lastChange = computed(() =>
    opened.lastAction && tallyBefore.value ? { label: opened.lastAction.label, before: tallyBefore.value } : null,
  );
  /** The kinds of thread in which the piece is worked. */
  const kinds = computed(() => [...new Set(current.value?.plan.colours.map(({ thread }) => thread))]);

  async function replan(): Promise<void> {
    const asIs = opened.piece;
    const input = planInput(asIs);
    const factors = settings.factors;
    if (asked && isSamePlanInput(asked.input, input) && isSameFactors(asked.factors, factors)) {
      if (!isStale.value) plannedAs.value = asIs;
      return;
    }
    asked = { input, factors };
    isStale.value = true;
    isStopped.value = false;
    share.value = 0;
    clearTimeout(timer);
    clearTimeout(longTimer);
    isLong.value = false;
    timer = setTimeout(() => (isBusy.value = true), SHOW_BUSY_AFTER_MS);
    longTimer = setTimeout(() => (isLong.value = true), LONG_AFTER_MS);
    const answer = await planner.plan(input, factors, {
      coarse: (parts) => (coarse.value = markRaw(parts)),
      share: (done) => (share.value = done),
      // Its picture is there while the order of work is still searched for.
      first: (workings) => asked?.input === input && show(workings, asIs),
    });
    if (answer === null || asked?.input !== input) return;
    clearTimeout(timer);
    clearTimeout(longTimer);
    isBusy.value = false;
    isStale.value = false;
    if (answer.ok) {
      show(answer.value, asIs);
      problem.value = null;
    } else {
      coarse.value = [];
      problem.value = say.planFailed(answer.problem);
    }
  }

  function show(workings: Workings, asIs: Piece): void {
    planned = workings;
    plannedAs.value = asIs;
    coarse.value = [];
    lookAround();
  }

  /** Findings of what is owned and of what was noted are made here: the planner knows nothing of the thread box and the record. */
  function lookAround(): void {
    if (!planned) return;
    const owned = ownedFindings(planned.plan, ownedFor(piece.value, planned.plan, threads.box, memory), memory);
    ofRecord = lookAtRecord();
    current.value = markRaw({ ...planned, findings: [...planned.findings, ...owned, ...ofRecord] });
  }
  function lookAtRecord(): readonly Finding[] {
    return recordFindings(opened.piece, record.entries, new Date().toISOString());
  }

  /** Gives up a plan that takes long: what was shown last stays, and is told to be of the state before. */
  function cancel(): void {
    planner.cancel();
    clearTimeout(timer);
    clearTimeout(longTimer);
    isBusy.value = false;
    coarse.value = [];
    isStopped.value = true;
  }

  /** Works out after all what was given up. */
  function resume(): void {
    asked = null;
    void replan();
  }

  watch(
    () => opened.lastAction,
    () => {
      if (tally.value) tallyBefore.value = tally.value;
    },
    { flush: 'sync' },
  );
  watch(
    () => opened.piece,
    (now, before) => {
      if (now.id !== before?.id) {
        current.value = planned = asked = plannedAs.value = null;
        memory.forgetAllBut(new Set());
        tallyBefore.value = null;
        coarse.value = [];
        problem.value = null;
      }
      if (now.id !== NONE) void replan();
    },
    // A piece may have been opened before anyone asked for its workings.
    { flush: 'sync', immediate: true },
  );
  watch(
    () => settings.factors,
    () => opened.piece.id !== NONE && void replan(),
  );
  watch(() => threads.box, lookAround);
  watch(
    () => record.entries,
    () => {
      // A tap seldom makes a finding: where it does not, all that is shown stays as it is.
      if (planned && JSON.stringify(lookAtRecord()) !== JSON.stringify(ofRecord)) lookAround();
    },
  );

  return {
    current,
    memory,
    piece,
    plannedOf,
    reaches,
    tally,
    lastChange,
    isBusy,
    isLong,
    isStale,
    isStopped,
    coarse,
    share,
    problem,
    kinds,
    planner,
    cancel,
    resume,
  };
});

function isSameFactors(a: OwnFactors, b: OwnFactors): boolean {
  return a === b || JSON.stringify(a) === JSON.stringify(b);
}

/** Whether a palette has lost a colour that another has. */
export function hasLost(before: Piece['palette'], now: Piece['palette']): boolean {
  const there = new Set(now.map(({ id }) => id));
  return before.some(({ id }) => !there.has(id));
}
