<script setup lang="ts">
import { MARKS, markOf } from '@junctura/core/materials';
import { patternPages, SHEETS, type PatternOptions } from '@junctura/core/paper';
import { setMark } from '@junctura/core/piece';
import { NButton, NCheckbox } from 'naive-ui';
import { computed, reactive, ref } from 'vue';
import ChoiceField from '../components/ChoiceField.vue';
import PagePreview from '../components/PagePreview.vue';
import { fileName, saveFile } from '../keeping/files.ts';
import { useBench } from '../stores/bench.ts';

const bench = useBench();
const options = reactive({
  sheet: 'a4' as PatternOptions['sheet'],
  mirrored: false,
  numbers: true,
  directions: true,
  ring: true,
});
const sheets = SHEETS.map(({ id, name }) => ({ value: id, label: name }));
const marks = MARKS.map(({ id, name }) => ({ value: id, label: name }));
const mark = computed(() => markOf(bench.piece.mark)!);
const pages = computed(() => (bench.workings ? patternPages(bench.piece, bench.workings.plan, options) : []));
const isSaving = ref(false);
const problem = ref<string | null>(null);

async function savePdf(): Promise<void> {
  isSaving.value = true;
  problem.value = null;
  try {
    const { pagesToPdf } = await import('../files/pagesToPdf.ts');
    const bytes = await pagesToPdf(pages.value, bench.piece.name);
    saveFile(fileName(bench.piece.name, '-pattern.pdf'), bytes as BlobPart, 'application/pdf');
  } catch (error) {
    problem.value = `The PDF could not be made: ${error instanceof Error ? error.message : String(error)}`;
  }
  isSaving.value = false;
}
</script>

<template>
  <div class="stack">
    <h2>Transfer</h2>
    <ChoiceField
      label="How the lines get onto the cloth"
      :value="bench.piece.mark"
      :options="marks"
      @change="(id: string) => bench.edit(setMark(bench.piece, id))"
    />
    <p class="small soft">
      Draws {{ mark.lineMm }} mm wide{{ mark.onDark ? ', on dark cloth too' : ', on pale cloth' }}. Comes out
      {{ mark.comesOut }}. Beware: {{ mark.beware }}. The maker’s instructions come first.
    </p>
    <hr class="rule" />
    <h3>Pattern at true size</h3>
    <div class="pair">
      <ChoiceField label="Paper" :value="options.sheet" :options="sheets" @change="(next) => (options.sheet = next)" />
      <div class="field">
        <span class="label">&nbsp;</span>
        <NButton type="primary" size="small" :loading="isSaving" :disabled="pages.length === 0" @click="savePdf"
          >Save as PDF</NButton
        >
      </div>
    </div>
    <div class="checks">
      <NCheckbox v-model:checked="options.mirrored">Mirrored, for tracing from behind</NCheckbox>
      <NCheckbox v-model:checked="options.numbers">Part numbers</NCheckbox>
      <NCheckbox v-model:checked="options.directions">Direction of the stitches</NCheckbox>
      <NCheckbox v-model:checked="options.ring" :disabled="!bench.piece.hoop">Inside of the hoop</NCheckbox>
    </div>
    <p v-if="problem" role="alert">{{ problem }}</p>
    <p class="soft small">
      {{ pages.length === 1 ? 'One page' : `${pages.length} pages, joined at their crosses` }}. Print at 100 %, then
      measure the bars.
    </p>
    <div class="pages">
      <PagePreview v-for="(page, i) in pages" :key="i" :page="page" :label="`Page ${i + 1} of ${pages.length}`" />
    </div>
  </div>
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px 14px;
}
.checks {
  display: grid;
  gap: 5px;
}
.pages {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 12px;
}
</style>
