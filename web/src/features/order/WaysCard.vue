<script setup lang="ts">
import { formatDuration, formatNumber, formatThread } from '@junctura/core/measure';
import { outlinesFirst } from '@junctura/core/order';
import { MOST_NEEDLES, setWorker, type Piece } from '@junctura/core/piece';
import { ORDER_WAYS, type OrderTotals, type OrderWay, type OrderWayId } from '@junctura/core/thread';
import { allowedTravelMm } from '@junctura/core/work';
import { NButton } from 'naive-ui';
import { computed, onBeforeUnmount, shallowRef, useId, watch } from 'vue';
import ChoiceField from '../../ui/ChoiceField.vue';
import NumberField from '../../ui/NumberField.vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useSettings } from '../../session/settings.ts';
import { useWorkings } from '../../session/workings.ts';
import { pictures } from '../../workers/workerPool.ts';
import * as say from './words.ts';

/** The schools of ordering, and what each costs beside the person's own and the drawing's. */
const opened = useOpenedPiece();
const workings = useWorkings();
const settings = useSettings();
const scaleId = useId();

const worker = computed(() => opened.piece.worker);
const change = (next: Partial<Piece['worker']>): void => opened.edit(setWorker(opened.piece, next));

const WAYS: Readonly<Record<OrderWayId, string>> = {
  own: 'Current order',
  colour: 'By colour',
  area: 'By area',
  'one-needle': 'One needle',
  drawing: 'As drawn',
};
const found = shallowRef<ReadonlyMap<OrderWayId, OrderWay>>(new Map());
const isAsking = shallowRef(false);
const problem = shallowRef<string | null>(null);
let giveUp = new AbortController();
watch(
  // What is found of the thread that is owned changes no order.
  () => workings.current?.plan,
  async () => {
    giveUp.abort();
    giveUp = new AbortController();
    const { signal } = giveUp;
    isAsking.value = true;
    problem.value = null;
    const answer = await pictures.ask(
      'orderWays',
      { piece: opened.piece, factors: settings.factors },
      {
        signal,
        onProgress: (way) => {
          if (!signal.aborted) found.value = new Map([...found.value, [way.id, way]]);
        },
      },
    );
    if (signal.aborted) return;
    isAsking.value = false;
    if (answer && !answer.ok) problem.value = 'The ways could not be compared. Change something, or open this again.';
  },
  { immediate: true },
);
onBeforeUnmount(() => giveUp.abort());

const ROWS: readonly {
  readonly name: string;
  readonly of: (totals: OrderTotals) => string;
  readonly least: (totals: OrderTotals) => number;
}[] = [
  { name: 'Times threaded', of: ({ threadings }) => formatNumber(threadings), least: ({ threadings }) => threadings },
  {
    name: 'Changes of colour',
    of: ({ colourChanges }) => formatNumber(colourChanges),
    least: ({ colourChanges }) => colourChanges,
  },
  {
    name: 'Changes of needle',
    of: ({ needleChanges }) => formatNumber(needleChanges),
    least: ({ needleChanges }) => needleChanges,
  },
  { name: 'Moves of the hoop', of: ({ hoopMoves }) => formatNumber(hoopMoves), least: ({ hoopMoves }) => hoopMoves },
  {
    name: 'Carried across the back',
    of: ({ carriedMm }) => formatThread(carriedMm, settings.units),
    least: ({ carriedMm }) => Math.round(carriedMm / 10),
  },
  {
    name: 'Thread cut',
    of: ({ wholeM }) => `${formatNumber(wholeM, 1)} m`,
    least: ({ wholeM }) => Math.round(wholeM * 10),
  },
  {
    name: 'Hours',
    of: ({ seconds }) => formatNumber(seconds / 3600, 1),
    least: ({ seconds }) => Math.round(seconds / 360),
  },
  { name: 'Sittings', of: ({ sittings }) => formatNumber(sittings), least: ({ sittings }) => sittings },
  {
    name: 'First group finished after',
    of: ({ firstMotifSeconds }) => formatDuration(firstMotifSeconds / 3600),
    least: ({ firstMotifSeconds }) => firstMotifSeconds,
  },
];
const least = computed(() =>
  ROWS.map(({ least: pick }) => Math.min(...[...found.value.values()].map(({ totals }) => pick(totals)))),
);
</script>

