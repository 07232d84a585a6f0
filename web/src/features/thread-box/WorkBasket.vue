<script setup lang="ts">
import {
  BACKINGS,
  CLOTHS,
  clothOf,
  HOOP_RANGE_MM,
  markOf,
  MARKS,
  NEEDLE_NAMES,
  type BackingKind,
  type BasketItem,
  type NeedleFamily,
} from '@junctura/core/materials';
import { formatLength } from '@junctura/core/measure';
import { NButton, NInput } from 'naive-ui';
import { computed, reactive, useId } from 'vue';
import { newId } from '../../keeping/newId.ts';
import { useSettings } from '../../session/settings.ts';
import { useThreadBox } from '../../session/threadBox.ts';
import ChoiceField from '../../ui/ChoiceField.vue';
import LengthField from '../../ui/LengthField.vue';
import NumberField from '../../ui/NumberField.vue';
import * as say from './words.ts';

/** What a person owns besides thread: hoops, needles, pens, cloth left over, backing, tools. */
const threads = useThreadBox();
const settings = useSettings();
const nameId = useId();

type Kind = BasketItem['kind'];
const KINDS: Readonly<Record<Kind, { readonly one: string; readonly many: string }>> = {
  hoop: { one: 'Hoop', many: 'Hoops' },
  needle: { one: 'Needles', many: 'Needles' },
  mark: { one: 'Pens and other markers', many: 'Pens and other markers' },
  cloth: { one: 'Cloth offcut', many: 'Cloth offcuts' },
  backing: { one: 'Backing offcut', many: 'Backing' },
  tool: { one: 'Scissors or another tool', many: 'Tools' },
};
const kinds = (Object.keys(KINDS) as Kind[]).map((value) => ({ value, label: KINDS[value].one }));
const groups = computed(() =>
  (Object.keys(KINDS) as Kind[])
    .map((kind) => ({ kind, items: threads.box.basket.filter((item) => item.kind === kind) }))
    .filter(({ items }) => items.length > 0),
);

const size = (width: number, height: number): string =>
  `${formatLength(width, settings.units)} × ${formatLength(height, settings.units)}`;
function words(item: BasketItem): string {
  switch (item.kind) {
    case 'hoop':
      return item.shortMm === null
        ? say.roundHoop(formatLength(item.nominalMm, settings.units))
        : say.ovalHoop(size(item.nominalMm, item.shortMm));
    case 'needle':
      return say.needlesOf(NEEDLE_NAMES[item.family], item.size, item.count);
    case 'mark':
      return markOf(item.mark).name;
    case 'cloth':
      return say.thingAndSize(clothOf(item.cloth).name, size(item.widthMm, item.heightMm));
    case 'backing':
      return say.thingAndSize(BACKINGS[item.what], size(item.widthMm, item.heightMm));
    case 'tool':
      return item.name;
  }
}

const draft = reactive({
  kind: 'hoop' as Kind,
  nominalMm: 150,
  family: 'crewel' as NeedleFamily,
  size: 7,
  count: 5,
  mark: MARKS[0]!.id,
  cloth: CLOTHS[0]!.id,
  colour: '#f4f0e6',
  what: 'felt' as BackingKind,
  widthMm: 300,
  heightMm: 300,
  name: '',
});
const families = (Object.entries(NEEDLE_NAMES) as [NeedleFamily, string][]).map(([value, label]) => ({ value, label }));
const backings = (Object.entries(BACKINGS) as [BackingKind, string][]).map(([value, label]) => ({ value, label }));
const marks = MARKS.map(({ id, name }) => ({ value: id, label: name }));
const cloths = CLOTHS.map(({ id, name }) => ({ value: id, label: name }));

function drafted(): BasketItem {
  const id = newId();
  const { kind, widthMm, heightMm } = draft;
  switch (kind) {
    case 'hoop':
      return { id, kind, nominalMm: draft.nominalMm, shortMm: null };
    case 'needle':
      return { id, kind, family: draft.family, size: draft.size, count: draft.count };
    case 'mark':
      return { id, kind, mark: draft.mark };
    case 'cloth':
      return { id, kind, cloth: draft.cloth, colour: draft.colour, widthMm, heightMm };
    case 'backing':
      return { id, kind, what: draft.what, widthMm, heightMm };
    case 'tool':
      return { id, kind, name: draft.name.trim() || 'Scissors' };
  }
}
const set = (label: string, basket: BasketItem[]): void => threads.change(label, { ...threads.box, basket });
function add(): void {
  const item = drafted();
  set(say.putIn(words(item)), [...threads.box.basket, item]);
}
function takeOut(item: BasketItem): void {
  set(
    say.remove(words(item)),
    threads.box.basket.filter((other) => other !== item),
  );
}
</script>

