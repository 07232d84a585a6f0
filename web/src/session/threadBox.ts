import {
  boxProblem,
  boxSchema,
  EMPTY_BOX,
  isSameShade,
  RANGES,
  rangeOf,
  type BoxEntry,
  type Shade,
  type ThreadBox,
  type ThreadRange,
} from '@junctura/core/materials';
import demoBox from '@junctura/demo/box/thread-box.json?url';
import { failure, success, type Outcome } from '@junctura/core/measure';
import { useDebounceFn, useEventListener } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, markRaw, ref, shallowRef } from 'vue';
import { DocumentStore } from '../keeping/documentStore.ts';
import { BOX_KEY as KEY } from '../keeping/wholeBench.ts';
import { Unkept } from '../keeping/unsaved.ts';
import { goesOn } from './history.ts';
import { CHECK_RUNNING } from '../keeping/words.ts';

/** A save waits for a pause of this; in steady work no longer than that, ms. */
const SAVE_AFTER_MS = 150;
const LONGEST_WAIT_MS = 800;
const DEPTH = 200;

interface Step {
  readonly label: string;
  /** What it changes; null: it is never put together with another. */
  readonly key: string | null;
  readonly at: number;
  readonly before: ThreadBox;
  readonly after: ThreadBox;
}

function checkBox(value: unknown): Outcome<ThreadBox> {
  const checked = boxSchema.safeParse(value);
  return checked.success ? success(checked.data) : failure('not a thread box');
}

