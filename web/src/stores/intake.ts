import { defineStore } from 'pinia';
import { ref } from 'vue';
import { useRouter } from 'vue-router';
import { readFile } from '../keeping/intake.ts';
import { PlannerClient } from '../workers/plannerClient.ts';
import { useBench } from './bench.ts';

/** Reading that takes longer than this shows that it is under way and can be stopped, ms. */
const SHOW_AFTER_MS = 500;

/** Files that are chosen or dropped, wherever in the application: read, and put on the bench or refused in a sentence. */
export const useIntake = defineStore('intake', () => {
  const bench = useBench();
  const router = useRouter();
  const readingName = ref<string | null>(null);
  const problem = ref<string | null>(null);
  let stop: (() => void) | null = null;

  async function take(files: readonly File[] | FileList | null): Promise<void> {
    const file = files?.[0];
    if (!file) return;
    problem.value = null;
    stop?.();
    // A reader of its own: stopping it leaves the open piece's planner alone.
    const reader = new PlannerClient();
    let isStopped = false;
    stop = () => {
      isStopped = true;
      reader.close();
      readingName.value = null;
    };
    const timer = setTimeout(() => (readingName.value = file.name), SHOW_AFTER_MS);
    const stopped = stop;
    const read = await readFile(file, reader, () => crypto.randomUUID());
    clearTimeout(timer);
    if (isStopped) return;
    stopped();
    if (!read.ok) {
      problem.value = read.problem;
      return;
    }
    const id = await bench.adopt(read.value);
    await router.push({ name: 'piece', params: { id, step: 'drawing' } });
  }

  /** Lets the person choose a file. */
  function choose(): void {
    const chooser = document.createElement('input');
    chooser.type = 'file';
    chooser.accept = '.svg,.json,image/svg+xml,application/json';
    chooser.addEventListener('change', () => void take(chooser.files));
    chooser.click();
  }

  function cancel(): void {
    stop?.();
  }

  return { readingName, problem, take, choose, cancel };
});
