import { noteOf, type StepNote } from '@junctura/core/paper';
import { tidyTails } from '@junctura/core/thread';
import { defineStore } from 'pinia';
import { computed } from 'vue';
import { useSettings } from '../../session/settings.ts';
import { useWorkings } from '../../session/workings.ts';
import { useWorkSoFar } from '../../session/workSoFar.ts';

/** All that the guide says of the present step, for the page at the hoop. */
export const useStepNote = defineStore('stepNote', () => {
  const settings = useSettings();
  const workings = useWorkings();
  const work = useWorkSoFar();
  /** The loose tails that are woven in before some of the steps. */
  const tails = computed(() => (work.plan ? tidyTails(work.plan, work.numbered) : new Map<number, number>()));
  const present = computed((): StepNote | null => {
    const own = work.numberOfPresent;
    if (!work.plan || !own) return null;
    const line = { number: own.number, from: own.at, to: own.at + 1, lays: [] };
    const loose = own.part === 1 ? (tails.value.get(own.number) ?? 0) : 0;
    return noteOf(workings.piece, work.plan, line, settings.units, loose);
  });
  return { present };
});
