import { isSameShade, shopSchema, type ShadeRef, type ShopStock, type ShopThread } from '@junctura/core/materials';
import { defineStore } from 'pinia';
import { markRaw, ref, shallowRef } from 'vue';
import { DocumentStore } from '../keeping/documentStore.ts';
import { askShop } from '../keeping/standIns.ts';

/** What the thread shop has, as it said last: kept, so that it is known with its date while the shop does not answer. */
export const useShop = defineStore('shop', () => {
  const store = markRaw(new DocumentStore('shop', () => Date.now()));
  const stock = shallowRef<ShopStock | null>(null);
  const heardAt = ref<number | null>(null);
  const isAsking = ref(false);
  const problem = ref<string | null>(null);
  let revision = 0;

  /** Asks the shop; until it answers, or where it does not, what it said last stands. */
  async function ask(): Promise<void> {
    if (isAsking.value) return;
    isAsking.value = true;
    if (stock.value === null) await recall();
    const answer = await askShop();
    isAsking.value = false;
    problem.value = answer.ok ? null : answer.problem;
    if (!answer.ok) return;
    stock.value = markRaw(answer.value);
    heardAt.value = Date.now();
    const saved = await store.save(answer.value, revision);
    if (saved.type === 'saved') revision = saved.revision;
    else if (saved.type === 'conflict') revision = (await lastRevision()) ?? revision;
  }

  async function recall(): Promise<void> {
    const kept = await store.load();
    if (!kept.ok || !kept.value) return;
    revision = kept.value.revision;
    const checked = shopSchema.safeParse(kept.value.value);
    if (!checked.success) return;
    stock.value = markRaw(checked.data);
    heardAt.value = kept.value.savedAt;
  }

  async function lastRevision(): Promise<number | null> {
    const kept = await store.load();
    return kept.ok ? (kept.value?.revision ?? null) : null;
  }

  /** What the shop has of a shade; undefined where it does not sell it or was never heard. */
  function threadOf(shade: ShadeRef): ShopThread | undefined {
    return stock.value?.threads.find((thread) => isSameShade({ ...shade, ...thread }, shade));
  }

  /** Whether a shade cannot be had now. */
  function isOut(shade: ShadeRef): boolean {
    return threadOf(shade)?.lots.length === 0;
  }

  return { stock, heardAt, isAsking, problem, ask, threadOf, isOut };
});