<template>
  <div class="stack">
    <div class="field">
      <label :for="scaleId">By colour or by area</label>
      <input
        :id="scaleId"
        type="range"
        min="0"
        max="1"
        step="0.1"
        :value="worker.byArea"
        data-test="by-area"
        @change="change({ byArea: Number(($event.target as HTMLInputElement).value) })"
      />
      <p class="ends small soft"><span>fewest changes of thread</span><span>one group after another</span></p>
    </div>
    <div class="pair">
      <NumberField
        label="Needles in use"
        :value="worker.needles"
        :min="1"
        :max="MOST_NEEDLES"
        unit=""
        hint="This many needles stay threaded, parked at the edge of the cloth, until their colour comes again."
        @change="(needles) => change({ needles: Math.round(needles) })"
      />
      <ChoiceField
        label="Outlines"
        :value="worker.outline ?? 'usual'"
        :options="[
          {
            value: 'usual',
            label: outlinesFirst(opened.piece) ? 'Usual for this piece: first' : 'Usual for this piece: last',
          },
          { value: 'first', label: 'First' },
          { value: 'last', label: 'Last' },
        ]"
        @change="(outline) => change({ outline: outline === 'usual' ? null : outline })"
      />
      <ChoiceField
        label="Where nothing else decides"
        :value="worker.focus"
        :options="[
          { value: 'background', label: 'Background first' },
          { value: 'features', label: 'Features first' },
        ]"
        @change="(focus) => change({ focus })"
      />
      <NumberField
        label="Carry thread on the back up to"
        :value="worker.carryMm ?? allowedTravelMm(opened.piece)"
        :min="0"
        :max="60"
        :step="5"
        unit="mm"
        :hint="say.clothAllows(allowedTravelMm(opened.piece))"
        @change="(mm) => change({ carryMm: mm === allowedTravelMm(opened.piece) ? null : mm })"
      />
    </div>
    <p class="small soft">
      Outlines first keep fillings in shape and cover lines that fade; outlines last look crisper. Stitchers differ, and
      both are right.
    </p>

    <h3>Compare ways of working</h3>
    <p v-if="problem" role="alert">{{ problem }}</p>
    <p v-else-if="isAsking && found.size < ORDER_WAYS.length" class="small soft" role="status">
      {{ say.comparing(found.size, ORDER_WAYS.length) }}
      <button type="button" class="plain link" @click="(giveUp.abort(), (isAsking = false))">Stop</button>
    </p>
    <table data-test="ways">
      <thead>
        <tr>
          <td></td>
          <th v-for="id in ORDER_WAYS" :key="id" scope="col">{{ WAYS[id] }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(row, i) in ROWS" :key="row.name">
          <th scope="row">{{ row.name }}</th>
          <td
            v-for="id in ORDER_WAYS"
            :key="id"
            class="figure"
            :class="{ least: found.get(id) && row.least(found.get(id)!.totals) === least[i] }"
          >
            {{ found.get(id) ? row.of(found.get(id)!.totals) : '…' }}
          </td>
        </tr>
        <tr>
          <td></td>
          <td v-for="id in ORDER_WAYS" :key="id">
            <NButton v-if="found.get(id)?.worker" size="tiny" @click="change(found.get(id)!.worker!)">Use</NButton>
          </td>
        </tr>
      </tbody>
    </table>
    <p class="small soft">“As drawn” goes from back to front and follows no rule: it is there to compare.</p>
  </div>
</template>

<style scoped>
input[type='range'] {
  width: 100%;
  accent-color: var(--madder);
  min-height: 24px;
}
.ends {
  display: flex;
  justify-content: space-between;
}
table {
  border-collapse: collapse;
  font-size: 13px;
  margin: 0 -8px;
}
th {
  font-weight: 500;
  text-align: left;
  vertical-align: bottom;
  padding: 3px 4px;
}
thead th,
td {
  text-align: right;
}
td {
  padding: 3px 4px;
}
tbody tr {
  border-top: 1px solid var(--chalk);
}
.least {
  font-weight: 700;
  color: var(--moss);
}
</style>
