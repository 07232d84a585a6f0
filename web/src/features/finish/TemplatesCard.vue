<script setup lang="ts">
import type { FinishPlan } from '@junctura/core/finish';
import { PRINT_TRUE, SHEETS, templateKey, templatePages, type Sheet } from '@junctura/core/paper';
import { NButton } from 'naive-ui';
import { computed, ref } from 'vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { usePdf } from '../../session/usePdf.ts';
import { usePrinter } from '../../session/printer.ts';
import ChoiceField from '../../ui/ChoiceField.vue';
import PagePreview from '../../ui/PagePreview.vue';
import { pageOf } from '../../session/words.ts';

/** Shapes to cut and draw by, at true size, as one document. */
const props = defineProps<{ plan: FinishPlan }>();

const opened = useOpenedPiece();
const printer = usePrinter();
const sheetId = ref<Sheet['id']>('a4');
const sheets = SHEETS.map(({ id, name }) => ({ value: id, label: name }));
const pages = computed(() =>
  templatePages(
    props.plan.templates,
    { sheet: SHEETS.find(({ id }) => id === sheetId.value)!, printer: printer.value },
    opened.piece.name,
  ),
);
const { isSaving, problem, save } = usePdf();
</script>

<template>
  <div class="stack">
    <p v-if="plan.templates.length === 0" class="soft">This finish needs no template.</p>
    <template v-else>
      <div class="pair">
        <ChoiceField label="Paper" :value="sheetId" :options="sheets" @change="(next) => (sheetId = next)" />
        <div class="field">
          <span class="label">&nbsp;</span>
          <NButton
            type="primary"
            size="small"
            :loading="isSaving"
            :disabled="pages.length === 0"
            @click="save(pages, '-templates.pdf')"
            >Save as PDF</NButton
          >
        </div>
      </div>
      <p v-if="problem" role="alert">{{ problem }}</p>
      <p v-if="pages.length === 0" class="small" role="status">
        On sheets this small there would be far too many pages: use a larger sheet.
      </p>
      <ul class="list">
        <li v-for="template in plan.templates" :key="template.id">
          <strong>{{ template.name }}</strong> <span class="small soft">{{ templateKey(template) }}</span>
        </li>
      </ul>
      <p class="small soft">At true size, corrected for your printer as measured at Transfer. {{ PRINT_TRUE }}</p>
      <div class="pages">
        <PagePreview
          v-for="(page, i) in pages.slice(0, 12)"
          :key="i"
          :page="page"
          :label="pageOf(i + 1, pages.length)"
        />
      </div>
    </template>
  </div>
</template>

<style scoped>
.list {
  margin: 0;
  padding-left: 20px;
  display: grid;
  gap: 4px;
}
.pages {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 12px;
}
</style>
