<script setup lang="ts">
import type { PlannedPart } from '@junctura/core/work';
import { rolesOn } from '@junctura/core/propose';
import { formatThread } from '@junctura/core/measure';
import type { PassRole } from '@junctura/core/piece';
import { stitchKind } from '@junctura/core/stitches';
import { ChevronDown, ChevronUp, Trash2 } from '@lucide/vue';
import { NButton } from 'naive-ui';
import { computed } from 'vue';
import { useSettings } from '../../session/settings.ts';
import MenuButton from '../../ui/MenuButton.vue';
import { ROLE_WORDS, wholeTime } from '../../session/words.ts';
import { useWorkings } from '../../session/workings.ts';
import { inCommon, quantitiesOfShared, timeOfShared, type SharedLayer } from './sharedLayers.ts';
import * as say from './words.ts';

/** The layers of a part, or those that several have in common, laid as they lie: what is worked last lies on top of the list. */
const props = defineProps<{
  parts: readonly PlannedPart[];
  layers: readonly SharedLayer[];
  open: number;
  isOneKind: boolean;
}>();
const emit = defineEmits<{
  open: [index: number];
  add: [role: PassRole];
  remove: [index: number];
  move: [index: number, by: 1 | -1];
}>();
const settings = useSettings();
const workings = useWorkings();

const kind = computed(() => props.parts[0]!.placed.kind);
const rows = computed(() =>
  props.layers
    .map((layer, index) => {
      const stitch = inCommon(layer.passes.map((pass) => pass.stitch));
      return {
        index,
        role: layer.role,
        text: say.layerInShort(
          stitch ? stitchKind(stitch).name : null,
          formatThread(quantitiesOfShared(layer).threadMm, settings.units),
          wholeTime(timeOfShared(workings.current!.plan, props.parts, layer)),
        ),
      };
    })
    .reverse(),
);
const roles = computed(() =>
  rolesOn(kind.value)
    .filter((role) => role !== 'filling' || props.layers.every((layer) => layer.role !== 'filling'))
    .map((role) => ({ key: role, label: ROLE_WORDS[role].add })),
);
</script>

<template>
  <section class="layers" aria-label="Layers, the top one first">
    <ol>
      <li v-for="{ role, text, index } in rows" :key="index" :class="{ open: index === open }">
        <div class="head">
          <button
            type="button"
            class="plain name"
            :aria-expanded="index === open"
            :data-test="`layer-${role}`"
            @click="emit('open', index)"
          >
            <strong>{{ ROLE_WORDS[role].name(kind) }}</strong>
            <span class="soft small">{{ text }}</span>
          </button>
          <template v-if="parts.length === 1 && layers.length > 1">
            <NButton
              quaternary
              size="tiny"
              aria-label="Work this layer later"
              :disabled="index === layers.length - 1"
              @click="emit('move', index, 1)"
              ><ChevronUp :size="16"
            /></NButton>
            <NButton
              quaternary
              size="tiny"
              aria-label="Work this layer earlier"
              :disabled="index === 0"
              @click="emit('move', index, -1)"
              ><ChevronDown :size="16"
            /></NButton>
            <NButton quaternary size="tiny" aria-label="Remove this layer" @click="emit('remove', index)"
              ><Trash2 :size="15"
            /></NButton>
          </template>
        </div>
        <div v-if="index === open" class="body"><slot :index="index" /></div>
      </li>
    </ol>
    <MenuButton
      v-if="isOneKind"
      :options="roles"
      data-test="add-layer"
      @select="(role) => emit('add', role as PassRole)"
      >Add a layer…</MenuButton
    >
  </section>
</template>

<style scoped>
ol {
  list-style: none;
  margin: 0 0 8px;
  padding: 0;
  border-top: 1px solid var(--chalk);
}
li {
  border-bottom: 1px solid var(--chalk);
}
.head {
  display: flex;
  align-items: center;
  gap: 2px;
  padding: 6px 0;
}
.name {
  flex: 1;
  display: grid;
  text-align: left;
  min-height: 34px;
}
li.open .name strong {
  color: var(--madder);
}
.body {
  padding: 4px 0 14px;
  display: grid;
  gap: 12px;
}
</style>
