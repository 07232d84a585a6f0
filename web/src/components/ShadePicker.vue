<script setup lang="ts">
import { differenceInWords } from '@junctura/core/colour';
import { isSameShade, nearestShades, THRUMWICK, type Shade, type ShadeRef } from '@junctura/core/materials';
import { NInput } from 'naive-ui';
import { computed, ref } from 'vue';

/** The shades of the range: those nearest to a colour, and the whole card, families side by side, light above dark. */
const props = defineProps<{ hex: string; chosen: ShadeRef | null }>();
const emit = defineEmits<{ choose: [shade: ShadeRef] }>();

const NEAREST = 4;
const search = ref('');
const nearest = computed(() =>
  nearestShades(props.hex, NEAREST).map(({ item, difference }) => ({
    shade: item,
    words: differenceInWords(difference),
  })),
);
const families = computed(() => {
  const wanted = search.value.trim().toLowerCase();
  const byFamily = new Map<string, Shade[]>();
  for (const shade of THRUMWICK.shades) {
    if (wanted && !`${shade.name} ${shade.code}`.toLowerCase().includes(wanted)) continue;
    const family = shade.code.slice(0, 2);
    byFamily.set(family, [shade, ...(byFamily.get(family) ?? [])]);
  }
  return [...byFamily.values()];
});
</script>

<template>
  <div class="picker">
    <p class="small soft">
      Nearest to <span class="swatch" :style="{ background: hex }"></span> in {{ THRUMWICK.name }}:
    </p>
    <button
      v-for="{ shade, words } in nearest"
      :key="shade.code"
      type="button"
      class="plain near"
      :class="{ chosen: isSameShade(chosen, shade) }"
      :aria-pressed="isSameShade(chosen, shade)"
      @click="emit('choose', shade)"
    >
      <span class="swatch" :style="{ background: shade.hex }"></span> {{ shade.name }}
      <span class="figure soft">{{ shade.code }}</span> <span class="small soft">{{ words }}</span>
    </button>
    <NInput
      v-model:value="search"
      size="small"
      clearable
      placeholder="Search the whole card: pale, slate, wd-…"
      :input-props="{ 'aria-label': 'Search the shade card' }"
    />
    <div class="card">
      <div v-for="family in families" :key="family[0]!.code" class="family">
        <button
          v-for="shade in family"
          :key="shade.code"
          type="button"
          class="plain shade"
          :class="{ chosen: isSameShade(chosen, shade) }"
          :style="{ background: shade.hex }"
          :title="`${shade.name} ${shade.code}`"
          :aria-label="`${shade.name} ${shade.code}`"
          :aria-pressed="isSameShade(chosen, shade)"
          @click="emit('choose', shade)"
        ></button>
      </div>
      <p v-if="families.length === 0" class="small soft">
        No shade is called that. Try a tone (deep, pale) or a family (slate, moss stone).
      </p>
    </div>
  </div>
</template>

<style scoped>
.picker {
  display: grid;
  gap: 6px;
  padding: 4px 0 12px 4px;
}
.near {
  display: flex;
  gap: 8px;
  align-items: center;
  padding: 3px 6px;
  border-radius: 5px;
}
.near:hover,
.near.chosen {
  background: var(--linen-deep);
}
.small .swatch {
  vertical-align: -5px;
}
.card {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 3px;
}
.family {
  display: grid;
  gap: 0;
  align-content: start;
}
.shade {
  width: 24px;
  height: 24px;
}
.shade:first-child {
  border-radius: 8px 8px 0 0;
}
.shade:last-child {
  border-radius: 0 0 8px 8px;
}
.shade.chosen {
  outline: 3px solid var(--ink);
  outline-offset: -2px;
  border-radius: 4px;
}
</style>
