import type { FinishPlan } from '@junctura/core/finish';
import { defineStore } from 'pinia';
import { ref, shallowRef, watch } from 'vue';
import { useOpenedPiece } from './openedPiece.ts';
import { useSettings } from './settings.ts';
import { useWorkings } from './workings.ts';
import * as say from './words.ts';

/** How the open piece is finished, worked out beside its plan once someone wants to see it. */
export const useFinishing = defineStore('finishing', () => {
  const opened = useOpenedPiece();
  const settings = useSettings();
  const workings = useWorkings();
  const plan = shallowRef<FinishPlan | null>(null);
  const problem = ref<string | null>(null);
  const isBusy = ref(false);
  const isWanted = ref(false);
  /** The piece that the plan is of. */
  let of: string | null = null;

  async function ask(): Promise<void> {
    const { piece } = opened;
    isBusy.value = true;
    const answer = await workings.planner.ask('finish', { piece, factors: settings.factors }, { key: 'finish' });
    // Overtaken by a newer question, which answers for both.
    if (answer === null) return;
    isBusy.value = false;
    if (opened.piece.id !== piece.id) return;
    problem.value = answer.ok ? null : say.finishingFailed(answer.problem);
    if (answer.ok) [plan.value, of] = [answer.value, piece.id];
  }

  watch(
    [
      () => workings.current?.plan,
      () => opened.piece.finish,
      () => opened.piece.use,
      () => opened.piece.palette,
      isWanted,
    ],
    () => {
      if (of !== opened.piece.id) plan.value = null;
      if (isWanted.value && workings.current) void ask();
    },
  );

  /** From here on the plan is kept up to date. */
  function want(): void {
    isWanted.value = true;
  }

  return { plan, problem, isBusy, want };
});