/** The person's thread box: what she owns, and her own shade cards. Kept in the browser, every change can be undone. */
export const useThreadBox = defineStore('threadBox', () => {
  const store = markRaw(new DocumentStore(KEY, () => Date.now()));
  const box = shallowRef<ThreadBox>(EMPTY_BOX);
  const isLoaded = ref(false);
  const problem = ref<string | null>(null);
  const conflict = ref(false);
  /** A kept box that could not be read, as it was found. */
  const damaged = shallowRef<{ readonly value: unknown } | null>(null);
  const done = shallowRef<readonly Step[]>([]);
  const undone = shallowRef<readonly Step[]>([]);
  let revision = 0;
  const unkept = new Unkept('junctura-unsaved-', checkBox);
  /** Whether what is shown is still to be kept. */
  let isWaiting = false;
  let loading: Promise<void> | null = null;

  const undoLabel = computed(() => done.value.at(-1)?.label ?? null);
  const redoLabel = computed(() => undone.value.at(-1)?.label ?? null);

  /** Every range of shades that can be chosen from: those that ship with Junctura and the person's own cards. */
  const ranges = computed((): readonly ThreadRange[] => [
    ...RANGES,
    ...box.value.cards.map((card) => ({
      ...rangeOf(
        card.id,
        card.name,
        card.thread,
        card.shades.map(({ code, name, hex }) => [code, name, hex]),
      ),
    })),
  ]);
  /** One shade for each that the person owns any of, with the kind of thread that it is. */
  const owned = computed(() => {
    const found: { shade: Shade; thread: string }[] = [];
    for (const { shade, thread, whole, partM } of box.value.entries) {
      const isThere = found.some((other) => other.thread === thread && isSameShade(other.shade, shade));
      if ((whole === 0 && partM === 0) || isThere) continue;
      found.push({ shade: rangeOf(shade.range, '', thread, [[shade.code, shade.name, shade.hex]]).shades[0]!, thread });
    }
    return found;
  });

  /** What can be chosen for what is worked in some kinds of thread: what is owned first, then all cards of those kinds. */
  function offersIn(kinds: readonly string[]): {
    owned: readonly Shade[];
    toBuy: readonly Shade[];
    all: readonly Shade[];
  } {
    const isKind = (thread: string): boolean => kinds.length === 0 || kinds.includes(thread);
    const mine = owned.value.filter(({ thread }) => isKind(thread)).map(({ shade }) => shade);
    const cards = ranges.value.filter(({ thread }) => isKind(thread)).flatMap(({ shades }) => [...shades]);
    const toBuy = cards.filter((shade) => !mine.some((other) => isSameShade(other, shade)));
    return { owned: mine, toBuy, all: [...mine, ...toBuy] };
  }

  /** Loads once; the first time of all it is empty. */
  function load(): Promise<void> {
    loading ??= read();
    return loading;
  }

  async function read(): Promise<void> {
    const found = await store.load();
    if (!found.ok) problem.value = found.problem;
    else if (found.value) {
      const checked = boxSchema.safeParse(found.value.value);
      revision = found.value.revision;
      if (checked.success) box.value = markRaw(checked.data);
      else await putAside(found.value.value);
    }
    takeUpUnsaved();
    isLoaded.value = true;
  }

  /** Saves at once what still waits to be saved. */
  async function flush(): Promise<void> {
    if (isWaiting) await save();
  }

  /** What is kept was changed under the box that is shown: it is read anew. */
  async function reload(): Promise<void> {
    done.value = undone.value = [];
    conflict.value = false;
    problem.value = null;
    loading = null;
    await load();
  }

  /** A box that can't be read is kept under a name of its own, to be exported; nothing is written over it. */
  async function putAside(value: unknown): Promise<void> {
    const aside = new DocumentStore(`thread-box-damaged-${new Date().toISOString()}`, () => Date.now());
    const kept = await aside.save(value, 0);
    damaged.value = markRaw({ value });
    problem.value =
      kept.type === 'saved'
        ? 'Your saved thread box can’t be read. It was set aside unchanged and a new, empty box was started: save the old one to a file to keep it.'
        : 'Your saved thread box can’t be read, and there is no room to set it aside: save it to a file before you change anything.';
  }

  /** What could not be kept when the page was closed; where another tab kept something newer since, that stands. */
  function takeUpUnsaved(): void {
    const unsaved = unkept.take(KEY);
    unkept.forget(KEY);
    if (unsaved?.basedOn === revision) set(unsaved.value);
  }

  /** Examples are known by their ids. */
  const isExample = ({ id }: { readonly id: string }): boolean => id.startsWith('demo-');
  const examples = computed(
    () => box.value.entries.filter(isExample).length + box.value.basket.filter(isExample).length,
  );

  /** Lays an invented box and basket in, to try things on. */
  async function layInExamples(): Promise<void> {
    try {
      const { entries, basket } = boxSchema.parse(await (await fetch(demoBox)).json());
      const mine = box.value;
      change('Add examples', {
        ...mine,
        entries: [...mine.entries.filter((entry) => !isExample(entry)), ...entries],
        basket: [...mine.basket.filter((item) => !isExample(item)), ...basket],
      });
    } catch {
      problem.value = `The examples could not be loaded. ${CHECK_RUNNING}`;
    }
  }

  function takeOutExamples(): void {
    const { entries, basket } = box.value;
    const isOwn = (thing: { readonly id: string }): boolean => !isExample(thing);
    change('Remove the examples', { ...box.value, entries: entries.filter(isOwn), basket: basket.filter(isOwn) });
  }

  function change(label: string, next: ThreadBox, mergeKey: string | null = null): void {
    if (next === box.value) return;
    // Nothing is kept that could not be read again.
    const wrong = boxProblem(next, box.value);
    if (wrong !== null) {
      problem.value = wrong;
      return;
    }
    const last = done.value.at(-1);
    const at = Date.now();
    const earlier = last && goesOn(last, mergeKey, at) ? last : null;
    const step = { label, key: mergeKey, at, before: earlier?.before ?? box.value, after: next };
    done.value = [...(earlier ? done.value.slice(0, -1) : done.value.slice(1 - DEPTH)), step];
    undone.value = [];
    set(next);
  }

  /** Changes the entries that a change is given for, and leaves the others alone. */
  function changeEntries(
    label: string,
    ids: ReadonlySet<string>,
    to: (entry: BoxEntry) => BoxEntry,
    mergeKey: string | null = null,
  ): void {
    const entries = box.value.entries.map((entry) => (ids.has(entry.id) ? to(entry) : entry));
    change(label, { ...box.value, entries }, mergeKey);
  }

  function addEntries(label: string, entries: readonly BoxEntry[]): void {
    change(label, { ...box.value, entries: [...entries, ...box.value.entries] });
  }

  function undo(): void {
    const step = done.value.at(-1);
    if (!step) return;
    done.value = done.value.slice(0, -1);
    undone.value = [...undone.value, step];
    set(step.before);
  }

  function redo(): void {
    const step = undone.value.at(-1);
    if (!step) return;
    undone.value = undone.value.slice(0, -1);
    done.value = [...done.value, { ...step, at: 0 }];
    set(step.after);
  }

  function set(next: ThreadBox): void {
    box.value = markRaw(next);
    isWaiting = true;
    void saveSoon();
  }

  const saveSoon = useDebounceFn(save, SAVE_AFTER_MS, { maxWait: LONGEST_WAIT_MS });

  async function save(): Promise<void> {
    const saved = box.value;
    const result = await store.save(saved, revision);
    if (result.type === 'saved') {
      isWaiting = box.value !== saved;
      revision = result.revision;
      problem.value = null;
      unkept.forget(KEY);
    } else if (result.type === 'conflict') conflict.value = true;
    else problem.value = result.problem;
  }

  /** After a conflict: take what the other tab kept, or keep this tab's box over it. */
  async function settleConflict(keepMine: boolean): Promise<void> {
    conflict.value = false;
    const found = await store.load();
    if (!found.ok || !found.value) return;
    revision = found.value.revision;
    if (keepMine) return save();
    const checked = boxSchema.safeParse(found.value.value);
    if (!checked.success) return;
    box.value = markRaw(checked.data);
    done.value = [];
    undone.value = [];
  }

  /** The page may not come back: what is not kept is put aside at once. */
  useEventListener(window, 'pagehide', () => {
    if (isWaiting) unkept.put(KEY, { value: box.value, basedOn: revision });
  });

  return {
    box,
    isLoaded,
    problem,
    conflict,
    damaged,
    ranges,
    offersIn,
    undoLabel,
    redoLabel,
    load,
    flush,
    reload,
    change,
    changeEntries,
    addEntries,
    examples,
    isExample,
    layInExamples,
    takeOutExamples,
    undo,
    redo,
    settleConflict,
  };
});
