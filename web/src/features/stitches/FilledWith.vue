<script setup lang="ts">
import { CLOTHS } from '@junctura/core/materials';
import { plainScrap, type Part, type Scrap } from '@junctura/core/piece';
import { computed, useId } from 'vue';
import ChoiceField from '../../ui/ChoiceField.vue';

/** What fills an area: thread, a scrap of another cloth, or what is printed on the cloth already. */
const props = defineProps<{ part: Part; hex: string }>();
const emit = defineEmits<{ fill: [with_: Scrap | 'print' | null] }>();

const ids = [useId(), useId()] as const;
const FILLINGS = [
  { value: 'thread', label: 'Thread' },
  { value: 'scrap', label: 'A scrap of cloth' },
  { value: 'print', label: 'Already printed on the cloth' },
] as const;
type Filling = (typeof FILLINGS)[number]['value'];
const filling = computed<Filling>(() => (props.part.printed ? 'print' : props.part.scrap ? 'scrap' : 'thread'));
const cloths = CLOTHS.map(({ id, name }) => ({ value: id, label: name }));
const PATTERNS: { value: Scrap['pattern']; label: string }[] = [
  { value: 'plain', label: 'Plain' },
  { value: 'stripe', label: 'Stripes' },
  { value: 'check', label: 'Checks' },
  { value: 'dot', label: 'Dots' },
  { value: 'sprig', label: 'Floral' },
];
const EDGES: { value: Scrap['edge']; label: string }[] = [
  { value: 'turned', label: 'Turned under, 5 mm' },
  { value: 'raw', label: 'Raw edge' },
];
const HELD: { value: Scrap['held']; label: string }[] = [
  { value: 'pins', label: 'Pins' },
  { value: 'tacks', label: 'Tacking stitches' },
  { value: 'glue', label: 'A little glue' },
];

function choose(next: Filling): void {
  emit('fill', next === 'thread' ? null : next === 'print' ? 'print' : plainScrap(props.hex));
}
function change(next: Partial<Scrap>): void {
  if (props.part.scrap) emit('fill', { ...props.part.scrap, ...next });
}
const valueOf = (event: Event): string => (event.target as HTMLInputElement).value;
</script>

<template>
  <div class="stack tight">
    <ChoiceField label="Fill" :value="filling" :options="FILLINGS" @change="choose" />
    <div v-if="part.scrap" class="pair" data-test="scrap">
      <ChoiceField label="Cloth" :value="part.scrap.cloth" :options="cloths" @change="(cloth) => change({ cloth })" />
      <ChoiceField
        label="Pattern"
        :value="part.scrap.pattern"
        :options="PATTERNS"
        @change="(pattern) => change({ pattern })"
      />
      <div class="field">
        <label :for="ids[0]">Its colour</label>
        <input :id="ids[0]" type="color" :value="part.scrap.hex" @change="change({ hex: valueOf($event) })" />
      </div>
      <div v-if="part.scrap.pattern !== 'plain'" class="field">
        <label :for="ids[1]">Colour of the pattern</label>
        <input :id="ids[1]" type="color" :value="part.scrap.second" @change="change({ second: valueOf($event) })" />
      </div>
      <ChoiceField label="Edge" :value="part.scrap.edge" :options="EDGES" @change="(edge) => change({ edge })" />
      <ChoiceField
        label="Held in place by"
        :value="part.scrap.held"
        :options="HELD"
        @change="(held) => change({ held })"
      />
    </div>
    <p v-if="part.scrap" class="small soft">
      Its template is under Finish. It goes on before anything on top of it, and the needle passes through it too.
      <template v-if="part.scrap.held === 'glue'"
        >Use glue only with a window open, and follow the maker’s sheet.</template
      >
      <template v-else-if="part.scrap.held === 'pins'">Count the pins out and back in.</template>
    </p>
    <p v-if="part.printed" class="small soft">
      The colour is printed on the cloth, so you don’t have to stitch it. Anything you add lies on top of the print.
    </p>
  </div>
</template>

<style scoped>
input[type='color'] {
  width: 100%;
  height: 30px;
}
</style>
