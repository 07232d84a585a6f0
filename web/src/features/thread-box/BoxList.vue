<script setup lang="ts">
import { freeM, isShort, reservedM, threadKind, type BoxEntry } from '@junctura/core/materials';
import { formatThread, plural } from '@junctura/core/measure';
import { ArrowDown, ArrowUp } from '@lucide/vue';
import { useVirtualList } from '@vueuse/core';
import { NInput } from 'naive-ui';
import { computed, watch } from 'vue';
import { COLUMNS, SHOWS, type BoxSearch } from './useBoxSearch.ts';
import type { Picking } from './usePicking.ts';
import { useSettings } from '../../session/settings.ts';
import { useThreadBox } from '../../session/threadBox.ts';
import ChoiceField from '../../ui/ChoiceField.vue';
import * as say from './words.ts';

/** What is in the thread box, as a list to search, sort and pick from. The slot stands where it is empty. */
const props = defineProps<{ search: BoxSearch; picking: Picking }>();
const threads = useThreadBox();
const settings = useSettings();
const { search: words, show, sortBy, isRising, sort, found, rangeName } = props.search;
const { picked, areAllPicked, pick, tick, pickAll } = props.picking;

const ROW_PX = 42;
const { list, containerProps, wrapperProps, scrollTo } = useVirtualList(found, { itemHeight: ROW_PX, overscan: 6 });
watch([words, show, sortBy, isRising], () => scrollTo(0));

function amount(entry: BoxEntry): string {
  const { whole, partM, plusMinusM, thread } = entry;
  const { putUp } = threadKind(thread);
  const skeins = whole > 0 ? plural(whole, putUp) : '';
  const part = partM > 0 ? formatThread(partM * 1000, settings.units) : '';
  const about = plusMinusM > 0 ? ` ± ${formatThread(plusMinusM * 1000, settings.units)}` : '';
  return [skeins, part && part + about].filter(Boolean).join(', ') || 'used up';
}
const isEmpty = computed(() => threads.isLoaded && threads.box.entries.length === 0);
</script>

<template>
  <section class="list" aria-label="What you own">
    <div v-if="!isEmpty" class="find">
      <NInput
        v-model:value="words"
        size="small"
        clearable
        placeholder="Search: slate, wd-62, tin, lot…"
        :input-props="{ 'aria-label': 'Search the thread box' }"
      />
      <ChoiceField label="Show" :value="show" :options="SHOWS" @change="(value) => (show = value)" />
    </div>
    <div v-if="!isEmpty" class="row-grid heads">
      <span
        ><input type="checkbox" :checked="areAllPicked" aria-label="Select everything shown" @change="pickAll"
      /></span>
      <button
        v-for="column in COLUMNS"
        :key="column.id"
        type="button"
        class="plain small"
        :aria-label="say.sortBy(column.label)"
        :aria-pressed="sortBy === column.id"
        @click="sort(column.id)"
      >
        {{ column.label }}<component :is="isRising ? ArrowUp : ArrowDown" v-if="sortBy === column.id" :size="13" />
      </button>
    </div>
    <div v-if="isEmpty" class="empty"><slot></slot></div>
    <p v-else-if="threads.isLoaded && found.length === 0" class="empty soft">
      Nothing in your box has that name. Try a tone, a code or a place, or show everything.
    </p>
    <div v-bind="containerProps" class="rows" data-test="box-rows" role="group" tabindex="0" aria-label="Entries">
      <div v-bind="wrapperProps">
        <div
          v-for="{ data: entry } in list"
          :key="entry.id"
          class="row-grid entry"
          :class="{ picked: picked.has(entry.id) }"
          data-test="box-row"
          @click="pick(entry, $event)"
        >
          <span @click.stop
            ><input
              type="checkbox"
              :checked="picked.has(entry.id)"
              :aria-label="say.select(entry.shade.name)"
              @change="tick(entry)"
          /></span>
          <button type="button" class="plain shade" @click.stop="pick(entry, $event)">
            <span class="swatch" :style="{ background: entry.shade.hex }"></span>
            <span class="cut"
              >{{ entry.shade.name }} <span class="figure soft small">{{ entry.shade.code }}</span></span
            >
          </button>
          <span class="cut soft">{{ rangeName.get(entry.shade.range) ?? entry.shade.range }}</span>
          <span class="cut soft">{{ threadKind(entry.thread).name }}</span>
          <span class="cut">{{ entry.lot }}<template v-if="entry.handDyed"> · dyed by hand</template></span>
          <span class="cut figure">{{ amount(entry) }}</span>
          <span class="cut figure" :class="{ warning: isShort(entry) }">{{
            reservedM(entry) > 0 ? formatThread(freeM(entry) * 1000, settings.units) : ''
          }}</span>
          <span class="cut soft" :title="entry.place">{{
            threads.isExample(entry) ? say.exampleIn(entry.place) : entry.place
          }}</span>
        </div>
      </div>
    </div>
  </section>
</template>

<style scoped>
.list {
  display: grid;
  grid-template-rows: auto auto minmax(0, 1fr);
  min-height: 0;
  padding: 12px 0 0 18px;
}
.find {
  display: grid;
  grid-template-columns: minmax(160px, 340px) 220px;
  gap: 16px;
  align-items: end;
  padding-bottom: 10px;
}
.row-grid {
  display: grid;
  grid-template-columns:
    26px minmax(150px, 2.2fr) minmax(0, 0.9fr) minmax(0, 1.1fr) minmax(0, 0.9fr) minmax(0, 1.3fr)
    minmax(0, 0.6fr) minmax(0, 0.9fr);
  gap: 10px;
  align-items: center;
  padding-right: 18px;
}
.heads {
  border-bottom: 1px solid var(--chalk);
  padding-bottom: 5px;
  color: var(--ink-soft);
}
.heads button {
  display: flex;
  gap: 3px;
  align-items: center;
  min-height: 24px;
}
.rows {
  grid-row: 3;
  outline-offset: -2px;
  contain: strict;
}
.entry {
  height: 42px;
  contain: layout paint style;
  border-bottom: 1px solid color-mix(in srgb, var(--chalk) 50%, transparent);
  cursor: pointer;
}
.entry:hover {
  background: var(--linen-deep);
}
.entry.picked {
  background: color-mix(in srgb, var(--madder) 12%, var(--linen));
}
.shade {
  display: flex;
  gap: 9px;
  align-items: center;
  min-width: 0;
}
.cut {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
input[type='checkbox'] {
  width: 18px;
  height: 18px;
  accent-color: var(--madder);
}
.empty {
  grid-row: 3;
  padding: 40px 0;
  max-width: 56ch;
  display: grid;
  gap: 12px;
  align-content: start;
}
@media (max-width: 1000px) {
  .find {
    grid-template-columns: 1fr 1fr;
    padding-right: 16px;
  }
  .row-grid {
    grid-template-columns: 26px minmax(130px, 2fr) minmax(0, 0.7fr) minmax(0, 1.2fr) minmax(0, 0.8fr);
    gap: 8px;
  }
  /* Card, kind and what is free are on the card of the entry. */
  .row-grid > :nth-child(3),
  .row-grid > :nth-child(4),
  .row-grid > :nth-child(7) {
    display: none;
  }
}
</style>
