<script setup lang="ts">
import { formatThread } from '@junctura/core/measure';
import type { StitchId } from '@junctura/core/stitches';
import { stitchSays, type PlannedPart } from '@junctura/core/work';
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import { useSettings } from '../../session/settings.ts';
import { useWorkings } from '../../session/workings.ts';
import { stitchingAndThreading } from '../../session/words.ts';
import { ThreadBar } from '../thread/index.ts';
import type { PassChange } from './passChange.ts';
import PassEditor from './PassEditor.vue';
import { quantitiesOfShared, timeOfShared, type SharedLayer } from './sharedLayers.ts';
import * as say from './words.ts';

/** The layer that is open on the card: of one part also why it is worked so; of several what they take together. */
const props = defineProps<{ parts: readonly PlannedPart[]; layer: SharedLayer; isOneKind: boolean }>();
defineEmits<{
  change: [change: PassChange, label: string, mergeKey: string | null];
  stitch: [id: StitchId];
}>();
const settings = useSettings();
const workings = useWorkings();

const first = computed(() => props.parts[0]!);
/** The one pass of the one part that is picked; null where there are several. */
const pass = computed(() => (props.parts.length === 1 ? props.layer.passes[0]! : null));
const quantities = computed(() => quantitiesOfShared(props.layer));
const time = computed(() => timeOfShared(workings.current!.plan, props.parts, props.layer));
const bar = computed((): InstanceType<typeof ThreadBar>['$props'] => {
  const { frontMm, backMm, wrapMm, throughMm, threadMm } = quantities.value;
  const slackMm = threadMm - frontMm - backMm - wrapMm - throughMm;
  return { frontMm, backMm, wrapMm, throughMm, slackMm, lostMm: 0 };
});
</script>

<template>
  <template v-if="pass">
    <p class="reason">
      {{ pass.reason }}
      <RouterLink class="small" :to="{ name: 'book', params: { id: pass.stitch } }">How it is worked</RouterLink>
    </p>
    <p v-for="line in stitchSays(pass, first.placed)" :key="line" class="small" data-test="says">{{ line }}</p>
  </template>
  <PassEditor
    :planned="first"
    :layer="layer"
    :is-one-kind="isOneKind"
    @change="(...change) => $emit('change', ...change)"
    @stitch="(stitch) => $emit('stitch', stitch)"
  />
  <div class="why">
    <p>
      {{
        say.layerTakes(
          formatThread(quantities.threadMm, settings.units),
          quantities.stitches,
          stitchingAndThreading(time),
        )
      }}
    </p>
    <ThreadBar v-bind="bar" />
  </div>
</template>

<style scoped>
.reason a {
  color: var(--ink-soft);
}
.reason {
  font-family: var(--serif);
  font-size: 16px;
}
.why {
  display: grid;
  gap: 6px;
}
</style>
