import { freeM, isLow, isShort, metresOf, shadeText, threadKind, type BoxEntry } from '@junctura/core/materials';
import { computed, ref, type ComputedRef, type Ref } from 'vue';
import { useThreadBox } from '../../session/threadBox.ts';

/** Of what is owned, what is shown. */
export const SHOWS = [
  { value: 'all', label: 'Everything' },
  { value: 'low', label: 'Running low' },
  { value: 'short', label: 'Less than is reserved' },
  { value: 'reserved', label: 'Reserved for pieces' },
] as const;
type Show = (typeof SHOWS)[number]['value'];

export const COLUMNS = [
  { id: 'name', label: 'Shade' },
  { id: 'range', label: 'Card' },
  { id: 'kind', label: 'Kind' },
  { id: 'lot', label: 'Dye lot' },
  { id: 'amount', label: 'Amount' },
  { id: 'free', label: 'Not reserved' },
  { id: 'place', label: 'Stored in' },
] as const;
type Column = (typeof COLUMNS)[number]['id'];

const SHOWN: Readonly<Record<Show, (entry: BoxEntry) => boolean>> = {
  all: () => true,
  low: isLow,
  short: isShort,
  reserved: ({ reserved }) => reserved.length > 0,
};

/** What of the thread box is looked at, and in which order. */
export interface BoxSearch {
  readonly search: Ref<string>;
  readonly show: Ref<Show>;
  readonly sortBy: Ref<Column>;
  readonly isRising: Ref<boolean>;
  /** Sorts by a column, or turns the order round. */
  sort(column: Column): void;
  readonly found: ComputedRef<BoxEntry[]>;
  readonly rangeName: ComputedRef<ReadonlyMap<string, string>>;
}

/** Finds and sorts what is in the thread box. */
export function useBoxSearch(): BoxSearch {
  const threads = useThreadBox();
  const search = ref('');
  const show = ref<Show>('all');
  const rangeName = computed(() => new Map(threads.ranges.map(({ id, name }) => [id, name])));

  const sortBy = ref<Column>('name');
  const isRising = ref(true);
  function sort(column: Column): void {
    isRising.value = sortBy.value === column ? !isRising.value : true;
    sortBy.value = column;
  }
  const KEYS: Readonly<Record<Column, (entry: BoxEntry) => string | number>> = {
    name: ({ shade: { name } }) => name.toLowerCase(),
    range: ({ shade }) => rangeName.value.get(shade.range) ?? shade.range,
    kind: ({ thread }) => threadKind(thread).name,
    lot: ({ lot }) => lot,
    amount: metresOf,
    free: (entry) => freeM(entry),
    place: ({ place }) => place,
  };
  /** What each entry is found by; made once for each. */
  const texts = computed(
    () =>
      new Map(
        threads.box.entries.map((entry) => {
          const { shade, lot, place, thread } = entry;
          const card = rangeName.value.get(shade.range);
          const words = [shadeText(shade), card, lot, place, threadKind(thread).name];
          return [entry.id, words.join(' ').toLowerCase()];
        }),
      ),
  );
  /** Sorted once for all searches. */
  const sorted = computed(() => {
    const key = KEYS[sortBy.value];
    const way = isRising.value ? 1 : -1;
    return threads.box.entries
      .map((entry) => ({ entry, key: key(entry) }))
      .sort((a, b) => (a.key < b.key ? -way : a.key > b.key ? way : 0))
      .map(({ entry }) => entry);
  });
  const found = computed(() => {
    const words = search.value.toLowerCase().split(/\s+/).filter(Boolean);
    const isShown = SHOWN[show.value];
    return sorted.value.filter(
      (entry) => isShown(entry) && words.every((word) => texts.value.get(entry.id)!.includes(word)),
    );
  });
  return { search, show, sortBy, isRising, sort, found, rangeName };
}
