<script setup lang="ts">
import {
  figuresKey,
  isAccepted,
  remediesFor,
  sayFinding,
  SENTENCES,
  severityOf,
  type Finding,
  type Severity,
} from '@junctura/core/advice';
import { acceptFinding } from '@junctura/core/piece';
import { CircleAlert, Eye, OctagonAlert } from '@lucide/vue';
import { NButton, NInput } from 'naive-ui';
import { computed, ref } from 'vue';
import { useBench } from '../stores/bench.ts';

/** What Junctura notices: the sentence, why it matters, what can be done in one action. */
const props = defineProps<{ part?: string | null }>();

const bench = useBench();
const ICONS = { stop: OctagonAlert, warn: CircleAlert, note: Eye } as const;
const WORDS: Readonly<Record<Severity, string>> = { stop: 'It will fail', warn: 'Likely regret', note: 'Worth a look' };
const ORDER: Readonly<Record<Severity, number>> = { stop: 0, warn: 1, note: 2 };

const entries = computed(() => {
  const workings = bench.workings;
  if (!workings) return [];
  return workings.findings
    .filter((finding) => !isAccepted(bench.piece, finding) && (!props.part || finding.part === props.part))
    .sort((a, b) => ORDER[severityOf(a)] - ORDER[severityOf(b)])
    .map((finding) => ({
      finding,
      key: `${finding.id}|${finding.part}|${figuresKey(finding)}`,
      severity: severityOf(finding),
      text: sayFinding(finding),
      why: SENTENCES[finding.id].why,
      name: bench.piece.drawing.parts.find((part) => part.id === finding.part)?.name ?? null,
      remedies: remediesFor(bench.piece, workings.plan, finding),
    }));
});
const accepting = ref<string | null>(null);
const why = ref('');

function accept(finding: Finding): void {
  bench.edit(
    acceptFinding(bench.piece, {
      finding: finding.id,
      part: finding.part,
      figures: figuresKey(finding),
      why: why.value.slice(0, 300),
    }),
  );
  accepting.value = null;
  why.value = '';
}
</script>

<template>
  <p v-if="entries.length === 0 && !part" class="soft">
    Nothing to look at: everything fits as far as Junctura can tell.
  </p>
  <ul v-else class="list">
    <li v-for="entry in entries" :key="entry.key" :class="entry.severity">
      <component :is="ICONS[entry.severity]" :size="18" class="icon" aria-hidden="true" />
      <div class="body">
        <p class="small soft">
          {{ WORDS[entry.severity]
          }}<template v-if="entry.name && !part">
            ·
            <button type="button" class="plain link" @click="bench.pick([entry.finding.part!])">
              {{ entry.name }}
            </button>
          </template>
        </p>
        <p>{{ entry.text }}</p>
        <p class="small soft">{{ entry.why }}</p>
        <div v-if="accepting === entry.key" class="row">
          <NInput
            v-model:value="why"
            size="small"
            placeholder="Why it is all right"
            maxlength="300"
            :input-props="{ 'aria-label': 'Why it is all right' }"
            @keydown.enter="accept(entry.finding)"
          />
          <NButton size="small" type="primary" @click="accept(entry.finding)">I know</NButton>
          <NButton size="small" @click="accepting = null">Leave it open</NButton>
        </div>
        <div v-else class="row">
          <NButton v-for="remedy in entry.remedies" :key="remedy.label" size="small" @click="bench.edit(remedy.edit)">{{
            remedy.label
          }}</NButton>
          <NButton size="small" quaternary @click="accepting = entry.key">I know</NButton>
        </div>
      </div>
    </li>
  </ul>
</template>

<style scoped>
.list {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 14px;
}
li {
  display: flex;
  gap: 10px;
}
.icon {
  flex: none;
  margin-top: 2px;
  color: var(--ink-soft);
}
.stop .icon {
  color: var(--madder);
}
.warn .icon {
  color: var(--weld);
}
.body {
  display: grid;
  gap: 3px;
}
.row {
  gap: 6px;
  margin-top: 2px;
}
</style>
