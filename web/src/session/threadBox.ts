import {
  boxProblem,
  boxSchema,
  mergedBoxes,
  EMPTY_BOX,
  isSameShade,
  RANGES,
  comesIn,
  rangeOf,
  type BoxEntry,
  type Shade,
  type ThreadBox,
  type ThreadRange,
} from '@junctura/core/materials';
import demoBox from '@junctura/demo/box/thread-box.json?url';
import { failure, success, type Outcome } from '@junctura/core/measure';
import { useBroadcastChannel } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, markRaw, ref, shallowRef, watch } from 'vue';
import { AsideStore } from '../keeping/asideStore.ts';
import { DocumentStore } from '../keeping/documentStore.ts';
import { BOX_KEY as KEY } from '../keeping/wholeBench.ts';
import { Unkept } from '../keeping/unsaved.ts';
import { History } from './history.ts';
import { useKept } from './kept.ts';
import { CHECK_RUNNING } from '../keeping/words.ts';
import * as say from './words.ts';

/** One change of the box. */
interface BoxChange {
  readonly label: string;
  readonly key: string | null;
  readonly before: ThreadBox;
  readonly after: ThreadBox;
}

const newHistory = (): History<BoxChange> =>
  new History<BoxChange>({ keyOf: ({ key }) => key, merged: ({ before }, later) => ({ ...later, before }) });

function checkBox(value: unknown): Outcome<ThreadBox> {
  const checked = boxSchema.safeParse(value);
  return checked.success ? success(checked.data) : failure('not a thread box');
}

/** The person's thread box: what she owns, and her own shade cards. Kept in the browser, every change can be undone. */
export const useThreadBox = defineStore('threadBox', () => {
  const store = markRaw(new DocumentStore(KEY, () => Date.now(), 'box'));
  const box = shallowRef<ThreadBox>(EMPTY_BOX);
  const isLoaded = ref(false);
  const unkept = new Unkept('junctura-unsaved-', checkBox, new AsideStore());
  /** Tabs that show the box tell each other that it is another now. */
  const { data: told, post } = useBroadcastChannel<number, number>({ name: 'junctura-thread-box' });
  const kept = useKept<ThreadBox>({
    current: () => box.value,
    save: async (value, basedOn) => {
      const saved = await store.save(value, basedOn);
      if (saved.type === 'saved') {
        last = value;
        post(saved.revision);
      }
      return saved;
    },
    aside: unkept,
    nameOf: () => KEY,
    storedRevision: async () => {
      const stored = await store.revision();
      return stored.ok ? stored.value : null;
    },
    readAgain: reload,
    writesAgain: true,
  });
  watch(told, () => void kept.look());
  /** The box as this tab last read or kept it: what two tabs changed is told apart by it. */
  let last: ThreadBox = EMPTY_BOX;
  /** What went wrong here, before anything was to be kept. */
  const refused = ref<string | null>(null);
  const problem = computed(() => refused.value ?? kept.problem.value);
  /** A kept box that could not be read, as it was found. */
  const damaged = shallowRef<{ readonly value: unknown } | null>(null);
  let history = newHistory();
  const undoLabel = ref<string | null>(null);
  const redoLabel = ref<string | null>(null);
  let loading: Promise<void> | null = null;

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
    const cards = ranges.value.filter((range) => comesIn(range, kinds)).flatMap(({ shades }) => [...shades]);
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
    if (!found.ok) refused.value = found.problem;
    else if (found.value) {
      const checked = boxSchema.safeParse(found.value.value);
      if (checked.success) take(checked.data, found.value.revision);
      else {
        take(EMPTY_BOX, found.value.revision);
        await putAside(found.value.value);
      }
    }
    await takeUpUnsaved();
    isLoaded.value = true;
  }

  /** A box that is stored stands there now; what was done before can't be undone any more. */
  function take(stored: ThreadBox, revision: number): void {
    history = newHistory();
    const value = markRaw(stored);
    last = value;
    kept.take(value, revision);
    show(value);
  }

  function show(next: ThreadBox): void {
    undoLabel.value = history.undoLabel;
    redoLabel.value = history.redoLabel;
    box.value = markRaw(next);
  }

  /** What is kept was changed under the box that is shown: it is read anew. */
  async function reload(): Promise<void> {
    refused.value = null;
    kept.problem.value = null;
    loading = null;
    await load();
  }

  /** A box that can't be read is kept under a name of its own, to be exported; nothing is written over it. */
  async function putAside(value: unknown): Promise<void> {
    const aside = new DocumentStore(`thread-box-damaged-${new Date().toISOString()}`, () => Date.now());
    const stored = await aside.save(value, 0);
    damaged.value = markRaw({ value });
    refused.value =
      stored.type === 'saved'
        ? 'Your saved thread box can’t be read. It was set aside unchanged and a new, empty box was started: save the old one to a file to keep it.'
        : 'Your saved thread box can’t be read, and there is no room to set it aside: save it to a file before you change anything.';
  }

  /** What could not be kept when the page was closed; where another tab kept something newer since, the person is asked which stands. */
  async function takeUpUnsaved(): Promise<void> {
    await unkept.bring(KEY);
    const unsaved = unkept.take(KEY);
    if (!unsaved) return;
    if (JSON.stringify(unsaved.value) === JSON.stringify(box.value)) return unkept.forget(KEY);
    const isNewer = unsaved.basedOn !== kept.revision();
    kept.takeUnsaved(unsaved.basedOn);
    show(unsaved.value);
    if (isNewer) kept.conflict.value = 'changed';
    else await kept.save();
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
      refused.value = `The examples could not be loaded. ${CHECK_RUNNING}`;
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
    refused.value = wrong;
    if (wrong !== null) return;
    put(label, box.value, next, mergeKey);
  }

  function put(label: string, before: ThreadBox, after: ThreadBox, key: string | null = null): void {
    history.put({ label, key, before, after: markRaw(after) }, Date.now());
    set(after);
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
    const change = history.undo();
    if (change) set(change.before);
  }

  function redo(): void {
    const change = history.redo();
    if (change) set(change.after);
  }

  function set(next: ThreadBox): void {
    show(next);
    kept.changed();
  }

  /**
   * After a conflict: both boxes put together, what the other tab kept, or this tab's box. What then does not stand comes back with Undo.
   * Of an entry that both tabs changed, this tab's stands.
   */
  async function settleConflict(way: 'both' | 'theirs' | 'mine'): Promise<void> {
    const found = await store.load();
    if (!found.ok) return;
    const checked = boxSchema.safeParse(found.value?.value ?? EMPTY_BOX);
    const mine = box.value;
    const theirs = checked.success ? checked.data : EMPTY_BOX;
    kept.takeUnsaved(found.value?.revision ?? 0);
    if (way === 'theirs') put(say.USE_OTHER_TAB, mine, theirs);
    else put(say.KEEP_THIS_TAB, theirs, way === 'mine' ? mine : mergedBoxes(last, theirs, mine));
    await kept.save();
  }

  return {
    box,
    isLoaded,
    problem,
    conflict: kept.conflict,
    damaged,
    ranges,
    offersIn,
    undoLabel,
    redoLabel,
    load,
    flush: kept.flush,
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
