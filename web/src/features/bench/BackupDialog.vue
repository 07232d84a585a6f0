<script setup lang="ts">
import { plural, type Outcome } from '@junctura/core/measure';
import { NButton, NRadio, NRadioGroup } from 'naive-ui';
import { computed, ref, shallowRef, watch } from 'vue';
import { chooseFile } from '../../keeping/files.ts';
import { useWholeBench, type ReadBackup, type RestoreWay, type TakeBack } from '../../session/wholeBench.ts';
import TheDialog from '../../ui/TheDialog.vue';

/** All of the bench to one file, and back from one: what a backup would do is shown before it is done. */
const props = defineProps<{ file: File | null }>();
const emit = defineEmits<{ close: []; restored: [told: string, takeBack: TakeBack] }>();

const bench = useWholeBench();
const isBusy = ref(false);
const problem = ref<string | null>(null);
const saved = ref<string | null>(null);
const found = shallowRef<ReadBackup | null>(null);
const way = ref<RestoreWay>('merge');

/** Does one thing at a time; what goes wrong is said. */
async function attempt<T>(action: () => Promise<Outcome<T>>): Promise<T | null> {
  isBusy.value = true;
  problem.value = null;
  const outcome = await action().catch((error: unknown): Outcome<T> => ({ ok: false, problem: String(error) }));
  isBusy.value = false;
  if (outcome.ok) return outcome.value;
  problem.value = outcome.problem;
  return null;
}

async function save(): Promise<void> {
  const done = await attempt(bench.save);
  if (done) saved.value = `Saved: ${sizeText(done.bytes)}. Keep it on another device than this one.`;
}

async function read(file: File): Promise<void> {
  found.value = await attempt(() => bench.read(file));
}

/** Another may be dropped while this one is looked into. */
watch(
  () => props.file,
  (file) => file && void read(file),
  { immediate: true },
);

async function restore(): Promise<void> {
  const { backup } = found.value!;
  const takeBack = await attempt(() => bench.restore(backup, way.value));
  if (!takeBack) return;
  const pieces = plural(backup.pieces.length, 'piece');
  const told =
    way.value === 'merge'
      ? 'The backup is put together with what was here.'
      : `The bench is as in the backup: ${pieces}.`;
  emit('restored', told, takeBack);
}

function sizeText(bytes: number): string {
  return bytes < 1e6 ? `${Math.max(1, Math.round(bytes / 1e3))} kB` : `${(bytes / 1e6).toFixed(1)} MB`;
}

const STANDS = { new: 'not here', same: 'the same as here', differs: 'differs from here' } as const;
const counts = computed(() => {
  const { pieces, entries, photographs, threads } = found.value!.preview;
  return {
    fresh: pieces.filter(({ stands }) => stands === 'new').length,
    differing: pieces.filter(({ stands }) => stands === 'differs').length,
    entries,
    photographs,
    threads,
  };
});
const added = computed(() => {
  const { fresh, entries, photographs, threads } = counts.value;
  const words = [
    fresh > 0 && plural(fresh, 'piece'),
    entries > 0 && plural(entries, 'entry', 'entries') + ' of the record',
    photographs > 0 && plural(photographs, 'photograph'),
    threads > 0 && plural(threads, 'entry', 'entries') + ' of the thread box',
  ].filter((word) => word !== false);
  return words.length === 0 ? 'Nothing is added: all of it is here.' : `Added: ${words.join(', ')}.`;
});
const savedAt = computed(() =>
  new Intl.DateTimeFormat('en', { dateStyle: 'long', timeStyle: 'short' }).format(
    new Date(found.value!.backup.savedAt),
  ),
);
</script>

<template>
  <TheDialog title="Back up and restore" width="560px" @close="emit('close')">
    <div class="stack">
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <template v-if="!found">
        <p class="soft">
          All pieces with what was noted of them, photographs, the thread box and your settings, in one file. Pieces in
          it open on their own, too. Earlier states of pieces are not in it.
        </p>
        <div class="row">
          <NButton type="primary" :loading="isBusy" data-test="save-backup" @click="save"
            >Save all of the bench</NButton
          >
          <span v-if="saved" role="status" class="soft">{{ saved }}</span>
        </div>
        <p class="soft">To bring one back, here or on another device:</p>
        <div class="row">
          <NButton :disabled="isBusy" @click="chooseFile('.zip,application/zip', read)">Choose a backup…</NButton>
        </div>
      </template>
      <template v-else>
        <p>
          <strong>{{ savedAt }}</strong>: {{ plural(found.backup.pieces.length, 'piece') }},
          {{ plural(found.backup.photographs.length, 'photograph')
          }}{{
            found.backup.box
              ? `, ${plural(found.backup.box.entries.length, 'entry', 'entries')} in the thread box`
              : ''
          }}.
        </p>
        <ul v-if="found.preview.pieces.length > 0" class="pieces" aria-label="Pieces in the backup">
          <li v-for="piece in found.preview.pieces" :key="piece.id">
            <span>{{ piece.name }}</span> <span class="soft">{{ STANDS[piece.stands] }}</span>
          </li>
        </ul>
        <div v-if="found.backup.unread.length > 0" class="problem">
          {{ plural(found.backup.unread.length, 'file') }} of it cannot be read and
          {{ found.backup.unread.length === 1 ? 'is' : 'are' }} left out: {{ found.backup.unread.join(' ') }}
        </div>
        <NRadioGroup v-model:value="way" name="way" class="ways">
          <NRadio value="merge">
            <strong>Put it together with what is here.</strong> {{ added }}
            <template v-if="counts.differing > 0"
              >Of {{ plural(counts.differing, 'piece') }} the drawing here stays; that of the backup goes among its
              earlier states (File).</template
            >
            Your settings stay.
          </NRadio>
          <NRadio value="replace">
            <strong>In place of what is here.</strong>
            {{
              found.backup.box
                ? 'The bench, the thread box and your settings become those of the backup'
                : 'The bench and your settings become those of the backup; it has no thread box, so yours stays'
            }}. Earlier states are gone.
            <template v-if="found.preview.onlyHere.length > 0"
              >Off the bench: {{ found.preview.onlyHere.join(', ') }}.</template
            >
          </NRadio>
        </NRadioGroup>
        <div class="row">
          <NButton type="primary" :loading="isBusy" data-test="restore" @click="restore">{{
            way === 'merge' ? 'Put together' : 'Replace the bench'
          }}</NButton>
          <NButton :disabled="isBusy" @click="found = null">Not now</NButton>
        </div>
      </template>
    </div>
  </TheDialog>
</template>

<style scoped>
.pieces {
  margin: 0;
  padding: 0;
  list-style: none;
  max-height: 30vh;
  overflow: auto;
}
.pieces li {
  display: flex;
  justify-content: space-between;
  gap: 16px;
  padding: 4px 0;
  border-bottom: 1px solid var(--chalk);
}
.ways {
  display: grid;
  gap: 12px;
}
.problem {
  padding: 6px 10px;
  border-left: 3px solid var(--madder);
}
</style>
