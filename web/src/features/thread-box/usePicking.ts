import type { BoxEntry } from '@junctura/core/materials';
import { computed, ref, type ComputedRef, type Ref } from 'vue';
import { stretchOf } from '../../session/pickInList.ts';

/** Entries of a list that are picked, by their ids. */
export interface Picking {
  readonly picked: Ref<ReadonlySet<string>>;
  readonly areAllPicked: ComputedRef<boolean>;
  pick(entry: BoxEntry, event: MouseEvent | KeyboardEvent): void;
  /** Picks one more, or one less. */
  tick(entry: BoxEntry): void;
  /** Picks all that are found, or none where all were. */
  pickAll(): void;
}

export function usePicking(found: ComputedRef<readonly BoxEntry[]>): Picking {
  const picked = ref<ReadonlySet<string>>(new Set());
  let lastPicked: string | null = null;
  /** A press picks one, with Control one more, with Shift all up to it. */
  function pick(entry: BoxEntry, event: MouseEvent | KeyboardEvent): void {
    if (event.shiftKey && lastPicked !== null) {
      const ids = found.value.map(({ id }) => id);
      picked.value = new Set(stretchOf(ids, lastPicked, entry.id));
      return;
    }
    if (event.ctrlKey || event.metaKey) return tick(entry);
    picked.value = new Set([entry.id]);
    lastPicked = entry.id;
  }
  function tick(entry: BoxEntry): void {
    const next = new Set(picked.value);
    if (next.has(entry.id)) next.delete(entry.id);
    else next.add(entry.id);
    picked.value = next;
    lastPicked = entry.id;
  }
  const areAllPicked = computed(() => found.value.length > 0 && found.value.every(({ id }) => picked.value.has(id)));
  function pickAll(): void {
    picked.value = areAllPicked.value ? new Set() : new Set(found.value.map(({ id }) => id));
  }
  return { picked, areAllPicked, pick, tick, pickAll };
}
