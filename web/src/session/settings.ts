import { z, type UnitSystem } from '@junctura/core/measure';
import { USUAL_FACTORS, type OwnFactors } from '@junctura/core/work';
import { useEventListener, useStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, markRaw, ref, watch, type WritableComputedRef } from 'vue';
import { DocumentStore } from '../keeping/documentStore.ts';

const KEY = 'junctura-settings';

const share = z.number().min(0.5).max(2);

const hoopSchema = z.object({
  type: z.enum(['usual', 'large', 'largest']),
  /** On which side the target lies where the device lies. */
  target: z.enum(['left', 'right']),
  breakMin: z.number().min(10).max(180),
  staysAwake: z.boolean(),
  sounds: z.boolean(),
  voice: z.boolean(),
  lampAtNight: z.boolean(),
  /** The light that was chosen there; null: by the hour, else as at the desk. */
  light: z.enum(['light', 'lamp']).nullable().default(null),
});
export type HoopSettings = z.infer<typeof hoopSchema>;
const AT_THE_HOOP: HoopSettings = {
  type: 'usual',
  target: 'right',
  breakMin: 40,
  staysAwake: true,
  sounds: false,
  voice: false,
  lampAtNight: true,
  light: null,
};

const schema = z.object({
  /** How often anything was set: what was set more often is newer. */
  changes: z.number().int().min(0).catch(0),
  units: z.enum(['metric', 'inch'] satisfies UnitSystem[]).catch('metric'),
  theme: z.enum(['light', 'lamp']).catch('light'),
  /** Whether the first visit is over: it opens a piece to look at. */
  welcomed: z.boolean().catch(false),
  /** What a bar of 100 mm measures on this screen, for true size. */
  screenBarMm: z.number().min(40).max(250).catch(100),
  /** How the person works, as shares of the usual: measured on the practice sampler, learned from her records. */
  own: z
    .object({
      width: share.catch(1),
      stitch: share.catch(1),
      thread: z.record(z.string(), share).catch({}),
      handSpread: z.number().min(0.001).max(1).catch(USUAL_FACTORS.handSpread),
    })
    .catch({ ...USUAL_FACTORS, thread: {} }),
  /** Records from before this day are no longer learned from: an ISO time; null: all are. */
  learnSince: z.iso.datetime().nullable().catch(null),
  /** What the person asks for an hour, where she sells. */
  rate: z.object({ perHour: z.number().min(0).max(10_000), coin: z.string().max(4) }).catch({ perHour: 0, coin: '€' }),
  /** The name that stands on labels and price cards; made up until one is typed. */
  maker: z.string().max(60).catch('The Slow Thimble'),
  /** What the bars of a printed page measure, 100 mm across and 50 mm down in the file. */
  printer: z
    .object({ acrossMm: z.number().min(50).max(150), downMm: z.number().min(25).max(75) })
    .catch({ acrossMm: 100, downMm: 50 }),
  /** What a device may do at the hoop. */
  hoop: hoopSchema.catch(AT_THE_HOOP),
  /** Whether a hand that draws over a picture is led along its edges. */
  keepsToEdges: z.boolean().catch(true),
  film: z
    .object({ widthMm: z.number().min(80).max(1000), heightMm: z.number().min(80).max(1000) })
    .catch({ widthMm: 180, heightMm: 260 }),
});
type Settings = z.infer<typeof schema>;

/** The browser's storage; undefined where it lets nothing be kept. */
function storage(): Storage | undefined {
  try {
    return globalThis.localStorage;
  } catch {
    return undefined;
  }
}

/** What is stored now, whichever tab stored it; null: nothing, or it can't be read. */
function keptText(): string | null {
  try {
    return storage()?.getItem(KEY) ?? null;
  } catch {
    return null;
  }
}

/** Whatever is stored is read as far as it makes sense; the rest is as usual. */
function readValue(value: unknown): Settings {
  return schema.parse(typeof value === 'object' && value !== null ? value : {});
}

function read(text: string): Settings {
  try {
    return readValue(JSON.parse(text));
  } catch {
    return readValue({});
  }
}

