<script setup lang="ts">
import { ENOUGH, type Reach, type Saving, enoughTimes } from '@junctura/core/thread';
import { entriesOf, freeM, threadKind, type BoxEntry } from '@junctura/core/materials';
import { formatThread, plural } from '@junctura/core/measure';
import { NButton } from 'naive-ui';
import { computed, onBeforeUnmount, ref, shallowRef } from 'vue';
import { RouterLink } from 'vue-router';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useWorkings } from '../../session/workings.ts';
import { useSettings } from '../../session/settings.ts';
import { useThreadBox } from '../../session/threadBox.ts';
import { useRecord } from '../../session/record.ts';
import { WorkerClient } from '../../workers/workerClient.ts';
import * as say from './words.ts';

/** What is left of each shade against what is left to do, with the odds, and what helps where it will not reach. */
const opened = useOpenedPiece();
const workings = useWorkings();
const settings = useSettings();
const threads = useThreadBox();
const record = useRecord();
const keyOf = ({ need }: Reach): string => `${need.shade.range} ${need.shade.code} ${need.lot ?? ''}`;
const reaches = computed(() => {
  // What is begun and will not reach comes first, then what is to buy, then what is enough.
  const urgency = ({ ownedM, odds }: Reach): number => (odds >= ENOUGH ? 2 : ownedM > 0 ? 0 : 1);
  return [...workings.reaches].sort(
    (a, b) => urgency(a) - urgency(b) || a.odds - b.odds || b.need.wholeM - a.need.wholeM,
  );
});
const metres = (m: number): string => formatThread(m * 1000, settings.units);

const asked = ref<string | null>(null);
const offers = shallowRef<readonly Saving[] | null>(null);
const problem = ref<string | null>(null);
const client = new WorkerClient();
async function whatHelps(reach: Reach): Promise<void> {
  if (asked.value === keyOf(reach)) {
    asked.value = null;
    return;
  }
  asked.value = keyOf(reach);
  offers.value = null;
  problem.value = null;
  const answer = await client.ask(
    'savings',
    {
      piece: opened.piece,
      factors: settings.factors,
      done: record.progress.done,
      box: threads.box,
      shade: keyOf(reach),
    },
    { key: 'savings' },
  );
  if (answer?.ok) offers.value = answer.value;
  else if (answer) problem.value = answer.problem;
}
function effect({ type, savedM, odds }: Saving): string {
  return type === 'saves'
    ? say.saves(metres(savedM), enoughTimes(odds))
    : say.fromOtherLot(metres(savedM), enoughTimes(odds));
}
function take(saving: Saving): void {
  asked.value = null;
  opened.edit(saving.edit);
}
onBeforeUnmount(() => client.close());

/** Keeps what nine cases of ten take for this piece, from what lies begun first. */
function reserve(): void {
  let { box } = threads;
  for (const reach of reaches.value) {
    let left = reach.need.wholeM + (reach.odds < 1 ? reach.shortM : 0);
    const entries = entriesOf(box, reach.need.shade, reach.need.thread).sort((a, b) => a.whole - b.whole);
    for (const entry of entries) {
      const taken = Math.min(left, freeM(entry, opened.piece.id));
      left -= taken;
      box = { ...box, entries: box.entries.map((other) => (other.id === entry.id ? kept(other, taken) : other)) };
    }
  }
  threads.change(say.reserveFor(opened.piece.name), box);
}
function kept(entry: BoxEntry, taken: number): BoxEntry {
  const others = entry.reserved.filter(({ piece }) => piece !== opened.piece.id);
  const mine = { piece: opened.piece.id, name: opened.piece.name, metres: Math.round(taken * 100) / 100 };
  return { ...entry, reserved: taken > 0.005 ? [...others, mine] : others };
}
const reservedM = computed(() =>
  threads.box.entries.reduce(
    (sum, entry) => sum + (entry.reserved.find(({ piece }) => piece === opened.piece.id)?.metres ?? 0),
    0,
  ),
);
</script>

<template>
  <p v-if="reaches.length === 0" class="soft">Everything is stitched: no more thread is needed.</p>
  <template v-else>
    <p class="soft small">
      Compares your <RouterLink :to="{ name: 'threads' }">thread box</RouterLink> with what is left to stitch, allowing
      for dye lots and thread reserved for other pieces.
    </p>
    <div class="row">
      <NButton size="small" @click="reserve">Reserve it for this piece</NButton>
      <span v-if="reservedM > 0" class="small soft">{{ say.reserved(metres(reservedM)) }}</span>
    </div>
    <ul data-test="reach">
      <li v-for="reach in reaches" :key="keyOf(reach)">
        <div class="line">
          <span class="swatch" :style="{ background: reach.need.shade.hex }"></span>
          <strong>{{ reach.need.shade.name }}</strong>
          <span class="figure soft">{{ reach.need.shade.code }}</span>
        </div>
        <p v-if="reach.ownedM === 0" class="small soft">
          {{ say.noneOwned(plural(reach.need.skeins.p90, threadKind(reach.need.thread).putUp)) }}
        </p>
        <p v-else class="small" :class="reach.odds < ENOUGH ? 'warning' : 'good'">
          {{
            say.ownedAndNeeded(
              metres(reach.ownedM),
              metres(reach.need.wholeM),
              enoughTimes(reach.odds),
              reach.shortM > 0.005 ? metres(reach.shortM) : null,
            )
          }}
        </p>
        <p v-if="reach.lots.length > 1" class="small soft">
          {{ reach.lots.map(({ lot, metres: m }) => say.ofLot(metres(m), lot)).join(', ') }}
        </p>
        <p v-if="reach.handDyed && reach.odds < ENOUGH" class="small warning">
          Dyed by hand: no later dye lot will match it.
        </p>
        <button
          v-if="reach.odds < ENOUGH && reach.ownedM > 0"
          type="button"
          class="plain link small"
          :aria-expanded="asked === keyOf(reach)"
          @click="whatHelps(reach)"
        >
          What helps
        </button>
        <div v-if="asked === keyOf(reach)" class="offers" data-test="savings">
          <p v-if="problem" role="alert" class="small warning">{{ problem }}</p>
          <p v-else-if="offers === null" role="status" class="small soft">Looking for ways to save thread…</p>
          <p v-else-if="offers.length === 0" class="small soft">
            Nothing saves enough: buy more of it, from the same dye lot if you can.
          </p>
          <div v-for="saving in offers ?? []" :key="saving.label" class="offer">
            <span class="small"
              >{{ saving.label }}<br /><span class="soft">{{ effect(saving) }}</span></span
            >
            <NButton size="tiny" @click="take(saving)">Apply</NButton>
          </div>
        </div>
      </li>
    </ul>
  </template>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 12px;
}
.line {
  display: flex;
  gap: 9px;
  align-items: center;
}
.link {
  text-decoration: underline;
  text-underline-offset: 2px;
  padding: 2px 0;
}
.offers {
  display: grid;
  gap: 8px;
  margin: 4px 0 0 12px;
}
.offer {
  display: flex;
  justify-content: space-between;
  gap: 10px;
  align-items: center;
}
</style>
