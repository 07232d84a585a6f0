<script setup lang="ts">
import { formatMoment, formatMoney } from '@junctura/core/measure';
import { costsOf, cuttingPages, shoppingCsv, shoppingList, shoppingPages, troubleWords } from '@junctura/core/paper';
import { NButton, NInput } from 'naive-ui';
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import { fileName, saveFile } from '../../keeping/files.ts';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useWorkings } from '../../session/workings.ts';
import { useSelection } from '../../session/selection.ts';
import { usePdf } from '../../session/usePdf.ts';
import { useSettings } from '../../session/settings.ts';
import { useFinishing } from '../../session/finishing.ts';
import { useShop } from '../../session/shop.ts';
import { useThreadBox } from '../../session/threadBox.ts';
import NumberField from '../../ui/NumberField.vue';
import TheDialog from '../../ui/TheDialog.vue';
import * as say from './words.ts';

/** What is still to buy, where from, and what the piece comes to. */
const emit = defineEmits<{ close: [] }>();
const opened = useOpenedPiece();
const workings = useWorkings();
const selection = useSelection();
const settings = useSettings();
const shop = useShop();
const threads = useThreadBox();
const router = useRouter();
const finishing = useFinishing();
finishing.want();
void shop.ask();

const plan = computed(() => workings.current!.plan);
const rows = computed(() =>
  shoppingList(workings.piece, plan.value, workings.reaches, shop.stock, settings.units, {
    finishing: finishing.plan?.materials ?? [],
    clothMm: finishing.plan?.clothMm ?? null,
    basket: threads.box.basket,
  }),
);
const toBuy = computed(() => rows.value.filter((row) => row.toBuy > 0));
const enough = computed(() => rows.value.filter((row) => row.toBuy === 0));
const coin = computed(() => shop.stock?.coin ?? settings.rate.coin);
const costs = computed(() => costsOf(rows.value, plan.value, settings.rate.perHour));
const money = (value: number): string => formatMoney(value, coin.value);
const heard = computed(() => (shop.heardAt === null ? null : formatMoment(new Date(shop.heardAt))));

function csv(): void {
  saveFile(fileName(opened.piece.name, '-to-buy.csv'), shoppingCsv(rows.value, coin.value), 'text/csv');
}
const { problem, save: pdf } = usePdf();
/** To the colours, where something else can be taken for what is out of stock. */
function replace(colourId: string): void {
  emit('close');
  void router.replace({ name: 'piece', params: { id: opened.piece.id, step: 'colours' } });
  selection.pickColour(colourId);
}
</script>

<template>
  <TheDialog title="Shopping list" width="980px" @close="$emit('close')">
    <p v-if="problem" role="alert">{{ problem }}</p>
    <div class="all">
      <p class="small soft" data-test="shop-state">
        <template v-if="shop.isAsking">Asking the simulated thread shop…</template>
        <template v-else-if="shop.problem"
          >{{ shop.problem }} <template v-if="heard">{{ say.pricesFrom(heard) }}</template><template v-else
            >There are no prices until it answers.</template
          >
          <NButton size="tiny" @click="shop.ask">Ask again</NButton></template
        >
        <template v-else>{{ say.simulatedPrices(heard ?? '') }}</template>
      </p>
      <table data-test="shopping">
        <thead>
          <tr>
            <th>Buy</th>
            <th>Item</th>
            <th>Needed</th>
            <th>You own</th>
            <th>Dye lot</th>
            <th class="number">Days</th>
            <th class="number">Price</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in toBuy" :key="`${row.kind} ${row.name} ${row.detail} ${row.lot}`">
            <td class="figure">{{ row.toBuy }} {{ row.unit }}</td>
            <td>
              <span v-if="row.hex" class="swatch" :style="{ background: row.hex }"></span>
              <strong>{{ row.name }}</strong>
              <span class="small soft">{{ row.kind === 'thread' ? row.detail : row.needed }}</span>
              <span v-if="row.trouble" class="small warning">
                {{ troubleWords(row) }}
                <button
                  v-if="row.kind === 'thread'"
                  type="button"
                  class="plain link"
                  :aria-label="say.chooseAnotherFor(row.name)"
                  @click="replace(row.colours[0]!)"
                >
                  choose another
                </button></span
              >
            </td>
            <td class="figure">{{ row.kind === 'thread' ? row.needed : '' }}</td>
            <td class="figure soft">{{ row.owned }}</td>
            <td>{{ row.lot ?? '' }}</td>
            <td class="number figure">{{ row.days ?? '' }}</td>
            <td class="number figure">{{ row.price === null ? '–' : money(row.price) }}</td>
          </tr>
        </tbody>
      </table>
      <p v-if="enough.length > 0" class="small soft">
        {{ say.enoughOf(enough.map(({ name }) => name)) }}
      </p>
      <div class="costs">
        <NumberField
          label="Your hourly rate"
          :value="settings.rate.perHour"
          :min="0"
          :max="1000"
          :step="1"
          :unit="coin"
          @change="(perHour) => (settings.rate = { ...settings.rate, perHour })"
        />
        <label v-if="!shop.stock" class="field">
          <span class="label">Currency</span>
          <NInput
            :value="settings.rate.coin"
            size="small"
            maxlength="4"
            @update:value="(value) => (settings.rate = { ...settings.rate, coin: value })"
          />
        </label>
        <dl data-test="costs">
          <dt>Threads</dt>
          <dd class="figure">{{ money(costs.threads) }}</dd>
          <dt>Cloth, hoop and tools</dt>
          <dd class="figure">{{ money(costs.others) }}</dd>
          <template v-if="settings.rate.perHour > 0">
            <dt>{{ say.hoursOfWork(costs.hours) }}</dt>
            <dd class="figure">{{ money(costs.work) }}</dd>
          </template>
          <dt><strong>Total for the piece</strong></dt>
          <dd class="figure">
            <strong>{{ money(costs.all) }}</strong>
          </dd>
        </dl>
      </div>
      <p v-if="costs.unknown > 0" class="small soft">
        {{ say.notIncluded(costs.unknown) }}
      </p>
      <div class="row">
        <NButton size="small" @click="csv">Save the list as CSV</NButton>
        <NButton size="small" @click="pdf(shoppingPages(workings.piece, rows, coin), '-to-buy.pdf')"
          >Save the list as PDF</NButton
        >
        <NButton size="small" @click="pdf(cuttingPages(workings.piece, plan.colours, settings.units), '-cuts.pdf')"
          >Save the cutting list as PDF</NButton
        >
      </div>
    </div>
  </TheDialog>
</template>

<style scoped>
.all {
  display: grid;
  gap: 14px;
  max-height: 78vh;
  overflow-y: auto;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th {
  text-align: left;
  font-size: 13px;
  font-weight: 600;
  color: var(--ink-soft);
  padding: 0 12px 4px 0;
}
td {
  padding: 5px 12px 5px 0;
  border-top: 1px solid var(--chalk);
}
td .swatch {
  vertical-align: -4px;
  margin-right: 6px;
}
td strong {
  margin-right: 7px;
}
.number {
  text-align: right;
  white-space: nowrap;
}
.costs {
  display: grid;
  grid-template-columns: 170px 1fr;
  gap: 40px;
  align-items: start;
}
dl {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 3px 20px;
  margin: 0;
  max-width: 340px;
}
dd {
  margin: 0;
  text-align: right;
}
</style>