/**
 * What the person likes, kept in this browser and the same in all its tabs: in the database, which survives a browser that is killed, and in
 * `localStorage`, which is read at once when a page is opened and tells other tabs. What was set last counts.
 */
export const useSettings = defineStore('settings', () => {
  const store = markRaw(new DocumentStore('settings', () => Date.now()));
  let isRefused = false;
  const kept = useStorage<Settings>(KEY, schema.parse({}), storage(), {
    serializer: { read, write: JSON.stringify },
    // Storage that is switched off or full: the choice holds until the page is closed.
    onError: () => (isRefused = true),
    // What is set is stored before the next is set.
    flush: 'sync',
    listenToStorageChanges: false,
    // The database takes plain objects only.
    shallow: true,
  });
  if (typeof window !== 'undefined') {
    useEventListener(window, 'storage', ({ key, newValue }: StorageEvent) => {
      if (key === KEY && newValue !== null) kept.value = read(newValue);
      // What was cleared away under an open page is written again.
      else if (key === null || key === KEY) keep(kept.value);
    });
  }
  function asKept(): Settings {
    const text = keptText();
    return text === null || isRefused ? kept.value : read(text);
  }
  /** Takes a state of the settings; in the database it counts as set after all that is there. */
  function keep(next: Settings, set: Partial<Settings> = next): void {
    kept.value = { ...next, changes: next.changes + 1 };
    void store.change((before) => {
      const stored = readValue(before);
      return stored.changes < kept.value.changes ? kept.value : { ...stored, ...set, changes: stored.changes + 1 };
    });
  }
  let loading: Promise<void> | null = null;
  /** Reads what the database keeps. Where `localStorage` has something newer, or there was nothing yet, that counts. */
  function load(): Promise<void> {
    loading ??= (async () => {
      const found = await store.load();
      if (!found.ok) return;
      const stored = found.value ? readValue(found.value.value) : null;
      if (stored && stored.changes > kept.value.changes) kept.value = stored;
      else if (keptText() !== null && stored?.changes !== kept.value.changes) keep(kept.value);
    })();
    return loading;
  }
  function field<Key extends keyof Settings>(key: Key): WritableComputedRef<Settings[Key]> {
    return computed({
      get: () => kept.value[key],
      // Another tab may have set another field meanwhile: this one alone is set.
      set: (value) => keep({ ...asKept(), [key]: value }, { [key]: value }),
    });
  }
  const own = field('own');
  /** How the person works, as a plain object that workers can be given. It is another object only when a figure is another. */
  const factors = computed((before?: OwnFactors): OwnFactors => {
    const now: OwnFactors = { ...own.value, thread: { ...own.value.thread } };
    return before && JSON.stringify(before) === JSON.stringify(now) ? before : now;
  });
  /** What the records of all pieces tell of her thread. */
  function setLearned(thread: Record<string, number>, handSpread: number): void {
    const next = { ...own.value, thread, handSpread };
    if (JSON.stringify(next) !== JSON.stringify(own.value)) own.value = next;
  }
  /** All settings of a backup; what makes no sense of them is as usual. */
  function takeAll(value: unknown): void {
    keep({ ...readValue(value), changes: asKept().changes });
  }
  const theme = field('theme');
  /** The light of the page that is shown, where it has one of its own; null: it has not. */
  const pageLight = ref<Settings['theme'] | null>(null);
  const shownTheme = computed(() => pageLight.value ?? theme.value);
  watch(
    shownTheme,
    (name) => {
      if (typeof document !== 'undefined') document.documentElement.dataset['theme'] = name;
    },
    { immediate: true },
  );
  return {
    /** All of it, as it is kept. */
    all: computed(() => kept.value),
    takeAll,
    load,
    own,
    factors,
    setLearned,
    theme,
    pageLight,
    shownTheme,
    units: field('units'),
    welcomed: field('welcomed'),
    screenBarMm: field('screenBarMm'),
    learnSince: field('learnSince'),
    rate: field('rate'),
    maker: field('maker'),
    printer: field('printer'),
    hoop: field('hoop'),
    keepsToEdges: field('keepsToEdges'),
    film: field('film'),
  };
});