<template>
  <div class="basket">
    <section class="things" aria-label="In the basket">
      <div v-if="groups.length === 0" class="empty">
        <h2>Your workbasket is empty</h2>
        <p class="soft">
          Add the hoops, needles, pens and pieces of cloth you have. Shopping lists then ask only for what is missing,
          your hoops are listed first, and your own offcuts are used where they are large enough.
        </p>
        <NButton v-if="threads.examples === 0" size="small" @click="threads.layInExamples">Add examples</NButton>
      </div>
      <div v-for="group in groups" :key="group.kind">
        <h2>{{ KINDS[group.kind].many }}</h2>
        <ul data-test="basket">
          <li v-for="item in group.items" :key="item.id">
            <span v-if="item.kind === 'cloth'" class="swatch" :style="{ background: item.colour }"></span>
            <span>{{ words(item) }}</span>
            <em v-if="threads.isExample(item)" class="small soft">example</em>
            <button type="button" class="plain small soft" @click="takeOut(item)">
              Remove<span class="visually-hidden"> {{ words(item) }}</span>
            </button>
          </li>
        </ul>
      </div>
    </section>
    <aside class="card stack" aria-label="Details">
      <h2>Add something</h2>
      <ChoiceField label="What it is" :value="draft.kind" :options="kinds" @change="(kind) => (draft.kind = kind)" />
      <LengthField
        v-if="draft.kind === 'hoop'"
        label="Size"
        :value-mm="draft.nominalMm"
        :min-mm="HOOP_RANGE_MM.min"
        :max-mm="HOOP_RANGE_MM.max"
        @change="(mm) => (draft.nominalMm = mm)"
      />
      <template v-if="draft.kind === 'needle'">
        <ChoiceField label="Kind" :value="draft.family" :options="families" @change="(next) => (draft.family = next)" />
        <div class="pair">
          <NumberField label="Size" :value="draft.size" :min="1" :max="30" unit="" @change="(n) => (draft.size = n)" />
          <NumberField
            label="How many"
            :value="draft.count"
            :min="1"
            :max="1000"
            unit=""
            @change="(n) => (draft.count = n)"
          />
        </div>
      </template>
      <ChoiceField
        v-if="draft.kind === 'mark'"
        label="Kind"
        :value="draft.mark"
        :options="marks"
        @change="(next) => (draft.mark = next)"
      />
      <template v-if="draft.kind === 'cloth'">
        <ChoiceField label="Cloth" :value="draft.cloth" :options="cloths" @change="(next) => (draft.cloth = next)" />
        <label class="field">Colour <input v-model="draft.colour" type="color" /></label>
      </template>
      <ChoiceField
        v-if="draft.kind === 'backing'"
        label="Kind"
        :value="draft.what"
        :options="backings"
        @change="(next) => (draft.what = next)"
      />
      <div v-if="draft.kind === 'cloth' || draft.kind === 'backing'" class="pair">
        <LengthField
          label="Across the grain"
          :value-mm="draft.widthMm"
          :min-mm="10"
          :max-mm="20000"
          @change="(mm) => (draft.widthMm = mm)"
        />
        <LengthField
          label="Along the grain"
          :value-mm="draft.heightMm"
          :min-mm="10"
          :max-mm="20000"
          @change="(mm) => (draft.heightMm = mm)"
        />
      </div>
      <div v-if="draft.kind === 'tool'" class="field">
        <label :for="nameId">Name</label>
        <NInput v-model:value="draft.name" size="small" :maxlength="80" :input-props="{ id: nameId }" />
      </div>
      <div><NButton type="primary" size="small" data-test="put-in" @click="add">Add to the basket</NButton></div>
    </aside>
  </div>
</template>

<style scoped>
.basket {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 352px;
  min-height: 0;
}
.things {
  overflow-y: auto;
  padding: 22px 28px 40px;
  display: grid;
  gap: 22px;
  align-content: start;
}
.empty {
  max-width: 56ch;
  display: grid;
  gap: 10px;
  justify-items: start;
}
ul {
  list-style: none;
  margin: 6px 0 0;
  padding: 0;
  max-width: 640px;
}
li {
  display: flex;
  align-items: center;
  gap: 10px;
  padding: 7px 0;
  border-bottom: 1px solid var(--chalk);
}
li button {
  margin-left: auto;
  min-height: 24px;
}
.swatch {
  width: 22px;
  height: 22px;
  border-radius: 4px;
  border: 1px solid var(--chalk);
}
.card {
  overflow-y: auto;
  padding: 18px 22px 32px;
  background: var(--paper);
  border-left: 1px solid var(--chalk);
  align-content: start;
}
</style>
