<script setup lang="ts">
import { formatMoment, formatNumber, type Outcome } from '@junctura/core/measure';
import { NButton, NRadio, NRadioGroup } from 'naive-ui';
import { computed, ref, shallowRef, watch } from 'vue';
import { chooseFile } from '../../keeping/files.ts';
import { useWholeBench, type ReadBackup, type RestoreWay, type TakeBack } from '../../session/wholeBench.ts';
import TheDialog from '../../ui/TheDialog.vue';
import * as say from './words.ts';

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
  if (done) saved.value = say.backupSaved(sizeText(done.bytes));
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
  const told =
    way.value === 'merge' ? 'The backup was merged with what was here.' : say.benchReplaced(backup.pieces.length);
  emit('restored', told, takeBack);
}

function sizeText(bytes: number): string {
  return bytes < 1e6 ? `${formatNumber(Math.max(1, bytes / 1e3))} kB` : `${formatNumber(bytes / 1e6, 1)} MB`;
}

const STANDS = { new: 'not here', same: 'the same as here', differs: 'different here' } as const;
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
  return say.willAdd({ pieces: fresh, entries, photographs, threads });
});
const savedAt = computed(() => formatMoment(new Date(found.value!.backup.savedAt)));
</script>

<template>
  <TheDialog title="Back up and restore" width="560px" @close="emit('close')">
    <div class="stack">
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <template v-if="!found">
        <p class="soft">
          One file with all pieces, their records and photographs, the thread box and your settings. Each piece in it
          can also be opened by itself. Earlier versions of pieces are not in it.
        </p>
        <div class="row">
          <NButton type="primary" :loading="isBusy" data-test="save-backup" @click="save">Save a backup</NButton>
          <span v-if="saved" role="status" class="soft">{{ saved }}</span>
        </div>
        <p class="soft">To restore one, here or on another device:</p>
        <div class="row">
          <NButton :disabled="isBusy" @click="chooseFile('.zip,application/zip', read)">Choose a backup…</NButton>
        </div>
      </template>
      <template v-else>
        <p>
          <strong>{{ savedAt }}</strong>
          <br />{{
            say.inBackup(
              found.backup.pieces.length,
              found.backup.photographs.length,
              found.backup.box?.entries.length ?? null,
            )
          }}
        </p>
        <ul v-if="found.preview.pieces.length > 0" class="pieces" aria-label="Pieces in the backup">
          <li v-for="piece in found.preview.pieces" :key="piece.id">
            <span>{{ piece.name }}</span> <span class="soft">{{ STANDS[piece.stands] }}</span>
          </li>
        </ul>
        <div v-if="found.backup.unread.length > 0" class="problem">
          {{ say.unreadFiles(found.backup.unread.length, found.backup.unread.join(' ')) }}
        </div>
        <NRadioGroup v-model:value="way" name="way" class="ways">
          <NRadio value="merge">
            <strong>Merge it with what is here.</strong> {{ added }}
            <template v-if="counts.differing > 0">{{ say.drawingsStay(counts.differing) }}</template>
            Your settings stay.
          </NRadio>
          <NRadio value="replace">
            <strong>Replace what is here.</strong>
            {{
              found.backup.box
                ? 'The bench, the thread box and your settings become those of the backup. Earlier versions of pieces are lost.'
                : 'The bench and your settings become those of the backup; your thread box stays. Earlier versions of pieces are lost.'
            }}
            <template v-if="found.preview.onlyHere.length > 0">{{
              say.willBeRemoved(found.preview.onlyHere)
            }}</template>
          </NRadio>
        </NRadioGroup>
        <div class="row">
          <NButton type="primary" :loading="isBusy" data-test="restore" @click="restore">{{
            way === 'merge' ? 'Merge' : 'Replace the bench'
          }}</NButton>
          <NButton :disabled="isBusy" @click="found = null">Cancel</NButton>
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
