<script setup lang="ts">
import type { FinishPlan } from '@junctura/core/finish';
import { clothOf, threadKind } from '@junctura/core/materials';
import { formatDuration } from '@junctura/core/measure';
import { labelPage } from '@junctura/core/paper';
import { setFinish } from '@junctura/core/piece';
import { NButton, NInput } from 'naive-ui';
import { computed, useId } from 'vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { usePdf } from '../../session/usePdf.ts';
import { useSettings } from '../../session/settings.ts';
import { useShop } from '../../session/shop.ts';
import { useWorkings } from '../../session/workings.ts';
import NumberField from '../../ui/NumberField.vue';
import PagePreview from '../../ui/PagePreview.vue';
import { usePrice } from './usePrice.ts';
import * as say from './words.ts';

/** What the piece comes to by what it uses and the hours it takes; a care label and a price card to print. */
const props = defineProps<{ plan: FinishPlan }>();

const opened = useOpenedPiece();
const settings = useSettings();
const shop = useShop();
const workings = useWorkings();
const makerId = useId();

const planned = computed(() => workings.current!.plan);
const asked = computed(() => opened.piece.finish.price);
const { price, coin, money } = usePrice(() => props.plan);
const change = (next: Partial<typeof asked.value>): void =>
  opened.edit(setFinish(opened.piece, { price: { ...asked.value, ...next } }));

const made = computed(() => {
  const kinds = [...new Set(planned.value.colours.map(({ thread }) => threadKind(thread).inSentence))];
  return say.madeOf(clothOf(opened.piece.cloth.kind).name, kinds);
});
const page = computed(() =>
  labelPage({
    name: opened.piece.name,
    maker: settings.maker,
    care: props.plan.care,
    made: made.value,
    price: asked.value.asked === null ? null : money(asked.value.asked),
  }),
);
const { problem, save } = usePdf();
</script>

<template>
  <div class="stack">
    <table class="told" data-test="price">
      <tbody>
        <tr>
          <th scope="row">Thread you use</th>
          <td class="figure">{{ money(price.thread) }}</td>
        </tr>
        <tr>
          <th scope="row">Finishing materials</th>
          <td class="figure">{{ money(price.finishing) }}</td>
        </tr>
        <tr>
          <th scope="row">{{ say.hoursOfWork(formatDuration(price.hours)) }}</th>
          <td class="figure">{{ money(price.work) }}</td>
        </tr>
        <tr>
          <th scope="row">Overheads</th>
          <td class="figure">{{ money(price.overhead) }}</td>
        </tr>
        <tr class="sum">
          <th scope="row">Total</th>
          <td class="figure">{{ money(price.all) }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="shop.problem" class="small soft">{{ shop.problem }}</p>
    <p v-else-if="price.unknown.length > 0" class="small soft">
      {{ say.noPriceFor(price.unknown) }}
    </p>
    <div class="pair">
      <NumberField
        label="Your hourly rate"
        :value="settings.rate.perHour"
        :min="0"
        :max="10000"
        :unit="coin"
        @change="(perHour) => (settings.rate = { ...settings.rate, perHour })"
      />
      <NumberField
        label="Overheads: light, tools, fees"
        :value="Math.round(asked.overhead * 100)"
        :min="0"
        :max="500"
        unit="%"
        @change="(percent) => change({ overhead: percent / 100 })"
      />
      <NumberField
        label="Your asking price"
        :value="asked.asked ?? Math.round(price.all)"
        :min="0"
        :max="1000000"
        :unit="coin"
        @change="(sum) => change({ asked: sum })"
      />
      <div class="field">
        <label :for="makerId">Name on label and card</label>
        <NInput v-model:value="settings.maker" size="small" :maxlength="60" :input-props="{ id: makerId }" />
      </div>
    </div>
    <p v-if="price.earned !== null" data-test="earned">
      {{ say.hourEarns(money(asked.asked!), money(price.earned)) }}
      <button type="button" class="plain link" @click="change({ asked: null })">Clear the price</button>
    </p>
    <hr class="rule" />
    <h3>{{ asked.asked === null ? 'Care label' : 'Care label and price card' }}</h3>
    <p>{{ plan.care }}</p>
    <p v-if="problem" role="alert">{{ problem }}</p>
    <div><NButton size="small" @click="save([page], '-label.pdf')">Save as PDF</NButton></div>
    <div class="page"><PagePreview :page="page" label="Care label and price card" /></div>
  </div>
</template>

<style scoped>
.page {
  max-width: 260px;
}
</style>
