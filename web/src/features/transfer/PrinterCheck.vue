<script setup lang="ts">
import { BAR_MM, printerScale, type PrinterScale } from '@junctura/core/paper';
import { NButton } from 'naive-ui';
import { computed, ref } from 'vue';
import { askPrinter, type SimulatedPrinter } from '../../keeping/standIns.ts';
import { useSettings } from '../../session/settings.ts';
import * as say from './words.ts';

/** What a person’s printer makes of the bars, and what the simulated one does. */
const props = defineProps<{ scale: PrinterScale }>();
const settings = useSettings();
const across = ref(String(settings.printer.acrossMm));
const down = ref(String(settings.printer.downMm));
const problem = ref<string | null>(null);
const isTrue = computed(() => settings.printer.acrossMm === BAR_MM && settings.printer.downMm === BAR_MM / 2);

function commit(): void {
  const read = (text: string): number => Number(text.replace(',', '.').replace(/\s*mm$/, ''));
  const scale = printerScale(read(across.value), read(down.value));
  problem.value = scale.ok ? null : scale.problem;
  if (scale.ok) settings.printer = { acrossMm: read(across.value), downMm: read(down.value) };
}
function reset(): void {
  settings.printer = { acrossMm: BAR_MM, downMm: BAR_MM / 2 };
  across.value = String(BAR_MM);
  down.value = String(BAR_MM / 2);
  problem.value = null;
}

const simulated = ref<SimulatedPrinter | null>(null);
async function print(): Promise<void> {
  const answer = await askPrinter();
  simulated.value = answer.ok ? answer.value : null;
  problem.value = answer.ok ? null : answer.problem;
}
/** The bar in the file is as long as the correction makes it; the printer shrinks that. */
const printedMm = computed(() => ({
  across: (BAR_MM / props.scale.across) * (simulated.value?.across ?? 1),
  down: (BAR_MM / 2 / props.scale.down) * (simulated.value?.down ?? 1),
}));
const ruler = Array.from({ length: 106 }, (_, i) => i);
</script>

<template>
  <div class="stack">
    <p class="small soft">
      Print a page, then measure its two bars with a ruler and enter what they measure. From then on every page comes
      out at true size on your printer.
    </p>
    <div class="pair">
      <div class="field">
        <label for="bar-across">The 100 mm bar measures</label>
        <input id="bar-across" v-model="across" class="typed" inputmode="decimal" @change="commit" />
      </div>
      <div class="field">
        <label for="bar-down">The 50 mm bar measures</label>
        <input id="bar-down" v-model="down" class="typed" inputmode="decimal" @change="commit" />
      </div>
    </div>
    <p v-if="problem" class="small" role="alert">{{ problem }}</p>
    <p v-else-if="!isTrue" class="small" role="status">
      {{ say.corrected(1 / scale.across - 1, 1 / scale.down - 1) }}
      <button type="button" class="plain link" @click="reset">No correction</button>
    </p>
    <div class="row">
      <NButton size="small" @click="print">Try it on the simulated printer</NButton>
    </div>
    <figure v-if="simulated" data-test="printed-bars">
      <svg viewBox="-4 -3 116 66" role="img" aria-label="The printed bars with a ruler laid against them">
        <path :d="`M0 6H${printedMm.across}M0 3V9M${printedMm.across} 3V9`" class="bar" />
        <g class="ruler">
          <rect x="0" y="10" width="106" height="9" />
          <path v-for="mm in ruler" :key="mm" :d="`M${mm} 10v${mm % 10 === 0 ? 4 : mm % 5 === 0 ? 3 : 1.8}`" />
          <text v-for="mm in ruler.filter((each) => each % 10 === 0)" :key="`t${mm}`" :x="mm" y="17.6">{{ mm }}</text>
        </g>
        <path :d="`M104 24V${24 + printedMm.down * 0.7}`" class="bar" />
      </svg>
      <figcaption class="small">
        {{ say.barsCameOut(simulated.name, printedMm.across, printedMm.down) }}
      </figcaption>
    </figure>
  </div>
</template>

<style scoped>
.typed {
  width: 100%;
  height: 30px;
  padding: 2px 10px;
  border: 1px solid var(--chalk);
  border-radius: 5px;
  background: var(--paper);
  color: var(--ink);
  font: inherit;
}
figure {
  margin: 0;
}
.bar {
  fill: none;
  stroke: var(--ink);
  stroke-width: 0.5;
}
.ruler rect {
  fill: var(--wood-light);
}
.ruler path {
  stroke: #3a2c14;
  stroke-width: 0.18;
}
.ruler text {
  font-size: 3px;
  text-anchor: middle;
  fill: #3a2c14;
}
</style>
