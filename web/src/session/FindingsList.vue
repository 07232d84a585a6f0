<script setup lang="ts">
import {
  figuresKey,
  isAccepted,
  sayFinding,
  whyOf,
  severityOf,
  type Finding,
  type Remedy,
  type Severity,
} from '@junctura/core/advice';
import { acceptFindings } from '@junctura/core/piece';
import { CircleAlert, Eye, OctagonAlert } from '@lucide/vue';
import { NButton, NInput } from 'naive-ui';
import { computed, ref, shallowRef, watch } from 'vue';
import { useOpenedPiece } from './openedPiece.ts';
import { useSettings } from './settings.ts';
import { useWorkings } from './workings.ts';
import { useSelection } from './selection.ts';
import * as say from './words.ts';

/** What Junctura notices: the sentence, why it matters, what can be done in one action. */
const props = defineProps<{ parts?: readonly string[] }>();

const opened = useOpenedPiece();

const workings = useWorkings();
const settings = useSettings();

const selection = useSelection();
const ICONS = { stop: OctagonAlert, warn: CircleAlert, note: Eye } as const;
const WORDS: Readonly<Record<Severity, string>> = {
  stop: 'It will fail',
  warn: 'You may regret this',
  note: 'Worth a look',
};
const ORDER: Readonly<Record<Severity, number>> = { stop: 0, warn: 1, note: 2 };

const entries = computed(() => {
  return (workings.current?.findings ?? [])
    .filter(
      (finding) =>
        !isAccepted(opened.piece, finding) &&
        (!props.parts || (finding.part !== null && props.parts.includes(finding.part))),
    )
    .sort((a, b) => ORDER[severityOf(a)] - ORDER[severityOf(b)])
    .map((finding) => ({
      finding,
      key: `${finding.id}|${finding.part}|${figuresKey(finding)}`,
      severity: severityOf(finding),
      text: sayFinding(finding, opened.nameOf(finding.part)),
      why: whyOf(finding),
      name: opened.nameOf(finding.part) || null,
      remedies: found.value.get(finding) ?? [],
    }));
});
const found = shallowRef<ReadonlyMap<Finding, readonly Remedy[]>>(new Map());
const accepting = ref<string | null>(null);
const why = ref('');

/** One line for each kind, the gravest first: the first that was found, and how many more there are. */
const kinds = computed(() => {
  const byKind = new Map<Finding['id'], (typeof entries.value)[number][]>();
  for (const entry of entries.value) {
    const { id } = entry.finding;
    byKind.set(id, [...(byKind.get(id) ?? []), entry]);
  }
  return [...byKind.values()];
});
/** The kinds of which all are shown, and whether all kinds are. */
const shownKinds = ref<ReadonlySet<string>>(new Set());
const showsAll = ref(false);
const listed = computed(() =>
  (showsAll.value ? kinds.value : kinds.value.slice(0, MOST_KINDS)).flatMap((all) => {
    const [first] = all;
    const isOpen = shownKinds.value.has(first!.finding.id);
    return (isOpen ? all : all.slice(0, 1)).map((entry, i) => ({
      ...entry,
      more: i === 0 && !isOpen ? all.length - 1 : 0,
      alike: i === 0 ? all.map(({ finding }) => finding) : [],
    }));
  }),
);
const MOST_KINDS = 7;
function open(kind: string): void {
  shownKinds.value = new Set([...shownKinds.value, kind]);
}
/** What can be done is worked out in the background, for what is listed. */
watch(
  [() => workings.current, () => props.parts?.join(), shownKinds, showsAll],
  async () => {
    if (!workings.current) return;
    const { piece } = opened;
    const asked = listed.value.map(({ finding }) => finding);
    const remedies = new Map<Finding, readonly Remedy[]>();
    await workings.planner.remedies(piece, settings.factors, asked, (index, offered) => {
      remedies.set(asked[index]!, offered);
      if (opened.piece === piece) found.value = new Map(remedies);
    });
  },
  { immediate: true },
);
function accept(findings: readonly Finding[]): void {
  opened.edit(
    acceptFindings(
      opened.piece,
      findings.map((finding) => ({
        finding: finding.id,
        part: finding.part,
        figures: figuresKey(finding),
        why: why.value.slice(0, 300),
      })),
    ),
  );
  accepting.value = null;
  why.value = '';
}
</script>

<template>
  <p v-if="entries.length === 0 && !parts" class="soft">
    Nothing to check: as far as Junctura can tell, everything fits.
  </p>
  <ul v-else class="list">
    <li v-for="entry in listed" :key="entry.key" :class="entry.severity">
      <component :is="ICONS[entry.severity]" :size="18" class="icon" aria-hidden="true" />
      <div class="body">
        <p class="small soft">
          {{ WORDS[entry.severity]
          }}<template v-if="entry.name && parts?.length !== 1">
            ·
            <button
              type="button"
              class="plain link"
              :aria-label="say.showPart(entry.name)"
              @click="selection.pick([entry.finding.part!])"
            >
              Show
            </button>
          </template>
        </p>
        <p>{{ entry.text }}</p>
        <p class="small soft">{{ entry.why }}</p>
        <div v-if="accepting === entry.key" class="row">
          <NInput
            v-model:value="why"
            size="small"
            placeholder="Why it is fine"
            maxlength="300"
            :input-props="{ 'aria-label': 'Why it is fine' }"
            @keydown.enter="accept([entry.finding])"
          />
          <NButton size="small" type="primary" @click="accept([entry.finding])">Leave it as it is</NButton>
          <NButton v-if="entry.alike.length > 1" size="small" @click="accept(entry.alike)">{{
            say.leaveAll(entry.alike.length)
          }}</NButton>
          <NButton size="small" @click="accepting = null">Cancel</NButton>
        </div>
        <div v-else class="row">
          <NButton
            v-for="remedy in entry.remedies"
            :key="remedy.label"
            size="small"
            @click="opened.edit(remedy.edit)"
            >{{ remedy.label }}</NButton
          >
          <NButton size="small" quaternary @click="accepting = entry.key">Leave it as it is</NButton>
          <NButton v-if="entry.alike.length > 1" size="small" quaternary @click="accept(entry.alike)">{{
            say.leaveAll(entry.alike.length)
          }}</NButton>
        </div>
        <button
          v-if="entry.more > 0"
          type="button"
          class="plain link small more"
          data-test="more-alike"
          @click="open(entry.finding.id)"
        >
          {{ say.moreAlike(entry.more) }}
        </button>
      </div>
    </li>
    <li v-if="!showsAll && kinds.length > MOST_KINDS">
      <button type="button" class="plain link" @click="showsAll = true">
        {{ say.moreKinds(kinds.length - MOST_KINDS) }}
      </button>
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
.more {
  justify-self: start;
}
</style>
