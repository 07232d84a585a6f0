<script setup lang="ts">
import { metresOf, type BoxEntry } from '@junctura/core/materials';
import { formatThread, plural } from '@junctura/core/measure';
import { NButton, NInput } from 'naive-ui';
import { computed, ref } from 'vue';
import { useSettings } from '../../session/settings.ts';
import { useThreadBox } from '../../session/threadBox.ts';
import NumberField from '../../ui/NumberField.vue';
import * as say from './words.ts';

/** Several entries changed together: only what is filled in is set. */
const props = defineProps<{ entries: readonly BoxEntry[] }>();
defineEmits<{ remove: [] }>();

const threads = useThreadBox();
const settings = useSettings();
const place = ref('');
const lot = ref('');
const price = ref(0);
const ids = computed(() => new Set(props.entries.map(({ id }) => id)));
const metres = computed(() => props.entries.reduce((sum, entry) => sum + metresOf(entry), 0));
const hasChange = computed(() => place.value !== '' || lot.value !== '' || price.value > 0);

function apply(): void {
  threads.changeEntries(say.changeEntries(props.entries.length), ids.value, (entry) => ({
    ...entry,
    ...(place.value === '' ? {} : { place: place.value }),
    ...(lot.value === '' ? {} : { lot: lot.value }),
    ...(price.value > 0 ? { price: price.value } : {}),
  }));
}
function oneMore(by: 1 | -1): void {
  threads.changeEntries(by > 0 ? 'Add a skein of each' : 'Remove a skein of each', ids.value, (entry) => ({
    ...entry,
    whole: Math.max(0, entry.whole + by),
  }));
}
</script>

<template>
  <div class="stack">
    <h2>{{ plural(entries.length, 'entry', 'entries') }}</h2>
    <p class="soft">{{ say.inAll(formatThread(metres * 1000, settings.units)) }}</p>
    <label class="field"
      ><span class="label">Stored in</span
      ><NInput v-model:value="place" size="small" maxlength="80" placeholder="unchanged"
    /></label>
    <label class="field"
      ><span class="label">Dye lot</span
      ><NInput v-model:value="lot" size="small" maxlength="60" placeholder="unchanged"
    /></label>
    <NumberField
      label="Price of one (0: unchanged)"
      :value="price"
      :min="0"
      :max="100000"
      :step="0.1"
      unit=""
      @change="(n) => (price = n)"
    />
    <NButton type="primary" size="small" :disabled="!hasChange" @click="apply">{{
      say.changeAll(entries.length)
    }}</NButton>
    <div class="row">
      <NButton size="small" @click="oneMore(1)">One more of each</NButton>
      <NButton size="small" @click="oneMore(-1)">One fewer of each</NButton>
    </div>
    <NButton size="small" @click="$emit('remove')">Remove them from the box</NButton>
  </div>
</template>
